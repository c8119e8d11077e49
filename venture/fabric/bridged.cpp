#include <venture/fabric/bridged.hpp>

#include <cmath>
#include <numeric>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

using quantity::check_range;

namespace {

constexpr const char* named = "combined_resistance";

void check_layer(const BridgedLayer& layer)
{
    double shares = 0.0;
    for (const Section& section : layer) {
        check_range(named, "share of a section", section.share, {1e-9, 1.0}, "");
        check_range(named, "resistance of a section", section.resistance_m2K_per_W, {1e-9, 1000.0}, "m2K/W");
        shares += section.share;
    }
    check_range(named, "sum of a layer's shares", shares, {1.0 - 1e-6, 1.0 + 1e-6}, "");
}

/// Conductance of all paths through the layers from `at` on, each behind a resistance and weighted by its share.
double paths(const std::vector<BridgedLayer>& layers, std::size_t at, double behind, double share)
{
    if (at == layers.size()) return share / behind;
    double sum = 0.0;
    for (const Section& section : layers[at])
        sum += paths(layers, at + 1, behind + section.resistance_m2K_per_W, share * section.share);
    return sum;
}

double square(double x) { return x * x; }

} // namespace

CombinedResistance combined_resistance(const std::vector<BridgedLayer>& layers, double inside_film_m2K_per_W,
                                       double outside_film_m2K_per_W)
{
    const double films = inside_film_m2K_per_W + outside_film_m2K_per_W;
    double count = 1.0, lower = films;
    for (const BridgedLayer& layer : layers) {
        check_layer(layer);
        count *= static_cast<double>(layer.size());
        lower += 1.0 / std::accumulate(layer.begin(), layer.end(), 0.0, [](double sum, const Section& s) {
                     return sum + s.share / s.resistance_m2K_per_W;
                 });
    }
    check_range(named, "number of paths", count, {1.0, 1e6}, "");
    const CombinedResistance out{1.0 / paths(layers, 0, films, 1.0), lower};
    check_range(named, "ratio of the bounds", out.upper_m2K_per_W / out.lower_m2K_per_W, {0.0, 1.5}, "");
    return out;
}

double tapered_u_value(Taper shape, double rest_m2K_per_W, double highest_m2K_per_W)
{
    check_range("tapered_u_value", "rest", rest_m2K_per_W, {0.01, 100.0}, "m2K/W");
    check_range("tapered_u_value", "highest", highest_m2K_per_W, {1e-4, 100.0}, "m2K/W");
    const double log = std::log1p(highest_m2K_per_W / rest_m2K_per_W), ratio = rest_m2K_per_W / highest_m2K_per_W;
    switch (shape) {
    case Taper::rectangle:
        return log / highest_m2K_per_W;
    case Taper::triangle_thickest_at_apex:
        return 2.0 / highest_m2K_per_W * ((1.0 + ratio) * log - 1.0);
    case Taper::triangle_thinnest_at_apex:
        return 2.0 / highest_m2K_per_W * (1.0 - ratio * log);
    }
    VENTURE_UNREACHABLE("a taper without a formula");
}

double fastener_correction(const Fasteners& f, double insulation_thickness_m, double insulation_m2K_per_W,
                           double total_m2K_per_W)
{
    constexpr const char* here = "fastener_correction";
    check_range(here, "conductivity", f.conductivity_W_per_mK, {0.01, 500.0}, "W/mK");
    check_range(here, "fasteners per m2", f.per_m2, {0.0, 100.0}, "1/m2");
    check_range(here, "section", f.section_m2, {0.0, 1e-2}, "m2");
    check_range(here, "insulation thickness", insulation_thickness_m, {1e-3, 2.0}, "m");
    check_range(here, "length in the insulation", f.length_in_insulation_m, {1e-4, 2.0}, "m");
    check_range(here, "resistance of the insulation", insulation_m2K_per_W, {0.0, total_m2K_per_W}, "m2K/W");
    const double alpha = 0.8 * f.length_in_insulation_m / insulation_thickness_m;
    return alpha * f.conductivity_W_per_mK * f.section_m2 * f.per_m2 / f.length_in_insulation_m *
           square(insulation_m2K_per_W / total_m2K_per_W);
}

double full_gap_correction(AirGaps gaps)
{
    switch (gaps) {
    case AirGaps::none:
        return 0.0;
    case AirGaps::bridging:
        return 0.01;
    case AirGaps::bridging_with_circulation:
        return 0.04;
    }
    VENTURE_UNREACHABLE("gaps without a correction");
}

double air_gap_correction(double full_W_per_m2K, double insulation_m2K_per_W, double total_m2K_per_W)
{
    check_range("air_gap_correction", "full correction", full_W_per_m2K, {0.0, 0.1}, "W/m2K");
    check_range("air_gap_correction", "resistance of the insulation", insulation_m2K_per_W, {0.0, total_m2K_per_W},
                "m2K/W");
    return full_W_per_m2K * square(insulation_m2K_per_W / total_m2K_per_W);
}

} // namespace venture::fabric
