/// Laws that hold of any building, tried on buildings that nobody would draw.

#include <algorithm>
#include <array>
#include <cmath>
#include <numeric>
#include <random>

#include <gtest/gtest.h>

#include <random_building.hpp>
#include <venture/air/room_density.hpp>
#include <venture/loads/compile.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/loads/load_parts.hpp>
#include <venture/quantity/codes.hpp>

namespace venture::loads {
namespace {

using namespace testing_data;
using building::Building;
using input::Input;

class AnyBuilding : public testing::TestWithParam<unsigned> {
protected:
    [[nodiscard]] static Input input() { return RandomBuilding{GetParam()}.make(); }
};

INSTANTIATE_TEST_SUITE_P(Seeds, AnyBuilding, testing::Range(1U, 25U));

/// Parts of every hour add up to the load of that hour, to a thousandth of the room's peak.
void expect_parts_add_up(const Building& b, const climate::DesignDay& day)
{
    const Compiled compiled = compile(b, day);
    balance::Recording recorded;
    balance::PeriodicOptions options{};
    options.record = &recorded;
    const balance::PeriodicDay all = run_periodic_day(compiled.model, options);
    ASSERT_TRUE(all.converged);
    const auto parts = load_parts(compiled.model, recorded, 20.0);
    for (std::size_t z = 0; z < all.zones.size(); ++z) {
        const balance::ZoneDay& zone = all.zones[z];
        const double peak = std::max(std::ranges::max(zone.heating_W), std::ranges::max(zone.cooling_W));
        for (std::size_t h = 0; h < 24; ++h) {
            double sum = 0.0;
            for (const LoadPart& part : parts) sum += part.load_W[z][h];
            EXPECT_NEAR(sum, zone.heating_W[h] - zone.cooling_W[h], 1e-3 * peak + 1e-3)
                << day.name << ", zone " << compiled.model.zones[z].id << ", hour " << h;
        }
    }
}

TEST_P(AnyBuilding, HasLoadsWhosePartsAddUp)
{
    const Building b = built(input());
    ASSERT_FALSE(b.rooms.empty());
    expect_parts_add_up(b, climate::winter_design_day(b.site));
    expect_parts_add_up(b, climate::cooling_design_day(b.site, b.site.months[0]));
}

TEST(Stratification, IsACauseOfItsOwn)
{
    Input in = one_room();
    in.rooms[0].height = 9.0;
    in.rooms[0].use.stratification = 6.0;
    const Building b = built(in);
    const RoomLoad load = design_loads(b).loads.rooms[0];
    double sum = 0.0, moisture = 0.0, layers = 0.0;
    for (const LoadCause& c : causes_of_heating(b, 0, load)) {
        sum += c.load_W;
        if (c.forcing == balance::Forcing::moisture) moisture = c.load_W;
        if (c.forcing == balance::Forcing::stratification) layers = c.load_W;
    }
    EXPECT_NEAR(sum, load.heating_W, 1e-3 * load.heating_W + 2.0); // causes of less than a watt are left out
    EXPECT_EQ(moisture, 0.0);
    EXPECT_NE(layers, 0.0);
}

/// Half of the operative temperature radiates: what is held where people sit is raised by half of what the air is.
TEST(Stratification, RaisesWhatIsHeldByAsMuchOfItAsIsAir)
{
    Input in = one_room();
    in.rooms[0].height = 9.0;
    in.rooms[0].use.stratification = 6.0;
    const double air_K = 6.0 * (0.5 - 1.1 / 9.0); // mean of the air over air at 1.1 m
    const auto held_C = [&](const char* control) {
        in.rooms[0].use.control = std::string{control};
        const Building b = built(in);
        const balance::ThermalModel m = compile(b, climate::winter_design_day(b.site)).model;
        return m.value(*m.zones[0].heat_below_C, 0, 0.0);
    };
    EXPECT_NEAR(held_C("air"), 20.0 + air_K, 1e-12);
    EXPECT_NEAR(held_C("operative"), 20.0 + 0.5 * air_K, 1e-12);
}

// --- names

/// Other names for all rooms, wherever they are named.
Input renamed(Input in, unsigned seed)
{
    std::mt19937 random{seed};
    std::map<std::string, std::string> new_names;
    for (const input::RoomInput& r : in.rooms) {
        std::string name;
        for (int i = 0; i < 6; ++i) name += static_cast<char>('a' + random() % 26);
        new_names[*r.name] = name;
    }
    const auto rename = [&](quantity::Given<std::string>& name) {
        if (name) name = new_names.at(*name);
    };
    for (input::RoomInput& r : in.rooms) {
        rename(r.name);
        for (input::OpeningInput& o : r.openings) rename(o.to);
        for (input::FaceInput& f : r.faces) rename(f.room);
        for (input::TransferAirInput& air : r.transfer_air) rename(air.from);
    }
    return in;
}

void expect_same(const RoomLoad& a, const RoomLoad& b)
{
    const auto near = [](double x, double y, const char* what) {
        EXPECT_NEAR(x, y, 1e-6 * std::max(std::abs(x), std::abs(y)) + 1e-3) << what;
    };
    near(a.heating_W, b.heating_W, "heating");
    near(a.heating_up_W, b.heating_up_W, "heating up");
    near(a.cooling_W, b.cooling_W, "cooling");
    near(a.cooling_sensible_peak_W, b.cooling_sensible_peak_W, "sensible cooling");
    near(a.cooling_latent_W, b.cooling_latent_W, "latent cooling");
    near(a.highest_air_C, b.highest_air_C, "highest air");
    near(a.lowest_air_C, b.lowest_air_C, "lowest air");
    near(a.most_humid, b.most_humid, "most humid");
    near(a.paper_W(), b.paper_W(), "by hand");
    near(a.cooling_balance.total_W(), b.cooling_balance.total_W(), "balance");
    near(a.cooling_balance.inner_W, b.cooling_balance.inner_W, "inner walls");
    EXPECT_EQ(a.cooling_when.clock_hour, b.cooling_when.clock_hour);
}

TEST_P(AnyBuilding, DoesNotHangOnNames)
{
    const Building named = built(input()), other = built(renamed(input(), 77U + GetParam()));
    ASSERT_EQ(named.rooms.size(), other.rooms.size());
    const RoomLoads a = design_loads(named).loads, b = design_loads(other).loads;
    for (std::size_t r = 0; r < a.rooms.size(); ++r) {
        SCOPED_TRACE(a.rooms[r].room);
        expect_same(a.rooms[r], b.rooms[r]);
    }
}

/// Cooling of the left one of two offices with a one-sided wall between, of which a face of one of them says what it is.
double left_cooling_W(const char* left, const char* right, const char* says)
{
    Input in = shell();
    in.build_ups.push_back(build_up("one-sided", {"150 mm concrete", "80 mm wool", "10 mm brick"}));
    in.rooms = {room(left, 0, 0, 5, 4), room(right, 5, 0, 5, 4)};
    in.rooms[0].openings = {window("south", 3.0, 1.8)};
    for (input::RoomInput& r : in.rooms) {
        r.use.cooling_setpoint = 25.0;
        r.use.equipment_power = 800.0;
        r.use.equipment_profile = "08-18";
        if (*r.name != says) continue;
        input::FaceInput face;
        face.on = std::string{&r == in.rooms.data() ? "east" : "west"};
        face.build_up = "one-sided";
        r.faces = {face};
    }
    return design_loads(built(in)).loads.rooms[0].cooling_W;
}

TEST(Partitions, FaceAsTheRoomSeesThemThatNamesThem)
{
    const double mass_beyond = left_cooling_W("A", "B", "A"), mass_here = left_cooling_W("A", "B", "B");
    EXPECT_GT(mass_beyond, 1.005 * mass_here); // its own side is wool and a thin skin
    EXPECT_NEAR(left_cooling_W("Z", "B", "Z"), mass_beyond, 1e-6 * mass_beyond);
    EXPECT_NEAR(left_cooling_W("Z", "B", "B"), mass_here, 1e-6 * mass_here);
}

TEST(Partitions, ThatNobodyTurnsStandHalfEachWay)
{
    Input in = shell();
    in.build_ups.push_back(build_up("one-sided", {"150 mm concrete", "80 mm wool", "10 mm brick"}));
    in.fabric.inner_wall = "one-sided";
    in.rooms = {room("A", 0, 0, 5, 4), room("B", 5, 0, 5, 4)};
    for (input::RoomInput& r : in.rooms) {
        r.use.cooling_setpoint = 25.0;
        r.use.equipment_power = 800.0;
        r.use.equipment_profile = "08-18";
        input::FaceInput end; // so that morning and evening sun treat both alike
        end.on = std::string{*r.name == "A" ? "west" : "east"};
        end.beyond = "no exchange";
        r.faces = {end};
    }
    EXPECT_NE(problem_of(in, quantity::codes::either_way).message.find("'A' and 'B'"), std::string::npos);
    const RoomLoads all = design_loads(built(in)).loads;
    EXPECT_NEAR(all.rooms[0].cooling_W, all.rooms[1].cooling_W, 1e-6 * all.rooms[0].cooling_W);
    in.fabric.inner_wall = "wall"; // the same from both sides
    for (const auto& p : resolve::resolve(in).problems) EXPECT_NE(p.code, quantity::codes::either_way);
}

/// Behind a party wall lies a room like this one: the same as with that room there.
TEST(PartyWalls, CountTheirInnerHalf)
{
    const auto cooling_W = [](bool with_neighbour, const char* beyond) {
        Input in = shell();
        in.fabric.inner_wall = "thick";
        in.fabric.party_wall = "thick";
        in.build_ups.push_back(build_up("thick", {"80 mm brick"}));
        in.rooms = {room("A", 0, 0, 5, 4)};
        if (with_neighbour) in.rooms.push_back(room("B", 5, 0, 5, 4));
        for (input::RoomInput& r : in.rooms) {
            r.use.cooling_setpoint = 25.0;
            r.use.equipment_power = 800.0;
            r.use.equipment_profile = "08-18";
            r.openings = {window("south", 2.0, 1.5)};
            if (with_neighbour) continue;
            input::FaceInput face;
            face.on = "east";
            face.beyond = std::string{beyond};
            face.build_up = "thick";
            r.faces = {face};
        }
        return design_loads(built(in)).loads.rooms[0].cooling_W;
    };
    const double beside = cooling_W(true, "");
    EXPECT_NEAR(cooling_W(false, "party wall"), beside, 2e-3 * beside); // the neighbour's own end walls stand elsewhere
    EXPECT_LT(cooling_W(false, "no exchange"), 0.995 * cooling_W(false, "party wall")); // all of it is this room's
}

// --- the other hemisphere

/// The same building turned over the equator: north and south change places, and so do summer and winter.
Input turned_over(Input in)
{
    in.site.latitude = -*in.site.latitude;
    in.site.plan_bearing = -*in.site.plan_bearing;
    for (input::MonthInput& m : in.site.months) m.month = std::fmod(*m.month + 5.0, 12.0) + 1.0;
    if (in.site.summer_time_first) {
        in.site.summer_time_first = "29 September";
        in.site.summer_time_last = "24 April";
    }
    const auto side = [](quantity::Given<std::string>& word) {
        if (!word) return;
        if (*word == "north")
            word = "south";
        else if (*word == "south")
            word = "north";
    };
    for (input::RoomInput& r : in.rooms) {
        (*r.at.value)[1] = -(*r.at)[1] - (*r.size)[1];
        for (input::OpeningInput& o : r.openings) side(o.in);
        for (input::FaceInput& f : r.faces) side(f.on);
    }
    return in;
}

/// The day of the other half of the year under the same sun, seen from the other side; distance of the sun and equation of
/// time held.
climate::DesignDay turned_over(climate::DesignDay day)
{
    if (day.month != 0) day.month = (day.month + 5) % 12 + 1;
    for (climate::SunPosition& sun : day.sun) {
        sun.azimuth_deg = std::fmod(540.0 - sun.azimuth_deg, 360.0);
        sun.declination_deg = -sun.declination_deg;
    }
    return day;
}

TEST_P(AnyBuilding, HasTheSameLoadsInTheOtherHemisphere)
{
    const Building north = built(input()), south = built(turned_over(input()));
    ASSERT_EQ(south.rooms.size(), north.rooms.size());
    for (const climate::DesignDay& day :
         {climate::winter_design_day(north.site), climate::cooling_design_day(north.site, north.site.months[0])}) {
        const climate::DesignDay there = turned_over(day);
        if (day.month != 0) {
            const climate::DesignDay theirs = climate::cooling_design_day(south.site, south.site.months[0]);
            EXPECT_EQ(theirs.month, there.month);
            EXPECT_EQ(theirs.clock_ahead_h, there.clock_ahead_h);
        }
        const balance::PeriodicDay a = run_periodic_day(compile(north, day).model),
                                   b = run_periodic_day(compile(south, there).model);
        for (std::size_t z = 0; z < a.zones.size(); ++z)
            for (std::size_t h = 0; h < 24; ++h) {
                const double peak =
                    std::max({1.0, std::ranges::max(a.zones[z].heating_W), std::ranges::max(a.zones[z].cooling_W)});
                ASSERT_NEAR(a.zones[z].heating_W[h], b.zones[z].heating_W[h], 1e-6 * peak + 1e-3);
                ASSERT_NEAR(a.zones[z].cooling_W[h], b.zones[z].cooling_W[h], 1e-6 * peak + 1e-3);
                ASSERT_NEAR(a.zones[z].latent_W[h], b.zones[z].latent_W[h], 1e-6 * peak + 1e-3);
            }
    }
}

// --- counted once

TEST_P(AnyBuilding, CountsGainsAirAndAreasOnce)
{
    const Input in = input();
    const Building b = built(in);
    const Compiled winter = compile(b, climate::winter_design_day(b.site));
    const double density = air::room_density_kg_per_m3(climate::winter_design_day(b.site).pressure);
    for (std::size_t r = 0; r < b.rooms.size(); ++r) {
        const building::Room& room = b.rooms[r];
        const input::UseInput& u = in.rooms[r].use;
        double watts = 0.0, moisture = 0.0;
        for (const building::Gain& gain : room.use.gains) {
            watts += gain.sensible_W() + gain.to_void_W + gain.lost_W;
            moisture += gain.moisture_kg_per_s;
        }
        const double people = *u.people, area = room.floor_area_m2;
        EXPECT_NEAR(watts, people * room.use.sensible_per_person_W.value + (*u.lighting + *u.equipment) * area, 1e-6);
        EXPECT_NEAR(moisture, *u.moisture + people * room.use.latent_per_person_W.value / 2.501e6, 1e-9);
        const balance::Zone& zone = winter.model.zones[winter.zone_of_room[r]];
        const double air = winter.model.value(zone.ventilation_kg_per_s, 0, 0.5) / density,
                     leaks = winter.model.value(zone.infiltration_kg_per_s, 0, 0.5) / density;
        EXPECT_NEAR(air, people * *u.ventilation_per_person, 1e-9);
        EXPECT_NEAR(leaks, room.use.infiltration_per_h.value * room.volume_m3 / 3600.0, 1e-9);
    }
    double floors_m2 = 0.0, built_m2 = 0.0, model_m2 = 0.0;
    for (const building::Room& room : b.rooms) floors_m2 += room.floor_area_m2;
    for (const building::Surface& s : b.surfaces)
        if (s.attitude == building::Attitude::floor) built_m2 += s.gross_m2;
    EXPECT_NEAR(built_m2, floors_m2, 1e-6);
    double faces_m2 = 0.0;
    for (const building::Surface& s : b.surfaces) faces_m2 += s.gross_m2;
    for (const balance::Surface& s : winter.model.surfaces) model_m2 += s.area_m2;
    EXPECT_NEAR(model_m2, faces_m2, 1e-6);
}

} // namespace
} // namespace venture::loads
