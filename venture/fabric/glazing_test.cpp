#include <venture/fabric/glazing.hpp>

#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::fabric {
namespace {

TEST(AngularFactor, IsOneAheadAndNothingAlong)
{
    EXPECT_DOUBLE_EQ(angular_factor(1.0), 1.0);
    EXPECT_NEAR(angular_factor(1e-6), 0.0, 1e-4);
    EXPECT_EQ(angular_factor(0.0), 0.0);
    EXPECT_EQ(angular_factor(-0.5), 0.0);
}

TEST(AngularFactor, FallsWithTheAngleAndHardlyBelow40Degrees)
{
    double last = 1.0;
    for (double c = 0.99; c > 0.0; c -= 0.01) {
        EXPECT_LE(angular_factor(c), last + 1e-12);
        last = angular_factor(c);
    }
    EXPECT_GT(angular_factor(0.766), 0.96); // 40 degrees
    EXPECT_LT(angular_factor(0.342), 0.70); // 70 degrees
}

TEST(DiffuseAngularFactor, LiesWhereHandbooksPutIt)
{
    EXPECT_GT(diffuse_angular_factor(), 0.80); // two clear panes keep 0.84 to 0.88 of their normal transmittance
    EXPECT_LT(diffuse_angular_factor(), 0.90);
}

TEST(FaceToFaceResistance, StripsTheFilmsOnce)
{
    EXPECT_NEAR(face_to_face_resistance({.name = "g", .u_value_W_per_m2K = 1.4}), 1.0 / 1.4 - 0.17, 1e-12);
}

TEST(FaceToFaceResistance, RefusesAUValueThatLeavesNone)
{
    EXPECT_THROW((void)face_to_face_resistance({.name = "g", .u_value_W_per_m2K = 6.0}), quantity::RangeError);
}

} // namespace
} // namespace venture::fabric
