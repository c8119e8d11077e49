#include <venture/fabric/response_factors.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>
#include <numeric>

#include <venture/fabric/conduction_run.hpp>
#include <venture/quantity/error.hpp>

namespace venture::fabric {

namespace {

/// Fluxes at one instant after three ramps of 1 K/s began.
struct Ramps {
    double x = 0.0, y = 0.0, z = 0.0;
};

/// Fixed Talbot: sums along a contour that goes round all poles, which lie on the negative real axis.
Ramps ramps_at(const Buildup& buildup, const Films& films, double t_s)
{
    constexpr int points = 26; // more points lose digits to the exponential: 2e-11 of the answer is the best there is
    const double r = 0.4 * points / t_s;
    Ramps sum;
    const auto add = [&](std::complex<double> s, std::complex<double> weight) {
        const TwoPort wall = two_port(buildup, s, films);
        const auto factor = weight * std::exp(s * t_s) / (s * s);
        sum.x += (factor * wall.at_end_1()).real();
        sum.y += (factor * wall.t).real();
        sum.z += (factor * wall.at_end_2()).real();
    };
    add(r, 0.5);
    for (int k = 1; k < points; ++k) {
        const double angle = k * std::numbers::pi / points, cot = 1.0 / std::tan(angle);
        add(r * angle * std::complex{cot, 1.0}, {1.0, angle + (angle * cot - 1.0) * cot});
    }
    const double scale = r / points;
    return {scale * sum.x, scale * sum.y, scale * sum.z};
}

} // namespace

double ResponseFactors::rest_of(const std::vector<double>& factors) const
{
    return u_value_W_per_m2K - std::accumulate(factors.begin(), factors.end(), 0.0);
}

ResponseFactors response_factors(const Buildup& buildup, std::size_t count, const Films& films, double step_s)
{
    quantity::check_range("response_factors", "step", step_s, {1.0, 86400.0}, "s");
    check(buildup);
    ResponseFactors out{.step_s = step_s, .u_value_W_per_m2K = two_port(buildup, 0.0, films).t.real()};
    Ramps before, now; // the ramp begins one step before the triangle's tip
    for (std::size_t j = 0; j < count; ++j) {
        const Ramps next = ramps_at(buildup, films, static_cast<double>(j + 1) * step_s);
        out.x.push_back((next.x - 2.0 * now.x + before.x) / step_s);
        out.y.push_back((next.y - 2.0 * now.y + before.y) / step_s);
        out.z.push_back((next.z - 2.0 * now.z + before.z) / step_s);
        before = now;
        now = next;
    }
    return out;
}

ResponseFactors implied_response_factors(const Buildup& buildup, std::size_t count, const Films& films)
{
    constexpr double step_s = 60.0;
    constexpr int steps_an_hour = 60;
    ResponseFactors out{.u_value_W_per_m2K = two_port(buildup, 0.0, films).t.real()};
    const WallModes modes = wall_modes(buildup, {.step_s = step_s});
    const auto triangle = [](int step) { return std::max(0.0, 1.0 - std::abs(step / double{steps_an_hour} - 1.0)); };
    for (const std::size_t side : {std::size_t{0}, std::size_t{1}}) {
        ConductionRun run{modes, step_s, films};
        for (int i = 0; i < steps_an_hour * static_cast<int>(count); ++i) {
            WallDrive from, to;
            from.temperature_C[side] = triangle(i);
            to.temperature_C[side] = triangle(i + 1);
            const WallStep s = run.step(from, to);
            if ((i + 1) % steps_an_hour != 0) continue;
            (side == 0 ? out.x : out.z).push_back(s.flux_end_W_per_m2[side]);
            if (side == 0) out.y.push_back(-s.flux_end_W_per_m2[1]);
        }
    }
    return out;
}

} // namespace venture::fabric
