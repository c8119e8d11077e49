#include <venture/fabric/wall_stepper.hpp>

#include <cmath>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

namespace {

/// What couples a port to the modes: b1, b2, or e of a plane.
std::vector<const std::vector<double>*> couplings(const WallModes& wall)
{
    std::vector<const std::vector<double>*> out = {&wall.b1, &wall.b2};
    for (const WallModes::AtPlane& plane : wall.planes) out.push_back(&plane.e);
    return out;
}

/// What ports feel of each other without the modes: faces their fluxes, planes their temperatures.
std::vector<double> without_modes(const WallModes& wall)
{
    const std::size_t n = 2 + wall.planes.size();
    std::vector<double> out(n * n, 0.0);
    const auto both_ways = [&](std::size_t i, std::size_t j, double value) {
        out.at(i * n + j) = out.at(j * n + i) = value;
    };
    both_ways(0, 0, wall.d11);
    both_ways(0, 1, wall.d12);
    both_ways(1, 1, wall.d22);
    for (std::size_t p = 0; p < wall.planes.size(); ++p) {
        both_ways(0, 2 + p, wall.planes[p].w1);
        both_ways(1, 2 + p, wall.planes[p].w2);
        for (std::size_t r = 0; r < wall.planes.size(); ++r) both_ways(2 + p, 2 + r, wall.planes[p].r.at(r));
    }
    return out;
}

} // namespace

WallStepper wall_stepper(const WallModes& wall, double step_s)
{
    VENTURE_ASSERT(step_s > 0.0);
    const bool steady = std::isinf(step_s);
    const double stage_s = two_stages::gamma * step_s, c = steady ? 0.0 : two_stages::carry_over;
    const auto couples = couplings(wall);
    const std::size_t n = couples.size();
    WallStepper out{.stored = wall.s, .ports = std::vector<WallStepper::Port>(n), .instant = without_modes(wall)};
    out.carried.assign(n * n, 0.0);
    for (std::size_t k = 0; k < wall.size(); ++k) {
        const double rate = wall.rate_per_s[k];
        const double keep = steady ? 0.0 : 1.0 / (1.0 + stage_s * rate), gain = steady ? 1.0 / rate : stage_s * keep;
        const double second = 1.0 - c + c * keep; // of a state before the step in what the second stage starts from
        out.keep.push_back(keep * second);
        for (std::size_t i = 0; i < n; ++i) {
            const double b = (*couples[i])[k];
            out.ports[i].history[0].push_back(keep * b);
            out.ports[i].history[1].push_back(keep * b * second);
            out.ports[i].gain[0].push_back(c * keep * gain * b);
            out.ports[i].gain[1].push_back(gain * b);
            for (std::size_t j = 0; j < n; ++j) {
                const double by_modes = gain * b * (*couples[j])[k];
                const bool both_faces = i < 2 && j < 2; // what a face takes up does not come out again: minus
                out.instant[i * n + j] += both_faces ? -by_modes : by_modes;
                out.carried[i * n + j] += c * keep * by_modes;
            }
        }
    }
    return out;
}

namespace {

using Lanes = double __attribute__((vector_size(WallRow::lanes * sizeof(double)), aligned(8), may_alias));

} // namespace

// One copy for the processor that the program was built for and two with fused multiply-add, one of them eight wide;
// chosen when it starts.
#if defined(__x86_64__) && !defined(__SANITIZE_ADDRESS__) && !defined(__clang__)
__attribute__((target_clones("default", "arch=x86-64-v3", "arch=x86-64-v4")))
#endif
void advance_walls(const WallStepper& stepper, const WallRow& row)
{
    const std::size_t modes = stepper.modes();
    const WallStepper::Port &outside = stepper.ports[0], &inside = stepper.ports[1];
    const double *keep = stepper.keep.data(), *stored = stepper.stored.data();
    const double *g0 = outside.gain[0].data(), *g1 = inside.gain[0].data(), *g2 = outside.gain[1].data(),
                 *g3 = inside.gain[1].data();
    const double *h0 = outside.history[0].data(), *h1 = inside.history[0].data(), *h2 = outside.history[1].data(),
                 *h3 = inside.history[1].data();
    double* z = row.states;
    for (std::size_t i = 0; i < row.count; i += WallRow::lanes) {
        const Lanes t0 = *reinterpret_cast<const Lanes*>(row.face_C[0] + i),
                    t1 = *reinterpret_cast<const Lanes*>(row.face_C[1] + i),
                    t2 = *reinterpret_cast<const Lanes*>(row.face_C[2] + i),
                    t3 = *reinterpret_cast<const Lanes*>(row.face_C[3] + i);
        Lanes a0{}, a1{}, a2{}, a3{}, heat{};
        for (std::size_t k = 0; k < modes; ++k, z += WallRow::lanes) {
            Lanes& at = *reinterpret_cast<Lanes*>(z);
            const Lanes now = keep[k] * at + g0[k] * t0 + g1[k] * t1 + g2[k] * t2 + g3[k] * t3;
            at = now;
            a0 += h0[k] * now;
            a1 += h1[k] * now;
            a2 += h2[k] * now;
            a3 += h3[k] * now;
            heat += stored[k] * now;
        }
        *reinterpret_cast<Lanes*>(row.history[0] + i) = a0;
        *reinterpret_cast<Lanes*>(row.history[1] + i) = a1;
        *reinterpret_cast<Lanes*>(row.history[2] + i) = a2;
        *reinterpret_cast<Lanes*>(row.history[3] + i) = a3;
        *reinterpret_cast<Lanes*>(row.stored_J_per_m2 + i) = heat;
    }
}

double history_of(const WallStepper& stepper, const double* states, std::size_t stride, std::size_t port,
                  std::size_t stage)
{
    const std::vector<double>& weights = stepper.ports[port].history[stage];
    double sum = 0.0;
    for (std::size_t k = 0; k < weights.size(); ++k) sum += weights[k] * states[k * stride];
    return sum;
}

double stored_heat(const WallStepper& stepper, const double* states, std::size_t stride)
{
    double sum = 0.0;
    for (std::size_t k = 0; k < stepper.modes(); ++k) sum += stepper.stored[k] * states[k * stride];
    return sum;
}

void advance_wall(const WallStepper& stepper, double* states, std::size_t stride, const double* first,
                  const double* second)
{
    for (std::size_t k = 0; k < stepper.modes(); ++k) {
        double& z = states[k * stride];
        z *= stepper.keep[k];
        for (std::size_t i = 0; i < stepper.ports.size(); ++i)
            z += stepper.ports[i].gain[0][k] * first[i] + stepper.ports[i].gain[1][k] * second[i];
    }
}

} // namespace venture::fabric
