#pragma once
/// A self-contained copy of a project: everything it reads, libraries too.

#include <string>
#include <vector>

#include <venture/project/output.hpp>
#include <venture/project/read_project.hpp>

namespace venture::project {

struct PackedFile {
    std::string name{}; ///< in the copy
    std::string from{}; ///< as the project names it
    FileRole role = FileRole::project;
    std::string fingerprint{}; ///< of the original's bytes
};

/// Writes the copy. Libraries go to libraries/NAME.toml, and the copy's [[library]] tables name them there; every other
/// file keeps its bytes and its place.
/// @throws quantity::Error if a file has gone or changed since it was read, or cannot be written
[[nodiscard]] std::vector<PackedFile> pack(const ProjectFile& project, OutputFolder& into);

} // namespace venture::project
