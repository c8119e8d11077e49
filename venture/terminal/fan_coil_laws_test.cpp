/// Laws that hold for any fan coil in any air: tables are made of random coils, states and water at random.

#include <venture/terminal/fan_coil.hpp>

#include <random>

#include <fmt/format.h>
#include <gtest/gtest.h>

#include <venture/air/moist_air.hpp>
#include <venture/rating/choosing.hpp>

namespace venture::terminal {
namespace {

using rating::At;
using rating::Output;
using rating::Service;

constexpr double at_sea_Pa = 101325.0, density_kg_per_m3 = 1.2, rise_K = 5.0, table_dry_bulb_C = 27.0;

class AnyFanCoil : public testing::TestWithParam<unsigned> {
protected:
    AnyFanCoil() : random_{GetParam()} {}

    double between(double low, double high) { return std::uniform_real_distribution<>{low, high}(random_); }

    static rating::CoilFlows flows(double air_flow_m3_per_s, double wet_bulb_C, double supply_C)
    {
        return {.air_C = table_dry_bulb_C,
                .humidity_ratio = air::MoistAir::from_wet_bulb(quantity::Temperature::celsius(table_dry_bulb_C),
                                                               quantity::Temperature::celsius(wet_bulb_C),
                                                               quantity::Pressure::pascal(at_sea_Pa))
                                      .humidity_ratio(),
                .dry_air_kg_per_s = density_kg_per_m3 * air_flow_m3_per_s,
                .water_in_C = supply_C};
    }

    /// As a maker would print it: a coil that could be, at four waters and seven wet bulbs.
    FanCoil printed() { return FanCoil{data("any"), ""}; }
    FanCoilData data(std::string name)
    {
        for (;;) {
            FanCoilData d;
            d.name = name;
            d.air_flow = between(0.05, 0.5);
            d.entering_dry_bulb = table_dry_bulb_C;
            d.water_rise = rise_K;
            d.fan_power = between(10.0, 80.0);
            d.wet_bulbs = quantity::QuantityList{11, 13, 15, 17, 19, 21, 23};
            try {
                rating::CoilFlows rated = flows(*d.air_flow, 19.0, 7.0);
                const double total_W = between(10e3, 15e3) * *d.air_flow;
                rated.water_kg_per_s = total_W / (rating::specific_heat_of_water_J_per_kgK * rise_K);
                const auto coil = rating::CoilConductances::of({rated, total_W, between(0.66, 0.8) * total_W});
                for (const double supply_C : {6.0, 8.0, 10.0, 12.0}) {
                    quantity::QuantityList total, sensible;
                    for (const double wet_bulb_C : *d.wet_bulbs) {
                        const auto out = std::get<rating::CoilOutput>(
                            coil.cools_to(flows(*d.air_flow, wet_bulb_C, supply_C), supply_C + rise_K));
                        total.push_back(out.total_W);
                        sensible.push_back(out.sensible_W);
                    }
                    FanCoilRow& row = d.at_water.emplace_back();
                    row.supply = supply_C;
                    row.total = total;
                    row.sensible = sensible;
                }
                (void)FanCoil{d, ""};
                return d;
            } catch (const quantity::Error&) {         // no coil could do that
            } catch (const std::bad_variant_access&) { // nor with that water
            }
        }
    }

