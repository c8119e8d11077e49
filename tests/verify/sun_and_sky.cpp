/// Tables of the sun's position, its geometry on planes, and the clear sky.

#include <cmath>
#include <cstdio>
#include <numbers>
#include <stdexcept>

#include <venture/climate/sky.hpp>
#include <venture/plan/shadows.hpp>
#include <verify/tables.hpp>

namespace venture::verify {

using namespace climate; // NOLINT(google-build-using-namespace): what this file verifies
using nlohmann::json;

namespace {

constexpr double deg = std::numbers::pi / 180.0;

Angle degrees(const json& c, const char* key) { return Angle::degrees(c.at(key).get<double>()); }

UtcInstant instant_of(const std::string& utc)
{
    UtcInstant t;
    int hour = 0, minute = 0;
    double second = 0.0;
    if (std::sscanf(utc.c_str(), "%d-%d-%dT%d:%d:%lfZ", &t.year, &t.month, &t.day, &hour, &minute, &second) != 6)
        throw std::runtime_error{"not an instant: " + utc};
    t.hour = hour + minute / 60.0 + second / 3600.0;
    return t;
}

/// A sun that stands somewhere, for formulas that need no date.
SunPosition standing(double elevation_deg, double azimuth_deg) { return {90.0 - elevation_deg, azimuth_deg, 0.0, 0.0}; }

double angle_between_deg(const SunPosition& a, double zenith_deg, double azimuth_deg)
{
    const double cosine =
        std::cos(a.zenith_deg * deg) * std::cos(zenith_deg * deg) +
        std::sin(a.zenith_deg * deg) * std::sin(zenith_deg * deg) * std::cos((a.azimuth_deg - azimuth_deg) * deg);
    return std::acos(std::clamp(cosine, -1.0, 1.0)) / deg;
}

Outcome points(const json& table, const json& group)
{
    Comparison compare{table};
    const double direction = table.at("tolerances").at("direction").at("abs");
    for (const json& c : group) {
        const SunPosition sun =
            sun_position(instant_of(c.at("utc")), degrees(c, "latitude_deg"), degrees(c, "longitude_deg_east"));
        const double azimuth = c.at("azimuth_deg_from_north_clockwise");
        compare.error("direction", angle_between_deg(sun, c.at("zenith_deg"), azimuth), direction);
        compare.value("zenith", sun.zenith_deg, c.at("zenith_deg"), "zenith_deg");
        compare.error("azimuth x sin zenith",
                      std::abs(std::remainder(sun.azimuth_deg - azimuth, 360.0)) * std::sin(sun.zenith_deg * deg),
                      direction);
        compare.value("declination", sun.declination_deg, c.at("declination_deg"), "declination_deg");
        compare.value("equation of time", sun.equation_of_time_min, c.at("equation_of_time_min"),
                      "equation_of_time_min");
    }
    return compare.outcome();
}

/// Compares an instant of the day with one that the case gives, or gives as never.
void compare_event(Comparison& compare, const std::string& what, const std::optional<double>& utc_h,
                   const json& expected, double allowed_s)
{
    compare.truth(what + " happens", utc_h.has_value(), !expected.is_null());
    if (!utc_h || expected.is_null()) return;
    const double hour = instant_of(expected).hour;
    compare.error(what + " (s)", 3600.0 * std::abs(std::remainder(*utc_h - hour, 24.0)), allowed_s);
}

Outcome events(const json& table, const json& group)
{
    constexpr double noon_s = 20.0, refracted_deg = -0.833;
    Comparison compare{table};
    const double allowed_s = table.at("tolerances").at("event_times_s").at("abs");
    for (const json& c : group) {
        UtcInstant date;
        const std::string text = c.at("local_mean_solar_date");
        if (std::sscanf(text.c_str(), "%d-%d-%d", &date.year, &date.month, &date.day) != 3)
            throw std::runtime_error{"not a date: " + text};
        for (const auto& [centre_deg, name] : {std::pair{0.0, "0_deg"}, std::pair{refracted_deg, "minus_0p833_deg"}}) {
            const SunDay day =
                sun_day(date, degrees(c, "latitude_deg"), degrees(c, "longitude_deg_east"), Angle::degrees(centre_deg));
            compare_event(compare, "rise", day.rise_utc_h, c.at(std::string{"rise_utc_centre_at_"} + name), allowed_s);
            compare_event(compare, "set", day.set_utc_h, c.at(std::string{"set_utc_centre_at_"} + name), allowed_s);
            compare_event(compare, "noon", day.noon_utc_h, c.at("solar_noon_utc"), noon_s);
            compare.value("elevation at noon", day.noon_elevation_deg, c.at("elevation_at_solar_noon_deg"),
                          "zenith_deg");
        }
    }
    return compare.outcome();
}

/// By how much a value lies outside an interval.
double outside(double x, double low, double high) { return std::max({0.0, low - x, x - high}); }

Outcome design_days(const json& table, const json& group)
{
    constexpr double declination_deg = 0.05, equation_min = 0.1; // said in words in the table
    Comparison compare{table};
    for (const json& c : group) {
        const SunPosition sun = sun_position({2022, c.at("month"), c.at("day"), c.at("hour_utc")}, Angle::degrees(0.0),
                                             Angle::degrees(0.0));
        compare.error("declination",
                      outside(sun.declination_deg, c.at("declination_deg_min"), c.at("declination_deg_max")),
                      declination_deg);
        compare.error(
            "equation of time",
            outside(sun.equation_of_time_min, c.at("equation_of_time_min_min"), c.at("equation_of_time_min_max")),
            equation_min);
    }
    return compare.outcome();
}

Outcome incidence(const json& table, const json& group)
{
    Comparison compare{table};
    const double angle_deg = table.at("tolerances").at("profile_angle_deg").at("abs");
    for (const json& c : group) {
        const SunPosition sun = standing(c.at("sun_elevation_deg"), c.at("sun_azimuth_deg"));
        const Angle tilt = degrees(c, "surface_tilt_deg"), azimuth = degrees(c, "surface_azimuth_deg");
        const double cosine = cos_incidence(sun, tilt, azimuth);
        compare.value("cos incidence", cosine, c.at("cos_incidence"), "cos_incidence");
        compare.value("incidence", std::acos(std::clamp(cosine, -1.0, 1.0)) / deg, c.at("incidence_deg"),
                      "incidence_deg");
        compare.truth("sun in front", cosine > 0.0, c.at("sun_in_front"));
        const auto angle = [&](const char* key, double got) {
            if (!c.contains(key) || c.at(key).is_null()) return;
            compare.error(key, std::abs(std::remainder(got - c.at(key).get<double>(), 360.0)), angle_deg);
        };
        angle("surface_solar_azimuth_deg", sun.azimuth_deg - azimuth.degrees());
        angle("profile_angle_deg", profile_angle_deg(sun, tilt, azimuth));
        angle("horizontal_shadow_angle_deg", horizontal_shadow_angle_deg(sun, tilt, azimuth));
    }
    return compare.outcome();
}

double metres(const json& of, const char* key) { return of.at(key).get<double>(); }

plan::Fin fin_of(const json& window, const char* key)
{
    if (!window.contains(key)) return {};
    const json& f = window.at(key);
    return {.depth_m = metres(f, "depth_m"),
            .beside_m = metres(f, "gap_from_window_edge_m"),
            .above_m = metres(f, "extension_above_window_top_m"),
            .below_m = metres(f, "extension_below_window_bottom_m")};
}

void compare_shadow(Comparison& compare, const json& c, double shaded)
{
    const bool in_front = c.at("sun_in_front");
    if (in_front) compare.value("shaded", shaded, c.at("shaded_fraction"), "shaded_fraction");
    if (c.contains("sunlit_fraction"))
        compare.value("sunlit", 1.0 - shaded, c.at("sunlit_fraction"), "shaded_fraction");
}

plan::Polygons sheet(double width_m, double height_m)
{
    return {plan::rectangle(0, 0, plan::to_grid(width_m), plan::to_grid(height_m))};
}

Outcome window_shadows(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        plan::Plates plates{.left = fin_of(c, "fin_left"), .right = fin_of(c, "fin_right")};
        if (c.contains("overhang")) {
            const json& o = c.at("overhang");
            plates.overhang = {.depth_m = metres(o, "depth_m"),
                               .above_m = metres(o, "height_above_window_top_m"),
                               .beyond_left_m = metres(o, "extension_left_m"),
                               .beyond_right_m = metres(o, "extension_right_m")};
        }
        const double width = metres(c, "window_width_m"), height = metres(c, "window_height_m");
        const plan::Facing facing{degrees(c, "surface_tilt_deg"), degrees(c, "surface_azimuth_deg")};
        const auto light =
            facing.towards(climate::direction_of(standing(c.at("sun_elevation_deg"), c.at("sun_azimuth_deg"))));
        if (c.contains("cos_incidence"))
            compare.value("cos incidence", light.out, c.at("cos_incidence"), "cos_incidence");
        compare_shadow(compare, c,
                       plan::Shadows{sheet(width, height), plan::casters_of(plates, width, height)}.share(light));
    }
    return compare.outcome();
}

/// Sides and top of a box that stands before a facade.
std::vector<plan::Caster> box_of(const json& block)
{
    const double turn = metres(block, "rotation_deg") * deg, length = metres(block, "length_m"),
                 width = metres(block, "width_m"), low = metres(block, "bottom_m"), high = metres(block, "top_m");
    const auto corner = [&](double along, double away, double up) {
        return plan::PointBefore{
            metres(block, "centre_along_facade_m") + along * std::cos(turn) - away * std::sin(turn), up,
            metres(block, "centre_distance_m") + along * std::sin(turn) + away * std::cos(turn)};
    };
    const double l = 0.5 * length, w = 0.5 * width;
    const std::pair<double, double> plan[] = {{-l, -w}, {l, -w}, {l, w}, {-l, w}};
    std::vector<plan::Caster> out(2);
    for (std::size_t i = 0; i < 4; ++i) {
        const auto [a, b] = plan[i];
        const auto [c, d] = plan[(i + 1) % 4];
        out.push_back({corner(a, b, low), corner(c, d, low), corner(c, d, high), corner(a, b, high)});
        out[0].push_back(corner(a, b, high));
        out[1].push_back(corner(a, b, low));
    }
    return out;
}

Outcome block_shadows(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const plan::Facing facing{Angle::degrees(90.0), degrees(c, "facade_azimuth_deg")};
        const auto light =
            facing.towards(climate::direction_of(standing(c.at("sun_elevation_deg"), c.at("sun_azimuth_deg"))));
        const double width = metres(c, "facade_width_m"), height = metres(c, "facade_height_m");
        compare_shadow(compare, c, plan::Shadows{sheet(width, height), box_of(c.at("block"))}.share(light));
    }
    return compare.outcome();
}

