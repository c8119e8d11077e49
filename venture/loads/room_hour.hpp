#pragma once
/// One room in one hour of a design day: what it needs then, and what that is made of.

#include <venture/loads/room_parts.hpp>
#include <venture/quantity/ledger.hpp>

namespace venture::loads {

struct RoomHour {
    figure::When when{};
    double heating_W = 0.0, cooling_W = 0.0, latent_W = 0.0; ///< means over the hour
    double air_C = 0.0, operative_C = 0.0, outdoor_C = 0.0;
    AirBalance balance{}; ///< of its air
    PeakParts parts{};    ///< of that hour, though it need not be the peak

    /// What the room does then: "cooling", "heating", or "warmth" where it floats.
    [[nodiscard]] std::string_view of() const;
};

/// Counted from the set-point that acts; where the room floats, from the day's mean outdoors.
/// @param hour  of local standard time, 0 to 23
/// @param told  where it is written what people give in a room as warm as it is, and how outdoor air, bridges and air from other rooms come to what they give to the room's air
[[nodiscard]] RoomHour room_in_hour(const building::Building& building, std::size_t room, const climate::DesignDay& day,
                                    std::size_t hour, const DesignOptions& options = {},
                                    quantity::Ledger* told = nullptr);

} // namespace venture::loads
