#pragma once
/// Names that people type: trimmed, compared, and guessed at when misspelt.

#include <optional>
#include <span>
#include <string>
#include <string_view>
#include <vector>

namespace venture::quantity {

/// Without blanks at either end.
[[nodiscard]] std::string_view trimmed(std::string_view text);

/// Smallest number of single-letter insertions, deletions, changes and swaps of neighbours between two words.
[[nodiscard]] std::size_t edit_distance(std::string_view a, std::string_view b);

/// The nearest allowed name (letter case aside), else the only one with that word in it ("air_flow" of "flow"); nothing when none
/// is near: a silly guess is worse than none.
[[nodiscard]] std::optional<std::string> nearest_name(std::string_view typed, std::span<const std::string> allowed);

/// "a, b, c", cut after `most` names with "... (12 in all)".
[[nodiscard]] std::string listed(std::span<const std::string> names, std::size_t most = 8);

/// Columns on a terminal: wide letters take two, marks over letters none. Bytes that are no UTF-8 take one each.
[[nodiscard]] std::size_t display_width(std::string_view text);

/// Small letters for capital ones, of every alphabet, one for one.
[[nodiscard]] std::string lower_case(std::string_view text);

/// Whether a name is such: * stands for any letters, or none.
[[nodiscard]] bool is_named_like(const std::string& name, const std::string& pattern);

} // namespace venture::quantity
