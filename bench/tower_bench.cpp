/// A generated tower, stepped and brought to its periodic days; beside it a straightforward solver, and what the
/// arithmetic alone would take. Read ratios within one run, not times.

#include <algorithm>
#include <array>
#include <atomic>
#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <thread>

#include <Eigen/Dense>
#include <benchmark/benchmark.h>
#include <malloc.h>

#include <venture/balance/periodic_day.hpp>

#include "tower.hpp"

namespace {

using namespace venture;
using bench::Tower;
using bench::TowerFilms;

constexpr double steps_a_year = 35040.0; // of fifteen minutes

/// Steps of fifteen minutes with loads and closure of every step.
void tower_steps(benchmark::State& state, TowerFilms films)
{
    const auto zones = static_cast<std::size_t>(state.range(0));
    const Tower tower{zones, 900.0, 7, films};
    const std::size_t before = mallinfo2().uordblks;
    const balance::HeatBalance balance{tower.model()};
    balance::State now = balance.steady_state();
    const std::size_t memory = mallinfo2().uordblks - before;
    balance::StepResult result;
    std::size_t step = 0, passes = 0, sweeps = 0;
    double worst = 0.0, residual = 0.0, peak = 1.0;
    const auto look = [&] {
        worst = std::max(worst, std::abs(result.closure_W) / std::max(1.0, result.throughput_W));
        for (const balance::ZoneStep& z : result.zones) {
            residual = std::max(residual, z.film_residual_W);
            peak = std::max({peak, z.heating_W, z.cooling_W});
        }
    };
    for (int i = 0; i < 96; ++i) { // a whole day, for a peak that is no night's
        balance.advance(now, step++ % tower.model().steps, result, {.account = balance::Account::loads});
        if (i >= 4) look(); // films begin from rest
    }
    for (auto _ : state) {
        balance.advance(now, step++ % tower.model().steps, result, {.account = balance::Account::loads});
        passes += static_cast<std::size_t>(result.film_passes);
        sweeps += static_cast<std::size_t>(result.sweeps);
        look();
    }
    if (worst > 1e-6) state.SkipWithError("the balance does not close");
    const double zone_steps = static_cast<double>(state.iterations() * state.range(0));
    state.counters["zone_years_per_s"] = benchmark::Counter(zone_steps / steps_a_year, benchmark::Counter::kIsRate);
    state.counters["kB_per_zone"] = static_cast<double>(memory) / 1024.0 / static_cast<double>(zones);
    state.counters["passes"] = static_cast<double>(passes) / static_cast<double>(state.iterations());
    state.counters["sweeps"] = static_cast<double>(sweeps) / static_cast<double>(state.iterations());
    state.counters["residual"] = residual / peak;
    state.counters["closure"] = worst;
}
void tower_fixed(benchmark::State& state) { tower_steps(state, TowerFilms::fixed); }
void tower_varying(benchmark::State& state) { tower_steps(state, TowerFilms::varying); }
BENCHMARK(tower_fixed)->Arg(30)->Arg(300)->Arg(3000);
BENCHMARK(tower_varying)->Arg(30)->Arg(300)->Arg(3000);

/// Multiply-adds of one step of the tower, counted from its model: walls' modes at both stages, faces, zones.
double multiply_adds(const balance::ThermalModel& m)
{
    double n = 0.0;
    for (const balance::Surface& s : m.surfaces) {
        const auto modes = static_cast<double>(m.walls[s.wall].size());
        n += 10.0 * modes;       // five to bring a mode on, four histories and the heat stored
        n += 2.0 * (6.0 + 16.0); // per stage: histories carried, faces eliminated twice
    }
    return n + 2.0 * 40.0 * static_cast<double>(m.zones.size());
}

using Lanes = double __attribute__((vector_size(64)));
constexpr std::size_t chains = 8, a_round = 8 * chains; // enough to hide what one multiply-add waits for the last

#if defined(__x86_64__) && !defined(__clang__)
__attribute__((target_clones("default", "arch=x86-64-v3", "arch=x86-64-v4")))
#endif
double
multiply_and_add(double factor, std::size_t rounds)
{
    Lanes sum[chains] = {};
    for (std::size_t k = 0; k < chains; ++k) sum[k] += static_cast<double>(k);
    for (std::size_t i = 0; i < rounds; ++i)
        for (Lanes& s : sum) s = s * factor + 0.25;
    double all = 0.0;
    for (const Lanes& s : sum) all += s[0] + s[3];
    return all;
}

/// What the arithmetic of a step alone takes: as many multiply-adds, independent, on numbers at hand.
void arithmetic_floor(benchmark::State& state)
{
    const Tower tower{300, 900.0, 1};
    const auto count = static_cast<std::size_t>(multiply_adds(tower.model()));
    double factor = 0.5;
    benchmark::DoNotOptimize(factor);
    for (auto _ : state) benchmark::DoNotOptimize(multiply_and_add(factor, count / a_round));
    state.counters["zone_years_per_s"] =
        benchmark::Counter(static_cast<double>(state.iterations()) * 300.0 / steps_a_year, benchmark::Counter::kIsRate);
    state.counters["multiply_adds_per_zone_step"] = static_cast<double>(count) / 300.0;
}
BENCHMARK(arithmetic_floor);

/// The straightforward way: finite volumes, backward Euler, all nodes of the tower in one dense matrix that is
/// factorised at every step; air held or free as it stood. As exact as ours it is not: see docs/performance.md.
class PlainTower {
public:
    explicit PlainTower(std::size_t zones) : zones_{static_cast<Eigen::Index>(zones)}
    {
        nodes_ = zones_ * (surfaces * cells + 2);
        t_ = Eigen::VectorXd::Constant(nodes_, 15.0);
    }
    double step(double outdoor_C, double step_s)
    {
        Eigen::MatrixXd a = Eigen::MatrixXd::Zero(nodes_, nodes_);
        Eigen::VectorXd b = Eigen::VectorXd::Zero(nodes_);
        const auto join = [&](Eigen::Index i, Eigen::Index j, double conductance) {
            a(i, i) += conductance;
            a(j, j) += conductance;
            a(i, j) -= conductance;
            a(j, i) -= conductance;
        };
        const double dx = 0.2 / cells, area = 12.0, between = area * 0.8 / dx, capacity = area * 1800.0 * 1000.0 * dx;
        for (Eigen::Index z = 0; z < zones_; ++z) {
            const Eigen::Index air = z * (surfaces * cells + 2), radiant = air + 1;
            a(air, air) += 272000.0 / step_s;
            b(air) += 272000.0 / step_s * t_(air);
            for (Eigen::Index s = 0; s < surfaces; ++s) {
                const Eigen::Index first = air + 2 + s * cells;
                for (Eigen::Index c = 0; c < cells; ++c) {
                    a(first + c, first + c) += capacity / step_s;
                    b(first + c) += capacity / step_s * t_(first + c);
                    if (c > 0) join(first + c, first + c - 1, between);
                }
                join(first + cells - 1, air, area * 2.5);
                join(first + cells - 1, radiant, area * 5.13);
                const bool to_neighbour = s >= 2 && z + 1 < zones_;
                if (to_neighbour) {
                    join(first, air + surfaces * cells + 2, area * 2.5);
                } else {
                    a(first, first) += area * 25.0;
                    b(first) += area * 25.0 * outdoor_C;
                }
            }
        }
        t_ = a.partialPivLu().solve(b);
        return t_(0);
    }

private:
    static constexpr Eigen::Index surfaces = 6, cells = 20;
    Eigen::Index zones_, nodes_ = 0;
    Eigen::VectorXd t_{};
};

void straightforward_tower(benchmark::State& state)
{
    PlainTower tower{static_cast<std::size_t>(state.range(0))};
    for (auto _ : state) benchmark::DoNotOptimize(tower.step(5.0, 900.0));
    state.counters["zone_years_per_s"] = benchmark::Counter(
        static_cast<double>(state.iterations() * state.range(0)) / steps_a_year, benchmark::Counter::kIsRate);
}
BENCHMARK(straightforward_tower)->Arg(3)->Arg(10)->Unit(benchmark::kMillisecond);

// --- design days

constexpr int design_days = 13; // heating and twelve months

balance::PeriodicDay design_day(std::size_t zones, int day, double tolerance_K)
{
    const Tower tower{zones, 900.0, 1, TowerFilms::fixed, 1.2 * day - 8.0};
    return run_periodic_day(tower.model(), {.temperature_tolerance_K = tolerance_K});
}

/// Largest difference of temperatures, and of loads as a share of the zone's peak.
std::pair<double, double> far_off(const balance::PeriodicDay& a, const balance::PeriodicDay& exact)
{
    double off_K = 0.0, off_share = 0.0;
    for (std::size_t z = 0; z < a.zones.size(); ++z) {
        const balance::ZoneDay &x = a.zones[z], &y = exact.zones[z];
        const double heating = *std::ranges::max_element(y.heating_W), cooling = *std::ranges::max_element(y.cooling_W);
        for (std::size_t h = 0; h < x.air_C.size(); ++h) off_K = std::max(off_K, std::abs(x.air_C[h] - y.air_C[h]));
        if (heating > 1.0)
            off_share = std::max(off_share, std::abs(*std::ranges::max_element(x.heating_W) - heating) / heating);
        if (cooling > 1.0)
            off_share = std::max(off_share, std::abs(*std::ranges::max_element(x.cooling_W) - cooling) / cooling);
    }
    return {off_K, off_share};
}

void tower_design_days(benchmark::State& state)
{
    constexpr double tolerance_K = 1.5e-3;
    const auto zones = static_cast<std::size_t>(state.range(0));
    int repetitions = 0;
    double off_K = 0.0, off_share = 0.0;
    for (const int day : {0, 6, 12}) {
        const auto near = design_day(zones, day, tolerance_K);
        const auto [k, share] = far_off(near, design_day(zones, day, 1e-8));
        off_K = std::max(off_K, k);
        off_share = std::max(off_share, share);
        repetitions = std::max(repetitions, near.days);
    }
    if (off_K > 0.01 || off_share > 0.001) state.SkipWithError("not periodic to 0.01 K and 0.1 % of the peak");
    for (auto _ : state) {
        std::atomic<int> next{0};
        const auto work = [&] {
            for (int day = next++; day < design_days; day = next++)
                benchmark::DoNotOptimize(design_day(zones, day, tolerance_K));
        };
        std::jthread helper{work};
        work();
    }
    state.counters["off_K"] = off_K;
    state.counters["off_peak"] = off_share;
    state.counters["repetitions"] = repetitions;
}
BENCHMARK(tower_design_days)->Arg(1000)->Unit(benchmark::kMillisecond)->UseRealTime()->Iterations(2);

} // namespace
