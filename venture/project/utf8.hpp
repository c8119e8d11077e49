#pragma once
/// Whether bytes are UTF-8, and what to do where they are not. Internal to project.

#include <string>
#include <vector>

namespace venture::project {

/// Whether a text is sound UTF-8.
[[nodiscard]] bool is_utf8(const std::string& text);

/// Replaces each byte that is no part of a letter by a question mark.
/// @returns where such bytes stood
std::vector<std::size_t> replace_wrong_bytes(std::string& text);

} // namespace venture::project
