/// A step of conduction beside a plain implicit one of the same accuracy, and beside the bare arithmetic it needs.
/// Read the ratios in one run. Before timing, both must agree with the exact answer to a daily wave.

#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <numbers>

#include <benchmark/benchmark.h>

#include <venture/fabric/conduction_run.hpp>

namespace {

using namespace venture::fabric;

constexpr double step_s = 600.0, omega = 2.0 * std::numbers::pi / 86400.0, accuracy = 1e-3;
constexpr Films films{0.04, 0.13};

Buildup wall_of(bool heavy)
{
    const Material brick{"brick", 0.77, 1750, 1000}, wool{"wool", 0.036, 30, 1030}, board{"board", 0.25, 800, 1000},
        concrete{"concrete", 1.7, 2300, 1000};
    if (heavy) return {"heavy", {{concrete, 0.2}, {wool, 0.16}, {concrete, 0.4}}};
    return {"typical", {{brick, 0.1}, {.resistance_m2K_per_W = 0.18}, {wool, 0.1}, {brick, 0.1}, {board, 0.0125}}};
}

/// The plain way: finite volumes of equal temperature steps in a layer, the same two implicit stages, a tridiagonal
/// elimination each, prepared beforehand.
class PlainWall {
public:
    PlainWall(const Buildup& wall, std::size_t cells_a_layer)
    {
        resistance_.push_back(films.outside_m2K_per_W);
        for (const Layer& layer : wall.layers) {
            const std::size_t n = layer.has_capacity() ? cells_a_layer : 0;
            if (n == 0) resistance_.back() += layer.resistance();
            for (std::size_t i = 0; i < n; ++i) {
                const double part = 1.0 / static_cast<double>(n);
                resistance_.back() += 0.5 * part * layer.resistance();
                capacity_.push_back(part * layer.thickness_m * layer.material.density_kg_per_m3 *
                                    layer.material.specific_heat_J_per_kgK);
                resistance_.push_back(0.5 * part * layer.resistance());
            }
        }
        resistance_.back() += films.inside_m2K_per_W;
        const std::size_t n = capacity_.size();
        t_.assign(n, 0.0);
        hat_ = below_ = t_;
        factor_.resize(n);
        const double stage_s = two_stages::gamma * step_s;
        for (std::size_t i = 0; i < n; ++i) {
            storage_.push_back(capacity_[i] / stage_s);
            const double before = 1.0 / resistance_[i], behind = 1.0 / resistance_[i + 1];
            const double own = storage_[i] + before + behind - (i > 0 ? before * factor_[i - 1] : 0.0);
            below_[i] = 1.0 / own;
            factor_[i] = behind / own;
        }
    }
    /// Flux into the room at the end of the step.
    double step(double outside_from, double outside_to)
    {
        const std::size_t n = t_.size();
        hat_ = t_;
        for (std::size_t stage = 0; stage < 2; ++stage) {
            const double outside = outside_from + two_stages::at[stage] * (outside_to - outside_from);
            double passed = outside;
            for (std::size_t i = 0; i < n; ++i)
                passed = now_(i) = (storage_[i] * hat_[i] + passed / resistance_[i]) * below_[i];
            for (std::size_t i = n - 1; i-- > 0;) now_(i) += factor_[i] * now_(i + 1);
            if (stage == 0)
                for (std::size_t i = 0; i < n; ++i) hat_[i] += two_stages::carry_over * (now_(i) - hat_[i]);
        }
        t_ = work_;
        return t_.back() / resistance_.back();
    }
    [[nodiscard]] std::size_t cells() const { return t_.size(); }

private:
    double& now_(std::size_t i)
    {
        if (work_.size() != t_.size()) work_.resize(t_.size());
        return work_[i];
    }
    std::vector<double> resistance_{}, capacity_{}, storage_{}, t_{}, hat_{}, work_{}, below_{}, factor_{};
};

/// Largest error of the flux inside under a daily wave outside, as a share of the flux.
template <class Step>
double wave_error(const Buildup& wall, Step step)
{
    const auto exact = two_port(wall, {0.0, omega}, films).t;
    double worst = 0.0;
    for (int i = 0; i < 144 * 20; ++i) {
        const double q = step(std::cos(omega * i * step_s), std::cos(omega * (i + 1) * step_s));
        const double expected = (exact * std::polar(1.0, omega * (i + 1) * step_s)).real();
        if (i >= 144 * 19) worst = std::max(worst, std::abs(q - expected) / std::abs(exact));
    }
    return worst;
}

std::size_t cells_needed(const Buildup& wall, double as_good_as)
{
    for (std::size_t cells = 1; cells < 200; ++cells) {
        PlainWall plain{wall, cells};
        if (wave_error(wall, [&](double a, double b) { return plain.step(a, b); }) <= as_good_as) return cells;
    }
    std::printf("the plain wall does not come as near as %g\n", as_good_as);
    std::exit(1);
}

double flux_inside(ConductionRun& run, double from, double to)
{
    return -run.step({{from, 0.0}, {}}, {{to, 0.0}, {}}).flux_end_W_per_m2[1];
}

void conduction_step(benchmark::State& state)
{
    const Buildup wall = wall_of(state.range(0) != 0);
    ConductionRun run{wall_modes(wall, {.step_s = step_s, .accuracy = accuracy}), step_s, films};
    if (wave_error(wall, [&](double a, double b) { return flux_inside(run, a, b); }) > 5e-3) std::exit(1);
    for (auto _ : state) benchmark::DoNotOptimize(flux_inside(run, 10.0, 11.0));
    state.SetItemsProcessed(state.iterations());
    state.counters["modes"] = static_cast<double>(run.modes().size());
}
BENCHMARK(conduction_step)->Arg(0)->Arg(1);

void conduction_plain(benchmark::State& state)
{
    const Buildup wall = wall_of(state.range(0) != 0);
    ConductionRun run{wall_modes(wall, {.step_s = step_s, .accuracy = accuracy}), step_s, films};
    const double error = wave_error(wall, [&](double a, double b) { return flux_inside(run, a, b); });
    PlainWall plain{wall, cells_needed(wall, 1.5 * error)};
    for (auto _ : state) benchmark::DoNotOptimize(plain.step(10.0, 11.0));
    state.SetItemsProcessed(state.iterations());
    state.counters["cells"] = static_cast<double>(plain.cells());
}
BENCHMARK(conduction_plain)->Arg(0)->Arg(1);

/// Walls of one build-up side by side, as the heat balance steps them; face temperatures given.
void conduction_row(benchmark::State& state)
{
    const WallModes modes = wall_modes(wall_of(state.range(0) != 0), {.step_s = step_s, .accuracy = accuracy});
    const WallStepper stepper = wall_stepper(modes, step_s);
    constexpr std::size_t walls = 64;
    std::vector<double> states(walls * modes.size(), 1.0), faces(4 * walls, 10.0), history(4 * walls), stored(walls);
    WallRow row{.count = walls, .states = states.data(), .stored_J_per_m2 = stored.data()};
    for (std::size_t r = 0; r < 4; ++r) {
        row.face_C[r] = faces.data() + r * walls;
        row.history[r] = history.data() + r * walls;
    }
    for (auto _ : state) {
        advance_walls(stepper, row);
        benchmark::ClobberMemory();
    }
    state.SetItemsProcessed(state.iterations() * static_cast<std::int64_t>(walls));
}
BENCHMARK(conduction_row)->Arg(0)->Arg(1);

/// The floor: as many multiply-adds as a step takes of every mode (nine, and the heat stored), kept in registers.
#if defined(__x86_64__) && !defined(__clang__)
__attribute__((target_clones("default", "arch=x86-64-v3", "arch=x86-64-v4")))
#endif
double
multiply_adds(std::size_t fours_of_lanes, double by)
{
    using Lanes = double __attribute__((vector_size(32)));
    Lanes sum[10] = {};
    for (Lanes& s : sum) s += by;
    for (std::size_t i = 0; i < fours_of_lanes; ++i)
        for (Lanes& s : sum) s = s * by + by;
    double all = 0.0;
    for (const Lanes& s : sum) all += s[0] + s[3];
    return all;
}

void conduction_floor(benchmark::State& state)
{
    const WallModes modes = wall_modes(wall_of(state.range(0) != 0), {.step_s = step_s, .accuracy = accuracy});
    constexpr std::size_t walls = 64;
    double by = 0.5;
    for (auto _ : state) {
        benchmark::DoNotOptimize(by);
        benchmark::DoNotOptimize(multiply_adds(modes.size() * walls / 4, by));
    }
    state.SetItemsProcessed(state.iterations() * static_cast<std::int64_t>(walls));
}
BENCHMARK(conduction_floor)->Arg(0)->Arg(1);

} // namespace
