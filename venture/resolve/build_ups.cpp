#include <venture/resolve/build_ups.hpp>

#include <venture/input/layer_text.hpp>
#include <venture/input/wall_words.hpp>
#include <venture/resolve/pass.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;

namespace {

class BuildUps : Pass {
public:
    explicit BuildUps(Work& work) : Pass{work} {}
    void check_materials();
    void add_build_ups();

private:
    [[nodiscard]] fabric::HeatFlow direction_of(const BuildupInput& given) const;
    void complete_words(BuildupInput& given, NamedBuildup& out);
    void add_stated(BuildupInput& given, NamedBuildup& out);
    void add_typed(BuildupInput& given, NamedBuildup& out);
    void add_layer(const quantity::PlacedText& text, fabric::StatedBuildup& buildup);
    void look_at_thickness(const fabric::StatedLayer& layer, quantity::OriginId where, const std::string& buildup);
    [[nodiscard]] std::optional<fabric::Material> material_called(const std::string& name, quantity::OriginId where);
};

bool named(const Given<std::string>& name, const Given<std::string>& in_fabric)
{
    return name && in_fabric && *name == *in_fabric;
}

} // namespace

// --- materials

/// What no solid can be, whatever its bounds: light, and conducting like stone. Most often a value in mW.
void BuildUps::check_materials()
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
    }
}

// --- build-ups

fabric::HeatFlow BuildUps::direction_of(const BuildupInput& given) const
{
    const FabricInput& f = input_.fabric;
    if (const auto stated = given.heat_flow.which()) return *stated;
    if (named(given.name, f.roof)) return fabric::HeatFlow::upwards;
    const bool floor =
        named(given.name, f.ground_floor) || named(given.name, f.exposed_floor) || named(given.name, f.inner_floor);
    return floor ? fabric::HeatFlow::downwards : fabric::HeatFlow::horizontal;
}

std::optional<fabric::Material> BuildUps::material_called(const std::string& name, quantity::OriginId where)
{
    const auto index = find("material", Given<std::string>{name, where}, input_.materials,
                            [](const MaterialInput& m) { return value_of(m.name); });
    if (!index) return std::nullopt;
    const MaterialInput& m = input_.materials[*index];
    if (!m.conductivity || !m.density || !m.specific_heat || !is_sound(m)) { // said already
        work_.numbers_sound = false;
        return std::nullopt;
    }
    return fabric::Material{name, value_of(m.conductivity), value_of(m.density), value_of(m.specific_heat)};
}

void BuildUps::add_layer(const quantity::PlacedText& text, fabric::StatedBuildup& buildup)
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
        layer.tapers_to_m = words.tapers_to_m;
    }
    if (!words.bridge.empty()) {
        layer.bridge = material_called(words.bridge, text.origin);
        if (!layer.bridge) return;
    }
    buildup.layers.push_back(std::move(layer));
}

/// Layers as thick as what they are made of hardly comes: a slip of the unit, mostly.
void BuildUps::look_at_thickness(const fabric::StatedLayer& layer, quantity::OriginId where, const std::string& buildup)
{
    if (!layer.main.has_capacity()) return;
    struct Comes {
        const char* what;
        double least_m, most_m;
    };
    const fabric::Material& m = layer.main.material;
    const Comes comes =
        m.conductivity_W_per_mK >= 15.0 && m.density_kg_per_m3 > 2000.0 ? Comes{"metals come", 1e-4, 0.1}
        : m.conductivity_W_per_mK < 0.07 && m.density_kg_per_m3 < 300.0 ? Comes{"insulation comes", 3e-3, 1.5}
        : m.conductivity_W_per_mK > 0.3 && m.density_kg_per_m3 >= 1000.0
            ? Comes{"masonry, plaster and stone come", 2e-3, 3.0}
            : Comes{"such materials come", 3e-4, 1.5};
    const double thick_m = layer.main.thickness_m;
    if (thick_m >= comes.least_m && thick_m <= comes.most_m) return;
    finding(quantity::Severity::warning, codes::odd_thickness, where, "build_up/" + buildup,
            fmt::format("{} of {} in '{}': {} from {} to {}", units_.text(thick_m, "thickness"), m.name, buildup,
                        comes.what, units_.text(comes.least_m, "thickness"), units_.text(comes.most_m, "thickness")),
            "check the unit: mm, cm or m?");
}

