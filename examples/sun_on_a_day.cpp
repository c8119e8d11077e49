/// The sun on eight orientations of a clear design day: largest irradiance and when, and the day's sum.

#include <cstdio>

#include <venture/climate/date.hpp>
#include <venture/climate/sky.hpp>

namespace {

using namespace venture::climate;

constexpr const char* names[] = {"north", "north-east", "east", "south-east",
                                 "south", "south-west", "west", "north-west"};

} // namespace

int main()
{
    const Angle latitude = Angle::degrees(52.0), longitude = Angle::degrees(0.0), wall = Angle::degrees(90.0);
    constexpr double beam_depth = 0.40, diffuse_depth = 2.30, ground = 0.2;
    const double beyond = extraterrestrial_W_per_m2(day_of_year({7, 21}));
    for (int i = 0; i < 8; ++i) {
        double largest = 0.0, sum = 0.0, when = 0.0;
        for (double hour = 0.05; hour < 24.0; hour += 0.1) {
            const SunPosition sun = sun_position({2022, 7, 21, hour}, latitude, longitude);
            const ClearSky sky = clear_sky(Angle::degrees(sun.elevation_deg()), beyond, beam_depth, diffuse_depth);
            const double on = clear_sky_on_plane(sky, sun, wall, Angle::degrees(45.0 * i), ground).total_W_per_m2();
            sum += 0.1 * on;
            if (on > largest) {
                largest = on;
                when = hour;
            }
        }
        std::printf("%-11s %4.0f W/m2 at %4.1f h, %4.1f kWh/m2 in the day\n", names[i], largest, when, sum / 1000.0);
    }
    const SunDay day = sun_day({2022, 7, 21, 0.0}, latitude, longitude);
    std::printf("sun up from %.2f h to %.2f h, highest %.1f degrees\n", *day.rise_utc_h, *day.set_utc_h,
                day.noon_elevation_deg);
    return 0;
}
