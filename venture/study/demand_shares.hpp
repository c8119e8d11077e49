#pragma once
/// What makes up the largest hour of a circuit or a plant: rooms by their units, circuits that are mixed from it, circuits that it
/// feeds.

#include <string>
#include <vector>

#include <venture/figure/table.hpp>
#include <venture/study/sizing.hpp>

namespace venture::study {

/// One that a circuit or plant serves, in the hour in which all that is asked of that is largest.
struct DemandShare {
    std::string of{};     ///< circuit or plant
    std::string served{}; ///< room or circuit
    services::Service service = services::Service::heating;
    double needs_W = 0.0; ///< of a room, and of rooms on a circuit
    double asks_W = 0.0;  ///< of it: with fan heat and what condenses, diversity and losses of what lies between
    double of_all = 0.0;  ///< share of that hour
    double peak_W = 0.0;  ///< the most that it asks in whichever hour
};
/// The one that asks most first.
[[nodiscard]] std::vector<DemandShare> demand_shares(const Sizing& sizing);
[[nodiscard]] const figure::TableOf<DemandShare>& demand_share_columns();

} // namespace venture::study
