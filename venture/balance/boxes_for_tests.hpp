#pragma once
/// Small models written by hand, for tests.

#include <cmath>

#include <venture/balance/thermal_model.hpp>

namespace venture::balance::testing_boxes {

inline constexpr double outdoor_C = -5.0, set_C = 20.0;

/// A box of equal walls to outdoors, held at 20 degC, with one air change.
inline ThermalModel box(const fabric::Buildup& wall, double step_s = 600.0)
{
    ThermalModel m{.step_s = step_s, .steps = static_cast<std::size_t>(86400.0 / step_s)};
    m.outdoor_air_C = m.add_constant(outdoor_C);
    m.outdoor_humidity_ratio = m.add_constant(0.002);
    m.walls = {fabric::wall_modes(wall, {.step_s = step_s})};
    Zone z{.id = "box", .air_capacity_J_per_K = 72000.0, .dry_air_kg = 72.0};
    z.infiltration_kg_per_s = {{m.add_constant(0.02)}};
    z.heat_below_C = z.cool_above_C = m.add_constant(set_C);
    m.zones = {z};
    for (int i = 0; i < 6; ++i)
        m.surfaces.push_back({.id = "wall",
                              .area_m2 = 10.0,
                              .outside = OutdoorFace{25.0, m.outdoor_air_C},
                              .inside = ZoneFace{0, 2.5, 5.0, {}}});
    return m;
}

inline const fabric::Buildup brick{"brick", {{.material = {"brick", 0.8, 1800, 1000}, .thickness_m = 0.2}}};

/// Two boxes side by side behind a thin partition, the first held, the second free and a little insulated.
inline ThermalModel two_boxes()
{
    ThermalModel m = box(brick);
    m.walls.push_back(fabric::wall_modes({"board", {{.resistance_m2K_per_W = 0.1}}}));
    Zone free{.id = "a free one", .air_capacity_J_per_K = 50000.0, .dry_air_kg = 50.0};
    m.zones.push_back(free);
    for (int i = 0; i < 5; ++i)
        m.surfaces.push_back({.id = "other wall " + std::to_string(i),
                              .area_m2 = 8.0,
                              .outside = OutdoorFace{25.0, m.outdoor_air_C},
                              .inside = ZoneFace{1, 2.5, 5.0, {}}});
    m.surfaces.push_back({.id = "partition",
                          .area_m2 = 12.0,
                          .wall = 1,
                          .outside = ZoneFace{1, 2.5, 5.0, {}},
                          .inside = ZoneFace{0, 2.5, 5.0, {}},
                          .part = Part::inner});
    return m;
}

/// Hours of a day as a wave.
inline std::vector<double> wave(double mean, double swing, double highest_at_h)
{
    std::vector<double> out;
    for (int h = 0; h < 24; ++h) out.push_back(mean + swing * std::cos((h - highest_at_h) * 0.2617993877991494));
    return out;
}

} // namespace venture::balance::testing_boxes
