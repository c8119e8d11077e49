#include <venture/report/buildup_report.hpp>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/air/moist_air.hpp>
#include <venture/fabric/periodic.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

using fabric::Buildup;
using fabric::Layer;
using nlohmann::json;
using quantity::PreferredUnits;

namespace {

double dew_point_of_room_C(const fabric::WallConditions& c)
{
    return air::dew_point(air::MoistAir::from_relative_humidity(c.inside, c.inside_humidity, c.pressure)).celsius();
}

const char* in_words(fabric::HeatFlow direction)
{
    return direction == fabric::HeatFlow::upwards     ? "upwards"
           : direction == fabric::HeatFlow::downwards ? "downwards"
                                                      : "horizontally";
}

Text layers_table(const Buildup& b, const fabric::TemperatureProfile& profile, const PreferredUnits& units)
{
    TextTable table;
    table.add_column("Outside to inside", Align::left);
    add_column(table, "thickness", "thickness", units);
    add_column(table, "conductivity", "conductivity", units);
    add_column(table, "density", "density", units);
    add_column(table, "specific heat", "specific_heat", units);
    add_column(table, "resistance", "resistance", units);
    add_column(table, "mass", "areal_mass", units);
    add_column(table, "inner side", "temperature", units);
    for (std::size_t i = 0; i < b.layers.size(); ++i) {
        const Layer& layer = b.layers[i];
        const auto of_material = [&](double value, std::string_view quantity) {
            return layer.has_capacity() ? units.number(value, quantity) : std::string{"-"};
        };
        table.add_row(
            {layer.material.name,
             layer.gap_m > 0.0 ? units.number(layer.gap_m, "thickness") : of_material(layer.thickness_m, "thickness"),
             of_material(layer.material.conductivity_W_per_mK, "conductivity"),
             of_material(layer.material.density_kg_per_m3, "density"),
             of_material(layer.material.specific_heat_J_per_kgK, "specific_heat"),
             units.number(layer.resistance(), "resistance"),
             of_material(layer.thickness_m * layer.material.density_kg_per_m3, "areal_mass"),
             units.number(profile.at_faces_C[i + 1], "temperature")});
    }
    return Text{std::move(table)};
}

/// "R = 0.040 (outside) + 0.133 + ... + 0.130 (inside) = 2.500 m2K/W; U = 1/R = 0.400 W/m2K".
std::string u_in_steps(const Buildup& b, const fabric::WallConditions& c, const PreferredUnits& units)
{
    std::string sum = fmt::format("{} (outside)", units.number(c.films.outside_m2K_per_W, "resistance"));
    for (const Layer& layer : b.layers) sum += " + " + units.number(layer.resistance(), "resistance");
    const double whole = c.films.outside_m2K_per_W + resistance(b) + c.films.inside_m2K_per_W;
    return fmt::format("R = {} + {} (inside) = {}\nU = 1/R = {}, heat flowing {}; surface resistances of ISO 6946\n",
                       sum, units.number(c.films.inside_m2K_per_W, "resistance"), units.text(whole, "resistance"),
                       units.text(1.0 / whole, "heat_transfer"), in_words(c.direction));
}

std::string wave_in_words(const Buildup& b, const fabric::WallConditions& c, const PreferredUnits& units)
{
    const auto p = fabric::periodic_properties(b, c.films);
    constexpr double least = 5e-4; // what is smaller has no time of its own
    const std::string arrives =
        p.decrement_factor < least
            ? std::string{"nothing of an outside wave arrives inside"}
            : fmt::format("of an outside wave {:.1f} % of the steady flow arrives inside, {:.1f} h late (periodic "
                          "transmittance {})",
                          100.0 * p.decrement_factor, p.transmittance.delay_h,
                          units.text(p.transmittance.size, "heat_transfer"));
    return fmt::format(
        "Daily wave (ISO 13786): {}\nAdmittance {} inside, {} outside; areal capacity {} inside, {} outside\n"
        "Mass {}, of it {} between room and insulation\n",
        arrives, units.text(p.admittance_inside.size, "heat_transfer"),
        units.text(p.admittance_outside.size, "heat_transfer"),
        units.text(p.areal_capacity_inside_J_per_m2K, "areal_capacity"),
        units.text(p.areal_capacity_outside_J_per_m2K, "areal_capacity"), units.text(mass_kg_per_m2(b), "areal_mass"),
        units.text(inner_mass_kg_per_m2(b), "areal_mass"));
}

/// Where the dew point of the room's air lies.
std::string dew_in_words(const Buildup& b, const fabric::TemperatureProfile& profile, const fabric::WallConditions& c,
                         const PreferredUnits& units)
{
    if (c.films.outside_m2K_per_W == 0.0) return {}; // on the ground: what is cold there is soil
    const double dew_C = dew_point_of_room_C(c);
    std::string out = fmt::format("Dew point of room air at {} and {:.0f} % (assumed): {}. ",
                                  units.text(c.inside.celsius(), "temperature"), 100.0 * c.inside_humidity,
                                  units.text(dew_C, "temperature"));
    if (profile.at_faces_C.back() < dew_C) return out + "The inner face is colder: water will stand on it.\n";
    for (std::size_t i = b.layers.size(); i-- > 0;)
        if (profile.at_faces_C[i] < dew_C)
            return out + fmt::format("The build-up is that cold within {}: room air must not get there (vapour control "
                                     "on its warm side), or must be able to leave.\n",
                                     b.layers[i].material.name);
    return out + "Nowhere in the build-up is it that cold.\n";
}

} // namespace