Outcome air_mass(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group)
        compare.value("air mass", relative_air_mass(degrees(c, "elevation_deg")), c.at("air_mass"), "air_mass");
    return compare.outcome();
}

Outcome extraterrestrial(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group)
        compare.value("E0", extraterrestrial_W_per_m2(c.at("day_of_year"), c.at("solar_constant_W_m2")),
                      c.at("E0_W_m2"), "E0_W_m2");
    return compare.outcome();
}

Outcome clear(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const Angle elevation = degrees(c, "elevation_deg");
        const double e0 = extraterrestrial_W_per_m2(c.at("day_of_year"), c.at("solar_constant_W_m2"));
        for (const auto& [edition, name] :
             {std::pair{ClearSkyEdition::of_2009, "2009"}, std::pair{ClearSkyEdition::of_2013, "2013"}}) {
            const ClearSky sky = clear_sky(elevation, e0, c.at("tau_b"), c.at("tau_d"), edition);
            const auto key = [&](const char* what) { return fmt::format("{}_W_m2_{}", what, name); };
            compare.value("beam", sky.beam_normal_W_per_m2, c.at(key("beam_normal")), "irradiances");
            compare.value("diffuse", sky.diffuse_horizontal_W_per_m2, c.at(key("diffuse_horizontal")), "irradiances");
            compare.value("global",
                          sky.beam_normal_W_per_m2 * std::sin(elevation.radians()) + sky.diffuse_horizontal_W_per_m2,
                          c.at(key("global_horizontal")), "irradiances");
        }
    }
    return compare.outcome();
}

