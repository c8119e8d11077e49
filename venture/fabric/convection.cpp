#include <venture/fabric/convection.hpp>

#include <algorithm>
#include <bit>
#include <cmath>
#include <cstdint>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

namespace {

constexpr double upright_below = 0.70710678118654752440; // of |cos tilt|: nearer to a wall than to a floor

double sixth_power(double x) { return x * x * x * x * x * x; }

} // namespace

ConvectionCurve::ConvectionCurve(const NaturalConvection& face)
{
    quantity::check_range("natural convection", "cosine of the tilt", face.cos_tilt, {-1.0, 1.0}, "");
    const double steep = std::abs(face.cos_tilt);
    for (std::size_t warmer = 0; warmer < 2; ++warmer) {
        Side& side = side_[warmer];
        const bool driven = (face.cos_tilt > 0.0) == (warmer == 1);
        if (face.law == NaturalLaw::turbulent) {
            const double tilted = driven ? 9.482 / (7.283 - steep) : 1.810 / (1.382 + steep);
            side.turbulent = sixth_power(steep < 1e-9 ? 1.31 : tilted);
            continue;
        }
        const double length = face.length_m;
        quantity::check_range("natural convection", "length", length, {0.01, 200.0}, "m");
        if (steep >= upright_below && !driven) {
            side.held = 0.60 / std::pow(length, 0.4);
        } else {
            const bool upright = steep < upright_below;
            side.laminar = sixth_power(upright ? 1.50 : 1.40) / std::pow(length, 1.5);
            side.turbulent = sixth_power(upright ? 1.23 : 1.63);
        }
    }
}

double ConvectionCurve::at(double face_minus_air_K) const
{
    const Side& side = side_[face_minus_air_K > 0.0 ? 1 : 0];
    const double d = std::abs(face_minus_air_K);
    if (side.held > 0.0) return std::max(least_convection_W_per_m2K, side.held * std::pow(d, 0.2));
    const double root = std::sqrt(d);
    return std::max(least_convection_W_per_m2K,
                    std::cbrt(std::sqrt(d * root * (side.laminar + side.turbulent * root))));
}

void ConvectionCurves::add(const NaturalConvection& face)
{
    const ConvectionCurve curve{face};
    for (std::size_t k = 0; k < 2; ++k) {
        laminar_[k].push_back(curve.side_[k].laminar);
        turbulent_[k].push_back(curve.side_[k].turbulent);
        turbulent_alone_[k].push_back(std::cbrt(std::sqrt(curve.side_[k].turbulent)));
        all_turbulent_ = all_turbulent_ && curve.side_[k].laminar <= 0.0;
    }
    if (curve.side_[0].held > 0.0 || curve.side_[1].held > 0.0) {
        with_held_.push_back(size() - 1);
        held_curves_.push_back(curve);
    }
}

namespace {

/// Cube root of 0 <= x < 1e30: the exponent's third as a first guess (within 3.5 %), then Halley's method twice, which
/// leaves two thirds of the cube of an error.
inline double cube_root(double x)
{
    constexpr std::int32_t third_of_bias = 709921077;
    const auto bits = std::bit_cast<std::int32_t>(static_cast<float>(x));
    double y = static_cast<double>(std::bit_cast<float>(bits / 3 + third_of_bias));
    for (int i = 0; i < 2; ++i) {
        const double cube = y * y * y;
        y *= (cube + 2.0 * x) / (2.0 * cube + x);
    }
    return y;
}

#if defined(__x86_64__) && !defined(__SANITIZE_ADDRESS__) && !defined(__clang__)
__attribute__((target_clones("default", "arch=x86-64-v3", "arch=x86-64-v4")))
#endif
void films_of(std::size_t n, const std::array<const double*, 4>& powers, const double* difference, double* film)
{
    const double* __restrict l0 = powers[0], * __restrict l1 = powers[1], * __restrict t0 = powers[2], * __restrict t1 = powers[3], * __restrict d = difference;
    double* __restrict out = film;
    for (std::size_t i = 0; i < n; ++i) {
        const double size = std::abs(d[i]), root = std::sqrt(size);
        const double laminar = d[i] > 0.0 ? l1[i] : l0[i], turbulent = d[i] > 0.0 ? t1[i] : t0[i];
        const double h = cube_root(std::sqrt(size * root * (laminar + turbulent * root)));
        out[i] = h > least_convection_W_per_m2K ? h : least_convection_W_per_m2K;
    }
}

/// Where nothing is laminar: a coefficient times the cube root of the difference.
#if defined(__x86_64__) && !defined(__SANITIZE_ADDRESS__) && !defined(__clang__)
__attribute__((target_clones("default", "arch=x86-64-v3", "arch=x86-64-v4")))
#endif
void turbulent_films_of(std::size_t n, const std::array<const double*, 2>& coefficient, const double* difference,
                        double* film)
{
    const double* __restrict c0 = coefficient[0], * __restrict c1 = coefficient[1], * __restrict d = difference;
    double* __restrict out = film;
    for (std::size_t i = 0; i < n; ++i) {
        const double h = (d[i] > 0.0 ? c1[i] : c0[i]) * cube_root(std::abs(d[i]));
        out[i] = h > least_convection_W_per_m2K ? h : least_convection_W_per_m2K;
    }
}

} // namespace

void ConvectionCurves::at(std::size_t first, std::size_t last, const double* face_minus_air_K,
                          double* film_W_per_m2K) const
{
    const std::size_t count = last - first;
    const double* difference = face_minus_air_K + first;
    double* film = film_W_per_m2K + first;
    if (all_turbulent_)
        return turbulent_films_of(count, {turbulent_alone_[0].data() + first, turbulent_alone_[1].data() + first},
                                  difference, film);
    films_of(count,
             {laminar_[0].data() + first, laminar_[1].data() + first, turbulent_[0].data() + first,
              turbulent_[1].data() + first},
             difference, film);
    for (auto i = static_cast<std::size_t>(std::ranges::lower_bound(with_held_, first) - with_held_.begin());
         i < with_held_.size() && with_held_[i] < last; ++i)
        film_W_per_m2K[with_held_[i]] = held_curves_[i].at(face_minus_air_K[with_held_[i]]);
}

double wind_convection_W_per_m2K(WindLaw law, double wind_m_per_s)
{
    quantity::check_range("wind convection", "wind", wind_m_per_s, {0.0, 60.0}, "m/s");
    if (law == WindLaw::iso_6946) return 4.0 + 4.0 * wind_m_per_s;
    constexpr double slow_up_to = 4.88;
    return wind_m_per_s <= slow_up_to ? 5.62 + 3.91 * wind_m_per_s : 7.17 * std::pow(wind_m_per_s, 0.78);
}

} // namespace venture::fabric
