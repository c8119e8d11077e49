#pragma once
/// What kind of picture a command writes.

#include <filesystem>
#include <string>

#include <venture/draw/canvas.hpp>

namespace venture::cli {

/// Kind of a picture: as asked for, or what the file's ending says, else SVG.
/// @throws CLI::ValidationError if the two disagree
[[nodiscard]] draw::Picture kind_of_picture(const std::string& asked, const std::filesystem::path& output);

} // namespace venture::cli
