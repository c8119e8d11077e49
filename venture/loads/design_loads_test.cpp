#include <venture/loads/design_loads.hpp>

#include <algorithm>
#include <random>

#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/loads/compile.hpp>

namespace venture::loads {
namespace {

using namespace testing_data;

const RoomLoad& load_of(const DesignLoads& d, std::string_view room)
{
    return *std::ranges::find(d.loads.rooms, room, &RoomLoad::room);
}

input::Input sunny_room()
{
    input::Input in = one_room();
    in.rooms[0].use.cooling_setpoint = 25.0;
    in.rooms[0].openings = {window("south", 3.0, 1.5)};
    return in;
}

TEST(PaperSum, IsTheOneThatOneCanDoByHand)
{
    input::Input in = one_room();
    in.rooms[0].openings = {window("south", 2.0, 1.5)};
    in.rooms[0].use.infiltration = 0.5;
    const DesignLoads d = design_loads(built(in));
    // R of the wall 0.1/0.8 + 0.1/0.04 + 0.1/0.8 = 2.75; roof 0.2/0.04 + 0.15/2 = 5.075; slab 0.1/0.04 + 0.15/2 = 2.575
    const double wall = (15 + 15 + 12 + 12 - 3) / (0.13 + 2.75 + 0.04) * 25.0, glass = 3.0 * 1.4 * 25.0;
    const double roof = 20.0 / (0.10 + 5.075 + 0.04) * 25.0, slab = 20.0 / (0.17 + 2.575) * 12.0;
    const double air = 0.5 * 60.0 / 3600.0 * (101325.0 / (287.042 * 293.15)) * 1006.0 * 25.0;
    EXPECT_NEAR(load_of(d, "Room").paper_W(), wall + glass + roof + slab + air, 1e-6);
    EXPECT_NEAR(load_of(d, "Room").heating_W, load_of(d, "Room").paper_W(), 0.05 * load_of(d, "Room").paper_W());
}

TEST(DesignLoads, BalanceTheAirInTheHourOfThePeak)
{
    const DesignLoads d = design_loads(built(sunny_room()));
    const RoomLoad& r = load_of(d, "Room");
    EXPECT_GT(r.cooling_W, 0.0);
    EXPECT_NEAR(r.cooling_balance.total_W(), r.cooling_sensible_W, 1e-6 * r.cooling_sensible_W);
    EXPECT_TRUE(d.converged());
}

/// Much outdoor air: the most humid day asks for more, and is where the peak is found.
TEST(DesignLoads, AreLargestOnTheDayOfTheHighestWetBulbWhereThatGoverns)
{
    input::Input in = sunny_room();
    in.rooms[0].use.ventilation_rate = 6.0;
    const DesignLoads dry = design_loads(built(in));
    input::MonthInput& month = in.site.months.front();
    month.peak_wet_bulb = *month.wet_bulb + 2.0;
    month.dry_bulb_at_peak_wet_bulb = *month.dry_bulb - 1.0;
    const DesignLoads both = design_loads(built(in));
    const RoomLoad &before = load_of(dry, "Room"), &after = load_of(both, "Room");
    EXPECT_EQ(both.runs.size(), dry.runs.size() + 1);
    EXPECT_GT(after.cooling_W, before.cooling_W);
    EXPECT_TRUE(after.cooling_when.day.ends_with(" wet bulb")) << after.cooling_when.day;
    EXPECT_GT(after.cooling_latent_W, before.cooling_latent_W);
    EXPECT_DOUBLE_EQ(after.cooling_sensible_peak_W, before.cooling_sensible_peak_W); // still of the highest dry bulb
    EXPECT_EQ(after.cooling_sensible_when, before.cooling_sensible_when);
}

/// Coming back by day asks for more than holding the set-point all night; both are told.
TEST(DesignLoads, TellWhatPreCoolingAdds)
{
    input::Input in = sunny_room();
    EXPECT_EQ(load_of(design_loads(built(in)), "Room").pre_cooling_W, 0.0);
    const double held_W = load_of(design_loads(built(in)), "Room").cooling_W;
    input::ProfileInput work;
    work.name = "work";
    work.hours = quantity::TextList{{"08-18 100 %", {}}};
    in.profiles = {work};
    in.rooms[0].use.cooling_setback = 32.0;
    in.rooms[0].use.cooling_profile = "work";
    const RoomLoad backs = load_of(design_loads(built(in)), "Room");
    EXPECT_GT(backs.pre_cooling_W, 0.01 * held_W);
    EXPECT_NEAR(backs.cooling_W - backs.pre_cooling_W, held_W, 1e-6 * held_W);
}

TEST(DesignLoads, DoNotDependOnTheOrderOfRooms)
{
    input::Input in = shell();
    for (int i = 0; i < 6; ++i) {
        input::RoomInput r = room("R", 5.0 * i, 0, 5, 4);
        r.name = std::string{"Room "} + static_cast<char>('A' + (i * 5) % 6);
        r.use.cooling_setpoint = 25.0;
        r.openings = {window("south", 2.0, 1.2)};
        in.rooms.push_back(r);
    }
    input::Input shuffled = in;
    std::shuffle(shuffled.rooms.begin(), shuffled.rooms.end(), std::mt19937{3});
    const DesignLoads a = design_loads(built(in)), b = design_loads(built(shuffled));
    for (const RoomLoad& r : a.loads.rooms) { // to the bit
        EXPECT_EQ(r.heating_W, load_of(b, r.room).heating_W) << r.room;
        EXPECT_EQ(r.cooling_W, load_of(b, r.room).cooling_W) << r.room;
    }
    EXPECT_EQ(a.loads.fingerprint, b.loads.fingerprint);
}

TEST(DesignLoads, DoNotDependOnTheNumberOfThreads)
{
    const building::Building b = built(sunny_room());
    const DesignLoads one = design_loads(b, {.threads = 1}), four = design_loads(b, {.threads = 4});
    EXPECT_EQ(one.loads.rooms[0].cooling_W, four.loads.rooms[0].cooling_W);
    EXPECT_EQ(one.loads.fingerprint, four.loads.fingerprint);
}

TEST(DesignLoads, TurnWithTheBuilding)
{
    // A window to the plan's east with the plan turned by 90 degrees is a window to the south.
    input::Input south = sunny_room(), turned = one_room();
    turned.rooms[0].size = quantity::QuantityList{4.0, 5.0};
    turned.rooms[0].use.cooling_setpoint = 25.0;
    turned.rooms[0].openings = {window("east", 3.0, 1.5)};
    turned.site.plan_bearing = 90.0;
    const double a = design_loads(built(south)).loads.rooms[0].cooling_W,
                 b = design_loads(built(turned)).loads.rooms[0].cooling_W;
    EXPECT_NEAR(a, b, 1e-9 * a);
}

TEST(DesignLoads, RiseWithGlassAndFallWithInsulation)
{
    input::Input plain = sunny_room(), more_glass = sunny_room(), thicker = sunny_room();
    more_glass.rooms[0].openings[0].width = 4.5;
    thicker.build_ups[0] = build_up("wall", {"100 mm brick", "200 mm wool", "100 mm brick"});
    const auto load = [](const input::Input& in) { return design_loads(built(in)).loads.rooms[0]; };
    EXPECT_GT(load(more_glass).cooling_W, load(plain).cooling_W);
    EXPECT_GT(load(more_glass).heating_W, load(plain).heating_W);
    EXPECT_LT(load(thicker).heating_W, load(plain).heating_W);
}

TEST(DesignLoads, PeakAtClockTime)
{
    input::Input standard = sunny_room(), summer_time = sunny_room();
    summer_time.site.summer_time_first = "29 March";
    summer_time.site.summer_time_last = "24 October";
    const int a = design_loads(built(standard)).loads.rooms[0].cooling_when.clock_hour;
    EXPECT_EQ(design_loads(built(summer_time)).loads.rooms[0].cooling_when.clock_hour, a + 1);
}

TEST(DesignLoads, ShiftProfilesWithTheClock)
{
    input::Input in = one_room();
    in.rooms[0].use.cooling_setpoint = 25.0;
    in.rooms[0].use.equipment_power = 3000.0;
    in.rooms[0].use.equipment_profile = "at ten";
    input::ProfileInput p;
    p.name = "at ten";
    p.hours = quantity::TextList{{"10-11 100 %", {}}};
    in.profiles = {p};
    in.site.summer_time_first = "29 March";
    in.site.summer_time_last = "24 October";
    EXPECT_EQ(design_loads(built(in)).loads.rooms[0].cooling_when.clock_hour, 10);
}

TEST(DesignLoads, LetAnUnheatedRoomFloatBetweenItsNeighbours)
{
    input::Input in = shell();
    in.rooms = {room("A", 0, 0, 5, 4), room("Store", 5, 0, 3, 4)};
    in.rooms[1].use.heating_setpoint = {};
    const DesignLoads d = design_loads(built(in));
    EXPECT_GT(load_of(d, "Store").lowest_air_C, -5.0);
    EXPECT_LT(load_of(d, "Store").lowest_air_C, 20.0);
    EXPECT_FALSE(load_of(d, "Store").heated);
}

TEST(DesignLoads, SendBeamToTheFloorAndLoseSomeAgain)
{
    const building::Building b = built(sunny_room());
    const auto compiled = compile(b, climate::cooling_design_day(b.site, b.site.months[0]));
    double shares = 0.0, glass_m2 = 0.0;
    for (const balance::Surface& s : compiled.model.surfaces) {
        const auto& drives = std::get<balance::ZoneFace>(s.inside).absorbed_W;
        if (s.part == balance::Part::window) {
            glass_m2 += drives.at(0).factor; // what the glass takes up flows in beside
            continue;
        }
        ASSERT_EQ(drives.size(), 2u);
        shares += drives[0].factor;
    }
    shares /= glass_m2;
    EXPECT_LT(shares, 1.0);
    EXPECT_GT(shares, 0.9);
}

input::ShadeInput screen()
{
    input::ShadeInput s;
    s.name = "screen";
    s.place = "outside";
    s.transmittance = 0.1;
    s.reflectance = 0.5;
    return s;
}

double peak_with_shade(const std::string& use, std::optional<double> above = {})
{
    input::Input in = sunny_room();
    in.rooms[0].use.equipment_power = 800.0;
    in.shades = {screen()};
    in.shades[0].use = use;
    if (above) in.shades[0].above = *above;
    in.fabric.shade = "screen";
    return design_loads(built(in)).loads.rooms[0].cooling_W;
}

TEST(DesignLoads, FallWithShadesByTheirRuleOfUse)
{
    const double never = peak_with_shade("never"), always = peak_with_shade("always");
    EXPECT_LT(always, 0.8 * never); // its equipment stays
    EXPECT_NEAR(peak_with_shade("above", 1500.0), never, 1e-9 * never);
    const double low = peak_with_shade("above", 50.0), middle = peak_with_shade("above", 250.0);
    EXPECT_GT(low, always);
    EXPECT_LT(low, middle);
    EXPECT_LT(middle, never);
    EXPECT_NEAR(peak_with_shade("at night"), never, 1e-9 * never);
}

DesignLoads loads_with_shutter(const std::string& use, std::optional<double> resistance)
{
    input::Input in = sunny_room();
    in.shades = {screen()};
    in.shades[0].use = use;
    if (resistance) in.shades[0].resistance = *resistance;
    in.fabric.shade = "screen";
    return design_loads(built(in));
}

TEST(DesignLoads, CountOnAShutterInWinterOnlyIfItIsAlwaysDown)
{
    const auto heating = [](const char* use, std::optional<double> resistance) {
        return loads_with_shutter(use, resistance).loads.rooms[0];
    };
    const RoomLoad open = heating("always", {}), at_night = heating("at night", 0.15), shut = heating("always", 0.15);
    EXPECT_DOUBLE_EQ(at_night.heating_W, open.heating_W);
    const double adds = 0.55 * 0.15 + 0.11; // ISO 10077-1 annex G, average edges
    double less_W = 0.0;
    for (std::size_t i = 0; i < open.paper.size(); ++i) {
        const PaperTerm &before = open.paper[i], &after = shut.paper[i];
        const bool window = before.what.starts_with("window");
        EXPECT_NEAR(after.u_W_per_m2K, window ? 1.0 / (1.0 / before.u_W_per_m2K + adds) : before.u_W_per_m2K, 1e-12);
        less_W += before.loss_W - after.loss_W;
    }
    EXPECT_GT(less_W, 20.0);
    EXPECT_NEAR(open.heating_W - shut.heating_W, less_W, 0.1 * less_W); // air and radiant point differ
}

TEST(DesignLoads, KeepTheWarmthInBehindAShutterAtNight)
{
    input::Input in = sunny_room();
    in.shades = {screen()};
    in.shades[0].use = "at night";
    const auto conductance = [&](double hour) {
        const building::Building b = built(in);
        const auto compiled = compile(b, climate::cooling_design_day(b.site, b.site.months[0]));
        const auto& model = compiled.model;
        for (const balance::Surface& s : model.surfaces)
            if (s.part == balance::Part::window) {
                const auto& face = std::get<balance::OutdoorFace>(s.outside);
                const double film = face.film_by_step
                                        ? model.value(*face.film_by_step, static_cast<std::size_t>(6.0 * hour), 0.5)
                                        : face.film_W_per_m2K;
                return 1.0 / (1.0 / film + 1.0 / model.walls[s.wall].d11);
            }
        return 0.0;
    };
    in.fabric.shade = "screen";
    const double open = conductance(0.0);
    in.shades[0].resistance = 0.15;
    EXPECT_NEAR(conductance(12.0), open, 1e-12);
    EXPECT_NEAR(1.0 / conductance(1.0) - 1.0 / open, 0.55 * 0.15 + 0.11, 1e-9);
}

TEST(DesignLoads, LoseHeatThroughThermalBridges)
{
    input::Input in = one_room();
    const DesignLoads without = design_loads(built(in));
    input::ThermalBridgeInput junction, fixing;
    junction.name = "wall to slab";
    junction.room = fixing.room = "Room";
    junction.psi = 0.2;
    junction.length = 18.0;
    fixing.name = "brackets";
    fixing.chi = 0.05;
    fixing.count = 8.0;
    in.thermal_bridges = {junction, fixing};
    const DesignLoads with = design_loads(built(in));
    const double more = (0.2 * 18.0 + 0.05 * 8.0) * 25.0;
    EXPECT_NEAR(with.loads.rooms[0].paper_W() - without.loads.rooms[0].paper_W(), more, 1e-9);
    EXPECT_NEAR(with.loads.rooms[0].heating_W - without.loads.rooms[0].heating_W, more,
                0.08 * more); // what is held is the operative temperature; the air is warmer
    in.thermal_bridges[1].chi = {};
    EXPECT_FALSE(resolve::resolve(in).building);
}

TEST(DesignLoads, LieOnTheGroundThatTheProjectDescribes)
{
    input::Input in = one_room();
    in.ground.outdoor_mean = 9.0;
    in.ground.outdoor_amplitude = 7.0;
    const building::Building b = built(in);
    const auto compiled = compile(b, climate::winter_design_day(b.site));
    for (const balance::Surface& s : compiled.model.surfaces) {
        if (s.part != balance::Part::ground) continue;
        const double ground = compiled.model.value(std::get<balance::FixedFace>(s.outside).temperature_C, 0, 0.0);
        EXPECT_NEAR(ground, b.build_ups.back().ground->design_ground_C, 1e-12);
    }
    const DesignLoads d = design_loads(b);
    EXPECT_NEAR(d.loads.rooms[0].heating_W, d.loads.rooms[0].paper_W(), 0.05 * d.loads.rooms[0].paper_W());
}

TEST(Coincident, IsAtMostTheSumOfPeaksAndAtLeastTheLargest)
{
    input::Input in = shell();
    in.rooms = {room("East", 0, 0, 5, 4), room("West", 8, 0, 5, 4)};
    in.rooms[0].openings = {window("east", 3.0, 1.5)};
    in.rooms[1].openings = {window("west", 3.0, 1.5)};
    for (auto& r : in.rooms) r.use.cooling_setpoint = 24.0;
    const DesignLoads d = design_loads(built(in));
    const Coincident c = coincident_cooling(d.loads, {0, 1});
    EXPECT_LT(c.total_W, 0.95 * c.sum_of_peaks_W);
    EXPECT_GE(c.total_W, std::max(d.loads.rooms[0].cooling_W, d.loads.rooms[1].cooling_W));
    EXPECT_NEAR(c.total_W, c.sensible_W + c.latent_W, 1e-9);
    EXPECT_EQ(coincident_cooling(d.loads, {}).total_W, 0.0);
}

} // namespace
} // namespace venture::loads
