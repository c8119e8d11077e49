#include <venture/plant/chiller.hpp>

#include <cmath>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/rating/printed_capacity.hpp>

namespace venture::plant {
namespace {

using quantity::QuantityList;
using rating::At;
using rating::Service;

ChillerData data()
{
    ChillerData d;
    d.name = std::string{"five"};
    d.outdoor = QuantityList{20.0, 30.0, 40.0};
    for (const auto& [supply, capacity] :
         {std::pair{5.0, QuantityList{5200, 4800, 4200}}, {9.0, QuantityList{5800, 5400, 4800}}}) {
        ChillerRow& row = d.at_water.emplace_back();
        row.supply = supply;
        row.capacity = capacity;
    }
    return d;
}

rating::Conditions at(double supply_C, double outdoor_C, double height_m = 0.0)
{
    return rating::Conditions{}
        .set(At::water_supply, supply_C)
        .set(At::outdoor_dry_bulb, outdoor_C)
        .set(At::height_above_sea, height_m)
        .set(At::air_pressure, 101325.0 * rating::density_ratio_at(height_m));
}
double capacity_W(const Chiller& chiller, const rating::Conditions& at)
{
    return std::get<rating::Output>(chiller.rate(at)).gives_W[Service::cooling];
}

TEST(Chiller, ReadsItsTable)
{
    const Chiller chiller{data(), ""};
    EXPECT_NEAR(capacity_W(chiller, at(7.0, 30.0)), 5100.0, 1e-9);
    EXPECT_NEAR(capacity_W(chiller, at(5.0, 35.0)), 4500.0, 1e-9);
    EXPECT_EQ(std::get<rating::Refusal>(chiller.rate(at(4.0, 30.0))).what, At::water_supply);
    EXPECT_EQ(std::get<rating::Refusal>(chiller.rate(at(5.0, 41.0))).what, At::outdoor_dry_bulb);
}

TEST(Chiller, DoesLessInThinAir)
{
    const Chiller plain{data(), ""};
    const double thinner = 1.0 / rating::density_ratio_at(1500.0) - 1.0;
    EXPECT_NEAR(capacity_W(plain, at(7.0, 25.0, 1500.0)),
                capacity_W(plain, at(7.0, 25.0 + Chiller::condenser_approach_K * thinner)), 1e-9);
    ChillerData told = data();
    told.heights = QuantityList{0.0, 2000.0};
    told.height_factors = QuantityList{1.0, 0.9};
    const Chiller factored{told, ""};
    EXPECT_NEAR(capacity_W(factored, at(7.0, 25.0, 1000.0)), 0.95 * capacity_W(plain, at(7.0, 25.0)), 1e-9);
    EXPECT_EQ(std::get<rating::Refusal>(factored.rate(at(7.0, 25.0, 2100.0))).what, At::height_above_sea);
}

TEST(Chiller, TellsTheElectricityThatItTakesWhereItsMakerDoes)
{
    EXPECT_TRUE(std::isnan(std::get<rating::Output>(Chiller{data(), ""}.rate(at(7.0, 30.0))).electric_W));
    ChillerData d = data();
    d.at_water[0].power = QuantityList{1000, 1500, 2100};
    EXPECT_THROW((Chiller{d, ""}), quantity::Error); // of the other water nothing
    d.at_water[1].power = QuantityList{1000, 1400, 2000};
    const auto out = std::get<rating::Output>(Chiller{d, ""}.rate(at(7.0, 30.0)));
    EXPECT_NEAR(out.electric_W, 1450.0, 1e-9);
}

TEST(Chiller, DoesLessWithGlycolByItsMakersFactors)
{
    ChillerData d = data();
    const auto mixed = at(7.0, 30.0).set(At::glycol, 0.3);
    EXPECT_EQ(std::get<rating::Refusal>(Chiller{d, ""}.rate(mixed)).why, rating::Refusal::Why::no_factors);
    d.glycol = QuantityList{0.0, 0.4};
    d.glycol_factors = QuantityList{1.0, 0.92};
    EXPECT_NEAR(capacity_W(Chiller{d, ""}, mixed), 0.94 * 5100.0, 1e-9);
    EXPECT_NEAR(capacity_W(Chiller{d, ""}, at(7.0, 30.0)), 5100.0, 1e-9);
}

std::string what_is_wrong(const ChillerData& d)
{
    try {
        (void)Chiller{d, ""};
        return "nothing";
    } catch (const quantity::Error& wrong) {
        return wrong.what();
    }
}

TEST(Chiller, IsNotMadeOfATableThatRunsTheWrongWay)
{
    ChillerData d = data();
    d.at_water[0].capacity = QuantityList{4200, 4800, 5200};
    EXPECT_THAT(what_is_wrong(d), testing::HasSubstr("capacity rises from 4200 W at 20 degC outdoors to 4800 W"));
    d = data();
    std::swap(d.at_water[0].capacity, d.at_water[1].capacity);
    EXPECT_THAT(what_is_wrong(d), testing::HasSubstr("capacity falls from 5800 W with water at 5 degC"));
    d = data();
    d.at_water[0].capacity = QuantityList{5200.0};
    EXPECT_THAT(what_is_wrong(d), testing::HasSubstr("needs 6 values"));
    d = data();
    d.heights = QuantityList{0.0};
    EXPECT_THAT(what_is_wrong(d), testing::HasSubstr("belong together"));
}

} // namespace
} // namespace venture::plant
