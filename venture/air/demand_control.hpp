#pragma once
/// Outdoor air that follows the people in a room.

#include <span>
#include <vector>

#include <venture/air/carbon_dioxide.hpp>
#include <venture/air/room_need.hpp>

namespace venture::air {

/// By a count of heads. @param present  share of the people by step; @param running  whether air is supplied at all
/// @param least_m3_per_s  while it runs; @param lag_s  by which the flow comes after the need (first order; 0: at once)
/// @returns the flow of every step, m3/s, periodic: the lag goes over the end into the beginning
/// @throws quantity::RangeError  spans of different lengths, a lag or flow below 0
[[nodiscard]] std::vector<double> flow_by_head_count(const RoomNeed& need, std::span<const double> present,
                                                     const std::vector<bool>& running, double least_m3_per_s,
                                                     double step_s, double lag_s);

/// By carbon dioxide: the least flow of every step, between two bounds, that keeps to the limit at its end.
struct CarbonDioxideControl {
    double volume_m3 = 0.0, given_off_per_person_m3_per_s = 0.0;
    double outdoors = carbon_dioxide_outdoors, limit = 1000e-6; ///< shares of volume
    double least_m3_per_s = 0.0, most_m3_per_s = 0.0;
};
struct CarbonDioxideDay {
    std::vector<double> flow_m3_per_s{}, concentration{}; ///< of every step; at its end
};
/// @param people  by step; @param running  as above; a room without air is not ventilated at all
/// @returns the day that comes back to itself, but for what a room keeps over more than a hundred days
[[nodiscard]] CarbonDioxideDay flow_by_carbon_dioxide(const CarbonDioxideControl& control,
                                                      std::span<const double> people, const std::vector<bool>& running,
                                                      double step_s);

} // namespace venture::air
