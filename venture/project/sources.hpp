#pragma once
/// The files that a project was read from.

#include <cstdint>
#include <deque>
#include <filesystem>
#include <string>
#include <string_view>

namespace venture::project {

enum class FileRole { project, include, table, loads, weather, calendar, library, catalogue };

[[nodiscard]] std::string_view name_of(FileRole role);

struct SourceFile {
    std::string name{}; ///< that places are told with: relative to the project's folder
    FileRole role = FileRole::project;
    std::string text{};           ///< UTF-8
    std::filesystem::path path{}; ///< where it lies; empty if it was never a file
    std::string fingerprint{};    ///< of its bytes, 16 hexadecimal digits
    std::string library{};        ///< of a library: what the project calls it
    /// A link led out of the project's folder and the one round it: it is read, but nothing that stands there is told.
    bool linked_out = false;
};

/// Files in the order in which they were read.
class Sources {
public:
    /// Keeps a file; its fingerprint is that of the bytes given, and whether a link led to it is found.
    SourceFile& add(SourceFile file, std::string_view bytes);
    [[nodiscard]] const SourceFile* find(std::string_view name) const;
    /// Place in the order of reading; the number of files for a name that was not read.
    [[nodiscard]] std::size_t index(std::string_view name) const;
    [[nodiscard]] const std::deque<SourceFile>& files() const { return files_; }

private:
    std::deque<SourceFile> files_{};
};

/// Tells contents apart; it does not protect them.
[[nodiscard]] std::string fingerprint(std::string_view bytes);

} // namespace venture::project