Outcome tilted(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const SunPosition sun = standing(c.at("elevation_deg"), 180.0);
        const Angle azimuth = Angle::degrees(180.0 - c.at("surface_solar_azimuth_deg").get<double>()),
                    tilt = degrees(c, "tilt_deg");
        const ClearSky sky{c.at("beam_normal_W_m2"), c.at("diffuse_horizontal_W_m2")};
        const double reflectance = c.at("ground_reflectance");
        const PlaneIrradiance by_ratio = clear_sky_on_plane(sky, sun, tilt, azimuth, reflectance),
                              isotropic = isotropic_on_plane(sky, sun, tilt, azimuth, reflectance);
        const auto value = [&](const char* key, double got) { compare.value(key, got, c.at(key), "irradiances"); };
        value("beam_on_surface_W_m2", by_ratio.beam_W_per_m2);
        value("ground_reflected_W_m2", by_ratio.ground_reflected_W_per_m2);
        value("diffuse_isotropic_W_m2", isotropic.sky_diffuse_W_per_m2);
        value("diffuse_handbook_Y_W_m2", by_ratio.sky_diffuse_W_per_m2);
        value("total_isotropic_W_m2", isotropic.total_W_per_m2());
        value("total_handbook_Y_W_m2", by_ratio.total_W_per_m2());
    }
    return compare.outcome();
}

