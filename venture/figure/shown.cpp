#include <venture/figure/shown.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/quantity/error.hpp>

namespace venture::figure {

const std::vector<PlainQuantity>& plain_quantities()
{
    static const std::vector<PlainQuantity> all = {
        {"share", "%", 0.01, 0, "1"},
        {"fine_share", "%", 0.01, 1, "1"},
        {"air_changes", "1/h", 1.0, 2},
        {"power_per_volume", "W/m3", 1.0, 1},
        {"warmth_by_power", "K/kW", 0.001, 3, "K/W"},
        {"angle", "deg", 1.0, 0},
        {"fine_angle", "deg", 1.0, 1},
        {"degrees", "deg", 1.0, 2},
        {"hours", "h", 1.0, 0},
        {"fine_hours", "h", 1.0, 1},
        {"count", "", 1.0, 0, "1"},
        {"people", "", 1.0, 1, "1"},
        {"ratio", "", 1.0, 2, "1"},
        {"fine_ratio", "", 1.0, 3, "1"},
        {"sound_power", "dB(A)", 1.0, 0, "dB(A)"},
        {"sound_pressure", "dB(A)", 1.0, 0, "dB(A)"},
        {"residual", "", 1.0, 9, "1"},
        {"residual_temperature", "K", 1.0, 9},
    };
    return all;
}

namespace {

const PlainQuantity* plain(const Column& column)
{
    const auto& all = plain_quantities();
    const auto found = std::ranges::find(all, column.quantity, &PlainQuantity::key);
    return found == all.end() ? nullptr : &*found;
}

const quantity::PrintedQuantity& printed(const Column& column)
{
    const auto& all = quantity::printed_quantities();
    const auto found = std::ranges::find(all, column.quantity, &quantity::PrintedQuantity::key);
    if (found == all.end())
        throw quantity::Error{
            fmt::format("column '{}' is of no quantity that is printed: '{}'", column.key, column.quantity)};
    return *found;
}

std::string fixed(double value, int decimals)
{
    const bool rounds_to_zero = std::abs(value) < 0.5 * std::pow(10.0, -decimals); // never "-0"
    return fmt::format("{:.{}f}", rounds_to_zero ? 0.0 : value, decimals);
}

struct Shown {
    const Column& column;
    const quantity::PreferredUnits& units;

    std::string operator()(std::monostate) const { return is_number(column) ? "-" : ""; }
    std::string operator()(bool yes) const { return yes ? "yes" : "no"; }
    std::string operator()(std::int64_t number) const
    {
        return column.dash_for_zero && number == 0 ? "-" : fmt::format("{}", number);
    }
    std::string operator()(const std::string& words) const { return words; }
    std::string operator()(const When& when) const { return in_words(when); }
    std::string operator()(double si) const
    {
        const PlainQuantity* own = plain(column);
        if (column.dash_for_zero && si == 0.0) return "-";
        if (own == nullptr && column.finer == 0) return units.number(si, column.quantity);
        if (own == nullptr) return fixed(units.value(si, column.quantity), decimals_of(column, units));
        const double value = si / own->factor;
        if (own->key == "people" && value == std::floor(value)) return fixed(value, 0);
        if (own->key.starts_with("residual")) return fmt::format("{:.0e}", value);
        return fixed(value, decimals_of(column, units));
    }
};

} // namespace

bool is_number(const Column& column) { return !column.quantity.empty(); }

std::string_view unit_of(const Column& column, const quantity::PreferredUnits& units)
{
    if (!is_number(column)) return {};
    if (const PlainQuantity* own = plain(column)) return own->unit;
    return units.symbol(printed(column).key);
}

std::string_view si_unit_of(const Column& column)
{
    if (!is_number(column)) return {};
    if (const PlainQuantity* own = plain(column)) return own->si.empty() ? own->unit : own->si;
    return quantity::si_unit(printed(column).kind);
}

double in_unit(double si, const Column& column, const quantity::PreferredUnits& units)
{
    if (!is_number(column)) return si;
    if (const PlainQuantity* own = plain(column)) return si / own->factor;
    return units.value(si, column.quantity);
}

int decimals_of(const Column& column, const quantity::PreferredUnits& units)
{
    if (const PlainQuantity* own = plain(column)) return own->decimals + column.finer;
    return is_number(column) ? units.decimals(printed(column).key) + column.finer : 0;
}

std::string shown(const Cell& cell, const Column& column, const quantity::PreferredUnits& units)
{
    return std::visit(Shown{column, units}, cell);
}

std::string shown_with_unit(const Cell& cell, const Column& column, const quantity::PreferredUnits& units)
{
    Column by_itself = column;
    by_itself.dash_for_zero = false; // a dash has no unit
    const std::string number = shown(cell, by_itself, units);
    const std::string_view unit = unit_of(column, units);
    const bool has_number = std::holds_alternative<double>(cell) || std::holds_alternative<std::int64_t>(cell);
    return has_number && !unit.empty() ? fmt::format("{} {}", number, unit) : number;
}

std::vector<std::size_t> columns_for_people(const Table& table)
{
    const auto is_shown = [&](std::size_t c) {
        const auto nothing = [&](const auto& row) { return std::holds_alternative<std::monostate>(row[c]); };
        switch (table.columns[c].show) {
        case Show::always:
            return true;
        case Show::if_any:
            return !std::ranges::all_of(table.rows, nothing);
        case Show::if_varied:
            return std::ranges::any_of(table.rows, [&](const auto& row) { return row[c] != table.rows.front()[c]; });
        case Show::data:
            return false;
        }
        VENTURE_UNREACHABLE("a way to show that is none");
    };
    std::vector<std::size_t> out;
    for (std::size_t c = 0; c < table.columns.size(); ++c)
        if (is_shown(c)) out.push_back(c);
    return out;
}

std::string heading_in_a_line(const Column& column)
{
    std::string out;
    for (const char c : column.heading)
        if (c != '\n' || (!out.empty() && out.back() != ' ')) out += c == '\n' ? ' ' : c;
    if (out.ends_with(' ')) out.pop_back();
    return out.empty() ? column.key : out;
}

} // namespace venture::figure
