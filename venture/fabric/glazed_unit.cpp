#include <venture/fabric/glazed_unit.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

namespace {

using quantity::check_range;

GlassBuildup thermal_part(const GlazedUnit& unit)
{
    const auto panes = static_cast<double>(unit.panes.size());
    check_range("glazing '" + unit.name + "'", "number of panes", panes, {1.0, 4.0}, "");
    check_range("glazing '" + unit.name + "'", "number of gaps", static_cast<double>(unit.gaps.size()),
                {panes - 1.0, panes - 1.0}, "");
    GlassBuildup out{.tilt = unit.tilt};
    for (const GlassPane& pane : unit.panes) out.pane_thickness_m.push_back(pane.thickness_m);
    for (std::size_t i = 0; i < unit.gaps.size(); ++i)
        out.gaps.push_back({unit.gaps[i].width_m, unit.gaps[i].gas, unit.panes[i].emissivity_inside,
                            unit.panes[i + 1].emissivity_outside});
    return out;
}

std::vector<BandOptics> band_of(const GlazedUnit& unit, BandOptics GlassPane::*band)
{
    std::vector<BandOptics> out;
    for (const GlassPane& pane : unit.panes) out.push_back(pane.*band);
    return out;
}

/// Share of the heat taken up in the middle of each pane that flows inwards: resistance to the outside for the whole.
std::vector<double> inward_shares(const GlassBuildup& glass, const GlassUValue& u, const GlassFilms& films)
{
    std::vector<double> out;
    double passed = 1.0 / films.outside_W_per_m2K;
    for (std::size_t i = 0; i < glass.pane_thickness_m.size(); ++i) {
        const double half = 0.5 * glass.pane_thickness_m[i] / glass.glass_conductivity_W_per_mK;
        passed += half;
        out.push_back(passed * u.u_value_W_per_m2K);
        passed += half + (i < u.gap_W_per_m2K.size() ? 1.0 / u.gap_W_per_m2K[i] : 0.0);
    }
    return out;
}

/// The same panes as light from the room meets them.
std::vector<BandOptics> from_inside(std::vector<BandOptics> panes)
{
    std::ranges::reverse(panes);
    for (BandOptics& pane : panes) std::swap(pane.reflectance_outside, pane.reflectance_inside);
    return panes;
}

SunShares with_heat(StackOptics solar, const std::vector<double>& inward_share)
{
    SunShares out{.solar = std::move(solar)};
    out.flows_in = solar_gain_share(out.solar, inward_share) - out.solar.transmittance;
    return out;
}

} // namespace

SunShares sun_at(const GlazedUnit& unit, double cos_incidence, const std::vector<double>& inward_share)
{
    return with_heat(stack_optics(band_of(unit, &GlassPane::solar), cos_incidence), inward_share);
}

GlazedUnitProperties glazed_unit_properties(const GlazedUnit& unit, const GlassFilms& films)
{
    const GlassBuildup glass = thermal_part(unit);
    const GlassUValue u = glass_u_value(glass, films.outside_W_per_m2K, films.inside_W_per_m2K);
    GlazedUnitProperties out{.u_value_W_per_m2K = u.u_value_W_per_m2K,
                             .gap_W_per_m2K = u.gap_W_per_m2K,
                             .inward_share = inward_shares(glass, u, films)};
    out.normal = sun_at(unit, 1.0, out.inward_share);
    out.diffuse = with_heat(hemispherical_optics(band_of(unit, &GlassPane::solar)), out.inward_share);
    out.light = stack_optics(band_of(unit, &GlassPane::light), 1.0);
    out.reflectance_inside = stack_optics(from_inside(band_of(unit, &GlassPane::solar)), 1.0).reflectance;
    out.by_angle.taken_up = GlassByAngle::TakenUp{};
    GlassByAngle::TakenUp& taken_up = *out.by_angle.taken_up;
    for (std::size_t i = 0; i + 1 < GlassByAngle::angles; ++i) {
        const double cosine = std::cos(static_cast<double>(i) * std::numbers::pi / 180.0);
        const SunShares sun = sun_at(unit, std::min(cosine, 1.0), out.inward_share);
        out.by_angle.direct[i] = sun.solar.transmittance;
        out.by_angle.flows_in[i] = sun.flows_in;
        taken_up.at[i] = sun.taken_up();
    }
    out.by_angle.diffuse_direct = out.diffuse.solar.transmittance;
    out.by_angle.diffuse_flows_in = out.diffuse.flows_in;
    taken_up.diffuse = out.diffuse.taken_up();
    return out;
}

double window_u_value(double glass_W_per_m2K, const Frame& frame, double width_m, double height_m)
{
    constexpr const char* where = "window_u_value";
    check_range(where, "U-value of the glass", glass_W_per_m2K, {0.1, 6.5}, "W/m2K");
    check_range(where, "U-value of the frame", frame.u_value_W_per_m2K, {0.3, 12.0}, "W/m2K");
    check_range(where, "linear transmittance of the spacer", frame.spacer_psi_W_per_mK, {0.0, 0.3}, "W/mK");
    check_range(where, "share of the frame", frame.share, {0.0, 0.9}, "");
    check_range(where, "width", width_m, {0.05, 50.0}, "m");
    check_range(where, "height", height_m, {0.05, 50.0}, "m");
    // A frame of width b: (W - 2b)(H - 2b) = (1 - share) W H, and the glass is 2(W + H) - 8b round.
    const double half_sum = width_m + height_m, area = width_m * height_m;
    const double b = 0.25 * (half_sum - std::sqrt(half_sum * half_sum - 4.0 * frame.share * area));
    const double round_glass = frame.share > 0.0 ? 2.0 * half_sum - 8.0 * b : 0.0;
    return (1.0 - frame.share) * glass_W_per_m2K + frame.share * frame.u_value_W_per_m2K +
           frame.spacer_psi_W_per_mK * round_glass / area;
}

} // namespace venture::fabric
