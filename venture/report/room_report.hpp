#pragma once
/// One room taken apart, as text.

#include <string>
#include <vector>

#include <nlohmann/json_fwd.hpp>
#include <venture/loads/design_loads.hpp>

#include <venture/loads/room_loads.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

/// What a room's loads are made of, cause by cause.
struct RoomCauses {
    std::vector<loads::LoadCause> heating{}, cooling{};
};
/// One room taken apart: what its loads are made of, steady loss line by line, and the air's balance in the hour of the
/// cooling peak.
/// @param origins  what the room's origins refer to
[[nodiscard]] Text room_text(const loads::RoomLoad& room, const RoomCauses& causes, const quantity::OriginPool& origins,
                             const quantity::PreferredUnits& units = {});

/// The same for machines: the room as among all loads, and its causes.
[[nodiscard]] nlohmann::json room_json(const loads::RoomLoad& room, const RoomCauses& causes,
                                       const quantity::OriginPool& origins);

} // namespace venture::report
