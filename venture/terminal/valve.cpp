#include <venture/terminal/valve.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/rating/product_keys.hpp>

namespace venture::terminal {

const quantity::RecordSpec& ValveData::spec()
{
    using namespace rating::keys; // NOLINT(google-build-using-namespace): words that only declare keys
    using T = ValveData;
    static const quantity::RecordSpec all = quantity::RecordSpec::of<T>({
        {name_key(), &T::name},
        {maker_key(), &T::maker},
        {family_key(), &T::family},
        {must(number("settings", Kind::number, 0, 100, "numbers on its ring, rising")), &T::settings},
        {must(number("flow_coefficients", Kind::number, 1e-4, 1000,
                     "one for each setting: m3/h of water at a drop of 1 bar (Kv of IEC 60534)")),
         &T::flow_coefficients},
        {number("most_pressure", Kind::pressure, 100, 1e6, "drop above which it makes noise"), &T::most_pressure},
        {cost_key(), &T::cost},
        {note_key(), &T::note},
    });
    return all;
}

Valve::Valve(const ValveData& d, std::string from)
    : Product{rating::label_of(d, std::move(from))},
      settings_{*d.settings},
      coefficients_m3_per_h_{*d.flow_coefficients},
      most_pressure_Pa_{d.most_pressure.value}
{
    if (settings_.size() != coefficients_m3_per_h_.size())
        throw quantity::Error{fmt::format("{} settings and {} flow_coefficients: one for each", settings_.size(),
                                          coefficients_m3_per_h_.size())};
    for (const auto* list : {&settings_, &coefficients_m3_per_h_})
        if (list->empty() || std::ranges::adjacent_find(*list, std::ranges::greater_equal{}) != list->end())
            throw quantity::Error{"settings and flow_coefficients must rise, from closed to open"};
}

std::variant<rating::Output, rating::Refusal> Valve::rate(const rating::Conditions& at) const
{
    return rating::Refusal{rating::Refusal::Why::not_rated, rating::At::water_supply,
                           at.value_or(rating::At::water_supply, 0.0)};
}

ValveSetting Valve::set_for(double water_kg_per_s, double difference_Pa, double unit_Pa) const
{
    constexpr double seconds = 3600.0, kg_per_m3 = 1000.0, bar_Pa = 1e5, rounding = 1e-9;
    const double flow_m3_per_h = water_kg_per_s / kg_per_m3 * seconds;
    ValveSetting out{.needed_m3_per_h = flow_m3_per_h / std::sqrt(std::max(0.0, difference_Pa - unit_Pa) / bar_Pa)};
    auto at = std::ranges::lower_bound(coefficients_m3_per_h_, out.needed_m3_per_h * (1.0 - rounding));
    out.suffices = at != coefficients_m3_per_h_.end();
    if (!out.suffices) --at;
    out.setting = settings_[static_cast<std::size_t>(at - coefficients_m3_per_h_.begin())];
    out.has_m3_per_h = *at;
    out.drop_Pa = std::pow(flow_m3_per_h / out.has_m3_per_h, 2) * bar_Pa;
    out.authority = out.drop_Pa / difference_Pa;
    return out;
}

const rating::Kind valve = {.key = "valve",
                            .words = "valve",
                            .tag = "VLV",
                            .stands = rating::Stands::pipe,
                            .shelf = []() -> std::unique_ptr<rating::Shelf> {
                                return std::make_unique<rating::ShelfOf<ValveData, Valve>>("valve");
                            }};

const Valve* find_valve(const rating::Stocks& stocks, std::string_view name)
{
    return dynamic_cast<const Valve*>(stocks.find(valve, name));
}

} // namespace venture::terminal
