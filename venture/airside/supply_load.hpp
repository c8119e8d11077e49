#pragma once
/// What all rooms of one air supply ask for together.

#include <span>
#include <string>
#include <vector>

#include <venture/loads/room_loads.hpp>

namespace venture::airside {

struct CoilLoad;

/// Rooms that a supply gives everything, in the largest hours of their sums.
struct SupplyLoad {
    std::string supply{};
    std::size_t rooms = 0;
    double heating_W = 0.0;      ///< of winter design
    loads::Coincident cooling{}; ///< of the cooling design days; nil where none are cooled
    bool cools = false;
    double supply_m3_per_s = 0.0, outdoor_m3_per_s = 0.0; ///< at once, of air at 20 degC; each in its own hour
    double fan_W = 0.0;                                   ///< electric, at the former
};

/// In the order in which supplies come among the rooms.
[[nodiscard]] std::vector<SupplyLoad> supply_loads(std::span<const CoilLoad> rooms);

} // namespace venture::airside
