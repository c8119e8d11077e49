#pragma once
/// Words in the cells of tables that spreadsheets open.

#include <string>
#include <string_view>

namespace venture::quantity {

/// A text that no spreadsheet runs: what begins like a formula (=, +, -, @, a tab or line end, or their wide forms) and is no
/// number gets a ' in front, as spreadsheets themselves mark a text.
[[nodiscard]] std::string guarded(std::string_view text);
/// What was meant by such a text: guarded() taken back, whatever it was given.
[[nodiscard]] std::string_view unguarded(std::string_view text);

} // namespace venture::quantity
