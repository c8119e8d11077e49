#include <venture/report/buildup_report.hpp>

#include <fmt/format.h>

#include <venture/air/moist_air.hpp>
#include <venture/fabric/periodic.hpp>

namespace venture::report {

using fabric::Buildup;
using fabric::Layer;
using figure::Cell;
using figure::where;
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

struct LayerRow {
    const Buildup* of;
    const Layer* layer;
    double inner_side_C;
};

template <double fabric::Material::*member>
Cell of_material(const LayerRow& r)
{
    return where(r.layer->has_capacity(), r.layer->material.*member);
}

const figure::TableOf<LayerRow>& layer_columns()
{
    using R = LayerRow;
    using M = fabric::Material;
    static const figure::TableOf<R> all = {
        {"layer", "Layers", "A layer of a build-up, from outside to inside.", 2},
        {
            {{"build_up", "Build-up", "", "that it is in", 0, figure::Sum::none, figure::Show::if_varied},
             [](const R& r) -> Cell { return r.of->name; }},
            {{"material", "Outside to inside", "", "what it is made of", 0},
             [](const R& r) -> Cell { return r.layer->material.name; }},
            {{"thickness", "thickness", "thickness", "of the layer, or width of a gap"},
             [](const R& r) -> Cell {
                 return r.layer->gap_m > 0.0 ? Cell{r.layer->gap_m}
                                             : where(r.layer->has_capacity(), r.layer->thickness_m);
             }},
            {{"conductivity", "conductivity", "conductivity", "as built in"}, of_material<&M::conductivity_W_per_mK>},
            {{"density", "density", "density", "dry", 3}, of_material<&M::density_kg_per_m3>},
            {{"specific_heat", "specific\nheat", "specific_heat", "dry", 3}, of_material<&M::specific_heat_J_per_kgK>},
            {{"resistance", "resistance", "resistance", "of the layer"},
             [](const R& r) -> Cell { return r.layer->resistance(); }},
            {{"mass", "mass", "areal_mass", "of the layer", 2},
             [](const R& r) -> Cell {
                 return where(r.layer->has_capacity(), r.layer->thickness_m * r.layer->material.density_kg_per_m3);
             }},
            {{"inner_side", "inner\nside", "temperature", "between the temperatures said, at rest"},
             [](const R& r) -> Cell { return r.inner_side_C; }},
        }};
    return all;
}

struct Whole {
    const Buildup* build_up;
    const fabric::WallConditions* conditions;
    fabric::TemperatureProfile profile;
    fabric::PeriodicProperties wave;
};

const figure::TableOf<Whole>& whole_columns()
{
    using W = Whole;
    static const figure::TableOf<W> all = {
        {"build_up_whole", "Build-up as a whole", "What a build-up does.", 1, figure::Told::data},
        {
            {{"build_up", "Build-up", "", "its name", 0}, [](const W& w) -> Cell { return w.build_up->name; }},
            {{"u_value", "U", "heat_transfer", "with its films"},
             [](const W& w) -> Cell { return w.wave.u_value_W_per_m2K; }},
            {{"outside_film", "outside film", "resistance", "surface resistance"},
             [](const W& w) -> Cell { return w.conditions->films.outside_m2K_per_W; }},
            {{"inside_film", "inside film", "resistance", "surface resistance"},
             [](const W& w) -> Cell { return w.conditions->films.inside_m2K_per_W; }},
            {{"outside", "outside", "temperature", "between which it stands"},
             [](const W& w) -> Cell { return w.conditions->outside.celsius(); }},
            {{"inside", "inside", "temperature", "between which it stands"},
             [](const W& w) -> Cell { return w.conditions->inside.celsius(); }},
            {{"outer_face", "outer face", "temperature", "at rest"},
             [](const W& w) -> Cell { return w.profile.at_faces_C.front(); }},
            {{"heat_flow", "heat flow", "power_per_area", "at rest"},
             [](const W& w) -> Cell { return w.profile.heat_flow_W_per_m2; }},
            {{"periodic_transmittance", "periodic transmittance", "heat_transfer", "of a daily wave, ISO 13786"},
             [](const W& w) -> Cell { return w.wave.transmittance.size; }},
            {{"delay", "delay", "fine_hours", "of it"},
             [](const W& w) -> Cell { return w.wave.transmittance.delay_h; }},
            {{"decrement_factor", "decrement factor", "fine_ratio", "periodic transmittance over U"},
             [](const W& w) -> Cell { return w.wave.decrement_factor; }},
            {{"admittance_inside", "admittance inside", "heat_transfer", "of a daily wave"},
             [](const W& w) -> Cell { return w.wave.admittance_inside.size; }},
            {{"admittance_outside", "admittance outside", "heat_transfer", "of a daily wave"},
             [](const W& w) -> Cell { return w.wave.admittance_outside.size; }},
            {{"areal_capacity_inside", "capacity inside", "areal_capacity", "of a daily wave"},
             [](const W& w) -> Cell { return w.wave.areal_capacity_inside_J_per_m2K; }},
            {{"areal_capacity_outside", "capacity outside", "areal_capacity", "of a daily wave"},
             [](const W& w) -> Cell { return w.wave.areal_capacity_outside_J_per_m2K; }},
            {{"mass", "mass", "areal_mass", "of all layers"},
             [](const W& w) -> Cell { return mass_kg_per_m2(*w.build_up); }},
            {{"inner_mass", "inner mass", "areal_mass", "between room and insulation"},
             [](const W& w) -> Cell { return inner_mass_kg_per_m2(*w.build_up); }},
            {{"dew_point", "dew point", "temperature", "of the room's air, humidity assumed"},
             [](const W& w) -> Cell { return dew_point_of_room_C(*w.conditions); }},
        }};
    return all;
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

/// How the layers were found: in words, from a U-value, with bridges, gaps and corrections; where they come from. Empty if
/// they stand as they were typed and nobody says more.
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

} // namespace

figure::Document buildup_document(const building::NamedBuildup& named, const fabric::WallConditions& c,
                                  const PreferredUnits& units)
{
    const Buildup& b = named.layers;
    const auto profile = temperature_profile(b, c.films, c.outside, c.inside);
    std::vector<LayerRow> rows;
    for (std::size_t i = 0; i < b.layers.size(); ++i) rows.push_back({&b, &b.layers[i], profile.at_faces_C[i + 1]});
    figure::Document out{fmt::format("Build-up '{}' between {} outside and {} inside", b.name,
                                     units.text(c.outside.celsius(), "temperature"),
                                     units.text(c.inside.celsius(), "temperature"))};
    out.add(figure::table_of(layer_columns(), rows));
    out.add(figure::table_of(whole_columns(), std::vector<Whole>{{&b, &c, profile, periodic_properties(b, c.films)}}));
    out.add(fmt::format("Outer face {}, inner face {}, {} through it\n\n",
                        units.text(profile.at_faces_C.front(), "temperature"),
                        units.text(profile.at_faces_C.back(), "temperature"),
                        units.text(profile.heat_flow_W_per_m2, "power_per_area")) +
            u_in_steps(b, c, units) + wave_in_words(b, c, units) + dew_in_words(b, profile, c, units) +
            how_found(named, units));
    return out;
}

std::vector<figure::Declaration> buildup_declarations()
{
    return {layer_columns().declaration(), whole_columns().declaration()};
}

} // namespace venture::report
