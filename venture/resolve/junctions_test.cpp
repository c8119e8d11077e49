#include <venture/building/junctions.hpp>

#include <cmath>
#include <map>

#include <gmock/gmock.h>

#include <small_building.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {
namespace {

using namespace testing_data;
using testing::Contains;
using testing::HasSubstr;

std::map<std::string, double> lengths(const Building& b, std::string_view room)
{
    const auto all = junction_lengths_m(b, *b.find_room(room));
    std::map<std::string, double> out;
    for (std::size_t i = 0; i < junction_count; ++i)
        if (all.at(i) > 0.0) out[std::string{fabric::junction_words[i]}] = 1e-6 * std::round(1e6 * all.at(i));
    return out;
}

using Lengths = std::map<std::string, double>;

TEST(Junctions, OfABoxAreItsEdges)
{
    Input in = one_room();
    in.rooms[0].openings = {window("south", 2.0, 1.5)};
    EXPECT_EQ(
        lengths(built(in), "Room"),
        (Lengths{{"opening edge", 7.0}, {"ground floor edge", 18.0}, {"roof edge", 18.0}, {"outward corner", 12.0}}));
}

TEST(Junctions, BetweenTwoRoomsAreSharedByHalves)
{
    Input in = shell();
    in.rooms = {room("A", 0, 0, 5, 4), room("B", 5, 0, 3, 4), room("C", 0, 0, 5, 4, "upper")};
    const Building b = built(in);
    EXPECT_EQ(
        lengths(b, "A"),
        (Lengths{
            {"ground floor edge", 14.0}, {"inner floor edge", 7.0}, {"inner wall end", 3.0}, {"outward corner", 6.0}}));
    EXPECT_EQ(
        lengths(b, "B"),
        (Lengths{{"ground floor edge", 10.0}, {"roof edge", 10.0}, {"inner wall end", 3.0}, {"outward corner", 6.0}}));
    // Above the roof of B the wall of C stands on nothing that A has: its floor's edge there is no junction of walls.
    EXPECT_NEAR(lengths(b, "C").at("inner floor edge"), 9.0, 1e-9);
}

TEST(Junctions, HaveCornersThatTurnInwards)
{
    Input in = one_room();
    in.rooms[0].at = in.rooms[0].size = {};
    in.rooms[0].corners = quantity::PointList{{0, 0}, {6, 0}, {6, 2}, {3, 2}, {3, 5}, {0, 5}};
    const Lengths l = lengths(built(in), "Room");
    EXPECT_NEAR(l.at("outward corner"), 15.0, 1e-9);
    EXPECT_NEAR(l.at("inward corner"), 3.0, 1e-9);
    EXPECT_NEAR(l.at("roof edge"), 22.0, 1e-9);
}

TEST(Junctions, AreFoundOnWallsAtAnyAngle)
{
    Input in = one_room();
    in.rooms[0].at = in.rooms[0].size = {};
    in.rooms[0].corners = quantity::PointList{{0, 0}, {4.1, 1.3}, {2.8, 5.4}, {-1.3, 4.1}};
    const Lengths l = lengths(built(in), "Room");
    EXPECT_NEAR(l.at("ground floor edge"), 4.0 * std::hypot(4.1, 1.3), 1e-3);
    EXPECT_NEAR(l.at("outward corner"), 12.0, 1e-9);
}

ThermalBridgeInput bridge_at(const char* where, double psi)
{
    ThermalBridgeInput t;
    t.name = std::string{"junction, "} + where;
    t.at = std::string{where};
    t.psi = psi;
    return t;
}

TEST(Junctions, GiveThermalBridgesTheirLengthsInEveryRoom)
{
    Input in = shell();
    in.rooms = {room("A", 0, 0, 5, 4), room("B", 5, 0, 3, 4)};
    in.thermal_bridges = {bridge_at("roof edge", 0.1), bridge_at("inner wall end", 0.05)};
    const Building b = built(in);
    ASSERT_EQ(b.thermal_bridges.size(), 4u);
    EXPECT_NEAR(b.thermal_bridges[0].heat_loss_W_per_K, 0.1 * 14.0, 1e-12);
    EXPECT_NEAR(b.thermal_bridges[1].length_m, 10.0, 1e-12);
    EXPECT_NEAR(b.thermal_bridges[2].heat_loss_W_per_K, 0.05 * 3.0, 1e-12);
    in.thermal_bridges[0].room = "B";
    EXPECT_EQ(built(in).thermal_bridges.size(), 3u);
}

TEST(Junctions, ThatAreNowhereAreTold)
{
    Input in = one_room();
    in.thermal_bridges = {bridge_at("inward corner", -0.05)};
    const Resolved r = resolve(in);
    ASSERT_TRUE(r.building);
    std::vector<std::string> said;
    for (const auto& p : r.problems) said.push_back(p.message);
    EXPECT_THAT(said, Contains(HasSubstr("there is no inward corner here")));
    in.thermal_bridges[0].length = 3.0;
    EXPECT_FALSE(resolve(in).building);
}

TEST(Junctions, ThatTakeMoreOffThanOthersAddAreRefused)
{
    Input in = one_room();
    in.thermal_bridges = {bridge_at("outward corner", -0.1), bridge_at("roof edge", 0.05)};
    EXPECT_FALSE(resolve(in).building);
    in.thermal_bridges[1].psi = 0.08;
    EXPECT_TRUE(resolve(in).building);
}

} // namespace
} // namespace venture::resolve
