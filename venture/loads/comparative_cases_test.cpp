/// The box of the published comparative test of envelope loads (ANSI/ASHRAE Standard 140: 8 x 6 x 2.7 m, 12 m2 of south
/// glass, light and heavy) and its variants, on a made-up dry, cold and sunny climate: what each change must do.

#include <cmath>
#include <functional>
#include <map>
#include <numbers>

#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/balance/run.hpp>
#include <venture/climate/sky.hpp>
#include <venture/climate/synthetic_year.hpp>
#include <venture/loads/compile.hpp>

namespace venture::loads {
namespace {

using namespace testing_data;

/// High in the mountains of nowhere.
const climate::WeatherYear& dry_cold_sunny()
{
    static const climate::WeatherYear year = [] {
        climate::SyntheticRequest request{.name = "Thinair Flats", .place = {40.0, -105.0, -7.0, 1600.0}};
        const double mean_C[] = {-1, 1, 4, 9, 14, 20, 23, 22, 17, 11, 4, 0};
        const double sun_MJ[] = {9, 12.5, 16.5, 20, 22.5, 25, 24.5, 22, 18.5, 13.5, 9.5, 8};
        for (std::size_t m = 0; m < 12; ++m) request.months[m] = {mean_C[m], 14.0, 0.45, sun_MJ[m] * 1e6, 4.0};
        return climate::synthetic_year(request);
    }();
    return year;
}

input::MaterialInput layer_material(const char* name, double conductivity, double density, double specific_heat)
{
    input::MaterialInput m = material(name, conductivity, density);
    m.specific_heat = specific_heat;
    return m;
}

/// What a case is made of.
struct Box {
    bool heavy = false;
    std::string glass_faces = "south"; ///< or "east west": 6 m2 each
    double heat_below_C = 20.0, cool_above_C = 27.0;
    std::optional<double> setback_C{};
    bool night_air = false;  ///< 13.14 air changes more from 18 to 7 h, heating off, cooling by day alone
    double overhang_m = 0.0; ///< over the whole width, 0.5 m above the glass
    double fin_m = 0.0;      ///< on both sides of each window, at its edge
    bool conditioned = true;
    bool sunspace = false; ///< glass in a room of its own to the south of a heavy wall
};

input::Input input_of(const Box& box)
{
    input::Input in = shell();
    in.site.latitude = 40.0;
    in.site.longitude = -105.0;
    in.site.time_zone = -7.0;
    in.site.height = 1600.0;
    in.site.months = {};
    in.materials = {layer_material("board", 0.16, 950, 840),      layer_material("fibre", 0.04, 12, 840),
                    layer_material("siding", 0.14, 530, 900),     layer_material("block", 0.51, 1400, 1000),
                    layer_material("foam", 0.04, 10, 1400),       layer_material("slab", 1.13, 1400, 1000),
                    layer_material("floor wool", 0.04, 11, 1000), layer_material("timber", 0.14, 650, 1200)};
    in.build_ups = {box.heavy ? build_up("wall", {"9 mm siding", "61.5 mm foam", "100 mm block"})
                              : build_up("wall", {"9 mm siding", "66 mm fibre", "12 mm board"}),
                    build_up("roof", {"19 mm siding", "111.8 mm fibre", "10 mm board"}),
                    box.heavy ? build_up("floor", {"1007 mm floor wool", "80 mm slab"})
                              : build_up("floor", {"1003 mm floor wool", "25 mm timber"}),
                    build_up("common wall", {"200 mm block"})};
    in.fabric = {};
    in.fabric.outside_wall = "wall";
    in.fabric.roof = "roof";
    in.fabric.ground_floor = "floor";
    in.fabric.inner_wall = "common wall";
    in.glazings[0].u_value = 2.8;
    in.glazings[0].g_value = 0.76;
    in.glazings[0].frame_share = 0.0;
    in.storeys.pop_back();
    in.storeys[0].height = 2.7;
    in.rooms = {room("Box", 0, 0, 8, 6)};
    input::UseInput& use = in.rooms[0].use;
    use.control = "air";
    use.infiltration = 0.5;
    use.equipment_power = 200.0;
    use.furniture = 0.0;
    use.heating_setpoint = {};
    if (box.conditioned) {
        use.heating_setpoint = box.heat_below_C;
        use.cooling_setpoint = box.cool_above_C;
        in.site.months = shell().site.months;
    }
    input::RoomInput* lit = in.rooms.data();
    if (box.sunspace) {
        in.rooms.push_back(room("Sun space", 0, -2, 8, 2));
        lit = &in.rooms[1];
        lit->use.heating_setpoint = {};
        lit->use.infiltration = 0.5;
    }
    if (box.glass_faces == "south") {
        input::OpeningInput glass = window("south", 3, 2);
        glass.sill = 0.2;
        glass.count = 2.0;
        lit->openings = {glass};
    } else {
        for (const char* face : {"east", "west"}) {
            input::OpeningInput glass = window(face, 3, 2);
            glass.sill = 0.2;
            lit->openings.push_back(glass);
        }
    }
    if (box.setback_C) {
        input::ProfileInput day;
        day.name = "day";
        day.hours = quantity::TextList{{"07-23 100 %", {}}};
        in.profiles = {day};
        use.heating_setback = *box.setback_C;
        use.heating_profile = "day";
    }
    return in;
}

/// Share of the beam on a south (or east, west) window 2 m high and 3 m wide that an overhang and fins let through:
/// plane geometry by profile and shadow angles.
double beam_left(const Box& box, const climate::SunPosition& sun, climate::Angle azimuth)
{
    const climate::Angle upright = climate::Angle::degrees(90.0);
    if (cos_incidence(sun, upright, azimuth) <= 0.0) return 1.0;
    const auto tangent = [](double degrees) { return std::tan(degrees * std::numbers::pi / 180.0); };
    const double down_m = box.overhang_m * tangent(climate::profile_angle_deg(sun, upright, azimuth)) - 0.5,
                 across_m = box.fin_m * std::abs(tangent(climate::horizontal_shadow_angle_deg(sun, upright, azimuth)));
    const double high = 1.0 - std::clamp(down_m / 2.0, 0.0, 1.0), wide = 1.0 - std::clamp(across_m / 3.0, 0.0, 1.0);
    return high * wide;
}

struct Answer {
    double heating_MWh = 0.0, cooling_MWh = 0.0, heating_peak_kW = 0.0, cooling_peak_kW = 0.0;
    double warmest_C = 0.0, coldest_C = 0.0;
};

Answer answer(const Box& box)
{
    const building::Building b = built(input_of(box));
    Spell spell = spell_of(b.site, dry_cold_sunny(), 1, 365);
    if (box.overhang_m > 0.0 || box.fin_m > 0.0) {
        const auto open = spell.irradiance;
        spell.irradiance = [&spell, &box, open](climate::Angle tilt, climate::Angle azimuth) {
            auto all = open(tilt, azimuth);
            if (std::abs(tilt.degrees() - 90.0) < 1.0)
                for (std::size_t k = 0; k < all.size(); ++k)
                    all[k].beam_W_per_m2 *= beam_left(box, spell.sun[k], azimuth);
            return all;
        };
    }
    const Compiled compiled = compile(b, spell, {.step_s = 3600.0});
    balance::RunOptions options{.run_in_days = 15.0};
    if (box.night_air)
        options.control = [&](const balance::Moment& now, balance::Orders& orders) {
            const double hour = std::fmod(now.hour, 24.0);
            const bool night = hour >= 18.0 || hour < 7.0;
            constexpr double kg_per_s = 13.14 * 129.6 * 0.98 / 3600.0;
            orders[0].heat_below_C = -100.0;
            if (night) {
                orders[0].ventilation_kg_per_s = kg_per_s;
                orders[0].cool_above_C = 100.0;
            }
            return true;
        };
    const balance::RunResult r = run(compiled.model, options);
    EXPECT_LE(r.worst_closure, 1e-6);
    EXPECT_EQ(r.unsettled_steps, 0);
    const balance::ZoneRun& zone = r.zones[compiled.zone_of_room[0]];
    return {zone.heating_J / 3.6e9,       zone.cooling_J / 3.6e9, zone.heating_peak_W / 1000.0,
            zone.cooling_peak_W / 1000.0, zone.warmest_C,         zone.coldest_C};
}

TEST(ComparativeBox, IsOfAPlausibleSize)
{
    const Answer light = answer({});
    EXPECT_GT(light.heating_MWh, 3.0);
    EXPECT_LT(light.heating_MWh, 7.0);
    EXPECT_GT(light.cooling_MWh, 4.0);
    EXPECT_LT(light.cooling_MWh, 10.0);
    EXPECT_GT(light.heating_peak_kW, 2.0);
    EXPECT_LT(light.heating_peak_kW, 5.5);
    EXPECT_GT(light.cooling_peak_kW, 3.5);
    EXPECT_LT(light.cooling_peak_kW, 8.0);
}

TEST(ComparativeBox, NeedsLessOfEverythingWithMass)
{
    const Answer light = answer({}), heavy = answer({.heavy = true});
    EXPECT_LT(heavy.heating_MWh, 0.6 * light.heating_MWh);
    EXPECT_LT(heavy.cooling_MWh, 0.6 * light.cooling_MWh);
    EXPECT_LT(heavy.cooling_peak_kW, 0.75 * light.cooling_peak_kW);
    EXPECT_LT(heavy.heating_peak_kW, light.heating_peak_kW);
}

TEST(ComparativeBox, HeatsMoreAndCoolsLessWithItsGlassToEastAndWest)
{
    const Answer south = answer({}), east_west = answer({.glass_faces = "east west"});
    EXPECT_GT(east_west.heating_MWh, south.heating_MWh);
    EXPECT_LT(east_west.cooling_MWh, south.cooling_MWh);
    EXPECT_LT(east_west.cooling_peak_kW, south.cooling_peak_kW);
}

TEST(ComparativeBox, IsShadedByAnOverhangInSummerMoreThanInWinter)
{
    const Answer open = answer({}), shaded = answer({.overhang_m = 1.0});
    EXPECT_LT(shaded.cooling_MWh, 0.9 * open.cooling_MWh);
    EXPECT_GT(shaded.cooling_MWh, 0.4 * open.cooling_MWh);
    EXPECT_GE(shaded.heating_MWh, open.heating_MWh);
    EXPECT_LT(shaded.heating_MWh, 1.1 * open.heating_MWh);
}

TEST(ComparativeBox, IsShadedByOverhangAndFinsOnEastAndWest)
{
    const Answer open = answer({.glass_faces = "east west"}),
                 shaded = answer({.glass_faces = "east west", .overhang_m = 1.0, .fin_m = 1.0});
    EXPECT_LT(shaded.cooling_MWh, 0.9 * open.cooling_MWh);
    EXPECT_GT(shaded.heating_MWh, open.heating_MWh);
}

TEST(ComparativeBox, SavesHeatBySetbackAndPaysForItAtThePeak)
{
    for (const bool heavy : {false, true}) {
        const Answer held = answer({.heavy = heavy}), set_back = answer({.heavy = heavy, .setback_C = 10.0});
        EXPECT_LT(set_back.heating_MWh, held.heating_MWh);
        EXPECT_GT(set_back.heating_peak_kW, 1.1 * held.heating_peak_kW);
        EXPECT_NEAR(set_back.cooling_MWh, held.cooling_MWh, 0.05 * held.cooling_MWh);
    }
}

TEST(ComparativeBox, IsCooledByNightAir)
{
    for (const bool heavy : {false, true}) {
        const Answer closed = answer({.heavy = heavy}), aired = answer({.heavy = heavy, .night_air = true});
        EXPECT_EQ(aired.heating_MWh, 0.0);
        EXPECT_LT(aired.cooling_MWh, closed.cooling_MWh);
        if (heavy) {
            EXPECT_LT(aired.cooling_MWh, 0.5 * closed.cooling_MWh); // mass keeps the cool of the night
        }
    }
}

TEST(ComparativeBox, NeedsMoreWithoutADeadBand)
{
    const Answer wide = answer({}), none = answer({.cool_above_C = 20.0});
    EXPECT_GT(none.cooling_MWh, 1.15 * wide.cooling_MWh);
    EXPECT_GE(none.heating_MWh, wide.heating_MWh);
}

TEST(ComparativeBox, FloatsFurtherWithoutMass)
{
    const Answer light = answer({.conditioned = false}), heavy = answer({.heavy = true, .conditioned = false});
    EXPECT_GT(light.warmest_C, heavy.warmest_C + 5.0);
    EXPECT_LT(light.coldest_C, heavy.coldest_C - 3.0);
    EXPECT_LT(light.warmest_C, 85.0);
    EXPECT_GT(light.coldest_C, -30.0);
}

TEST(ComparativeBox, IsWarmedByASunSpace)
{
    Box dark{.heavy = true};
    const Answer with = answer({.heavy = true, .sunspace = true});
    const Answer direct = answer(dark);
    EXPECT_GT(with.heating_MWh, direct.heating_MWh);       // the sun has to pass a wall
    EXPECT_LT(with.cooling_MWh, 0.5 * direct.cooling_MWh); // and so has its heat
    EXPECT_LT(with.cooling_peak_kW, 0.6 * direct.cooling_peak_kW);
}

} // namespace
} // namespace venture::loads
