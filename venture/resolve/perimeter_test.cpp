/// A room cut into perimeter and core.

#include <algorithm>
#include <cmath>

#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/record.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {
namespace {

using namespace testing_data;
namespace codes = quantity::codes;

Input office()
{
    Input in = shell();
    in.rooms = {room("Office", 0, 0, 20, 12)};
    in.rooms[0].perimeter = 4.0;
    in.rooms[0].perimeter_on = TextList{{"south", {}}, {"East", {}}};
    in.rooms[0].use.people = 24.0;
    in.rooms[0].openings = {window("south", 10, 1.5), window("north", 2, 1.5), window("east", 4, 1.5)};
    return in;
}

TEST(Perimeter, PartsAtTheMitreAndSharesOutWhatIsStated)
{
    const Building b = built(office());
    ASSERT_EQ(b.rooms.size(), 3U);
    const Room &south = b.rooms[*b.find_room("Office south")], &east = b.rooms[*b.find_room("Office east")],
               &core = b.rooms[*b.find_room("Office core")];
    EXPECT_NEAR(south.floor_area_m2, 16 * 4 + 0.5 * 4 * 4, 1e-4);
    EXPECT_NEAR(east.floor_area_m2, 8 * 4 + 0.5 * 4 * 4, 1e-4);
    EXPECT_NEAR(core.floor_area_m2, 16 * 8, 1e-4);
    EXPECT_NEAR(south.use.people.value + east.use.people.value + core.use.people.value, 24.0, 1e-9);
    EXPECT_NEAR(core.use.people.value, 24.0 * 128 / 240, 1e-6);
}

TEST(Perimeter, HasOpenBoundariesInsteadOfWalls)
{
    const Building b = built(office());
    double open_m2 = 0.0, flow = 0.0;
    for (const OpenBoundary& boundary : b.open_boundaries) open_m2 += boundary.area_m2;
    for (const TransferAir& air : b.transfer_air) flow += air.flow_m3_per_s;
    EXPECT_NEAR(open_m2, (16 + 8 + 4 * std::sqrt(2.0)) * 3, 1e-3);
    EXPECT_NEAR(flow, 0.05 * open_m2, 1e-9);
    for (const Surface& s : b.surfaces) EXPECT_NE(s.beyond.kind, Neighbour::Kind::room) << s.name;
}

TEST(Perimeter, HangsOpeningsAndFacesOnThePartsThatHaveTheWall)
{
    Input in = office();
    FaceInput north;
    north.on = "north";
    north.beyond = "no exchange";
    in.rooms[0].openings.erase(in.rooms[0].openings.begin() + 1);
    in.rooms[0].faces = {north};
    const Building b = built(in);
    double without_exchange = 0.0;
    for (const Surface& s : b.surfaces) {
        const std::string& room = b.rooms[s.room].name;
        EXPECT_TRUE(s.openings.empty() || room == "Office south" || room == "Office east") << room;
        if (s.beyond.kind == Neighbour::Kind::nothing) without_exchange += s.gross_m2;
    }
    EXPECT_NEAR(without_exchange, 20 * 3, 1e-3); // of the core, and of the end of the zone on the east
}

TEST(Perimeter, IsRefusedWhereItIsNotPlain)
{
    Input in = office();
    in.rooms[0].perimeter_on = TextList{{"up", {}}};
    EXPECT_EQ(problem_of(in, codes::no_face).message, "perimeter_on: room 'Office' has no wall on the up");
    in = office();
    in.rooms[0].perimeter_on = {};
    EXPECT_EQ(problem_of(in, codes::contradiction).message, "room 'Office': perimeter and perimeter_on go together");
    in = office();
    in.rooms[0].at = in.rooms[0].size = Given<QuantityList>{};
    in.rooms[0].corners = PointList{{0, 0}, {20, 0}, {20, 6}, {10, 6}, {10, 12}, {0, 12}};
    EXPECT_NE(problem_of(in, codes::outline).message.find("corners that turn inwards"), std::string::npos);
}

TEST(Perimeter, DeeperThanTheRoomLeavesNoCore)
{
    Input in = office();
    in.rooms[0].perimeter = 30.0;
    in.rooms[0].openings.clear();
    const Building b = built(in);
    EXPECT_EQ(b.rooms.size(), 2U);
    EXPECT_FALSE(b.find_room("Office core").has_value());
}

/// What rooms hold and are given, all of them together.
std::vector<double> sums_of(const Building& b)
{
    double people = 0.0, sensible_W = 0.0, radiant_W = 0.0, moisture = 0.0, void_W = 0.0, lost_W = 0.0;
    double leaks_m3_per_h = 0.0, by_plan = 0.0, furniture = 0.0, limits_W = 0.0, typed_W = 0.0;
    for (const Room& r : b.rooms) {
        people += r.use.people.value;
        for (const Gain& g : r.use.gains) {
            sensible_W += g.sensible_W();
            radiant_W += g.radiant_W;
            moisture += g.moisture_kg_per_s;
            void_W += g.to_void_W;
            lost_W += g.lost_W;
        }
        leaks_m3_per_h += (r.use.infiltration_per_h.value + r.use.infiltration_summer_per_h.value) * r.volume_m3;
        by_plan += r.outdoor_air_by_plan_m3_per_s();
        furniture += r.use.furniture_J_per_m2K.value * r.floor_area_m2;
        for (const auto* limit : {&r.use.heating_limit_W, &r.use.cooling_limit_W})
            if (*limit) limits_W += (*limit)->value;
        for (const auto* load : {&r.heating_load_W, &r.sensible_load_W, &r.latent_load_W})
            if (*load) typed_W += (*load)->value;
    }
    return {people,         sensible_W, radiant_W, moisture, void_W, lost_W,
            leaks_m3_per_h, by_plan,    furniture, limits_W, typed_W};
}

/// A number that a key may have, and that is not its default.
double some(const KeySpec& spec)
{
    const double usual = spec.kind == quantity::Kind::temperature ? 21.0 : spec.allowed.highest <= 1.0 ? 0.4 : 3.0;
    return std::clamp(usual, spec.allowed.lowest, spec.allowed.highest);
}

/// Every number of a record in turn. @return how many were tried; those that cannot stand alone are left out
int expect_same_sums(const quantity::RecordSpec& spec, const std::function<quantity::Record(Input&)>& record)
{
    int tried = 0;
    for (const quantity::Key& key : spec.keys()) {
        if (key.shape != quantity::ValueShape::number || key.spec.name.starts_with("perimeter")) continue;
        Input in = office();
        GainInput range;
        range.name = "range";
        range.power = 900.0;
        range.count = 2.0;
        in.rooms[0].gains = {range};
        record(in).at<double>(key) = some(key.spec);
        Input whole = in;
        whole.rooms[0].perimeter = {};
        whole.rooms[0].perimeter_on = {};
        const Resolved uncut = resolve(whole), cut = resolve(in);
        if (!uncut.building) continue;
        ++tried;
        EXPECT_TRUE(cut.building.has_value()) << key.spec.name;
        if (!cut.building) continue;
        EXPECT_EQ(cut.building->rooms.size(), 3U);
        const std::vector<double> a = sums_of(*uncut.building), b = sums_of(*cut.building);
        for (std::size_t i = 0; i < a.size(); ++i)
            EXPECT_NEAR(a[i], b[i], 1e-5 * std::abs(a[i])) << key.spec.name << ", sum " << i;
    }
    return tried;
}

TEST(Perimeter, CountsEveryThingOnceWhateverIsSaidOfTheRoom)
{
    EXPECT_GT(expect_same_sums(RoomInput::spec(), [](Input& in) { return quantity::Record{in.rooms[0]}; }), 32);
    EXPECT_GT(expect_same_sums(GainInput::spec(), [](Input& in) { return quantity::Record{in.rooms[0].gains[0]}; }), 5);
}

/// What a type brings is of the whole room too.
TEST(Perimeter, SharesOutWhatATypeBrings)
{
    Input in = office();
    RoomTypeInput type;
    type.name = "office";
    type.use.lighting_power = 1200.0;
    type.use.ventilation_flow = 0.3;
    GainInput printer;
    printer.name = "printer";
    printer.power = 400.0;
    type.gains = {printer};
    in.room_types = {type};
    in.rooms[0].type = "office";
    Input whole = in;
    whole.rooms[0].perimeter = {};
    whole.rooms[0].perimeter_on = {};
    const std::vector<double> a = sums_of(built(whole)), b = sums_of(built(in));
    for (std::size_t i = 0; i < a.size(); ++i) EXPECT_NEAR(a[i], b[i], 1e-5 * std::abs(a[i])) << i;
}

} // namespace
} // namespace venture::resolve
