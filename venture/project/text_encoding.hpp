#pragma once
/// Bytes of foreign tables into UTF-8. Internal to project.

#include <optional>
#include <string>

#include <venture/input/delimited.hpp>

namespace venture::project {

/// The encoding that bytes most likely have: what their byte-order mark says, UTF-8 if they are sound UTF-8, else
/// windows-1252, in which every western spreadsheet writes.
[[nodiscard]] input::Encoding detect_encoding(const std::string& bytes);

/// @returns the text without byte-order mark; nothing if the bytes are not in that encoding
[[nodiscard]] std::optional<std::string> to_utf8(const std::string& bytes, input::Encoding encoding);

} // namespace venture::project
