#pragma once
/// What stands in each room: rated at the job's temperatures, chosen or kept.

#include <optional>
#include <string>
#include <vector>

#include <venture/loads/room_loads.hpp>
#include <venture/rating/choice.hpp>
#include <venture/services/services.hpp>
#include <venture/terminal/products.hpp>

namespace venture::terminal {

/// Output of one radiator, W; rated by its own law.
/// @throws quantity::RangeError if the water is not warmer than the room
[[nodiscard]] double radiator_output_W(const Radiator& radiator, double supply_C, double return_C, double room_C);

/// Total and sensible capacity of one fan coil, W.
struct FanCoilCapacity {
    double total_W = 0.0, sensible_W = 0.0;
};
/// Tables in water supply and entering wet bulb; the sensible part moves with the entering dry bulb by
/// rho cp V (1 - bypass) (t - t_table) and never exceeds the total.
/// @throws quantity::RangeError outside the tables, or for a water rise other than the tables'
[[nodiscard]] FanCoilCapacity fan_coil_capacity(const FanCoil& unit, double water_supply_C, double water_return_C,
                                                double entering_dry_bulb_C, double entering_wet_bulb_C);

/// One duty of one room and what meets it.
struct RoomSelection {
    std::size_t room = 0; ///< index into RoomLoads::rooms
    services::Duty duty = services::Duty::heating;
    services::UnitKind kind = services::UnitKind::radiator;
    std::size_t circuit = 0;
    double duty_W = 0.0;              ///< heating, or sensible and latent cooling together
    double sensible_duty_W = 0.0;     ///< of cooling
    double entering_C = 0.0;          ///< room air
    double entering_wet_bulb_C = 0.0; ///< of cooling
    rating::Choice choice{};
    std::optional<services::Kept> kept{}; ///< the product was kept: rated, not chosen
    bool kept_unknown = false;            ///< the kept product is not in the catalogue
    double duty_moved = 0.0;              ///< duty now over the one it was kept for, minus 1; 0 if not stated
    [[nodiscard]] bool met() const { return choice.chosen && choice.chosen->suffices(); }
};

/// Most units of one product in one room.
inline constexpr int most_units_in_a_room = 8;

/// Units for every served duty above zero, rooms in their order, heating before cooling.
[[nodiscard]] std::vector<RoomSelection> select_units(const loads::RoomLoads& loads, const services::Services& services,
                                                      const Products& products);

} // namespace venture::terminal
