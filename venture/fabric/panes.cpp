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
    const double transmittance = path * square(1.0 - face) / (1.0 - square(face * path));
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

StackOptics stack_optics(const std::vector<ClearPane>& panes, double cos_incidence)
{
    StackOptics mean;
    for (const Polarisation polarisation : {Polarisation::across, Polarisation::along}) {
        std::vector<PaneOptics> polarised;
        for (const ClearPane& pane : panes) polarised.push_back(pane_optics(pane, cos_incidence, polarisation));
        add(mean, stack_optics(polarised), 0.5);
    }
    return mean;
}

StackOptics hemispherical_optics(const std::vector<ClearPane>& panes)
{
    // Simpson's rule over the angle; glass falls steeply only towards grazing light, which brings little.
    constexpr int parts = 180;
    StackOptics mean;
    for (int i = 0; i <= parts; ++i) {
        const double angle = 0.5 * std::numbers::pi * i / parts;
        const double weight = (i == 0 || i == parts ? 1.0
                               : i % 2 == 1         ? 4.0
                                                    : 2.0) /
                              3.0 * 0.5 * std::numbers::pi / parts;
        add(mean, stack_optics(panes, std::clamp(std::cos(angle), 0.0, 1.0)), weight * std::sin(2.0 * angle));
    }
    return mean;
}

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
