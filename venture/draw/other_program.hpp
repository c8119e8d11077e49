#pragma once
/// Internal to `draw`: other programs, run for what they draw or lay out.

#include <filesystem>
#include <string>

namespace venture::draw {

/// A folder of its own, gone when done.
class ScratchFolder {
public:
    /// @throws quantity::Error  none can be made
    ScratchFolder();
    ~ScratchFolder();
    ScratchFolder(const ScratchFolder&) = delete;
    ScratchFolder& operator=(const ScratchFolder&) = delete;
    [[nodiscard]] std::filesystem::path file(const char* name) const { return std::filesystem::path{path_} / name; }

private:
    std::string path_;
};

/// All of a file; nothing of one that is not there.
[[nodiscard]] std::string bytes_of(const std::filesystem::path& file);

struct OtherProgram {
    std::string command{}, package{};
    std::string draws{}; ///< "charts are drawn": what it is run for
};
/// Files that it reads and writes; `output` may be empty: what it prints is lost.
struct ItsFiles {
    std::filesystem::path input{}, output{}, said{};
};
/// @return  what it ended with   @throws quantity::Error  it does not run: names the package
[[nodiscard]] int run_program(const OtherProgram& program, const ItsFiles& files);

} // namespace venture::draw
