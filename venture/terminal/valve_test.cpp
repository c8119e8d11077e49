#include <venture/terminal/valve.hpp>

#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::terminal {
namespace {

ValveData data()
{
    ValveData d;
    d.name = std::string{"valve"};
    d.settings = quantity::QuantityList{1, 2, 3, 4};
    d.flow_coefficients = quantity::QuantityList{0.05, 0.1, 0.2, 0.4};
    return d;
}

/// 100 L/h at 10 kPa need Kv = 0.1 / sqrt(0.1) = 0.3162; the next setting has 0.4: (0.1 / 0.4)^2 bar = 6.25 kPa.
TEST(Valve, IsSetToTheLowestThatLetsTheFlowThrough)
{
    const ValveSetting s = Valve{data(), ""}.set_for(100.0 / 3600.0, 10e3, 0.0);
    EXPECT_NEAR(s.needed_m3_per_h, 0.316228, 1e-6);
    EXPECT_EQ(s.setting, 4.0);
    EXPECT_NEAR(s.drop_Pa, 6250.0, 1e-6);
    EXPECT_NEAR(s.authority, 0.625, 1e-9);
    EXPECT_TRUE(s.suffices);
}

TEST(Valve, HasWhatItsUnitLeaves)
{
    const Valve valve{data(), ""};
    const ValveSetting all = valve.set_for(0.01, 10e3, 0.0), less = valve.set_for(0.01, 10e3, 7.5e3);
    EXPECT_NEAR(less.needed_m3_per_h, 2.0 * all.needed_m3_per_h, 1e-9);
}

TEST(Valve, TellsWhereItIsTooSmall)
{
    const ValveSetting s = Valve{data(), ""}.set_for(1.0, 10e3, 0.0);
    EXPECT_FALSE(s.suffices);
    EXPECT_EQ(s.setting, 4.0);
    EXPECT_GT(s.drop_Pa, 10e3);
    EXPECT_FALSE(Valve(data(), "").set_for(0.001, 10e3, 11e3).suffices); // the unit alone takes more
}

TEST(Valve, ExactlyMetIsEnough)
{
    const Valve valve{data(), ""};
    for (const double kv : {0.05, 0.1, 0.2, 0.4}) {
        const ValveSetting s = valve.set_for(kv * 1000.0 / 3600.0, 1e5, 0.0);
        EXPECT_EQ(s.has_m3_per_h, kv);
        EXPECT_NEAR(s.authority, 1.0, 1e-9);
    }
}

TEST(Valve, RefusesListsThatDoNotBelongTogether)
{
    ValveData d = data();
    d.settings = quantity::QuantityList{1, 2, 3};
    EXPECT_THROW((Valve{d, ""}), quantity::Error);
    d = data();
    d.flow_coefficients = quantity::QuantityList{0.05, 0.1, 0.1, 0.4};
    EXPECT_THROW((Valve{d, ""}), quantity::Error);
}

} // namespace
} // namespace venture::terminal
