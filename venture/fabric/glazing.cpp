#include <venture/fabric/glazing.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

#include <venture/fabric/panes.hpp>
#include <venture/fabric/typed_u_value.hpp>
#include <venture/quantity/error.hpp>

namespace venture::fabric {

namespace {

using quantity::check_range;

double between_degrees(const std::array<double, GlassByAngle::angles>& table, double cos_incidence)
{
    check_range("glass by angle", "cosine of incidence", cos_incidence, {-1.0 - 1e-9, 1.0 + 1e-9}, "");
    if (cos_incidence <= 0.0) return 0.0;
    const double degrees = std::acos(std::min(cos_incidence, 1.0)) * 180.0 / std::numbers::pi;
    const auto below = std::min(static_cast<std::size_t>(degrees), GlassByAngle::angles - 2);
    return std::lerp(table[below], table[below + 1], degrees - static_cast<double>(below));
}

const std::vector<ClearPane>& two_clear_panes()
{
    static const std::vector<ClearPane> panes(2, {.thickness_m = 0.004, .extinction_per_m = 30.0});
    return panes;
}

double at_normal()
{
    static const double value = stack_optics(two_clear_panes(), 1.0).transmittance;
    return value;
}

} // namespace

double GlassByAngle::direct_at(double cos_incidence) const { return between_degrees(direct, cos_incidence); }

double GlassByAngle::flows_in_at(double cos_incidence) const { return between_degrees(flows_in, cos_incidence); }

std::optional<double> GlassByAngle::taken_up_at(double cos_incidence) const
{
    if (!taken_up) return std::nullopt;
    return between_degrees(taken_up->at, cos_incidence);
}

double angular_factor(double cos_incidence)
{
    check_range("angular_factor", "cosine of incidence", cos_incidence, {-1.0 - 1e-9, 1.0 + 1e-9}, "");
    if (cos_incidence <= 0.0) return 0.0;
    return stack_optics(two_clear_panes(), std::min(cos_incidence, 1.0)).transmittance / at_normal();
}

double diffuse_angular_factor()
{
    static const double value = hemispherical_optics(two_clear_panes()).transmittance / at_normal();
    return value;
}

GlassByAngle glass_by_angle(double g_value, double direct_transmittance)
{
    check_range("glass_by_angle", "g-value", g_value, {0.0, 1.0}, "");
    check_range("glass_by_angle", "direct transmittance", direct_transmittance, {0.0, g_value}, "");
    GlassByAngle out;
    for (std::size_t i = 0; i < GlassByAngle::angles; ++i) {
        const double factor = angular_factor(std::cos(static_cast<double>(i) * std::numbers::pi / 180.0));
        out.direct[i] = direct_transmittance * factor;
        out.flows_in[i] = (g_value - direct_transmittance) * factor;
    }
    out.direct.back() = out.flows_in.back() = 0.0; // along the glass; the cosine is not quite 0 in numbers
    out.diffuse_direct = direct_transmittance * diffuse_angular_factor();
    out.diffuse_flows_in = (g_value - direct_transmittance) * diffuse_angular_factor();
    return out;
}

double face_to_face_resistance(const Glazing& glazing)
{
    return stripped_resistance({.name = "glazing '" + glazing.name + "'",
                                .u_value_W_per_m2K = glazing.u_value_W_per_m2K,
                                .films = {0.04, 0.13}});
}

} // namespace venture::fabric
