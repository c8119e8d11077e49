#include <venture/fabric/panes.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

using quantity::check_range;

namespace {

double square(double x) { return x * x; }

void add(StackOptics& sum, const StackOptics& part, double weight)
{
    sum.transmittance += weight * part.transmittance;
    sum.reflectance += weight * part.reflectance;
    sum.absorptance.resize(part.absorptance.size(), 0.0);
    for (std::size_t i = 0; i < part.absorptance.size(); ++i) sum.absorptance[i] += weight * part.absorptance[i];
}

} // namespace

PaneOptics pane_optics(const ClearPane& pane, double cos_incidence, Polarisation polarisation)
{
    check_range("pane_optics", "cosine of incidence", cos_incidence, {0.0, 1.0}, "");
    check_range("pane_optics", "thickness", pane.thickness_m, {1e-4, 0.2}, "m");
    check_range("pane_optics", "refractive index", pane.refractive_index, {1.0, 3.0}, "");
    check_range("pane_optics", "extinction", pane.extinction_per_m, {0.0, 1e4}, "1/m");
    const double n = pane.refractive_index, c1 = cos_incidence;
    const double c2 = std::sqrt(1.0 - (1.0 - c1 * c1) / (n * n)); // inside the glass
    const double amplitude =
        polarisation == Polarisation::across ? (c1 - n * c2) / (c1 + n * c2) : (n * c1 - c2) / (n * c1 + c2);
    const double face = square(amplitude), path = std::exp(-pane.extinction_per_m * pane.thickness_m / c2);
    const double kept = 1.0 - square(face * path); // nil of grazing light in glass that takes nothing up
    const double transmittance = kept > 0.0 ? path * square(1.0 - face) / kept : 0.0;
    const double reflectance = face * (1.0 + path * transmittance);
    return {transmittance, reflectance, reflectance};
}

StackOptics stack_optics(const std::vector<PaneOptics>& panes)
{
    check_range("stack_optics", "number of panes", static_cast<double>(panes.size()), {1.0, 20.0}, "");
    for (const PaneOptics& p : panes) {
        check_range("stack_optics", "transmittance", p.transmittance, {0.0, 1.0}, "");
        check_range("stack_optics", "transmittance and reflectance together", p.transmittance + p.reflectance_front,
                    {0.0, 1.0 + 1e-12}, "");
        check_range("stack_optics", "transmittance and reflectance together", p.transmittance + p.reflectance_back,
                    {0.0, 1.0 + 1e-12}, "");
    }
    // From the innermost outwards: what all panes behind send back of what reaches them.
    std::vector<double> behind(panes.size() + 1, 0.0), onwards(panes.size(), 0.0);
    for (std::size_t i = panes.size(); i-- > 0;) {
        const PaneOptics& p = panes[i];
        onwards[i] = p.transmittance / std::max(1e-15, 1.0 - p.reflectance_back * behind[i + 1]);
        behind[i] = p.reflectance_front + p.transmittance * onwards[i] * behind[i + 1];
    }
    StackOptics out{.reflectance = behind[0]};
    double arriving = 1.0;
    for (std::size_t i = 0; i < panes.size(); ++i) {
        const double leaving = arriving * onwards[i];
        out.absorptance.push_back(arriving * panes[i].absorptance_front() +
                                  leaving * behind[i + 1] * panes[i].absorptance_back());
        arriving = leaving;
    }
    out.transmittance = arriving;
    return out;
}

