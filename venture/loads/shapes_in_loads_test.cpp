/// Shapes and neighbours as loads feel them: turned plans, own shadows, what is stated beyond a face.

#include <cmath>

#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/loads/compile.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/loads/paper_sum.hpp>

namespace venture::loads {
namespace {

using namespace testing_data;

input::Input three_rooms()
{
    input::Input in = shell();
    in.rooms = {room("A", 0, 0, 6, 5), room("B", 6, 0, 4, 5), room("C", 0, 0, 7, 5, "upper")};
    for (input::RoomInput& r : in.rooms) r.use.cooling_setpoint = 25.0;
    in.rooms[0].openings = {window("south", 3.0, 1.5)};
    in.rooms[1].openings = {window("east", 2.0, 1.2)};
    in.rooms[2].openings = {window("west", 2.0, 1.2)};
    return in;
}

/// Corners turned anticlockwise on the plan, and north with them; sides are called by what they look at on the plan.
input::Input turned(input::Input in, double by_deg, const std::vector<std::pair<std::string, std::string>>& sides)
{
    const double c = std::cos(by_deg * M_PI / 180.0), s = std::sin(by_deg * M_PI / 180.0);
    in.site.plan_bearing = by_deg;
    for (input::RoomInput& r : in.rooms) {
        const double x = (*r.at)[0], y = (*r.at)[1], w = (*r.size)[0], d = (*r.size)[1];
        quantity::PointList corners;
        for (const quantity::Point p : {quantity::Point{x, y}, {x + w, y}, {x + w, y + d}, {x, y + d}})
            corners.push_back({c * p.x_m - s * p.y_m, s * p.x_m + c * p.y_m});
        r.at = r.size = quantity::Given<quantity::QuantityList>{};
        r.corners = corners;
        for (input::OpeningInput& o : r.openings)
            for (const auto& [old, now] : sides)
                if (*o.in == old) {
                    o.in = now;
                    break;
                }
    }
    return in;
}

TEST(TurnedPlan, WithItsNorthHasTheSameLoads)
{
    const RoomLoads straight = design_loads(built(three_rooms())).loads;
    const RoomLoads askew =
        design_loads(built(turned(three_rooms(), 37.0,
                                  {{"south", "south-east"}, {"east", "north-east"}, {"west", "south-west"}})))
            .loads;
    for (std::size_t r = 0; r < 3; ++r) {
        EXPECT_NEAR(askew.rooms[r].heating_W / straight.rooms[r].heating_W, 1.0, 1e-6);
        EXPECT_NEAR(askew.rooms[r].cooling_W / straight.rooms[r].cooling_W, 1.0, 1e-6);
    }
}

/// Every room by the six faces of its box, heights above its storey.
input::Input by_faces(input::Input in)
{
    for (input::RoomInput& r : in.rooms) {
        const double x0 = (*r.at)[0], y0 = (*r.at)[1], x1 = x0 + (*r.size)[0], y1 = y0 + (*r.size)[1], z1 = 3.0;
        for (const quantity::PointList& corners :
             {quantity::PointList{{x0, y0, 0}, {x1, y0, 0}, {x1, y1, 0}, {x0, y1, 0}},
              {{x0, y0, z1}, {x1, y0, z1}, {x1, y1, z1}, {x0, y1, z1}},
              {{x0, y0, 0}, {x1, y0, 0}, {x1, y0, z1}, {x0, y0, z1}},
              {{x1, y0, 0}, {x1, y1, 0}, {x1, y1, z1}, {x1, y0, z1}},
              {{x0, y1, 0}, {x1, y1, 0}, {x1, y1, z1}, {x0, y1, z1}},
              {{x0, y0, 0}, {x0, y1, 0}, {x0, y1, z1}, {x0, y0, z1}}})
            r.faces.emplace_back().corners = corners;
        r.at = r.size = quantity::Given<quantity::QuantityList>{};
    }
    return in;
}

TEST(RoomsByTheirFaces, HaveTheLoadsOfTheSameBoxes)
{
    input::Input boxes = three_rooms();
    input::ObstructionInput block; // so that shadows are at work, too
    block.name = "block";
    block.at = quantity::QuantityList{0.0, -9.0};
    block.size = quantity::QuantityList{10.0, 4.0};
    block.top = 7.0;
    boxes.obstructions = {block};
    input::Input mixed = by_faces(boxes);
    mixed.rooms[1] = boxes.rooms[1]; // beside one that is typed by its size
    const RoomLoads typed = design_loads(built(boxes)).loads, faced = design_loads(built(by_faces(boxes))).loads,
                    both = design_loads(built(mixed)).loads;
    for (std::size_t r = 0; r < 3; ++r) {
        EXPECT_NEAR(faced.rooms[r].heating_W / typed.rooms[r].heating_W, 1.0, 1e-6);
        EXPECT_NEAR(faced.rooms[r].cooling_W / typed.rooms[r].cooling_W, 1.0, 1e-6);
        EXPECT_NEAR(both.rooms[r].heating_W / typed.rooms[r].heating_W, 1.0, 1e-6);
        EXPECT_NEAR(both.rooms[r].cooling_W / typed.rooms[r].cooling_W, 1.0, 1e-6);
    }
}

TEST(ShuffledRooms, HaveTheSameLoadsToTheBit)
{
    input::Input in = three_rooms();
    in.rooms[1].at = quantity::QuantityList{6.004, 0.003}; // to be mended
    const building::Building one = built(in);
    std::swap(in.rooms[0], in.rooms[2]);
    std::swap(in.rooms[0], in.rooms[1]);
    const building::Building other = built(in);
    const RoomLoads loads = design_loads(one).loads, shuffled = design_loads(other).loads;
    for (std::size_t r = 0; r < 3; ++r) {
        const std::size_t at = *other.find_room(one.rooms[r].name);
        EXPECT_EQ(loads.rooms[r].heating_W, shuffled.rooms[at].heating_W);
        EXPECT_EQ(loads.rooms[r].cooling_W, shuffled.rooms[at].cooling_W);
    }
}

/// Cooling of a room with a south window, and something in front of it, 4 m away.
double cooling_behind(bool a_wing, bool an_obstruction)
{
    input::Input in = one_room();
    in.rooms[0].openings = {window("south", 3.0, 1.5)};
    in.rooms[0].use.cooling_setpoint = 25.0;
    if (a_wing) in.rooms.push_back(room("Wing", -2, -10, 9, 6));
    if (a_wing) in.rooms[1].height = 8.0;
    if (an_obstruction) {
        input::ObstructionInput o;
        o.name = "block";
        o.at = quantity::QuantityList{-2, -10};
        o.size = quantity::QuantityList{9, 6};
        o.top = 8.0;
        in.obstructions = {o};
    }
    return design_loads(built(in)).loads.rooms[0].cooling_W;
}

TEST(OwnShadows, AreThoseOfABlockOfTheSameSize)
{
    const double open = cooling_behind(false, false), behind_wing = cooling_behind(true, false);
    EXPECT_LT(behind_wing, 0.97 * open);
    EXPECT_NEAR(behind_wing, cooling_behind(false, true), 1e-5 * open);
}

TEST(OwnShadows, DoNotFallOnAConvexBuilding)
{
    const building::Building b = built(three_rooms()); // the upper storey stands back from the lower one's east end
    const auto sun_on = [&](const char* face) {
        const Compiled c = compile(b, climate::cooling_design_day(b.site, b.site.months[0]));
        for (const balance::Surface& s : c.model.surfaces)
            if (s.id.find(face) != std::string::npos) {
                const auto& outside = std::get<balance::OutdoorFace>(s.outside);
                double sum = 0.0;
                for (std::size_t i = 0; i < c.model.steps; ++i)
                    sum += c.model.value(outside.absorbed_W.at(0).signal, i, 0.5);
                return sum;
            }
        return -1.0;
    };
    EXPECT_GT(sun_on("A / south wall"), 0.0);
    EXPECT_EQ(sun_on("A / south wall"), sun_on("B / south wall"));
    EXPECT_LT(sun_on("B / roof"), 0.999 * sun_on("C / roof")); // beside the higher room
}

building::Building behind_north(const input::FaceInput& north)
{
    input::Input in = one_room();
    in.rooms[0].faces = {north};
    return built(in);
}

/// Of the north wall in the sum on paper, W.
double on_paper_W(const building::Building& b)
{
    for (const PaperTerm& term : detail::paper_sum(b, 0, [](std::size_t) { return 0.0; }))
        if (term.what.starts_with("north wall")) return term.loss_W;
    return 0.0;
}

TEST(StatedNeighbours, GiveTheLossThatOneWorksOutByHand)
{
    input::FaceInput face;
    face.on = "north";
    const double wall = 0.2 / 0.8 + 0.1 / 0.04, area = 15.0, inside = 0.13, outside = 0.04; // brick, wool, brick
    const double by_air = area * 25.0 / (wall + inside + outside);
    EXPECT_NEAR(on_paper_W(behind_north(face)), by_air, 1e-9 * by_air);
    face.warmer_in_winter = 10.0;
    EXPECT_NEAR(on_paper_W(behind_north(face)), by_air * 15.0 / 25.0, 1e-9 * by_air);
    face.warmer_in_winter = {};
    face.beyond = "unheated space";
    face.reduction_factor = 0.4;
    EXPECT_NEAR(on_paper_W(behind_north(face)), area * 0.4 * 25.0 / (wall + 2.0 * inside), 1e-9 * by_air);
}

TEST(StatedNeighbours, AreTheTemperatureThatTheyComeTo)
{
    const auto heating = [](const input::FaceInput& north) {
        return design_loads(behind_north(north)).loads.rooms[0].heating_W;
    };
    input::FaceInput unheated, stated;
    unheated.on = stated.on = "north";
    unheated.beyond = "unheated space";
    unheated.reduction_factor = 0.4;
    stated.beyond = "a temperature";
    stated.temperature = 20.0 - 0.4 * 25.0;
    EXPECT_NEAR(heating(unheated), heating(stated), 1e-3);

    input::FaceInput warmer;
    warmer.on = "north";
    double loss[3] = {};
    for (int k = 0; k < 3; ++k) {
        warmer.warmer_in_winter = 10.0 * k;
        loss[k] = heating(warmer);
    }
    EXPECT_GT(loss[0] - loss[1], 40.0);
    EXPECT_NEAR(loss[0] - loss[1], loss[1] - loss[2], 1e-3);
}

TEST(StatedNeighbours, InPermanentShadeTakeNoBeam)
{
    const auto cooling = [](bool shade) {
        input::Input in = one_room();
        in.rooms[0].openings = {window("south", 3.0, 1.5)};
        in.rooms[0].use.cooling_setpoint = 25.0;
        if (shade) {
            input::FaceInput face;
            face.on = "south";
            face.sun = "none";
            in.rooms[0].faces = {face};
        }
        return design_loads(built(in)).loads.rooms[0].cooling_W;
    };
    EXPECT_LT(cooling(true), 0.85 * cooling(false));
}

TEST(SlopingRoofs, TakeTheSunOfTheirOwnTilt)
{
    const auto sun = [](const char* slope) {
        input::Input in = one_room();
        in.rooms[0].slopes = quantity::TextList{{slope, {}}};
        const building::Building b = built(in);
        const Compiled c = compile(b, climate::cooling_design_day(b.site, b.site.months[0]));
        for (const balance::Surface& s : c.model.surfaces)
            if (s.part == balance::Part::roof) {
                const balance::Drive drive = std::get<balance::OutdoorFace>(s.outside).absorbed_W.at(0);
                return c.model.value(drive.signal, 12 * 6, 0.0);
            }
        return -1.0;
    };
    EXPECT_GT(sun("south 2 m, 30 deg"), 1.2 * sun("north 2 m, 30 deg"));
}

} // namespace
} // namespace venture::loads
