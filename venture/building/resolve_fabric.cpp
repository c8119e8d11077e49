/// Build-ups, glazings, shades and the ground.

#include <algorithm>
#include <map>

#include <fmt/format.h>

#include <venture/building/layer_text.hpp>
#include <venture/building/resolver.hpp>
#include <venture/building/wall_words.hpp>
#include <venture/quantity/codes.hpp>

namespace venture::building::detail {

namespace codes = quantity::codes;

namespace {

/// Index of a word among its choices.
template <class Enum>
Enum chosen(const Given<std::string>& word, const std::vector<std::string>& choices, Enum otherwise)
{
    if (!word) return otherwise;
    const auto at = std::ranges::find(choices, *word);
    return at == choices.end() ? otherwise : static_cast<Enum>(at - choices.begin());
}

bool named(const Given<std::string>& name, const Given<std::string>& in_fabric)
{
    return name && in_fabric && *name == *in_fabric;
}

} // namespace

// --- materials

/// What no solid can be, whatever its bounds: light, and conducting like stone. Most often a value in mW.
void Resolver::check_materials()
{
    constexpr double light_kg_per_m3 = 600.0, most_W_per_mK = 1.0, per_milli = 1e-3;
    for (const MaterialInput& m : input_.materials) {
        if (!m.conductivity || !m.density) continue;
        if (*m.density > light_kg_per_m3 || *m.conductivity <= most_W_per_mK) continue;
        problem(codes::physics, m.conductivity.origin,
                fmt::format("conductivity: {:g} W/mK cannot be of a material as light as {:g} kg/m3", *m.conductivity,
                            *m.density),
                fmt::format("in mW/mK it would be {:g} W/mK: type \"{:g} mW/mK\"", per_milli * *m.conductivity,
                            *m.conductivity));
        numbers_sound_ = false;
    }
}

// --- build-ups

fabric::HeatFlow Resolver::direction_of(const BuildupInput& given) const
{
    const FabricInput& f = input_.fabric;
    if (given.heat_flow) {
        if (*given.heat_flow == "upwards") return fabric::HeatFlow::upwards;
        return *given.heat_flow == "downwards" ? fabric::HeatFlow::downwards : fabric::HeatFlow::horizontal;
    }
    if (named(given.name, f.roof)) return fabric::HeatFlow::upwards;
    const bool floor =
        named(given.name, f.ground_floor) || named(given.name, f.exposed_floor) || named(given.name, f.inner_floor);
    return floor ? fabric::HeatFlow::downwards : fabric::HeatFlow::horizontal;
}

std::optional<fabric::Material> Resolver::material_called(const std::string& name, quantity::OriginId where)
{
    const auto index = find("material", Given<std::string>{name, where}, input_.materials,
                            [](const MaterialInput& m) { return value_of(m.name); });
    if (!index) return std::nullopt;
    const MaterialInput& m = input_.materials[*index];
    if (!m.conductivity || !m.density || !m.specific_heat) { // said already: something of it is missing or unreadable
        numbers_sound_ = false;
        return std::nullopt;
    }
    return fabric::Material{name, value_of(m.conductivity), value_of(m.density), value_of(m.specific_heat)};
}

void Resolver::add_layer(const quantity::PlacedText& text, fabric::StatedBuildup& buildup)
{
    auto parsed = parse_layer(text.text);
    if (auto* wrong = std::get_if<LayerProblem>(&parsed))
        return static_cast<void>(problem(codes::layer, text.origin, std::move(wrong->message), std::move(wrong->hint)));
    const LayerWords& words = std::get<LayerWords>(parsed);
    fabric::StatedLayer layer{.main = {.material = {words.name}}, .gap = words.gap, .bridge_share = words.bridge_share};
    if (words.is_resistance) {
        layer.main.resistance_m2K_per_W = words.resistance_m2K_per_W;
    } else if (!words.gap) {
        const auto material = material_called(words.name, text.origin);
        if (!material) return;
        layer.main = {.material = *material, .thickness_m = words.thickness_m};
    }
    if (!words.bridge.empty()) {
        layer.bridge = material_called(words.bridge, text.origin);
        if (!layer.bridge) return;
    }
    buildup.layers.push_back(std::move(layer));
}

/// A wall in words becomes layers, which stand in the input as what they were made of.
void Resolver::complete_words(BuildupInput& given, NamedBuildup& out)
{
    if (!given.made_of) return;
    auto wall = wall_in_words(*given.made_of);
    if (auto* wrong = std::get_if<LayerProblem>(&wall)) {
        problem(codes::layer, given.made_of.origin, std::move(wrong->message), std::move(wrong->hint));
        return;
    }
    const WallInWords& words = std::get<WallInWords>(wall);
    quantity::TextList layers;
    for (const std::string& layer : words.layers) layers.push_back({layer, given.made_of.origin});
    out.assumed = words.assumed.empty() ? "nothing" : fmt::format("{}", fmt::join(words.assumed, "; "));
    given.layers = computed(std::move(layers), "made_of; assumed: " + out.assumed, given.made_of.origin);
}

void Resolver::add_stated(BuildupInput& given, NamedBuildup& out)
{
    fabric::StatedBuildup stated{
        .name = value_of(given.name),
        .direction = out.direction,
        .air_gaps = chosen(given.air_gaps, spec_of(&BuildupInput::air_gaps).choices, fabric::AirGaps::none),
        .correction_W_per_m2K = value_of(given.correction)};
    const std::size_t before = problems_.size();
    for (const auto& text : *given.layers) add_layer(text, stated);
    if (problems_.size() != before || !numbers_sound_) return;
    const fabric::Films films{0.04, fabric::standard_inside_resistance(out.direction)};
    out.made = plain_buildup(stated, films);
    out.layers = out.made.layers;
    quantity::check_range("build-up '" + out.layers.name + "'", "resistance of all layers",
                          fabric::resistance(out.layers), {1e-6, 1e3}, "m2K/W");
}

void Resolver::add_typed(BuildupInput& given, NamedBuildup& out)
{
    const double film = fabric::standard_inside_resistance(out.direction);
    const bool inner = named(given.name, input_.fabric.inner_wall) || named(given.name, input_.fabric.inner_floor);
    const auto assume = [&](Given<double>& value, double standard) {
        if (!value) value = computed(standard, "standard surface resistance, ISO 6946", given.u_value.origin);
    };
    assume(given.outside_film, inner ? film : 1.0 / fabric::outside_film_W_per_m2K);
    assume(given.inside_film, film);
    if (!given.weight) given.weight = computed(std::string{"medium"}, "our assumption", given.u_value.origin);
    if (!given.mass) given.mass = computed(std::string{"inside"}, "our assumption", given.u_value.origin);
    out.typed =
        fabric::TypedUValue{.name = "build-up '" + value_of(given.name) + "'",
                            .u_value_W_per_m2K = value_of(given.u_value) + value_of(given.correction),
                            .films = {value_of(given.outside_film), value_of(given.inside_film)},
                            .weight = chosen(given.weight, fabric::weight_class_names(), fabric::WeightClass::medium),
                            .mass = chosen(given.mass, fabric::mass_place_names(), fabric::MassPlace::inside)};
    out.layers = fabric::buildup_of_u_value(*out.typed);
    out.layers.name = value_of(given.name);
}

void Resolver::add_build_ups()
{
    for (BuildupInput& given : input_.build_ups) {
        NamedBuildup out{.layers = {.name = value_of(given.name)},
                         .absorptance = value_of(given.absorptance),
                         .origin = given.u_value   ? given.u_value.origin
                                   : given.made_of ? given.made_of.origin
                                                   : given.layers.origin,
                         .direction = direction_of(given),
                         .described = value_of(given.made_of),
                         .source = value_of(given.source)};
        const int ways = (given.layers ? 1 : 0) + (given.made_of ? 1 : 0) + (given.u_value ? 1 : 0);
        const bool refused = given.layers.refused || given.made_of.refused || given.u_value.refused;
        if (ways == 0 && !refused)
            tell_missing("build_up", given, "'layers', 'made_of' or 'u_value'",
                         "a build-up is its layers, the wall in words, or its U-value with a weight",
                         "a build-up says nothing of its layers");
        if (ways > 1)
            problem(codes::contradiction, (given.u_value ? given.u_value.origin : given.made_of.origin),
                    fmt::format("build-up '{}' is given in more than one way", out.layers.name),
                    "keep one of layers, made_of and u_value");
        if (ways == 1) {
            complete_words(given, out);
            try {
                if (given.layers) add_stated(given, out);
                if (given.u_value && numbers_sound_) add_typed(given, out);
            } catch (const quantity::RangeError& wrong) {
                problem(codes::physics, given.u_value ? given.u_value.origin : given.name.origin, wrong.what());
            }
        }
        building_.build_ups.push_back(std::move(out));
    }
}

// --- glazings

std::optional<fabric::GlazedUnit> Resolver::unit_of(const GlazingInput& given)
{
    fabric::GlazedUnit unit{.name = value_of(given.name)};
    const std::size_t before = problems_.size();
    bool gap_next = false;
    for (const auto& text : *given.panes) {
        const auto gap = thickness_and_name(text.text);
        const std::vector<std::string> gases = {"air", "argon", "krypton"};
        const auto gas = gap ? std::ranges::find(gases, gap->name) : gases.end();
        const bool is_gap = gas != gases.end();
        if (is_gap != gap_next) {
            problem(codes::layer, text.origin,
                    fmt::format("'{}' stands where {} is expected", text.text.substr(0, 60),
                                gap_next ? "a gap (\"16 mm argon\")" : "a pane"),
                    "panes and gaps follow each other, beginning and ending with a pane");
            return std::nullopt;
        }
        gap_next = !gap_next;
        if (is_gap) {
            unit.gaps.push_back({gap->thickness_m, static_cast<fabric::Gas>(gas - gases.begin())});
            continue;
        }
        const auto index = find("pane", Given<std::string>{text.text, text.origin}, input_.panes,
                                [](const PaneInput& p) { return value_of(p.name); });
        if (!index) continue;
        const PaneInput& p = input_.panes[*index];
        unit.panes.push_back({.name = text.text,
                              .thickness_m = value_of(p.thickness),
                              .solar = {value_of(p.solar_transmittance), value_of(p.solar_reflectance_outside),
                                        value_of(p.solar_reflectance_inside)},
                              .light = {value_of(p.light_transmittance), value_of(p.light_reflectance_outside),
                                        value_of(p.light_reflectance_inside)},
                              .emissivity_outside = value_of(p.emissivity_outside),
                              .emissivity_inside = value_of(p.emissivity_inside)});
    }
    if (!gap_next && problems_.size() == before)
        problem(codes::layer, given.panes.origin, fmt::format("glazing '{}' ends with a gap", unit.name),
                "panes and gaps follow each other, beginning and ending with a pane");
    if (problems_.size() != before || !numbers_sound_) return std::nullopt;
    return unit;
}

/// Values that follow from panes, unless they were typed beside them.
void Resolver::complete_from_panes(GlazingInput& given, NamedGlazing& out)
{
    const auto p = glazed_unit_properties(*out.unit);
    const auto origin = given.panes.origin;
    constexpr double softwood_frame = 1.8, metal_spacer = 0.08;
    if (!given.frame_u_value) given.frame_u_value = computed(softwood_frame, "softwood frame, our assumption", origin);
    if (!given.spacer) given.spacer = computed(metal_spacer, "metal spacer, our assumption", origin);
    out.frame = fabric::Frame{value_of(given.frame_share), value_of(given.frame_u_value), value_of(given.spacer)};
    if (!given.u_value)
        given.u_value = computed(window_u_value(p.u_value_W_per_m2K, *out.frame),
                                 "panes by EN 673, frame and spacer by ISO 10077-1 at 1.23 x 1.48 m", origin);
    if (!given.g_value) given.g_value = computed(p.normal.gain(), "panes by EN 410", origin);
    if (!given.direct_transmittance)
        given.direct_transmittance = computed(p.normal.solar.transmittance, "panes by EN 410", origin);
    if (!given.light_transmittance)
        given.light_transmittance = computed(p.light.transmittance, "panes by EN 410", origin);
    out.values.by_angle = p.by_angle;
}

void Resolver::add_glazing(GlazingInput& given, NamedGlazing& out)
{
    constexpr double direct_share_of_g = 0.9;
    fabric::Glazing& g = out.values;
    if (given.panes) {
        for (const auto* typed : {&given.u_value, &given.g_value, &given.direct_transmittance})
            if (*typed)
                problem(codes::contradiction, typed->origin,
                        fmt::format("glazing '{}' has panes, from which this follows", g.name),
                        "leave out either the panes, or u_value, g_value and direct_transmittance");
        out.unit = unit_of(given);
        if (!out.unit) {
            numbers_sound_ = numbers_sound_ && !given.panes.refused;
            return;
        }
        complete_from_panes(given, out);
    } else {
        if (given.panes.refused) return;
        for (const auto& [value, key] : {std::pair{&given.u_value, "u_value"}, std::pair{&given.g_value, "g_value"}})
            if (!*value && !value->refused)
                tell_missing("glazing", given, fmt::format("'{}', nor any 'panes' that it would follow from", key),
                             fmt::format("`venture explain glazing/{}` tells more", key),
                             fmt::format("[glazing] has no '{}'", key));
        if (!given.u_value || !given.g_value) return;
        if (!given.direct_transmittance)
            given.direct_transmittance = computed(direct_share_of_g * *given.g_value,
                                                  "90 % of the g-value, our assumption", given.g_value.origin);
    }
    g.u_value_W_per_m2K = value_of(given.u_value);
    g.g_value = value_of(given.g_value);
    g.direct_transmittance = value_of(given.direct_transmittance);
    g.light_transmittance = value_of(given.light_transmittance);
    g.frame_share = value_of(given.frame_share);
    if (g.direct_transmittance > g.g_value) {
        problem(codes::contradiction, given.direct_transmittance.origin,
                fmt::format("direct_transmittance: {:g} is above the g-value of {:g}, of which it is a part",
                            g.direct_transmittance, g.g_value));
        return;
    }
    if (!out.unit && numbers_sound_) g.by_angle = fabric::glass_by_angle(g.g_value, g.direct_transmittance);
    if (numbers_sound_) (void)face_to_face_resistance(g);
}

void Resolver::add_glazings()
{
    for (GlazingInput& given : input_.glazings) {
        NamedGlazing out{.values = {.name = value_of(given.name)}, .source = value_of(given.source)};
        try {
            add_glazing(given, out);
        } catch (const quantity::RangeError& wrong) {
            problem(codes::physics, given.panes ? given.panes.origin : given.u_value.origin, wrong.what());
        }
        building_.glazings.push_back(std::move(out));
    }
}

// --- shades

void Resolver::add_shades()
{
    constexpr double usual_W_per_m2 = 200.0;
    for (ShadeInput& given : input_.shades) {
        NamedShade out{
            .layer = {.name = value_of(given.name),
                      .place = chosen(given.place, spec_of(&ShadeInput::place).choices, fabric::ShadePlace::inside),
                      .transmittance = value_of(given.transmittance),
                      .reflectance = value_of(given.reflectance),
                      .openness = value_of(given.openness),
                      .slats_at_45 = value_of(given.slats) == "at 45 degrees"},
            .use = chosen(given.use, spec_of(&ShadeInput::use).choices, fabric::ShadeUse::above_irradiance)};
        if (out.use == fabric::ShadeUse::above_irradiance && !given.above)
            given.above = computed(usual_W_per_m2, "our assumption", given.use.origin);
        if (out.use != fabric::ShadeUse::above_irradiance && given.above)
            problem(codes::contradiction, given.above.origin,
                    fmt::format("shade '{}' is not used by the sun on its window, but by '{}'", out.layer.name,
                                value_of(given.use)),
                    "leave out `above`, or type use = \"above\"");
        if ((out.use == fabric::ShadeUse::by_profile) != static_cast<bool>(given.profile))
            problem(given.profile ? codes::contradiction : codes::missing,
                    given.profile ? given.profile.origin : given.use.origin,
                    fmt::format("shade '{}' {}", out.layer.name,
                                given.profile ? "names a profile that its use does not follow" : "names no profile"),
                    "use = \"profile\" goes with `profile`");
        out.above_W_per_m2 = value_of(given.above);
        out.profile = profile_called(given.profile);
        try {
            if (numbers_sound_) (void)shade_layer(out.layer);
        } catch (const quantity::RangeError& wrong) {
            problem(codes::physics, given.name.origin, wrong.what());
        }
        building_.shades.push_back(std::move(out));
    }
}

std::optional<std::size_t> Resolver::shade_of(const OpeningInput& opening)
{
    const Given<std::string>& name = opening.shade ? opening.shade : input_.fabric.shade;
    if (!name || *name == "none") return std::nullopt;
    return find("shade", name, building_.shades, [](const NamedShade& s) { return s.layer.name; });
}

// --- thermal bridges

void Resolver::add_thermal_bridges()
{
    std::vector<double> of_room(building_.rooms.size(), 0.0);
    for (const ThermalBridgeInput& given : input_.thermal_bridges) {
        if (!given.room || !given.name) continue; // said already
        const auto room = find("room", given.room, building_.rooms, [](const Room& r) { return r.name; });
        const bool linear = given.psi && given.length, point = given.chi.value.has_value();
        if (linear == point || static_cast<bool>(given.psi) != static_cast<bool>(given.length)) {
            problem(codes::contradiction, given.name.origin,
                    fmt::format("thermal bridge '{}' is neither a junction nor a fixing", *given.name),
                    "a junction has psi and length, a fixing chi");
            continue;
        }
        if (!room) continue;
        const double one = linear ? *given.psi * *given.length : *given.chi;
        building_.thermal_bridges.push_back({*given.name, *room, one * value_of(given.count)});
        of_room[*room] += building_.thermal_bridges.back().heat_loss_W_per_K;
        if (of_room[*room] < 0.0)
            problem(codes::physics, given.name.origin,
                    fmt::format("the thermal bridges of '{}' up to here add {:.3g} W/K, less than nothing", *given.room,
                                of_room[*room]),
                    "corners with a negative psi go with the junctions beside them; begin with those that add");
    }
}

// --- ground

void Resolver::add_ground()
{
    GroundInput& given = input_.ground;
    if (!given.is_used() || !given.outdoor_mean || !given.outdoor_amplitude) return;
    const auto on_ground = [](const Surface& s) {
        return s.attitude == Attitude::floor && s.beyond.kind == Neighbour::Kind::ground;
    };
    double area = 0.0, perimeter = 0.0;
    std::vector<bool> has_ground_floor(building_.rooms.size(), false);
    for (const Surface& s : building_.surfaces)
        if (on_ground(s)) {
            area += s.gross_m2;
            has_ground_floor[s.room] = true;
        }
    if (area <= 0.0) return;
    for (const Surface& s : building_.surfaces)
        if (has_ground_floor[s.room] && s.attitude == Attitude::wall && s.beyond.kind == Neighbour::Kind::outdoors)
            perimeter += s.gross_m2 / building_.rooms[s.room].height_m;
    if (!given.exposed_perimeter)
        given.exposed_perimeter =
            computed(perimeter, "walls to outdoors of the rooms on the ground", given.outdoor_mean.origin);
    const fabric::GroundFloor floor{.area_m2 = area,
                                    .exposed_perimeter_m = value_of(given.exposed_perimeter),
                                    .wall_thickness_m = value_of(given.wall_thickness),
                                    .ground_conductivity_W_per_mK = value_of(given.conductivity)};
    const fabric::EdgeInsulation edge{value_of(given.edge_lies) == "upright", value_of(given.edge_width),
                                      value_of(given.edge_thickness), value_of(given.edge_conductivity)};
    const fabric::YearlyTemperatures year{value_of(given.outdoor_mean), value_of(given.outdoor_amplitude),
                                          value_of(given.coldest_month), value_of(given.indoor)};
    std::map<std::size_t, std::size_t> made; // build-up -> the same with the ground under it
    for (Surface& s : building_.surfaces) {
        if (!on_ground(s)) continue;
        const auto [at, is_new] = made.try_emplace(s.build_up, building_.build_ups.size());
        if (is_new) {
            NamedBuildup with_ground = building_.build_ups[s.build_up];
            try {
                with_ground.ground = ground_year(floor, with_ground.layers, year, edge);
                with_ground.layers = with_ground.ground->layers;
            } catch (const quantity::RangeError& wrong) {
                problem(codes::physics, given.outdoor_mean.origin, wrong.what());
                return;
            }
            building_.build_ups.push_back(std::move(with_ground));
        }
        s.build_up = at->second;
    }
}

} // namespace venture::building::detail
