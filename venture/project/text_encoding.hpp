#pragma once
/// Bytes of foreign tables into UTF-8. Internal to project.

#include <optional>
#include <string>

namespace venture::project {

/// The encoding that bytes most likely have: what their byte-order mark says, UTF-8 if they are sound UTF-8, else
/// windows-1252, in which every western spreadsheet writes.
[[nodiscard]] std::string detect_encoding(const std::string& bytes);

/// @param encoding  "utf-8", "utf-16" or "windows-1252"
/// @returns the text without byte-order mark; nothing if the bytes are not in that encoding
[[nodiscard]] std::optional<std::string> to_utf8(const std::string& bytes, const std::string& encoding);

} // namespace venture::project
