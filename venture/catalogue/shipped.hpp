#pragma once
/// Data that ships inside the program: catalogues and demo projects.

#include <string_view>
#include <vector>

namespace venture::catalogue {

struct ShippedFile {
    std::string_view path; ///< below data/, e.g. "demo/project.toml"
    std::string_view text;
};

[[nodiscard]] const std::vector<ShippedFile>& shipped_files();

/// Paths of the library that ships: what names others first.
[[nodiscard]] const std::vector<std::string_view>& shipped_library();

/// Text of one shipped file.
/// @throws quantity::Error if there is none of that path
[[nodiscard]] std::string_view shipped_file(std::string_view path);

} // namespace venture::catalogue
