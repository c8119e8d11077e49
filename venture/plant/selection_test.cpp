#include <venture/plant/selection.hpp>

#include <gtest/gtest.h>

namespace venture::plant {
namespace {

using services::Duty;

services::Services boiler_and_chiller(double margin, int units)
{
    services::Services s;
    s.plants = {{"boiler", services::PlantKind::boiler, margin, units},
                {"chiller", services::PlantKind::chiller, 0.0, 1}};
    s.circuits = {{"warm", Duty::heating, 70, 50, services::UnitKind::radiator, 0},
                  {"cold", Duty::cooling, 7, 12, services::UnitKind::fan_coil, 1}};
    s.rooms.assign(2, {0, 1});
    return s;
}

Products some_products()
{
    return {{{"ten", "", 10e3, 80}, {"twelve", "", 12e3, 80}, {"cool ten", "", 10.9e3, 60}},
            {{"five", "", {"five", {5, 9}, {20, 40}, {{5200, 4200}, {5800, 4800}}}}}};
}

loads::LoadDay july(double first_W, double second_W)
{
    loads::LoadDay day{"July", 7, 1.0, std::vector<double>(24, 0.0), std::vector<double>(24, 100.0)};
    day.sensible_W[10] = first_W;
    day.sensible_W[16] = second_W;
    return day;
}

loads::RoomLoads two_rooms()
{
    loads::RoomLoads all;
    for (const auto& [name, morning, evening] : {std::tuple{"East", 3000.0, 500.0}, {"West", 400.0, 2800.0}}) {
        loads::RoomLoad r{.room = name, .heated = true, .cooled = true, .heating_W = 5000.0};
        r.cooling_days = {july(morning, evening)};
        r.cooling_W = std::max(morning, evening) + 100.0;
        all.rooms.push_back(r);
    }
    return all;
}

TEST(SelectPlants, AddsHeatingAndTheMarginOnce)
{
    const auto plants = select_plants(two_rooms(), boiler_and_chiller(0.1, 1), some_products(), 30.0);
    EXPECT_DOUBLE_EQ(plants[0].rooms_W, 10000.0);
    EXPECT_NEAR(plants[0].duty_W, 11000.0, 1e-9);
    EXPECT_EQ(plants[0].choice.chosen->product, "twelve");
    EXPECT_EQ(plants[0].choice.next_down->product, "ten");
}

TEST(SelectPlants, RefusesABoilerThatIsNotHotEnough)
{
    const auto plants = select_plants(two_rooms(), boiler_and_chiller(0.05, 1), some_products(), 30.0);
    EXPECT_EQ(plants[0].choice.chosen->product, "twelve"); // "cool ten" would fit but delivers 60 degC at most
}

TEST(SelectPlants, SharesTheDutyAmongEqualUnits)
{
    const auto plants = select_plants(two_rooms(), boiler_and_chiller(0.0, 2), some_products(), 30.0);
    EXPECT_EQ(plants[0].choice.chosen->product, "ten");
    EXPECT_EQ(plants[0].choice.chosen->count, 2);
}

TEST(SelectPlants, CoolsTheCoincidentPeakAndSaysWhen)
{
    const auto plants = select_plants(two_rooms(), boiler_and_chiller(0.0, 1), some_products(), 30.0);
    EXPECT_DOUBLE_EQ(plants[1].rooms_W, 3000.0 + 400.0 + 200.0); // at 10 h standard, not the sum of peaks
    EXPECT_DOUBLE_EQ(plants[1].coincident.sum_of_peaks_W, 3100.0 + 2900.0);
    EXPECT_EQ(plants[1].coincident.when.clock_hour, 11);
    EXPECT_TRUE(plants[1].met());
}

TEST(SelectPlants, AddsTypedLoadsAtTheirPeak)
{
    loads::RoomLoads all = two_rooms();
    all.rooms[1].typed = true;
    all.rooms[1].cooling_days.clear();
    all.rooms[1].cooling_sensible_W = 2800.0;
    all.rooms[1].cooling_latent_W = 100.0;
    const auto plants = select_plants(all, boiler_and_chiller(0.0, 1), some_products(), 30.0);
    EXPECT_DOUBLE_EQ(plants[1].rooms_W, 3100.0 + 2900.0);
    EXPECT_FALSE(plants[1].coincident.by_hour);
}

TEST(SelectPlants, RatesAKeptPlant)
{
    services::Services s = boiler_and_chiller(0.0, 1);
    s.kept = {{"boiler", Duty::heating, "ten", 1, 8000.0, {}}};
    const auto plants = select_plants(two_rooms(), s, some_products(), 30.0);
    EXPECT_TRUE(plants[0].kept && plants[0].met());
    EXPECT_NEAR(plants[0].duty_moved, 0.25, 1e-12);
}

TEST(SelectPlants, MeetsNothingOutsideTheTable)
{
    EXPECT_FALSE(select_plants(two_rooms(), boiler_and_chiller(0.0, 1), some_products(), 45.0)[1].met());
}

} // namespace
} // namespace venture::plant
