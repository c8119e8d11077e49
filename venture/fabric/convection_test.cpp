#include <venture/fabric/convection.hpp>

#include <cmath>

#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::fabric {
namespace {

TEST(NaturalConvection, OfLargeFacesGoesWithTheCubeRootOfTheDifference)
{
    const ConvectionCurve wall{{.cos_tilt = 0.0}}, floor{{.cos_tilt = 1.0}}, ceiling{{.cos_tilt = -1.0}};
    EXPECT_NEAR(wall.at(8.0), 1.31 * 2.0, 1e-9);
    EXPECT_DOUBLE_EQ(wall.at(-8.0), wall.at(8.0));
    const ConvectionCurve leaning{{.cos_tilt = 0.01}};
    EXPECT_NEAR(leaning.at(8.0), wall.at(8.0), 0.02 * wall.at(8.0)); // the laws all but meet
    EXPECT_NEAR(leaning.at(-8.0), wall.at(-8.0), 0.02 * wall.at(8.0));
    EXPECT_NEAR(floor.at(8.0), 9.482 * 2.0 / 6.283, 1e-9);  // warm floor: driven
    EXPECT_NEAR(floor.at(-8.0), 1.810 * 2.0 / 2.382, 1e-9); // cold floor: held
    EXPECT_DOUBLE_EQ(ceiling.at(-8.0), floor.at(8.0));
    EXPECT_DOUBLE_EQ(ceiling.at(8.0), floor.at(-8.0));
}

TEST(NaturalConvection, OfRoomSizedFacesIsTheSumOfSixthPowers)
{
    const double d = 5.0, height = 2.7, width = 4.0;
    const ConvectionCurve wall{{NaturalLaw::room_sized, 0.0, height}}, floor{{NaturalLaw::room_sized, 1.0, width}};
    EXPECT_NEAR(wall.at(d),
                std::pow(std::pow(1.5 * std::pow(d / height, 0.25), 6) + std::pow(1.23 * std::cbrt(d), 6), 1.0 / 6.0),
                1e-12);
    EXPECT_NEAR(floor.at(d),
                std::pow(std::pow(1.4 * std::pow(d / width, 0.25), 6) + std::pow(1.63 * std::cbrt(d), 6), 1.0 / 6.0),
                1e-12);
    EXPECT_NEAR(floor.at(-d), 0.6 * std::pow(d / (width * width), 0.2), 1e-12);
}

void expect_many_as_each(std::vector<NaturalLaw> laws)
{
    ConvectionCurves all;
    std::vector<ConvectionCurve> each;
    std::vector<double> difference;
    for (const NaturalLaw law : laws)
        for (const double cosine : {-1.0, -0.4, 0.0, 0.9})
            for (double d = -30.0; d < 30.0; d += 0.37) {
                all.add({law, cosine, 2.5});
                each.emplace_back(NaturalConvection{law, cosine, 2.5});
                difference.push_back(d);
            }
    difference.at(3) = 0.0;
    std::vector<double> film(all.size());
    all.at(0, all.size(), difference.data(), film.data());
    for (std::size_t i = 0; i < film.size(); ++i) EXPECT_NEAR(film[i], each[i].at(difference[i]), 1e-12 * film[i]);
}

TEST(NaturalConvection, OfManyFacesIsThatOfEach)
{
    expect_many_as_each({NaturalLaw::turbulent});
    expect_many_as_each({NaturalLaw::turbulent, NaturalLaw::room_sized});
}

TEST(NaturalConvection, NeverStops)
{
    for (const NaturalLaw law : {NaturalLaw::turbulent, NaturalLaw::room_sized})
        for (const double cosine : {-1.0, 0.0, 1.0}) {
            const ConvectionCurve face{{law, cosine, 3.0}};
            EXPECT_EQ(face.at(0.0), least_convection_W_per_m2K);
            double before = 0.0;
            for (double d = 0.0; d < 60.0; d += 0.5) {
                EXPECT_GE(face.at(d), before);
                before = face.at(d);
            }
        }
    EXPECT_THROW(ConvectionCurve({.cos_tilt = 1.5}), quantity::RangeError);
    EXPECT_THROW(ConvectionCurve({NaturalLaw::room_sized, 0.0, 0.0}), quantity::RangeError);
}

TEST(WindConvection, FollowsTheLawThatIsAsked)
{
    EXPECT_DOUBLE_EQ(wind_convection_W_per_m2K(WindLaw::iso_6946, 4.0), 20.0);
    EXPECT_DOUBLE_EQ(wind_convection_W_per_m2K(WindLaw::flat_plate, 0.0), 5.62);
    EXPECT_NEAR(wind_convection_W_per_m2K(WindLaw::flat_plate, 4.88),
                wind_convection_W_per_m2K(WindLaw::flat_plate, 4.8801), 0.02);
    EXPECT_THROW((void)wind_convection_W_per_m2K(WindLaw::iso_6946, -1.0), quantity::RangeError);
}

TEST(Radiation, IsTheFourthPowersOverTheirDifference)
{
    const double sigma = 5.670374419e-8, warm = 293.15, cold = 263.15;
    EXPECT_NEAR(radiation_W_per_m2K(0.9, 20.0, -10.0) * 30.0, 0.9 * sigma * (std::pow(warm, 4) - std::pow(cold, 4)),
                1e-10);
    EXPECT_NEAR(radiation_W_per_m2K(1.0, 20.0, 20.0), 5.714, 1e-3); // 4 sigma 293.15^3
}

} // namespace
} // namespace venture::fabric
