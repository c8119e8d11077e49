#pragma once
/// What makes heat and cold: capacity for what its rooms need together, chosen or kept.

#include <optional>
#include <string>
#include <vector>

#include <venture/loads/room_loads.hpp>
#include <venture/rating/capacity_table.hpp>
#include <venture/rating/choice.hpp>
#include <venture/services/services.hpp>

namespace venture::plant {

struct Boiler {
    std::string name{}, maker{};
    double nominal_W = 0.0;
    double highest_supply_C = 90.0;
};

/// An air-cooled chiller, rated over water supply and outdoor temperature.
struct Chiller {
    std::string name{}, maker{};
    rating::CapacityTable capacity_W; ///< rows: water supply, columns: outdoor dry bulb, degC
};

struct Products {
    std::vector<Boiler> boilers{};
    std::vector<Chiller> chillers{};
};

/// One plant, what it must do, and what does it.
struct PlantSelection {
    std::size_t plant = 0; ///< index into Services::plants
    std::vector<std::size_t> rooms{};
    double rooms_W = 0.0;            ///< heating: together in winter design; cooling: coincident peak
    loads::Coincident coincident{};  ///< of cooling
    double circuits_diversity = 1.0; ///< of its circuits, weighted by what their rooms need
    double plant_diversity = 1.0;    ///< its own
    double margin = 0.0;
    double duty_W = 0.0;    ///< with diversity and margin
    double supply_C = 0.0;  ///< hardest of its circuits
    double outdoor_C = 0.0; ///< that a chiller is rated at: the hottest of the design months
    rating::Choice choice{};
    std::optional<services::Kept> kept{};
    bool kept_unknown = false;
    double duty_moved = 0.0;
    [[nodiscard]] bool met() const { return duty_W <= 0.0 || (choice.chosen && choice.chosen->suffices()); }
};

/// One selection a plant, in the order of the services. Each of its equal units takes an equal share of the duty.
/// @param outdoor_design_C  hottest design outdoor temperature; what chillers are rated at for typed loads
[[nodiscard]] std::vector<PlantSelection> select_plants(const loads::RoomLoads& loads,
                                                        const services::Services& services, const Products& products,
                                                        double outdoor_design_C);

} // namespace venture::plant