/// A wall in words becomes layers, which stand in the input as what they were made of.
void BuildUps::complete_words(BuildupInput& given, NamedBuildup& out)
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

void BuildUps::add_stated(BuildupInput& given, NamedBuildup& out)
{
    fabric::StatedBuildup stated{.name = value_of(given.name),
                                 .direction = out.direction,
                                 .air_gaps = given.air_gaps.which().value_or(fabric::AirGaps::none),
                                 .fasteners = {value_of(given.fasteners), value_of(given.fastener_diameter),
                                               value_of(given.fastener_conductivity)},
                                 .falls = given.falls.which().value_or(fabric::Taper::rectangle),
                                 .correction_W_per_m2K = value_of(given.correction)};
    const std::size_t before = problems_.size();
    for (const auto& text : *given.layers) add_layer(text, stated);
    if (problems_.size() != before || stated.layers.size() != given.layers.value->size()) return; // said already
    const fabric::Films films{0.04, fabric::standard_inside_resistance(out.direction)};
    out.made = plain_buildup(stated, films);
    out.layers = out.made.layers;
    for (std::size_t i = 0; i < stated.layers.size(); ++i)
        look_at_thickness(stated.layers[i], (*given.layers)[i].origin, stated.name);
    quantity::check_range("build-up '" + out.layers.name + "'", "resistance of all layers",
                          fabric::resistance(out.layers), {1e-6, 1e3}, "m2K/W");
}

void BuildUps::add_typed(BuildupInput& given, NamedBuildup& out)
{
    const double film = fabric::standard_inside_resistance(out.direction);
    const bool inner = named(given.name, input_.fabric.inner_wall) || named(given.name, input_.fabric.inner_floor);
    const auto assume = [&](Given<double>& value, double standard) {
        if (!value) value = computed(standard, "standard surface resistance, ISO 6946", given.u_value.origin);
    };
    const bool on_ground = named(given.name, input_.fabric.ground_floor) ||
                           named(given.name, input_.fabric.ground_wall); // nothing is outside of what it lies on
    assume(given.outside_film, on_ground ? 0.0 : inner ? film : 1.0 / fabric::outside_film_W_per_m2K);
    assume(given.inside_film, film);
    out.typed = fabric::TypedUValue{.name = "build-up '" + value_of(given.name) + "'",
                                    .u_value_W_per_m2K = value_of(given.u_value) + value_of(given.correction),
                                    .films = {value_of(given.outside_film), value_of(given.inside_film)},
                                    .weight = given.weight.which().value_or(fabric::WeightClass::medium),
                                    .mass = given.mass.which().value_or(fabric::MassPlace::inside)};
    out.layers = fabric::buildup_of_u_value(*out.typed);
    out.layers.name = value_of(given.name);
}

void BuildUps::add_build_ups()
{
    for (BuildupInput& given : work_.input.build_ups) {
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
        if (ways == 1 && is_sound(given)) {
            complete_words(given, out);
            try {
                if (given.layers) add_stated(given, out);
                if (given.u_value) add_typed(given, out);
            } catch (const quantity::RangeError& wrong) {
                problem(codes::physics, given.u_value ? given.u_value.origin : given.name.origin, wrong.what());
            }
        }
        building_.build_ups.push_back(std::move(out));
    }
}

void check_materials(Work& work) { BuildUps{work}.check_materials(); }

void add_build_ups(Work& work) { BuildUps{work}.add_build_ups(); }

} // namespace venture::resolve
