#include <venture/report/origins_report.hpp>

#include <map>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/report/text.hpp>

namespace venture::report {

using nlohmann::json;
using quantity::OriginPool;
using quantity::PreferredUnits;
using resolve::EffectiveValue;

namespace {

bool in_space(const quantity::PointList& points)
{
    return std::ranges::any_of(points, [](const quantity::Point p) { return p.z_m != 0.0; });
}

std::string value_text(const EffectiveValue& v, const PreferredUnits& units)
{
    const auto number = [&](double si) { return units.text(si, v.kind); };
    if (const auto* one = std::get_if<double>(&v.value)) return number(*one);
    if (const auto* text = std::get_if<std::string>(&v.value)) return *text;
    std::string out;
    const auto add = [&](const std::string& item) { out += (out.empty() ? "" : ", ") + item; };
    if (const auto* numbers = std::get_if<quantity::QuantityList>(&v.value))
        for (const double si : *numbers) add(number(si));
    if (const auto* points = std::get_if<quantity::PointList>(&v.value))
        for (const quantity::Point p : *points)
            add(in_space(*points) ? fmt::format("[{}, {}, {}]", number(p.x_m), number(p.y_m), number(p.z_m))
                                  : fmt::format("[{}, {}]", number(p.x_m), number(p.y_m)));
    if (const auto* texts = std::get_if<quantity::TextList>(&v.value))
        for (const quantity::PlacedText& t : *texts) add(t.text);
    return out;
}

json value_json(const EffectiveValue& v)
{
    if (const auto* one = std::get_if<double>(&v.value)) return *one;
    if (const auto* text = std::get_if<std::string>(&v.value)) return *text;
    json out = json::array();
    if (const auto* numbers = std::get_if<quantity::QuantityList>(&v.value)) return *numbers;
    if (const auto* points = std::get_if<quantity::PointList>(&v.value))
        for (const quantity::Point p : *points)
            out.push_back(in_space(*points) ? json{p.x_m, p.y_m, p.z_m} : json{p.x_m, p.y_m});
    if (const auto* texts = std::get_if<quantity::TextList>(&v.value))
        for (const quantity::PlacedText& t : *texts) out.push_back(t.text);
    return out;
}

std::string_view kind_of(const EffectiveValue& v, const OriginPool& origins)
{
    return v.how.empty() ? name_of(origins.at(v.origin).kind) : name_of(quantity::OriginKind::computed);
}

std::string origin_text(const EffectiveValue& v, const OriginPool& origins)
{
    const std::string place = origins.describe(v.origin);
    return v.how.empty() ? place : fmt::format("computed: {} ({})", v.how, place);
}

} // namespace

Text origins_text(const std::vector<EffectiveValue>& values, const OriginPool& origins, const PreferredUnits& units)
{
    constexpr std::size_t longest = 60;
    TextTable table;
    table.add_column("Value", Align::left);
    table.add_column("is", Align::left);
    table.add_column("from", Align::left);
    std::map<std::string_view, int> count;
    for (const EffectiveValue& v : values) {
        std::string is = value_text(v, units);
        if (is.size() > longest) {
            is.resize(longest);
            while ((static_cast<unsigned char>(is.back()) & 0x80U) != 0) is.pop_back(); // no half letters
            is += "...";
        }
        table.add_row({v.path, is, origin_text(v, origins)});
        ++count[kind_of(v, origins)];
    }
    std::string sums;
    for (const auto& [kind, n] : count) sums += fmt::format("{}{} {}", sums.empty() ? "" : ", ", n, kind);
    return Text{std::move(table)} + fmt::format("\n{} values: {}\n", values.size(), sums);
}

json origins_json(const std::vector<EffectiveValue>& values, const OriginPool& origins)
{
    json out = json::array();
    for (const EffectiveValue& v : values) {
        const quantity::Origin place = origins.place_behind(v.origin);
        json entry = {{"path", v.path},
                      {"value", value_json(v)},
                      {"origin", kind_of(v, origins)},
                      {"from", origin_text(v, origins)}};
        const bool is_text =
            std::holds_alternative<std::string>(v.value) || std::holds_alternative<quantity::TextList>(v.value);
        if (!is_text) entry["quantity"] = name_of(v.kind); // in SI
        if (place.line > 0) entry["place"] = {{"file", place.text}, {"line", place.line}, {"column", place.column}};
        out.push_back(std::move(entry));
    }
    return out;
}

} // namespace venture::report
