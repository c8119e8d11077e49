#pragma once
/// Every kind of quantity and every unit that one may be typed in. Internal to quantity.

#include <span>

#include <venture/quantity/units.hpp>

namespace venture::quantity::detail {

/// One way to write a kind: value in SI = typed * factor + offset.
struct Unit {
    Kind kind;
    std::string_view symbol; ///< as it is printed
    double factor = 1.0;
    double offset = 0.0;
    int decimals = 2;             ///< in tables
    std::string_view others = {}; ///< other spellings, parted by |
};

/// A spelling that could mean two things, or means something that must not be converted; refused with the reason.
struct Refused {
    std::string_view symbol;
    Kind kind;
    std::string_view reason;
};

/// All units; those of a kind stand together, the plain one first.
[[nodiscard]] std::span<const Unit> units();
[[nodiscard]] std::span<const Refused> refused_spellings();
/// The unit of a kind that some text names, in any spelling; nothing if there is none.
[[nodiscard]] const Unit* find_unit(std::string_view typed, Kind kind);
/// Whether a text spells this unit.
[[nodiscard]] bool spells(std::string_view typed, const Unit& unit);

} // namespace venture::quantity::detail
