#pragma once
/// A project folder (or its text) into building::Input, with every mistake told at once.

#include <filesystem>
#include <string>
#include <vector>

#include <venture/building/input.hpp>
#include <venture/project/diagnostics.hpp>

namespace venture::project {

struct ProjectFile {
    building::Input input{};
    std::vector<quantity::Problem> problems{};
    Sources sources{};
    std::filesystem::path folder{};
    bool whole = true; ///< false: a mistake in the notation kept parts from being read
};

/// A file's bytes, or why not: missing, a folder, too large, unreadable.
struct FileText {
    std::string text{};
    std::string problem{}; ///< empty if all is well
};
[[nodiscard]] FileText read_file(const std::filesystem::path& file);

/// Reads `path`, a folder that holds project.toml or a TOML file itself.
[[nodiscard]] ProjectFile read_project(const std::filesystem::path& path);

/// Reads the text of a project.toml.
[[nodiscard]] ProjectFile read_project_text(std::string text, const std::string& file);

/// Name of the file that makes a folder a project.
inline constexpr const char* project_file_name = "project.toml";

} // namespace venture::project
