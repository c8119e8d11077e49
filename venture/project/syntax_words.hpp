#pragma once
/// What a person most likely did where the notation is broken. Internal to project.

#include <string>
#include <string_view>

namespace venture::project {

struct SyntaxWords {
    std::string message{}, hint{};
};

/// @param line         the line at which the parser stopped
/// @param description  what the parser says of it
[[nodiscard]] SyntaxWords syntax_words(std::string_view line, std::string_view description);

/// For a line with letters outside quotes that may only stand inside.
[[nodiscard]] SyntaxWords quoting_words(std::string_view line);
/// For a line that opens a list which is not closed.
[[nodiscard]] SyntaxWords unclosed_words(std::string_view line);

} // namespace venture::project
