#pragma once
/// Build-ups of a project, for the commands that show one.

#include <optional>
#include <string>

#include <venture/cli/commands.hpp>
#include <venture/cli/job.hpp>

namespace venture::cli {

/// Index of a build-up of the project's building; nothing if none has that name.
[[nodiscard]] std::optional<std::size_t> find_buildup(const Job& job, const std::string& name);

/// Takes a build-up apart under the site's winter design.
[[nodiscard]] ExitCode explain_buildup(const Job& job, std::size_t index, const CommonOptions& options);

} // namespace venture::cli
