#pragma once
/// What moved between two runs.

#include <string>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/report/size_report.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

/// One figure of a run: a number of some quantity, or a choice in words.
struct Figure {
    std::string what{}; ///< "Boat hall, heating"
    double si = 0.0;
    std::string_view quantity{}; ///< key of quantity::printed_quantities(); empty for words
    std::string words{};
};
using Figures = std::vector<Figure>;

/// Areas, volumes and mean U-values of rooms.
[[nodiscard]] Figures figures_of(const building::Building& building);
/// Loads of rooms, and their totals.
[[nodiscard]] Figures figures_of(const loads::RoomLoads& loads);
/// What was chosen for whom.
[[nodiscard]] Figures figures_of(const Sizing& sizing);

/// A line for each figure that shows otherwise than before, is new or is gone; empty if nothing moved.
[[nodiscard]] Text moved_text(const Figures& before, const Figures& after, const quantity::PreferredUnits& units = {});

} // namespace venture::report
