#include <venture/draw/plan_drawing.hpp>

#include <cmath>
#include <regex>
#include <string>

#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/quantity/error.hpp>

namespace venture::draw {
namespace {

using namespace testing_data;

struct Drawn {
    building::Building building{};
    loads::RoomLoads loads{};
};

Drawn drawn(const input::Input& in)
{
    Drawn out{built(in), {}};
    out.loads = loads::design_loads(out.building).loads;
    return out;
}

/// As bytes: what is drawn otherwise differs.
std::string plan(const Drawn& d, const PlanOptions& options) { return draw_plan(d.building, d.loads, options); }

input::Input two_rooms()
{
    input::Input in = shell();
    in.rooms = {room("Hall", 0, 0, 6, 5), room("Store", 6, 0, 4, 5)};
    in.rooms[1].use.heating_setpoint = {};
    return in;
}

TEST(PlanDrawing, IsTheSameTwiceInThreeKinds)
{
    const Drawn d = drawn(two_rooms());
    for (const Picture kind : {Picture::svg, Picture::png, Picture::pdf}) {
        const std::string once = plan(d, {.picture = kind});
        EXPECT_GT(once.size(), 2000U);
        EXPECT_EQ(once, plan(d, {.picture = kind}));
    }
}

TEST(PlanDrawing, ChangesWithWhatIsAskedFor)
{
    const Drawn d = drawn(two_rooms());
    const std::string usual = plan(d, {});
    EXPECT_NE(plan(d, {.labels = {PlanLabel::name, PlanLabel::volume}}), usual);
    EXPECT_NE(plan(d, {.labels = {PlanLabel::height, PlanLabel::temperature, PlanLabel::air}}), usual);
    const std::string by_figure = plan(d, {.figure = PlanFigure{{40.0, 10.0}, "power_per_area", ""}});
    EXPECT_NE(by_figure, usual);
    EXPECT_NE(by_figure, plan(d, {.figure = PlanFigure{{10.0, 40.0}, "power_per_area", ""}})); // whose value is whose
    EXPECT_NE(plan(d, {.more_lines = {{"coldest 18 degC"}, {}}}), usual);
    for (const PlanFill fill : {PlanFill::type, PlanFill::heating, PlanFill::cooling, PlanFill::air})
        EXPECT_NE(plan(d, {.fill = fill}), usual);
    EXPECT_NE(plan(d, {.storey = 1}), usual);
    EXPECT_NE(plan(d, {.marks = {{"Hall", "look here"}}}), usual);
}

/// Length of the thick lines of an SVG: walls to outdoors.
double length_of_outside_walls(const std::string& svg)
{
    static const std::regex thick{R"(stroke-width:5;[^>]*d="M ([0-9.]+) ([0-9.]+) L ([0-9.]+) ([0-9.]+))"};
    double sum = 0.0;
    for (std::sregex_iterator line{svg.begin(), svg.end(), thick}, end; line != end; ++line) {
        const auto at = [&](std::size_t k) { return std::stod((*line)[k]); };
        sum += std::hypot(at(3) - at(1), at(4) - at(2));
    }
    return sum;
}

TEST(PlanDrawing, ShowsWallsAsTheyAreWhereTheStoreyIsCut)
{
    input::Input in = shell(); // the hall looks to the store below, and to outdoors above it and beside it
    in.rooms = {room("Hall", 0, 0, 6, 9), room("Store", 6, 0, 4, 5)};
    const double level = length_of_outside_walls(plan(drawn(in), {.storey = 0}));
    in.rooms[0].height = 5.5;
    EXPECT_GT(level, 100.0);
    EXPECT_NEAR(length_of_outside_walls(plan(drawn(in), {.storey = 0})), level, 1e-6);
}

TEST(PlanDrawing, MarksWhatMovedSinceAnOlderVersion)
{
    const Drawn now = drawn(two_rooms());
    input::Input in = two_rooms();
    in.rooms[0].size = quantity::QuantityList{6.0, 4.0};
    const Drawn was = drawn(in);
    const std::string against_itself = plan(now, {.older = {&now.building, &now.loads}});
    EXPECT_NE(plan(now, {.older = {&was.building, &was.loads}}), against_itself);
}

TEST(PlanDrawing, ShowsAPlanOfSixtyRoomsAndOfRoomsWithoutAPlace)
{
    input::Input in = shell();
    for (int i = 0; i < 60; ++i) {
        const std::string name = "Consulting room " + std::to_string(i + 1);
        in.rooms.push_back(room(name.c_str(), 3.0 * (i % 10), 4.0 * (i / 10), 3, 4));
    }
    EXPECT_GT(plan(drawn(in), {}).size(), 20000U);
    input::Input off = two_rooms();
    off.rooms[1].at = {};
    for (const char* on : {"south", "east", "north", "west", "floor", "roof"}) {
        input::FaceInput face;
        face.on = std::string{on};
        face.beyond = "outdoors";
        off.rooms[1].faces.push_back(face);
    }
    input::Input alone = two_rooms();
    alone.rooms.pop_back();
    EXPECT_LT(plan(drawn(off), {}).size(), plan(drawn(two_rooms()), {}).size());
}

TEST(PlanDrawing, LaysItOverAPaperPlan)
{
    const Drawn d = drawn(two_rooms());
    const std::string paper = plan(d, {.picture = Picture::png, .width = 200, .height = 100});
    PlanOptions o{.picture = Picture::png};
    o.paper = PaperPlan{paper, {{20, 80}, {180, 80}}, {{0, 0}, {10, 0}}};
    EXPECT_NE(plan(d, o), plan(d, {.picture = Picture::png}));
    o.paper->seen[1] = o.paper->seen[0];
    EXPECT_THROW((void)plan(d, o), quantity::Error);
    o.paper = PaperPlan{"no picture", {{20, 80}, {180, 80}}, {{0, 0}, {10, 0}}};
    EXPECT_THROW((void)plan(d, o), quantity::Error);
}

} // namespace
} // namespace venture::draw
