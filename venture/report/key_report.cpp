#include <venture/report/key_report.hpp>

#include <algorithm>

#include <fmt/format.h>

namespace venture::report {

using building::KeyEntry;
using building::KeyTable;
using building::ValueShape;
using quantity::KeySpec;
using quantity::Kind;
using quantity::PreferredUnits;

namespace {

/// Visits every table, nested ones after the one they are in.
template <class Visit>
void for_each(const std::vector<KeyTable>& tables, Visit visit)
{
    for (const KeyTable& table : tables) {
        visit(table);
        for_each(table.nested, visit);
    }
}

std::string header_of(const KeyTable& table)
{
    return table.many ? fmt::format("[[{}]]", table.name) : fmt::format("[{}]", table.name);
}

bool is_text(const KeyEntry& entry) { return entry.shape == ValueShape::text || entry.shape == ValueShape::texts; }

/// The default with its source; empty if there is none.
std::string default_of(const KeySpec& spec, const PreferredUnits& units)
{
    if (spec.default_value)
        return fmt::format("{} ({})", units.text(*spec.default_value, spec.kind), spec.default_source);
    if (!spec.default_word.empty()) return fmt::format("{} ({})", spec.default_word, spec.default_source);
    return {};
}

/// Plain unit or allowed words, for one cell of the page.
std::string unit_or_words(const KeyEntry& entry)
{
    const KeySpec& spec = *entry.spec;
    if (!spec.choices.empty()) return fmt::format("{}", fmt::join(spec.choices, ", "));
    if (is_text(entry)) return "text";
    if (spec.kind == Kind::fraction) return "0..1 or %";
    const auto unit = quantity::plain_unit(spec.kind);
    return unit.empty() ? "number" : std::string{unit};
}

std::string shape_in_words(const KeyEntry& entry)
{
    const KeySpec& spec = *entry.spec;
    switch (entry.shape) {
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

std::string how_to_write(const KeyEntry& entry, const PreferredUnits& units)
{
    const KeySpec& spec = *entry.spec;
    const auto unit = units.symbol(spec.kind);
    const std::string number = unit.empty() ? "NUMBER" : fmt::format("\"NUMBER {}\"", unit);
    switch (entry.shape) {
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

std::string key_text(const KeyTable& table, const KeyEntry& entry, const PreferredUnits& units)
{
    const KeySpec& spec = *entry.spec;
    std::string path = table.name;
    std::ranges::replace(path, '.', '/');
    std::string out = fmt::format("{}/{}, in {}: {}\n", table.name, spec.name, header_of(table), spec.text);
    out += fmt::format("  typed as   {}\n", shape_in_words(entry));
    if (!is_text(entry) && spec.allowed.highest < 1e12)
        out += fmt::format("  bounds     {} to {}\n", units.text(spec.allowed.lowest, spec.kind),
                           units.text(spec.allowed.highest, spec.kind));
    const std::string otherwise = default_of(spec, units);
    out += fmt::format("  default    {}\n", spec.from_weather   ? "none: must be given, or derived from [weather]"
                                            : spec.required     ? "none: must be given"
                                            : otherwise.empty() ? "none"
                                                                : otherwise);
    out += fmt::format("  write      {}\n", how_to_write(entry, units));
    return out;
}

/// Kinds of quantity with all their units, for the end of the page.
std::string quantities_page()
{
    std::string out =
        "\n## Quantities and their units\n\nThe first unit is the plain one. Superscripts, degree signs and "
        "brackets may be typed as usual: `W/(m\u00b2K)`, `21 \u00b0C`.\n\n| quantity | units | SI prints | "
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
    for_each(building::key_tables(), [&](const KeyTable& table) {
        out += fmt::format("\n## {}\n\n| key | what | plain unit, words | default |\n| --- | --- | --- | --- |\n",
                           header_of(table));
        for (const KeyEntry& entry : table.keys)
            out += fmt::format("| `{}` | {} | {} | {} |\n", entry.spec->name, entry.spec->text, unit_or_words(entry),
                               entry.spec->from_weather ? "must be given, or derived from `[weather]`"
                               : entry.spec->required   ? "must be given"
                                                        : default_of(*entry.spec, si));
    });
    return out + quantities_page();
}

std::optional<std::string> explain_key(const std::string& name, const PreferredUnits& units)
{
    std::string out;
    const auto slash = name.rfind('/');
    const std::string key = slash == std::string::npos ? name : name.substr(slash + 1);
    std::string table_name = slash == std::string::npos ? "" : name.substr(0, slash);
    std::ranges::replace(table_name, '/', '.');
    for_each(building::key_tables(), [&](const KeyTable& table) {
        const bool whole_table = slash == std::string::npos && table.name == key;
        for (const KeyEntry& entry : table.keys) {
            const bool asked = entry.spec->name == key && (table_name.empty() || table.name == table_name);
            if (asked || (whole_table && entry.spec->name != "note"))
                out += (out.empty() ? "" : "\n") + key_text(table, entry, units);
        }
    });
    if (out.empty()) return std::nullopt;
    return out;
}

std::vector<std::string> explainable_keys()
{
    std::vector<std::string> out;
    for_each(building::key_tables(), [&](const KeyTable& table) {
        out.push_back(table.name);
        for (const KeyEntry& entry : table.keys) {
            out.push_back(fmt::format("{}/{}", table.name, entry.spec->name));
            out.emplace_back(entry.spec->name);
        }
    });
    return out;
}

} // namespace venture::report
