#pragma once
/// The units that outputs are printed in: chosen per quantity, from a preset or one by one.

#include <string>
#include <string_view>
#include <vector>

#include <venture/quantity/units.hpp>

namespace venture::quantity {

namespace detail {
struct Unit;
}

/// One choice that a user has: a kind, or a use of it that has a size of its own (thickness beside length).
struct PrintedQuantity {
    std::string_view key; ///< "air_flow"
    Kind kind;
    std::string_view si, inch_pound; ///< what the presets choose
    std::string_view text;           ///< where it is printed
};

/// All choices; one for each kind that has more than one unit, and "thickness", "total_power" and "wind" beside.
[[nodiscard]] const std::vector<PrintedQuantity>& printed_quantities();

/// The first choice whose values are kept in an SI unit, else that of plain numbers: what a series is printed in.
[[nodiscard]] std::string_view printed_in(std::string_view si_unit);

/// Names of the presets: "SI", "inch-pound".
[[nodiscard]] const std::vector<std::string>& unit_presets();

class PreferredUnits {
public:
    /// SI.
    PreferredUnits();
    /// @throws Error if there is no preset of that name
    explicit PreferredUnits(std::string_view preset);

    /// Chooses a unit for one of printed_quantities().
    /// @throws Error if there is no such key, or its kind has no such unit
    void choose(std::string_view key, std::string_view unit);

    [[nodiscard]] std::string_view symbol(std::string_view key) const;
    /// An SI value in the chosen unit, not rounded.
    [[nodiscard]] double value(double si, std::string_view key) const;
    /// So many as tables show in the chosen unit.
    [[nodiscard]] int decimals(std::string_view key) const;
    /// "4.21": an SI value in the chosen unit, with as many decimals as tables show.
    [[nodiscard]] std::string number(double si, std::string_view key) const;
    /// "4.21 kW".
    [[nodiscard]] std::string text(double si, std::string_view key) const;
    /// A value of any kind with its unit, to so many significant digits.
    [[nodiscard]] std::string text(double si, Kind kind, int digits = 4) const;
    /// Unit of a kind: chosen, or the only one.
    [[nodiscard]] std::string_view symbol(Kind kind) const;

private:
    [[nodiscard]] const detail::Unit& unit(std::string_view key) const;

    std::vector<std::string_view> symbols_; ///< parallel to printed_quantities()
};

} // namespace venture::quantity
