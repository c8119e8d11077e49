#include <venture/terminal/electric_heater.hpp>

#include <gtest/gtest.h>

#include <venture/rating/verdict.hpp>

namespace venture::terminal {
namespace {

ElectricHeaterData panel()
{
    ElectricHeaterData d;
    d.name = std::string{"panel"};
    d.height = 0.4;
    d.length = 0.8;
    d.output = 1000.0;
    return d;
}

TEST(ElectricHeater, TakesWhatItGivesWithoutWater)
{
    const auto out = std::get<rating::Output>(ElectricHeater{panel(), ""}.rate({}));
    EXPECT_EQ(out.gives_W[rating::Service::heating], 1000.0);
    EXPECT_EQ(out.electric_W, 1000.0);
    EXPECT_TRUE(std::isnan(out.water_kg_per_s));
}

TEST(ElectricHeater, IsAsWarmToTouchAsItsMakerSaysOrNobodyKnows)
{
    ElectricHeaterData d = panel();
    const auto at = rating::Conditions{}.set(rating::At::room, 20.0);
    EXPECT_TRUE(std::isnan(rating::surface_C(ElectricHeater{d, ""}.label(), at)));
    d.surface = 62.0;
    EXPECT_EQ(rating::surface_C(ElectricHeater{d, ""}.label(), at), 62.0);
}

} // namespace
} // namespace venture::terminal
