#include <venture/fabric/glazing.hpp>

#include <cmath>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

namespace {

struct PaneOptics {
    double transmittance, reflectance;
};

/// One pane for one polarisation: `r` is the reflectance of a face, `a` the share that survives one pass.
PaneOptics pane(double r, double a)
{
    const double inside = 1.0 - r * r * a * a;
    const double t = a * (1.0 - r) * (1.0 - r) / inside;
    return {t, r * (1.0 + a * t)};
}

double two_panes(double cos_incidence)
{
    constexpr double refractive_index = 1.526, extinction_per_m = 30.0, thickness_m = 0.004;
    const double sin_inside = std::sqrt(1.0 - cos_incidence * cos_incidence) / refractive_index;
    const double cos_inside = std::sqrt(1.0 - sin_inside * sin_inside);
    const double survives = std::exp(-extinction_per_m * thickness_m / cos_inside);
    const double s = (cos_incidence - refractive_index * cos_inside) / (cos_incidence + refractive_index * cos_inside);
    const double p = (refractive_index * cos_incidence - cos_inside) / (refractive_index * cos_incidence + cos_inside);
    double sum = 0.0;
    for (const double r : {s * s, p * p}) {
        const PaneOptics one = pane(r, survives);
        sum += one.transmittance * one.transmittance / (1.0 - one.reflectance * one.reflectance);
    }
    return 0.5 * sum;
}

} // namespace

double angular_factor(double cos_incidence)
{
    quantity::check_range("angular_factor", "cosine of incidence", cos_incidence, {-1.0 - 1e-9, 1.0 + 1e-9}, "");
    if (cos_incidence <= 0.0) return 0.0;
    static const double at_normal = two_panes(1.0);
    return two_panes(std::fmin(cos_incidence, 1.0)) / at_normal;
}

double diffuse_angular_factor()
{
    static const double value = [] {
        constexpr int steps = 2000; // midpoint rule over x = cos^2, in which a uniform half-space has constant weight
        double sum = 0.0;
        for (int i = 0; i < steps; ++i) sum += angular_factor(std::sqrt((i + 0.5) / steps));
        return sum / steps;
    }();
    return value;
}

double face_to_face_resistance(const Glazing& glazing)
{
    constexpr double films = 0.13 + 0.04;
    const std::string where = "glazing '" + glazing.name + "'";
    quantity::check_range(where, "U-value", glazing.u_value_W_per_m2K, {0.1, 1.0 / (films + 1e-4)}, "W/m2K");
    return 1.0 / glazing.u_value_W_per_m2K - films;
}

} // namespace venture::fabric
