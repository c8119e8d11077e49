#pragma once
/// Numbers with units, as people type them. SI inside; conversion happens here and nowhere else.

#include <optional>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

namespace venture::quantity {

/// What a number measures. Kinds are apart wherever a number of one must not be taken for the other: a temperature and
/// a temperature difference; actual and standard air flow (converting needs a state); four ratings of sound.
enum class Kind {
    number,
    fraction,
    length,
    area,
    volume,
    velocity,
    temperature,
    temperature_difference,
    power,
    power_per_area,
    heat_transfer,
    heat_loss,
    resistance,
    conductivity,
    density,
    specific_heat,
    areal_capacity,
    areal_mass,
    air_flow,
    standard_air_flow, ///< of air at 1.2 kg/m3
    air_flow_per_area,
    area_per_power,
    air_flow_per_power,
    air_changes,
    water_flow,
    mass,
    moisture_flow,
    humidity_ratio,
    concentration, ///< of a gas in air, by volume
    enthalpy,
    energy,
    irradiation, ///< sun on a square metre over a time
    cloud_cover, ///< share of the sky
    angle,
    hours,
    pressure,
    sound_power,     ///< A-weighted, re 1 pW
    sound_pressure,  ///< A-weighted, re 20 uPa
    noise_rating,    ///< NR curves
    noise_criterion, ///< NC curves
};

/// All of them, in the order above.
[[nodiscard]] const std::vector<Kind>& all_kinds();

/// The trade's word for a kind, e.g. "air flow".
[[nodiscard]] std::string_view name_of(Kind kind);
/// Symbol of the unit that a bare number of this kind is taken in, e.g. "W/m2K"; empty for plain numbers and fractions.
[[nodiscard]] std::string_view plain_unit(Kind kind);
/// Symbol of the SI unit that values of a kind are kept in, e.g. "m3/s" where the plain unit is L/s; "1" for pure numbers.
[[nodiscard]] std::string_view si_unit(Kind kind);
/// Symbols that a kind may be typed in, the plain one first.
[[nodiscard]] std::vector<std::string> unit_symbols(Kind kind);
/// "length in m, cm, mm, ft, in, or a bare number in m": what may be typed.
/// @param bare  unit of numbers without one; the plain one of the kind unless given
[[nodiscard]] std::string typing_rule(Kind kind, std::string_view bare = {});
/// An ECMA regular expression of every text that parse_quantity() reads for a kind, whatever the number.
[[nodiscard]] std::string quantity_pattern(Kind kind);

/// Why a text is not a quantity of the kind asked for.
struct QuantityProblem {
    std::string found;    ///< what stands there, in words
    std::string expected; ///< what may stand there
    std::string hint;     ///< nearest unit or what to do; may be empty
};

/// Reads "2.4 m", "68 degF", "350 cfm", "12.5 %", "4 ft 6 in" and "R-38"; a bare number is in the plain unit of the kind. Superscripts, degree
/// signs and common other spellings of a unit are understood.
/// @param bare  unit of a bare number instead of the plain one
/// @returns the value in SI (temperatures in degC, fractions as 0..1, hours in h), or why not
[[nodiscard]] std::variant<double, QuantityProblem> parse_quantity(std::string_view text, Kind kind,
                                                                   std::string_view bare = {});

/// A number and the rest of the text behind it; nothing if no finite number stands at the front.
struct LeadingNumber {
    double value;
    std::string_view rest;
};
[[nodiscard]] std::optional<LeadingNumber> leading_number(std::string_view text);

/// SI value of a number typed in the unit `symbol`, or why the unit does not fit.
[[nodiscard]] std::variant<double, QuantityProblem> to_si(double typed, std::string_view symbol, Kind kind);
/// The number that stands before the unit `symbol` for an SI value.
/// @throws Error if the kind has no such unit
[[nodiscard]] double from_si(double si, std::string_view symbol, Kind kind);

/// "2.4 m", with at most `digits` significant digits, in the plain unit of the kind (percent for fractions).
[[nodiscard]] std::string print_quantity(double si, Kind kind, int digits = 4);

} // namespace venture::quantity
