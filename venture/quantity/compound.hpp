#pragma once
/// Quantities as the trade writes them that are no number before a unit. Internal to quantity.

#include <optional>
#include <string>
#include <string_view>

#include <venture/quantity/units.hpp>

namespace venture::quantity {

/// "4 ft 6 in", "4'-6 1/2\"", "3 1/2 in", "1/2 in" of lengths, m; "R-38" (h.ft2.F/Btu) and "RSI 6.7" (m2K/W) of thermal resistances, m2K/W. Nothing if a
/// text is none of these, or the kind has none.
[[nodiscard]] std::optional<double> compound_quantity(std::string_view text, Kind kind);

/// An ECMA regular expression of them, without its ends; empty if the kind has none.
[[nodiscard]] std::string compound_pattern(Kind kind);

} // namespace venture::quantity
