#include <venture/fabric/stated_buildup.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

namespace {

/// A gap as a resistance in its place.
Layer gap_layer(const StatedLayer& stated, HeatFlow direction)
{
    Layer out{.material = {stated.main.material.name}, .gap_m = stated.gap->thickness_m};
    out.resistance_m2K_per_W = air_layer_resistance({.thickness_m = stated.gap->thickness_m,
                                                     .direction = direction,
                                                     .emissivity_1 = stated.gap->emissivity_1,
                                                     .emissivity_2 = stated.gap->emissivity_2});
    if (stated.gap->ventilation == Ventilation::slight) // half of what still air has, as between the two limits
        out.resistance_m2K_per_W *= 0.5;
    return out;
}

Layer bridge_layer(const StatedLayer& stated)
{
    return {.material = *stated.bridge, .thickness_m = stated.gap ? stated.gap->thickness_m : stated.main.thickness_m};
}

double areal_capacity(const Layer& layer)
{
    return layer.thickness_m * layer.material.density_kg_per_m3 * layer.material.specific_heat_J_per_kgK;
}

/// One even layer for two side by side: their mean mass and heat, and a given resistance.
Layer even_layer(const StatedLayer& stated, const Layer& main, double resistance_m2K_per_W)
{
    const Layer bridge = bridge_layer(stated);
    const double f = stated.bridge_share;
    Layer out{.material = {fmt::format("{} with {:.3g} % {}", main.material.name, 100.0 * f, bridge.material.name)}};
    const double mass = (1.0 - f) * main.thickness_m * main.material.density_kg_per_m3 +
                        f * bridge.thickness_m * bridge.material.density_kg_per_m3;
    const double capacity = (1.0 - f) * areal_capacity(main) + f * areal_capacity(bridge);
    out.thickness_m = bridge.thickness_m;
    out.material.conductivity_W_per_mK = out.thickness_m / resistance_m2K_per_W;
    out.material.density_kg_per_m3 = mass / out.thickness_m;
    out.material.specific_heat_J_per_kgK = capacity / mass;
    return out;
}

/// Takes a resistance off the layer that has most of it.
void take_off(Buildup& buildup, double resistance_m2K_per_W)
{
    const auto most = std::ranges::max_element(buildup.layers, {}, &Layer::resistance);
    const double left = most->resistance() - resistance_m2K_per_W;
    quantity::check_range("build-up '" + buildup.name + "'", "resistance that corrections leave", left, {1e-4, 100.0},
                          "m2K/W");
    if (most->has_capacity())
        most->material.conductivity_W_per_mK = most->thickness_m / left;
    else
        most->resistance_m2K_per_W = left;
}

/// Leaves out what lies outside a well ventilated gap, and the gap. @return whether there was one
bool drop_outer_leaf(StatedBuildup& stated)
{
    const auto is_open = [](const StatedLayer& l) { return l.gap && l.gap->ventilation == Ventilation::well; };
    const auto last = std::ranges::find_if(stated.layers.rbegin(), stated.layers.rend(), is_open);
    if (last == stated.layers.rend()) return false;
    stated.layers.erase(stated.layers.begin(), last.base());
    return true;
}

} // namespace

PlainBuildup plain_buildup(const StatedBuildup& as_stated, const Films& films)
{
    StatedBuildup stated = as_stated;
    PlainBuildup out;
    out.layers.name = stated.name;
    const std::string where = "build-up '" + stated.name + "'";
    double outside_film = films.outside_m2K_per_W;
    const bool sheltered = drop_outer_leaf(stated);
    if (sheltered) {
        outside_film = films.inside_m2K_per_W;
        out.layers.layers.push_back({.material = {"still air behind the outer leaf"},
                                     .resistance_m2K_per_W = std::max(0.0, outside_film - films.outside_m2K_per_W)});
        out.remarks.push_back("the gap is well ventilated: it and what lies outside of it keep no heat in; still air "
                              "stands before the rest");
    }
    std::vector<BridgedLayer> sections;
    double plain_sum = films.inside_m2K_per_W + outside_film, bridged_sum = 0.0;
    for (const StatedLayer& layer : stated.layers) {
        Layer main = layer.gap ? gap_layer(layer, stated.direction) : layer.main;
        if (layer.gap && layer.gap->ventilation == Ventilation::slight)
            out.remarks.push_back(
                fmt::format("{}: slightly ventilated, half the resistance of still air", main.material.name));
        check({stated.name, {main}});
        if (layer.bridge) {
            quantity::check_range(where, "share of " + layer.bridge->name, layer.bridge_share, {0.001, 0.9}, "");
            check({stated.name, {bridge_layer(layer)}});
            const double r = main.resistance(), b = bridge_layer(layer).resistance(), f = layer.bridge_share;
            sections.push_back({{1.0 - f, r}, {f, b}});
            main = even_layer(layer, main, 1.0 / ((1.0 - f) / r + f / b));
            bridged_sum += main.resistance();
        } else {
            if (main.resistance() > 0.0) sections.push_back({{1.0, main.resistance()}});
            plain_sum += main.resistance();
        }
        out.layers.layers.push_back(std::move(main));
    }
    double total = plain_sum + bridged_sum;
    if (bridged_sum > 0.0) {
        try {
            out.bounds = combined_resistance(sections, films.inside_m2K_per_W, outside_film);
        } catch (const quantity::RangeError& wrong) {
            throw quantity::RangeError{where +
                                           ", bridged layers (metal through insulation takes a numerical calculation; "
                                           "type what it adds as a correction)",
                                       wrong.name(), wrong.value(), wrong.allowed(), wrong.unit()};
        }
        total = out.bounds->mean_m2K_per_W();
        const double scale = (total - plain_sum) / bridged_sum;
        std::size_t i = out.layers.layers.size() - stated.layers.size();
        for (const StatedLayer& layer : stated.layers) {
            if (layer.bridge) out.layers.layers[i].material.conductivity_W_per_mK /= scale;
            ++i;
        }
    }
    quantity::check_range(where, "resistance with films", total, {1e-3, 1e3}, "m2K/W");
    out.u_before_corrections_W_per_m2K = 1.0 / total;
    const auto insulation = std::ranges::max_element(out.layers.layers, {}, &Layer::resistance);
    if (insulation != out.layers.layers.end())
        out.air_gap_W_per_m2K =
            air_gap_correction(full_gap_correction(stated.air_gaps), insulation->resistance(), total);
    out.correction_W_per_m2K = stated.correction_W_per_m2K;
    out.u_value_W_per_m2K = 1.0 / total + out.air_gap_W_per_m2K + out.correction_W_per_m2K;
    if (out.u_value_W_per_m2K != 1.0 / total) take_off(out.layers, total - 1.0 / out.u_value_W_per_m2K);
    check(out.layers);
    return out;
}

} // namespace venture::fabric
