#pragma once
/// One room taken apart, as a document.

#include <optional>
#include <vector>

#include <venture/figure/document.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/loads/path_terms.hpp>
#include <venture/loads/room_hour.hpp>
#include <venture/loads/room_parts.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::report {

/// What a room's loads are made of: by path over its edge; and where asked for by source, wherever in the building that acts.
struct RoomCauses {
    std::vector<loads::LoadCause> heating{}, cooling{};
    std::optional<loads::PeakParts> heating_parts{}, cooling_parts{}, warmth_parts{};
};
/// What its loads are made of, steady loss line by line, and the air's balance in the hour of the cooling peak.
/// @param origins  what the room's origins refer to
[[nodiscard]] figure::Document room_document(const loads::RoomLoad& room, const RoomCauses& causes,
                                             const quantity::OriginPool& origins,
                                             const quantity::PreferredUnits& units);

/// One hour of a design day: what the room needs then, by path and into its air.
[[nodiscard]] figure::Document room_hour_document(const loads::RoomHour& hour, const building::Room& room,
                                                  const quantity::PreferredUnits& units);
/// The hours that one path's load adds up from. @param reference_C  that temperatures count from
[[nodiscard]] figure::Document terms_document(const loads::PathTerms& terms, double reference_C,
                                              const quantity::PreferredUnits& units);

} // namespace venture::report
