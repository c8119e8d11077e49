#include <venture/quantity/units.hpp>

#include <array>
#include <charconv>
#include <cmath>

#include <fmt/format.h>

#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>

namespace venture::quantity {

namespace {

constexpr double foot = 0.3048, inch = 0.0254, pound = 0.45359237, btu_J = 1055.05585262, hour_s = 3600.0;
constexpr double rankine_K = 5.0 / 9.0, square_foot = foot * foot, cubic_foot = foot * foot * foot;

// The first unit of each kind is its plain one. Conversions: exact definitions of the international foot, pound and
// the International Table Btu.
constexpr std::array units = {
    Unit{Kind::number, "", 1.0, 0.0},
    Unit{Kind::fraction, "%", 0.01, 0.0},
    Unit{Kind::length, "m", 1.0, 0.0},
    Unit{Kind::length, "cm", 0.01, 0.0},
    Unit{Kind::length, "mm", 0.001, 0.0},
    Unit{Kind::length, "ft", foot, 0.0},
    Unit{Kind::length, "in", inch, 0.0},
    Unit{Kind::area, "m2", 1.0, 0.0},
    Unit{Kind::area, "ft2", square_foot, 0.0},
    Unit{Kind::temperature, "degC", 1.0, 0.0},
    Unit{Kind::temperature, "degF", rankine_K, -32.0 * rankine_K},
    Unit{Kind::temperature_difference, "K", 1.0, 0.0},
    Unit{Kind::temperature_difference, "degF diff", rankine_K, 0.0},
    Unit{Kind::power, "W", 1.0, 0.0},
    Unit{Kind::power, "kW", 1000.0, 0.0},
    Unit{Kind::power, "Btu/h", btu_J / hour_s, 0.0},
    Unit{Kind::power, "kBtu/h", 1000.0 * btu_J / hour_s, 0.0},
    Unit{Kind::power, "ton", 12000.0 * btu_J / hour_s, 0.0},
    Unit{Kind::power_per_area, "W/m2", 1.0, 0.0},
    Unit{Kind::power_per_area, "W/ft2", 1.0 / square_foot, 0.0},
    Unit{Kind::heat_transfer, "W/m2K", 1.0, 0.0},
    Unit{Kind::heat_transfer, "Btu/h.ft2.F", btu_J / hour_s / square_foot / rankine_K, 0.0},
    Unit{Kind::resistance, "m2K/W", 1.0, 0.0},
    Unit{Kind::resistance, "h.ft2.F/Btu", hour_s* square_foot* rankine_K / btu_J, 0.0},
    Unit{Kind::conductivity, "W/mK", 1.0, 0.0},
    Unit{Kind::density, "kg/m3", 1.0, 0.0},
    Unit{Kind::density, "lb/ft3", pound / cubic_foot, 0.0},
    Unit{Kind::specific_heat, "J/kgK", 1.0, 0.0},
    Unit{Kind::specific_heat, "kJ/kgK", 1000.0, 0.0},
    Unit{Kind::areal_capacity, "kJ/m2K", 1000.0, 0.0},
    Unit{Kind::air_flow, "L/s", 0.001, 0.0},
    Unit{Kind::air_flow, "m3/s", 1.0, 0.0},
    Unit{Kind::air_flow, "m3/h", 1.0 / hour_s, 0.0},
    Unit{Kind::air_flow, "cfm", cubic_foot / 60.0, 0.0},
    Unit{Kind::air_flow_per_area, "L/s.m2", 0.001, 0.0},
    Unit{Kind::air_flow_per_area, "cfm/ft2", cubic_foot / 60.0 / square_foot, 0.0},
    Unit{Kind::air_changes, "1/h", 1.0, 0.0},
    Unit{Kind::moisture_flow, "g/h", 0.001 / hour_s, 0.0},
    Unit{Kind::moisture_flow, "kg/h", 1.0 / hour_s, 0.0},
    Unit{Kind::moisture_flow, "lb/h", pound / hour_s, 0.0},
    Unit{Kind::angle, "deg", 1.0, 0.0},
    Unit{Kind::hours, "h", 1.0, 0.0},
    Unit{Kind::hours, "min", 1.0 / 60.0, 0.0},
    Unit{Kind::pressure, "Pa", 1.0, 0.0},
    Unit{Kind::pressure, "kPa", 1000.0, 0.0},
};

const Unit* find_unit(std::string_view symbol, Kind kind)
{
    for (const Unit& unit : units)
        if (unit.kind == kind && unit.symbol == symbol) return &unit;
    return nullptr;
}

std::string expectation(Kind kind)
{
    const auto symbols = unit_symbols(kind);
    if (kind == Kind::number) return "a plain number";
    if (kind == Kind::fraction) return "a fraction (0.35) or a percentage (\"35 %\")";
    return fmt::format("{} in {}, or a bare number in {}", name_of(kind), listed(symbols), plain_unit(kind));
}

/// Another kind that this symbol measures, to say "K is a temperature difference".
const Unit* same_symbol_elsewhere(std::string_view symbol)
{
    for (const Unit& unit : units)
        if (unit.symbol == symbol) return &unit;
    return nullptr;
}

QuantityProblem wrong_unit(std::string_view symbol, Kind kind)
{
    QuantityProblem problem{fmt::format("the unit '{}'", symbol), expectation(kind), {}};
    if (const Unit* other = same_symbol_elsewhere(symbol)) {
        problem.hint = fmt::format("'{}' measures {}, not {}", symbol, name_of(other->kind), name_of(kind));
    } else if (symbol == "HP" || symbol == "hp") {
        problem.hint = "horsepower is shaft power or a trade size, not a capacity: give kW or Btu/h";
    } else if (const auto near = nearest_name(symbol, unit_symbols(kind))) {
        problem.hint = fmt::format("did you mean '{}'?", *near);
    }
    return problem;
}

} // namespace

std::string_view name_of(Kind kind)
{
    switch (kind) {
    case Kind::number:
        return "number";
    case Kind::fraction:
        return "fraction";
    case Kind::length:
        return "length";
    case Kind::area:
        return "area";
    case Kind::temperature:
        return "temperature";
    case Kind::temperature_difference:
        return "temperature difference";
    case Kind::power:
        return "power";
    case Kind::power_per_area:
        return "power per area";
    case Kind::heat_transfer:
        return "U-value";
    case Kind::resistance:
        return "thermal resistance";
    case Kind::conductivity:
        return "conductivity";
    case Kind::density:
        return "density";
    case Kind::specific_heat:
        return "specific heat";
    case Kind::areal_capacity:
        return "heat capacity per area";
    case Kind::air_flow:
        return "air flow";
    case Kind::air_flow_per_area:
        return "air flow per area";
    case Kind::air_changes:
        return "air change rate";
    case Kind::moisture_flow:
        return "moisture flow";
    case Kind::angle:
        return "angle";
    case Kind::hours:
        return "duration";
    case Kind::pressure:
        return "pressure";
    }
    VENTURE_UNREACHABLE("a kind without a name");
}

std::string_view plain_unit(Kind kind)
{
    if (kind == Kind::fraction) return {}; // a bare 0.35 is a fraction, not 0.35 %
    for (const Unit& unit : units)
        if (unit.kind == kind) return unit.symbol;
    VENTURE_UNREACHABLE("a kind without a unit");
}

std::vector<std::string> unit_symbols(Kind kind)
{
    std::vector<std::string> out;
    for (const Unit& unit : units)
        if (unit.kind == kind) out.emplace_back(unit.symbol);
    return out;
}

std::optional<LeadingNumber> leading_number(std::string_view text)
{
    text = trimmed(text);
    const bool plus = text.starts_with('+');
    const char* first = text.data() + (plus ? 1 : 0);
    const char* last = text.data() + text.size();
    double value = 0.0;
    const auto [end, problem] = std::from_chars(first, last, value);
    if (problem != std::errc{} || !std::isfinite(value)) return std::nullopt;
    return LeadingNumber{value, trimmed({end, static_cast<std::size_t>(last - end)})};
}

std::variant<double, QuantityProblem> to_si(double typed, std::string_view symbol, Kind kind)
{
    if (symbol.empty() && kind == Kind::fraction) return typed;
    const Unit* unit = find_unit(symbol.empty() ? plain_unit(kind) : symbol, kind);
    if (unit == nullptr) return wrong_unit(symbol, kind);
    return typed * unit->factor + unit->offset;
}

std::variant<double, QuantityProblem> parse_quantity(std::string_view text, Kind kind)
{
    const auto number = leading_number(text);
    if (!number) return QuantityProblem{fmt::format("'{}'", trimmed(text).substr(0, 60)), expectation(kind), {}};
    if (number->rest.starts_with(','))
        return QuantityProblem{fmt::format("'{}'", trimmed(text).substr(0, 60)), expectation(kind),
                               "a comma may be a decimal mark or thousands: write a point, and no thousands mark"};
    return to_si(number->value, number->rest, kind);
}

std::string print_quantity(double si, Kind kind, int digits)
{
    const Unit* unit = find_unit(kind == Kind::fraction ? "%" : plain_unit(kind), kind);
    VENTURE_ASSERT(unit != nullptr);
    const double typed = (si - unit->offset) / unit->factor;
    const std::string number = fmt::format("{:.{}g}", typed, digits);
    return unit->symbol.empty() ? number : fmt::format("{} {}", number, unit->symbol);
}

} // namespace venture::quantity
