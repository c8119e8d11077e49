#include <venture/fabric/convection.hpp>

#include <algorithm>
#include <cmath>

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

double wind_convection_W_per_m2K(WindLaw law, double wind_m_per_s)
{
    quantity::check_range("wind convection", "wind", wind_m_per_s, {0.0, 60.0}, "m/s");
    if (law == WindLaw::iso_6946) return 4.0 + 4.0 * wind_m_per_s;
    constexpr double slow_up_to = 4.88;
    return wind_m_per_s <= slow_up_to ? 5.62 + 3.91 * wind_m_per_s : 7.17 * std::pow(wind_m_per_s, 0.78);
}

double radiation_W_per_m2K(double emissivity, double t1_C, double t2_C)
{
    constexpr double stefan_boltzmann = 5.670374419e-8, kelvin = 273.15;
    const double t1 = t1_C + kelvin, t2 = t2_C + kelvin;
    return emissivity * stefan_boltzmann * (t1 * t1 + t2 * t2) * (t1 + t2);
}

} // namespace venture::fabric
