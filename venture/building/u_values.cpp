#include <venture/building/u_values.hpp>

#include <fmt/format.h>

namespace venture::building {

namespace {

using quantity::LedgerInput;

constexpr const char* film_table = "ISO 6946:2017, table 7";

/// Resistance from face to face, layer by layer.
void write_layers(const Building& b, const NamedBuildup& made, quantity::Ledger& ledger, const std::string& of)
{
    std::string formula;
    std::vector<LedgerInput> inputs;
    const std::string from = fmt::format("build-up '{}', {}", made.layers.name, b.origins.describe(made.origin));
    for (std::size_t i = 0; i < made.layers.layers.size(); ++i) {
        const fabric::Layer& layer = made.layers.layers[i];
        const std::string number = std::to_string(i + 1);
        formula += formula.empty() ? "" : " + ";
        if (layer.has_capacity()) {
            formula += fmt::format("d{0}/k{0}", number);
            inputs.push_back({"d" + number, layer.thickness_m, "m", from});
            inputs.push_back({"k" + number, layer.material.conductivity_W_per_mK, "W/mK",
                              fmt::format("material '{}'", layer.material.name)});
        } else {
            formula += "R" + number;
            inputs.push_back(
                {"R" + number, layer.resistance_m2K_per_W, "m2K/W", fmt::format("{}: {}", from, layer.material.name)});
        }
    }
    ledger.push_back({of, "resistance of its layers", "R", std::move(formula), std::move(inputs),
                      fabric::resistance(made.layers), "m2K/W"});
}

} // namespace

double u_value(const Building& building, const Surface& surface, quantity::Ledger* ledger, const std::string& of)
{
    const auto direction = heat_flow(surface.attitude);
    double outside = 0.0;
    if (surface.beyond.kind == Neighbour::Kind::outdoors) outside = 1.0 / fabric::outside_film_W_per_m2K;
    if (surface.beyond.kind == Neighbour::Kind::room || surface.beyond.kind == Neighbour::Kind::temperature ||
        surface.beyond.kind == Neighbour::Kind::unheated)
        outside = fabric::standard_inside_resistance(heat_flow_behind(surface.attitude));
    const NamedBuildup& made = building.build_ups[surface.build_up];
    const double u = fabric::u_value(made.layers, direction, outside);
    if (ledger != nullptr) {
        write_layers(building, made, *ledger, of);
        ledger->push_back({of,
                           "U-value",
                           "U",
                           "1/(Ri + R + Re)",
                           {{"Ri", fabric::standard_inside_resistance(direction), "m2K/W", film_table},
                            {"R", fabric::resistance(made.layers), "m2K/W", "above"},
                            {"Re", outside, "m2K/W", outside > 0.0 ? film_table : "on the ground there is none"}},
                           u,
                           "W/m2K"});
    }
    return u;
}

double u_value(const Building& building, const Surface& surface, const Opening& opening, quantity::Ledger* ledger,
               const std::string& of)
{
    if (opening.kind == Opening::Kind::open) return 0.0; // nothing conducts; its air is counted by itself
    const bool window = opening.kind == Opening::Kind::window;
    const double stated =
        window ? building.glazings[opening.glazing].values.u_value_W_per_m2K : opening.u_value_W_per_m2K;
    const NamedShade* shutter = opening.shade && building.shades[*opening.shade].use == fabric::ShadeUse::always
                                    ? &building.shades[*opening.shade]
                                    : nullptr;
    const bool between_rooms = surface.beyond.kind == Neighbour::Kind::room;
    const double added = shutter != nullptr ? shutter->added_resistance_m2K_per_W : 0.0;
    const double outside = between_rooms ? 1.0 / fabric::outside_film_W_per_m2K : 0.0,
                 other = between_rooms ? fabric::standard_inside_resistance(heat_flow_behind(surface.attitude)) : 0.0;
    const bool as_stated = shutter == nullptr && !between_rooms;
    const double u = as_stated ? stated : 1.0 / (1.0 / stated + added - outside + other);
    if (ledger == nullptr) return u;
    quantity::LedgerLine line{of, "U-value", "U", as_stated ? "Uw" : "1/(1/Uw + Rs - Re + Ri)", {}, u, "W/m2K"};
    line.inputs.push_back({"Uw", stated, "W/m2K",
                           window ? fmt::format("glazing '{}'", building.glazings[opening.glazing].values.name)
                                  : building.origins.describe(building.rooms[surface.room].origin)});
    if (!as_stated) {
        line.inputs.push_back({"Rs", added, "m2K/W",
                               shutter != nullptr ? fmt::format("shade '{}', always down", shutter->layer.name)
                                                  : std::string{"no shutter is always down"}});
        line.inputs.push_back({"Re", outside, "m2K/W", between_rooms ? film_table : "in Uw"});
        line.inputs.push_back({"Ri", other, "m2K/W", between_rooms ? film_table : "in Uw"});
    }
    ledger->push_back(std::move(line));
    return u;
}

double u_value(const Building& building, const Surface& surface) { return u_value(building, surface, nullptr, {}); }

double u_value(const Building& building, const Surface& surface, const Opening& opening)
{
    return u_value(building, surface, opening, nullptr, {});
}

} // namespace venture::building
