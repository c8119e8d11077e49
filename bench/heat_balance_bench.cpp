/// A step of the heat balance beside a plain one written here: finite volumes and a dense factorisation at every step.
/// Read the ratio of the two in one run, not the times. Before timing, both must agree on the load.

#include <cmath>
#include <cstdio>
#include <cstdlib>

#include <Eigen/Dense>
#include <benchmark/benchmark.h>

#include <venture/balance/periodic_day.hpp>

#include "tower.hpp"

namespace {

using namespace venture;

constexpr double brick_m = 0.2, conductivity = 0.8, density = 1800.0, specific_heat = 1000.0, film_in = 7.5,
                 film_out = 25.0;

/// A row of held rooms, each with six equal walls to outdoors.
balance::ThermalModel row_of_rooms(std::size_t zones)
{
    balance::ThermalModel m;
    std::vector<double> outdoor;
    for (int h = 0; h < 24; ++h) outdoor.push_back(5.0 + 8.0 * std::sin(h * 0.2618));
    m.outdoor_air_C = m.add_points(outdoor);
    m.outdoor_humidity_ratio = m.add_constant(0.004);
    m.walls = {fabric::wall_modes(
        {"brick", {{.material = {"brick", conductivity, density, specific_heat}, .thickness_m = brick_m}}})};
    for (std::size_t z = 0; z < zones; ++z) {
        balance::Zone zone{.id = "zone", .air_capacity_J_per_K = 72000.0, .dry_air_kg = 72.0};
        zone.heat_below_C = zone.cool_above_C = m.add_constant(20.0);
        m.zones.push_back(zone);
        for (int i = 0; i < 6; ++i)
            m.surfaces.push_back({.id = "wall",
                                  .area_m2 = 10.0,
                                  .outside = balance::OutdoorFace{film_out, m.outdoor_air_C},
                                  .inside = balance::ZoneFace{z, film_in, 0.0, {}}});
    }
    return m;
}

/// The plain way, one wall at a time: backward Euler over 5 mm cells, factorised anew at every step.
class PlainWall {
public:
    PlainWall() : cells_{static_cast<Eigen::Index>(brick_m / 0.005)}, t_{Eigen::VectorXd::Constant(cells_, 15.0)} {}
    double step(double inside_C, double outside_C, double step_s)
    {
        const double dx = brick_m / static_cast<double>(cells_), between = conductivity / dx,
                     capacity = density * specific_heat * dx / step_s;
        const double in = 1.0 / (1.0 / film_in + 0.5 * dx / conductivity),
                     out = 1.0 / (1.0 / film_out + 0.5 * dx / conductivity);
        Eigen::MatrixXd a = Eigen::MatrixXd::Zero(cells_, cells_);
        Eigen::VectorXd b = capacity * t_;
        for (Eigen::Index i = 0; i < cells_; ++i) {
            a(i, i) = capacity + (i > 0 ? between : out) + (i + 1 < cells_ ? between : in);
            if (i > 0) a(i, i - 1) = -between;
            if (i + 1 < cells_) a(i, i + 1) = -between;
        }
        b(0) += out * outside_C;
        b(cells_ - 1) += in * inside_C;
        t_ = a.partialPivLu().solve(b);
        return in * (inside_C - t_(cells_ - 1));
    }

private:
    Eigen::Index cells_;
    Eigen::VectorXd t_;
};

void check_agreement()
{
    const balance::ThermalModel m = row_of_rooms(1);
    const auto day = balance::run_periodic_day(m);
    PlainWall wall;
    std::vector<double> load(24, 0.0);
    for (int repetition = 0; repetition < 12; ++repetition)
        for (std::size_t i = 0; i < m.steps; ++i) {
            const double flux = wall.step(20.0, m.value(m.outdoor_air_C, i, 1.0), m.step_s);
            load[i / 6] = i % 6 == 0 ? flux * 10.0 : load[i / 6] + flux * 10.0;
        }
    for (std::size_t h = 0; h < 24; ++h)
        if (std::abs(load[h] - day.zones[0].heating_W[h]) > 0.03 * day.zones[0].heating_W[h]) {
            std::printf("the two ways disagree in hour %zu: %.1f and %.1f W\n", h, load[h], day.zones[0].heating_W[h]);
            std::exit(1);
        }
}

void heat_balance_step(benchmark::State& state)
{
    const balance::ThermalModel m = row_of_rooms(static_cast<std::size_t>(state.range(0)));
    const balance::HeatBalance balance{m};
    balance::State now = balance.steady_state();
    balance::StepResult result;
    std::size_t step = 0;
    for (auto _ : state) balance.advance(now, step++ % m.steps, result, {.account = balance::Account::loads});
    state.SetItemsProcessed(state.iterations() * state.range(0)); // zone-steps
}
BENCHMARK(heat_balance_step)->Arg(1)->Arg(30)->Arg(300);

void plain_step(benchmark::State& state)
{
    std::vector<PlainWall> walls(static_cast<std::size_t>(6 * state.range(0)));
    for (auto _ : state)
        for (PlainWall& wall : walls) benchmark::DoNotOptimize(wall.step(20.0, 5.0, 600.0));
    state.SetItemsProcessed(state.iterations() * state.range(0));
}
BENCHMARK(plain_step)->Arg(1)->Arg(30);

} // namespace

int main(int argc, char** argv)
{
    check_agreement();
    benchmark::Initialize(&argc, argv);
    benchmark::RunSpecifiedBenchmarks();
    return 0;
}
