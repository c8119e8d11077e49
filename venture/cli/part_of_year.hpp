#pragma once
/// The part of a weather year that a command runs through.

#include <optional>
#include <string>
#include <vector>

#include <venture/cli/job.hpp>
#include <venture/cli/options.hpp>

namespace venture::cli {

/// Of `year`, unless --step says another.
inline constexpr double usual_year_step_min = 15.0;

/// What part of the weather year `year` runs through, and what it lists hour by hour.
struct YearOptions {
    std::string from{}; ///< "1 May"; empty: 1 January
    int days = 0;       ///< 0: to the end of the year
    double run_in_days = 30.0;
    std::vector<std::string> series{}; ///< empty, with csv: what most people look at
    std::string room{};                ///< that is taken apart; empty: none
    bool csv = false;
    std::vector<std::string> keep{};      ///< kinds of series that are kept beside; "all"
    std::string name{};                   ///< of the run that is kept
    bool again = false, not_kept = false; ///< run even if kept; keep nothing
};

/// Whether a job has a building and a weather year; tells what is missing.
[[nodiscard]] bool has_building_and_weather(const Job& job);
/// The part that was asked for; nothing, and told, if the year does not have it.
[[nodiscard]] std::optional<loads::BuildingYearOptions> part_of_year(const CommonOptions& options,
                                                                     const YearOptions& year, const Job& job);

} // namespace venture::cli
