#pragma once
/// Which kept run and which of its series someone means.

#include <optional>
#include <string>
#include <vector>

#include <venture/cli/job.hpp>
#include <venture/store/kept_runs.hpp>

namespace venture::cli {

/// Nothing, and told, if the project keeps none yet.
[[nodiscard]] std::optional<store::KeptRuns> kept_runs_of(const Job& job);
/// A kind alone means those of all rooms.
[[nodiscard]] std::string whole_pattern(const std::string& typed);
/// Whether the project would be run as this run was.
[[nodiscard]] bool is_of_today(const Job& job, const store::KeptRun& run);
[[nodiscard]] std::string moved_text(const store::KeptRun& run);
/// By number or name; nothing, and told, if none is called so.
[[nodiscard]] std::optional<store::KeptRun> run_called(const store::KeptRuns& kept, const std::string& name);
/// The latest, if none is named.
[[nodiscard]] std::optional<store::KeptRun> run_meant(const store::KeptRuns& kept, const std::string& name);
/// Told, and which kinds there are, if there are none.
[[nodiscard]] bool found_any(const std::vector<store::KeptSeries>& series, const store::KeptRuns& kept,
                             const store::KeptRun& run, const std::string& pattern);

} // namespace venture::cli
