#pragma once
/// The commands: each parses nothing and computes nothing; it calls the library and prints.

#include <filesystem>
#include <optional>
#include <string>
#include <vector>

#include <venture/cli/exit_code.hpp>
#include <venture/report/canvas.hpp>

namespace venture::cli {

/// What every command on a project is given.
struct CommonOptions {
    std::filesystem::path project{};
    std::vector<std::string> changes{}; ///< "key/path=value"
    bool json = false;
    bool strict = false; ///< warnings make the exit code 1
    double step_min = 10.0;
};

struct DrawOptions {
    report::Picture picture = report::Picture::svg;
    std::filesystem::path output{}; ///< empty: results/plan.<kind> in the project
    bool force = false;
};

[[nodiscard]] ExitCode check(const CommonOptions& options);
/// @param room  take this room apart instead of listing all
[[nodiscard]] ExitCode loads(const CommonOptions& options, const std::optional<std::string>& room, bool as_table);
[[nodiscard]] ExitCode size(const CommonOptions& options);
[[nodiscard]] ExitCode draw_plan(const CommonOptions& options, const DrawOptions& draw);
[[nodiscard]] ExitCode demo(const std::filesystem::path& folder, bool force);

} // namespace venture::cli
