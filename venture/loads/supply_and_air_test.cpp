/// Leakage by season, air between rooms, and supplies as they stand: limited, radiating, on another room's thermostat.

#include <algorithm>

#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/climate/climates_for_tests.hpp>
#include <venture/loads/building_year.hpp>
#include <venture/loads/compile.hpp>
#include <venture/loads/design_loads.hpp>

namespace venture::loads {
namespace {

using namespace testing_data;

constexpr double air_W_per_m3_per_s = 101325.0 / (287.042 * 293.15) * 1006.0;

/// Two rooms with a partition between, both held at 20 degC (air).
input::Input two_rooms()
{
    input::Input in = shell();
    in.rooms = {room("Hall", 0, 0, 5, 4), room("Bath", 5, 0, 5, 4)};
    for (input::RoomInput& r : in.rooms) r.use.control = "air";
    return in;
}

input::TransferAirInput air_from(const char* room, double flow_m3_per_s)
{
    input::TransferAirInput air;
    air.from = std::string{room};
    air.flow = flow_m3_per_s;
    return air;
}

double heating_W(const input::Input& in, std::size_t room)
{
    return design_loads(built(in)).loads.rooms[room].heating_W;
}

TEST(Infiltration, IsThatOfItsSeason)
{
    input::Input in = one_room();
    in.rooms[0].use.infiltration = 1.0;
    in.rooms[0].use.infiltration_summer = 0.25;
    const auto changes_per_h = [&](const building::Building& b, const climate::DesignDay& day) {
        const balance::ThermalModel m = compile(b, day).model;
        const balance::Drive& leakage = m.zones[0].infiltration_kg_per_s.at(0);
        return leakage.factor * m.value(leakage.signal, 60, 0.5) * 3600.0 / m.zones[0].dry_air_kg;
    };
    const building::Building north = built(in);
    EXPECT_NEAR(changes_per_h(north, climate::winter_design_day(north.site)), 1.0, 1e-12);
    EXPECT_NEAR(changes_per_h(north, climate::cooling_design_day(north.site, north.site.months[0])), 0.25, 1e-12);
    in.site.latitude = -35.0; // July is winter there
    const building::Building south = built(in);
    EXPECT_NEAR(changes_per_h(south, climate::cooling_design_day(south.site, south.site.months[0])), 1.0, 1e-12);
}

TEST(Infiltration, OfSummerIsThatOfWinterUnlessTyped)
{
    input::Input in = one_room();
    in.rooms[0].use.infiltration = 0.8;
    EXPECT_DOUBLE_EQ(built(in).rooms[0].use.infiltration_summer_per_h.value, 0.8);
}

TEST(TransferAir, BringsWhatItIsColderBy)
{
    constexpr double flow_m3_per_s = 0.02;
    input::Input in = two_rooms();
    in.rooms[0].use.heating_setpoint = 15.0;
    in.rooms[0].use.ventilation_rate = 2.0; // 0.033 m3/s, enough to pass on
    const double before = heating_W(in, 1), hall_before = heating_W(in, 0);
    in.rooms[1].transfer_air = {air_from("Hall", flow_m3_per_s)};
    EXPECT_NEAR(heating_W(in, 1) - before, flow_m3_per_s * air_W_per_m3_per_s * 5.0, 0.01);
    EXPECT_NEAR(heating_W(in, 0), hall_before, 0.01); // gives away its own air
    in.rooms[1].transfer_air[0].way = "both";
    EXPECT_NEAR(hall_before - heating_W(in, 0), flow_m3_per_s * air_W_per_m3_per_s * 5.0, 0.01);
}

TEST(TransferAir, StandsInTheSumDoneOnPaper)
{
    input::Input in = two_rooms();
    in.rooms[0].use.heating_setpoint = 15.0;
    in.rooms[0].use.ventilation_rate = 2.0;
    in.rooms[1].transfer_air = {air_from("Hall", 0.02)};
    const RoomLoad bath = design_loads(built(in)).loads.rooms[1];
    const auto term = std::ranges::find(bath.paper, "air from Hall", &PaperTerm::what);
    ASSERT_NE(term, bath.paper.end());
    EXPECT_DOUBLE_EQ(term->far_side_C, 15.0);
    EXPECT_NEAR(term->loss_W, 0.02 * air_W_per_m3_per_s * 5.0, 1e-9);
}

TEST(TransferAir, StandsAmongThePartsOfACoolingLoad)
{
    input::Input in = two_rooms();
    for (input::RoomInput& r : in.rooms) r.use.equipment_power = 600.0;
    in.rooms[0].use.ventilation_rate = 2.0;
    in.rooms[1].use.cooling_setpoint = 24.0;
    in.rooms[1].transfer_air = {air_from("Hall", 0.02)}; // from a room that nobody cools
    const RoomLoad bath = design_loads(built(in)).loads.rooms[1];
    EXPECT_GT(bath.cooling_balance.transfer_air_W, 50.0);
    EXPECT_NEAR(bath.cooling_balance.total_W(), bath.cooling_sensible_W, 1e-3 * bath.cooling_sensible_W);
}

/// Where what is felt is held, radiation leaves the air colder, which air pays less for, and faces warmer, which walls
/// pay more for.
TEST(RadiantShare, PaysWhereAirGoesAndNotWhereWallsLose)
{
    input::Input in = one_room();
    const auto by_radiation = [&](double air_changes_per_h) {
        in.rooms[0].use.infiltration = air_changes_per_h;
        in.rooms[0].use.radiant_share = 0.0;
        const double convective = heating_W(in, 0);
        in.rooms[0].use.radiant_share = 0.5;
        return heating_W(in, 0) / convective;
    };
    EXPECT_LT(by_radiation(5.0), 0.97);
    EXPECT_GT(by_radiation(0.0), 1.01);
}

BuildingYear january(const input::Input& in)
{
    const climate::WeatherYear year = climate::synthetic_year(climate::temperate_climate());
    return run_year(built(in), year, {.step_s = 1800.0, .days = 14, .run_in_days = 14.0});
}

TEST(HeatingLimit, HoldsInAYearAndCountsTheHoursThatItMisses)
{
    input::Input in = two_rooms();
    const BuildingYear unlimited = january(in);
    EXPECT_EQ(unlimited.rooms[0].run.too_cold_h, 0.0);
    const double limit_W = 0.7 * unlimited.rooms[0].run.heating_peak_W, design_W = heating_W(in, 0);
    in.rooms[0].use.heating_limit = limit_W;
    const BuildingYear limited = january(in);
    EXPECT_NEAR(limited.rooms[0].run.heating_peak_W, limit_W, 1e-6 * limit_W);
    EXPECT_GT(limited.rooms[0].run.too_cold_h, 0.0);
    EXPECT_LT(limited.rooms[0].run.coldest_C, 19.9);
    EXPECT_DOUBLE_EQ(heating_W(in, 0), design_W); // what is needed, not what is there
}

TEST(Thermostat, OfAnotherRoomGovernsByLimitsOrFloorArea)
{
    input::Input in = two_rooms();
    in.rooms[1].size = quantity::QuantityList{2.5, 4.0};
    in.rooms[1].thermostat_in = "Hall";
    const auto energy_ratio = [](const BuildingYear& y) { return y.rooms[1].run.heating_J / y.rooms[0].run.heating_J; };
    EXPECT_NEAR(energy_ratio(january(in)), 0.5, 1e-9);
    in.rooms[0].use.heating_limit = 3000.0;
    in.rooms[1].use.heating_limit = 2400.0;
    EXPECT_NEAR(energy_ratio(january(in)), 0.8, 1e-9);
}

} // namespace
} // namespace venture::loads
