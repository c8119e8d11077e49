#pragma once
/// Texts as people see them: what would act on a terminal made visible, lines no longer than a page.

#include <string>
#include <string_view>
#include <vector>

namespace venture::quantity {

/// What would move a terminal's cursor, change its colours or turn the order of letters stands as a mark that can be seen:
/// control characters as their pictures (U+2400 on), marks of writing direction and bytes that are no UTF-8 by their number.
/// @param keep_lines  ends of lines stay
[[nodiscard]] std::string harmless(std::string_view text, bool keep_lines = false);

/// A text in lines of so many columns at most, parted at blanks; words that are longer are parted where they must be.
/// @param width  at least 2, so that a wide letter has room
[[nodiscard]] std::vector<std::string> wrapped(std::string_view text, std::size_t width);

} // namespace venture::quantity
