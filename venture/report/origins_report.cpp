#include <venture/report/origins_report.hpp>

#include <algorithm>
#include <map>

#include <fmt/format.h>

namespace venture::report {

using figure::Cell;
using figure::Show;
using figure::Sum;
using figure::where;
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

std::string_view kind_of(const EffectiveValue& v, const OriginPool& origins)
{
    return v.how.empty() ? name_of(origins.at(v.origin).kind) : name_of(quantity::OriginKind::computed);
}

std::string origin_text(const EffectiveValue& v, const OriginPool& origins)
{
    const std::string place = origins.describe(v.origin);
    return v.how.empty() ? place : fmt::format("computed: {} ({})", v.how, place);
}

struct ValueRow {
    const EffectiveValue* value;
    const OriginPool* origins;
    std::string is{};
    quantity::Origin place{}; ///< in a file that it goes back to, if any
};

/// Of one number.
Cell number_of(const ValueRow& r)
{
    const auto* one = std::get_if<double>(&r.value->value);
    return one != nullptr ? Cell{*one} : Cell{};
}

bool is_text(const EffectiveValue& v)
{
    return std::holds_alternative<std::string>(v.value) || std::holds_alternative<quantity::TextList>(v.value);
}

const figure::TableOf<ValueRow>& value_columns()
{
    using R = ValueRow;
    static const figure::TableOf<R> all = {
        {"value", "Values", "A value that acts: typed, inherited, by default or computed."},
        {
            {{"path", "Value", "", "key path, as --set takes it", 0}, [](const R& r) -> Cell { return r.value->path; }},
            {{"is", "is", "", "in the units of the run"}, [](const R& r) -> Cell { return r.is; }},
            {{"from", "from", "", "where it came from"},
             [](const R& r) -> Cell { return origin_text(*r.value, *r.origins); }},
            {{"origin", "Origin", "", "typed, default, inherited, library, set, computed or code", 2, Sum::none,
              Show::data},
             [](const R& r) -> Cell { return std::string{kind_of(*r.value, *r.origins)}; }},
            {{"number", "Number", "", "of one number: in SI, all its digits", 3, Sum::none, Show::data}, number_of},
            {{"quantity", "Quantity", "", "what numbers measure", 3, Sum::none, Show::data},
             [](const R& r) -> Cell { return where(!is_text(*r.value), std::string{name_of(r.value->kind)}); }},
            {{"file", "File", "", "that it stands in, or that it goes back to", 3, Sum::none, Show::data},
             [](const R& r) -> Cell { return where(r.place.line > 0, std::string{r.place.text}); }},
            {{"line", "Line", "count", "there", 3, Sum::none, Show::data},
             [](const R& r) -> Cell { return where(r.place.line > 0, std::int64_t{r.place.line}); }},
            {{"column", "Column", "count", "there", 3, Sum::none, Show::data},
             [](const R& r) -> Cell { return where(r.place.line > 0, std::int64_t{r.place.column}); }},
        }};
    return all;
}

} // namespace

figure::Document origins_document(const std::vector<EffectiveValue>& values, const OriginPool& origins,
                                  const PreferredUnits& units)
{
    std::vector<ValueRow> rows;
    std::map<std::string_view, int> count;
    for (const EffectiveValue& v : values) {
        rows.push_back({&v, &origins, value_text(v, units), origins.place_behind(v.origin)});
        ++count[kind_of(v, origins)];
    }
    std::string sums;
    for (const auto& [kind, n] : count) sums += fmt::format("{}{} {}", sums.empty() ? "" : ", ", n, kind);
    figure::Document out;
    out.add(figure::table_of(value_columns(), rows));
    out.add(fmt::format("\n{} value{}: {}\n", values.size(), values.size() == 1 ? "" : "s", sums));
    return out;
}

figure::Declaration value_declaration() { return value_columns().declaration(); }

} // namespace venture::report
