#pragma once
/// Files that Venture writes: under a temporary name first, never over what it did not write itself.

#include <filesystem>
#include <map>
#include <string>

namespace venture::project {

/// Writes under a temporary name beside the target and renames: a reader sees the old file or the new one.
/// @throws quantity::Error if it cannot be written
void replace_file(const std::filesystem::path& target, const std::string& content);

/// A folder of results with a manifest of what Venture wrote into it, by name and fingerprint.
class OutputFolder {
public:
    /// Opens (and makes) a folder and reads its manifest, if there is one.
    /// @throws quantity::Error if the folder cannot be made or the manifest cannot be understood
    /// @param force  write even over files that Venture did not write or that someone has changed since
    explicit OutputFolder(std::filesystem::path folder, bool force = false);

    /// Writes one file whole and notes it in the manifest; leaves what was there on any failure.
    /// @throws quantity::Error if the file exists and is not ours, or cannot be written
    void write(const std::string& name, const std::string& content);

    [[nodiscard]] const std::filesystem::path& folder() const { return folder_; }

private:
    void check_ours(const std::string& name) const;
    void write_manifest() const;

    std::filesystem::path folder_;
    bool force_;
    std::map<std::string, std::string> written_{}; ///< name -> fingerprint
};

/// Name of the manifest inside an output folder.
inline constexpr const char* manifest_name = ".venture-manifest.json";

} // namespace venture::project
