#pragma once
/// A project folder (or its text) into input::Input, with every mistake told at once.

#include <filesystem>
#include <functional>
#include <string>
#include <vector>

#include <venture/input/input.hpp>
#include <venture/project/diagnostics.hpp>
#include <venture/quantity/problems.hpp>

namespace venture::project {

struct ProjectFile {
    input::Input input{};
    quantity::Problems problems{};
    Sources sources{}; ///< every file that was read: includes, tables and libraries too
    std::filesystem::path folder{};
    bool whole = true; ///< false: a mistake in the notation kept parts from being read
};

/// A file's bytes, or why not: missing, a folder, too large, unreadable.
struct FileText {
    std::string text{};
    std::string problem{}; ///< empty if all is well
};
[[nodiscard]] FileText read_file(const std::filesystem::path& file);

/// Brings the bytes of a file that a project names.
using FileLoader = std::function<FileText(const std::filesystem::path& named)>;

/// Reads `path`, a folder that holds project.toml or a TOML file itself, and what it includes.
[[nodiscard]] ProjectFile read_project(const std::filesystem::path& path);

/// Reads the text of a project.toml.
/// @param load  brings what it includes; without it an include is an error
[[nodiscard]] ProjectFile read_project_text(std::string text, const std::string& file, const FileLoader& load = {});

/// Why a path may not be named where only files inside the project's folder may; empty if it may.
[[nodiscard]] std::string outside_project(const std::filesystem::path& named);

/// Name of the file that makes a folder a project.
inline constexpr const char* project_file_name = "project.toml";

} // namespace venture::project
