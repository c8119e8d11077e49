#include <venture/climate/sun.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

#include <venture/climate/degree.hpp>
#include <venture/quantity/error.hpp>

namespace venture::climate {

using quantity::check_range;

namespace {

double wrapped_360(double x)
{
    const double r = std::fmod(x, 360.0);
    return r < 0.0 ? r + 360.0 : r;
}

/// Julian day; Meeus, chapter 7.
double julian_day(const UtcInstant& t)
{
    int y = t.year, m = t.month;
    if (m <= 2) {
        y -= 1;
        m += 12;
    }
    const int a = y / 100, b = 2 - a + a / 4;
    return std::floor(365.25 * (y + 4716)) + std::floor(30.6001 * (m + 1)) + t.day + b - 1524.5 + t.hour / 24.0;
}

/// Apparent place of the sun and the sidereal time at Greenwich, all in degrees.
struct Apparent {
    double right_ascension, declination, mean_longitude, obliquity, nutation, sidereal_time;
};

Apparent apparent_sun(double jd)
{
    constexpr double tt_minus_ut_s = 69.0; // of the 2020s; a minute more or less moves the sun by 0.0007 degrees
    const double T = (jd + tt_minus_ut_s / 86400.0 - 2451545.0) / 36525.0;
    const double L0 = wrapped_360(280.46646 + T * (36000.76983 + T * 0.0003032));
    const double M = (357.52911 + T * (35999.05029 - T * 0.0001537)) * deg;
    const double centre = (1.914602 - T * (0.004817 + T * 0.000014)) * std::sin(M) +
                          (0.019993 - T * 0.000101) * std::sin(2.0 * M) + 0.000289 * std::sin(3.0 * M);
    const double node = (125.04 - 1934.136 * T) * deg;
    const double nutation = -0.00478 * std::sin(node);
    const double longitude = (L0 + centre - 0.00569 + nutation) * deg;
    const double obliquity =
        (23.439291 - T * (0.0130042 + T * (1.64e-7 - T * 5.04e-7)) + 0.00256 * std::cos(node)) * deg;
    const double days = jd - 2451545.0, Tu = days / 36525.0;
    return {
        wrapped_360(std::atan2(std::cos(obliquity) * std::sin(longitude), std::cos(longitude)) / deg),
        std::asin(std::sin(obliquity) * std::sin(longitude)) / deg,
        L0,
        obliquity,
        nutation,
        wrapped_360(280.46061837 + 360.98564736629 * days + 0.000387933 * Tu * Tu + nutation * std::cos(obliquity))};
}

constexpr const char* sun_stands = "position of the sun: place, date, hour (Meeus)";

double diffuse_ratio(double cos_on_vertical)
{
    return std::max(0.45, 0.55 + 0.437 * cos_on_vertical + 0.313 * cos_on_vertical * cos_on_vertical);
}

void check_place_and_time(const UtcInstant& when, Angle latitude, Angle longitude)
{
    check_range("sun_position", "latitude", latitude.degrees(), {-90.0, 90.0}, "deg");
    check_range("sun_position", "longitude", longitude.degrees(), {-180.0, 180.0}, "deg");
    check_range("sun_position", "year", when.year, {1900, 2100}, "");
    check_range("sun_position", "month", when.month, {1, 12}, "");
}

SunPosition position(const Apparent& sun, double hour_angle, Angle latitude)
{
    SunPosition out = sun_at(Angle::degrees(sun.declination), Angle::degrees(hour_angle / deg), latitude);
    const double equation_deg =
        sun.mean_longitude - 0.0057183 - sun.right_ascension + sun.nutation * std::cos(sun.obliquity);
    out.equation_of_time_min = 4.0 * (wrapped_360(equation_deg + 180.0) - 180.0);
    return out;
}

double hour_angle(const Apparent& sun, Angle longitude)
{
    return (sun.sidereal_time + longitude.degrees() - sun.right_ascension) * deg;
}

} // namespace

SunPosition sun_at(Angle declination, Angle hour_angle, Angle latitude)
{
    const double phi = latitude.radians(), delta = declination.radians(), turn = hour_angle.radians();
    const double east = -std::cos(delta) * std::sin(turn);
    const double north = std::sin(delta) * std::cos(phi) - std::cos(delta) * std::cos(turn) * std::sin(phi);
    const double up = std::sin(delta) * std::sin(phi) + std::cos(delta) * std::cos(turn) * std::cos(phi);
    return {.zenith_deg = std::atan2(std::hypot(east, north), up) / deg,
            .azimuth_deg = wrapped_360(std::atan2(east, north) / deg),
            .declination_deg = declination.degrees()};
}

SunPosition sun_position(const UtcInstant& when, Angle latitude, Angle longitude)
{
    check_place_and_time(when, latitude, longitude);
    const Apparent sun = apparent_sun(julian_day(when));
    return position(sun, hour_angle(sun, longitude), latitude);
}

SunSpan sun_over(const UtcInstant& start, double hours, Angle latitude, Angle longitude)
{
    check_place_and_time(start, latitude, longitude);
    check_range("sun_over", "length", hours, {1e-6, 6.0}, "h");
    constexpr double turn = 2.0 * std::numbers::pi;
    const Apparent sun = apparent_sun(julian_day({start.year, start.month, start.day, start.hour + 0.5 * hours}));
    const double middle = std::remainder(hour_angle(sun, longitude), turn), half = 0.5 * hours * 15.0 * deg;
    // sine of the elevation = a + b cos(hour angle): up between the hour angles of rise and set
    const double a = std::sin(latitude.radians()) * std::sin(sun.declination * deg);
    const double b = std::cos(latitude.radians()) * std::cos(sun.declination * deg);
    const double set = a >= b ? std::numbers::pi : a <= -b ? 0.0 : std::acos(-a / b);
    double integral = 0.0, longest = 0.0, middle_of_longest = middle;
    for (const double day : {-turn, 0.0, turn}) { // the time may reach into the day before or after
        const double from = std::max(middle - half, day - set), to = std::min(middle + half, day + set);
        if (to <= from) continue;
        integral += a * (to - from) + b * (std::sin(to) - std::sin(from));
        if (to - from <= longest) continue;
        longest = to - from;
        middle_of_longest = 0.5 * (from + to);
    }
    return {position(sun, middle_of_longest, latitude), std::max(0.0, integral / (2.0 * half)), longest > 0.0};
}

SunDay sun_day(const UtcInstant& date, Angle latitude, Angle longitude, Angle centre)
{
    const auto sun = [&](double hour) {
        return sun_position({date.year, date.month, date.day, hour}, latitude, longitude);
    };
    SunDay day;
    for (int i = 0; i < 3; ++i) // the equation of time moves by half a minute a day: twice would do
        day.noon_utc_h = 12.0 - longitude.degrees() / 15.0 - sun(day.noon_utc_h).equation_of_time_min / 60.0;
    day.noon_elevation_deg = sun(day.noon_utc_h).elevation_deg();
    const auto crossing = [&](double towards) -> std::optional<double> {
        double up = day.noon_utc_h, down = day.noon_utc_h + towards;
        const auto is_up = [&](double hour) { return sun(hour).elevation_deg() > centre.degrees(); };
        if (!is_up(up) || is_up(down)) return std::nullopt;
        for (int i = 0; i < 40; ++i) (is_up(0.5 * (up + down)) ? up : down) = 0.5 * (up + down);
        return up;
    };
    day.rise_utc_h = crossing(-12.0);
    day.set_utc_h = crossing(12.0);
    return day;
}

SkyDirection direction_of(const SunPosition& sun)
{
    const double zenith = sun.zenith_deg * deg, azimuth = sun.azimuth_deg * deg, level = std::sin(zenith);
    return {level * std::sin(azimuth), level * std::cos(azimuth), std::cos(zenith)};
}

double cos_incidence(const SunPosition& sun, Angle tilt, Angle azimuth)
{
    const double zenith = sun.zenith_deg * deg;
    return std::cos(zenith) * std::cos(tilt.radians()) +
           std::sin(zenith) * std::sin(tilt.radians()) * std::cos((sun.azimuth_deg - azimuth.degrees()) * deg);
}

double extraterrestrial_W_per_m2(int day_of_year, double solar_constant_W_per_m2, const quantity::LedgerOf* told)
{
    const double out = solar_constant_W_per_m2 * (1.0 + 0.033 * std::cos(360.0 * (day_of_year - 3) / 365.0 * deg));
    if (told != nullptr)
        told->write({.what = "sun outside the atmosphere",
                     .symbol = "E0",
                     .formula = "Esc*(1 + 0.033*cos(360*(day - 3)/365))",
                     .inputs = {{"Esc", solar_constant_W_per_m2, "W/m2", "solar constant"},
                                {"day", static_cast<double>(day_of_year), "1", "of the year: the 21st of the month"}},
                     .value = out,
                     .unit = "W/m2"});
    return out;
}

double relative_air_mass(Angle elevation, const quantity::LedgerOf* told)
{
    check_range("relative_air_mass", "elevation", elevation.degrees(), {0.0, 90.0}, "deg");
    const double out =
        1.0 / (std::sin(elevation.radians()) + 0.50572 * std::pow(6.07995 + elevation.degrees(), -1.6364));
    if (told != nullptr)
        told->write({.what = "air mass",
                     .symbol = "m",
                     .formula = "1/(sin(height) + 0.50572*(6.07995 + height)^(-1.6364))",
                     .inputs = {{"height", elevation.degrees(), "deg", sun_stands}},
                     .value = out,
                     .unit = "1"});
    return out;
}

ClearSky clear_sky(Angle elevation, double extraterrestrial_W_per_m2, double beam_depth, double diffuse_depth,
                   ClearSkyEdition edition, const quantity::LedgerOf* told)
{
    check_range("clear_sky", "beam optical depth", beam_depth, {1e-6, 3.0}, "");
    check_range("clear_sky", "diffuse optical depth", diffuse_depth, {1e-6, 5.0}, "");
    if (elevation.degrees() <= 0.0) return {};
    const double m = relative_air_mass(elevation, told), tb = beam_depth, td = diffuse_depth;
    const bool old = edition == ClearSkyEdition::of_2009;
    const double ab =
        old ? 1.219 - 0.043 * tb - 0.151 * td - 0.204 * tb * td : 1.454 - 0.406 * tb - 0.268 * td + 0.021 * tb * td;
    const double ad =
        old ? 0.202 + 0.852 * tb - 0.007 * td - 0.357 * tb * td : 0.507 + 0.205 * tb - 0.080 * td - 0.190 * tb * td;
    const ClearSky sky{extraterrestrial_W_per_m2 * std::exp(-tb * std::pow(m, ab)),
                       extraterrestrial_W_per_m2 * std::exp(-td * std::pow(m, ad))};
    if (told == nullptr) return sky;
    const quantity::LedgerInput beam{"tb", tb, "1", "site.month/beam_depth"},
        diffuse{"td", td, "1", "site.month/diffuse_depth"}, outside{"E0", extraterrestrial_W_per_m2, "W/m2", "above"},
        mass{"m", m, "1", "above"};
    const auto write = [&](const char* what, const char* symbol, const char* formula,
                           std::vector<quantity::LedgerInput> inputs, double value, const char* unit) {
        told->write({.what = what,
                     .symbol = symbol,
                     .formula = formula,
                     .inputs = std::move(inputs),
                     .value = value,
                     .unit = unit});
    };
    write("exponent of the beam", "ab",
          old ? "1.219 - 0.043*tb - 0.151*td - 0.204*tb*td" : "1.454 - 0.406*tb - 0.268*td + 0.021*tb*td",
          {beam, diffuse}, ab, "1");
    write("exponent of the diffuse", "ad",
          old ? "0.202 + 0.852*tb - 0.007*td - 0.357*tb*td" : "0.507 + 0.205*tb - 0.080*td - 0.190*tb*td",
          {beam, diffuse}, ad, "1");
    write("beam, facing the sun", "Eb", "E0*exp(-tb*m^ab)", {outside, beam, mass, {"ab", ab, "1", "above"}},
          sky.beam_normal_W_per_m2, "W/m2");
    write("diffuse on the horizontal", "Ed", "E0*exp(-td*m^ad)", {outside, diffuse, mass, {"ad", ad, "1", "above"}},
          sky.diffuse_horizontal_W_per_m2, "W/m2");
    return sky;
}

namespace {

struct LitPlane {
    Angle tilt, azimuth;
    double ground_reflectance = 0.2;
};

/// The arithmetic of what falls on a plane.
void write_plane(const quantity::LedgerOf& told, const ClearSky& sky, const SunPosition& sun, const LitPlane& plane,
                 double Y, const PlaneIrradiance& out)
{
    using Input = quantity::LedgerInput;
    const Input z{"z", sun.zenith_deg, "deg", sun_stands}, a{"a", sun.azimuth_deg, "deg", sun_stands},
        tilt{"tilt", plane.tilt.degrees(), "deg", "of the face: 90 upright"},
        facing{"facing", plane.azimuth.degrees(), "deg", "of the face: true bearing"},
        beam{"Eb", sky.beam_normal_W_per_m2, "W/m2", "above"},
        diffuse{"Ed", sky.diffuse_horizontal_W_per_m2, "W/m2", "above"};
    const auto write = [&](const char* what, const char* symbol, const char* formula, std::vector<Input> inputs,
                           double value, const char* unit) {
        told.write({.what = what,
                    .symbol = symbol,
                    .formula = formula,
                    .inputs = std::move(inputs),
                    .value = value,
                    .unit = unit});
    };
    const double incidence = cos_incidence(sun, plane.tilt, plane.azimuth),
                 upright = cos_incidence(sun, Angle::degrees(90.0), plane.azimuth);
    write("cosine of the angle of incidence", "ct", "cos(z)*cos(tilt) + sin(z)*sin(tilt)*cos(a - facing)",
          {z, a, tilt, facing}, incidence, "1");
    write("beam on the plane", "Ib", "Eb*max(0, ct)", {beam, {"ct", incidence, "1", "above"}}, out.beam_W_per_m2,
          "W/m2");
    write("cosine on an upright plane", "cv", "sin(z)*cos(a - facing)", {z, a, facing}, upright, "1");
    write("its diffuse over the horizontal's", "Y", "max(0.45, 0.55 + 0.437*cv + 0.313*cv*cv)",
          {{"cv", upright, "1", "above"}}, Y, "1");
    write("of the sky on the plane", "Is",
          plane.tilt.degrees() <= 90.0 ? "Ed*(Y*sin(tilt) + cos(tilt))" : "Ed*(Y*sin(tilt))",
          {diffuse, {"Y", Y, "1", "above"}, tilt}, out.sky_diffuse_W_per_m2, "W/m2");
    write("thrown back by the ground", "Ig", "(Eb*max(0, cos(z)) + Ed)*rho*0.5*(1 - cos(tilt))",
          {beam, z, diffuse, {"rho", plane.ground_reflectance, "1", "site/ground_reflectance"}, tilt},
          out.ground_reflected_W_per_m2, "W/m2");
}

} // namespace

PlaneIrradiance clear_sky_on_plane(const ClearSky& sky, const SunPosition& sun, Angle tilt, Angle azimuth,
                                   double ground_reflectance, const quantity::LedgerOf* told)
{
    check_range("clear_sky_on_plane", "ground reflectance", ground_reflectance, {0.0, 1.0}, "");
    check_range("clear_sky_on_plane", "tilt", tilt.degrees(), {0.0, 180.0}, "deg");
    const double Y = diffuse_ratio(cos_incidence(sun, Angle::degrees(90.0), azimuth));
    const double sine = std::sin(tilt.radians()), cosine = std::cos(tilt.radians());
    const double sky_share = tilt.degrees() <= 90.0 ? Y * sine + cosine : Y * sine;
    const double horizontal =
        sky.beam_normal_W_per_m2 * std::max(0.0, std::cos(sun.zenith_deg * deg)) + sky.diffuse_horizontal_W_per_m2;
    const PlaneIrradiance out{sky.beam_normal_W_per_m2 * std::max(0.0, cos_incidence(sun, tilt, azimuth)),
                              sky.diffuse_horizontal_W_per_m2 * sky_share,
                              horizontal * ground_reflectance * 0.5 * (1.0 - cosine)};
    if (told != nullptr) write_plane(*told, sky, sun, {tilt, azimuth, ground_reflectance}, Y, out);
    return out;
}

} // namespace venture::climate
