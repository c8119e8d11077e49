#pragma once
/// Marks in numbers that people write: decimal ones, and those for thousands. Internal to project.

#include <optional>
#include <string_view>

namespace venture::project {

/// A number with one mark in it, "1.25" or "1,250 mm": where the mark stands, and how many digits follow it.
struct MarkedNumber {
    std::size_t mark_at = 0, digits_behind = 0;
};
[[nodiscard]] std::optional<MarkedNumber> marked_number(std::string_view text);

/// "1,234.5 kW": up to three digits, groups of three behind marks, perhaps a decimal mark, perhaps a unit.
[[nodiscard]] bool has_thousands_marks(std::string_view text);

} // namespace venture::project
