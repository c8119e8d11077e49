#include <venture/plant/selection.hpp>

#include <gtest/gtest.h>

#include <venture/plant/boiler.hpp>
#include <venture/plant/chiller.hpp>

namespace venture::plant {
namespace {

using rating::Service;

const rating::Kind radiators = {.key = "radiator", .words = "radiator", .gives = {Service::heating}};
const rating::Kind coils = {.key = "coil", .words = "coil", .gives = {Service::cooling}};

services::Services boiler_and_chiller(double margin, int units)
{
    services::Services s;
    s.plants = {{"boiler", &boiler, margin, units}, {"chiller", &chiller, 0.0, 1}};
    s.circuits = {{"warm", Service::heating, 70, 50, &radiators, 0}, {"cold", Service::cooling, 7, 12, &coils, 1}};
    services::Link both;
    both[Service::heating] = 0;
    both[Service::cooling] = 1;
    s.rooms.assign(2, both);
    return s;
}

BoilerData boiler_of(const char* name, double output_W, double highest_C)
{
    BoilerData d;
    d.name = std::string{name};
    d.output = output_W;
    d.highest_supply = highest_C;
    return d;
}

ChillerData five()
{
    ChillerData d;
    d.name = std::string{"five"};
    d.outdoor = quantity::QuantityList{20.0, 40.0};
    for (const auto& [supply, capacity] :
         {std::pair{5.0, quantity::QuantityList{5200, 4200}}, {9.0, quantity::QuantityList{5800, 4800}}}) {
        ChillerRow& row = d.at_water.emplace_back();
        row.supply = supply;
        row.capacity = capacity;
    }
    return d;
}

const rating::Stocks& some_products()
{
    static const rating::Stocks all = [] {
        rating::Stocks s;
        for (const BoilerData& d :
             {boiler_of("ten", 10e3, 80), boiler_of("twelve", 12e3, 80), boiler_of("cool ten", 10.9e3, 60)})
            s.of(boiler).products.push_back(std::make_shared<const Boiler>(d, ""));
        s.of(chiller).products.push_back(std::make_shared<const Chiller>(five(), ""));
        return s;
    }();
    return all;
}

std::vector<PlantSelection> select(const loads::RoomLoads& loads, const services::Services& services,
                                   const Outdoors& outdoors = {.hottest_C = 30.0})
{
    return select_plants(loads, loads, services, some_products(), outdoors);
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
    const auto plants = select(two_rooms(), boiler_and_chiller(0.1, 1));
    EXPECT_DOUBLE_EQ(plants[0].rooms_W, 10000.0);
    EXPECT_NEAR(plants[0].duty.W, 11000.0, 1e-9);
    EXPECT_EQ(plants[0].choice.chosen->product->name(), "twelve");
    EXPECT_EQ(plants[0].choice.next_down->product->name(), "ten");
}

TEST(SelectPlants, RefusesABoilerThatIsNotHotEnough)
{
    const auto plants = select(two_rooms(), boiler_and_chiller(0.05, 1));
    EXPECT_EQ(plants[0].choice.chosen->product->name(), "twelve"); // "cool ten" would fit but delivers 60 degC at most
}

TEST(SelectPlants, SharesTheDutyAmongEqualUnits)
{
    const auto plants = select(two_rooms(), boiler_and_chiller(0.0, 2));
    EXPECT_EQ(plants[0].choice.chosen->product->name(), "ten");
    EXPECT_EQ(plants[0].choice.chosen->count, 2);
}

TEST(SelectPlants, CoolsTheCoincidentPeakAndSaysWhen)
{
    const auto plants = select(two_rooms(), boiler_and_chiller(0.0, 1));
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
    const auto plants = select(all, boiler_and_chiller(0.0, 1));
    EXPECT_DOUBLE_EQ(plants[1].rooms_W, 3100.0 + 2900.0);
    EXPECT_FALSE(plants[1].coincident.by_hour);
}

TEST(SelectPlants, RatesAKeptPlant)
{
    services::Services s = boiler_and_chiller(0.0, 1);
    s.kept = {{"boiler", Service::heating, "ten", 1, 8000.0, {}}};
    const auto plants = select(two_rooms(), s);
    EXPECT_TRUE(plants[0].kept && plants[0].met());
    EXPECT_NEAR(plants[0].duty_moved, 0.25, 1e-12);
}

TEST(SelectPlants, MeetsNothingOutsideTheTable)
{
    EXPECT_FALSE(select(two_rooms(), boiler_and_chiller(0.0, 1), {.hottest_C = 45.0})[1].met());
}

TEST(SelectPlants, CoolsWhatUnitsTakeAndSaysWhatRoomsNeed)
{
    loads::RoomLoads of_units = two_rooms();
    for (loads::RoomLoad& room : of_units.rooms)
        for (double& W : room.cooling_days[0].latent_W) W += 50.0;
    const auto plants =
        select_plants(two_rooms(), of_units, boiler_and_chiller(0.0, 1), some_products(), {.hottest_C = 30.0});
    EXPECT_DOUBLE_EQ(plants[1].rooms_W, 3600.0);
    EXPECT_DOUBLE_EQ(plants[1].units_W, 3700.0);
    EXPECT_DOUBLE_EQ(plants[1].duty.W, 3700.0);
}

TEST(SelectPlants, RateAChillerInTheAirThatItTakes)
{
    services::Services s = boiler_and_chiller(0.0, 1);
    s.plants[1].air_warmer_K = 6.0;
    const auto plants = select(two_rooms(), s);
    EXPECT_DOUBLE_EQ(plants[1].outdoor_C, 36.0);
    const auto cooler = select(two_rooms(), boiler_and_chiller(0.0, 1));
    EXPECT_LT(plants[1].choice.chosen->one.gives_W[Service::cooling],
              cooler[1].choice.chosen->one.gives_W[Service::cooling]);
}

} // namespace
} // namespace venture::plant
