#pragma once
/// Design loads as text for people and as JSON for machines. Computes nothing but sums of what it shows.

#include <string>

#include <nlohmann/json_fwd.hpp>

#include <venture/building/building.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

/// Title lines: job, site, and what the figures are.
[[nodiscard]] std::string loads_heading(const building::Building& building, const quantity::PreferredUnits& units = {});
/// A line a room, totals that say what they contain, and how the runs went.
[[nodiscard]] Text loads_text(const building::Building& building, const loads::DesignLoads& design,
                              const quantity::PreferredUnits& units = {});
[[nodiscard]] nlohmann::json loads_json(const building::Building& building, const loads::DesignLoads& design);
/// Of one room, as it stands there. @param origins  what its origins refer to
[[nodiscard]] nlohmann::json room_json(const loads::RoomLoad& room, const quantity::OriginPool& origins);

/// "July 15-16 h", "winter design".
[[nodiscard]] std::string when_in_words(const loads::When& when);

} // namespace venture::report
