#include <venture/fabric/glass_heat.hpp>

#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::fabric {
namespace {

TEST(InwardOfFaces, FollowsTheResistances)
{
    const InwardOfFaces of = inward_of_faces(0.33, 0.04, 0.13); // in all 0.50
    EXPECT_NEAR(of.outer, 0.08, 1e-12);
    EXPECT_NEAR(of.inner, 0.74, 1e-12);
}

TEST(HeatOnFaces, ReachesTheRoomAsSaid)
{
    const InwardOfFaces of = inward_of_faces(0.4);
    for (const double flows_in : {0.0, 0.02, 0.1, 0.3})
        for (const double taken_up : {0.05, 0.2, 0.4, 0.9}) {
            const FaceHeat heat = heat_on_faces(flows_in, taken_up, of);
            EXPECT_NEAR(heat.inner * of.inner + heat.outer * of.outer, flows_in, 1e-12);
            EXPECT_GE(heat.inner, 0.0);
            EXPECT_GE(heat.outer, 0.0);
        }
}

TEST(HeatOnFaces, IsAllThatIsTakenUpWhereTwoHeatsCanSaySo)
{
    const FaceHeat heat = heat_on_faces(0.1, 0.3, inward_of_faces(0.4));
    EXPECT_NEAR(heat.inner + heat.outer, 0.3, 1e-12);
}

TEST(HeatOnFaces, OfASinglePaneIsHalfOnEach)
{
    const double half_m2K_per_W = 0.002; // 4 mm of glass: the middle lets flow in what stands before it
    const InwardOfFaces of = inward_of_faces(2.0 * half_m2K_per_W);
    const FaceHeat heat = heat_on_faces(0.2 * 0.5 * (of.outer + of.inner), 0.2, of);
    EXPECT_NEAR(heat.inner, 0.1, 1e-9);
    EXPECT_NEAR(heat.outer, 0.1, 1e-9);
}

TEST(HeatOnFaces, StandsOnTheInnerFaceWhereNobodyKnowsWhatIsTakenUp)
{
    const InwardOfFaces of = inward_of_faces(0.4);
    const FaceHeat heat = heat_on_faces(0.1, std::nullopt, of);
    EXPECT_NEAR(heat.inner, 0.1 / of.inner, 1e-12);
    EXPECT_EQ(heat.outer, 0.0);
}

TEST(HeatOnFaces, RefusesWhatIsNone)
{
    EXPECT_THROW((void)heat_on_faces(-0.1, 0.3, {0.1, 0.7}), quantity::RangeError);
    EXPECT_THROW((void)inward_of_faces(-0.1), quantity::RangeError);
    EXPECT_THROW((void)inward_of_faces(0.1, 0.0), quantity::RangeError);
}

} // namespace
} // namespace venture::fabric
