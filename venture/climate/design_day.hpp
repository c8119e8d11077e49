#pragma once
/// A site's design conditions, and the hour-by-hour days made from them.

#include <array>
#include <optional>
#include <string>
#include <vector>

#include <venture/climate/sun.hpp>
#include <venture/quantity/types.hpp>

namespace venture::climate {

/// What cooling is designed for in one month.
struct CoolingMonth {
    int month = 7;              ///< 1..12; the day is the 21st
    double dry_bulb_C = 0.0;    ///< daily maximum
    double wet_bulb_C = 0.0;    ///< coincident with the daily maximum
    double daily_range_K = 0.0; ///< maximum minus minimum of the dry bulb
    double beam_depth = 0.0;    ///< optical depth for beam
    double diffuse_depth = 0.0; ///< optical depth for diffuse
    double ground_C = 10.0;     ///< temperature of the ground under the building
    double clock_ahead_h = 0.0; ///< by how much clocks are ahead of local standard time
};

/// What heating is designed for: steady, dark, empty.
struct WinterDesign {
    double dry_bulb_C = 0.0;
    double ground_C = 0.0;
};

/// A place on earth.
struct Site {
    std::string name{};
    double latitude_deg = 0.0;
    double longitude_deg = 0.0; ///< east positive
    double time_zone_h = 0.0;   ///< local standard time minus universal time
    double height_m = 0.0;      ///< above sea level
    double ground_reflectance = 0.2;
    WinterDesign winter{};
    std::vector<CoolingMonth> months{};
};

/// Weather of one day at the hours 0..24 of local standard time, linear in between.
struct DesignDay {
    static constexpr std::size_t points = 25;
    std::string name{}; ///< "January", "winter"
    int month = 0;      ///< 0 for the winter design
    double clock_ahead_h = 0.0;
    double ground_C = 0.0;
    quantity::Pressure pressure = quantity::Pressure::pascal(101325.0);
    std::array<double, points> dry_bulb_C{};
    std::array<double, points> humidity_ratio{}; ///< kg/kg dry air
    std::array<SunPosition, points> sun{};
    std::array<ClearSky, points> sky{};
    double ground_reflectance = 0.2;
    bool humidity_capped_at_saturation = false; ///< some night hours would be more than saturated; told, not hidden
};

/// Dry bulb falls from its maximum by the fraction of the daily range usual on clear days.
/// The humidity ratio is that of the coincident wet bulb all day, at most saturation.
/// Source    ASHRAE Handbook - Fundamentals, climatic design chapter, fractions of the daily range by hour.
/// @throws   quantity::RangeError for conditions outside the physics (wet bulb above dry bulb, latitude beyond a pole)
[[nodiscard]] DesignDay cooling_design_day(const Site& site, const CoolingMonth& month);

/// Constant dry bulb, no sun, saturated air at most at the outdoor temperature (80 % relative humidity assumed).
[[nodiscard]] DesignDay winter_design_day(const Site& site);

/// Irradiance on a plane at the 25 hourly points of a day.
[[nodiscard]] std::array<PlaneIrradiance, DesignDay::points> irradiance_on_plane(const DesignDay& day, Angle tilt,
                                                                                 Angle azimuth);

/// "January" ... "December".
[[nodiscard]] std::string month_name(int month);

} // namespace venture::climate
