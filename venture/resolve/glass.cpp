#include <venture/resolve/glass.hpp>

#include <algorithm>

#include <venture/input/layer_text.hpp>
#include <venture/resolve/calendars.hpp>
#include <venture/resolve/pass.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;

namespace {

class Glass : Pass {
public:
    explicit Glass(Work& work) : Pass{work} {}
    void add_glazings();
    void add_shades();
    [[nodiscard]] std::optional<std::size_t> shade_of(const OpeningInput& opening);

private:
    void tell_too_much(const PaneInput& pane);
    void add_glazing(GlazingInput& given, NamedGlazing& out);
    [[nodiscard]] std::optional<fabric::GlazedUnit> unit_of(const GlazingInput& given);
    void complete_from_panes(GlazingInput& given, NamedGlazing& out);
    void add_shutter(const ShadeInput& given, NamedShade& out);
};

} // namespace

// --- glazings

/// A pane that sends off more than arrives.
void Glass::tell_too_much(const PaneInput& pane)
{
    const auto check = [&](const Given<double>& through, const Given<double>& back, std::string_view what) {
        if (!through || !back || *through + *back <= 1.0) return;
        problem(codes::contradiction, back.origin,
                fmt::format("pane '{}': of {} it transmits {:g} and reflects {:g}, more than arrives",
                            value_of(pane.name), what, *through, *back));
    };
    check(pane.solar_transmittance, pane.solar_reflectance_outside, "sunlight from outside");
    check(pane.solar_transmittance, pane.solar_reflectance_inside, "sunlight from inside");
    check(pane.light_transmittance, pane.light_reflectance_outside, "visible light from outside");
    check(pane.light_transmittance, pane.light_reflectance_inside, "visible light from inside");
}

std::optional<fabric::GlazedUnit> Glass::unit_of(const GlazingInput& given)
{
    fabric::GlazedUnit unit{.name = value_of(given.name)};
    const std::size_t before = problems_.size();
    bool gap_next = false, sound = true;
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
        sound = sound && is_sound(p) &&
                value_of(p.solar_transmittance) +
                        std::max(value_of(p.solar_reflectance_outside), value_of(p.solar_reflectance_inside)) <=
                    1.0 &&
                value_of(p.light_transmittance) +
                        std::max(value_of(p.light_reflectance_outside), value_of(p.light_reflectance_inside)) <=
                    1.0;
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
    if (problems_.size() != before || !sound) return std::nullopt;
    return unit;
}

/// Values that follow from panes, unless they were typed beside them.
void Glass::complete_from_panes(GlazingInput& given, NamedGlazing& out)
{
    const auto p = glazed_unit_properties(*out.unit);
    const auto origin = given.panes.origin;
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
    out.values.reflectance_outside = p.normal.solar.reflectance;
    out.values.reflectance_inside = p.reflectance_inside;
}

void Glass::add_glazing(GlazingInput& given, NamedGlazing& out)
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
        if (!out.unit) return;
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
    if (!out.unit) g.by_angle = fabric::glass_by_angle(g.g_value, g.direct_transmittance);
    (void)face_to_face_resistance(g);
}

void Glass::add_glazings()
{
    for (const PaneInput& pane : input_.panes) tell_too_much(pane);
    for (GlazingInput& given : work_.input.glazings) {
        NamedGlazing out{.values = {.name = value_of(given.name)}, .source = value_of(given.source)};
        try {
            if (is_sound(given)) add_glazing(given, out);
        } catch (const quantity::RangeError& wrong) {
            problem(codes::physics, given.panes ? given.panes.origin : given.u_value.origin, wrong.what());
        }
        building_.glazings.push_back(std::move(out));
    }
}

// --- shades

/// What a shutter and the air behind it add to the window's resistance.
void Glass::add_shutter(const ShadeInput& given, NamedShade& out)
{
    const auto& typed = given.resistance ? given.resistance.origin : given.edges.origin;
    if (!given.resistance && !given.edges) return;
    if (out.layer.place != fabric::ShadePlace::outside)
        problem(codes::contradiction, typed,
                fmt::format("shade '{}' does not hang outside; only a shutter there adds resistance to its window",
                            out.layer.name),
                "type place = \"outside\", or leave out `resistance` and `edges`");
    if (!given.resistance) {
        problem(codes::missing, typed,
                fmt::format("shade '{}' says how its edges close, but not its `resistance`", out.layer.name),
                "type the resistance of the closed shutter, 0 if it is next to none");
        return;
    }
    out.added_resistance_m2K_per_W =
        shutter_resistance(*given.resistance, given.edges.which().value_or(fabric::ShutterTightness::average));
}

void Glass::add_shades()
{
    for (const ShadeInput& given : input_.shades) {
        NamedShade out{.layer = {.name = value_of(given.name),
                                 .place = given.place.which().value_or(fabric::ShadePlace::inside),
                                 .transmittance = value_of(given.transmittance),
                                 .reflectance = value_of(given.reflectance),
                                 .openness = value_of(given.openness),
                                 .slats_at_45 = given.slats == Slats::at_45_degrees},
                       .use = given.use.which().value_or(fabric::ShadeUse::above_irradiance)};
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
        out.profile = profile_called(work_, given.profile);
        try {
            if (is_sound(given)) {
                (void)shade_layer(out.layer);
                add_shutter(given, out);
            }
        } catch (const quantity::RangeError& wrong) {
            problem(codes::physics, given.name.origin, wrong.what());
        }
        building_.shades.push_back(std::move(out));
    }
}

std::optional<std::size_t> Glass::shade_of(const OpeningInput& opening)
{
    const Given<std::string>& name = opening.shade ? opening.shade : input_.fabric.shade;
    if (!name || *name == "none") return std::nullopt;
    return find("shade", name, building_.shades, [](const NamedShade& s) { return s.layer.name; });
}

std::optional<std::size_t> shade_of(Work& work, const OpeningInput& opening) { return Glass{work}.shade_of(opening); }

void add_glazings(Work& work) { Glass{work}.add_glazings(); }

void add_shades(Work& work) { Glass{work}.add_shades(); }

} // namespace venture::resolve
