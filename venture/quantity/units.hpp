#pragma once
/// Numbers with units, as people type them. SI inside; conversion happens here and nowhere else.

#include <optional>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

namespace venture::quantity {

/// What a number measures. A temperature and a temperature difference are two kinds, and so are flows per person,
/// per area and per volume: what may be typed depends on the kind.
enum class Kind {
    number,
    fraction,
    length,
    area,
    temperature,
    temperature_difference,
    power,
    power_per_area,
    heat_transfer,
    resistance,
    conductivity,
    density,
    specific_heat,
    areal_capacity,
    air_flow,
    air_flow_per_area,
    air_changes,
    moisture_flow,
    angle,
    hours,
    pressure,
};

/// One way to write a kind: value in SI = typed * factor + offset.
struct Unit {
    Kind kind;
    std::string_view symbol;
    double factor;
    double offset;
};

/// The trade's word for a kind, e.g. "air flow".
[[nodiscard]] std::string_view name_of(Kind kind);
/// Symbol of the unit that a bare number of this kind is taken in, e.g. "W/m2K"; empty for a plain number.
[[nodiscard]] std::string_view plain_unit(Kind kind);
/// Symbols that a kind may be typed in, the plain one first.
[[nodiscard]] std::vector<std::string> unit_symbols(Kind kind);

/// Why a text is not a quantity of the kind asked for.
struct QuantityProblem {
    std::string found;    ///< what stands there, in words
    std::string expected; ///< what may stand there
    std::string hint;     ///< nearest unit or what to do; may be empty
};

/// Reads "2.4 m", "68 degF", "350 cfm", "12.5 %"; a bare number is in the plain unit of the kind.
/// @returns the value in SI (temperatures in degC, fractions as 0..1, hours in h), or why not
[[nodiscard]] std::variant<double, QuantityProblem> parse_quantity(std::string_view text, Kind kind);

/// A number and the rest of the text behind it; nothing if no finite number stands at the front.
struct LeadingNumber {
    double value;
    std::string_view rest;
};
[[nodiscard]] std::optional<LeadingNumber> leading_number(std::string_view text);

/// SI value of a number typed in the unit `symbol`, or why the unit does not fit.
[[nodiscard]] std::variant<double, QuantityProblem> to_si(double typed, std::string_view symbol, Kind kind);

/// "2.4 m", with at most `digits` significant digits, in the plain unit of the kind (percent for fractions).
[[nodiscard]] std::string print_quantity(double si, Kind kind, int digits = 4);

} // namespace venture::quantity
