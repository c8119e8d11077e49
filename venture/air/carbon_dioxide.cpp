#include <venture/air/carbon_dioxide.hpp>

#include <cmath>

#include <venture/air/root.hpp>
#include <venture/quantity/error.hpp>

namespace venture::air {

using quantity::check_range;

namespace {

constexpr const char* of_room_air = "carbon dioxide of a room";
constexpr double most_flow_m3_per_s = 1e6;

} // namespace

double flow_for_rise_m3_per_s(double given_off_m3_per_s, double rise)
{
    check_range(of_room_air, "rise over outdoors", rise, {1e-6, 1.0}, "");
    return given_off_m3_per_s / rise;
}

double steady_concentration(const CarbonDioxideRoom& room, double flow_m3_per_s)
{
    check_range(of_room_air, "outdoor air", flow_m3_per_s, {1e-9, most_flow_m3_per_s}, "m3/s");
    return room.outdoors + room.given_off_m3_per_s / flow_m3_per_s;
}

double concentration_after(const CarbonDioxideRoom& room, double start, double flow_m3_per_s, double time_s)
{
    check_range(of_room_air, "volume", room.volume_m3, {1e-3, 1e9}, "m3");
    check_range(of_room_air, "outdoor air", flow_m3_per_s, {0.0, most_flow_m3_per_s}, "m3/s");
    const double changes = flow_m3_per_s * time_s / room.volume_m3;
    // (1 - exp(-x)) / x, which is 1 without any air
    const double mean_share = changes > 0.0 ? -std::expm1(-changes) / changes : 1.0;
    return room.outdoors + (start - room.outdoors) * std::exp(-changes) +
           room.given_off_m3_per_s * time_s / room.volume_m3 * mean_share;
}

double flow_to_stay_below_m3_per_s(const CarbonDioxideRoom& room, double start, double limit, double time_s,
                                   double least_m3_per_s, double most_m3_per_s)
{
    check_range(of_room_air, "limit", limit, {room.outdoors + 1e-6, 1.0}, "");
    check_range(of_room_air, "least flow", least_m3_per_s, {0.0, most_flow_m3_per_s}, "m3/s");
    check_range(of_room_air, "most flow", most_m3_per_s, {least_m3_per_s, most_flow_m3_per_s}, "m3/s");
    return root_of_increasing([&](double flow) { return limit - concentration_after(room, start, flow, time_s); },
                                   least_m3_per_s, most_m3_per_s);
}

} // namespace venture::air
