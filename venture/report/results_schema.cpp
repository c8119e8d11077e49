/// The JSON Schema of results.

#include <nlohmann/json.hpp>

#include <venture/figure/shown.hpp>
#include <venture/report/as_json.hpp>
#include <venture/report/figure_report.hpp>

namespace venture::report {

using nlohmann::ordered_json;

namespace {

ordered_json object_of(ordered_json properties, ordered_json others)
{
    return {{"type", "object"}, {"properties", std::move(properties)}, {"additionalProperties", std::move(others)}};
}

ordered_json array_of(ordered_json items) { return {{"type", "array"}, {"items", std::move(items)}}; }

ordered_json row_schema(const figure::Declaration& table)
{
    ordered_json properties = ordered_json::object();
    for (const figure::Column& column : table.columns) {
        ordered_json& one = properties[column.key];
        one["description"] =
            is_number(column) ? column.meaning + "; in " + std::string{si_unit_of(column)} : column.meaning;
        if (is_number(column))
            one["type"] = "number";
        else
            one["$ref"] = "#/definitions/words";
    }
    const bool open = table.name == "series"; // whose columns are rooms
    return object_of(std::move(properties), open ? ordered_json{{"type", "number"}} : ordered_json(false));
}

ordered_json definitions()
{
    const ordered_json text = {{"type", "string"}}, whole = {{"type", "integer"}};
    const ordered_json when = object_of({{"day", text}, {"month", whole}, {"clock_hour", whole}}, false);
    const ordered_json meaning = object_of({{"unit", text}, {"heading", text}, {"meaning", text}}, false);
    const ordered_json place = {{"file", text}, {"line", whole}, {"column", whole}};
    ordered_json problem = place, accepted = place;
    for (const char* key : {"severity", "code", "message", "hint", "mark"}) problem[key] = text;
    problem["group"] = whole;
    for (const char* key : {"mark", "message", "by", "reason"}) accepted[key] = text;
    return {{"words", {{"anyOf", {text, {{"type", "boolean"}}, {{"type", "number"}}, when}}}},
            {"column", meaning},
            {"problem", object_of(problem, false)},
            {"accepted", object_of(accepted, false)},
            {"library", object_of({{"name", text}, {"file", text}, {"fingerprint", text}}, false)}};
}

} // namespace

ordered_json results_schema()
{
    ordered_json properties = {{"version", {{"const", json_version}}}, {"title", {{"type", "string"}}}};
    for (const ResultTable& table : result_tables()) {
        properties[table.declaration.name] = array_of(row_schema(table.declaration));
        properties[table.declaration.name]["description"] = table.declaration.meaning;
    }
    const ordered_json of_columns = {{"$ref", "#/definitions/column"}};
    properties["columns"] = object_of(ordered_json::object(), object_of(ordered_json::object(), of_columns));
    properties["totals"] = object_of(ordered_json::object(), {{"type", "array"}});
    for (const auto& [name, of] :
         {std::pair{"problems", "problem"}, {"accepted", "accepted"}, {"libraries", "library"}})
        properties[name] = array_of({{"$ref", std::string{"#/definitions/"} + of}});
    ordered_json out = {
        {"$schema", "http://json-schema.org/draft-07/schema#"},
        {"title", "Results of Venture"},
        {"description", "What commands give with --json. Numbers are SI; \"columns\" names the unit of each."}};
    out.update(object_of(std::move(properties), false));
    out["required"] = {"version", "problems"};
    out["definitions"] = definitions();
    return out;
}

} // namespace venture::report
