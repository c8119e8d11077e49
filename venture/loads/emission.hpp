#pragma once
/// What rooms need where a part of their heat radiates, as the units that will stand in them give it.

#include <vector>

#include <venture/loads/design_loads.hpp>

namespace venture::loads {

/// Winter design once more, with so much of the heat radiating to the surfaces of each room.
/// @param radiant_share  0..1, by room
/// @return hour means, W, 24 for each room
[[nodiscard]] std::vector<std::vector<double>> heating_with_radiant_shares(const building::Building& building,
                                                                           const std::vector<double>& radiant_share,
                                                                           const DesignOptions& options);

} // namespace venture::loads
