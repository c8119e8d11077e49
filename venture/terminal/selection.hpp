#pragma once
/// What stands in each room: rated at the job's temperatures, chosen or kept.

#include <optional>
#include <string>
#include <vector>

#include <venture/loads/room_loads.hpp>
#include <venture/rating/choice.hpp>
#include <venture/rating/kind.hpp>
#include <venture/services/services.hpp>

namespace venture::terminal {

/// One duty of one room and what meets it.
struct RoomSelection {
    std::size_t room = 0; ///< index into RoomLoads::rooms
    std::size_t circuit = 0;
    services::NodeId node = 0; ///< of the units in the network
    double share = 1.0;        ///< of what the room needs; the rest other circuits give
    rating::Duty duty{};
    rating::Conditions at{}; ///< what products were rated at
    rating::Choice choice{};
    std::optional<services::Kept> kept{}; ///< the product was kept: rated, not chosen
    bool kept_unknown = false;            ///< the kept product is not in the catalogue
    double duty_moved = 0.0;              ///< duty now over the one it was kept for, minus 1; 0 if not stated
    [[nodiscard]] bool met() const { return choice.chosen && choice.chosen->suffices(); }
};

/// Most units of one product in one room.
inline constexpr int most_units_in_a_room = 8;

/// Where it all stands, as far as ratings go.
struct Surroundings {
    double pressure_Pa = 101325.0, height_m = 0.0;
};

/// Units for every served duty above zero, rooms in their order, heating before cooling.
[[nodiscard]] std::vector<RoomSelection> select_units(const loads::RoomLoads& loads, const services::Services& services,
                                                      const rating::Stocks& stocks, const Surroundings& around = {});

/// Turns what rooms need into what the water of their units gives or takes: with the heat of their fans, and with what
/// their coils condense while they take what the room needs, in air as the room has it at its peak. Where nothing was chosen
/// it stays what the rooms need.
[[nodiscard]] services::PassOn what_units_take(const std::vector<RoomSelection>& units);

} // namespace venture::terminal
