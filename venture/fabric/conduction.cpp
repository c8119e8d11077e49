#include <venture/fabric/conduction.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>
#include <optional>

#include <Eigen/Core>

#include <venture/fabric/cholesky.hpp>
#include <venture/fabric/port_ladder.hpp>
#include <venture/fabric/taylor.hpp>
#include <venture/quantity/error.hpp>

namespace venture::fabric {

namespace {

using Complex = std::complex<double>;
using Matrix = Eigen::MatrixXd;
using Vector = Eigen::VectorXd;

/// The exact wall, asked for p(s) = (f(0) - f(s))/s, a sum of positive terms g g'/(s + rate).
class ExactWall {
public:
    ExactWall(const Buildup& buildup, const std::vector<Plane>& planes)
        : pieces_{detail::pieces_between(buildup, planes)},
          about_zero_{detail::ports_of(pieces_, detail::two_port_about_zero)}
    {
    }

    [[nodiscard]] std::size_t ports() const { return about_zero_.ports; }
    [[nodiscard]] double steady(std::size_t i, std::size_t j) const { return about_zero_(i, j).c0; }
    [[nodiscard]] bool has_capacity() const
    {
        return std::ranges::any_of(pieces_,
                                   [](const auto& piece) { return std::ranges::any_of(piece, &Layer::has_capacity); });
    }
    [[nodiscard]] PortMatrix<Complex> response(Complex s) const
    {
        return detail::ports_of(pieces_, [s](const Layer& layer) { return two_port(layer, s); });
    }
    /// p(s) and its derivative at a real s.
    void p_at(double s, Matrix& p, Matrix& slope) const
    {
        const auto n = static_cast<Eigen::Index>(ports());
        p.resize(n, n);
        slope.resize(n, n);
        const double h = 1e-20 * s; // a step off the real axis gives the derivative without cancellation
        const auto f = s > 0.0 ? detail::ports_of(pieces_,
                                                  [&](const Layer& layer) {
                                                      return detail::two_port_difference(layer, {s, h});
                                                  })
                               : PortMatrix<detail::Difference>{};
        for (Eigen::Index i = 0; i < n; ++i)
            for (Eigen::Index j = 0; j < n; ++j) {
                const auto a = static_cast<std::size_t>(i), b = static_cast<std::size_t>(j);
                if (s > 0.0) {
                    p(i, j) = f(a, b).quotient.real();
                    slope(i, j) = f(a, b).quotient.imag() / h;
                } else {
                    p(i, j) = -about_zero_(a, b).c1;
                    slope(i, j) = -about_zero_(a, b).c2;
                }
            }
    }

private:
    detail::Pieces pieces_;
    PortMatrix<detail::Taylor> about_zero_;
};

/// A place where the model agrees with the wall: the answers to one port at one real s.
struct Sample {
    double s = 0.0;
    Eigen::Index port = 0;
    Matrix p{}, slope{};
};

/// Galerkin matrices of the samples: (s mass + stiffness), and what the ports see of each profile.
class Reduction {
public:
    /// @return false if the sample tells nothing that the others do not, within rounding
    bool add(const ExactWall& wall, double s, Eigen::Index port)
    {
        Sample sample{.s = s, .port = port};
        wall.p_at(s, sample.p, sample.slope);
        const double size = std::sqrt(sample.p(port, port));
        if (!(size > 0.0)) return false;
        samples_.push_back(std::move(sample));
        if (independent() && modes().rate.minCoeff() > 0.0) return true;
        samples_.pop_back();
        return false;
    }
    struct Modes {
        Vector rate{};
        Matrix g{}; ///< modes x ports
    };
    [[nodiscard]] Modes modes() const
    {
        const auto n = static_cast<Eigen::Index>(samples_.size());
        Matrix stiffness(n, n), seen(n, samples_.front().p.rows());
        for (Eigen::Index i = 0; i < n; ++i) {
            for (Eigen::Index j = 0; j < n; ++j) stiffness(i, j) = stiffness_of(at(i), at(j));
            seen.row(i) = at(i).p.row(at(i).port);
        }
        detail::SymmetricModes found = detail::modes_in(stiffness, mass());
        return {std::move(found.values), found.vectors.transpose() * seen};
    }

private:
    [[nodiscard]] const Sample& at(Eigen::Index i) const { return samples_[static_cast<std::size_t>(i)]; }
    static double mass_of(const Sample& x, const Sample& y)
    {
        if (x.s == y.s) return -x.slope(x.port, y.port);
        return (y.p(x.port, y.port) - x.p(x.port, y.port)) / (x.s - y.s);
    }
    static double stiffness_of(const Sample& x, const Sample& y)
    {
        if (x.s == y.s) return x.p(x.port, y.port) + x.s * x.slope(x.port, y.port);
        return (x.s * x.p(x.port, y.port) - y.s * y.p(x.port, y.port)) / (x.s - y.s);
    }
    [[nodiscard]] Matrix mass() const
    {
        const auto n = static_cast<Eigen::Index>(samples_.size());
        Matrix out(n, n);
        for (Eigen::Index i = 0; i < n; ++i)
            for (Eigen::Index j = 0; j < n; ++j) out(i, j) = mass_of(at(i), at(j));
        return out;
    }
    /// Whether the last profile is more than rounding away from what the others span.
    [[nodiscard]] bool independent() const
    {
        constexpr double least = 1e-13;
        const Matrix m = mass();
        const Vector size = m.diagonal().cwiseSqrt();
        if (!(size.minCoeff() > 0.0)) return false;
        const Matrix scaled = size.cwiseInverse().asDiagonal() * m * size.cwiseInverse().asDiagonal();
        return detail::last_pivot(scaled).value_or(0.0) > least;
    }

