#include <venture/plant/chiller.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/rating/point_grid.hpp>
#include <venture/rating/product_keys.hpp>

namespace venture::plant {

using rating::At;
using rating::Output;
using rating::Refusal;
using rating::Service;

namespace {

using Values = quantity::Given<quantity::QuantityList> ChillerRow::*;

rating::GridTable table_of(const ChillerData& d, Values of_row)
{
    if (!d.outdoor || d.at_water.empty())
        throw quantity::Error{
            "give outdoor and [[chiller.at_water]] tables, or in a sheet a line for each point with supply, "
            "outdoor_dry_bulb and capacity"};
    std::vector<double> supplies, values;
    for (const ChillerRow& row : d.at_water) {
        supplies.push_back(*row.supply);
        values.insert(values.end(), (*(row.*of_row)).begin(), (*(row.*of_row)).end());
    }
    if (values.size() == supplies.size() * (*d.outdoor).size())
        rating::check_points(supplies, "water", *d.outdoor, "air", values);
    return {{{At::water_supply, std::move(supplies)}, {At::outdoor_dry_bulb, *d.outdoor}}, std::move(values)};
}

/// Capacity falls with warmer air outdoors and rises with warmer water; what does not was typed in the wrong order.
void check_slopes(const rating::GridTable& table)
{
    const auto& supplies = table.axes()[0].values;
    const auto& outdoor = table.axes()[1].values;
    const auto at = [&](std::size_t row, std::size_t column) { return table.values()[row * outdoor.size() + column]; };
    for (std::size_t r = 0; r < supplies.size(); ++r)
        for (std::size_t c = 0; c < outdoor.size(); ++c) {
            if (c > 0 && at(r, c) > at(r, c - 1))
                throw quantity::Error{
                    fmt::format("with water at {:g} degC capacity rises from {:g} W at {:g} degC outdoors "
                                "to {:g} W at {:g} degC",
                                supplies[r], at(r, c - 1), outdoor[c - 1], at(r, c), outdoor[c])};
            if (r > 0 && at(r, c) < at(r - 1, c))
                throw quantity::Error{
                    fmt::format("at {:g} degC outdoors capacity falls from {:g} W with water at {:g} degC "
                                "to {:g} W at {:g} degC",
                                outdoor[c], at(r - 1, c), supplies[r - 1], at(r, c), supplies[r])};
        }
}

} // namespace

const quantity::RecordSpec& ChillerRow::spec()
{
    using namespace rating::keys; // NOLINT(google-build-using-namespace): words that only declare keys
    using T = ChillerRow;
    static const quantity::RecordSpec all = quantity::RecordSpec::of<T>({
        {must(number("supply", Kind::temperature, 1, 30, "chilled water")), &T::supply},
        {must(number("capacity", Kind::power, 0, largest_W, "one for each outdoor dry bulb")), &T::capacity},
        {number("power", Kind::power, 0, largest_W, "electricity that it takes, one for each outdoor dry bulb"),
         &T::power},
    });
    return all;
}

const quantity::RecordSpec& ChillerData::spec()
{
    using namespace rating::keys; // NOLINT(google-build-using-namespace): words that only declare keys
    using T = ChillerData;
    static const quantity::RecordSpec all = quantity::RecordSpec::of<T>(
        {
            {name_key(), &T::name},
            {maker_key(), &T::maker},
            {number("outdoor", Kind::temperature, -20, 60, "outdoor dry bulbs: the columns of the table"), &T::outdoor},
            {number("supply", Kind::temperature, 1, 30, "chilled water, of one point of a table"), &T::supply},
            {number("outdoor_dry_bulb", Kind::temperature, -20, 60, "of that point"), &T::outdoor_dry_bulb},
            {number("capacity", Kind::power, 0, largest_W, "of that point"), &T::capacity},
            {number("power", Kind::power, 0, largest_W, "electricity that it takes at that point"), &T::power},
            {number("heights", Kind::length, -500, 6000, "above the sea, that height_factors are for"), &T::heights},
            {number("height_factors", Kind::fraction, 0.1, 1.2, "of the capacity at the sea, one for each height"),
             &T::height_factors},
            {number("glycol", Kind::fraction, 0, 0.7, "shares of glycol in its water, that glycol_factors are for"),
             &T::glycol},
            {number("glycol_factors", Kind::fraction, 0.1, 1.2, "of the capacity with plain water, one for each share"),
             &T::glycol_factors},
            {note_key(), &T::note},
        },
        {{"at_water", &T::at_water}});
    return all;
}

std::vector<ChillerData> ChillerData::joined(const std::vector<ChillerData>& points)
{
    std::vector<ChillerData> out;
    for (const rating::PointGrid<ChillerData>& grid :
         rating::grids_of(points, &ChillerData::supply, &ChillerData::outdoor_dry_bulb)) {
        ChillerData& one = out.emplace_back(*grid.points.front());
        if (grid.first.empty() || grid.second.empty()) continue;
        one.outdoor = grid.second;
        for (const double supply : grid.first) {
            ChillerRow& row = one.at_water.emplace_back();
            row.supply = supply;
            row.capacity = grid.values_at(supply, &ChillerData::capacity);
            if (grid.points.front()->power) row.power = grid.values_at(supply, &ChillerData::power);
        }
    }
    return out;
}

Chiller::Chiller(const ChillerData& d, std::string from)
    : Product{rating::label_of(d, std::move(from))},
      capacity_W_{table_of(d, &ChillerRow::capacity)},
      at_height_{At::height_above_sea, "heights and height_factors", d.heights, d.height_factors},
      with_glycol_{At::glycol, "glycol and glycol_factors", d.glycol, d.glycol_factors}
{
    check_slopes(capacity_W_);
    const auto says_power = [](const ChillerRow& row) { return static_cast<bool>(row.power); };
    const auto rows_with_power = std::ranges::count_if(d.at_water, says_power);
    if (rows_with_power == 0) return;
    if (rows_with_power != std::ranges::ssize(d.at_water))
        throw quantity::Error{"power is given for some water supplies, not for all"};
    power_W_ = table_of(d, &ChillerRow::power);
}

std::variant<Output, Refusal> Chiller::rate(const rating::Conditions& asked) const
{
    constexpr double at_sea_Pa = 101325.0;
    rating::Conditions at = asked;
    double factor = 1.0;
    if (at_height_.is_given()) {
        const auto there = at_height_.factor(at);
        if (const auto* refused = std::get_if<Refusal>(&there)) return *refused;
        factor = std::get<double>(there);
    } else if (at.has(At::outdoor_dry_bulb)) {
        const double thinner = at_sea_Pa / at.value_or(At::air_pressure, at_sea_Pa) - 1.0;
        // below the sea's level its fans move more, which no table promises
        at.set(At::outdoor_dry_bulb, at[At::outdoor_dry_bulb] + condenser_approach_K * std::max(0.0, thinner));
    }
    const auto mixed = with_glycol_.factor(at);
    if (const auto* refused = std::get_if<Refusal>(&mixed)) return *refused;
    factor *= std::get<double>(mixed);
    if (auto refused = capacity_W_.refuses(at)) return *refused;
    Output out;
    out.gives_W[Service::cooling] = factor * capacity_W_.at(at);
    if (power_W_) out.electric_W = factor * power_W_->at(at);
    return out;
}

const rating::Kind chiller = {.key = "chiller",
                              .words = "chiller",
                              .tag = "CH",
                              .stands = rating::Stands::plant_room,
                              .gives = {Service::cooling},
                              .needs = {At::water_supply, At::outdoor_dry_bulb},
                              .shelf = []() -> std::unique_ptr<rating::Shelf> {
                                  return std::make_unique<rating::ShelfOf<ChillerData, Chiller>>("chiller");
                              }};

} // namespace venture::plant