    static rating::Conditions state(double supply_C, double dry_bulb_C, double wet_bulb_C, double water_rise_K = rise_K,
                                    double pressure_Pa = at_sea_Pa)
    {
        return rating::Conditions{}
            .set(At::water_supply, supply_C)
            .set(At::water_return, supply_C + water_rise_K)
            .set(At::entering_dry_bulb, dry_bulb_C)
            .set(At::entering_wet_bulb, wet_bulb_C)
            .set(At::air_pressure, pressure_Pa);
    }
    static const Output* rated(const std::variant<Output, rating::Refusal>& out) { return std::get_if<Output>(&out); }

private:
    std::mt19937 random_;
};

TEST_P(AnyFanCoil, KeepsItsBalanceAndDriesOnlyAboveTheDewPoint)
{
    const FanCoil unit = printed();
    for (int i = 0; i < 200; ++i) {
        const double supply_C = between(6.0, 12.0), dry_bulb_C = between(20.0, 30.0),
                     wet_bulb_C = between(8.0, std::min(23.0, dry_bulb_C)), pressure_Pa = between(80e3, at_sea_Pa);
        const auto result = unit.rate(state(supply_C, dry_bulb_C, wet_bulb_C, between(3.0, 8.0), pressure_Pa));
        const Output* out = rated(result);
        if (out == nullptr) continue;
        const double total_W = out->gives_W[Service::cooling];
        EXPECT_GE(total_W, out->sensible_W);
        EXPECT_NEAR(out->taken_from_water_W(Service::cooling), total_W + out->fan_W, 1e-9 * std::abs(total_W));
        EXPECT_NEAR(out->condensate_kg_per_s * (air::latent_heat_of_vaporisation_J_per_kg + 1860.0 * dry_bulb_C),
                    out->latent_W(), 1e-9 * std::abs(total_W));
        const auto air = air::MoistAir::from_wet_bulb(quantity::Temperature::celsius(dry_bulb_C),
                                                      quantity::Temperature::celsius(wet_bulb_C),
                                                      quantity::Pressure::pascal(pressure_Pa));
        if (air::dew_point(air).celsius() <= supply_C) {
            EXPECT_EQ(out->latent_W(), 0.0);
            EXPECT_TRUE(out->dry);
        }
    }
}

TEST_P(AnyFanCoil, GivesLessToColderAirAndWithWarmerWater)
{
    const FanCoil unit = printed();
    int compared = 0;
    for (int i = 0; i < 200; ++i) {
        const double supply_C = between(6.0, 11.0), dry_bulb_C = between(22.0, 30.0),
                     wet_bulb_C = between(12.0, std::min(22.0, dry_bulb_C - 1.0)), water_rise_K = between(3.0, 8.0);
        const auto here = unit.rate(state(supply_C, dry_bulb_C, wet_bulb_C, water_rise_K)),
                   warmer_water = unit.rate(state(supply_C + 0.7, dry_bulb_C, wet_bulb_C, water_rise_K)),
                   colder_air = unit.rate(state(supply_C, dry_bulb_C - 1.0, wet_bulb_C - 0.8, water_rise_K));
        if (rated(here) == nullptr || rated(warmer_water) == nullptr || rated(colder_air) == nullptr) continue;
        ++compared;
        const double W = rated(here)->gives_W[Service::cooling];
        EXPECT_LT(rated(warmer_water)->gives_W[Service::cooling], W)
            << supply_C << " " << dry_bulb_C << " " << wet_bulb_C << " " << water_rise_K << " dry " << rated(here)->dry
            << rated(warmer_water)->dry;
        EXPECT_LT(rated(colder_air)->gives_W[Service::cooling], W)
            << supply_C << " " << dry_bulb_C << " " << wet_bulb_C << " " << water_rise_K << " dry " << rated(here)->dry
            << rated(colder_air)->dry;
    }
    EXPECT_GT(compared, 50);
}

/// What bounds leave out cannot have been best: the choice is that of an exhaustive search.
TEST_P(AnyFanCoil, IsChosenAmongManyAsWhenAllAreRated)
{
    std::vector<std::shared_ptr<const rating::Product>> products;
    for (int i = 0; i < 40; ++i)
        products.push_back(std::make_shared<const FanCoil>(data(fmt::format("coil {}", i)), ""));
    rating::Brackets brackets{products};
    for (int room = 0; room < 30; ++room) {
        const double dry_bulb_C = between(22.0, 27.0), supply_C = room % 3 == 0 ? 7.0 : 9.0;
        const double W = between(200.0, 9000.0);
        const rating::Asked asked{
            state(supply_C, dry_bulb_C, dry_bulb_C - between(3.0, 10.0), room % 2 == 0 ? 5.0 : 7.0),
            {Service::cooling, W, between(0.5, 1.0) * W,
             room % 4 == 0 ? std::optional{between(0.0, 0.3) * W} : std::nullopt}};
        rating::Wish wish{.counts = {1, 6}};
        if (room % 5 == 1) wish.aims = {rating::Aim::fewest_units, rating::Aim::least_water};
        if (room % 5 == 2) wish.aims = {rating::Aim::least_water};
        if (room % 5 == 3) wish.most_over = 0.2;
        const rating::Choice all = rating::choose(products, wish, asked),
                             some = rating::choose(products, wish, asked, {}, &brackets);
        const auto called = [](const std::optional<rating::Rated>& r) { return r ? r->called() : "none"; };
        EXPECT_EQ(called(some.chosen), called(all.chosen)) << room;
        EXPECT_EQ(called(some.runner_up), called(all.runner_up)) << room;
        EXPECT_EQ(called(some.next_down), called(all.next_down)) << room;
        EXPECT_EQ(called(some.refused), called(all.refused)) << room;
    }
}

INSTANTIATE_TEST_SUITE_P(Random, AnyFanCoil, testing::Range(1U, 13U));

} // namespace
} // namespace venture::terminal
