#include <venture/climate/design_day.hpp>

#include <algorithm>

#include <venture/air/moist_air.hpp>
#include <venture/quantity/error.hpp>

namespace venture::climate {

using air::MoistAir;
using quantity::Temperature;

namespace {

constexpr int design_day_of_month = 21;
constexpr int design_year = 2022; // mid leap cycle; other years move the sun by at most 0.15 degrees

/// Share of the daily range below the maximum, at the hours 0..23 of local standard time.
constexpr std::array<double, 24> range_fraction = {0.82, 0.88, 0.92, 0.95, 0.98, 1.00, 0.98, 0.91,
                                                   0.74, 0.55, 0.38, 0.23, 0.13, 0.05, 0.00, 0.00,
                                                   0.06, 0.14, 0.24, 0.39, 0.50, 0.59, 0.68, 0.75};
static_assert(range_fraction[5] == 1.0 && range_fraction[14] == 0.0);

void set_sun(DesignDay& day, const Site& site, const CoolingMonth& month)
{
    const double outside = extraterrestrial_W_per_m2(day_of_year(month.month, design_day_of_month));
    for (std::size_t h = 0; h < DesignDay::points; ++h) {
        const UtcInstant when{design_year, month.month, design_day_of_month,
                              static_cast<double>(h % 24) - site.time_zone_h};
        day.sun[h] = sun_position(when, Angle::degrees(site.latitude_deg), Angle::degrees(site.longitude_deg));
        day.sky[h] =
            clear_sky(Angle::degrees(day.sun[h].elevation_deg()), outside, month.beam_depth, month.diffuse_depth);
    }
}

} // namespace

std::string month_name(int month)
{
    static constexpr std::array names = {"January", "February", "March",     "April",   "May",      "June",
                                         "July",    "August",   "September", "October", "November", "December"};
    quantity::check_range("month_name", "month", month, {1, 12}, "");
    return names[static_cast<std::size_t>(month - 1)];
}

DesignDay cooling_design_day(const Site& site, const CoolingMonth& month)
{
    quantity::check_range("cooling_design_day", "daily range", month.daily_range_K, {0.0, 40.0}, "K");
    DesignDay day{.name = month_name(month.month),
                  .month = month.month,
                  .clock_ahead_h = month.clock_ahead_h,
                  .ground_C = month.ground_C,
                  .pressure = air::standard_pressure(site.height_m),
                  .ground_reflectance = site.ground_reflectance};
    const auto peak = MoistAir::from_wet_bulb(Temperature::celsius(month.dry_bulb_C),
                                              Temperature::celsius(month.wet_bulb_C), day.pressure);
    for (std::size_t h = 0; h < DesignDay::points; ++h) {
        day.dry_bulb_C[h] = month.dry_bulb_C - range_fraction[h % 24] * month.daily_range_K;
        const double saturated = air::saturation_humidity_ratio(Temperature::celsius(day.dry_bulb_C[h]), day.pressure);
        day.humidity_ratio[h] = std::min(peak.humidity_ratio(), saturated);
        day.humidity_capped_at_saturation |= saturated < peak.humidity_ratio();
    }
    set_sun(day, site, month);
    return day;
}

DesignDay winter_design_day(const Site& site)
{
    constexpr double assumed_relative_humidity = 0.8;
    DesignDay day{.name = "winter design",
                  .ground_C = site.winter.ground_C,
                  .pressure = air::standard_pressure(site.height_m),
                  .ground_reflectance = site.ground_reflectance};
    const auto outside = MoistAir::from_relative_humidity(Temperature::celsius(site.winter.dry_bulb_C),
                                                          assumed_relative_humidity, day.pressure);
    day.dry_bulb_C.fill(site.winter.dry_bulb_C);
    day.humidity_ratio.fill(outside.humidity_ratio());
    day.sun.fill(SunPosition{.zenith_deg = 180.0}); // below the horizon all day
    return day;
}

std::array<PlaneIrradiance, DesignDay::points> irradiance_on_plane(const DesignDay& day, Angle tilt, Angle azimuth)
{
    std::array<PlaneIrradiance, DesignDay::points> out{};
    for (std::size_t h = 0; h < DesignDay::points; ++h)
        out[h] = clear_sky_on_plane(day.sky[h], day.sun[h], tilt, azimuth, day.ground_reflectance);
    return out;
}

} // namespace venture::climate
