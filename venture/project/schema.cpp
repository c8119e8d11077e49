#include <venture/project/schema.hpp>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/input/input.hpp>
#include <venture/project/formats.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/record.hpp>

namespace venture::project {

using quantity::Key;
using quantity::KeySpec;
using quantity::Kind;
using quantity::Nested;
using quantity::TypedUnits;
using quantity::ValueShape;
using Json = nlohmann::ordered_json;

namespace {

/// A bound or default as a bare number. Twelve digits hide the rounding of the conversion.
double bare(double si, const KeySpec& spec, const TypedUnits& units)
{
    const std::string_view unit = units.of(spec).value_or(quantity::plain_unit(spec.kind));
    if (spec.kind == Kind::fraction) return si;
    return std::stod(fmt::format("{:.12g}", quantity::from_si(si, unit, spec.kind)));
}

Json number_schema(const KeySpec& spec, const TypedUnits& units)
{
    Json plain = {{"type", "number"},
                  {"minimum", bare(spec.allowed.lowest, spec, units)},
                  {"maximum", bare(spec.allowed.highest, spec, units)}};
    if (spec.whole) plain["multipleOf"] = 1;
    return {{"anyOf", Json::array({plain, {{"type", "string"}, {"pattern", quantity::quantity_pattern(spec.kind)}}})}};
}

Json text_schema(const KeySpec& spec)
{
    Json out = {{"type", "string"}};
    if (!spec.choices.empty()) out["enum"] = spec.choices;
    return out;
}

Json value_schema(const Key& key, const TypedUnits& units)
{
    const KeySpec& spec = key.spec;
    switch (key.shape) {
    case ValueShape::number:
        return number_schema(spec, units);
    case ValueShape::text:
        return text_schema(spec);
    case ValueShape::texts:
        return {{"type", "array"}, {"items", {{"type", "string"}}}};
    case ValueShape::numbers: {
        Json out = {{"type", "array"}, {"items", number_schema(spec, units)}};
        if (spec.count > 0) out["minItems"] = out["maxItems"] = spec.count;
        return out;
    }
    case ValueShape::points: {
        const int numbers = spec.count == 3 ? 3 : 2;
        return {
            {"type", "array"},
            {"items",
             {{"type", "array"}, {"items", number_schema(spec, units)}, {"minItems", numbers}, {"maxItems", numbers}}}};
    }
    }
    VENTURE_UNREACHABLE("a value without a shape");
}

Json key_schema(const Key& key, const TypedUnits& units)
{
    const KeySpec& spec = key.spec;
    Json out = value_schema(key, units);
    const bool numeric = key.shape != ValueShape::text && key.shape != ValueShape::texts;
    std::string description{spec.text};
    if (numeric) description += fmt::format(" ({})", quantity::typing_rule(spec.kind));
    if (const auto unit = units.of(spec); numeric && unit)
        description += fmt::format("; in this file a bare number is in {}", *unit);
    if (!spec.says_with.empty()) description += fmt::format("; only with {}", quantity::in_words(spec.says_with));
    if (!spec.default_source.empty()) description += fmt::format("; default: {}", spec.default_source);
    out["description"] = description;
    if (spec.default_value) out["default"] = bare(*spec.default_value, spec, units);
    if (!spec.default_word.empty()) out["default"] = spec.default_word;
    return out;
}

Json table_schema(const Nested& table, const TypedUnits& units)
{
    Json properties = Json::object(), required = Json::array();
    for (const Key& key : table.spec().keys()) {
        properties[std::string{key.spec.name}] = key_schema(key, units);
        if (key.spec.required && !key.spec.from_weather) required.push_back(key.spec.name);
    }
    for (const Nested& nested : table.spec().nested())
        properties[std::string{nested.name}] = table_schema(nested, units);
    Json one = {{"type", "object"}, {"additionalProperties", false}, {"properties", properties}};
    if (!required.empty()) one["required"] = required;
    return table.is_list() ? Json{{"type", "array"}, {"items", one}} : one;
}

std::string_view title_of(SchemaOf what)
{
    switch (what) {
    case SchemaOf::project:
        return "Venture: project.toml";
    case SchemaOf::include:
        return "Venture: a file that a project includes";
    case SchemaOf::library:
        return "Venture: a library";
    }
    VENTURE_UNREACHABLE("a schema of nothing");
}

} // namespace

std::string schema_file_name(SchemaOf what)
{
    return what == SchemaOf::project   ? "project.schema.json"
           : what == SchemaOf::include ? "include.schema.json"
                                       : "library.schema.json";
}

std::string schema_json(SchemaOf what, const quantity::TypedUnits& typed)
{
    const Json path = {{"type", "string"}, {"minLength", 1}};
    Json properties = {
        {"format", {{"const", current_format}, {"description", "the notation that the file is written in"}}},
        {"note", {{"description", "anything worth saying; not read"}}}};
    if (what != SchemaOf::library)
        properties["include"] = {{"anyOf", Json::array({path, {{"type", "array"}, {"items", path}}})},
                                 {"description", "files to read as well, by their paths in the project's folder"}};
    for (const Nested& table : input::Input::spec().nested())
        if (what != SchemaOf::library || table.in_library)
            properties[std::string{table.name}] = table_schema(table, typed);
    Json root = {{"$schema", "http://json-schema.org/draft-07/schema#"},
                 {"title", title_of(what)},
                 {"type", "object"},
                 {"additionalProperties", false},
                 {"properties", properties}};
    if (what == SchemaOf::project) root["required"] = Json::array({"format"});
    return root.dump(2) + "\n";
}

} // namespace venture::project
