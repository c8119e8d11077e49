#pragma once
/// A design day hour by hour, for whoever checks it.

#include <string>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/figure/table.hpp>
#include <venture/loads/design_loads.hpp>

namespace venture::loads {

/// Means over one hour; heat in W. What comes into the air, with the sensible load, adds up to nothing.
struct LoadHour {
    std::string of{}; ///< room; "all rooms"
    std::string day{};
    std::size_t hour = 0; ///< of local standard time, 0..23
    int clock_hour = 0;
    double outdoor_C = 0.0, outdoor_humidity_ratio = 0.0;
    double sun_beam_W = 0.0, sun_diffuse_W = 0.0, sun_taken_up_W = 0.0; ///< through glass; set free in panes and shades
    double people_W = 0.0, lighting_W = 0.0, equipment_W = 0.0;         ///< sensible, to air and faces
    AirBalance into_air{};
    std::optional<double> air_C{}, operative_C{}, humidity_ratio{}; ///< of a room
    double heating_W = 0.0, sensible_W = 0.0, latent_W = 0.0;
};

/// 24 hours of each room, in the building's order and without those left out, on one design day: that which design_loads() runs, so that its peaks stand here.
[[nodiscard]] std::vector<LoadHour> design_hours(const building::Building& building, const climate::DesignDay& day,
                                                 const DesignOptions& options = {});
/// 24 hours of all of them together.
[[nodiscard]] std::vector<LoadHour> hours_together(const std::vector<LoadHour>& hours);

[[nodiscard]] const figure::TableOf<LoadHour>& load_hour_columns();

} // namespace venture::loads
