#pragma once
/// Runs through the year that a project keeps: found again, or run and kept.

#include <string>
#include <vector>

#include <venture/cli/job.hpp>
#include <venture/cli/part_of_year.hpp>
#include <venture/store/kept_runs.hpp>

namespace venture::cli {

/// "results/kept_runs.sqlite" in the project.
[[nodiscard]] std::filesystem::path kept_runs_file(const Job& job);

/// What a run of this project, as it is now, would be kept under. @pre it has a building and a weather year
[[nodiscard]] store::RunKey run_key(const Job& job, const loads::BuildingYearOptions& options);

struct KeptYear {
    loads::BuildingYear year{};
    std::string said{}; ///< a sentence: kept as which run, read from which, or why it was not kept
};

/// Every kind of series, where kinds are named.
inline constexpr const char* all_kinds = "all";

/// The same run if it was kept with all that is asked; else runs it, with progress told, and keeps it. A file that cannot be
/// written is told, and does no harm to the run. @pre a building and a weather year are there
[[nodiscard]] KeptYear found_or_run(const Job& job, const loads::BuildingYearOptions& options, const YearOptions& year);

} // namespace venture::cli
