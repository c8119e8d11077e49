#include <venture/fabric/stated_buildup.hpp>

#include <algorithm>
#include <numbers>

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

/// Mean of a tapering part's thickness, as a share of its greatest.
double mean_share(Taper shape)
{
    switch (shape) {
    case Taper::rectangle:
        return 1.0 / 2.0;
    case Taper::triangle_thickest_at_apex:
        return 1.0 / 3.0;
    case Taper::triangle_thinnest_at_apex:
        return 2.0 / 3.0;
    }
    VENTURE_UNREACHABLE("a taper without a mean");
}

/// Builds the plain layers step by step.
class Plainer {
public:
    Plainer(const StatedBuildup& stated, const Films& films)
        : stated_{stated},
          where_{"build-up '" + stated.name + "'"},
          inside_{films.inside_m2K_per_W},
          outside_{films.outside_m2K_per_W}
    {
        out_.layers.name = stated.name;
    }

    PlainBuildup run()
    {
        leave_out_outer_leaf();
        first_ = out_.layers.layers.size();
        plain_sum_ = inside_ + outside_;
        for (const StatedLayer& layer : stated_.layers) add(layer);
        total_ = plain_sum_ + bridged_sum_;
        if (bridged_sum_ > 0.0) combine();
        even_out_taper();
        quantity::check_range(where_, "resistance with films", total_, {1e-3, 1e3}, "m2K/W");
        correct();
        check(out_.layers);
        return std::move(out_);
    }

private:
    void leave_out_outer_leaf()
    {
        if (!drop_outer_leaf(stated_)) return;
        out_.layers.layers.push_back({.material = {"still air behind the outer leaf"},
                                      .resistance_m2K_per_W = std::max(0.0, inside_ - outside_)});
        outside_ = inside_;
        out_.remarks.emplace_back(
            "the gap is well ventilated: it and what lies outside of it keep no heat in; still air "
            "stands before the rest");
    }

    void add(const StatedLayer& layer)
    {
        Layer main = layer.gap ? gap_layer(layer, stated_.direction) : layer.main;
        if (layer.gap && layer.gap->ventilation == Ventilation::slight)
            out_.remarks.push_back(
                fmt::format("{}: slightly ventilated, half the resistance of still air", main.material.name));
        check({stated_.name, {main}});
        if (layer.tapers_to_m) main = least_of(layer);
        if (layer.bridge) {
            quantity::check_range(where_, "share of " + layer.bridge->name, layer.bridge_share, {0.001, 0.9}, "");
            check({stated_.name, {bridge_layer(layer)}});
            const double r = main.resistance(), b = bridge_layer(layer).resistance(), f = layer.bridge_share;
            sections_.push_back({{1.0 - f, r}, {f, b}});
            main = even_layer(layer, main, 1.0 / ((1.0 - f) / r + f / b));
            bridged_sum_ += main.resistance();
        } else {
            if (main.resistance() > 0.0) sections_.push_back({{1.0, main.resistance()}});
            plain_sum_ += main.resistance();
        }
        out_.layers.layers.push_back(std::move(main));
    }

    /// The even part of a layer that tapers; the rest follows when the resistance of all others is known.
    Layer least_of(const StatedLayer& layer)
    {
        quantity::check_range(where_, "layers that taper, or taper and are bridged", layer.bridge || tapered_ ? 2 : 1,
                              {0, 1}, "");
        quantity::check_range(where_, "least thickness of " + layer.main.material.name, *layer.tapers_to_m,
                              {0.0, layer.main.thickness_m - 1e-4}, "m");
        tapered_ = &layer;
        tapered_at_ = out_.layers.layers.size();
        Layer least = layer.main;
        least.thickness_m = *layer.tapers_to_m;
        return least;
    }

    void combine()
    {
        try {
            out_.bounds = combined_resistance(sections_, inside_, outside_);
        } catch (const quantity::RangeError& wrong) {
            throw quantity::RangeError{where_ +
                                           ", bridged layers (metal through insulation takes a numerical calculation; "
                                           "type what it adds as a correction)",
                                       wrong.name(), wrong.value(), wrong.allowed(), wrong.unit()};
        }
        total_ = out_.bounds->mean_m2K_per_W();
        const double scale = (total_ - plain_sum_) / bridged_sum_;
        for (std::size_t i = 0; i < stated_.layers.size(); ++i)
            if (stated_.layers[i].bridge) out_.layers.layers[first_ + i].material.conductivity_W_per_mK /= scale;
    }

    void even_out_taper()
    {
        if (tapered_ == nullptr) return;
        Layer& layer = out_.layers.layers[tapered_at_];
        const double least_m = layer.thickness_m, falls_by_m = tapered_->main.thickness_m - least_m;
        const double rest = total_;
        total_ = 1.0 / tapered_u_value(stated_.falls, rest, falls_by_m / layer.material.conductivity_W_per_mK);
        const double resistance = layer.resistance() + total_ - rest;
        layer.thickness_m = least_m + mean_share(stated_.falls) * falls_by_m;
        layer.material.conductivity_W_per_mK = layer.thickness_m / resistance;
        out_.remarks.push_back(fmt::format("{} tapers from {:g} to {:g} mm: {:.0f} mm in the mean, with the resistance "
                                           "that gives the roof's U-value",
                                           layer.material.name, 1000.0 * tapered_->main.thickness_m, 1000.0 * least_m,
                                           1000.0 * layer.thickness_m));
    }

    void correct()
    {
        out_.u_before_corrections_W_per_m2K = 1.0 / total_;
        const auto insulation = std::ranges::max_element(out_.layers.layers, {}, &Layer::resistance);
        if (insulation != out_.layers.layers.end()) {
            const double most = insulation->resistance();
            out_.air_gap_W_per_m2K = air_gap_correction(full_gap_correction(stated_.air_gaps), most, total_);
            if (stated_.fasteners.per_m2 > 0.0) out_.fasteners_W_per_m2K = by_fasteners(*insulation);
        }
        out_.correction_W_per_m2K = stated_.correction_W_per_m2K;
        out_.u_value_W_per_m2K = 1.0 / total_ + out_.corrections_W_per_m2K();
        if (out_.u_value_W_per_m2K != 1.0 / total_) take_off(out_.layers, total_ - 1.0 / out_.u_value_W_per_m2K);
    }

    [[nodiscard]] double by_fasteners(const Layer& insulation) const
    {
        const ThroughFasteners& f = stated_.fasteners;
        quantity::check_range(where_, "thickness of the layer that fasteners go through", insulation.thickness_m,
                              {1e-3, 2.0}, "m");
        return fastener_correction({.conductivity_W_per_mK = f.conductivity_W_per_mK,
                                    .per_m2 = f.per_m2,
                                    .section_m2 = 0.25 * std::numbers::pi * f.diameter_m * f.diameter_m,
                                    .length_in_insulation_m = insulation.thickness_m},
                                   insulation.thickness_m, insulation.resistance(), total_);
    }

    StatedBuildup stated_;
    std::string where_;
    double inside_, outside_; ///< films
    PlainBuildup out_{};
    std::size_t first_ = 0; ///< of the stated layers among the plain ones
    std::vector<BridgedLayer> sections_{};
    double plain_sum_ = 0.0, bridged_sum_ = 0.0, total_ = 0.0;
    const StatedLayer* tapered_ = nullptr;
    std::size_t tapered_at_ = 0;
};

} // namespace

PlainBuildup plain_buildup(const StatedBuildup& stated, const Films& films) { return Plainer{stated, films}.run(); }

} // namespace venture::fabric
