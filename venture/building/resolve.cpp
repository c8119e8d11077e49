#include <venture/building/resolve.hpp>

#include <map>
#include <set>

#include <fmt/format.h>

#include <venture/building/resolver.hpp>
#include <venture/quantity/codes.hpp>

namespace venture::building {

using quantity::Severity;
namespace codes = quantity::codes;

namespace detail {

quantity::Problem& Resolver::problem(std::string_view code, quantity::OriginId where, std::string message,
                                     std::string hint)
{
    return problems_.emplace_back(quantity::Problem{Severity::error, code, where, std::move(message), std::move(hint)});
}

Sourced<double> Resolver::by_default(const KeySpec& spec)
{
    const auto origin =
        building_.origins.add({.kind = quantity::OriginKind::default_value, .text = std::string{spec.default_source}});
    return {spec.default_value.value_or(0.0), origin};
}

namespace {

/// Where a record stands, for what is missing from it.
template <class Record>
quantity::OriginId place_of(const Record& record)
{
    quantity::OriginId place{};
    const auto look = [&](const auto& given) {
        if (given && (place == quantity::OriginId{} || given.origin.index < place.index)) place = given.origin;
    };
    for (const auto& key : keys<Record>()) std::visit([&](auto field) { look(record.*field); }, key.field);
    return place;
}

template <class Record>
std::string label_of(const Record& record)
{
    if constexpr (requires { record.name; })
        if (record.name) return fmt::format(" of '{}'", *record.name);
    return {};
}

} // namespace

void Resolver::check_number(double si, const KeySpec& spec, quantity::OriginId where)
{
    if (auto outside = bounds_problem(si, spec, where)) {
        problems_.push_back(std::move(*outside));
        numbers_sound_ = false;
    }
}

template <class T>
void Resolver::check_numbers(const T& value, const KeySpec& spec, quantity::OriginId where)
{
    if constexpr (std::is_same_v<T, double>) check_number(value, spec, where);
    if constexpr (std::is_same_v<T, QuantityList>)
        for (const double v : value) check_number(v, spec, where);
    if constexpr (std::is_same_v<T, PointList>)
        for (const quantity::Point p : value) {
            check_number(p.x_m, spec, where);
            check_number(p.y_m, spec, where);
        }
}

void Resolver::check_bounds_and_requirements()
{
    const auto check_record = [&](auto& self, std::string_view table, const auto& record) -> void {
        for_each_key_set(record, [&](const auto& object, auto all_keys) {
            for (const auto& key : all_keys)
                std::visit(
                    [&](auto field) {
                        const auto& given = object.*field;
                        if (given.refused) numbers_sound_ = false;
                        if (!given && !given.refused && key.spec.required)
                            problem(codes::missing, place_of(record),
                                    fmt::format("[{}]{} has no '{}' ({})", table, label_of(record), key.spec.name,
                                                key.spec.text));
                        if (given) check_numbers(*given, key.spec, given.origin);
                    },
                    key.field);
        });
        for_each_nested_table(record, [&](std::string_view name, const auto& nested) {
            for (const auto& inner : nested) self(self, name, inner);
        });
    };
    for_each_table(input_, [&](std::string_view name, const auto& records) {
        if constexpr (requires { records.begin(); })
            for (const auto& record : records) check_record(check_record, name, record);
        else
            check_record(check_record, name, records);
    });
}

void Resolver::check_names()
{
    for_each_table(input_, [&](std::string_view table, const auto& records) {
        if constexpr (requires { records.begin()->name; }) {
            std::map<std::string, quantity::OriginId> seen;
            for (const auto& record : records) {
                if (!record.name) continue;
                const auto [first, is_new] = seen.emplace(*record.name, record.name.origin);
                if (!is_new)
                    problem(codes::twice, record.name.origin,
                            fmt::format("a second {} is called '{}'", table, *record.name),
                            fmt::format("the first is at {}", building_.origins.describe(first->second)));
            }
        }
    });
}

void Resolver::add_project_and_site()
{
    const ProjectInput& p = input_.project;
    const auto text = [](const Given<std::string>& given) { return given ? *given : std::string{}; };
    building_.project = {text(p.name), text(p.client), text(p.number), text(p.author), text(p.revision)};
    const SiteInput& s = input_.site;
    climate::Site& site = building_.site;
    site = {.name = text(s.name),
            .latitude_deg = value(s, &SiteInput::latitude).value,
            .longitude_deg = value(s, &SiteInput::longitude).value,
            .time_zone_h = value(s, &SiteInput::time_zone).value,
            .height_m = value(s, &SiteInput::height).value,
            .ground_reflectance = value(s, &SiteInput::ground_reflectance).value,
            .winter = {value(s, &SiteInput::winter_dry_bulb).value, value(s, &SiteInput::winter_ground).value}};
    building_.plan_bearing_deg = value(s, &SiteInput::plan_bearing).value;
    std::set<int> seen;
    for (const MonthInput& m : s.months) {
        const double number = value(m, &MonthInput::month).value;
        if (!m.month) continue;
        if (!seen.insert(static_cast<int>(number)).second)
            problem(codes::contradiction, m.month.origin, fmt::format("month {:g} stands twice", number));
        if (m.wet_bulb && m.dry_bulb && *m.wet_bulb > *m.dry_bulb)
            problem(codes::physics, m.wet_bulb.origin,
                    fmt::format("wet_bulb: {:g} degC is above the dry bulb of {:g} degC", *m.wet_bulb, *m.dry_bulb),
                    "were the two swapped?");
        site.months.push_back({static_cast<int>(number), value(m, &MonthInput::dry_bulb).value,
                               value(m, &MonthInput::wet_bulb).value, value(m, &MonthInput::daily_range).value,
                               value(m, &MonthInput::beam_depth).value, value(m, &MonthInput::diffuse_depth).value,
                               value(m, &MonthInput::ground).value, value(m, &MonthInput::clock_ahead).value});
    }
}

void Resolver::add_layer(const quantity::PlacedText& text, fabric::Buildup& buildup)
{
    const auto number = quantity::leading_number(text.text);
    const std::string expected =
        "a thickness and a material (\"102 mm brick\"), or a resistance and a name (\"0.18 m2K/W air gap\")";
    const auto blank = number ? number->rest.find(' ') : std::string_view::npos;
    if (blank == std::string_view::npos)
        return static_cast<void>(
            problem(codes::layer, text.origin,
                    fmt::format("'{}' is no layer; expected {}", text.text.substr(0, 60), expected)));
    const std::string_view unit = number->rest.substr(0, blank), name = quantity::trimmed(number->rest.substr(blank));
    const auto resistance = quantity::to_si(number->value, unit, quantity::Kind::resistance);
    if (const double* r = std::get_if<double>(&resistance)) {
        buildup.layers.push_back({.material = {std::string{name}}, .resistance_m2K_per_W = *r});
        return;
    }
    const auto thickness = quantity::to_si(number->value, unit, quantity::Kind::length);
    if (const auto* wrong = std::get_if<quantity::QuantityProblem>(&thickness))
        return static_cast<void>(
            problem(codes::layer, text.origin,
                    fmt::format("{} found in '{}'; expected {}", wrong->found, text.text.substr(0, 60), expected),
                    wrong->hint));
    const auto index = find("material", Given<std::string>{std::string{name}, text.origin}, input_.materials,
                            [](const MaterialInput& m) { return m.name ? *m.name : std::string{}; });
    if (!index) return;
    const MaterialInput& m = input_.materials[*index];
    buildup.layers.push_back(
        {.material = {std::string{name}, value(m, &MaterialInput::conductivity).value,
                      value(m, &MaterialInput::density).value, value(m, &MaterialInput::specific_heat).value},
         .thickness_m = std::get<double>(thickness)});
}

void Resolver::add_build_ups()
{
    for (const BuildupInput& given : input_.build_ups) {
        const std::size_t before = problems_.size();
        NamedBuildup out{.layers = {.name = given.name ? *given.name : ""},
                         .absorptance = value(given, &BuildupInput::absorptance).value};
        if (given.layers)
            for (const auto& text : *given.layers) add_layer(text, out.layers);
        if (problems_.size() == before) {
            try {
                fabric::check(out.layers);
                quantity::check_range("build-up '" + out.layers.name + "'", "resistance of all layers",
                                      fabric::resistance(out.layers), {1e-6, 1e3}, "m2K/W");
            } catch (const quantity::RangeError& wrong) {
                problem(codes::physics, given.name.origin, wrong.what());
            }
        }
        building_.build_ups.push_back(std::move(out));
    }
}

void Resolver::add_glazings()
{
    constexpr double direct_share_of_g = 0.9;
    for (const GlazingInput& given : input_.glazings) {
        fabric::Glazing g{given.name ? *given.name : "", value(given, &GlazingInput::u_value).value,
                          value(given, &GlazingInput::g_value).value, 0.0,
                          value(given, &GlazingInput::frame_share).value};
        g.direct_transmittance =
            given.direct_transmittance ? *given.direct_transmittance : direct_share_of_g * g.g_value;
        if (g.direct_transmittance > g.g_value)
            problem(codes::contradiction, given.direct_transmittance.origin,
                    fmt::format("direct_transmittance: {:g} is above the g-value of {:g}, of which it is a part",
                                g.direct_transmittance, g.g_value));
        building_.glazings.push_back(g);
    }
}

void Resolver::add_profiles()
{
    building_.profiles.push_back(calendar::constant_profile("always", 1.0));
    for (const ProfileInput& given : input_.profiles) {
        calendar::Profile profile{given.name ? *given.name : "", {}};
        if (given.hours)
            for (const auto& text : *given.hours) {
                const auto ranges = calendar::parse_hour_range(text.text);
                if (const auto* wrong = std::get_if<std::string>(&ranges)) {
                    problem(codes::hours, text.origin, *wrong);
                    continue;
                }
                for (const auto& range : std::get<std::vector<calendar::HourRange>>(ranges))
                    for (int h = range.from; h < range.to; ++h)
                        profile.fraction[static_cast<std::size_t>(h)] = range.fraction;
            }
        building_.profiles.push_back(std::move(profile));
    }
}

void Resolver::add_storeys()
{
    for (const StoreyInput& given : input_.storeys)
        building_.storeys.push_back({given.name ? *given.name : "", value(given, &StoreyInput::level).value,
                                     value(given, &StoreyInput::height).value});
}

Resolved Resolver::run()
{
    check_bounds_and_requirements();
    check_names();
    add_project_and_site();
    add_build_ups();
    add_glazings();
    add_profiles();
    add_storeys();
    check_fabric_names();
    const bool tables_sound = !quantity::has_error(problems_);
    add_rooms();
    // Shapes are only worth matching when every room has one; the names they use can be told all the same.
    const bool all_shaped = numbers_sound_ && building_.rooms.size() == input_.rooms.size() && !building_.rooms.empty();
    if (all_shaped && (tables_sound || !quantity::has_error(problems_))) add_surfaces();
    Resolved out{.problems = std::move(problems_), .origins = building_.origins};
    if (!quantity::has_error(out.problems) && numbers_sound_) out.building = std::move(building_);
    return out;
}

} // namespace detail

Resolved resolve(const Input& input) { return detail::Resolver{input}.run(); }

} // namespace venture::building
