#include <venture/plant/selection.hpp>

#include <gtest/gtest.h>

#include <venture/plant/boiler.hpp>
#include <venture/plant/chiller.hpp>
#include <venture/services/wiring.hpp>

namespace venture::plant {
namespace {

using rating::Service;

const rating::Kind radiators = {.key = "radiator", .words = "radiator", .gives = {Service::heating}};
const rating::Kind coils = {.key = "coil", .words = "coil", .gives = {Service::cooling}};

services::Services boiler_and_chiller(double margin, int units)
{
    services::Services s;
    s.plants = {{.name = "boiler", .kind = &boiler, .margin = margin, .units = units},
                {.name = "chiller", .kind = &chiller}};
    s.circuits = {
        {.name = "warm",
         .carries = Service::heating,
         .supply_C = 70,
         .return_C = 50,
         .unit = &radiators,
         .plants = {0}},
        {.name = "cold", .carries = Service::cooling, .supply_C = 7, .return_C = 12, .unit = &coils, .plants = {1}}};
    services::Servers both;
    both[Service::heating] = {{0}};
    both[Service::cooling] = {{1}};
    s.rooms.assign(2, both);
    services::wire({{.room = "East"}, {.room = "West"}}, s);
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

services::Demand day(double morning_W, double evening_W)
{
    services::Demand out{.sensible_W = std::vector<double>(24, 0.0), .latent_W = std::vector<double>(24, 100.0)};
    out.sensible_W[10] = morning_W;
    out.sensible_W[16] = evening_W;
    out.sum_of_peaks_W = out.peak_W();
    return out;
}

/// East and West: 5 kW of heating each, and 3.1 kW of cooling in the morning or 2.9 kW in the evening.
std::vector<services::DemandAt> two_rooms()
{
    const services::Demand heating = services::Demand::of_peak(5000.0, 0.0, 24);
    return {{0, Service::heating, heating},
            {1, Service::heating, heating},
            {0, Service::cooling, day(3000.0, 500.0)},
            {1, Service::cooling, day(400.0, 2800.0)}};
}

std::vector<PlantSelection> select(const std::vector<services::DemandAt>& rooms, const services::Services& services,
                                   const Outdoors& outdoors = {.hottest_C = 30.0}, const services::PassOn& take = {})
{
    return select_plants(services::needs_of(services, rooms, take), services, some_products(), outdoors);
}

TEST(SelectPlants, AddsHeatingAndTheMarginOnce)
{
    const auto plants = select(two_rooms(), boiler_and_chiller(0.1, 1));
    EXPECT_DOUBLE_EQ(plants[0].rooms_W, 10000.0);
    EXPECT_NEAR(plants[0].duty.W, 11000.0, 1e-9);
    EXPECT_EQ(plants[0].choice.chosen->product().name(), "twelve");
    EXPECT_EQ(plants[0].choice.next_down->product().name(), "ten");
}

TEST(SelectPlants, RefusesABoilerThatIsNotHotEnough)
{
    const auto plants = select(two_rooms(), boiler_and_chiller(0.05, 1));
    EXPECT_EQ(plants[0].choice.chosen->product().name(), "twelve"); // "cool ten" would fit but delivers 60 degC at most
}

TEST(SelectPlants, SharesTheDutyAmongEqualUnits)
{
    const auto plants = select(two_rooms(), boiler_and_chiller(0.0, 2));
    EXPECT_EQ(plants[0].choice.chosen->product().name(), "ten");
    EXPECT_EQ(plants[0].choice.chosen->count(), 2);
}

TEST(SelectPlants, CoolsTheCoincidentPeakAndSaysWhen)
{
    const auto plants = select(two_rooms(), boiler_and_chiller(0.0, 1));
    EXPECT_DOUBLE_EQ(plants[1].rooms_W, 3000.0 + 400.0 + 200.0); // at 10 h standard, not the sum of peaks
    EXPECT_DOUBLE_EQ(plants[1].sum_of_peaks_W, 3100.0 + 2900.0);
    EXPECT_EQ(plants[1].hour, 10U);
    EXPECT_TRUE(plants[1].met());
}

TEST(SelectPlants, AddsTypedLoadsAtTheirPeak)
{
    std::vector<services::DemandAt> rooms = two_rooms();
    rooms[3].demand = services::Demand::of_peak(2800.0, 100.0, 24);
    const auto plants = select(rooms, boiler_and_chiller(0.0, 1));
    EXPECT_DOUBLE_EQ(plants[1].rooms_W, 3100.0 + 2900.0);
    EXPECT_FALSE(plants[1].by_hour);
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
    const services::Services s = boiler_and_chiller(0.0, 1);
    const auto fifty_more = [&](services::NodeId node, Service service, services::Demand& demand) {
        if (s.network.nodes[node].role == services::Role::unit && service == Service::cooling)
            for (double& W : demand.latent_W) W += 50.0;
    };
    const auto plants = select(two_rooms(), s, {.hottest_C = 30.0}, fifty_more);
    EXPECT_DOUBLE_EQ(plants[1].rooms_W, 3600.0);
    EXPECT_DOUBLE_EQ(plants[1].units_W, 3700.0);
    EXPECT_DOUBLE_EQ(plants[1].duty.W, 3700.0);
}

TEST(SelectPlants, LeaveOneOfTheirUnitsForStandby)
{
    services::Services s = boiler_and_chiller(0.0, 3);
    s.plants[0].standby = 1;
    services::wire({{.room = "East"}, {.room = "West"}}, s);
    const auto plants = select(two_rooms(), s);
    EXPECT_NEAR(plants[0].duty.W, 15000.0, 1e-9); // two of three give 10 kW
    EXPECT_DOUBLE_EQ(plants[0].circuits_W, 10000.0);
}

/// A kind of this test's own, which heats and cools: rated in winter for one, in summer for the other, one product for both.
class HeatPump : public rating::Product {
public:
    HeatPump(const char* name, double heats_W, double cools_W)
        : Product{rating::Label{.name = name}},
          heats_W_{heats_W},
          cools_W_{cools_W}
    {
    }
    [[nodiscard]] std::variant<rating::Output, rating::Refusal> rate(const rating::Conditions& at) const override
    {
        rating::Output out;
        out.gives_W[Service::heating] = at[rating::At::outdoor_dry_bulb] < 10.0 ? heats_W_ : 0.0;
        out.gives_W[Service::cooling] = at[rating::At::outdoor_dry_bulb] > 20.0 ? cools_W_ : 0.0;
        return out;
    }

private:
    double heats_W_, cools_W_;
};

TEST(SelectPlants, ChooseOneProductForTwoServices)
{
    const rating::Kind heat_pump = {
        .key = "heat_pump", .words = "heat pump", .gives = {Service::heating, Service::cooling}};
    services::Services s = boiler_and_chiller(0.0, 1);
    s.plants = {{.name = "heat pump", .kind = &heat_pump}};
    s.circuits[0].plants = s.circuits[1].plants = {0};
    services::wire({{.room = "East"}, {.room = "West"}}, s);
    rating::Stocks stocks;
    for (const auto& [name, heats_W, cools_W] :
         {std::tuple{"cold one", 9000.0, 3700.0}, {"warm one", 10100.0, 3000.0}, {"both", 11000.0, 4000.0}})
        stocks.of(heat_pump).products.push_back(std::make_shared<const HeatPump>(name, heats_W, cools_W));
    const auto plants =
        select_plants(services::needs_of(s, two_rooms()), s, stocks, {.hottest_C = 30.0, .coldest_C = -10.0});
    ASSERT_EQ(plants.size(), 2U);
    for (const PlantSelection& plant : plants) {
        ASSERT_TRUE(plant.met());
        EXPECT_EQ(plant.choice.chosen->called(), "both");
    }
    EXPECT_DOUBLE_EQ(plants[0].duty.W, 10000.0);
    EXPECT_DOUBLE_EQ(plants[1].duty.W, 3600.0);
    EXPECT_EQ(plants[0].rooms.size(), 2U);
}

TEST(SelectPlants, RateAChillerInTheAirThatItTakes)
{
    services::Services s = boiler_and_chiller(0.0, 1);
    s.plants[1].air_warmer_K = 6.0;
    const auto plants = select(two_rooms(), s);
    EXPECT_DOUBLE_EQ(plants[1].outdoor_C, 36.0);
    const auto cooler = select(two_rooms(), boiler_and_chiller(0.0, 1));
    EXPECT_LT(plants[1].choice.chosen->all().gives_W[Service::cooling],
              cooler[1].choice.chosen->all().gives_W[Service::cooling]);
}

} // namespace
} // namespace venture::plant
