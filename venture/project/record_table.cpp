#include <venture/project/record_table.hpp>

#include <algorithm>
#include <iterator>
#include <sstream>

#include <fmt/format.h>

#include <venture/input/key_value.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>

namespace venture::project {

using quantity::Given;
using quantity::KeySpec;
using quantity::OriginId;
using quantity::Severity;
namespace codes = quantity::codes;

namespace {

/// Names of the columns that a key stands in; none for what a table cannot hold.
std::vector<std::string> column_names(const quantity::Key& key)
{
    const std::string name{key.spec.name};
    if (key.shape != quantity::ValueShape::numbers) return {name};
    return key.spec.count == 2 ? std::vector{name + " x", name + " y"} : std::vector<std::string>{};
}

} // namespace

bool RecordTable::holds_numbers(const quantity::RecordSpec& spec, std::string_view column)
{
    return std::ranges::any_of(spec.keys(), [&](const quantity::Key& key) {
        const bool numeric = key.shape == quantity::ValueShape::number || key.shape == quantity::ValueShape::numbers;
        return numeric && std::ranges::count(column_names(key), column) > 0;
    });
}

void RecordTable::read(const quantity::RecordSpec& spec, const KeySpec* whose, const RecordOf& record_of)
{
    std::vector<std::string> allowed;
    if (whose != nullptr) allowed.emplace_back(whose->name);
    for (const quantity::Key& key : spec.keys()) std::ranges::move(column_names(key), std::back_inserter(allowed));
    find_columns(allowed);
    for (const CsvRow& row : table_.rows) {
        if (!has_all_cells(row)) continue;
        Given<std::string> named;
        if (whose != nullptr) fill(row, *whose, named);
        const quantity::Record record = record_of(named);
        for (const quantity::Key& key : spec.keys())
            record.visit(key, [&](auto& given) { fill(row, key.spec, given); });
    }
}

OriginId RecordTable::place(std::uint32_t line, std::uint32_t column, std::string_view unit)
{
    return origins_.add({quantity::OriginKind::file, file_, line, column, {}, unit});
}

std::string_view RecordTable::unit_by_file(const std::string& column, const KeySpec& spec) const
{
    return columns_.at(column).unit.empty() ? typed_.of(spec).value_or("") : std::string_view{};
}

OriginId RecordTable::place_of_numbers(const CsvCell& cell, const std::string& column, const KeySpec& spec)
{
    const auto leading = quantity::leading_number(with_decimal_point(cell.text, table_.dialect.decimal_mark));
    const bool points = cell.text.find('|') != std::string::npos; // which have no units of their own
    return place(cell.line, cell.column,
                 points || (leading && leading->rest.empty()) ? unit_by_file(column, spec) : std::string_view{});
}

void RecordTable::find_columns(const std::vector<std::string>& allowed)
{
    const auto all = headings(table_);
    for (std::size_t i = 0; i < all.size(); ++i) {
        const CsvHeading& h = all[i];
        if (std::ranges::find(allowed, h.name) == allowed.end()) {
            const auto near = quantity::nearest_name(h.name, allowed);
            problems_.add({Severity::error, codes::unknown_key, place(h.line, h.column),
                           fmt::format("unknown column '{}'; expected one of {}", h.name,
                                       quantity::listed(allowed, near ? 3 : 12)),
                           near ? fmt::format("did you mean '{}'?", *near)
                                : std::string{"remove it; a comment line begins with #"}});
        } else if (!columns_.try_emplace(h.name, Column{i, h.unit}).second) {
            problems_.add({Severity::error, codes::twice, place(h.line, h.column),
                           fmt::format("a second column is called '{}'", h.name), "keep one of the two"});
        }
    }
}

bool RecordTable::has_all_cells(const CsvRow& row)
{
    const std::size_t width = table_.header.front().size();
    if (row.size() == width) return true;
    problems_.add({Severity::error, codes::syntax, place(row.front().line, 0),
                   fmt::format("{} cells where the header has {}", row.size(), width),
                   "put what holds a separator into quotes; write numbers without thousands marks"});
    return false;
}

const CsvCell* RecordTable::cell(const CsvRow& row, const std::string& column) const
{
    const auto found = columns_.find(column);
    if (found == columns_.end()) return nullptr;
    const CsvCell& c = row[found->second.index];
    return c.text.empty() ? nullptr : &c;
}

std::optional<double> RecordTable::number(const CsvCell& cell, const std::string& column, const KeySpec& spec)
{
    const std::string& unit = columns_.at(column).unit;
    const std::string text = with_decimal_point(cell.text, table_.dialect.decimal_mark);
    double si = 0.0;
    if (auto problem = input::read_number(text, spec, place_of_numbers(cell, column, spec), si, units_,
                                          unit.empty() ? unit_by_file(column, spec) : std::string_view{unit})) {
        problems_.add(std::move(*problem));
        return std::nullopt;
    }
    return si;
}

void RecordTable::fill(const CsvRow& row, const KeySpec& spec, Given<double>& out)
{
    const std::string column{spec.name};
    const CsvCell* c = cell(row, column);
    if (c == nullptr) return;
    out.refused = true;
    if (const auto si = number(*c, column, spec)) out = Given<double>{*si, place_of_numbers(*c, column, spec)};
}

void RecordTable::fill(const CsvRow& row, const KeySpec& spec, Given<std::string>& out)
{
    const CsvCell* c = cell(row, std::string{spec.name});
    if (c == nullptr) return;
    std::string word;
    const OriginId where = place(c->line, c->column);
    auto problem = input::read_word(c->text, spec, where, word);
    out.refused = problem.has_value();
    if (problem)
        problems_.add(std::move(*problem));
    else
        out = Given<std::string>{std::move(word), where};
}

void RecordTable::fill(const CsvRow& row, const KeySpec& spec, Given<quantity::TextList>& out)
{
    const CsvCell* c = cell(row, std::string{spec.name});
    if (c == nullptr) return;
    const OriginId where = place(c->line, c->column);
    quantity::TextList items;
    std::string_view rest = c->text;
    while (true) {
        const auto bar = rest.find('|');
        items.push_back({std::string{quantity::trimmed(rest.substr(0, bar))}, where});
        if (bar == std::string_view::npos) break;
        rest.remove_prefix(bar + 1);
    }
    out = Given<quantity::TextList>{std::move(items), where};
}

/// "0 0|5 0|5 4.2"
void RecordTable::fill(const CsvRow& row, const KeySpec& spec, Given<quantity::PointList>& out)
{
    const std::string column{spec.name};
    const CsvCell* c = cell(row, column);
    if (c == nullptr) return;
    const OriginId where = place_of_numbers(*c, column, spec);
    const std::size_t numbers = spec.count == 3 ? 3 : 2;
    const std::string& stated = columns_.at(column).unit;
    const std::string_view unit = stated.empty() ? unit_by_file(column, spec) : stated;
    quantity::PointList points;
    std::istringstream all{with_decimal_point(c->text, table_.dialect.decimal_mark)};
    out.refused = true;
    for (std::string text; std::getline(all, text, '|');) {
        std::istringstream words{text};
        std::vector<double> of_point;
        for (double value = 0.0; words >> value;) {
            const auto si = quantity::to_si(value, unit, spec.kind);
            if (const auto* wrong = std::get_if<quantity::QuantityProblem>(&si)) {
                problems_.add(input::key_problem(codes::quantity, where, spec,
                                                 fmt::format("{} found, expected {}", wrong->found, wrong->expected),
                                                 wrong->hint));
                return;
            }
            of_point.push_back(std::get<double>(si));
        }
        if (!words.eof() || of_point.size() != numbers) {
            problems_.add(
                {Severity::error, codes::wrong_type, where,
                 fmt::format("{}: '{}' is no point of {} numbers", spec.name, quantity::trimmed(text), numbers),
                 "write points as in \"0 0|5 0|5 4.2|0 4.2\""});
            return;
        }
        points.push_back({of_point[0], of_point[1], numbers == 3 ? of_point[2] : 0.0});
    }
    for (const quantity::Point& p : points)
        for (const double value : {p.x_m, p.y_m, p.z_m})
            if (auto outside = input::bounds_problem(value, spec, where, units_)) {
                problems_.add(std::move(*outside));
                return;
            }
    out = Given<quantity::PointList>{std::move(points), where};
}

void RecordTable::fill(const CsvRow& row, const KeySpec& spec, Given<quantity::QuantityList>& out)
{
    if (spec.count != 2) return; // no columns for it
    const std::string x = fmt::format("{} x", spec.name), y = fmt::format("{} y", spec.name);
    const CsvCell *at_x = cell(row, x), *at_y = cell(row, y);
    if (at_x == nullptr && at_y == nullptr) return;
    out.refused = true;
    if (at_x == nullptr || at_y == nullptr) {
        const CsvCell& there = at_x != nullptr ? *at_x : *at_y;
        problems_.add({Severity::error, codes::missing, place(there.line, there.column),
                       fmt::format("{}: one of '{}' and '{}' is empty", spec.name, x, y), "give both or neither"});
        return;
    }
    const auto vx = number(*at_x, x, spec), vy = number(*at_y, y, spec);
    if (vx && vy) out = Given<quantity::QuantityList>{{*vx, *vy}, place_of_numbers(*at_x, x, spec)};
}

} // namespace venture::project
