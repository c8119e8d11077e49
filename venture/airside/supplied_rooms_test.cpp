/// Rooms whose air comes by an air supply, from what is typed to design loads, coils and the year.

#include <algorithm>

#include <gmock/gmock.h>

#include <reckon.hpp>
#include <venture/airside/air_year.hpp>
#include <venture/airside/coil_ledger.hpp>
#include <venture/airside/coil_loads.hpp>
#include <venture/airside/supplied_for_tests.hpp>
#include <venture/climate/climates_for_tests.hpp>
#include <venture/loads/year_figures.hpp>
#include <venture/quantity/codes.hpp>

namespace venture::airside {
namespace {

using testing::HasSubstr;

TEST(Recovery, CountsInDesignAndInTheSumByHand)
{
    const double all_W = air_W_per_m3_per_s * flow * apart_K(built(aired()));
    const loads::RoomLoad by_window = loads_of(aired()).rooms[0], by_supply = loads_of(supplied(0.7)).rooms[0];
    EXPECT_NEAR(by_window.heating_W - by_supply.heating_W, 0.7 * all_W, 1e-5 * all_W);
    EXPECT_NEAR(by_window.paper_W() - by_supply.paper_W(), 0.7 * all_W, 1e-9 * all_W);
}

TEST(Recovery, ComesBackThroughAVoidAsWarmAsThatIs)
{
    input::Input in = supplied(0.7);
    in.rooms.push_back(room("Void", 5, 0, 5, 4)); // unheated, beside it
    in.rooms[1].use.heating_setpoint = {};
    in.air_supplies[0].returns_through = "Void";
    const building::Building b = built(in);
    const loads::DesignLoads all = loads::design_loads(b);
    const loads::RoomLoad& told = all.loads.rooms[0];
    const auto air = std::ranges::find(told.paper, "ventilation", &loads::PaperTerm::what);
    ASSERT_NE(air, told.paper.end());
    const double out_C = b.site.winter.dry_bulb_C, void_C = all.loads.rooms[1].winter_air_C;
    EXPECT_GT(void_C, out_C + 2.0); // the air of the room warms it
    EXPECT_NEAR(air->far_side_C, out_C + 0.7 * (void_C - out_C), 1e-6);
}

TEST(Everything, LeavesTheRoomItsOwnLoadAndPutsOutdoorAirIntoThatOfTheCoil)
{
    input::Input without = aired();
    without.rooms[0].use.ventilation_flow = 0.0;
    const building::Building b = built(supplied(0.6, true));
    const loads::RoomLoads all = loads::design_loads(b).loads;
    EXPECT_NEAR(all.rooms[0].heating_W, loads_of(without).rooms[0].heating_W, 1e-6);
    const CoilLoads coils = coil_loads(b, all);
    ASSERT_EQ(coils.rooms.size(), 1u);
    const double outdoors_W = 0.4 * air_W_per_m3_per_s * flow * apart_K(b);
    EXPECT_NEAR(coils.rooms[0].heating_W - all.rooms[0].heating_W, outdoors_W,
                0.02 * outdoors_W); // vapour is heated, too
    EXPECT_NEAR(coils.rooms[0].recovered_W, 1.5 * outdoors_W, 0.02 * outdoors_W);
}

TEST(Everything, WithoutOutdoorAirCoilsDoWhatTheRoomAsksFor)
{
    input::Input in = supplied(0.0, true);
    input::UseInput& use = in.rooms[0].use;
    use.ventilation_flow = 0.0;
    use.cooling_setpoint = 25.0;
    const building::Building b = built(in);
    const loads::RoomLoads all = loads::design_loads(b).loads;
    const CoilLoad coil = coil_loads(b, all).rooms.at(0);
    const loads::RoomLoad& room = all.rooms[0];
    for (std::size_t h = 0; h < 24; ++h)
        EXPECT_NEAR(coil.heating_hours_W[h], room.heating_hours_W[h], 1e-9 * room.heating_W);
    ASSERT_EQ(coil.cooling_days.size(), room.cooling_days.size());
    for (std::size_t d = 0; d < coil.cooling_days.size(); ++d)
        for (std::size_t h = 0; h < 24; ++h) {
            const loads::LoadDay &own = room.cooling_days[d], &told = coil.cooling_days[d];
            EXPECT_NEAR(told.sensible_W[h] - told.heating_W[h], own.sensible_W[h] - own.heating_W[h],
                        1e-9 * room.cooling_W);
        }
}

TEST(Everything, FlowsAreToldAsTheyWereTypedAtAnyHeight)
{
    for (const double height_m : {0.0, 2800.0}) {
        input::Input in = supplied(0.5, true);
        in.site.height = height_m;
        const building::Building b = built(in);
        const CoilLoad coil = coil_loads(b, loads::design_loads(b).loads).rooms.at(0);
        EXPECT_NEAR(coil.outdoor_m3_per_s, flow, 1e-9);
        EXPECT_GT(coil.fan_W, 2000.0 * flow - 1e-6);
        AirYear air{b};
        climate::WeatherYear weather = climate::synthetic_year(climate::temperate_climate());
        weather.pressure_Pa.assign(weather.size(), 101325.0 - 10.0 * height_m);
        const auto year =
            loads::run_year(b, weather, {.step_s = 3600.0, .days = 2, .run_in_days = 1.0, .watcher = &air});
        const figure::Table told = loads::year_tables().table("room_air", {&year, false});
        const double leaks = b.rooms[0].use.infiltration_per_h.value * b.rooms[0].volume_m3 / 3600.0;
        EXPECT_NEAR(std::get<double>(told.rows.at(0).at(told.column("outdoor_air"))), flow + leaks, 1e-9) << height_m;
    }
}

TEST(Everything, HumidifiesInWinterDesign)
{
    input::Input in = supplied(0.5, true);
    in.rooms[0].use.least_humidity = 0.4;
    const building::Building b = built(in);
    const loads::RoomLoads all = loads::design_loads(b).loads;
    const CoilLoad coil = coil_loads(b, all).rooms.at(0);
    EXPECT_GT(coil.humidifying_kg_per_s * air::latent_heat_of_vaporisation_J_per_kg, all.rooms[0].humidifying_W);
    input::Input by_window = aired();
    by_window.rooms[0].use.least_humidity = 0.4;
    const double at_window_W = loads_of(by_window).rooms[0].humidifying_W;
    EXPECT_NEAR(coil.humidifying_kg_per_s * air::latent_heat_of_vaporisation_J_per_kg, at_window_W, 1e-3 * at_window_W);
}

TEST(Everything, IsReckonedAgainFromWhatItPrints)
{
    input::Input in = supplied(0.5, true);
    input::UseInput& use = in.rooms[0].use;
    use.cooling_setpoint = 24.0;
    use.humidity_limit = 0.45;
    use.moisture = 1e-4;
    const building::Building b = built(in);
    const CoilLoad coil = coil_loads(b, loads::design_loads(b).loads).rooms.at(0);
    const quantity::Ledger ledger = ledger_of_coils(coil);
    testing_data::expect_reckoned(ledger);
    const auto value = [&](const char* of, const char* what) {
        for (const quantity::LedgerLine& line : ledger)
            if (line.of.ends_with(of) && line.what == what) return line.value;
        return -1.0;
    };
    EXPECT_NEAR(value("winter design", "heating, with reheat"), coil.heating_W, 1e-6 * coil.heating_W);
    const std::string hour = in_words(coil.cooling_when);
    EXPECT_NEAR(value(hour.c_str(), "sensible cooling"), coil.cooling_sensible_W, 1e-6 * coil.cooling_W);
    EXPECT_NEAR(value(hour.c_str(), "water that condenses"), coil.cooling_W - coil.cooling_sensible_W,
                1e-6 * coil.cooling_W);
    const auto states = state_rows(coil, air::standard_pressure(b.site.place.height_m));
    EXPECT_EQ(states.front().state.name, "outdoor air");
    EXPECT_EQ(states.back().state.name, "supply air");
}

TEST(Everything, IsToldWhereItsBoundsServeNoRoom)
{
    input::Input in = supplied(0.0, true);
    in.air_supplies[0].warmest_supply = 19.0; // heats no room of 20 degC
    const building::Building b = built(in);
    const CoilLoads coils = coil_loads(b, loads::design_loads(b).loads);
    ASSERT_EQ(coils.problems.size(), 1u);
    EXPECT_THAT(coils.problems[0].message, HasSubstr("cannot give room"));
    AirYear air{b};
    const climate::WeatherYear year = climate::synthetic_year(climate::temperate_climate());
    (void)loads::run_year(b, year, {.step_s = 3600.0, .days = 2, .run_in_days = 1.0, .watcher = &air});
    ASSERT_EQ(air.problems().size(), 1u); // once, not every hour
    EXPECT_EQ(air.problems()[0].where, coils.problems[0].where);
}

TEST(WithCoils, CircuitsSeeTheCoilsAndNothingStandsInTheRoom)
{
    const building::Building b = built(supplied(0.6, true));
    const loads::RoomLoads all = loads::design_loads(b).loads;
    const CoilLoads coils = coil_loads(b, all);
    const loads::RoomLoads seen = with_coils(all, coils);
    EXPECT_EQ(seen.rooms[0].supplied_by, "air");
    EXPECT_EQ(seen.rooms[0].heating_W, coils.rooms[0].heating_W);
}

TEST(UncooledRoom, GetsOutdoorAirAsRecoveryLeavesItWhateverItsSupplyGives)
{
    input::Input in = supplied(0.7, true);
    in.rooms[0].use.cooling_setpoint = quantity::Given<double>{};
    in.rooms[0].use.equipment_power = 500.0;
    const building::Building b = built(in);
    const loads::RoomLoads everything = loads::design_loads(b).loads;
    in.air_supplies[0].gives = input::SupplyGives::outdoor_air;
    const loads::RoomLoad outdoor_air = loads_of(in).rooms[0];
    EXPECT_NEAR(everything.rooms[0].highest_air_C, outdoor_air.highest_air_C, 1e-9);
    EXPECT_NEAR(everything.rooms[0].wettest_kg_per_kg, outdoor_air.wettest_kg_per_kg, 1e-12);
    const CoilLoad coil = coil_loads(b, everything).rooms.at(0);
    EXPECT_EQ(coil.cooling_W, 0.0);
    EXPECT_GT(coil.heating_W, 0.0);
    EXPECT_NEAR(coil.outdoor_m3_per_s, flow, 1e-9);
}

// ---- the year

loads::BuildingYear january(const input::Input& in) { return fortnight(in, 1); }

TEST(YearOfAir, HoursAddUpToMonths)
{
    const building::Building b = built(supplied(0.7, true));
    std::vector<std::string> wanted = {"heating"};
    for (const balance::SeriesKind& kind : air_series_kinds()) wanted.emplace_back(kind.name);
    AirYear air{b, wanted};
    const climate::WeatherYear weather = climate::synthetic_year(climate::temperate_climate());
    const auto year = loads::run_year(b, weather, {.first_day = 120, .days = 20, .run_in_days = 5.0, .watcher = &air});
    EXPECT_EQ(year.series.size(), air_series_kinds().size()); // kinds of the balance are asked of the run
    const auto sum_J = [&](std::string_view kind) {
        const auto at = std::ranges::find(year.series, kind, &balance::Series::kind);
        EXPECT_EQ(at->values.size(), 480u);
        double sum = 0.0;
        for (const double watts : at->values) sum += 3600.0 * watts;
        return sum;
    };
    loads::MonthAir all;
    for (const loads::MonthAir& month : year.rooms[0].air.months) all += month;
    EXPECT_NEAR(sum_J("fans"), all.fan_J, 1e-9 * all.fan_J);
    EXPECT_NEAR(sum_J("coil heating"), all.heating_J, 1e-9 * all.heating_J);
    EXPECT_NEAR(sum_J("free cooling"), all.free_cooling_J, 1e-9 * all.heating_J);
    EXPECT_NEAR(sum_J("coil cooling"), all.cooling_sensible_J + all.cooling_latent_J, 1e-9 * all.heating_J);
}

TEST(YearOfAir, RecoveredAndHeatedMakeWhatTheWindowLoses)
{
    const loads::BuildingYear by_window = january(aired()), by_supply = january(supplied(0.7)),
                              by_coil = january(supplied(0.7, true));
    const loads::MonthAir& air = by_supply.rooms[0].air.months[0];
    EXPECT_NEAR(by_supply.rooms[0].run.heating_J + air.recovered_heat_J, by_window.rooms[0].run.heating_J,
                1e-3 * by_window.rooms[0].run.heating_J);
    EXPECT_NEAR(air.outdoor_air_m3, by_window.rooms[0].air.months[0].outdoor_air_m3, 1e-6 * air.outdoor_air_m3);
    EXPECT_EQ(air.hours, 14.0 * 24.0);
    EXPECT_NEAR(air.fan_J, 2000.0 * flow * air.hours * 3600.0, 1e-6 * air.fan_J); // 1000 Pa at 50 %
    EXPECT_NEAR(by_coil.rooms[0].air.months[0].heating_J, by_supply.rooms[0].run.heating_J,
                1e-6 * by_supply.rooms[0].run.heating_J); // nothing is dried, so nothing is heated again
}

TEST(YearOfAir, WithoutBypassHeatsWhatIsThenCooled)
{
    const auto july = [](input::Input in, input::Bypass bypass) {
        in.rooms[0].use.cooling_setpoint = 23.0;
        in.rooms[0].use.equipment_power = 600.0;
        in.air_supplies[0].bypass = bypass;
        const building::Building b = built(in);
        AirYear air{b};
        const climate::WeatherYear year = climate::synthetic_year(climate::temperate_climate());
        return loads::run_year(b, year, {.first_day = 182, .days = 14, .watcher = &air}).rooms[0];
    };
    const loads::RoomYear with = july(supplied(0.8), input::Bypass::yes),
                          without = july(supplied(0.8), input::Bypass::no);
    EXPECT_GT(without.air.months[6].heats_then_cools_J, 20.0 * (with.air.months[6].heats_then_cools_J + 1.0));
    EXPECT_GT(without.air.months[6].heats_then_cools_h, 24.0);
    EXPECT_GT(without.run.cooling_J, with.run.cooling_J);
    EXPECT_GT(with.air.months[6].free_cooling_J, 0.0);
}

// ---- needs

TEST(Need, TheLargerOfPeopleAndCarbonDioxideGoverns)
{
    input::Input in = one_room();
    input::UseInput& use = in.rooms[0].use;
    use.people = 10.0;
    use.ventilation_per_person = 5e-3;
    use.air_effectiveness = 0.8;
    EXPECT_NEAR(built(in).rooms[0].outdoor_air_by_plan_m3_per_s(), 10 * 5e-3 / 0.8, 1e-15);
    use.carbon_dioxide_limit = 1000e-6;
    EXPECT_NEAR(built(in).rooms[0].outdoor_air_by_plan_m3_per_s(), 10 * 20e-3 / 3600.0 / 580e-6 / 0.8, 1e-15);
    use.carbon_dioxide_limit = 5000e-6;
    EXPECT_NEAR(built(in).rooms[0].outdoor_air_by_plan_m3_per_s(), 10 * 5e-3 / 0.8, 1e-15);
}

TEST(Need, MayBeThatOfAUse)
{
    input::Input in = one_room();
    input::AirNeedInput office;
    office.name = "office";
    office.per_person = 7e-3;
    office.per_area = 0.7e-3;
    in.air_needs = {office};
    in.rooms[0].use.air_need = "office";
    in.rooms[0].use.people = 2.0;
    EXPECT_NEAR(built(in).rooms[0].outdoor_air_by_plan_m3_per_s(), 2 * 7e-3 + 20.0 * 0.7e-3, 1e-15);
    in.rooms[0].use.ventilation_per_person = 10e-3; // its own word stands
    EXPECT_NEAR(built(in).rooms[0].outdoor_air_by_plan_m3_per_s(), 2 * 10e-3 + 20.0 * 0.7e-3, 1e-15);
}

TEST(DemandControl, TakesLessAirAndKeepsItsFloor)
{
    input::Input in = aired();
    input::UseInput& use = in.rooms[0].use;
    use.people = 8.0;
    use.ventilation_flow = 0.0;
    use.ventilation_per_person = 8e-3;
    use.people_profile = "08-12";
    const double constant_m3 = january(in).rooms[0].air.months[0].outdoor_air_m3;
    use.ventilation_control = input::VentilationControl::head_count;
    const double none_m3 = january(in).rooms[0].air.months[0].outdoor_air_m3;
    use.least_ventilation = 0.2e-3;
    const double floor_m3 = january(in).rooms[0].air.months[0].outdoor_air_m3;
    EXPECT_LT(none_m3, floor_m3);
    EXPECT_LT(floor_m3, constant_m3);
    use.ventilation_control = input::VentilationControl::carbon_dioxide;
    use.carbon_dioxide_limit = 1000e-6;
    const double by_gas_m3 = january(in).rooms[0].air.months[0].outdoor_air_m3;
    EXPECT_GT(by_gas_m3, floor_m3 * 0.9);
    EXPECT_LT(by_gas_m3, constant_m3);
}

// ---- what is refused

TEST(Refused, WhatCannotBeIsSaid)
{
    const auto says = [](auto change, const char* words) {
        input::Input in = supplied(0.7);
        change(in, in.air_supplies[0], in.rooms[0].use);
        const resolve::Resolved r = resolve::resolve(in);
        EXPECT_FALSE(r.building) << words;
        EXPECT_TRUE(std::ranges::any_of(r.problems, [&](const quantity::Problem& p) {
            return p.message.find(words) != std::string::npos;
        })) << words;
    };
    using In = input::Input;
    using Air = input::AirSupplyInput;
    using Use = input::UseInput;
    says([](In&, Air& a, Use&) { a.coldest_supply = 30.0, a.warmest_supply = 20.0; }, "is above the most");
    says([](In&, Air& a, Use&) { a.heat_recovery = 1.3; }, "heat_recovery");
    says([](In&, Air&, Use& u) { u.outdoor_air_by = "airs"; }, "airs");
    says([](In&, Air&, Use& u) { u.cooling_setpoint = 24.0, u.humidity_limit = 0.4, u.least_humidity = 0.9; },
         "at once");
    says([](In&, Air&, Use& u) { u.cooling_setpoint = 24.0, u.humidity_limit = 0.4, u.dew_point_limit = 9.0; },
         "more than one way");
    says([](In&, Air&, Use& u) { u.cooling_setpoint = 24.0, u.dew_point_limit = 30.0; }, "can hold no such moisture");
    says([](In&, Air&, Use& u) { u.ventilation_control = input::VentilationControl::head_count; }, "nobody is");
    says([](In& in, Air&, Use&) { in.extracts = {extract("Rom", 0.1)}; }, "Rom");
}

TEST(Told, WhatSaysNothingBesideTheRest)
{
    const auto warns = [](auto change, const char* words) {
        input::Input in = supplied(0.7);
        change(in.air_supplies[0]);
        const quantity::Problem told = problem_of(in, quantity::codes::unused);
        EXPECT_EQ(told.severity, quantity::Severity::warning);
        EXPECT_THAT(told.message, HasSubstr(words));
    };
    using Air = input::AirSupplyInput;
    warns([](Air& a) { a.heat_recovery = 0.0, a.coldest_exhaust = 1.0; }, "without heat_recovery above 0");
    warns([](Air& a) { a.greatest_cooling = 50.0; }, "without gives = \"everything\"");
    warns([](Air& a) { a.coldest_supply = 12.0; }, "or free_cooling = \"dry bulb\"");
    warns([](Air& a) { a.greatest_outdoor_share = 0.5; }, "without free_cooling = \"dry bulb\"");
    input::Input in = supplied(0.7, true);
    in.air_supplies[0].coldest_supply = 12.0;
    EXPECT_EQ(told(in, quantity::codes::unused), "");
}

TEST(Humidity, MayBeSaidByDewPointOrRatio)
{
    const auto p = quantity::Pressure::pascal(101325.0);
    const auto air = air::MoistAir::from_relative_humidity(quantity::Temperature::celsius(24.0), 0.5, p);
    const auto held = [&](quantity::Given<double> input::UseInput::*key, double value) {
        input::Input in = one_room();
        in.rooms[0].use.cooling_setpoint = 24.0;
        in.rooms[0].use.*key = value;
        return built(in).rooms[0].use.humidity_limit->humidity_ratio(24.0, p);
    };
    for (const double ratio : {held(&input::UseInput::humidity_limit, 0.5),
                               held(&input::UseInput::dew_point_limit, air::dew_point(air).celsius()),
                               held(&input::UseInput::humidity_ratio_limit, air.humidity_ratio())})
        EXPECT_NEAR(ratio, air.humidity_ratio(), 1e-5 * air.humidity_ratio());
}

TEST(Humidity, RelativeLimitsHoldInTheAirOfTheRoomAtAnyTemperature)
{
    input::Input in = supplied(0.7, true);
    input::UseInput& use = in.rooms[0].use;
    use.heating_setpoint = 17.0;
    use.cooling_setpoint = 25.0;
    use.least_humidity = 0.42;
    use.humidity_limit = 0.55;
    use.control = "operative";
    in.method.relative_humidity = input::HumidityAt::air;
    const building::Building b = built(in);
    const loads::RoomLoads design = loads::design_loads(b).loads;
    for (const loads::LoadDay& day : design.rooms[0].cooling_days)
        for (std::size_t h = 0; h < 24; ++h) {
            const auto air = quantity::Temperature::celsius(day.states.air_C[h]);
            EXPECT_LE(air::relative_humidity(air, day.states.humidity_ratio[h],
                                             quantity::Pressure::pascal(design.pressure_Pa)),
                      0.55 + 1e-3); // means over an hour
        }
    const climate::WeatherYear weather = climate::synthetic_year(climate::temperate_climate());
    const auto year = loads::run_year(
        b, weather, {.days = 365, .run_in_days = 10.0, .series = {"air temperature", "humidity ratio"}});
    double mean_Pa = 0.0; // the year's one pressure
    for (const double at_hour_Pa : weather.pressure_Pa) mean_Pa += at_hour_Pa / static_cast<double>(weather.size());
    const auto p = quantity::Pressure::pascal(mean_Pa);
    double driest = 1.0, wettest = 0.0, warmest_C = -99.0, coldest_C = 99.0;
    for (std::size_t h = 0; h < 8760; ++h) {
        const double air_C = year.series[0].values[h],
                     phi = air::relative_humidity(quantity::Temperature::celsius(air_C), year.series[1].values[h], p);
        driest = std::min(driest, phi);
        wettest = std::max(wettest, phi);
        warmest_C = std::max(warmest_C, air_C);
        coldest_C = std::min(coldest_C, air_C);
    }
    EXPECT_GT(warmest_C - coldest_C, 3.0);
    EXPECT_NEAR(driest, 0.42, 1e-3); // of means over an hour
    EXPECT_NEAR(wettest, 0.55, 1e-3);
}

} // namespace
} // namespace venture::airside
