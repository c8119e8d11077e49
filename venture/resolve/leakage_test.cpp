/// Air through cracks, vents, chimneys and doors.

#include <cmath>

#include <gmock/gmock.h>

#include <building_questions.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/resolve/resolve.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {
namespace {

using namespace testing_data;
using testing::HasSubstr;
namespace codes = quantity::codes;

constexpr double hour_s = 3600.0;
// one_room(): 5 x 4 x 3 m on the ground: four walls of 54 m2 and a roof of 20 m2 to outdoors, 60 m3

double leaks(const Input& in) { return built(in).rooms.at(0).use.infiltration_per_h.value; }

TEST(Airtightness, GoesByEnvelopeAndShielding)
{
    Input in = one_room();
    in.airtightness.permeability = 5.0 / hour_s;
    EXPECT_NEAR(leaks(in), 0.06 * 5.0 * 74.0 / 60.0, 1e-12);
    in.airtightness.shielding = "none";
    EXPECT_NEAR(leaks(in), 0.10 * 5.0 * 74.0 / 60.0, 1e-12);
    Input tower = in;
    tower.rooms.push_back(room("Lookout", 0, 0, 5, 4, "upper"));
    tower.storeys[1].level = 12.0;
    EXPECT_NEAR(built(tower).rooms.at(1).use.infiltration_per_h.value, 1.2 * 0.10 * 5.0 * 94.0 / 60.0, 1e-12);
    in.airtightness.test_pressure = 4.0; // the same flow at a small pressure is a leaky building
    EXPECT_NEAR(leaks(in), 0.10 * 5.0 * std::pow(50.0 / 4.0, 0.67) * 74.0 / 60.0, 1e-12);
}

TEST(Airtightness, IsTheSameByAirChangesOrByClass)
{
    Input in = one_room();
    in.airtightness.air_changes = 6.0;
    EXPECT_NEAR(leaks(in), 0.06 * 6.0, 1e-12);
    in.airtightness = {};
    in.airtightness.tightness = "usual";
    const double by_class = leaks(in);
    in.airtightness = {};
    in.airtightness.permeability = 6.0 / hour_s;
    EXPECT_DOUBLE_EQ(leaks(in), by_class);
    in.airtightness.tightness = "usual";
    EXPECT_THAT(told(in, codes::contradiction), HasSubstr("more than one way"));
}

TEST(Airtightness, LeavesWhatRoomsSayThemselves)
{
    Input in = one_room();
    in.airtightness.permeability = 5.0 / hour_s;
    in.rooms[0].use.infiltration = Given<double>{0.8, in.origins.add({quantity::OriginKind::file, "p", 1, 1, {}})};
    EXPECT_DOUBLE_EQ(leaks(in), 0.8);
}

TEST(Leakage, AddsVentsFluesAndChimneys)
{
    Input in = one_room();
    in.rooms[0].use.vents = 2.0;
    in.rooms[0].use.flues = 1.0;
    in.rooms[0].use.chimneys = 1.0;
    EXPECT_NEAR(leaks(in), 0.3 + 120.0 / 60.0, 1e-12);
    EXPECT_THAT(built(in).origins.describe(built(in).rooms[0].use.infiltration_per_h.origin),
                HasSubstr("by vents, flues and chimneys"));
}

Input with_door(double per_hour)
{
    Input in = one_room();
    OpeningInput door;
    door.in = "south";
    door.kind = "door";
    door.u_value = 2.0;
    door.width = 3.0;
    door.height = 2.5;
    door.opened_per_hour = per_hour;
    door.open_for = 0.02; // h
    in.rooms[0].openings = {door};
    return in;
}

TEST(Leakage, OfBigDoorsGoesByTheTimeThatTheyStandOpen)
{
    const auto added = [](double per_hour) {
        const Building b = built(with_door(per_hour));
        return std::pair{b.rooms[0].use.infiltration_per_h.value - 0.3,
                         b.rooms[0].use.infiltration_summer_per_h.value - 0.3};
    };
    const auto [winter, summer] = added(10.0);
    // 20 degC inside, -5 degC outside: C A / 3 sqrt(g H dT / T), a fifth of the hour
    EXPECT_NEAR(winter, 0.2 * 0.65 / 3.0 * 7.5 * std::sqrt(9.81 * 2.5 * 25.0 / 280.65) * hour_s / 60.0, 1e-9);
    EXPECT_LT(summer, winter);
    EXPECT_GT(summer, 0.0);
    EXPECT_NEAR(added(20.0).first, 2.0 * winter, 1e-9);
}

TEST(Leakage, SaysWhatIsWrongWithDoors)
{
    EXPECT_THAT(told(with_door(60.0), codes::contradiction), HasSubstr("stand open for 72 minutes in every hour"));
    Input in = with_door(10.0);
    in.rooms[0].openings[0].opened_per_hour = {};
    EXPECT_THAT(told(in, codes::contradiction), HasSubstr("open_for stands without opened_per_hour"));
    in = one_room();
    in.rooms[0].openings = {window("south", 1, 1)};
    in.rooms[0].openings[0].opened_per_hour = 2.0;
    EXPECT_THAT(told(in, codes::contradiction), HasSubstr("only doors to outdoors"));
}

/// Leakage of what is heated: the same whether the attic over it is drawn or not, and none of it the attic's.
TEST(LeakageOfADwelling, BelongsToItsEnvelope)
{
    Input in = with_rooms({room("Living", 0, 0, 8, 6), room("Attic", 0, 0, 8, 6, "upper")});
    in.rooms[1].use = {};
    in.rooms[1].use.infiltration = 3.0;
    in.airtightness.air_changes = 6.0;
    const Building with_attic = built(in);
    in.rooms.resize(1);
    const Building without = built(in);
    EXPECT_DOUBLE_EQ(with_attic.rooms[1].use.infiltration_per_h.value, 3.0);
    const double leaks = with_attic.rooms[0].use.infiltration_per_h.value;
    EXPECT_GT(leaks, 0.3);
    EXPECT_NEAR(leaks, without.rooms[0].use.infiltration_per_h.value, 1e-9);
}

} // namespace
} // namespace venture::resolve
