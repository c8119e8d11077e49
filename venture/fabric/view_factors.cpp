#include <venture/fabric/view_factors.hpp>

#include <cmath>
#include <numbers>

#include <Eigen/LU>

#include <venture/fabric/radiation.hpp>
#include <venture/quantity/error.hpp>

namespace venture::fabric {

using quantity::check_range;

namespace {

constexpr quantity::Range lengths_m{1e-3, 1e4};
constexpr double pi = std::numbers::pi;

} // namespace

double view_factor_opposite(double a_m, double b_m, double apart_m)
{
    for (const double length : {a_m, b_m, apart_m}) check_range("view factor", "length", length, lengths_m, "m");
    const double x = a_m / apart_m, y = b_m / apart_m, x1 = std::sqrt(1.0 + x * x), y1 = std::sqrt(1.0 + y * y);
    return 2.0 / (pi * x * y) *
           (std::log(x1 * y1 / std::sqrt(1.0 + x * x + y * y)) + x * y1 * std::atan(x / y1) +
            y * x1 * std::atan(y / x1) - x * std::atan(x) - y * std::atan(y));
}

double view_factor_at_right_angles(double own_m, double other_m, double edge_m)
{
    for (const double length : {own_m, other_m, edge_m}) check_range("view factor", "length", length, lengths_m, "m");
    const double w = own_m / edge_m, h = other_m / edge_m, w2 = w * w, h2 = h * h, sum = w2 + h2;
    const double logs = std::log((1.0 + w2) * (1.0 + h2) / (1.0 + sum)) +
                        w2 * std::log(w2 * (1.0 + sum) / ((1.0 + w2) * sum)) +
                        h2 * std::log(h2 * (1.0 + sum) / ((1.0 + h2) * sum));
    return (w * std::atan(1.0 / w) + h * std::atan(1.0 / h) - std::sqrt(sum) * std::atan(1.0 / std::sqrt(sum)) +
            0.25 * logs) /
           (pi * w);
}

std::array<double, 6> box_areas(double x, double y, double height)
{
    return {x * y, x * y, x * height, x * height, y * height, y * height};
}

std::array<std::array<double, 6>, 6> box_view_factors(double x, double y, double height)
{
    std::array<std::array<double, 6>, 6> f{};
    const double level = view_factor_opposite(x, y, height), front = view_factor_opposite(x, height, y),
                 side = view_factor_opposite(y, height, x);
    const auto pair = [&](std::size_t i, double to_other) { f[i][i + 1] = f[i + 1][i] = to_other; };
    pair(0, level);
    pair(2, front);
    pair(4, side);
    // from a face with a depth away from the common edge to one with another
    const auto corner = [&](std::size_t i, std::size_t j, double own, double other, double edge) {
        for (std::size_t a = 0; a < 2; ++a)
            for (std::size_t b = 0; b < 2; ++b) {
                f[i + a][j + b] = view_factor_at_right_angles(own, other, edge);
                f[j + b][i + a] = view_factor_at_right_angles(other, own, edge);
            }
    };
    corner(0, 2, y, height, x);
    corner(0, 4, x, height, y);
    corner(2, 4, x, y, height);
    return f;
}

std::vector<std::vector<double>> grey_exchange_W_per_K(const std::vector<double>& area,
                                                       const std::vector<std::vector<double>>& view,
                                                       const std::vector<double>& emissivity, double mean_C)
{
    constexpr double kelvin = 273.15, slack = 1e-6;
    const auto n = static_cast<Eigen::Index>(area.size());
    VENTURE_ASSERT(view.size() == area.size() && emissivity.size() == area.size());
    Eigen::MatrixXd reflected(n, n), emitted(n, n);
    for (Eigen::Index i = 0; i < n; ++i) {
        const auto at = static_cast<std::size_t>(i);
        VENTURE_ASSERT(view[at].size() == area.size());
        check_range("grey exchange", "area", area[at], {1e-9, 1e9}, "m2");
        check_range("grey exchange", "emissivity", emissivity[at], {1e-3, 1.0}, "");
        double row = 0.0;
        for (Eigen::Index j = 0; j < n; ++j) {
            const auto to = static_cast<std::size_t>(j);
            row += view[at][to];
            check_range("grey exchange", "area times view factor, over what comes back",
                        area[at] * view[at][to] - area[to] * view[to][at], {-slack * area[at], slack * area[at]}, "m2");
            reflected(i, j) = (i == j ? 1.0 : 0.0) - view[at][to] * (1.0 - emissivity[to]);
            emitted(i, j) = view[at][to] * emissivity[to];
        }
        check_range("grey exchange", "sum of a face's view factors", row, {1.0 - slack, 1.0 + slack}, "");
    }
    const Eigen::MatrixXd taken_up = reflected.partialPivLu().solve(emitted); // Gebhart's factors
    const double t = mean_C + kelvin, per_m2 = 4.0 * stefan_boltzmann_W_per_m2K4 * t * t * t;
    std::vector<std::vector<double>> out(area.size(), std::vector<double>(area.size(), 0.0));
    for (std::size_t i = 0; i < area.size(); ++i)
        for (std::size_t j = 0; j < i; ++j) {
            const auto a = static_cast<Eigen::Index>(i), b = static_cast<Eigen::Index>(j);
            const double one_way = area[i] * emissivity[i] * taken_up(a, b),
                         other_way = area[j] * emissivity[j] * taken_up(b, a);
            out[i][j] = out[j][i] = per_m2 * 0.5 * (one_way + other_way);
        }
    return out;
}

} // namespace venture::fabric
