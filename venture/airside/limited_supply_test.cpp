/// What is left undone where a supply, or what dries and humidifies a room, has a capacity.

#include <gmock/gmock.h>

#include <venture/airside/coil_loads.hpp>
#include <venture/airside/supplied_for_tests.hpp>
#include <venture/quantity/codes.hpp>

namespace venture::airside {
namespace {

using testing::HasSubstr;

/// An office that is cooled and dried.
input::Input damp_office()
{
    input::Input in = supplied(0.7, true);
    input::UseInput& use = in.rooms[0].use;
    use.cooling_setpoint = 24.0;
    use.humidity_limit = 0.5;
    use.equipment_power = 800.0;
    use.moisture = 3e-4;
    return in;
}

CoilLoads coils_of(const input::Input& in)
{
    const building::Building b = built(in);
    return coil_loads(b, loads::design_loads(b).loads);
}

TEST(LimitedSupply, HeatsAsMuchAsItCanAndTellsTheRest)
{
    input::Input in = supplied(0.7, true);
    const double area_m2 = built(in).rooms[0].floor_area_m2;
    const CoilLoad asked = coils_of(in).rooms[0];
    EXPECT_EQ(asked.heating_short_W, 0.0);
    in.air_supplies[0].greatest_heating = 0.6 * asked.heating_W / area_m2;
    const CoilLoads cut = coils_of(in);
    EXPECT_NEAR(cut.rooms[0].heating_W, 0.6 * asked.heating_W, 1e-9);
    EXPECT_NEAR(cut.rooms[0].heating_short_W, 0.4 * asked.heating_W, 1e-9);
    ASSERT_EQ(cut.problems.size(), 1u);
    EXPECT_EQ(cut.problems[0].code, quantity::codes::supply_short);
    EXPECT_THAT(cut.problems[0].message, HasSubstr("short"));
    in.air_supplies[0].greatest_heating = 1.001 * asked.heating_W / area_m2;
    const CoilLoads enough = coils_of(in);
    EXPECT_EQ(enough.rooms[0].heating_W, asked.heating_W);
    EXPECT_TRUE(enough.problems.empty());
}

TEST(LimitedSupply, CoolsTemperatureFirstAndDriesWithTheRest)
{
    input::Input in = damp_office();
    const double area_m2 = built(in).rooms[0].floor_area_m2;
    const CoilLoad asked = coils_of(in).rooms[0];
    const double latent_W = asked.cooling_W - asked.cooling_sensible_W;
    ASSERT_GT(latent_W, 100.0);
    // what is heated again comes on top, so that the bound lies lower than what is taken
    in.air_supplies[0].greatest_cooling = (asked.cooling_W - asked.reheat_W - 0.5 * latent_W) / area_m2;
    const CoilLoad cut = coils_of(in).rooms[0];
    EXPECT_NEAR(cut.cooling_sensible_W, asked.cooling_sensible_W, 1e-6);
    EXPECT_GE(cut.cooling_short_W, 0.5 * latent_W);
    EXPECT_LT(cut.cooling_short_W, latent_W);
    EXPECT_NEAR(cut.cooling_W + cut.cooling_short_W, asked.cooling_W, 1e-6);
    EXPECT_EQ(cut.reheat_W, asked.reheat_W);
}

TEST(LimitedSupply, LeavesHoursOutsideLimitsInAYear)
{
    input::Input in = damp_office();
    const double area_m2 = built(in).rooms[0].floor_area_m2;
    const loads::RoomYear all = fortnight(in, 182).rooms[0];
    EXPECT_FALSE(all.limited_moisture);
    EXPECT_EQ(all.run.too_warm_h + all.run.too_humid_h, 0.0);
    const double most_W = 0.6 * all.run.cooling_peak_W;
    in.air_supplies[0].greatest_cooling = most_W / area_m2;
    const loads::RoomYear cut = fortnight(in, 182).rooms[0];
    EXPECT_TRUE(cut.limited_moisture);
    EXPECT_LE(cut.run.cooling_peak_W, most_W * (1.0 + 1e-9));
    EXPECT_GT(cut.run.too_humid_h, 10.0);
    EXPECT_LT(cut.air.months[6].cooling_latent_J, all.air.months[6].cooling_latent_J);
}

TEST(LimitedSupply, OfWinterLeavesTheRoomTooCold)
{
    input::Input in = supplied(0.7, true);
    const double area_m2 = built(in).rooms[0].floor_area_m2;
    const loads::RoomYear all = fortnight(in, 1).rooms[0];
    in.air_supplies[0].greatest_heating = 0.5 * all.run.heating_peak_W / area_m2;
    const loads::RoomYear cut = fortnight(in, 1).rooms[0];
    EXPECT_NEAR(cut.run.heating_peak_W, 0.5 * all.run.heating_peak_W, 1e-6);
    EXPECT_GT(cut.run.too_cold_h, 20.0);
    in.rooms[0].use.heating_limit = 0.3 * all.run.heating_peak_W; // the smaller of the two holds
    EXPECT_NEAR(fortnight(in, 1).rooms[0].run.heating_peak_W, 0.3 * all.run.heating_peak_W, 1e-6);
}

/// Colder and drier than any supply air may be: a bound is for what coils do, and what they cannot do is no mistake.
TEST(LimitedSupply, ServesARoomThatItCannotHold)
{
    input::Input in = supplied(0.5, true);
    in.rooms[0].use.cooling_setpoint = 26.0;
    in.rooms[0].use.least_humidity = 0.5;
    in.rooms[0].use.humidifying_limit = 1e-6;
    in.air_supplies[0].greatest_heating = 5.0;
    in.air_supplies[0].coldest_supply = 16.0;
    in.air_supplies[0].driest_supply = 0.006;
    for (const bool held : {true, false}) {
        if (!held) {
            in.rooms[0].use = supplied(0.5, true).rooms[0].use;
            in.rooms[0].use.heating_setpoint = in.rooms[0].use.cooling_setpoint = quantity::Given<double>{};
        }
        const building::Building b = built(in);
        AirYear air{b};
        const loads::BuildingYear year = loads::run_year(b, climate::synthetic_year(climate::temperate_climate()),
                                                         {.step_s = 1800.0, .days = 10, .watcher = &air});
        EXPECT_LT(year.rooms[0].run.coldest_C, 14.0);
        EXPECT_TRUE(air.problems().empty());
        const loads::MonthAir& january = year.rooms[0].air.months[0];
        EXPECT_NEAR(january.fan_J, 2000.0 * flow * january.hours * 3600.0, 0.02 * january.fan_J); // no air beside
    }
}

/// Outdoor air that is drier than the room is no reason to wet it, where nobody asks for it.
TEST(LimitedHumidity, NobodyHumidifiesARoomWithoutALeastHumidity)
{
    input::Input in = damp_office();
    in.rooms[0].use.ventilation_flow = 0.15;
    const CoilLoad by_itself = coils_of(in).rooms[0];
    EXPECT_EQ(by_itself.humidifying_kg_per_s, 0.0);
    in.rooms[0].use.least_humidity = 0.45;
    EXPECT_GT(coils_of(in).rooms[0].humidifying_kg_per_s, 1e-5);
}

TEST(LimitedHumidity, OfTheRoomItselfIsCounted)
{
    input::Input in = aired(); // by windows, dried and humidified by what stands in it
    input::UseInput& use = in.rooms[0].use;
    use.least_humidity = 0.45;
    const loads::RoomYear all = fortnight(in, 1).rooms[0];
    const double asked_kg = all.months[0].humidifying_J / 2.501e6, mean_kg_per_s = asked_kg / (14.0 * 86400.0);
    use.humidifying_limit = 0.5 * mean_kg_per_s;
    const loads::RoomYear cut = fortnight(in, 1).rooms[0];
    EXPECT_GT(cut.run.too_dry_h, 100.0);
    EXPECT_LE(cut.months[0].humidifying_J, 0.5 * all.months[0].humidifying_J * (1.0 + 1e-9));
    use.least_humidity = quantity::Given<double>{};
    EXPECT_THAT(told(in, quantity::codes::contradiction), HasSubstr("no least humidity"));
}

} // namespace
} // namespace venture::airside