namespace {

/// Each polarisation by itself, then the mean of both.
template <class Pane>
StackOptics unpolarised(const std::vector<Pane>& panes, double cos_incidence)
{
    StackOptics mean;
    for (const Polarisation polarisation : {Polarisation::across, Polarisation::along}) {
        std::vector<PaneOptics> polarised;
        for (const Pane& pane : panes) polarised.push_back(pane_optics(pane, cos_incidence, polarisation));
        add(mean, stack_optics(polarised), 0.5);
    }
    return mean;
}

/// Simpson's rule over the angle; glass falls steeply only towards grazing light, which brings little.
template <class Pane>
StackOptics over_half_space(const std::vector<Pane>& panes)
{
    constexpr int parts = 180;
    StackOptics mean;
    for (int i = 0; i <= parts; ++i) {
        const double angle = 0.5 * std::numbers::pi * i / parts;
        const double weight = (i == 0 || i == parts ? 1.0
                               : i % 2 == 1         ? 4.0
                                                    : 2.0) /
                              3.0 * 0.5 * std::numbers::pi / parts;
        add(mean, unpolarised(panes, std::clamp(std::cos(angle), 0.0, 1.0)), weight * std::sin(2.0 * angle));
    }
    return mean;
}

/// The uncoated pane that has this transmittance and reflectance at normal incidence.
ClearPane slab_of(double t, double r)
{
    const double beta = t * t - r * r + 2.0 * r + 1.0;
    const double face = (beta - std::sqrt(beta * beta - 4.0 * (2.0 - r) * r)) / (2.0 * (2.0 - r));
    const double path = std::clamp((r - face) / (face * t), 1e-12, 1.0), root = std::sqrt(face);
    constexpr double thickness_m = 0.004; // any: what is lost on the way counts
    return {.thickness_m = thickness_m,
            .refractive_index = (1.0 + root) / (1.0 - root),
            .extinction_per_m = -std::log(path) / thickness_m};
}

} // namespace

PaneOptics pane_optics(const BandOptics& normal, double cos_incidence, Polarisation polarisation)
{
    constexpr const char* where = "pane_optics";
    check_range(where, "transmittance", normal.transmittance, {0.0, 1.0}, "");
    for (const double r : {normal.reflectance_outside, normal.reflectance_inside}) {
        check_range(where, "reflectance", r, {0.0, 1.0}, "");
        check_range(where, "transmittance and reflectance together", normal.transmittance + r, {0.0, 1.0}, "");
    }
    check_range(where, "cosine of incidence", cos_incidence, {0.0, 1.0}, "");
    constexpr double alike = 0.005, most_of_glass = 0.12; // a coating shows in its reflectances
    const double r = 0.5 * (normal.reflectance_outside + normal.reflectance_inside);
    if (std::abs(normal.reflectance_outside - normal.reflectance_inside) < alike && r < most_of_glass && r > 0.0 &&
        normal.transmittance > 0.0)
        return pane_optics(slab_of(normal.transmittance, r), cos_incidence, polarisation);
    constexpr ClearPane reference{.thickness_m = 0.004, .extinction_per_m = 20.0};
    const PaneOptics at = pane_optics(reference, cos_incidence, polarisation),
                     ahead = pane_optics(reference, 1.0, polarisation);
    const double enters = (1.0 - at.reflectance_front) / (1.0 - ahead.reflectance_front);
    return {normal.transmittance * at.transmittance / ahead.transmittance,
            1.0 - (1.0 - normal.reflectance_outside) * enters, 1.0 - (1.0 - normal.reflectance_inside) * enters};
}

StackOptics stack_optics(const std::vector<ClearPane>& panes, double cos_incidence)
{
    return unpolarised(panes, cos_incidence);
}

StackOptics stack_optics(const std::vector<BandOptics>& panes, double cos_incidence)
{
    return unpolarised(panes, cos_incidence);
}

StackOptics hemispherical_optics(const std::vector<ClearPane>& panes) { return over_half_space(panes); }

StackOptics hemispherical_optics(const std::vector<BandOptics>& panes) { return over_half_space(panes); }

double solar_gain_share(const StackOptics& stack, const std::vector<double>& inward_share)
{
    check_range("solar_gain_share", "number of inward shares", static_cast<double>(inward_share.size()),
                {static_cast<double>(stack.absorptance.size()), static_cast<double>(stack.absorptance.size())}, "");
    double sum = stack.transmittance;
    for (std::size_t i = 0; i < inward_share.size(); ++i) {
        check_range("solar_gain_share", "inward share", inward_share[i], {0.0, 1.0}, "");
        sum += inward_share[i] * stack.absorptance[i];
    }
    return sum;
}

} // namespace venture::fabric
