#pragma once
/// Looks through a text for what the TOML parser must not be given. Internal to project.

#include <cstdint>
#include <string>
#include <string_view>
#include <vector>

namespace venture::project {

struct ScanFinding {
    std::uint32_t line = 0, column = 0; ///< from 1; the column counts letters
    std::string message{};              ///< empty for a quote: the line as a whole tells what went wrong
};

/// Finds letters beyond ASCII outside strings and comments (the parser's behaviour on some of them is undefined),
/// quotes where no string may begin (after which nobody knows what is inside one), and keys of absurd depth. One
/// finding a line at most.
[[nodiscard]] std::vector<ScanFinding> scan_toml(std::string_view text);

} // namespace venture::project
