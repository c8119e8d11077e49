/// A building compiled for days, weeks and parts of a year, with set-backs, films and inner glass.

#include <algorithm>
#include <cmath>

#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/balance/periodic_day.hpp>
#include <venture/balance/run.hpp>
#include <venture/climate/synthetic_year.hpp>
#include <venture/loads/compile.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/quantity/error.hpp>

namespace venture::loads {
namespace {

using namespace testing_data;

input::ProfileInput profile_of(const char* name, const char* hours)
{
    input::ProfileInput p;
    p.name = std::string{name};
    p.hours = quantity::TextList{{hours, {}}};
    return p;
}

input::Input set_back_room(double setback_C = 15.0)
{
    input::Input in = one_room();
    in.profiles = {profile_of("work", "08-18 100 %")};
    in.rooms[0].use.heating_setback = setback_C;
    in.rooms[0].use.heating_profile = "work";
    return in;
}

double heat_below(const balance::ThermalModel& m, double hour)
{
    const double step = hour * 3600.0 / m.step_s;
    const auto i = static_cast<std::size_t>(step);
    return m.value(*m.zones[0].heat_below_C, i, step - std::floor(step));
}

TEST(SetPoint, RisesAlongARampBeforeItsHours)
{
    const building::Building b = built(set_back_room());
    const balance::ThermalModel m = compile(b, climate::winter_design_day(b.site)).model;
    EXPECT_DOUBLE_EQ(heat_below(m, 3.0), 15.0);
    EXPECT_NEAR(heat_below(m, 7.0), 17.5, 1e-9); // half way through two hours
    EXPECT_NEAR(heat_below(m, 7.5), 18.75, 1e-9);
    EXPECT_DOUBLE_EQ(heat_below(m, 8.0), 20.0);
    EXPECT_DOUBLE_EQ(heat_below(m, 17.9), 20.0);
    EXPECT_DOUBLE_EQ(heat_below(m, 18.0), 15.0);
}

TEST(SetPoint, TakesTheTimeThatIsTyped)
{
    input::Input in = set_back_room();
    in.rooms[0].use.preheating = 5.0;
    const building::Building b = built(in);
    EXPECT_NEAR(heat_below(compile(b, climate::winter_design_day(b.site)).model, 5.5), 17.5, 1e-9);
}

TEST(SetPoint, GivesPeaksThatDoNotDependOnTheStep)
{
    const building::Building b = built(set_back_room());
    const auto peak = [&](double step_s) { return design_loads(b, {.step_s = step_s}).loads.rooms[0].heating_W; };
    const double exact = peak(60.0);
    EXPECT_NEAR(peak(600.0), exact, 0.02 * exact);
    EXPECT_NEAR(peak(3600.0), exact, 0.02 * exact);
}

TEST(DesignLoads, TellWhatHeatingUpAdds)
{
    const RoomLoad held = design_loads(built(one_room())).loads.rooms[0],
                   set_back = design_loads(built(set_back_room())).loads.rooms[0];
    EXPECT_EQ(held.heating_up_W, 0.0);
    EXPECT_GT(set_back.heating_up_W, 100.0);
    EXPECT_NEAR(set_back.heating_W - set_back.heating_up_W, held.heating_W, 1e-6 * held.heating_W);
    EXPECT_GE(set_back.heating_when.clock_hour, 7); // about the end of the ramp
    EXPECT_LE(set_back.heating_when.clock_hour, 8);
}

TEST(DesignLoads, OfRoomsThatHeatUpAtOtherHoursAreNotSummed)
{
    input::Input in = set_back_room();
    in.rooms.push_back(room("Second", 0, 10, 5, 4));
    in.profiles.push_back(profile_of("evening", "17-22 100 %"));
    in.rooms[1].use.heating_setback = 15.0;
    in.rooms[1].use.heating_profile = "evening";
    const RoomLoads all = design_loads(built(in)).loads;
    EXPECT_LT(heating_together_W(all, {0, 1}), 0.95 * (all.rooms[0].heating_W + all.rooms[1].heating_W));
    EXPECT_GE(heating_together_W(all, {0, 1}), std::max(all.rooms[0].heating_W, all.rooms[1].heating_W));
}

TEST(SetBack, ThatContradictsItselfIsTold)
{
    input::Input in = set_back_room(25.0);
    EXPECT_FALSE(resolve::resolve(in).building);
    in = set_back_room();
    in.rooms[0].use.heating_profile = {};
    EXPECT_FALSE(resolve::resolve(in).building);
    in = set_back_room();
    in.rooms[0].use.heating_setback = {};
    EXPECT_FALSE(resolve::resolve(in).building);
}

TEST(Spell, OfAWeekOfOneDayGivesThatDaysLoads)
{
    input::Input in = one_room();
    in.rooms[0].openings = {window("south", 3, 1.5)};
    in.rooms[0].use.cooling_setpoint = 25.0;
    in.rooms[0].use.equipment_power = 400.0;
    const building::Building b = built(in);
    const climate::DesignDay july = climate::cooling_design_day(b.site, b.site.months[0]);
    const balance::PeriodicDay day = run_periodic_day(compile(b, july).model),
                               week = run_periodic_day(compile(b, spell_of(b.site, climate::design_week(july))).model);
    ASSERT_EQ(week.zones[0].cooling_W.size(), 168u);
    for (std::size_t h = 0; h < 24; ++h)
        EXPECT_NEAR(week.zones[0].cooling_W[72 + h], day.zones[0].cooling_W[h],
                    0.05 + 1e-3 * day.zones[0].cooling_W[h]);
}

climate::WeatherYear a_year()
{
    climate::SyntheticRequest request{.name = "Nowhere", .place = {52.0, 0.0, 0.0, 0.0}};
    for (std::size_t m = 0; m < 12; ++m) {
        const double from_january = (static_cast<double>(m) - 0.3) * 0.5236, summer = -std::cos(from_january),
                     sun = -std::cos(from_january + 0.35); // comes before the warmth
        request.months[m] = {10.0 + 8.0 * summer, 8.0, 0.75, (9.0 + 6.8 * sun) * 1e6, 4.0};
    }
    return climate::synthetic_year(request);
}

TEST(Spell, OfAYearHasItsWeatherClockAndGround)
{
    input::Input in = one_room();
    in.site.summer_time_first = "29 March";
    in.site.summer_time_last = "24 October";
    const building::Building b = built(in);
    const climate::WeatherYear year = a_year();
    const Spell july = spell_of(b.site, year, 190, 7);
    EXPECT_EQ(july.hours, 168u);
    ASSERT_EQ(july.dry_bulb_C.size(), 169u);
    EXPECT_EQ(july.dry_bulb_C[30], year.dry_bulb_C[189 * 24 + 30]);
    EXPECT_EQ(july.clock_h[0], 1.0);
    EXPECT_EQ(july.month[0], 7);
    EXPECT_EQ(july.site_ground_C[0], 14.0); // stated for July
    const Spell january = spell_of(b.site, year, 1, 1);
    EXPECT_EQ(january.clock_h[0], 0.0);
    EXPECT_LT(january.site_ground_C[0], 14.0);
    EXPECT_LT(january.sky_C[0], january.dry_bulb_C[0]);
    EXPECT_THROW((void)spell_of(b.site, year, 360, 7), quantity::RangeError);
    EXPECT_THROW((void)spell_of(b.site, year, 0, 7), quantity::RangeError);
}

TEST(Spell, OfAYearRunsThroughItWithoutLosingHeat)
{
    input::Input in = one_room();
    in.rooms[0].openings = {window("south", 3, 1.5)};
    in.rooms[0].use.cooling_setpoint = 25.0;
    const building::Building b = built(in);
    const climate::WeatherYear year = a_year();
    const Compiled compiled = compile(b, spell_of(b.site, year, 1, 365), {.step_s = 3600.0});
    const balance::RunResult r = run(compiled.model, {.asks = {{"outdoor temperature"}, {"total heating"}}});
    ASSERT_EQ(r.series[1].values.size(), 8760u);
    EXPECT_LE(r.worst_closure, 1e-6);
    EXPECT_GT(r.zones[0].heating_J, 2e9);
    EXPECT_GT(r.zones[0].cooling_J, 0.0);
    EXPECT_EQ(r.zones[0].too_cold_h, 0.0);
    // within a step the weather is linear: its mean lies between its ends
    EXPECT_NEAR(r.series[0].values[100], 0.5 * (year.dry_bulb_C[100] + year.dry_bulb_C[101]), 1e-9);
}

TEST(Spell, OfWeatherFinerThanTheStepIsTakenByHours)
{
    input::Input in = one_room();
    const building::Building b = built(in);
    climate::WeatherYear year = a_year();
    climate::WeatherYear fine = year;
    fine.steps_per_hour = 6;
    for (auto row :
         {&climate::WeatherYear::dry_bulb_C, &climate::WeatherYear::humidity_ratio, &climate::WeatherYear::pressure_Pa,
          &climate::WeatherYear::wind_m_per_s, &climate::WeatherYear::cloud_cover,
          &climate::WeatherYear::beam_normal_W_per_m2, &climate::WeatherYear::diffuse_horizontal_W_per_m2}) {
        (fine.*row).clear();
        for (const double v : year.*row) (fine.*row).insert((fine.*row).end(), 6, v);
    }
    const Compiled whole = compile(b, spell_of(b.site, fine, 180, 1), {.step_s = 3600.0});
    EXPECT_DOUBLE_EQ(whole.model.value(whole.model.outdoor_air_C, 12, 0.0), year.dry_bulb_C[179 * 24 + 12]);
}

TEST(InnerGlass, LetsTheSunGoOn)
{
    input::Input in = shell();
    in.rooms = {room("Sun room", 0, 0, 5, 2), room("Inner", 0, 2, 5, 4)};
    in.rooms[0].openings = {window("south", 4, 2)};
    input::OpeningInput between = window("", 3, 2);
    between.in = {};
    between.to = "Inner";
    const auto sun_into_inner = [&] {
        const building::Building b = built(in);
        const Compiled c = compile(b, climate::cooling_design_day(b.site, b.site.months[0]));
        const std::size_t inner = c.zone_of_room[1];
        double sum = 0.0;
        for (const balance::Surface& s : c.model.surfaces)
            for (const balance::Face* face : {&s.outside, &s.inside})
                if (const auto* z = std::get_if<balance::ZoneFace>(face); z != nullptr && z->zone == inner)
                    for (const balance::Drive& d : z->absorbed_W) sum += d.factor;
        return sum;
    };
    EXPECT_EQ(sun_into_inner(), 0.0);
    in.rooms[0].openings.push_back(between);
    EXPECT_GT(sun_into_inner(), 0.3);
    EXPECT_LT(sun_into_inner(), 8.0); // less than what came in through 8 m2
}

TEST(Method, ChoosesFilmsInsideAndOut)
{
    input::Input in = one_room();
    in.rooms[0].openings = {window("south", 2, 1.5)};
    in.method.inside_films = "by difference";
    in.method.outside_films = "wind and sky";
    in.site.winter_wind = 6.0;
    const building::Building b = built(in);
    const balance::ThermalModel m = compile(b, climate::winter_design_day(b.site)).model;
    for (const balance::Surface& s : m.surfaces) {
        EXPECT_TRUE(std::get<balance::ZoneFace>(s.inside).natural);
        const auto* out = std::get_if<balance::OutdoorFace>(&s.outside);
        if (out == nullptr) continue;
        EXPECT_DOUBLE_EQ(m.value(*out->film_by_step, 0, 0.5), 4.0 + 4.0 * 6.0);
        ASSERT_TRUE(out->long_wave);
        EXPECT_GT(out->long_wave->sky_share, 0.3);
        EXPECT_EQ(out->long_wave->emissivity, s.part == balance::Part::window ? glass_emissivity : outside_emissivity);
        EXPECT_LT(m.value(out->long_wave->sky_C, 0, 0.5), -5.0);
    }
    const DesignLoads vary = design_loads(b);
    EXPECT_TRUE(vary.converged());
    EXPECT_GT(vary.runs[0].film_residual, 0.0);
    EXPECT_LE(vary.runs[0].film_residual, 0.01);
    in.method = {};
    const double fixed = design_loads(built(in)).loads.rooms[0].heating_W;
    EXPECT_NEAR(vary.loads.rooms[0].heating_W, fixed, 0.15 * fixed);
}

TEST(Method, HoldsFilmsToAPercentOfSmallPeaksToo)
{
    input::Input in = one_room();
    in.rooms[0].openings = {window("south", 1, 1)};
    in.rooms[0].use.cooling_setpoint = 23.0;
    in.method.inside_films = "by difference";
    in.method.outside_films = "wind and sky";
    const DesignLoads d = design_loads(built(in));
    ASSERT_GT(d.loads.rooms[0].cooling_W, 0.0);
    ASSERT_LT(d.loads.rooms[0].cooling_W, 300.0);
    for (const RunNote& note : d.runs) EXPECT_LE(note.film_residual, 0.01) << note.day;
}

TEST(Stratification, MakesTallRoomsNeedMore)
{
    input::Input in = one_room();
    in.rooms[0].height = 6.0;
    const double even = design_loads(built(in)).loads.rooms[0].heating_W;
    in.rooms[0].use.stratification = 6.0;
    const double warm_on_top = design_loads(built(in)).loads.rooms[0].heating_W;
    EXPECT_GT(warm_on_top, 1.03 * even);
    EXPECT_LT(warm_on_top, 1.30 * even);
}

TEST(MoistureBuffer, EvensOutTheDay)
{
    input::Input in = one_room();
    in.profiles = {profile_of("noon", "12-13 100 %")};
    in.rooms[0].use.moisture = 1e-4;
    in.rooms[0].use.moisture_profile = "noon";
    const auto swing = [&] {
        const building::Building b = built(in);
        const balance::ZoneDay day =
            run_periodic_day(compile(b, climate::cooling_design_day(b.site, b.site.months[0])).model).zones[0];
        const auto [low, high] = std::ranges::minmax(day.humidity_ratio);
        return high - low;
    };
    const double alone = swing();
    in.rooms[0].use.moisture_buffer = 10.0;
    EXPECT_LT(swing(), 0.4 * alone);
}

// --- conventions of air

TEST(Flows, OfOutdoorAirAsItIsWeighMoreInWinter)
{
    input::Input in = one_room();
    in.rooms[0].use.ventilation_flow = 0.05;
    const auto air_W = [&] {
        double sum = 0.0;
        const RoomLoads all = design_loads(built(in)).loads;
        for (const PaperTerm& t : all.rooms[0].paper)
            if (t.what == "infiltration" || t.what == "ventilation") sum += t.loss_W;
        return sum;
    };
    const double usual_W = air_W(), heating_W = design_loads(built(in)).loads.rooms[0].heating_W;
    in.method.outdoor_air_flows = "as outdoors";
    EXPECT_NEAR(air_W(), usual_W * 293.15 / 268.15, 1e-9 * usual_W); // 268.15 K outdoors
    const double more_W = design_loads(built(in)).loads.rooms[0].heating_W - heating_W;
    EXPECT_NEAR(more_W, usual_W * (293.15 / 268.15 - 1.0), 0.1 * more_W); // operative set-point: air is warmer
}

TEST(AirHeat, WithItsVapourIsMore)
{
    input::Input in = one_room();
    in.rooms[0].use.cooling_setpoint = 24.0;
    in.rooms[0].use.ventilation_flow = 0.05;
    const building::Building dry = built(in);
    in.method.air_heat = "moist";
    const building::Building moist = built(in);
    const climate::DesignDay july = climate::cooling_design_day(dry.site, dry.site.months[0]);
    EXPECT_DOUBLE_EQ(compile(dry, july).model.air_specific_heat_J_per_kgK, 1006.0);
    EXPECT_NEAR(compile(moist, july).model.air_specific_heat_J_per_kgK, 1006.0 + 1860.0 * july.humidity_ratio[0], 0.1);
    // the flow of dry air, and with it of moisture, stays what it was
    const auto moisture = [&](const building::Building& b) {
        return run_periodic_day(compile(b, july).model).zones[0].humidity_ratio[3];
    };
    EXPECT_NEAR(moisture(moist), moisture(dry), 1e-9);
}

} // namespace
} // namespace venture::loads
