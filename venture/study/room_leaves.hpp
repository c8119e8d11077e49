#pragma once
/// What rooms need, as the leaves of the network of services; and when its hours are.

#include <vector>

#include <venture/loads/room_loads.hpp>
#include <venture/services/needs.hpp>

namespace venture::study {

/// Hours of heating are those of winter design, hours of cooling those of all cooling design days, one day after another. Where
/// nothing is known by hour there is one hour, which stands for all.
struct RoomLeaves {
    std::vector<services::DemandAt> needs{};
    std::vector<services::DemandAt> heating_on_cooling_days{}; ///< of rooms that have hours
    std::vector<loads::LoadDay> cooling_days{};                ///< of what their hours are; without loads
    std::string winter_day{};

    [[nodiscard]] figure::When when(services::Service service, std::size_t hour) const;
    /// Of its largest; without an hour where all are alike, not known of one that has no hours.
    [[nodiscard]] figure::When when_largest(services::Service service, const services::Demand& demand) const;
};

[[nodiscard]] RoomLeaves leaves_of(const loads::RoomLoads& loads, const services::Services& services);

} // namespace venture::study
