#pragma once
/// Design loads as text for people and as JSON for machines. Computes nothing but sums of what it shows.

#include <string>

#include <nlohmann/json_fwd.hpp>

#include <venture/building/building.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::report {

/// Title lines: job, site, and what the figures are.
[[nodiscard]] std::string loads_heading(const building::Building& building, const quantity::PreferredUnits& units = {});
/// A line a room, totals that say what they contain, and how the runs went.
[[nodiscard]] std::string loads_text(const building::Building& building, const loads::DesignLoads& design,
                                     const quantity::PreferredUnits& units = {});
/// What a room's loads are made of, cause by cause.
struct RoomCauses {
    std::vector<loads::LoadCause> heating{}, cooling{};
};
/// One room taken apart: what its loads are made of, steady loss line by line, and the air's balance in the hour of the
/// cooling peak.
/// @param origins  what the room's origins refer to
[[nodiscard]] std::string room_text(const loads::RoomLoad& room, const RoomCauses& causes,
                                    const quantity::OriginPool& origins, const quantity::PreferredUnits& units = {});
[[nodiscard]] nlohmann::json loads_json(const building::Building& building, const loads::DesignLoads& design);

/// "July 15-16 h", "winter design".
[[nodiscard]] std::string when_in_words(const loads::When& when);

} // namespace venture::report
