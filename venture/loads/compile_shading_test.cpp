/// Reveals, plates and what stands near: what they take from a building's sun.

#include <cmath>

#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/loads/compile.hpp>
#include <venture/loads/design_loads.hpp>

namespace venture::loads {
namespace {

using namespace testing_data;

input::Input sunny_room()
{
    input::Input in = one_room();
    in.rooms[0].openings = {window("south", 3.0, 1.5)};
    in.rooms[0].use.cooling_setpoint = 25.0;
    return in;
}

input::ObstructionInput block(double x, double y, double along_x, double along_y, double top)
{
    input::ObstructionInput o;
    o.name = "block";
    o.at = quantity::QuantityList{x, y};
    o.size = quantity::QuantityList{along_x, along_y};
    o.top = top;
    return o;
}

double cooling_W(const input::Input& in) { return design_loads(built(in)).loads.rooms[0].cooling_W; }

/// Beam through the window, W/m2 of glass, when it is noon: the first drive of what the floor takes up.
double beam_at_noon(const input::Input& in)
{
    const building::Building b = built(in);
    const balance::ThermalModel m = compile(b, climate::cooling_design_day(b.site, b.site.months[0])).model;
    for (const balance::Surface& s : m.surfaces)
        if (s.part == balance::Part::ground)
            return m.value(std::get<balance::ZoneFace>(s.inside).absorbed_W.at(0).signal, 12 * 6, 0.0);
    return -1.0;
}

TEST(Overhang, TakesTheBeamThatItsShadowCovers)
{
    input::Input in = sunny_room();
    const double whole = beam_at_noon(in);
    in.rooms[0].openings[0].overhang = 0.3;
    in.rooms[0].openings[0].overhang_beyond = 50.0;
    const building::Building b = built(in);
    const climate::DesignDay july = climate::cooling_design_day(b.site, b.site.months[0]);
    const climate::SunPosition sun = july.sun[12];
    const double profile =
        std::tan(sun.elevation_deg() * M_PI / 180.0) / std::cos((sun.azimuth_deg - 180.0) * M_PI / 180.0);
    ASSERT_GT(whole, 50.0);
    EXPECT_NEAR(beam_at_noon(in) / whole, 1.0 - 0.3 * profile / 1.5, 1e-4);
}

TEST(Shading, LowersCoolingMoreTheMoreItCovers)
{
    input::Input in = sunny_room();
    in.rooms[0].use.equipment_power = 600.0;
    std::vector<double> loads{cooling_W(in)};
    in.rooms[0].openings[0].reveal = 0.15;
    loads.push_back(cooling_W(in));
    in.rooms[0].openings[0].overhang = 1.0;
    loads.push_back(cooling_W(in));
    in.rooms[0].openings[0].fins = 1.0;
    loads.push_back(cooling_W(in));
    in.obstructions = {block(-5.0, -6.0, 15.0, 1.0, 9.0)};
    loads.push_back(cooling_W(in));
    for (std::size_t i = 1; i < loads.size(); ++i) EXPECT_LT(loads[i], loads[i - 1]) << i;
}

TEST(Obstruction, BehindTheWindowTakesNothing)
{
    input::Input in = sunny_room();
    const double alone = beam_at_noon(in);
    in.obstructions = {block(-5.0, 20.0, 15.0, 5.0, 30.0)}; // north of the house
    EXPECT_DOUBLE_EQ(beam_at_noon(in), alone);
    in.obstructions = {block(-5.0, -8.0, 15.0, 5.0, 30.0)};
    EXPECT_EQ(beam_at_noon(in), 0.0);
}

TEST(Obstruction, ThatLetsSunThroughWeakensIt)
{
    input::Input in = sunny_room();
    const double alone = beam_at_noon(in);
    in.obstructions = {block(-5.0, -8.0, 15.0, 5.0, 30.0)};
    in.obstructions[0].transmittance = 0.25;
    EXPECT_NEAR(beam_at_noon(in), 0.25 * alone, 1e-9);
    in.obstructions[0].transmittance_bare = 0.8; // July has leaves
    EXPECT_NEAR(beam_at_noon(in), 0.25 * alone, 1e-9);
    in.obstructions.push_back(block(-5.0, -30.0, 15.0, 5.0, 60.0)); // a second tree behind the first, denser
    in.obstructions[1].name = "behind it";
    in.obstructions[1].transmittance = 0.1;
    EXPECT_NEAR(beam_at_noon(in), 0.1 * alone, 1e-9);
    in.obstructions[0].transmittance = in.obstructions[1].transmittance = 1.0;
    EXPECT_NEAR(beam_at_noon(in), alone, 1e-9);
}

TEST(Obstruction, HasLeavesInTheHalfOfTheYearThatIsSummerThere)
{
    input::Input in = sunny_room();
    in.rooms[0].openings[0].in = "north";
    in.site.latitude = -35.0;
    in.obstructions = {block(-5.0, 7.0, 15.0, 5.0, 40.0)};
    in.obstructions[0].transmittance = 0.1;
    in.obstructions[0].transmittance_bare = 0.5;
    const double july = beam_at_noon(in);
    in.obstructions[0].transmittance_bare = 1.0;
    EXPECT_NEAR(july, 0.5 * beam_at_noon(in), 1e-9);
}

/// The plan turned one way and its north the other: the same building under the same sun.
TEST(Shading, TurnsWithThePlan)
{
    input::Input in = shell();
    in.rooms = {room("Room", 0, 0, 5, 4)};
    in.rooms[0].use.cooling_setpoint = 25.0;
    in.rooms[0].openings = {window("south", 3.0, 1.5)};
    in.rooms[0].openings[0].overhang = 0.5;
    in.obstructions = {block(1.0, -5.0, 3.0, 2.0, 5.0)};
    const double straight = cooling_W(in);
    const double turn = 37.0 * M_PI / 180.0;
    const auto turned = [&](double x, double y) {
        return quantity::Point{x * std::cos(turn) - y * std::sin(turn), x * std::sin(turn) + y * std::cos(turn)};
    };
    in.rooms[0].at = in.rooms[0].size = {};
    in.rooms[0].corners = quantity::PointList{turned(0, 0), turned(5, 0), turned(5, 4), turned(0, 4)};
    in.obstructions[0].at = in.obstructions[0].size = {};
    in.obstructions[0].corners = quantity::PointList{turned(1, -5), turned(4, -5), turned(4, -3), turned(1, -3)};
    in.rooms[0].openings[0].in = "south-east"; // what the plan calls it now
    in.site.plan_bearing = 37.0;
    EXPECT_NEAR(cooling_W(in), straight, 1e-4 * straight); // corners lie on a grid
}

/// Another house takes sun while it is near, and none at all once it is so far that nobody could see it.
TEST(OwnWalls, TakeSunFromEachOtherWhileTheyAreNear)
{
    input::Input alone = sunny_room();
    const double whole = cooling_W(alone);
    const auto beside = [&](double south_m) {
        input::Input in = sunny_room();
        in.rooms.push_back(room("House", 0, -south_m, 5, 4));
        in.rooms[1].use.cooling_setpoint = {};
        return cooling_W(in);
    };
    EXPECT_LT(beside(8.0), 0.99 * whole);
    EXPECT_LT(beside(8.0), beside(20.0));
    EXPECT_NEAR(beside(500.0), whole, 1e-6 * whole);
}

} // namespace
} // namespace venture::loads
