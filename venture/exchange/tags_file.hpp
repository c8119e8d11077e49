#pragma once
/// The project's list of tags: a table that the program adds lines to, and whose further columns belong to whoever uses it.

#include <filesystem>

#include <venture/study/tags.hpp>

namespace venture::exchange {

/// Its name in the project's folder.
inline constexpr const char* tags_name = "tags.csv";

/// Nothing if there is none.
/// @throws quantity::Error if it cannot be read, or is no such list: all that is wrong with it, line by line
[[nodiscard]] study::Tags read_tags(const std::filesystem::path& file);

/// Writes it where that changes anything.
/// @throws quantity::Error if it cannot be written
void write_tags(const std::filesystem::path& file, const study::Tags& tags);

} // namespace venture::exchange
