/// A year of sun and sky, and states of moist air, beside the same formula by formula in one run. Read the ratios.

#include <array>
#include <cmath>

#include <benchmark/benchmark.h>

#include <venture/air/state_pair.hpp>
#include <venture/climate/sky.hpp>
#include <venture/climate/weather_year.hpp>

namespace {

using namespace venture;
using climate::Angle;

constexpr int hours = 8760, orientations = 10;

climate::UtcInstant instant(int hour) { return {2022, 1, 1, static_cast<double>(hour)}; }

Angle bearing(int i) { return Angle::degrees(36.0 * i); }

constexpr double beyond = 1367.0;

climate::ClearSky sky_under(const climate::SunPosition& sun)
{
    return climate::clear_sky(Angle::degrees(sun.elevation_deg()), beyond, 0.4, 2.3);
}

/// The sun, its sky and their brightness once an hour, then every orientation.
void year_of_sun_and_sky(benchmark::State& state)
{
    const Angle latitude = Angle::degrees(52.0), longitude = Angle::degrees(0.0), wall = Angle::degrees(90.0);
    for (auto _ : state) {
        double sum = 0.0;
        for (int h = 0; h < hours; ++h) {
            const climate::SunPosition sun = climate::sun_position(instant(h), latitude, longitude);
            if (sun.elevation_deg() <= 0.0) continue;
            const climate::ClearSky sky = sky_under(sun);
            const auto brightness = climate::perez_1990(sky, Angle::degrees(sun.elevation_deg()), beyond);
            for (int i = 0; i < orientations; ++i)
                sum += climate::on_plane(sky, sun, brightness, wall, bearing(i), 0.2).total_W_per_m2();
        }
        benchmark::DoNotOptimize(sum);
    }
}
BENCHMARK(year_of_sun_and_sky)->Unit(benchmark::kMillisecond);

/// Hours of a weather year, from its file's numbers to irradiances on planes.
void year_of_weather_on_planes(benchmark::State& state)
{
    climate::WeatherYear year{.place = {52.0, 0.0, 0.0, 0.0}};
    for (const climate::StepSun& sun : climate::suns_of_year(year.place, false, 1)) {
        const climate::ClearSky sky = sky_under(sun.middle);
        year.dry_bulb_C.push_back(10.0);
        year.beam_normal_W_per_m2.push_back(sky.beam_normal_W_per_m2);
        year.diffuse_horizontal_W_per_m2.push_back(sky.diffuse_horizontal_W_per_m2);
    }
    std::vector<climate::Plane> planes;
    for (int i = 0; i < orientations; ++i) planes.push_back({.azimuth = bearing(i)});
    for (auto _ : state)
        benchmark::DoNotOptimize(
            climate::irradiance_of_year(year, climate::suns_of_year(year.place, false, 1), planes));
}
BENCHMARK(year_of_weather_on_planes)->Unit(benchmark::kMillisecond);

/// The same formula by formula: everything again for every orientation.
void year_formula_by_formula(benchmark::State& state)
{
    const Angle latitude = Angle::degrees(52.0), longitude = Angle::degrees(0.0), wall = Angle::degrees(90.0);
    for (auto _ : state) {
        double sum = 0.0;
        for (int i = 0; i < orientations; ++i)
            for (int h = 0; h < hours; ++h) {
                const climate::SunPosition sun = climate::sun_position(instant(h), latitude, longitude);
                sum += climate::perez_on_plane(sky_under(sun), sun, wall, bearing(i), 0.2, beyond).total_W_per_m2();
            }
        benchmark::DoNotOptimize(sum);
    }
}
BENCHMARK(year_formula_by_formula)->Unit(benchmark::kMillisecond);

void state_from_wet_bulb(benchmark::State& state)
{
    const auto p = air::Pressure::pascal(101325.0);
    double t_C = 20.0;
    for (auto _ : state) {
        t_C = t_C > 34.0 ? 20.0 : t_C + 0.01;
        benchmark::DoNotOptimize(air::state_from({air::Fact::dry_bulb, t_C}, {air::Fact::wet_bulb, 0.5 * t_C}, p));
    }
}
BENCHMARK(state_from_wet_bulb);

/// Saturation and the balance of adiabatic saturation written out, without checks.
void wet_bulb_formulas_alone(benchmark::State& state)
{
    double t_C = 20.0;
    for (auto _ : state) {
        t_C = t_C > 34.0 ? 20.0 : t_C + 0.01;
        const double wb_C = 0.5 * t_C, T = wb_C + 273.15;
        const double p_ws = std::exp(-5.8002206e3 / T + 1.3914993 - 4.8640239e-2 * T + 4.1764768e-5 * T * T -
                                     1.4452093e-8 * T * T * T + 6.5459673 * std::log(T));
        const double w_s = 0.621945 * p_ws / (101325.0 - p_ws);
        const double w = ((2501.0 - 2.326 * wb_C) * w_s - 1.006 * (t_C - wb_C)) / (2501.0 + 1.86 * t_C - 4.186 * wb_C);
        benchmark::DoNotOptimize(w);
    }
}
BENCHMARK(wet_bulb_formulas_alone);

} // namespace