Text buildup_text(const Buildup& b, const fabric::WallConditions& c, const PreferredUnits& units)
{
    const auto profile = temperature_profile(b, c.films, c.outside, c.inside);
    return fmt::format("Build-up '{}' between {} outside and {} inside\n", b.name,
                       units.text(c.outside.celsius(), "temperature"), units.text(c.inside.celsius(), "temperature")) +
           layers_table(b, profile, units) +
           fmt::format("Outer face {}, inner face {}, {} through it\n\n",
                       units.text(profile.at_faces_C.front(), "temperature"),
                       units.text(profile.at_faces_C.back(), "temperature"),
                       units.text(profile.heat_flow_W_per_m2, "power_per_area")) +
           u_in_steps(b, c, units) + wave_in_words(b, c, units) + dew_in_words(b, profile, c, units);
}

json buildup_json(const Buildup& b, const fabric::WallConditions& c)
{
    const auto profile = temperature_profile(b, c.films, c.outside, c.inside);
    const auto p = fabric::periodic_properties(b, c.films);
    json layers = json::array();
    for (std::size_t i = 0; i < b.layers.size(); ++i)
        layers.push_back({{"material", b.layers[i].material.name},
                          {"thickness_m", b.layers[i].thickness_m},
                          {"resistance_m2K_per_W", b.layers[i].resistance()},
                          {"outer_side_C", profile.at_faces_C[i]},
                          {"inner_side_C", profile.at_faces_C[i + 1]}});
    return {{"build_up", b.name},
            {"layers_outside_to_inside", layers},
            {"outside_film_m2K_per_W", c.films.outside_m2K_per_W},
            {"inside_film_m2K_per_W", c.films.inside_m2K_per_W},
            {"u_value_W_per_m2K", p.u_value_W_per_m2K},
            {"periodic_transmittance_W_per_m2K", p.transmittance.size},
            {"delay_h", p.transmittance.delay_h},
            {"decrement_factor", p.decrement_factor},
            {"admittance_inside_W_per_m2K", p.admittance_inside.size},
            {"admittance_outside_W_per_m2K", p.admittance_outside.size},
            {"areal_capacity_inside_J_per_m2K", p.areal_capacity_inside_J_per_m2K},
            {"areal_capacity_outside_J_per_m2K", p.areal_capacity_outside_J_per_m2K},
            {"mass_kg_per_m2", mass_kg_per_m2(b)},
            {"inner_mass_kg_per_m2", inner_mass_kg_per_m2(b)},
            {"dew_point_of_room_air_C", dew_point_of_room_C(c)}};
}

namespace {

std::string how_ground_was_found(const fabric::GroundYear& ground, const PreferredUnits& units)
{
    using Part = fabric::GroundYear::Part;
    const auto under = [&] {
        switch (ground.part) {
        case Part::slab:
            return "On the ground (ISO 13370): soil and a resistance under the floor";
        case Part::basement_floor:
            return "Floor of a basement (ISO 13370): soil and a resistance under the floor";
        case Part::basement_walls:
            return "Walls of a basement (ISO 13370): soil and a resistance behind the wall";
        case Part::floor_over_void:
            return "Over a ventilated void (ISO 13370): one resistance for void and ground";
        }
        return "";
    };
    return fmt::format(
        "{}; outside is what must lie beyond in the coldest month, {}; U to outdoors over the year {}, a "
        "yearly wave outdoors reaches it with {}\n",
        under(), units.text(ground.design_ground_C, "temperature"),
        units.text(ground.u_value_W_per_m2K(), "heat_transfer"), units.text(ground.periodic_W_per_K, "heat_loss"));
}

} // namespace

std::string how_found(const building::NamedBuildup& b, const PreferredUnits& units)
{
    std::string out;
    if (!b.described.empty()) out += fmt::format("In words: {}\nAssumed: {}\n", b.described, b.assumed);
    if (b.typed)
        out +=
            fmt::format("Made up from U = {} stated with films of {} outside and {} inside, which were stripped once; "
                        "weight {} ({}), mass {}\n",
                        units.text(b.typed->u_value_W_per_m2K, "heat_transfer"),
                        units.text(b.typed->films.outside_m2K_per_W, "resistance"),
                        units.text(b.typed->films.inside_m2K_per_W, "resistance"), name_of(b.typed->weight),
                        units.text(areal_capacity_J_per_m2K(b.typed->weight), "areal_capacity"),
                        fabric::mass_place_words[static_cast<std::size_t>(b.typed->mass)]);
    if (b.made.bounds)
        out += fmt::format(
            "Bridged layers stand as even ones (ISO 6946): R between {} and {}, their mean {} +- {:.1f} %\n",
            units.number(b.made.bounds->lower_m2K_per_W, "resistance"),
            units.number(b.made.bounds->upper_m2K_per_W, "resistance"),
            units.text(b.made.bounds->mean_m2K_per_W(), "resistance"), 100.0 * b.made.bounds->uncertainty());
    if (b.made.corrections_W_per_m2K() > 0.0)
        out += fmt::format("U without corrections {}; gaps in the insulation add {}, fasteners {}, what was typed {}\n",
                           units.text(b.made.u_before_corrections_W_per_m2K, "heat_transfer"),
                           units.text(b.made.air_gap_W_per_m2K, "heat_transfer"),
                           units.text(b.made.fasteners_W_per_m2K, "heat_transfer"),
                           units.text(b.made.correction_W_per_m2K, "heat_transfer"));
    for (const std::string& remark : b.made.remarks) out += fmt::format("Note: {}\n", remark);
    if (b.ground) out += how_ground_was_found(*b.ground, units);
    if (!b.source.empty()) out += fmt::format("Source: {}\n", b.source);
    return out;
}

} // namespace venture::report
