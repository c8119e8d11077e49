#pragma once
/// What makes heat and cold: capacity for what its rooms need together, chosen or kept.

#include <optional>
#include <string>
#include <vector>

#include <venture/rating/choice.hpp>
#include <venture/rating/kind.hpp>
#include <venture/services/needs.hpp>

namespace venture::plant {

/// One plant, what it must do, and what does it.
struct PlantSelection {
    std::size_t plant = 0; ///< index into Services::plants
    rating::Service service = rating::Service::heating;
    std::vector<std::size_t> rooms{};
    double rooms_W = 0.0;        ///< what its rooms need, in the largest hour of their sum
    double units_W = 0.0;        ///< what their units and typed circuits take, in the largest hour of it
    double circuits_W = 0.0;     ///< that with diversity and losses of its circuits; or typed for the plant itself
    std::size_t hour = 0;        ///< of the largest: of all hours of its service's days
    double sum_of_peaks_W = 0.0; ///< of units and typed circuits, each in its own hour
    bool by_hour = true;         ///< false: something has no hours and was added at its peak
    bool typed = false;          ///< what it must give was typed instead of the sum of its circuits
    rating::Duty duty{};         ///< with all allowances
    double supply_C = 0.0;       ///< hardest of its circuits
    double glycol = 0.0;         ///< most of its circuits
    double outdoor_C = 0.0; ///< that it is rated at: cooling: the hottest of the design months, and what its place adds
    rating::Choice choice{};
    std::optional<services::Kept> kept{};
    bool kept_unknown = false;
    double duty_moved = 0.0;
    [[nodiscard]] bool met() const { return duty.W <= 0.0 || (choice.chosen && choice.chosen->suffices()); }
};

/// Where plants stand.
struct Outdoors {
    double hottest_C = 0.0; ///< design dry bulb; what plant that cools is rated at
    double coldest_C = 0.0; ///< of winter design; what plant that heats with outdoor air is rated at
    double pressure_Pa = 101325.0, height_m = 0.0;
};

/// One selection for each service of a plant, in the order of the plants. Each of its equal units takes an equal share of the
/// duty; a plant of two services is one product, chosen for both.
[[nodiscard]] std::vector<PlantSelection> select_plants(const services::Needs& needs,
                                                        const services::Services& services,
                                                        const rating::Stocks& stocks, const Outdoors& outdoors);

} // namespace venture::plant
