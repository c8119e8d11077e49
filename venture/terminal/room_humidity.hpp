#pragma once
/// How humid a room is that nobody limits the humidity of, while a coil cools it.

#include <optional>

#include <venture/loads/room_loads.hpp>
#include <venture/rating/choice.hpp>

namespace venture::terminal {

/// A room and its coil in balance, in the hour of the room's peak.
struct RoomHumidity {
    double humidity_ratio = 0.0, relative = 0.0;
    rating::Output all{}; ///< of all units, in that air, to the full
};

/// The humidity ratio at which the coil takes as much moisture as people and outdoor air bring, while it runs so far that the
/// sensible load is met. The load holds the room at a humidity ratio that was assumed; at another one outdoor air brings more
/// or less by its flow times the difference. At most saturated.
/// @param at  what the units were rated at
/// @return nothing where the units refuse the air, where the load was typed, or where nothing is cooled
[[nodiscard]] std::optional<RoomHumidity> humidity_with(const rating::Rated& units, const rating::Conditions& at,
                                                        const loads::RoomLoad& load, double share, double pressure_Pa);

} // namespace venture::terminal
