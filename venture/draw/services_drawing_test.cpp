#include <venture/draw/services_drawing.hpp>

#include <algorithm>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/draw/graph_layout.hpp>
#include <venture/services/services_for_tests.hpp>

namespace venture::draw {
namespace {

using namespace services::for_tests; // NOLINT(google-build-using-namespace): words of these tests
using services::DemandAt;
using services::Service;
using services::Services;

std::string drawn(const Services& s, Picture picture = Picture::svg, std::vector<std::string> products = {})
{
    std::vector<DemandAt> leaves;
    for (const services::NodeId room : s.places.rooms) {
        leaves.push_back({room, Service::heating, services::Demand::of_peak(2000.0, 0.0, 24)});
        leaves.push_back({room, Service::cooling, services::Demand::of_peak(900.0, 100.0, 24)});
    }
    return draw_services(s, needs_of(s, leaves),
                         {.picture = picture, .title = "A job", .products = std::move(products)});
}

TEST(ServicesDrawing, IsAPictureOfItsKindAndTheSameTwice)
{
    const Services s = connected(two_circuits(), {client("A", true, true), client("B")});
    EXPECT_THAT(drawn(s), testing::StartsWith("<?xml"));
    EXPECT_THAT(drawn(s, Picture::png), testing::StartsWith("\x89PNG"));
    EXPECT_THAT(drawn(s, Picture::pdf), testing::StartsWith("%PDF"));
    EXPECT_EQ(drawn(s), drawn(s));
}

/// Nobody, rooms that nobody serves, circuits in every arrangement, names that would be markup or commands.
TEST(ServicesDrawing, DrawsWhateverThereIs)
{
    EXPECT_FALSE(drawn({}).empty());
    input::Input in = two_circuits();
    in.plants.push_back(plant("\"]; x -> \n{rank=<b>&amp;", "boiler"));
    in.plants[0].at_most = 1500.0;
    in.plants[0].units = 3.0;
    in.plants[0].standby_units = 1.0;
    in.plants[0].margin = 0.1;
    in.circuits[0].plant = {};
    in.circuits[0].plants = quantity::TextList{{"boiler", {}}, {*in.plants[2].name, {}}};
    in.circuits.push_back(circuit("=1+1", "heating", 40, 30, ""));
    in.circuits.back().plant = {};
    in.circuits.back().from = std::string{"warm"};
    in.circuits.back().diversity = 0.9;
    in.circuits.push_back(circuit("air", "cooling", 7, 12, "chiller"));
    in.circuits.back().demand = 4000.0;
    std::vector<services::Client> rooms;
    for (int i = 0; i < 60; ++i)
        rooms.push_back(client(("<b>\"x\"&amp; `id` " + std::to_string(i)).c_str(), true, i > 3));
    rooms[0].heated_by = "=1+1";
    rooms[1].heated_by = "nothing";
    for (std::size_t i = 2; i < rooms.size(); ++i) rooms[i].heated_by = "warm";
    const std::string svg = drawn(connected(in, rooms), Picture::svg, {"2 x <Cairngrate>", "", "NOTHING SUFFICES"});
    EXPECT_THAT(svg, testing::StartsWith("<?xml"));
    EXPECT_THAT(svg, testing::Not(testing::HasSubstr("<b>")));
}

/// Boxes that a link joins stand from left to right and do not cover one another; lines lead from one to the other.
TEST(GraphLayout, PutsServedBesideTheirServers)
{
    const std::vector<BoxSize> boxes = {
        {100, 40, BoxSize::Stands::first}, {80, 60}, {120, 50, BoxSize::Stands::last}, {90, 30, BoxSize::Stands::last}};
    const GraphLayout laid = lay_out(boxes, {{0, 1}, {1, 2}, {0, 3}, {0, 3}});
    for (const auto& [left, right] : {std::pair{0, 1}, {1, 2}, {0, 3}}) {
        const auto l = static_cast<std::size_t>(left), r = static_cast<std::size_t>(right);
        EXPECT_LT(laid.middles[l].x + 0.5 * boxes[l].width, laid.middles[r].x - 0.5 * boxes[r].width);
    }
    EXPECT_NEAR(laid.middles[2].x, laid.middles[3].x, 1.0);
    EXPECT_GT(std::abs(laid.middles[2].y - laid.middles[3].y), 40.0);
    for (const std::vector<Spot>& curve : laid.curves) {
        ASSERT_GE(curve.size(), 4U);
        EXPECT_EQ(curve.size() % 3, 1U);
        for (const Spot& spot : curve) {
            EXPECT_GE(spot.y, -1.0);
            EXPECT_LE(spot.y, laid.height + 1.0);
        }
    }
    EXPECT_TRUE(lay_out({}, {}).middles.empty());
}

} // namespace
} // namespace venture::draw
