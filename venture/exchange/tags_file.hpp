#pragma once
/// The project's list of tags: a table that the program adds lines to, and whose further columns belong to whoever uses it.

#include <filesystem>
#include <string>

#include <venture/study/tags.hpp>

namespace venture::exchange {

/// Its name in the project's folder.
inline constexpr const char* tags_name = "tags.csv";

/// What a text says. @param file  its name, for messages
/// @throws quantity::Error if it is no such list: all that is wrong with it, line by line
[[nodiscard]] study::Tags tags_in(const std::string& text, const std::string& file);

/// Nothing if there is none.
/// @throws quantity::Error if it cannot be read, and as tags_in()
[[nodiscard]] study::Tags read_tags(const std::filesystem::path& file);

/// As they are written.
[[nodiscard]] std::string text_of(const study::Tags& tags);

/// Writes it where that changes anything.
/// @throws quantity::Error if it cannot be written
void write_tags(const std::filesystem::path& file, const study::Tags& tags);

} // namespace venture::exchange
