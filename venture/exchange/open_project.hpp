#pragma once
/// A project folder, or a table of typed loads, as what a case begins with.

#include <filesystem>
#include <memory>
#include <string>
#include <vector>

#include <venture/project/read_project.hpp>
#include <venture/study/case.hpp>

namespace venture::exchange {

/// What was read of a project, and the case that begins with it.
struct Opened {
    std::shared_ptr<const project::ProjectFile> file{}; ///< its sources and folder; the input is with the case
    study::Case job;
};

struct OpenOptions {
    std::vector<std::filesystem::path>
        with{}; ///< files of values and tables that are laid over the project, one after the other
    std::vector<std::string> changes{}; ///< "room/Boat hall/height=5 m", over these
    std::vector<std::string>
        also{}; ///< names in the shipped library that are asked for without the project naming them
};
/// Reads a folder, a project file, or a table of typed loads (*.csv), with what ships with the program where the project names it.
/// Nothing is thrown: what is wrong is among the case's problems.
[[nodiscard]] Opened open_project(const std::filesystem::path& path, const OpenOptions& options = {});
/// A weather file that describes itself, and nothing else.
[[nodiscard]] Opened open_weather(const std::filesystem::path& file, const std::vector<std::string>& changes = {});

} // namespace venture::exchange
