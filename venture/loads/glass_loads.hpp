#pragma once
/// What the sun through glass is of rooms' loads, hour by hour, and how it swings.

#include <string>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/climate/design_day.hpp>
#include <venture/figure/table.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/loads/glass_swing.hpp>

namespace venture::loads {

/// Rooms that a swing is asked of.
struct SwingOf {
    std::string of{}, day{};
    int month = 0;
    double clock_ahead_h = 0.0;
    std::size_t rooms = 0; ///< with glass load
    GlassSwing swing{};
};

/// Sun through windows that becomes load, delay and all, of each room in the building's order: the day replayed with that
/// alone. Rooms that are not cooled have none.
[[nodiscard]] std::vector<HourlyDay> glass_loads(const building::Building& building, const climate::DesignDay& day,
                                                 const DesignOptions& options = {});

/// Of the whole building, its storeys where there is more than one, and each cooled room with glass, each on the day of its
/// own month of largest cooling.
[[nodiscard]] std::vector<SwingOf> glass_swings(const building::Building& building, const RoomLoads& loads,
                                                const DesignOptions& options = {});

[[nodiscard]] const figure::TableOf<SwingOf>& glass_swing_columns();

} // namespace venture::loads
