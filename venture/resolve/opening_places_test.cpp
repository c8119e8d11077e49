/// Where windows and doors stand that nobody placed.

#include <gmock/gmock.h>

#include <building_questions.hpp>
#include <venture/resolve/resolve.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {
namespace {

using namespace testing_data;

double left_of(const Building& b, std::size_t opening)
{
    for (const Surface& s : b.surfaces)
        if (s.parent == "south wall" && s.openings.size() > opening) return s.openings[opening].from_left_m.front();
    ADD_FAILURE();
    return 0.0;
}

TEST(OpeningPlaces, AreSpreadWithEvenGaps)
{
    Input in = with_rooms({room("Room", 0, 0, 10, 4)});
    in.rooms[0].openings = {window("south", 2.0, 1.2), window("south", 4.0, 1.2)}; // 4 m left: gaps of 1, 2, 1
    const Building b = built(in);
    EXPECT_NEAR(left_of(b, 0), 1.0, 1e-9);
    EXPECT_NEAR(left_of(b, 1), 5.0, 1e-9);
}

TEST(OpeningPlaces, KeepClearOfTypedOnes)
{
    Input in = with_rooms({room("Room", 0, 0, 10, 4)});
    in.rooms[0].openings = {window("south", 2.0, 1.2), window("south", 3.0, 1.2)};
    in.rooms[0].openings[1].from_left = 6.0; // 6 m free on its left, 1 m on its right
    const Building b = built(in);
    EXPECT_NEAR(left_of(b, 0), 2.0, 1e-9);
    EXPECT_NEAR(left_of(b, 1), 6.0, 1e-9);
}

TEST(OpeningPlaces, MayStandAboveEachOther)
{
    Input in = with_rooms({room("Room", 0, 0, 4, 4)});
    in.rooms[0].openings = {window("south", 3.0, 1.0), window("south", 3.0, 0.5)};
    in.rooms[0].openings[0].sill = 0.8;
    in.rooms[0].openings[1].sill = 2.2;
    EXPECT_TRUE(resolve(in).building.has_value());
}

TEST(OpeningPlaces, OfSharesOfAWallAreMadeNarrowWhereTheyMustBe)
{
    Input in = with_rooms({room("Room", 0, 0, 10, 4)});
    in.rooms[0].openings.clear();
    for (int i = 0; i < 3; ++i) {
        OpeningInput o = window("south", 1, 1);
        o.width = o.height = {};
        o.share = 0.2;
        in.rooms[0].openings.push_back(o);
    }
    const Building b = built(in);
    for (const Surface& s : b.surfaces)
        if (s.parent == "south wall") {
            ASSERT_EQ(s.openings.size(), 3u);
            for (const Opening& o : s.openings) EXPECT_NEAR(o.area_m2(), 0.2 * s.gross_m2, 1e-6);
        }
}

} // namespace
} // namespace venture::resolve