Outcome perez_given(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const SunPosition sun = standing(c.at("elevation_deg"), 180.0);
        const Angle azimuth = Angle::degrees(180.0 - c.at("surface_solar_azimuth_deg").get<double>()),
                    tilt = degrees(c, "tilt_deg");
        const SkyBrightness brightness{1.0, 0.0, c.at("F1"), c.at("F2")};
        compare.value("diffuse on the plane",
                      sky_diffuse_on_plane(c.at("diffuse_horizontal_W_m2"), brightness,
                                           cos_incidence(sun, tilt, azimuth), degrees(c, "elevation_deg"), tilt),
                      c.at("diffuse_on_surface_W_m2"), "perez_formula_given_F");
    }
    return compare.outcome();
}

/// Values from memory: a mismatch is a question, not a defect.
Outcome recalled(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group.value("perez_cases", json::array())) {
        const Angle elevation = degrees(c, "elevation_deg"), tilt = degrees(c, "tilt_deg");
        const ClearSky sky{c.at("beam_normal_W_m2"), c.at("diffuse_horizontal_W_m2")};
        const double e0 = extraterrestrial_W_per_m2(c.at("day_of_year"), c.at("solar_constant_W_m2"));
        const SkyBrightness brightness = perez_1990(sky, elevation, e0);
        const SunPosition sun = standing(c.at("elevation_deg"), 180.0);
        const Angle azimuth = Angle::degrees(180.0 - c.at("surface_solar_azimuth_deg").get<double>());
        compare.value("diffuse on the plane",
                      sky_diffuse_on_plane(sky.diffuse_horizontal_W_per_m2, brightness,
                                           cos_incidence(sun, tilt, azimuth), elevation, tilt),
                      c.at("diffuse_perez_W_m2"), "perez_recalled");
    }
    Outcome out = compare.outcome();
    out.words = fmt::format("{}; {}", out.verdict == Verdict::passed ? "agrees" : "DIFFERS", out.words);
    out.verdict = Verdict::note;
    return out;
}

} // namespace

void add_sun_and_sky(Answers& answers)
{
    answers[{"solar position", "points"}] = points;
    answers[{"solar position", "events"}] = events;
    answers[{"solar position", "design_days"}] = design_days;
    answers[{"incident solar geometry and shadows", "incidence"}] = incidence;
    answers[{"incident solar geometry and shadows", "window_shadows"}] = window_shadows;
    answers[{"incident solar geometry and shadows", "block_shadows"}] = block_shadows;
    const std::string sky = "clear-sky design irradiance";
    answers[{sky, "air_mass"}] = air_mass;
    answers[{sky, "extraterrestrial"}] = extraterrestrial;
    answers[{sky, "clear_sky"}] = clear;
    answers[{sky, "tilted"}] = tilted;
    answers[{sky, "perez_formula_given_F"}] = perez_given;
    answers[{sky, "recalled"}] = recalled;
}

} // namespace venture::verify
