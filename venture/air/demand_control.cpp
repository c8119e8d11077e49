#include <venture/air/demand_control.hpp>

#include <algorithm>
#include <cmath>

#include <venture/quantity/error.hpp>

namespace venture::air {

using quantity::check_range;

namespace {

constexpr const char* of_demand = "demand-controlled ventilation";

void check_spans(std::size_t steps, const std::vector<bool>& running, double step_s)
{
    check_range(of_demand, "steps", static_cast<double>(steps), {1.0, 1e9}, "");
    check_range(of_demand, "steps with air on or off", static_cast<double>(running.size()),
                {static_cast<double>(steps), static_cast<double>(steps)}, "");
    check_range(of_demand, "step", step_s, {1.0, 86400.0}, "s");
}

} // namespace

std::vector<double> flow_by_head_count(const RoomNeed& need, std::span<const double> present,
                                       const std::vector<bool>& running, double least_m3_per_s, double step_s,
                                       double lag_s)
{
    check_spans(present.size(), running, step_s);
    check_range(of_demand, "least flow", least_m3_per_s, {0.0, 1e6}, "m3/s");
    check_range(of_demand, "lag", lag_s, {0.0, 86400.0}, "s");
    std::vector<double> out;
    for (std::size_t i = 0; i < present.size(); ++i)
        out.push_back(running[i] ? std::max(least_m3_per_s, need.supply_m3_per_s(present[i])) : 0.0);
    if (lag_s <= 0.0) return out;
    // What a step has left of the one before; after one round the beginning of the period is forgotten but for
    // kept^steps, which the second round begins with.
    const double kept = std::exp(-step_s / lag_s);
    std::vector<double> followed = out;
    double now = out.back();
    for (int round = 0; round < 2; ++round)
        for (std::size_t i = 0; i < out.size(); ++i) {
            now = running[i] ? std::max(least_m3_per_s, out[i] + (now - out[i]) * kept) : 0.0;
            followed[i] = now;
        }
    return followed;
}

CarbonDioxideDay flow_by_carbon_dioxide(const CarbonDioxideControl& c, std::span<const double> people,
                                        const std::vector<bool>& running, double step_s)
{
    check_spans(people.size(), running, step_s);
    CarbonDioxideDay out{std::vector<double>(people.size()), std::vector<double>(people.size())};
    constexpr double still = 1e-9;
    constexpr int most_rounds = 100;
    double begin = c.outdoors, end = c.outdoors;
    for (int round = 0; round < most_rounds; ++round) {
        double now = begin = end;
        for (std::size_t i = 0; i < people.size(); ++i) {
            const CarbonDioxideRoom room{c.volume_m3, people[i] * c.given_off_per_person_m3_per_s, c.outdoors};
            out.flow_m3_per_s[i] =
                running[i] ? flow_to_stay_below_m3_per_s(room, now, c.limit, step_s, c.least_m3_per_s, c.most_m3_per_s)
                           : 0.0;
            now = out.concentration[i] = concentration_after(room, now, out.flow_m3_per_s[i], step_s);
        }
        end = now;
        if (std::abs(end - begin) <= still) break;
    }
    return out;
}

} // namespace venture::air
