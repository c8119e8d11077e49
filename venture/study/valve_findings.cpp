#include <venture/study/valve_findings.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/quantity/codes.hpp>
#include <venture/quantity/unknown_name.hpp>
#include <venture/study/schedule.hpp>

namespace venture::study {

using quantity::Problem;
using quantity::Severity;

namespace {

void add_unknown_names(const Sizing& s, std::vector<Problem>& into)
{
    std::vector<std::string> names;
    for (const auto& valve : s.stocks->products(terminal::valve)) names.push_back(valve->name());
    for (const services::Circuit& c : s.services.circuits)
        if (!c.valve.empty() && terminal::find_valve(*s.stocks, c.valve) == nullptr)
            into.push_back(quantity::unknown_name("valve", c.valve, c.valve_origin, names));
}

/// What is wrong with a valve where it stands, and what to do; nothing where all is well.
std::pair<std::string, std::string> said_of(const ItemValve& v, const quantity::PreferredUnits& units)
{
    const auto pressure = [&](double Pa) { return units.text(Pa, "pressure"); };
    if (!std::isfinite(v.set.needed_m3_per_h))
        return {fmt::format("nothing is left for {}: its unit takes all of the {} that there are", v.valve->name(),
                            pressure(v.difference_Pa)),
                "more pressure_difference, or a unit that takes less"};
    if (!v.set.suffices)
        return {fmt::format("{} is too small: wide open it has a flow coefficient of {:g}, and {:.3g} is needed",
                            v.valve->name(), v.set.has_m3_per_h, v.set.needed_m3_per_h),
                "a larger valve, or more pressure"};
    if (const auto most_Pa = v.valve->most_pressure_Pa(); most_Pa && v.set.drop_Pa > *most_Pa)
        return {fmt::format("{} takes {} and makes noise above {}", v.valve->name(), pressure(v.set.drop_Pa),
                            pressure(*most_Pa)),
                "less pressure_difference: a slower pump, or a controller of differential pressure"};
    constexpr double least_authority =
        0.3; // below which a valve hardly decides; our assumption, as is usual in the trade
    if (v.set.authority < least_authority)
        return {fmt::format("{} has an authority of {:.2f} only: it takes {} of {}", v.valve->name(), v.set.authority,
                            pressure(v.set.drop_Pa), pressure(v.difference_Pa)),
                "a valve with finer settings, or less pressure_difference"};
    return {};
}

} // namespace

void add_valve_findings(const Sizing& s, const quantity::PreferredUnits& units, std::vector<Problem>& into)
{
    if (std::ranges::all_of(s.services.circuits, [](const services::Circuit& c) { return c.valve.empty(); })) return;
    add_unknown_names(s, into);
    for (const ScheduleItem& item : schedule_items(s, nullptr))
        for (const ItemValve& v : item.valves) {
            const auto [message, hint] = said_of(v, units);
            if (message.empty()) continue;
            const auto circuit = std::ranges::find(s.services.circuits, v.circuit, &services::Circuit::name);
            into.push_back({.severity = v.set.suffices ? Severity::note : Severity::warning,
                            .code = quantity::codes::odd_valve,
                            .where = circuit->valve_origin,
                            .message = fmt::format("{}, {}: {}", item.place,
                                                   item.product != nullptr ? item.product->name() : "", message),
                            .hint = hint,
                            .cause = "valves at units",
                            .subject = fmt::format("{} valve", item.place),
                            .inputs = v.valve->name()});
        }
}

} // namespace venture::study
