/// What the peak of a room's load is made of.

#include <algorithm>

#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/loads/design_loads.hpp>

namespace venture::loads {
namespace {

using namespace testing_data;

double sum_of(const std::vector<LoadCause>& causes)
{
    double sum = 0.0;
    for (const LoadCause& c : causes) sum += c.load_W;
    return sum;
}

double of(const std::vector<LoadCause>& causes, balance::Forcing forcing)
{
    const auto at = std::ranges::find(causes, forcing, &LoadCause::forcing);
    return at == causes.end() ? 0.0 : at->load_W;
}

building::Building busy_office()
{
    input::Input in = one_room();
    in.rooms[0].openings = {window("south", 3, 1.5)};
    in.rooms[0].use.cooling_setpoint = 25.0;
    in.rooms[0].use.equipment_power = 500.0;
    in.rooms[0].use.people = 3.0;
    in.site.summer_time_first = "29 March";
    in.site.summer_time_last = "24 October";
    return built(in);
}

TEST(Causes, OfCoolingAddUpToItsSensiblePart)
{
    const building::Building b = busy_office();
    const RoomLoad load = design_loads(b).loads.rooms[0];
    const auto causes = causes_of_cooling(b, 0, load);
    EXPECT_NEAR(sum_of(causes), load.cooling_sensible_W, 4.0); // causes of less than a watt are left out
    EXPECT_GT(of(causes, balance::Forcing::sun), 100.0);
    EXPECT_NEAR(of(causes, balance::Forcing::equipment), 500.0, 25.0); // all day the same: all of it comes back
    EXPECT_NEAR(of(causes, balance::Forcing::people), 3.0 * 75.0, 15.0);
    EXPECT_EQ(of(causes, balance::Forcing::lighting), 0.0);
    for (std::size_t i = 1; i < causes.size(); ++i)
        EXPECT_GE(std::abs(causes[i - 1].load_W), std::abs(causes[i].load_W));
}

TEST(Causes, OfHeatingAreTheColdOutdoorsAndTheGround)
{
    const building::Building b = busy_office();
    const RoomLoad load = design_loads(b).loads.rooms[0];
    const auto causes = causes_of_heating(b, 0, load);
    EXPECT_NEAR(sum_of(causes), load.heating_W, 3.0);
    EXPECT_GT(of(causes, balance::Forcing::outdoor_air), 0.8 * load.heating_W);
    EXPECT_GT(of(causes, balance::Forcing::ground), 0.0);
    EXPECT_EQ(of(causes, balance::Forcing::sun), 0.0);
    EXPECT_EQ(of(causes, balance::Forcing::set_point), 0.0); // what it is held at is where everything counts from
}

TEST(Causes, OfRoomsWithoutALoadAreNone)
{
    const building::Building b = built(one_room());
    RoomLoad load = design_loads(b).loads.rooms[0];
    EXPECT_TRUE(causes_of_cooling(b, 0, load).empty());
    load.typed = true;
    EXPECT_TRUE(causes_of_heating(b, 0, load).empty());
}

} // namespace
} // namespace venture::loads