    std::vector<Sample> samples_{};
};

WallModes modes_of(const ExactWall& wall, const Reduction::Modes& reduced)
{
    const std::size_t ports = wall.ports();
    WallModes out;
    Matrix at_once(static_cast<Eigen::Index>(ports), static_cast<Eigen::Index>(ports)); // f(0) - sum g g'
    for (std::size_t i = 0; i < ports; ++i)
        for (std::size_t j = 0; j < ports; ++j)
            at_once(static_cast<Eigen::Index>(i), static_cast<Eigen::Index>(j)) = wall.steady(i, j);
    at_once -= reduced.g.transpose() * reduced.g;
    out.d11 = -at_once(0, 0);
    out.d12 = -at_once(0, 1);
    out.d22 = -at_once(1, 1);
    out.planes.resize(ports - 2);
    for (std::size_t p = 0; p + 2 < ports; ++p) {
        const auto row = static_cast<Eigen::Index>(p + 2);
        out.planes[p].w1 = at_once(0, row);
        out.planes[p].w2 = at_once(1, row);
        for (std::size_t r = 0; r + 2 < ports; ++r)
            out.planes[p].r.push_back(at_once(row, static_cast<Eigen::Index>(r + 2)));
    }
    for (Eigen::Index k = 0; k < reduced.rate.size(); ++k) {
        const double rate = reduced.rate(k), root = std::sqrt(rate);
        out.rate_per_s.push_back(rate);
        out.b1.push_back(root * reduced.g(k, 0));
        out.b2.push_back(root * reduced.g(k, 1));
        out.s.push_back((reduced.g(k, 0) + reduced.g(k, 1)) / root);
        for (std::size_t p = 0; p + 2 < ports; ++p)
            out.planes[p].e.push_back(root * reduced.g(k, static_cast<Eigen::Index>(p + 2)));
    }
    return out;
}

/// The exact answers to waves, and how far a model is from them.
class Waves {
public:
    Waves(const ExactWall& wall, double step_s) : wall_{wall}, step_s_{step_s}
    {
        constexpr double slowest_s = 20.0 * 86400.0, radians_a_step = 3.0, ratio = 1.3;
        for (double omega = radians_a_step / step_s; omega > 2.0 * std::numbers::pi / slowest_s; omega /= ratio) {
            omega_.push_back(omega);
            to_waves_.push_back(wall.response({0.0, omega}));
            to_growth_.push_back(wall.response(beyond * omega));
        }
    }
    struct Worst {
        double error = 0.0;
        Eigen::Index port = 0, other = 0;
    };
    [[nodiscard]] Worst worst(const WallModes& modes) const
    {
        Worst out;
        for (std::size_t w = 0; w < omega_.size(); ++w) {
            const PortMatrix<Complex> got = modes.port_response({0.0, omega_[w]});
            for (std::size_t i = 0; i < got.ports; ++i)
                for (std::size_t j = i; j < got.ports; ++j) {
                    const double error = std::abs(got(i, j) - to_waves_[w](i, j)) / scale(w, i, j);
                    if (error > out.error) out = {error, static_cast<Eigen::Index>(i), static_cast<Eigen::Index>(j)};
                }
        }
        return out;
    }
    /// The real s at which a port's own answer is worst: between the samples, where it may still be far off.
    [[nodiscard]] double worst_s(const WallModes& modes, Eigen::Index port) const
    {
        double largest = -1.0, at = 0.0;
        for (std::size_t w = 0; w < omega_.size(); ++w) {
            const auto i = static_cast<std::size_t>(port);
            const PortMatrix<Complex> got = modes.port_response(beyond * omega_[w]);
            const double error = std::abs(got(i, i) - to_growth_[w](i, i)) / std::abs(to_growth_[w](i, i));
            if (error > largest) {
                largest = error;
                at = beyond * omega_[w];
            }
        }
        return at;
    }

private:
    [[nodiscard]] double scale(std::size_t w, std::size_t i, std::size_t j) const
    {
        const double asked = i == j ? std::abs(to_waves_[w](i, i)) : std::abs(wall_.steady(i, j));
        return asked * leeway(omega_[w]);
    }
    /// Waves of a few steps' length are carried worse by the steps themselves.
    [[nodiscard]] double leeway(double omega) const
    {
        constexpr double carried_well = 0.1, most = 30.0;
        return std::clamp(std::pow(omega * step_s_ / carried_well, 2), 1.0, most);
    }
    static constexpr double beyond = 2.0; ///< samples lie further up than the waves: they hold the end of the range
    const ExactWall& wall_;
    double step_s_;
    std::vector<double> omega_{};
    std::vector<PortMatrix<Complex>> to_waves_{}, to_growth_{};
};

} // namespace

WallModes wall_modes(const Buildup& buildup, const ModeOptions& options)
{
    constexpr std::size_t most_modes = 60;
    quantity::check_range("wall_modes", "step", options.step_s, {1.0, 86400.0}, "s");
    quantity::check_range("wall_modes", "accuracy", options.accuracy, {1e-7, 0.1}, "");
    const ExactWall wall{buildup, options.planes};
    const auto ports = static_cast<Eigen::Index>(wall.ports());
    if (!wall.has_capacity()) return modes_of(wall, {Vector{}, Matrix::Zero(0, ports)});
    Reduction reduction;
    for (Eigen::Index port = 0; port < ports; ++port) reduction.add(wall, 0.0, port);
    const Waves waves{wall, options.step_s};
    std::optional<WallModes> best;
    for (;;) {
        WallModes modes = modes_of(wall, reduction.modes());
        const Waves::Worst worst = waves.worst(modes);
        modes.largest_error = worst.error;
        if (!best || modes.largest_error < best->largest_error) best = modes;
        if (best->largest_error <= options.accuracy || modes.size() >= most_modes) return *best;
        bool added = reduction.add(wall, waves.worst_s(modes, worst.port), worst.port);
        if (worst.other != worst.port)
            added = reduction.add(wall, waves.worst_s(modes, worst.other), worst.other) || added;
        if (!added) return *best; // rounding allows no better
    }
}

double WallModes::plane_temperature(std::size_t plane, std::span<const double> z, double t1, double t2,
                                    std::span<const double> sources_W_per_m2) const
{
    const AtPlane& at = planes.at(plane);
    double t = at.w1 * t1 + at.w2 * t2;
    for (std::size_t k = 0; k < size(); ++k) t += at.e[k] * z[k];
    for (std::size_t r = 0; r < sources_W_per_m2.size(); ++r) t += at.r.at(r) * sources_W_per_m2[r];
    return t;
}

double WallModes::stored_heat(std::span<const double> z) const
{
    double sum = 0.0;
    for (std::size_t k = 0; k < size(); ++k) sum += s[k] * z[k];
    return sum;
}

std::vector<double> WallModes::steady_states(double t1, double t2, std::span<const double> sources_W_per_m2) const
{
    std::vector<double> z(size());
    for (std::size_t k = 0; k < size(); ++k) {
        double in = b1[k] * t1 + b2[k] * t2;
        for (std::size_t p = 0; p < sources_W_per_m2.size(); ++p) in += planes.at(p).e[k] * sources_W_per_m2[p];
        z[k] = in / rate_per_s[k];
    }
    return z;
}

PortMatrix<std::complex<double>> WallModes::port_response(std::complex<double> at) const
{
    const std::size_t ports = planes.size() + 2;
    PortMatrix<Complex> out{ports, std::vector<Complex>(ports * ports)};
    out(0, 0) = -d11;
    out(0, 1) = out(1, 0) = -d12;
    out(1, 1) = -d22;
    for (std::size_t p = 0; p < planes.size(); ++p) {
        out(0, p + 2) = out(p + 2, 0) = planes[p].w1;
        out(1, p + 2) = out(p + 2, 1) = planes[p].w2;
        for (std::size_t r = 0; r < planes.size(); ++r) out(p + 2, r + 2) = planes[p].r[r];
    }
    const auto seen = [&](std::size_t port, std::size_t k) {
        return port == 0 ? b1[k] : port == 1 ? b2[k] : planes[port - 2].e[k];
    };
    for (std::size_t k = 0; k < size(); ++k) {
        const Complex answer = 1.0 / (at + rate_per_s[k]);
        for (std::size_t i = 0; i < ports; ++i)
            for (std::size_t j = 0; j < ports; ++j) out(i, j) += seen(i, k) * seen(j, k) * answer;
    }
    return out;
}

} // namespace venture::fabric
