#include <venture/project/formats.hpp>

#include <gtest/gtest.h>

namespace venture::project {
namespace {

void rename_plan_angle(toml::table& root)
{
    if (toml::table* site = root["site"].as_table())
        if (const toml::node* old = site->get("plan_angle")) {
            site->insert("plan_bearing", *old->as_integer());
            site->erase("plan_angle");
        }
}

void double_plan_bearing(toml::table& root)
{
    auto* bearing = root["site"]["plan_bearing"].as_integer();
    if (bearing != nullptr) *bearing = bearing->get() * 2;
}

constexpr Upgrade steps[] = {rename_plan_angle, double_plan_bearing};

TEST(Upgrade, TakesEveryStepFromTheFilesFormatOn)
{
    toml::table oldest = toml::parse("[site]\nplan_angle = 21\n"), older = toml::parse("[site]\nplan_bearing = 21\n");
    EXPECT_TRUE(upgrade(oldest, 1, steps));
    EXPECT_EQ(oldest["site"]["plan_bearing"].value_or(0), 42);
    EXPECT_TRUE(upgrade(older, 2, steps));
    EXPECT_EQ(older["site"]["plan_bearing"].value_or(0), 42);
}

TEST(Upgrade, LeavesTheNewestAsItIs)
{
    toml::table newest = toml::parse("[site]\nplan_bearing = 42\n");
    EXPECT_TRUE(upgrade(newest, 3, steps));
    EXPECT_EQ(newest["site"]["plan_bearing"].value_or(0), 42);
}

TEST(Upgrade, KnowsNeitherFormatNoughtNorTheFuture)
{
    toml::table any;
    EXPECT_FALSE(upgrade(any, 0, steps));
    EXPECT_FALSE(upgrade(any, 4, steps));
    EXPECT_FALSE(upgrade(any, 2, upgrades()));
}

} // namespace
} // namespace venture::project
