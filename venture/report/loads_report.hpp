#pragma once
/// Design loads as a document: a line a room, what they are together, how the days were solved.

#include <optional>
#include <string>
#include <vector>

#include <venture/airside/coil_loads.hpp>
#include <venture/building/building.hpp>
#include <venture/figure/document.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/loads/load_figures.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::report {

/// "Kestrel Point, job D-001, revision B".
[[nodiscard]] std::string job_title(const building::Building& building);
/// One line: where it stands, and its design conditions.
[[nodiscard]] std::string site_line(const building::Building& building, const quantity::PreferredUnits& units);
/// What is told beside.
struct LoadsAsked {
    std::optional<double> supply_K{}; ///< by how much supply air is to be cooler than rooms, for what flow that takes
    std::vector<loads::RoomList> together{};    ///< lists of rooms with peaks of their own
    std::optional<loads::AfterDaysOff> after{}; ///< heating after days off
    const airside::CoilLoads* coils = nullptr;  ///< of air supplies; null: not told
    std::optional<loads::CoolingWeeks> weeks{}; ///< cooling over weeks of the building's own calendar
};

/// A line a room, totals that say what they contain, and how the runs went.
[[nodiscard]] figure::Document loads_document(const building::Building& building, const loads::DesignLoads& design,
                                              const quantity::PreferredUnits& units, const LoadsAsked& asked = {});

} // namespace venture::report
