#include <venture/study/case.hpp>

#include <fmt/format.h>
#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/plant/boiler.hpp>
#include <venture/terminal/radiator.hpp>

namespace venture::study {
namespace {

Given one_room()
{
    Given given{.input = testing_data::one_room()};
    given.products = [](input::Input&, quantity::Problems&) {
        auto out = std::make_shared<rating::Stocks>();
        for (const double W : {500.0, 1500.0, 4000.0}) {
            terminal::RadiatorData d;
            d.name = fmt::format("Panel {:.0f}", W);
            d.height = d.length = 1.0;
            d.output = W;
            d.exponent = 1.3;
            out->of(terminal::radiator).products.push_back(std::make_shared<const terminal::Radiator>(d, ""));
        }
        plant::BoilerData d;
        d.name = std::string{"Kettle"};
        d.output = 20000.0;
        d.highest_supply = 90.0;
        out->of(plant::boiler).products.push_back(std::make_shared<const plant::Boiler>(d, ""));
        return out;
    };
    return given;
}

TEST(Case, ComputesEachStageWhenFirstAskedFor)
{
    const Case job{one_room()};
    EXPECT_FALSE(job.was_asked_for(Stage::building));
    ASSERT_TRUE(job.building());
    EXPECT_TRUE(job.was_asked_for(Stage::building));
    EXPECT_FALSE(job.was_asked_for(Stage::loads));
    const double heating = job.loads().loads.rooms[0].heating_W;
    EXPECT_GT(heating, 0.0);
    EXPECT_EQ(&job.loads(), &job.loads());
    EXPECT_EQ(job.sizing().units.at(0).duty.W, heating);
    EXPECT_FALSE(job.failed());
}

TEST(Case, WithAChangeIsAnotherCase)
{
    const Case job{one_room()};
    const Case colder = job.with({"site/winter_dry_bulb=-20 degC"});
    EXPECT_GT(colder.loads().loads.rooms[0].heating_W, job.loads().loads.rooms[0].heating_W);
    EXPECT_NE(colder.loads().loads.fingerprint, job.loads().loads.fingerprint);
    const Case wrong = job.with({"site/winter_dry_bulb=cold", "no equals sign"});
    EXPECT_TRUE(wrong.failed());
    EXPECT_EQ(wrong.problems().size(), 2u);
    EXPECT_FALSE(job.failed());
}

/// What loads do not follow from leaves them as they are, and yet where they come from is told in the new case's own words.
TEST(Case, SharesLoadsThatAChangeDoesNotTouch)
{
    const Case job{one_room()};
    const loads::DesignLoads& before = job.loads();
    const Case in_feet = job.with({"units/preset=inch-pound"});
    EXPECT_EQ(in_feet.loads().loads.fingerprint, before.loads.fingerprint);
    EXPECT_EQ(in_feet.loads().loads.rooms[0].heating_W, before.loads.rooms[0].heating_W);
    const auto words = [](const Case& c) {
        return c.input().origins.describe(c.loads().loads.rooms[0].heating_setpoint_origin);
    };
    EXPECT_EQ(words(in_feet), words(job));
    EXPECT_EQ(in_feet.units().symbol("power"), "Btu/h");
}

TEST(Case, GivesFiguresByPath)
{
    const Case job{one_room()};
    const auto heating = job.figures("room_load/*/heating");
    ASSERT_EQ(heating.size(), 1u);
    EXPECT_EQ(std::get<double>(heating[0].value), job.loads().loads.rooms[0].heating_W);
    EXPECT_FALSE(job.was_asked_for(Stage::sizes)); // nobody asked for units
    EXPECT_EQ(job.figures("unit/*/chosen").size(), 1u);
    EXPECT_TRUE(job.figures("no_table/*/x").empty());
}

} // namespace
} // namespace venture::study
