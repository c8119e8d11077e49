#include <venture/rating/condition.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

namespace venture::rating {

namespace {

using quantity::Kind;

constexpr std::array<RatingInput, number_of_inputs> inputs = {{
    {"water_supply", "water supply", Kind::temperature},
    {"water_return", "water return", Kind::temperature},
    {"water_flow", "water flow", Kind::water_flow},
    {"air_flow", "air flow", Kind::air_flow},
    {"entering_dry_bulb", "entering dry bulb", Kind::temperature},
    {"entering_wet_bulb", "entering wet bulb", Kind::temperature},
    {"entering_humidity", "entering humidity ratio", Kind::humidity_ratio},
    {"outdoor_dry_bulb", "outdoor dry bulb", Kind::temperature},
    {"outdoor_wet_bulb", "outdoor wet bulb", Kind::temperature},
    {"room", "room temperature", Kind::temperature},
    {"height_above_sea", "height above sea", Kind::length},
    {"glycol", "share of glycol", Kind::fraction},
    {"air_pressure", "air pressure", Kind::pressure},
    {"output_factor", "factor of connection, cover and finish", Kind::fraction},
    {"primary_flow", "primary air", Kind::number},
    {"primary_dry_bulb", "dry bulb of primary air", Kind::temperature},
    {"primary_humidity", "humidity ratio of primary air", Kind::humidity_ratio},
}};

} // namespace

std::span<const RatingInput, number_of_inputs> rating_inputs() { return inputs; }
const RatingInput& input_of(At what) { return inputs[static_cast<std::size_t>(what)]; }

std::optional<At> input_called(std::string_view key)
{
    const auto* const found = std::ranges::find(inputs, key, &RatingInput::key);
    if (found == inputs.end()) return std::nullopt;
    return static_cast<At>(found - inputs.begin());
}

bool is_within(double value, quantity::Range range)
{
    constexpr double last_digits = 1e-9;
    const double slack = last_digits * std::max({1.0, std::abs(range.lowest), std::abs(range.highest)});
    return value >= range.lowest - slack && value <= range.highest + slack;
}

std::string in_words(const Refusal& r)
{
    const RatingInput& input = input_of(r.what);
    const std::string_view unit = quantity::si_unit(input.kind);
    const auto told = [&](double v) {
        return unit == "1" ? fmt::format("{:.4g}", v) : fmt::format("{:.4g} {}", v, unit);
    };
    switch (r.why) {
    case Refusal::Why::outside:
        return fmt::format("{} of {} lies outside {:.4g} to {}", input.words, told(r.value), r.allowed.lowest,
                           told(r.allowed.highest));
    case Refusal::Why::not_given:
        return fmt::format("it needs the {}", input.words);
    case Refusal::Why::no_difference:
        return fmt::format("{} of {} has nothing to give to {:.4g} degC", input.words, told(r.value), r.allowed.lowest);
    case Refusal::Why::too_few_wet:
        return "fewer than two of its columns are wet here: no line to follow";
    case Refusal::Why::never_wet:
        return "its table says more sensible than total capacity here";
    case Refusal::Why::not_reached:
        return fmt::format("gives {:.0f} W at any flow", r.value);
    case Refusal::Why::no_such_air:
        return fmt::format("no air at {:.4g} degC has a wet bulb of {}", r.allowed.lowest, told(r.value));
    case Refusal::Why::no_factors:
        return fmt::format("its maker gives no factors for a {} of {}", input.words, told(r.value));
    case Refusal::Why::not_rated:
        return fmt::format("its maker rates nothing with a {} of {}", input.words, told(r.value));
    case Refusal::Why::too_little_air:
        return fmt::format("moves {:.4g} kg/s of air", r.value);
    }
    VENTURE_UNREACHABLE("every reason is told");
}

} // namespace venture::rating
