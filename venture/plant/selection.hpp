#pragma once
/// What makes heat and cold: capacity for what its rooms need together, chosen or kept.

#include <optional>
#include <string>
#include <vector>

#include <venture/loads/room_loads.hpp>
#include <venture/rating/choice.hpp>
#include <venture/rating/kind.hpp>
#include <venture/services/services.hpp>

namespace venture::plant {

/// One plant, what it must do, and what does it.
struct PlantSelection {
    std::size_t plant = 0; ///< index into Services::plants
    std::vector<std::size_t> rooms{};
    double rooms_W = 0.0; ///< what its rooms need together: heating in winter design; cooling: coincident peak
    double units_W =
        0.0; ///< what their units take for that, with fan heat and what condenses, in the largest hour of it
    loads::Coincident coincident{};  ///< of cooling, as the units take it
    double circuits_diversity = 1.0; ///< of its circuits, weighted by what their rooms need
    double plant_diversity = 1.0;    ///< its own
    double margin = 0.0;
    rating::Duty duty{};    ///< with diversity and margin
    double supply_C = 0.0;  ///< hardest of its circuits
    double outdoor_C = 0.0; ///< that it is rated at: the hottest of the design months, and what its place adds
    rating::Choice choice{};
    std::optional<services::Kept> kept{};
    bool kept_unknown = false;
    double duty_moved = 0.0;
    [[nodiscard]] bool met() const { return duty.W <= 0.0 || (choice.chosen && choice.chosen->suffices()); }
};

/// Where plants stand.
struct Outdoors {
    double hottest_C = 0.0; ///< design dry bulb; what plant that cools is rated at
    double pressure_Pa = 101325.0, height_m = 0.0;
};

/// One selection a plant, in the order of the services. Each of its equal units takes an equal share of the duty.
/// @param of_units  the same loads as the units of the rooms take them (terminal::loads_of_units())
[[nodiscard]] std::vector<PlantSelection> select_plants(const loads::RoomLoads& loads, const loads::RoomLoads& of_units,
                                                        const services::Services& services,
                                                        const rating::Stocks& stocks, const Outdoors& outdoors);

} // namespace venture::plant
