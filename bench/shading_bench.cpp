/// Exact shadows on many windows over twelve days; beside them, in the same run, what one shadow of one plate takes.

#include <vector>

#include <benchmark/benchmark.h>
#include <tbb/parallel_for.h>

#include <venture/climate/sun.hpp>
#include <venture/plan/shadows.hpp>

namespace {

using namespace venture;
using climate::Angle;
using plan::Caster;

struct Window {
    plan::Polygons lit{};
    std::vector<Caster> casters{};
    double azimuth_deg = 0.0;
};

/// A window with overhang and fins, unlike every other one, and two boxes before it.
Window window(std::size_t number)
{
    const double n = static_cast<double>(number), width = 1.0 + 0.001 * n, height = 1.5;
    const plan::Plates plates{.overhang = {.depth_m = 0.5, .above_m = 0.1, .beyond_left_m = 0.2, .beyond_right_m = 0.2},
                              .left = {.depth_m = 0.3},
                              .right = {.depth_m = 0.3}};
    Window out{{plan::rectangle(0, 0, plan::to_grid(width), plan::to_grid(height))},
               plan::casters_of(plates, width, height),
               static_cast<double>(number * 37 % 360)};
    for (const double away : {8.0, 20.0}) {
        const double left = -5.0 + 0.01 * n, right = left + 12.0, top = 4.0 + 0.3 * away, back = away + 6.0;
        const auto side = [&](double x0, double y0, double x1, double y1) {
            out.casters.push_back({{x0, -3.0, y0}, {x1, -3.0, y1}, {x1, top, y1}, {x0, top, y0}});
        };
        side(left, away, right, away);
        side(right, away, right, back);
        side(right, back, left, back);
        side(left, back, left, away);
        out.casters.push_back({{left, top, away}, {right, top, away}, {right, top, back}, {left, top, back}});
    }
    return out;
}

/// The sun of the 21st of every month, hour by hour, in the middle of a continent.
std::vector<climate::SunPosition> suns()
{
    std::vector<climate::SunPosition> out;
    for (int month = 1; month <= 12; ++month)
        for (int hour = 0; hour < 24; ++hour) {
            const auto sun =
                climate::sun_position({2026, month, 21, hour + 0.5}, Angle::degrees(50.0), Angle::degrees(10.0));
            if (sun.elevation_deg() > 0.0) out.push_back(sun);
        }
    return out;
}

void shading_of_windows(benchmark::State& state)
{
    std::vector<Window> windows;
    for (std::size_t i = 0; i < static_cast<std::size_t>(state.range(0)); ++i) windows.push_back(window(i));
    const auto sun = suns();
    std::vector<double> left(windows.size());
    const auto shade = [&](std::size_t i) {
        const Window& w = windows[i];
        const plan::Shadows shadows{w.lit, w.casters};
        left[i] = diffuse_left(shadows, Angle::degrees(90.0)).sky;
        const plan::Facing facing{Angle::degrees(90.0), Angle::degrees(w.azimuth_deg)};
        for (const auto& s : sun) left[i] += shadows.share(facing.towards(climate::direction_of(s)));
    };
    for (auto _ : state) { // side by side, as a building's scenes are
        tbb::parallel_for(std::size_t{0}, windows.size(), shade);
        benchmark::DoNotOptimize(left.data());
    }
    state.counters["windows_per_s"] =
        benchmark::Counter(static_cast<double>(state.iterations() * state.range(0)), benchmark::Counter::kIsRate);
}
BENCHMARK(shading_of_windows)->Arg(100)->Arg(1000)->Unit(benchmark::kMillisecond)->UseRealTime();

void shadow_of_one_plate(benchmark::State& state)
{
    const Window w = window(0);
    const plan::Shadows plate{w.lit, std::span{w.casters}.first(1)};
    const plan::Facing south{Angle::degrees(90.0), Angle::degrees(180.0)};
    const auto light = south.towards(climate::direction_of({40.0, 170.0, 0.0, 0.0}));
    for (auto _ : state) benchmark::DoNotOptimize(plate.share(light));
}
BENCHMARK(shadow_of_one_plate);

} // namespace
