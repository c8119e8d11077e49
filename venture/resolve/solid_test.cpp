/// Rooms given by their faces.

#include <algorithm>
#include <cmath>

#include <gtest/gtest.h>

#include <building_questions.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/resolve/resolve.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {
namespace {

using namespace testing_data;
namespace codes = quantity::codes;

constexpr double square_centimetre = 1e-4;

FaceInput face(PointList corners, const char* name = "")
{
    FaceInput f;
    f.corners = std::move(corners);
    if (*name != '\0') f.name = std::string{name};
    return f;
}

RoomInput solid(const char* name, std::vector<FaceInput> faces, const char* storey = "ground")
{
    RoomInput r = room(name, 0, 0, 1, 1, storey);
    r.at = {};
    r.size = {};
    r.faces = std::move(faces);
    return r;
}

/// Floor, roof, south, east, north and west of a box.
std::vector<FaceInput> box(double x0, double y0, double x1, double y1, double z0, double z1)
{
    return {face({{x0, y0, z0}, {x1, y0, z0}, {x1, y1, z0}, {x0, y1, z0}}),
            face({{x0, y0, z1}, {x1, y0, z1}, {x1, y1, z1}, {x0, y1, z1}}),
            face({{x0, y0, z0}, {x1, y0, z0}, {x1, y0, z1}, {x0, y0, z1}}),
            face({{x1, y0, z0}, {x1, y1, z0}, {x1, y1, z1}, {x1, y0, z1}}),
            face({{x0, y1, z0}, {x1, y1, z0}, {x1, y1, z1}, {x0, y1, z1}}),
            face({{x0, y0, z0}, {x0, y1, z0}, {x0, y1, z1}, {x0, y0, z1}})};
}

TEST(SolidRoom, ABoxIsTheRoomThatLengthAndWidthGive)
{
    const Building typed = built(with_rooms({room("Room", 1, 2, 5, 4)})),
                   faced = built(with_rooms({solid("Room", box(1, 2, 6, 6, 0, 3))}));
    ASSERT_EQ(faced.surfaces.size(), typed.surfaces.size());
    EXPECT_NEAR(faced.rooms[0].volume_m3, 60, 1e-9);
    EXPECT_NEAR(faced.rooms[0].floor_area_m2, 20, square_centimetre);
    EXPECT_NEAR(area_m2(faced.rooms[0].outline), 20, square_centimetre);
    for (const Surface& s : typed.surfaces) {
        const Surface& same = surface_called(faced, s.name);
        EXPECT_NEAR(same.gross_m2, s.gross_m2, square_centimetre) << s.name;
        EXPECT_EQ(same.attitude, s.attitude) << s.name;
        EXPECT_EQ(same.tilt_deg, s.tilt_deg) << s.name;
        EXPECT_NEAR(same.azimuth_deg, s.azimuth_deg, 1e-9) << s.name;
        EXPECT_EQ(same.build_up, s.build_up) << s.name;
        const SurfacePlane p = plane_of(same), q = plane_of(s);
        for (std::size_t k = 0; k < 3; ++k) EXPECT_NEAR(p.out[k], q.out[k], 1e-9) << s.name;
    }
}

TEST(SolidRoom, FacesMayBeWalkedRoundEitherWay)
{
    std::vector<FaceInput> faces = box(0, 0, 5, 4, 0, 3);
    for (std::size_t f : {1U, 2U, 5U}) std::ranges::reverse(*faces[f].corners.value);
    const Building b = built(with_rooms({solid("Room", faces)}));
    EXPECT_NEAR(b.rooms[0].volume_m3, 60, 1e-9);
    EXPECT_NEAR(area_of(b, "Room", "roof", "outdoors"), 20, square_centimetre);
    EXPECT_NEAR(area_of(b, "Room", "floor", "ground"), 20, square_centimetre);
    EXPECT_NEAR(surface_called(b, "south wall to outdoors").azimuth_deg, 180, 1e-9);
}

TEST(SolidRoom, MeetsTypedRoomsAndOthersOfItsKind)
{
    const Building b =
        built(with_rooms({room("B", 0, 0, 5, 4), solid("A", box(5, 1, 9, 5, 0, 3)),
                          solid("C", box(5, 1, 9, 5, 0, 2.5), "upper"), room("D", 0, 0, 5, 4, "upper")}));
    EXPECT_NEAR(area_of(b, "A", "west wall", "B"), 3 * 3, square_centimetre); // the room whose name comes first
    EXPECT_NEAR(area_of(b, "A", "west wall", "outdoors"), 1 * 3, square_centimetre);
    EXPECT_NEAR(area_of(b, "B", "east wall", "outdoors"), 1 * 3, square_centimetre);
    EXPECT_NEAR(area_of(b, "C", "floor", "A"), 16, square_centimetre); // the room above
    EXPECT_NEAR(area_of(b, "A", "roof", "outdoors"), 0, square_centimetre);
    EXPECT_EQ(surface_called(b, "west wall to B").face_beyond, "east wall");
    EXPECT_NEAR(area_of(b, "C", "west wall", "D"), 3 * 2.5, square_centimetre);
    EXPECT_NEAR(area_of(b, "D", "east wall", "outdoors"), 1 * 3 + 3 * 0.5, square_centimetre);
}

/// The attic of the slopes' golden case: 8 x 6 m, eaves at 1 m, 45 degrees both ways.
std::vector<FaceInput> attic()
{
    return {face({{0, 0, 0}, {8, 0, 0}, {8, 6, 0}, {0, 6, 0}}),
            face({{0, 0, 0}, {8, 0, 0}, {8, 0, 1}, {0, 0, 1}}),
            face({{0, 6, 0}, {8, 6, 0}, {8, 6, 1}, {0, 6, 1}}),
            face({{0, 0, 0}, {0, 6, 0}, {0, 6, 1}, {0, 3, 4}, {0, 0, 1}}, "west gable"),
            face({{8, 0, 0}, {8, 6, 0}, {8, 6, 1}, {8, 3, 4}, {8, 0, 1}}),
            face({{0, 0, 1}, {8, 0, 1}, {8, 3, 4}, {0, 3, 4}}),
            face({{0, 6, 1}, {8, 6, 1}, {8, 3, 4}, {0, 3, 4}})};
}

TEST(SolidRoom, AnAtticHasTheAreasOfItsSlopes)
{
    RoomInput sloped = room("Attic", 0, 0, 8, 6, "upper");
    sloped.slopes = TextList{{"south 1 m, 45 deg", {}}, {"north 1 m, 45 deg", {}}};
    const Building typed = built(with_rooms({sloped})), faced = built(with_rooms({solid("Attic", attic(), "upper")}));
    EXPECT_NEAR(faced.rooms[0].volume_m3, 8 * 6 * 1 + 8 * 6 * 3 / 2.0, 1e-9);
    EXPECT_NEAR(faced.rooms[0].volume_m3, typed.rooms[0].volume_m3, 1e-6);
    EXPECT_NEAR(area_of(faced, "Attic", "south slope", "outdoors"), 8 * 3 * std::sqrt(2.0), square_centimetre);
    EXPECT_NEAR(area_of(faced, "Attic", "west gable", "outdoors"), 6 * 1 + 9, square_centimetre);
    const Surface &a = surface_called(faced, "south slope to outdoors"),
                  &b = surface_called(typed, "south slope to outdoors");
    EXPECT_NEAR(a.tilt_deg, b.tilt_deg, 1e-9);
    EXPECT_NEAR(a.azimuth_deg, b.azimuth_deg, 1e-9);
    const SurfacePlane p = plane_of(a), q = plane_of(b);
    for (std::size_t k = 0; k < 3; ++k) {
        EXPECT_NEAR(p.zero_m[k], q.zero_m[k], 1e-6);
        EXPECT_NEAR(p.up[k], q.up[k], 1e-6);
    }
}

TEST(SolidRoom, CornersMayStandOnEdgesOfOthers) // a wall in two pieces over one floor
{
    std::vector<FaceInput> faces = box(0, 0, 5, 4, 0, 3);
    faces[2] = face({{0, 0, 0}, {2, 0, 0}, {2, 0, 3}, {0, 0, 3}});
    faces.push_back(face({{2, 0, 0}, {5, 0, 0}, {5, 0, 3}, {2, 0, 3}}));
    const Building b = built(with_rooms({solid("Room", faces)}));
    EXPECT_NEAR(area_of(b, "Room", "south wall", "outdoors"), 6, square_centimetre);
    EXPECT_NEAR(area_of(b, "Room", "south wall 2", "outdoors"), 9, square_centimetre);
}

TEST(SolidRoom, LeaningFacesAreWallsAsLongAsTheyAreSteep)
{
    // a room that widens upwards: its south wall leans out, its north wall is 30 degrees off upright
    const double lean = 3 / std::tan(75 * M_PI / 180), in = 3 * std::tan(29 * M_PI / 180);
    const Building b =
        built(with_rooms({solid("Room", {face({{0, 0, 0}, {5, 0, 0}, {5, 4, 0}, {0, 4, 0}}),
                                         face({{0, -lean, 3}, {5, -lean, 3}, {5, 4 - in, 3}, {0, 4 - in, 3}}),
                                         face({{0, 0, 0}, {5, 0, 0}, {5, -lean, 3}, {0, -lean, 3}}),
                                         face({{0, 4, 0}, {5, 4, 0}, {5, 4 - in, 3}, {0, 4 - in, 3}}),
                                         face({{0, 0, 0}, {0, 4, 0}, {0, 4 - in, 3}, {0, -lean, 3}}),
                                         face({{5, 0, 0}, {5, 4, 0}, {5, 4 - in, 3}, {5, -lean, 3}})})}));
    const Surface &south = surface_called(b, "south wall to outdoors"),
                  &north = surface_called(b, "north wall to outdoors");
    EXPECT_NEAR(south.tilt_deg, 105, 1e-9);
    EXPECT_NEAR(north.tilt_deg, 61, 1e-9);
    EXPECT_EQ(north.attitude, Attitude::wall);
    EXPECT_NEAR(south.gross_m2, 5 * 3 / std::sin(75 * M_PI / 180), square_centimetre);
}

TEST(SolidRoom, IsCutByTheGroundOutside)
{
    Input in = with_rooms({solid("Cellar", box(0, 0, 5, 4, -1.2, 1.8))});
    in.ground.level = 0.3;
    in.ground.outdoor_mean = 10.0;
    in.ground.outdoor_amplitude = 8.0;
    const Building b = built(in);
    EXPECT_NEAR(area_of(b, "Cellar", "south wall", "ground"), 5 * 1.5, square_centimetre);
    EXPECT_NEAR(area_of(b, "Cellar", "south wall", "outdoors"), 5 * 1.5, square_centimetre);
    EXPECT_NEAR(area_of(b, "Cellar", "floor", "ground"), 20, square_centimetre);
}

TEST(SolidRoom, WhatDoesNotEncloseItIsToldFaceByFace)
{
    std::vector<FaceInput> open = box(0, 0, 5, 4, 0, 3);
    open.pop_back();
    EXPECT_EQ(told(with_rooms({solid("Room", open)}), codes::solid),
              "face 1 of 'Room' borders an opening that no face fills: [0.000, 0.000, 0.000], [0.000, 4.000, 0.000], "
              "[0.000, 4.000, 3.000], [0.000, 0.000, 3.000]");
    EXPECT_EQ(
        std::ranges::count(resolve(with_rooms({solid("Room", open)})).problems, codes::solid, &quantity::Problem::code),
        1); // once for what is missing
    std::vector<FaceInput> bent = box(0, 0, 5, 4, 0, 3);
    (*bent[1].corners.value)[2].z_m = 3.4;
    EXPECT_TRUE(told(with_rooms({solid("Room", bent)}), codes::solid).starts_with("face 2 of 'Room' is not plane"));
    std::vector<FaceInput> crossed = box(0, 0, 5, 4, 0, 3);
    std::swap((*crossed[0].corners.value)[1], (*crossed[0].corners.value)[2]);
    EXPECT_NE(told(with_rooms({solid("Room", crossed)}), codes::solid), "");
    std::vector<FaceInput> twice = box(0, 0, 5, 4, 0, 3);
    twice.push_back(twice[3]);
    EXPECT_NE(told(with_rooms({solid("Room", twice)}), codes::solid).find("belongs to 3 faces"), std::string::npos);
    std::vector<FaceInput> two = box(0, 0, 5, 4, 0, 3);
    for (FaceInput& f : box(9, 0, 12, 4, 0, 3)) two.push_back(f);
    EXPECT_NE(told(with_rooms({solid("Room", two)}), codes::solid).find("second body"), std::string::npos);
    std::vector<FaceInput> flat = box(0, 0, 5, 4, 0, 3);
    flat[2] = face({{0, 0, 0}, {5, 0, 0}, {0, 0, 0}});
    EXPECT_NE(told(with_rooms({solid("Room", flat)}), codes::solid).find("encloses nothing"), std::string::npos);
}

TEST(SolidRoom, SmallGapsAreMendedAndTold)
{
    std::vector<FaceInput> faces = box(0, 0, 5, 4, 0, 3);
    (*faces[3].corners.value)[0].x_m = 5.003;
    Input in = with_rooms({solid("Room", faces), solid("Next", box(5.012, 0, 9, 4, 0, 3))});
    const Resolved r = resolve(in);
    ASSERT_TRUE(r.building);
    EXPECT_NEAR(area_of(*r.building, "Next", "west wall", "Room"), 12, square_centimetre);
    std::vector<std::string> notes;
    for (const quantity::Problem& p : r.problems)
        if (p.code == codes::mended) notes.push_back(p.message);
    ASSERT_EQ(notes.size(), 2);
    EXPECT_NE(notes[0].find("moved by up to 3.0 mm"), std::string::npos);
    EXPECT_NE(notes[1].find("12.0 mm apart"), std::string::npos);
    in.rooms[1] = solid("Next", box(5.03, 0, 9, 4, 0, 3)); // more than the tolerance
    EXPECT_NEAR(area_of(built(in), "Next", "west wall", "outdoors"), 12, square_centimetre);
}

TEST(SolidRoom, TwoInOnePlaceAreTold)
{
    EXPECT_NE(told(with_rooms({room("A", 0, 0, 5, 4), solid("B", box(4, 1, 9, 5, 0, 3))}), codes::overlap), "");
    EXPECT_NE(told(with_rooms({solid("A", attic()), solid("B", box(2, 2, 4, 4, 1, 2))}), codes::overlap), "");
    EXPECT_EQ(told(with_rooms({solid("A", attic()), solid("B", box(0, 0, 8, 6, 4, 6))}), codes::overlap), "");
}

TEST(SolidRoom, TakesNoOtherShapeBesideItsFaces)
{
    RoomInput both = solid("Room", box(0, 0, 5, 4, 0, 3));
    both.size = quantity::QuantityList{5, 4};
    EXPECT_NE(told(with_rooms({both}), codes::contradiction).find("size: stands beside faces"), std::string::npos);
    RoomInput on = solid("Room", box(0, 0, 5, 4, 0, 3));
    on.faces[0].on = "floor";
    EXPECT_NE(told(with_rooms({on}), codes::contradiction).find("corners: stands beside on"), std::string::npos);
    RoomInput neither = room("Room", 0, 0, 5, 4);
    neither.faces.emplace_back().beyond = "outdoors";
    EXPECT_NE(told(with_rooms({neither}), codes::missing).find("has no 'on'"), std::string::npos);
}

TEST(SolidRoom, StandsAgainMirroredAndShifted)
{
    RoomInput left = solid("Left", attic());
    left.faces[3].build_up = "partition";
    left.openings = {window("west gable", 1.0, 1.0)};
    left.openings[0].from_left = 1.0;
    Input in = with_rooms({left});
    RepeatInput mirrored;
    mirrored.rooms = TextList{{"Left", {}}};
    mirrored.name = "right";
    mirrored.mirror_x = 8.0;
    in.repeats = {mirrored};
    const Building b = built(in);
    ASSERT_EQ(b.rooms.size(), 2);
    EXPECT_NEAR(b.rooms[1].volume_m3, b.rooms[0].volume_m3, 1e-9);
    EXPECT_NEAR(area_of(b, "Left", "east wall", "Left (right)"), 6 * 1 + 9, square_centimetre);
    const Surface& gable = b.surfaces.at(static_cast<std::size_t>(
        std::ranges::find_if(b.surfaces, [](const Surface& s) { return s.room == 1 && s.parent == "west gable"; }) -
        b.surfaces.begin()));
    EXPECT_NEAR(gable.azimuth_deg, 90, 1e-9); // it keeps its name, and looks east now
    ASSERT_EQ(gable.openings.size(), 1);
    EXPECT_NEAR(gable.openings[0].from_left_m[0], 6 - 1 - 1, 1e-6);
    EXPECT_EQ(b.build_ups[gable.build_up].layers.name, "partition");
}

TEST(SolidRoom, NothingHangsOnTheOrderOfRoomsOrOnTheAxes)
{
    const auto areas = [](const Building& b) {
        std::map<std::string, double> out;
        for (const Surface& s : b.surfaces) out[b.rooms[s.room].name + " " + s.name] += s.gross_m2;
        return out;
    };
    const std::vector<RoomInput> rooms = {solid("A", box(5, 1, 9, 5, 0, 3)), solid("B", attic(), "upper"),
                                          solid("C", box(0, 0, 5, 4, 0, 3))};
    const auto once = areas(built(with_rooms(rooms))),
               shuffled = areas(built(with_rooms({rooms[2], rooms[0], rooms[1]})));
    EXPECT_EQ(once, shuffled);
    std::vector<RoomInput> turned = rooms;
    const double angle = 37 * M_PI / 180;
    for (RoomInput& r : turned)
        for (FaceInput& f : r.faces)
            for (quantity::Point& p : *f.corners.value)
                p = {p.x_m * std::cos(angle) - p.y_m * std::sin(angle),
                     p.x_m * std::sin(angle) + p.y_m * std::cos(angle), p.z_m};
    const Building t = built(with_rooms(turned));
    double whole = 0.0, whole_turned = 0.0;
    for (const auto& [name, area] : once) whole += area;
    for (const Surface& s : t.surfaces) whole_turned += s.gross_m2;
    EXPECT_NEAR(whole_turned, whole, 1e-3);
    EXPECT_EQ(t.surfaces.size(), once.size());
}

} // namespace
} // namespace venture::resolve
