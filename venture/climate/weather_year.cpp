#include <venture/climate/weather_year.hpp>

#include <algorithm>
#include <cmath>

#include <venture/climate/sky.hpp>
#include <venture/quantity/each_field.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/into_hash.hpp>

namespace venture::climate {

namespace {

constexpr int common_sun_year = 2022, leap_sun_year = 2024; // in the middle of the leap cycle

/// An hour of the year, local standard time, as an instant.
UtcInstant instant(const Place& place, double hour_of_year, bool leap, int calendar_year)
{
    const int year = calendar_year != 0 ? calendar_year : leap ? leap_sun_year : common_sun_year;
    return {year, 1, 1, hour_of_year - place.time_zone_h};
}

} // namespace

int WeatherYear::month_of(std::size_t step) const
{
    return month_day(static_cast<int>(step / steps_per_day()) + 1, leap).month;
}

std::uint64_t fingerprint_of(const WeatherYear& year)
{
    quantity::Hash hash;
    quantity::IntoHash into{hash};
    quantity::each_field(year, into);
    return hash.value();
}

std::size_t steps_in_year(bool leap, int steps_per_hour)
{
    return (leap ? 8784U : 8760U) * static_cast<std::size_t>(steps_per_hour);
}

SunPosition sun_in_year(const Place& place, double hour_of_year, bool leap, int calendar_year)
{
    return sun_position(instant(place, hour_of_year, leap, calendar_year), Angle::degrees(place.latitude_deg),
                        Angle::degrees(place.longitude_deg));
}

double StepSun::sine() const
{
    return up ? std::max(0.0, std::sin(Angle::degrees(middle.elevation_deg()).radians())) : 0.0;
}

std::vector<StepSun> suns_of_year(const Place& place, bool leap, int steps_per_hour, int calendar_year)
{
    std::vector<StepSun> suns(steps_in_year(leap, steps_per_hour));
    const double step_h = 1.0 / steps_per_hour;
    for (std::size_t i = 0; i < suns.size(); ++i) {
        const double start_h = static_cast<double>(i) * step_h;
        suns[i] = {sun_over(instant(place, start_h, leap, calendar_year), step_h, Angle::degrees(place.latitude_deg),
                            Angle::degrees(place.longitude_deg)),
                   extraterrestrial_W_per_m2(static_cast<int>(start_h / 24.0) + 1)};
    }
    return suns;
}

std::vector<std::vector<PlaneIrradiance>> irradiance_of_year(const WeatherYear& year, const std::vector<StepSun>& suns,
                                                             const std::vector<Plane>& planes,
                                                             double ground_reflectance)
{
    VENTURE_ASSERT(suns.size() == year.size());
    std::vector<std::vector<PlaneIrradiance>> out(planes.size(), std::vector<PlaneIrradiance>(year.size()));
    for (std::size_t i = 0; i < year.size(); ++i) {
        const ClearSky sky{year.beam_normal_W_per_m2[i], year.diffuse_horizontal_W_per_m2[i]};
        if (sky.beam_normal_W_per_m2 + sky.diffuse_horizontal_W_per_m2 <= 0.0) continue;
        const double elevation = suns[i].middle.elevation_deg();
        const SkyBrightness brightness =
            elevation > 0.0 ? perez_1990(sky, Angle::degrees(std::min(90.0, elevation)), suns[i].beyond_W_per_m2)
                            : SkyBrightness{};
        for (std::size_t p = 0; p < planes.size(); ++p)
            out[p][i] =
                on_plane(sky, suns[i].middle, brightness, planes[p].tilt, planes[p].azimuth, ground_reflectance);
    }
    return out;
}

std::vector<double> global_horizontal_W_per_m2(const WeatherYear& year, const std::vector<StepSun>& suns)
{
    VENTURE_ASSERT(suns.size() == year.size());
    std::vector<double> out(year.size());
    for (std::size_t i = 0; i < out.size(); ++i)
        out[i] = year.beam_normal_W_per_m2[i] * suns[i].sine() + year.diffuse_horizontal_W_per_m2[i];
    return out;
}

} // namespace venture::climate
