#include <venture/report/key_report.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/input/input.hpp>
#include <venture/quantity/record.hpp>

namespace venture::report {

using quantity::Key;
using quantity::KeySpec;
using quantity::Kind;
using quantity::Nested;
using quantity::PreferredUnits;
using quantity::ValueShape;

namespace {

/// A table of a project with its whole name: "room", "room.opening".
struct KeyTable {
    std::string name{};
    const Nested* declared = nullptr;
};

/// Every table, those inside one after it.
void add_tables(const quantity::RecordSpec& spec, const std::string& outer, std::vector<KeyTable>& out)
{
    for (const Nested& nested : spec.nested()) {
        const std::string name = outer.empty() ? std::string{nested.name} : fmt::format("{}.{}", outer, nested.name);
        out.push_back({name, &nested});
        add_tables(nested.spec(), name, out);
    }
}

const std::vector<KeyTable>& all_tables()
{
    static const std::vector<KeyTable> all = [] {
        std::vector<KeyTable> out;
        add_tables(input::Input::spec(), {}, out);
        return out;
    }();
    return all;
}

std::string header_of(const KeyTable& table)
{
    return table.declared->is_list() ? fmt::format("[[{}]]", table.name) : fmt::format("[{}]", table.name);
}

bool is_text(const Key& key) { return key.shape == ValueShape::text || key.shape == ValueShape::texts; }

/// The default with its source; empty if there is none.
std::string default_of(const KeySpec& spec, const PreferredUnits& units)
{
    if (!spec.default_by.key.empty()) {
        std::string by;
        for (const quantity::DefaultBy::Case& one : spec.default_by.cases)
            by += fmt::format("{}{} with {} = \"{}\"", by.empty() ? "" : ", ", units.text(one.value, spec.kind),
                              spec.default_by.key, one.word);
        return fmt::format("{} ({})", by, spec.default_source);
    }
    if (spec.default_value)
        return fmt::format("{} ({})", units.text(*spec.default_value, spec.kind), spec.default_source);
    if (!spec.default_word.empty()) return fmt::format("{} ({})", spec.default_word, spec.default_source);
    return {};
}

/// Plain unit or allowed words, for one cell of the page.
std::string unit_or_words(const Key& key)
{
    const KeySpec& spec = key.spec;
    if (!spec.choices.empty()) return fmt::format("{}", fmt::join(spec.choices, ", "));
    if (is_text(key)) return "text";
    if (spec.kind == Kind::fraction) return "0..1 or %";
    const auto unit = quantity::plain_unit(spec.kind);
    return unit.empty() ? "number" : std::string{unit};
}

std::string shape_in_words(const Key& key)
{
    const KeySpec& spec = key.spec;
    switch (key.shape) {
    case ValueShape::text:
        return spec.choices.empty() ? "a text" : fmt::format("one of: {}", fmt::join(spec.choices, ", "));
    case ValueShape::texts:
        return "a list of texts";
    case ValueShape::number:
        return quantity::typing_rule(spec.kind) + (spec.whole ? "; whole" : "");
    case ValueShape::numbers:
        return fmt::format("a list of {}, each {}", spec.count > 0 ? std::to_string(spec.count) : "numbers",
                           quantity::typing_rule(spec.kind));
    case ValueShape::points:
        return fmt::format("a list of points [x, y{}], each {}", spec.count == 3 ? ", z" : "",
                           quantity::typing_rule(spec.kind));
    }
    return {};
}

std::string how_to_write(const Key& key, const PreferredUnits& units)
{
    const KeySpec& spec = key.spec;
    const auto unit = units.symbol(spec.kind);
    const std::string number = unit.empty() ? "NUMBER" : fmt::format("\"NUMBER {}\"", unit);
    switch (key.shape) {
    case ValueShape::text:
        return fmt::format("{} = \"{}\"", spec.name, spec.choices.empty() ? "TEXT" : spec.choices.front());
    case ValueShape::texts:
        return fmt::format("{} = [\"TEXT\", \"TEXT\"]", spec.name);
    case ValueShape::number:
        return fmt::format("{} = {}", spec.name, number);
    case ValueShape::numbers:
        return fmt::format("{} = [{}, {}]", spec.name, number, number);
    case ValueShape::points:
        return fmt::format("{0} = [[{1}], [{1}], [{1}]]", spec.name,
                           fmt::join(std::vector<std::string>(spec.count == 3 ? 3 : 2, number), ", "));
    }
    return {};
}

std::string key_text(const KeyTable& table, const Key& key, const PreferredUnits& units)
{
    const KeySpec& spec = key.spec;
    std::string path = table.name;
    std::ranges::replace(path, '.', '/');
    std::string out = fmt::format("{}/{}, in {}: {}\n", table.name, spec.name, header_of(table), spec.text);
    out += fmt::format("  typed as   {}\n", shape_in_words(key));
    if (!is_text(key) && spec.allowed.highest < 1e12)
        out += fmt::format("  bounds     {} to {}\n", units.text(spec.allowed.lowest, spec.kind),
                           units.text(spec.allowed.highest, spec.kind));
    const std::string otherwise = default_of(spec, units);
    out += fmt::format("  default    {}\n", spec.from_weather   ? "none: must be given, or derived from [weather]"
                                            : spec.required     ? "none: must be given"
                                            : otherwise.empty() ? "none"
                                                                : otherwise);
    if (!spec.says_with.empty()) out += fmt::format("  only with  {}\n", quantity::in_words(spec.says_with));
    out += fmt::format("  write      {}\n", how_to_write(key, units));
    return out;
}

/// Kinds of quantity with all their units, for the end of the page.
std::string quantities_page()
{
    std::string out =
        "\n## Quantities and their units\n\nThe first unit is the plain one. Superscripts, degree signs and "
        "brackets may be typed as usual: `W/(m\u00b2K)`, `21 \u00b0C`. Lengths may be feet and inches (`4 ft 6 in`, "
        "`4'-6 1/2\"`), "
        "resistances R-values (`R-38`, `RSI 6.7`).\n\n| quantity | units | SI prints | "
        "inch-pound prints |\n| --- | --- | --- | --- |\n";
    const PreferredUnits si, inch_pound{"inch-pound"};
    for (const Kind kind : quantity::all_kinds()) {
        const auto symbols = quantity::unit_symbols(kind);
        if (kind == Kind::number) continue;
        out += fmt::format("| {} | {} | {} | {} |\n", name_of(kind), fmt::join(symbols, ", "), si.symbol(kind),
                           inch_pound.symbol(kind));
    }
    return out;
}

} // namespace

std::string keys_page()
{
    const PreferredUnits si;
    std::string out;
    for (const KeyTable& table : all_tables()) {
        out += fmt::format("\n## {}\n\n| key | what | plain unit, words | default |\n| --- | --- | --- | --- |\n",
                           header_of(table));
        for (const Key& key : table.declared->spec().keys())
            out += fmt::format("| `{}` | {}{} | {} | {} |\n", key.spec.name, key.spec.text,
                               key.spec.says_with.empty()
                                   ? std::string{}
                                   : fmt::format("; only with {}", quantity::in_words(key.spec.says_with)),
                               unit_or_words(key),
                               key.spec.from_weather ? "must be given, or derived from `[weather]`"
                               : key.spec.required   ? "must be given"
                                                     : default_of(key.spec, si));
    }
    return out + quantities_page();
}

std::optional<std::string> explain_key(const std::string& name, const PreferredUnits& units)
{
    std::string out;
    const auto slash = name.rfind('/');
    const std::string typed = slash == std::string::npos ? name : name.substr(slash + 1);
    std::string table_name = slash == std::string::npos ? "" : name.substr(0, slash);
    std::ranges::replace(table_name, '/', '.');
    for (const KeyTable& table : all_tables()) {
        const bool whole_table = slash == std::string::npos && table.name == typed;
        for (const Key& key : table.declared->spec().keys()) {
            const bool asked = key.spec.name == typed && (table_name.empty() || table.name == table_name);
            if (asked || (whole_table && key.spec.name != "note"))
                out += (out.empty() ? "" : "\n") + key_text(table, key, units);
        }
    }
    if (out.empty()) return std::nullopt;
    return out;
}

std::vector<std::string> explainable_keys()
{
    std::vector<std::string> out;
    for (const KeyTable& table : all_tables()) {
        out.push_back(table.name);
        for (const Key& key : table.declared->spec().keys()) {
            out.push_back(fmt::format("{}/{}", table.name, key.spec.name));
            out.emplace_back(key.spec.name);
        }
    }
    return out;
}

} // namespace venture::report
