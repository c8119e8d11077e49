/// One room's cooling load computed twice: by Venture, and by code that was written from docs/method.md alone and shares
/// nothing with the library - other numerics, other formulas for the sun and for saturation.

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>
#include <vector>

#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/loads/design_loads.hpp>

namespace venture {
namespace {

using namespace testing_data;
using Day = std::array<double, 25>;

constexpr double pi = std::numbers::pi, deg = pi / 180.0;
constexpr double latitude = 48.0, longitude = 11.0, zone_h = 1.0;
constexpr double dry_bulb = 31.0, wet_bulb = 20.5, range_K = 11.0, tau_b = 0.42, tau_d = 2.25, ground_C = 15.0;
constexpr double wide = 5.0, deep = 4.0, high = 3.0, glass_share = 0.8, u_window = 1.4, g_value = 0.6;
constexpr double window_m2 = 2.4 * 1.6, setpoint = 25.0;
constexpr double people_W = 3.0 * 75.0, people_latent_W = 3.0 * 55.0, lights_W = 10.0 * wide * deep, air_changes = 0.4;

// --- outside

struct Sun {
    double elevation = 0.0, azimuth = 0.0; ///< rad; azimuth from north, clockwise
};

/// Low-precision almanac: mean anomaly, ecliptic longitude, equation of time.
Sun sun_at(double standard_h)
{
    const double n = 8035.5 + 201.0 + (standard_h - zone_h) / 24.0; // days from noon of 1 January 2000, on 21 July 2022
    const double mean = std::fmod(280.460 + 0.9856474 * n, 360.0), anomaly = (357.528 + 0.9856003 * n) * deg;
    const double ecliptic = (mean + 1.915 * std::sin(anomaly) + 0.020 * std::sin(2.0 * anomaly)) * deg;
    const double tilt = (23.439 - 0.0000004 * n) * deg;
    const double declination = std::asin(std::sin(tilt) * std::sin(ecliptic));
    const double right = std::atan2(std::cos(tilt) * std::sin(ecliptic), std::cos(ecliptic)) / deg;
    const double equation_deg = std::remainder(mean - right, 360.0);
    const double hour = (15.0 * (standard_h - 12.0 - zone_h) + longitude + equation_deg) * deg, phi = latitude * deg;
    const double up = std::sin(phi) * std::sin(declination) + std::cos(phi) * std::cos(declination) * std::cos(hour);
    return {std::asin(up),
            std::atan2(-std::cos(declination) * std::sin(hour),
                       std::sin(declination) * std::cos(phi) - std::cos(declination) * std::cos(hour) * std::sin(phi))};
}

/// Transmission of two clear panes of 4 mm at an angle: Fresnel for both polarisations, reflections to and fro.
double two_panes(double cosine)
{
    const double n = 1.526, inside = std::sqrt(1.0 - (1.0 - cosine * cosine) / (n * n)),
                 path = std::exp(-0.12 / inside);
    double sum = 0.0;
    for (const bool along : {false, true}) {
        const double r = std::pow(
            along ? (n * cosine - inside) / (n * cosine + inside) : (cosine - n * inside) / (cosine + n * inside), 2.0);
        const double t = path * (1.0 - r) * (1.0 - r) / (1.0 - r * r * path * path), back = r + r * path * t;
        sum += 0.5 * t * t / (1.0 - back * back);
    }
    return sum;
}

double of_diffuse()
{
    double sum = 0.0;
    constexpr int rings = 2000;
    for (int i = 0; i < rings; ++i) {
        const double angle = (i + 0.5) * 0.5 * pi / rings;
        sum += two_panes(std::cos(angle)) * std::sin(2.0 * angle) * 0.5 * pi / rings;
    }
    return sum / two_panes(1.0);
}

struct Weather {
    Day air{}, on_wall{}, on_roof{}, beam{}, diffuse{}, heat{}; ///< the last three behind 1 m2 of glass
};

Weather weather()
{
    constexpr std::array<double, 24> fraction = {0.82, 0.88, 0.92, 0.95, 0.98, 1.00, 0.98, 0.91,
                                                 0.74, 0.55, 0.38, 0.23, 0.13, 0.05, 0.00, 0.00,
                                                 0.06, 0.14, 0.24, 0.39, 0.50, 0.59, 0.68, 0.75};
    const double beyond = 1367.0 * (1.0 + 0.033 * std::cos(360.0 * (202 - 3) / 365.0 * deg)),
                 diffuse_keeps = of_diffuse();
    const double ab = 1.454 - 0.406 * tau_b - 0.268 * tau_d + 0.021 * tau_b * tau_d,
                 ad = 0.507 + 0.205 * tau_b - 0.080 * tau_d - 0.190 * tau_b * tau_d;
    Weather out;
    for (std::size_t h = 0; h < 25; ++h) {
        out.air[h] = dry_bulb - fraction[h % 24] * range_K;
        const Sun sun = sun_at(static_cast<double>(h % 24));
        if (sun.elevation <= 0.0) continue;
        const double mass =
            1.0 / (std::sin(sun.elevation) + 0.50572 * std::pow(6.07995 + sun.elevation / deg, -1.6364));
        const double normal = beyond * std::exp(-tau_b * std::pow(mass, ab)),
                     diffuse = beyond * std::exp(-tau_d * std::pow(mass, ad)),
                     level = normal * std::sin(sun.elevation) + diffuse,
                     cosine = -std::cos(sun.elevation) * std::cos(sun.azimuth); // on a wall to the south
        const double ratio = std::max(0.45, 0.55 + 0.437 * cosine + 0.313 * cosine * cosine);
        const double beam = normal * std::max(0.0, cosine), spread = diffuse * ratio + 0.2 * 0.5 * level;
        out.on_wall[h] = beam + spread;
        out.on_roof[h] = level;
        const double keeps = cosine > 0.0 ? two_panes(cosine) / two_panes(1.0) : 0.0;
        out.beam[h] = 0.9 * g_value * beam * keeps;
        out.diffuse[h] = 0.9 * g_value * spread * diffuse_keeps;
        out.heat[h] = 0.1 * g_value * (beam * keeps + spread * diffuse_keeps);
    }
    return out;
}

double at(const Day& day, double hour)
{
    const auto h = std::min<std::size_t>(23, static_cast<std::size_t>(hour)); // 24 h is the end of the last hour
    return std::lerp(day[h], day[h + 1], hour - static_cast<double>(h));
}

// --- walls by finite volumes

struct Layer {
    double thick_m, conductivity, density, heat;
};

/// From outside to inside. Outside: a film to some temperature, a given temperature, or nothing.
class Wall {
public:
    Wall(double area, double convection, const std::vector<Layer>& layers, double outside_h)
        : area_m2{area},
          hc{convection},
          outside_h_{outside_h}
    {
        for (const Layer& l : layers) {
            const int cells = std::max(4, static_cast<int>(std::ceil(l.thick_m / 0.004)));
            const double dx = l.thick_m / cells;
            for (int i = 0; i < cells; ++i) {
                half_.push_back(0.5 * dx / l.conductivity);
                heat_.push_back(dx * l.density * l.heat);
            }
        }
        now_.assign(half_.size(), 25.0);
        before_ = now_;
    }
    /// One step, implicit, towards an inner surrounding; @param outer  W/m2 on the outside face
    double step(double dt, double outside_C, double outer, double h_inside, double inner_C)
    {
        const std::size_t n = now_.size();
        std::vector<double> lower(n), main(n), upper(n), right(n);
        for (std::size_t i = 0; i < n; ++i) {
            const double to_left = i > 0              ? 1.0 / (half_[i - 1] + half_[i])
                                   : outside_h_ > 0.0 ? 1.0 / (1.0 / outside_h_ + half_[0])
                                                      : 0.0,
                         to_right = i + 1 < n ? 1.0 / (half_[i] + half_[i + 1]) : 1.0 / (half_[i] + 1.0 / h_inside);
            lower[i] = -to_left;
            upper[i] = -to_right;
            main[i] = heat_[i] / dt + to_left + to_right;
            right[i] = heat_[i] / dt * before_[i];
            if (i == 0 && outside_h_ > 0.0) right[i] += to_left * (outside_C + outer / outside_h_);
            if (i + 1 == n) right[i] += to_right * inner_C;
        }
        for (std::size_t i = 1; i < n; ++i) {
            const double w = lower[i] / main[i - 1];
            main[i] -= w * upper[i - 1];
            right[i] -= w * right[i - 1];
        }
        now_[n - 1] = right[n - 1] / main[n - 1];
        for (std::size_t i = n - 1; i-- > 0;) now_[i] = (right[i] - upper[i] * now_[i + 1]) / main[i];
        return face_C = (now_.back() / half_.back() + h_inside * inner_C) / (1.0 / half_.back() + h_inside);
    }
    void accept() { before_ = now_; }
    double area_m2, hc, face_C = 25.0;

private:
    double outside_h_;
    std::vector<double> half_{}, heat_{}, now_{}, before_{};
};

struct Loads {
    double sensible_W = 0.0, latent_W = 0.0;
};

double saturation_Pa(double t) { return 610.94 * std::exp(17.625 * t / (t + 243.04)); } // Alduchov and Eskridge 1996

double ratio(double vapour_Pa) { return 0.62198 * vapour_Pa / (101325.0 - vapour_Pa); }

Loads by_the_page()
{
    const Weather out = weather();
    const std::vector<Layer> cavity = {{0.1, 0.8, 1800, 1000}, {0.1, 0.04, 30, 1000}, {0.1, 0.8, 1800, 1000}},
                             brick = {{0.1, 0.8, 1800, 1000}}, flat = {{0.2, 0.04, 30, 1000}, {0.15, 2.0, 2300, 1000}},
                             slab = {{0.1, 0.04, 30, 1000}, {0.15, 2.0, 2300, 1000}};
    constexpr double hr = 5.13, none = 0.0, direct = 1e9;
    std::vector<Wall> walls = {{wide * high - window_m2, 2.5, cavity, 25.0},
                               {2.0 * deep * high + wide * high, 2.5, brick, none},
                               {wide * deep, 5.0, flat, 25.0},
                               {wide * deep, 0.7, slab, direct}};
    constexpr std::size_t roof = 2, floor = 3;
    const double glass_m2 = glass_share * window_m2, between = 1.0 / u_window - 0.17, hw = 2.5 + hr;
    double faces_m2 = 0.0;
    for (const Wall& w : walls) faces_m2 += w.area_m2;
    const double takes_m2 = 0.6 * faces_m2 + glass_m2 * 0.9 * g_value * of_diffuse(), all_m2 = faces_m2 + window_m2;
    const double density = 101325.0 / (287.042 * 293.15), air_kg = density * wide * deep * high,
                 flow = air_kg * air_changes / 3600.0;
    const double capacity = air_kg * 1006.0 + 10000.0 * wide * deep;
    const double from_wet = ratio(saturation_Pa(wet_bulb));
    const double outdoor_w = ((2501.0 - 2.326 * wet_bulb) * from_wet - 1.006 * (dry_bulb - wet_bulb)) /
                             (2501.0 + 1.86 * dry_bulb - 4.186 * wet_bulb);
    const double limit_w = ratio(0.5 * saturation_Pa(setpoint));
    double air = 25.0, radiant = 25.0, window_C = 25.0, w = outdoor_w;
    constexpr double dt = 60.0;
    constexpr int days = 25, per_hour = 60;
    std::array<Loads, 24> hours{};
    for (int step = 0; step < days * 24 * per_hour; ++step) {
        const int of_day = step % (24 * per_hour);
        if (of_day == 0) hours = {};
        const double hour = (of_day + 1.0) / per_hour, t_out = at(out.air, hour); // implicit: the end of the step
        const auto clock = static_cast<std::size_t>(of_day / per_hour);
        const double lights = clock >= 8 && clock < 18 ? lights_W : 0.0, before = air;
        const double radiated = 0.6 * people_W + 0.5 * lights, convected = 0.4 * people_W + 0.5 * lights;
        const double beam = glass_m2 * at(out.beam, hour), light = glass_m2 * at(out.diffuse, hour) + 0.4 * beam;
        double load = 0.0;
        for (int pass = 0; pass < 12; ++pass) {
            double weighted = 0.0;
            for (std::size_t i = 0; i < walls.size(); ++i) {
                Wall& wall = walls[i];
                const double absorbed =
                    radiated / all_m2 + 0.6 * light / takes_m2 + (i == floor ? 0.6 * beam / wall.area_m2 : 0.0);
                const double h = wall.hc + hr;
                const double face = wall.step(dt, i == floor ? ground_C : t_out,
                                              i == 0      ? 0.6 * at(out.on_wall, hour)
                                              : i == roof ? 0.6 * at(out.on_roof, hour)
                                                          : 0.0,
                                              h, (wall.hc * air + hr * radiant + absorbed) / h);
                weighted += wall.area_m2 * face;
            }
            // the window: no mass; frame's sun outside, the glass's heat inside, over what of it flows in
            const double inward = (0.04 + between) / (0.17 + between),
                         inner = at(out.heat, hour) / inward * glass_share + radiated / all_m2,
                         outer = 0.6 * at(out.on_wall, hour) * (1.0 - glass_share);
            const double from_out = t_out + outer / 25.0, u_out = 1.0 / (0.04 + between);
            window_C = (u_out * from_out + 2.5 * air + hr * radiant + inner) / (u_out + hw);
            weighted += window_m2 * window_C;
            radiant = weighted / all_m2;
            double to_air = window_m2 * 2.5 * (window_C - air) + convected + flow * 1006.0 * (t_out - air);
            for (const Wall& wall : walls) to_air += wall.area_m2 * wall.hc * (wall.face_C - air);
            double lost = window_m2 * 2.5 + flow * 1006.0 + capacity / dt;
            for (const Wall& wall : walls) lost += wall.area_m2 * wall.hc;
            const double floats = air + (to_air - capacity / dt * (air - before)) / lost;
            load = 0.0;
            air = floats;
            if (0.5 * (floats + radiant) > setpoint) {
                air = 2.0 * setpoint - radiant;
                load = lost * (floats - air);
            }
        }
        for (Wall& wall : walls) wall.accept();
        const double in = flow * outdoor_w + people_latent_W / 2.501e6;
        w = (w * air_kg / dt + in) / (air_kg / dt + flow);
        double removed = 0.0;
        if (load > 0.0 && w > limit_w) {
            removed = (w - limit_w) * (air_kg / dt + flow);
            w = limit_w;
        }
        hours[clock].sensible_W += load / per_hour;
        hours[clock].latent_W += removed * 2.501e6 / per_hour;
    }
    return *std::ranges::max_element(hours, {}, [](const Loads& l) { return l.sensible_W + l.latent_W; });
}

loads::RoomLoad by_venture()
{
    input::Input in = one_room();
    in.site.latitude = latitude;
    in.site.longitude = longitude;
    in.site.time_zone = zone_h;
    input::MonthInput& july = in.site.months[0];
    july.dry_bulb = dry_bulb;
    july.wet_bulb = wet_bulb;
    july.daily_range = range_K;
    july.beam_depth = tau_b;
    july.diffuse_depth = tau_d;
    july.ground = ground_C;
    input::RoomInput& room = in.rooms[0];
    room.use.heating_setpoint = {};
    room.use.cooling_setpoint = setpoint;
    room.use.people = 3.0;
    room.use.lighting = 10.0;
    room.use.lighting_profile = "08-18";
    room.use.infiltration = air_changes;
    room.openings = {window("south", 2.4, 1.6)};
    for (const char* side : {"north", "east", "west"}) {
        input::FaceInput face;
        face.on = std::string{side};
        face.beyond = "no exchange";
        face.build_up = "partition";
        room.faces.push_back(face);
    }
    return loads::design_loads(built(in)).loads.rooms[0];
}

TEST(MethodPage, IsEnoughToComputeALoadAgain)
{
    const Loads again = by_the_page();
    const loads::RoomLoad load = by_venture();
    ASSERT_GT(load.cooling_sensible_W, 500.0);
    EXPECT_NEAR(again.sensible_W, load.cooling_sensible_W, 0.005 * load.cooling_W);
    EXPECT_NEAR(again.latent_W, load.cooling_latent_W, 0.005 * load.cooling_W);
}

} // namespace
} // namespace venture
