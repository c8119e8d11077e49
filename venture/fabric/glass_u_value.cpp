#include <venture/fabric/glass_u_value.hpp>

#include <algorithm>
#include <cmath>
#include <numeric>

#include <venture/fabric/radiation.hpp>
#include <venture/quantity/error.hpp>

namespace venture::fabric {

using quantity::check_range;

namespace {

constexpr double mean_K = 283.0, over_all_gaps_K = 15.0;

struct GasProperties {
    double density_kg_per_m3, viscosity_kg_per_ms, conductivity_W_per_mK, specific_heat_J_per_kgK;
};

GasProperties properties(Gas gas)
{
    switch (gas) {
    case Gas::air:
        return {1.232, 1.761e-5, 2.496e-2, 1008.0};
    case Gas::argon:
        return {1.699, 2.164e-5, 1.684e-2, 519.0};
    case Gas::krypton:
        return {3.560, 2.400e-5, 0.900e-2, 245.0};
    }
    VENTURE_UNREACHABLE("a gas without properties");
}

/// Nusselt number from the product of Grashof and Prandtl numbers.
double nusselt(double product, GlassTilt tilt)
{
    const auto [factor, exponent] = tilt == GlassTilt::vertical   ? std::pair{0.035, 0.38}
                                    : tilt == GlassTilt::slope_45 ? std::pair{0.10, 0.31}
                                                                  : std::pair{0.16, 0.28};
    return std::max(1.0, factor * std::pow(product, exponent));
}

double conductance(const GasGap& gap, double over_K, GlassTilt tilt)
{
    const GasProperties p = properties(gap.gas);
    constexpr double gravity = 9.81;
    const double grashof = gravity * std::pow(gap.width_m, 3) * over_K * p.density_kg_per_m3 * p.density_kg_per_m3 /
                           (mean_K * p.viscosity_kg_per_ms * p.viscosity_kg_per_ms);
    const double prandtl = p.viscosity_kg_per_ms * p.specific_heat_J_per_kgK / p.conductivity_W_per_mK;
    const double gas = nusselt(grashof * prandtl, tilt) * p.conductivity_W_per_mK / gap.width_m;
    const double radiation = 4.0 * stefan_boltzmann_W_per_m2K4 * std::pow(mean_K, 3) /
                             (1.0 / gap.emissivity_1 + 1.0 / gap.emissivity_2 - 1.0);
    return gas + radiation;
}

void check(const GlassBuildup& glass)
{
    constexpr const char* where = "glass_u_value";
    const auto panes = static_cast<double>(glass.pane_thickness_m.size());
    check_range(where, "number of panes", panes, {1.0, 4.0}, "");
    check_range(where, "number of gaps", static_cast<double>(glass.gaps.size()), {panes - 1.0, panes - 1.0}, "");
    for (const double thickness : glass.pane_thickness_m)
        check_range(where, "thickness of a pane", thickness, {1e-4, 0.1}, "m");
    check_range(where, "conductivity of glass", glass.glass_conductivity_W_per_mK, {0.1, 10.0}, "W/mK");
    for (const GasGap& gap : glass.gaps) {
        check_range(where, "width of a gap", gap.width_m, {0.003, 0.1}, "m");
        check_range(where, "emissivity", gap.emissivity_1, {0.01, 1.0}, "");
        check_range(where, "emissivity", gap.emissivity_2, {0.01, 1.0}, "");
    }
}

} // namespace

GlassUValue glass_u_value(const GlassBuildup& glass, double outside_W_per_m2K, double inside_W_per_m2K)
{
    check(glass);
    const std::size_t n = glass.gaps.size();
    GlassUValue out;
    std::vector<double> over_K(n, n > 0 ? over_all_gaps_K / static_cast<double>(n) : 0.0);
    constexpr int rounds = 50; // converges by more than a digit a round
    for (int round = 0; round < rounds; ++round) {
        out.gap_W_per_m2K.clear();
        double resistance = 0.0;
        for (std::size_t i = 0; i < n; ++i) {
            out.gap_W_per_m2K.push_back(conductance(glass.gaps[i], over_K[i], glass.tilt));
            resistance += 1.0 / out.gap_W_per_m2K[i];
        }
        for (std::size_t i = 0; i < n; ++i) over_K[i] = over_all_gaps_K / (out.gap_W_per_m2K[i] * resistance);
    }
    double resistance = 1.0 / outside_W_per_m2K + 1.0 / inside_W_per_m2K;
    for (const double gap : out.gap_W_per_m2K) resistance += 1.0 / gap;
    resistance += std::accumulate(glass.pane_thickness_m.begin(), glass.pane_thickness_m.end(), 0.0) /
                  glass.glass_conductivity_W_per_mK;
    out.u_value_W_per_m2K = 1.0 / resistance;
    return out;
}

} // namespace venture::fabric
