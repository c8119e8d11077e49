#pragma once
/// Rooms whose air comes by an air supply, for tests.

#include <building_questions.hpp>
#include <venture/airside/air_year.hpp>
#include <venture/climate/climates_for_tests.hpp>
#include <venture/loads/design_loads.hpp>

namespace venture::airside {

using namespace testing_data;

inline constexpr double air_W_per_m3_per_s = 101325.0 / (287.042 * 293.15) * 1006.0;
inline constexpr double flow = 0.03;

/// The room of tests, held at 20 degC (air), with outdoor air by plan.
inline input::Input aired()
{
    input::Input in = one_room();
    input::UseInput& use = in.rooms[0].use;
    use.control = "air";
    use.ventilation_flow = flow;
    return in;
}

/// The same by an air supply.
inline input::Input supplied(double recovery, bool everything = false)
{
    input::Input in = aired();
    input::AirSupplyInput air;
    air.name = "air";
    air.heat_recovery = recovery;
    if (everything) air.gives = input::SupplyGives::everything;
    in.air_supplies = {air};
    in.rooms[0].use.outdoor_air_by = "air";
    return in;
}

inline loads::RoomLoads loads_of(const input::Input& in) { return loads::design_loads(built(in)).loads; }

/// From a day of the year on.
inline loads::BuildingYear fortnight(const input::Input& in, int first_day)
{
    const building::Building b = built(in);
    AirYear air{b};
    const climate::WeatherYear year = climate::synthetic_year(climate::temperate_climate());
    return loads::run_year(
        b, year, {.step_s = 1800.0, .first_day = first_day, .days = 14, .run_in_days = 14.0, .watcher = &air});
}

inline double apart_K(const building::Building& b)
{
    return b.rooms[0].use.heating_setpoint_C->value - b.site.winter.dry_bulb_C;
}

inline input::ExtractInput extract(const char* room, double flow_m3_per_s)
{
    input::ExtractInput out;
    out.room = std::string{room};
    out.flow = flow_m3_per_s;
    return out;
}

} // namespace venture::airside
