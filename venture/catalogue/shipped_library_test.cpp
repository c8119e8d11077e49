/// The library that ships is whole: every record resolves, says where it is from, and lies where such things lie.

#include <set>

#include <fmt/format.h>
#include <gmock/gmock.h>

#include <small_building.hpp>
#include <venture/catalogue/shipped_library.hpp>
#include <venture/project/read_project.hpp>
#include <venture/resolve/resolve.hpp>

namespace venture::catalogue {
namespace {

project::ProjectFile whole_library()
{
    project::ProjectFile out;
    read_shipped_library(out.input, out.problems);
    return out;
}

TEST(ShippedLibrary, ResolvesWithoutAProblem)
{
    const project::ProjectFile all = whole_library();
    for (const auto& p : all.problems) ADD_FAILURE() << p.message;
    const resolve::ResolvedFabric fabric = resolve::resolve_fabric(all.input);
    for (const auto& p : fabric.problems) ADD_FAILURE() << all.input.origins.describe(p.where) << " " << p.message;
    EXPECT_GE(all.input.materials.size(), 70u);
    EXPECT_GE(fabric.fabric.build_ups.size(), 40u);
    EXPECT_GE(fabric.fabric.glazings.size(), 8u);
    EXPECT_GE(fabric.fabric.shades.size(), 8u);
}

TEST(ShippedLibrary, SaysOfEachRecordWhereItIsFrom)
{
    const input::Input all = whole_library().input;
    const auto check = [](const auto& records) {
        EXPECT_FALSE(records.empty());
        std::set<std::string> names;
        for (const auto& r : records) {
            EXPECT_TRUE(r.source) << *r.name;
            EXPECT_TRUE(names.insert(*r.name).second) << *r.name;
        }
    };
    check(all.materials);
    check(all.build_ups);
    check(all.panes);
    check(all.glazings);
    check(all.shades);
    check(all.air_needs);
    check(all.air_supplies);
    std::set<std::pair<std::string, std::string>> types;
    for (const input::RoomTypeInput& t : all.room_types) {
        ASSERT_TRUE(t.region && t.purpose && t.source) << *t.name;
        EXPECT_TRUE(types.emplace(*t.region, *t.name).second) << *t.name;
    }
    for (const input::RoomTypeInput& t : all.room_types) // each stands for every region
        for (const char* region : {"Europe", "North America"})
            EXPECT_TRUE(types.contains({region, *t.name})) << *t.name;
    EXPECT_GE(types.size(), 2 * 40u);
}

/// Each type in a room of its own, which resolves, with hours of its purpose and air for its people.
TEST(ShippedLibrary, HasRoomTypesThatRoomsCanTake)
{
    for (const char* region : {"Europe", "North America"}) {
        input::Input in = testing_data::shell();
        in.project.region = std::string{region};
        project::ProjectFile p;
        p.input = in;
        double x = 0.0;
        for (const input::RoomTypeInput& t : whole_library().input.room_types) {
            if (*t.region != region) continue;
            input::RoomInput r = testing_data::room((*t.name).c_str(), x, 0, 4, 5);
            r.use.heating_setpoint = {};
            r.type = *t.name;
            p.input.rooms.push_back(r);
            x += 4.0;
        }
        take_from_shipped_library(p.input, p.problems);
        const resolve::Resolved r = resolve::resolve(p.input);
        for (const auto& problem : r.problems) ADD_FAILURE() << problem.code << " " << problem.message;
        ASSERT_TRUE(r.building);
        for (const building::Room& room : r.building->rooms) {
            EXPECT_LT(room.use.lighting_W_per_m2.value, 50.0) << room.name;
            EXPECT_TRUE(room.use.heating_setpoint_C || room.type == "plant room") << room.name;
            const double per_person = room.use.people.value > 0.0
                                          ? 1000.0 * room.outdoor_air_by_plan_m3_per_s() / room.use.people.value
                                          : 7.0;
            EXPECT_GT(per_person, 2.5) << room.name;
            const double most =
                room.type == "commercial kitchen" ? 120.0 : 50.0; // hoods draw off more than people need
            EXPECT_LT(per_person, most) << room.name;
        }
    }
}

/// Every need of air by every supply, each in a room of its own.
TEST(ShippedLibrary, HasAirThatRoomsCanTake)
{
    const input::Input library = whole_library().input;
    project::ProjectFile p;
    p.input = testing_data::shell();
    double x = 0.0;
    for (const input::AirSupplyInput& supply : library.air_supplies)
        for (const input::AirNeedInput& need : library.air_needs) {
            input::RoomInput r = testing_data::room(fmt::format("{} {}", *supply.name, *need.name).c_str(), x, 0, 4, 5);
            r.use.people = 2.0;
            r.use.outdoor_air_by = *supply.name;
            r.use.air_need = *need.name;
            p.input.rooms.push_back(r);
            x += 4.0;
        }
    take_from_shipped_library(p.input, p.problems);
    const resolve::Resolved r = resolve::resolve(p.input);
    for (const auto& problem : r.problems)
        EXPECT_NE(problem.severity, quantity::Severity::error) << problem.code << " " << problem.message;
    ASSERT_TRUE(r.building);
    EXPECT_EQ(r.building->air_supplies.size(), library.air_supplies.size());
    for (const building::Room& room : r.building->rooms) {
        EXPECT_TRUE(room.use.air_supply) << room.name;
        EXPECT_GT(room.outdoor_air_by_plan_m3_per_s(), 0.0) << room.name;
    }
}

TEST(ShippedLibrary, HasWeeksThatAreClosedOnTheDayThatTheyShould)
{
    const resolve::ResolvedFabric fabric = resolve::resolve_fabric(whole_library().input);
    std::set<std::string> weeks;
    for (const calendar::Calendar& c : fabric.fabric.calendars) {
        if (!c.name.ends_with(" week")) continue;
        weeks.insert(c.name);
        const climate::MonthDay monday{1, 8}, thursday{1, 11}, sunday{1, 14}; // of 2029
        EXPECT_GT(c.on(thursday).full_load_hours(), 2.0) << c.name;
        const bool exhibition = c.name == "exhibition week";
        EXPECT_EQ(c.on(monday).full_load_hours() == 0.0, exhibition) << c.name;
        EXPECT_EQ(c.on(sunday).full_load_hours() == 0.0, !exhibition) << c.name;
    }
    EXPECT_EQ(weeks.size(), 5u);
    for (const input::RoomTypeInput& t : whole_library().input.room_types)
        if (*t.purpose == "office" || *t.purpose == "school") {
            EXPECT_TRUE(t.use.people_profile && weeks.contains(*t.use.people_profile)) << *t.name;
        }
}

TEST(ShippedLibrary, HasUsualUValuesAndOlderBuildingsLoseMore)
{
    const resolve::ResolvedFabric fabric = resolve::resolve_fabric(whole_library().input);
    double before = 1e9;
    for (const building::NamedBuildup& b : fabric.fabric.build_ups) {
        const double u = 1.0 / (0.17 + fabric::resistance(b.layers));
        EXPECT_GT(u, 0.05) << b.layers.name;
        const bool is_finish = building::thickness_m(b) < 0.06;
        EXPECT_LT(u, is_finish ? 5.0 : 3.0) << b.layers.name;
        if (!b.layers.name.starts_with("outside wall, ")) continue;
        EXPECT_LT(u, before) << b.layers.name; // they stand from the oldest to the newest
        before = u;
    }
    for (const building::NamedGlazing& g : fabric.fabric.glazings) {
        EXPECT_GT(g.values.g_value, g.values.direct_transmittance) << g.values.name;
        EXPECT_LT(g.values.u_value_W_per_m2K, 5.8) << g.values.name;
    }
}

} // namespace
} // namespace venture::catalogue
