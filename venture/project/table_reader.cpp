#include <venture/project/table_reader.hpp>

#include <algorithm>
#include <utility>

#include <fmt/format.h>

#include <venture/input/key_value.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>

namespace venture::project {

using quantity::Given;
using quantity::KeySpec;
using quantity::OriginId;
namespace codes = quantity::codes;

namespace {

std::string_view type_of(const toml::node& node)
{
    switch (node.type()) {
    case toml::node_type::table:
        return "a table";
    case toml::node_type::array:
        return "a list";
    case toml::node_type::string:
        return "a text";
    case toml::node_type::integer:
    case toml::node_type::floating_point:
        return "a number";
    case toml::node_type::boolean:
        return "true or false";
    case toml::node_type::date:
    case toml::node_type::time:
    case toml::node_type::date_time:
        return "a date or time";
    case toml::node_type::none:
        break;
    }
    return "nothing";
}

} // namespace

OriginId TableReader::add_place(const toml::source_region& region, std::string_view unit)
{
    const OriginId place =
        origins_.add({quantity::OriginKind::file, file_, region.begin.line, region.begin.column, {}, unit});
    return library_.empty() ? place
                            : origins_.add({.kind = quantity::OriginKind::library, .text = library_, .parent = place});
}

OriginId TableReader::origin_of(const toml::node& node) { return add_place(node.source()); }
OriginId TableReader::origin_of(const toml::key& key) { return add_place(key.source()); }

namespace {

/// Whether some number stands without a unit in a value.
bool holds_bare_numbers(const toml::node& node)
{
    if (const toml::array* list = node.as_array())
        return std::ranges::any_of(*list, [](const toml::node& item) { return holds_bare_numbers(item); });
    if (const auto text = node.value_exact<std::string>()) {
        const auto leading = quantity::leading_number(*text);
        return leading && leading->rest.empty();
    }
    return node.is_number();
}

} // namespace

OriginId TableReader::origin_of_numbers(const toml::node& node, const KeySpec& spec)
{
    const auto unit = typed_.of(spec);
    return add_place(node.source(), unit && holds_bare_numbers(node) ? *unit : std::string_view{});
}

void TableReader::read_single(const toml::table& root, std::string_view name, const quantity::Record& record)
{
    const toml::node* node = root.get(name);
    if (node == nullptr) return;
    if (const toml::table* table = node->as_table()) return read_record(*table, name, record);
    wrong_type(*node, fmt::format("[{}] stands once in a project", name), fmt::format("write [{}]", name));
}

void TableReader::read_list(const toml::table& root, std::string_view name, const quantity::Records& records)
{
    const toml::node* node = root.get(name);
    if (node == nullptr) return;
    const toml::array* list = node->as_array();
    if (list == nullptr || !list->is_array_of_tables())
        return wrong_type(*node, fmt::format("'{}' is a list of tables", name),
                          fmt::format("write [[{}]] over each", name));
    for (const toml::node& item : *list) read_record(*item.as_table(), name, records.append());
}

void TableReader::read(const toml::table& root, const quantity::Records& records)
{
    if (records.table().is_list())
        read_list(root, records.table().name, records);
    else
        read_single(root, records.table().name, records[0]);
}

void TableReader::read_record(const toml::table& table, std::string_view name, const quantity::Record& record)
{
    const std::string outer =
        std::exchange(table_, table_.empty() ? std::string{name} : fmt::format("{}.{}", table_, name));
    for (const quantity::Key& key : record.keys())
        if (const toml::node* node = table.get(key.spec.name))
            record.visit(key, [&](auto& given) {
                read_value(*node, key.spec, given);
                given.refused = !given;
            });
    for (const quantity::Nested& nested : record.spec().nested()) read(table, record.records(nested));
    check_keys(table, fmt::format("[{}]", table_), record.spec().names());
    table_ = outer;
}

quantity::TextList TableReader::read_texts(const toml::table& root, std::string_view name, std::string_view text)
{
    const toml::node* node = root.get(name);
    if (node == nullptr) return {};
    const KeySpec spec{.name = name, .text = text};
    if (const auto one = node->value_exact<std::string>()) return {{*one, origin_of(*node)}};
    Given<quantity::TextList> list;
    read_value(*node, spec, list);
    return list ? *list : quantity::TextList{};
}

std::string TableReader::hint_of(const KeySpec& spec) const
{
    return table_.empty() ? std::string{spec.text}
                          : fmt::format("`venture explain {}/{}` tells how to write it", table_, spec.name);
}

void TableReader::wrong_type(const toml::node& node, std::string message, std::string hint)
{
    problems_.add({quantity::Severity::error, codes::wrong_type, origin_of(node),
                   fmt::format("{}; {} found", message, type_of(node)), std::move(hint)});
}

void TableReader::check_keys(const toml::table& table, std::string_view where, const std::vector<std::string>& allowed)
{
    for (const auto& [key, node] : table) {
        const std::string name{key.str()};
        if (std::ranges::find(allowed, name) != allowed.end()) continue;
        const auto near = quantity::nearest_name(name, allowed);
        problems_.add(
            {quantity::Severity::error, codes::unknown_key, origin_of(key),
             fmt::format("unknown key '{}' in {}; expected one of {}", name, where,
                         quantity::listed(allowed, near ? 3 : 8)),
             near ? fmt::format("did you mean '{}'?", *near) : std::string{"remove it, or put it into a note"}});
    }
}

std::optional<double> TableReader::number(const toml::node& node, const KeySpec& spec)
{
    const std::string_view unit = typed_.of(spec).value_or("");
    const OriginId where = origin_of_numbers(node, spec);
    if (const auto text = node.value_exact<std::string>()) {
        double si = 0.0;
        if (auto problem = input::read_number(*text, spec, where, si, units_, unit)) {
            problems_.add(std::move(*problem));
            return std::nullopt;
        }
        return si;
    }
    if (node.is_number()) {
        const double typed = *node.value<double>(), si = std::get<double>(quantity::to_si(typed, unit, spec.kind));
        if (auto problem = input::bounds_problem(si, spec, where, units_, typed)) {
            problems_.add(std::move(*problem));
            return std::nullopt;
        }
        return si;
    }
    wrong_type(node, fmt::format("{}: expected a number ({})", spec.name, quantity::name_of(spec.kind)), hint_of(spec));
    return std::nullopt;
}

void TableReader::read_value(const toml::node& node, const KeySpec& spec, Given<double>& out)
{
    if (const auto si = number(node, spec)) out = Given<double>{*si, origin_of_numbers(node, spec)};
}

void TableReader::read_value(const toml::node& node, const KeySpec& spec, Given<std::string>& out)
{
    const auto text = node.value_exact<std::string>();
    if (!text) return wrong_type(node, fmt::format("{}: a text in quotes expected", spec.name), hint_of(spec));
    std::string word;
    if (auto problem = input::read_word(*text, spec, origin_of(node), word)) {
        problems_.add(std::move(*problem));
        return;
    }
    out = Given<std::string>{std::move(word), origin_of(node)};
}

void TableReader::read_value(const toml::node& node, const KeySpec& spec, Given<quantity::TextList>& out)
{
    const toml::array* list = node.as_array();
    if (list == nullptr) return wrong_type(node, fmt::format("{}: a list of texts expected", spec.name), hint_of(spec));
    quantity::TextList texts;
    for (const toml::node& item : *list) {
        if (const auto text = item.value_exact<std::string>())
            texts.push_back({std::string{quantity::trimmed(*text)}, origin_of(item)});
        else
            wrong_type(item, fmt::format("{}: a text in quotes expected", spec.name), hint_of(spec));
    }
    out = Given<quantity::TextList>{std::move(texts), origin_of(node)};
}

void TableReader::read_value(const toml::node& node, const KeySpec& spec, Given<quantity::QuantityList>& out)
{
    const toml::array* list = node.as_array();
    if (list == nullptr || (spec.count != 0 && list->size() != spec.count))
        return wrong_type(node,
                          spec.count != 0 ? fmt::format("{}: a list of {} numbers expected", spec.name, spec.count)
                                          : fmt::format("{}: a list of numbers expected", spec.name),
                          hint_of(spec));
    quantity::QuantityList values;
    for (const toml::node& item : *list)
        if (const auto si = number(item, spec)) values.push_back(*si);
    if (values.size() == list->size())
        out = Given<quantity::QuantityList>{std::move(values), origin_of_numbers(node, spec)};
}

void TableReader::read_value(const toml::node& node, const KeySpec& spec, Given<quantity::PointList>& out)
{
    const bool in_space = spec.count == 3;
    const auto expected = fmt::format("{}: a list of points [x, y{}] expected", spec.name, in_space ? ", z" : "");
    const toml::array* list = node.as_array();
    if (list == nullptr) return wrong_type(node, expected, hint_of(spec));
    quantity::PointList points;
    for (const toml::node& item : *list) {
        const toml::array* point = item.as_array();
        if (point == nullptr || point->size() != (in_space ? 3 : 2)) {
            wrong_type(item, expected, hint_of(spec));
            continue;
        }
        const auto x = number(*point->get(0), spec), y = number(*point->get(1), spec),
                   z = in_space ? number(*point->get(2), spec) : std::optional{0.0};
        if (x && y && z) points.push_back({*x, *y, *z});
    }
    if (points.size() == list->size())
        out = Given<quantity::PointList>{std::move(points), origin_of_numbers(node, spec)};
}

} // namespace venture::project
