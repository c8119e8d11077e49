#pragma once
/// What stands in each room: rated at the job's temperatures, chosen or kept.

#include <optional>
#include <string>
#include <vector>

#include <venture/loads/room_loads.hpp>
#include <venture/rating/choice.hpp>
#include <venture/rating/kind.hpp>
#include <venture/services/services.hpp>
#include <venture/terminal/places.hpp>
#include <venture/terminal/primary_air.hpp>
#include <venture/terminal/room_humidity.hpp>
#include <venture/terminal/wishes.hpp>

namespace venture::terminal {

/// Where units of a room stand.
enum class Placing : std::uint8_t { not_placed, under_windows, along_walls, windows_and_walls, over_doors };

/// One unit in its place.
struct Standing {
    const rating::Product* product = nullptr;
    Spot spot{};
    bool under_window = false;
};

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
    RoomWish wish{};
    std::optional<RoomHumidity> humidity{}; ///< of a cooled room that nobody limits it of
    Placing placing = Placing::not_placed;
    std::vector<Standing> standing{}; ///< one a unit, where they are placed
    double duty_moved = 0.0;          ///< duty now over the one it was kept for, minus 1; 0 if not stated
    [[nodiscard]] bool met() const { return choice.chosen && choice.chosen->suffices(); }
};

/// Where it all stands, as far as ratings go.
struct Surroundings {
    double pressure_Pa = 101325.0, height_m = 0.0;
};

/// What is wanted of units, and where they can stand: nothing and nowhere unless given.
struct RoomsToFurnish {
    const Wishes& wishes;
    std::span<const RoomPlaces> places{};                     ///< by room of the loads; may be empty
    std::span<const std::optional<PrimaryAir>> primary_air{}; ///< alike
};

/// Units for every served duty above zero, rooms in their order, heating before cooling.
/// @param loads  with what primary air adds or takes off
[[nodiscard]] std::vector<RoomSelection> select_units(const loads::RoomLoads& loads, const services::Services& services,
                                                      const rating::Stocks& stocks, const Surroundings& around = {},
                                                      const RoomsToFurnish& rooms = {Wishes{}});

/// Turns what rooms need into what the water of their units gives or takes: with the heat of their fans, and with what
/// their coils condense while they take what the room needs, in air as the room has it at its peak: as humid as coil and room
/// come to an agreement on where nobody limits it. Where nothing was chosen
/// it stays what the rooms need.
[[nodiscard]] services::PassOn what_units_take(const std::vector<RoomSelection>& units);

} // namespace venture::terminal

template <>
struct venture::quantity::WordsOf<venture::terminal::Placing> {
    static constexpr std::array<std::string_view, 5> words = {"not placed", "under windows", "along walls",
                                                              "under windows and along walls", "over doors"};
};
