#pragma once
/// What a room's load is made of, by the paths over its edge: each wall, window, neighbour, gain and stream of air, with what
/// radiates followed through its delay.

#include <functional>
#include <string>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/climate/design_day.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/loads/hourly_day.hpp>
#include <venture/loads/path_kind.hpp>

namespace venture::loads {

/// One path on one day; hour means.
struct LoadPath {
    PathKind kind = PathKind::other;
    std::string through{}; ///< surface, or whose air; empty for what is of the room as a whole
    HourlyDay cooling_W{}; ///< of the sensible load that balances it; negative: heating, or what lessens cooling
    HourlyDay
        temperature_K{}; ///< of the operative temperature above the reference; what a room that floats is taken apart by
    /// Heat that comes in by it in that hour, before any of it is stored; nothing where that cannot be said apart from the room.
    std::optional<HourlyDay> gain_W{};
};

struct RoomParts {
    std::string room{}, day{};
    int month = 0;
    double clock_ahead_h = 0.0, reference_C = 0.0;
    HourlyDay cooling_W{}; ///< sensible load of the building's run; heating negative
    HourlyDay operative_C{};
    std::vector<LoadPath> paths{};
    /// Largest difference between the load of an hour and the sum of its paths, as a share of the day's largest load.
    double missing = 0.0;
};

/// @param reference_C  from which temperatures count; the set-point makes for parts of a sensible size
[[nodiscard]] RoomParts parts_of_room(const building::Building& building, const climate::DesignDay& day,
                                      std::size_t room, double reference_C, const DesignOptions& options = {});
/// Of every room that is in the model, in the building's order, each from its own reference.
[[nodiscard]] std::vector<RoomParts> parts_of_rooms(const building::Building& building, const climate::DesignDay& day,
                                                    const std::vector<std::size_t>& rooms,
                                                    const std::vector<double>& reference_C,
                                                    const DesignOptions& options = {});

/// Dry bulb outdoors, mean of the day. degC
[[nodiscard]] double mean_outdoors_C(const climate::DesignDay& day);
struct Compiled;
/// What a room calls the surfaces of the model that was compiled; both must outlive what is returned.
[[nodiscard]] std::function<std::string(std::size_t surface)> naming(const building::Building& building,
                                                                     const Compiled& compiled, std::size_t room);

/// The day and hour of a room's peak, taken apart.
struct PeakParts {
    RoomParts parts{};
    std::size_t hour = 0; ///< of local standard time
};
/// Of winter design, counted from the set-point. @param load  of this room, as design_loads() gave it
/// @returns nothing for a room without that load, or whose load was typed
[[nodiscard]] std::optional<PeakParts> parts_of_heating(const building::Building& building, std::size_t room,
                                                        const RoomLoad& load, const DesignOptions& options = {});
/// Of the sensible part, in the hour in which both parts together are largest.
[[nodiscard]] std::optional<PeakParts> parts_of_cooling(const building::Building& building, std::size_t room,
                                                        const RoomLoad& load, const DesignOptions& options = {});
/// Of a room that floats: its warmest hour on the day of the hottest month, counted from that day's mean outdoors.
[[nodiscard]] std::optional<PeakParts> parts_of_warmth(const building::Building& building, std::size_t room,
                                                       const RoomLoad& load, const DesignOptions& options = {});

} // namespace venture::loads
