/// Heat that radiates from units, beside heat that goes into the air.

#include <venture/loads/emission.hpp>

#include <algorithm>

#include <gtest/gtest.h>

#include <building_questions.hpp>

namespace venture::loads {
namespace {

using testing_data::built;

/// A room beside a floating one, with as many air changes as are asked for.
input::Input airy(double changes_per_h, bool operative = true)
{
    input::Input in =
        testing_data::with_rooms({testing_data::room("A", 0, 0, 5, 4), testing_data::room("B", 5, 0, 5, 4)});
    in.rooms[0].use.heating_setpoint = 20.0;
    in.rooms[0].use.infiltration = changes_per_h;
    if (!operative) in.rooms[0].use.control = "air";
    return in;
}

double peak_W(const building::Building& b, double share)
{
    const auto hours_W = heating_with_radiant_shares(b, {share, 0.0}, {});
    EXPECT_EQ(hours_W.size(), 2U);
    EXPECT_EQ(hours_W[0].size(), 24U);
    return *std::ranges::max_element(hours_W[0]);
}

TEST(Emission, WithoutRadiationIsTheLoadOfWinterDesign)
{
    const building::Building b = built(airy(1.0));
    const DesignLoads loads = design_loads(b, {});
    EXPECT_NEAR(peak_W(b, 0.0), loads.loads.rooms[0].heating_W, 1e-6 * loads.loads.rooms[0].heating_W);
    const auto known = heating_with_radiant_shares(b, {0.0, 0.0}, {.known = loads.models});
    for (std::size_t h = 0; h < 24; ++h)
        EXPECT_NEAR(known[0][h], loads.loads.rooms[0].heating_hours_W[h], 1e-6 * loads.loads.rooms[0].heating_W);
}

/// What people feel is held: the more radiates, the colder may the air be that leaks out.
TEST(Emission, SavesWhereMuchAirIsWarmed)
{
    const building::Building b = built(airy(4.0));
    EXPECT_LT(peak_W(b, 0.6), 0.99 * peak_W(b, 0.0));
    EXPECT_GT(peak_W(b, 0.6), 0.8 * peak_W(b, 0.0));
    EXPECT_LT(peak_W(b, 0.6), peak_W(b, 0.3));
}

/// Air is held: what radiates warms walls beyond that.
TEST(Emission, CostsWhereAirIsHeld)
{
    const building::Building b = built(airy(0.0, false));
    EXPECT_GT(peak_W(b, 0.5), peak_W(b, 0.0));
}

} // namespace
} // namespace venture::loads
