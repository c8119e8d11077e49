#include <venture/climate/climate_figures.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/air/moist_air.hpp>

namespace venture::climate {

using figure::Cell;
using figure::cell_of;
using figure::Show;
using figure::Sum;
using figure::Told;
using figure::where;

namespace {

air::MoistAir air_at(const DesignDay& day, std::size_t hour)
{
    return air::MoistAir::from_humidity_ratio(quantity::Temperature::celsius(day.dry_bulb_C[hour]),
                                              day.humidity_ratio[hour], day.pressure);
}

/// What falls on a plane over the day, at its hours.
auto on_plane(const DesignDay& day, double tilt_deg, double azimuth_deg)
{
    return irradiance_on_plane(day, Angle::degrees(tilt_deg), Angle::degrees(azimuth_deg));
}

/// Daily sum on the horizontal, J/m2; straight lines between the hours.
double day_sum_J_per_m2(const DesignDay& day)
{
    const auto on = on_plane(day, 0.0, 0.0);
    double sum = 0.0;
    for (std::size_t h = 0; h + 1 < DesignDay::points; ++h)
        sum += 0.5 * 3600.0 * (on[h].total_W_per_m2() + on[h + 1].total_W_per_m2());
    return sum;
}

/// The most of any hour on a wall.
template <int azimuth_deg>
Cell largest_on_wall(const DayGlance& d)
{
    double largest = 0.0;
    for (const auto& hour : on_plane(d.day, 90.0, azimuth_deg)) largest = std::max(largest, hour.total_W_per_m2());
    return largest;
}

std::string sunshine_in_words(const Site& site, const CoolingMonth& month)
{
    constexpr double upper_limb_deg = -0.833;
    const auto sun = sun_day({2022, month.month, design_day_of_month, 0.0}, Angle::degrees(site.place.latitude_deg),
                             Angle::degrees(site.place.longitude_deg), Angle::degrees(upper_limb_deg));
    if (!sun.rise_utc_h || !sun.set_utc_h) return sun.noon_elevation_deg > 0.0 ? "all day" : "never";
    const double ahead = site.place.time_zone_h + clock_ahead_h(site, {month.month, design_day_of_month});
    return fmt::format("{}-{}", clock_in_words(*sun.rise_utc_h + ahead), clock_in_words(*sun.set_utc_h + ahead));
}

bool sun_is_up(const DayHour& h) { return h.day->sun[h.hour].elevation_deg() > 0.0; }

Cell peak_of(const std::optional<PeakWithDryBulb>& pair, double PeakWithDryBulb::*part)
{
    return pair ? Cell{(*pair).*part} : Cell{};
}

} // namespace

std::string clock_in_words(double hour)
{
    const auto minutes = static_cast<int>(std::lround(60.0 * hour));
    const int of_day = (minutes % 1440 + 1440) % 1440;
    return fmt::format("{:02}:{:02}", of_day / 60, of_day % 60);
}

namespace {

const figure::TableOf<Site>& site_columns()
{
    using S = Site;
    static const figure::TableOf<S> all = {
        {"site", "Site", "Where the building stands.", 1, Told::data},
        {
            {{"site", "Site", "", "its name", 0}, [](const S& s) -> Cell { return s.name.empty() ? "site" : s.name; }},
            {{"latitude", "Latitude", "degrees", "north positive"},
             [](const S& s) -> Cell { return s.place.latitude_deg; }},
            {{"longitude", "Longitude", "degrees", "east positive"},
             [](const S& s) -> Cell { return s.place.longitude_deg; }},
            {{"height", "Height", "length", "above the sea"}, [](const S& s) -> Cell { return s.place.height_m; }},
            {{"time_zone", "Time zone", "fine_hours", "of local standard time, ahead of UTC"},
             [](const S& s) -> Cell { return s.place.time_zone_h; }},
            {{"summer_time_first", "Summer time from", "", "first day of it"},
             [](const S& s) -> Cell { return s.summer_time ? Cell{in_words(s.summer_time->first)} : Cell{}; }},
            {{"summer_time_last", "to", "", "last day of it"},
             [](const S& s) -> Cell { return s.summer_time ? Cell{in_words(s.summer_time->last)} : Cell{}; }},
            {{"summer_time_ahead", "ahead", "fine_hours", "of local standard time"},
             [](const S& s) -> Cell { return s.summer_time ? Cell{s.summer_time->ahead_h} : Cell{}; }},
        }};
    return all;
}

} // namespace

const figure::TableOf<WinterDesign>& winter_design_columns()
{
    using W = WinterDesign;
    static const figure::TableOf<W> all = {
        {"winter_design", "Winter design", "What heating is designed for: steady, dark, empty.", 1, Told::data},
        {
            {{"of", "Of", "", "winter design", 0}, [](const W&) -> Cell { return "winter design"; }},
            {{"dry_bulb", "Dry bulb", "temperature", "of outdoor air"},
             [](const W& w) -> Cell { return w.dry_bulb_C; }},
            {{"dew_point", "Dew point", "temperature", "of outdoor air; none: 80 % relative humidity"},
             [](const W& w) -> Cell { return cell_of(w.dew_point_C); }},
            {{"wind", "Wind", "wind", "mean, with the dry bulb"},
             [](const W& w) -> Cell { return cell_of(w.wind_m_per_s); }},
            {{"ground", "Ground", "temperature", "under the building"}, [](const W& w) -> Cell { return w.ground_C; }},
        }};
    return all;
}

const figure::TableOf<CoolingMonth>& cooling_month_columns()
{
    using M = CoolingMonth;
    using Pair = PeakWithDryBulb;
    static const figure::TableOf<M> all = {
        {"cooling_month", "Cooling design conditions", "What cooling is designed for in a month; the day is the 21st."},
        {
            {{"month", "Cooling\n\n", "", "month", 0}, [](const M& m) -> Cell { return month_name(m.month); }},
            {{"dry_bulb", "dry\nbulb", "temperature", "highest of the day", 1},
             [](const M& m) -> Cell { return m.dry_bulb_C; }},
            {{"wet_bulb", "wet bulb\nwith it", "temperature", "that comes with it", 2},
             [](const M& m) -> Cell { return m.wet_bulb_C; }},
            {{"daily_range", "daily\nrange", "temperature_difference", "of the dry bulb", 3},
             [](const M& m) -> Cell { return m.daily_range_K; }},
            {{"wet_bulb_range", "of wet\nbulb", "temperature_difference",
              "of the wet bulb; none: the air's moisture stays", 4},
             [](const M& m) -> Cell { return cell_of(m.wet_bulb_range_K); }},
            {{"beam_depth", "beam\ndepth", "fine_ratio", "optical depth for beam", 5},
             [](const M& m) -> Cell { return m.beam_depth; }},
            {{"diffuse_depth", "diffuse\ndepth", "fine_ratio", "optical depth for diffuse", 6},
             [](const M& m) -> Cell { return m.diffuse_depth; }},
            {{"ground", "ground\n", "temperature", "under the building", 7},
             [](const M& m) -> Cell { return m.ground_C; }},
            {{"peak_wet_bulb", "highest\nwet bulb", "temperature", "what evaporation is designed for", 8},
             [](const M& m) -> Cell { return peak_of(m.peak_wet_bulb, &Pair::peak_C); }},
            {{"dry_bulb_at_peak_wet_bulb", "dry bulb\nwith it", "temperature", "that comes with it", 9},
             [](const M& m) -> Cell { return peak_of(m.peak_wet_bulb, &Pair::dry_bulb_C); }},
            {{"peak_dew_point", "highest\ndew point", "temperature", "what drying of outdoor air is designed for", 10},
             [](const M& m) -> Cell { return peak_of(m.peak_dew_point, &Pair::peak_C); }},
            {{"dry_bulb_at_peak_dew_point", "dry bulb\nwith it", "temperature", "that comes with it", 11},
             [](const M& m) -> Cell { return peak_of(m.peak_dew_point, &Pair::dry_bulb_C); }},
            {{"wind", "wind\n", "wind", "mean, with the highest dry bulb", 12},
             [](const M& m) -> Cell { return cell_of(m.wind_m_per_s); }},
        }};
    return all;
}

namespace {

const figure::TableOf<DayGlance>& design_day_columns()
{
    using D = DayGlance;
    static const figure::TableOf<D> all = {
        {"design_day", "Design days", "A cooling design day at a glance."},
        {
            {{"day", "Design day", "", "21st of the month", 0},
             [](const D& d) -> Cell { return fmt::format("{} {}", design_day_of_month, d.day.name); }},
            {{"sun_up", "sun up\n(clock)", "", "from sunrise to sunset"}, [](const D& d) -> Cell { return d.sun_up; }},
            {{"highest", "highest", "temperature", "dry bulb"},
             [](const D& d) -> Cell { return std::ranges::max(d.day.dry_bulb_C); }},
            {{"lowest", "lowest", "temperature", "dry bulb"},
             [](const D& d) -> Cell { return std::ranges::min(d.day.dry_bulb_C); }},
            {{"humidity", "humidity", "humidity_ratio", "at 14 h"},
             [](const D& d) -> Cell { return air_at(d.day, 14).humidity_ratio(); }},
            {{"sun_flat", "sun, flat", "irradiation", "on the horizontal over the day"},
             [](const D& d) -> Cell { return day_sum_J_per_m2(d.day); }},
            {{"north", "most north", "power_per_area", "the most of any hour on a wall facing north", 2},
             largest_on_wall<0>},
            {{"east", "most east", "power_per_area", "the most of any hour on a wall facing east", 2},
             largest_on_wall<90>},
            {{"south", "most south", "power_per_area", "the most of any hour on a wall facing south", 2},
             largest_on_wall<180>},
            {{"west", "most west", "power_per_area", "the most of any hour on a wall facing west", 2},
             largest_on_wall<270>},
        }};
    return all;
}

} // namespace

const figure::TableOf<DayHour>& day_hour_columns()
{
    using H = DayHour;
    static const figure::TableOf<H> all = {
        {"day_hour", "Days hour by hour", "A day at one hour of local standard time.", 2},
        {
            {{"day", "Day", "", "which", 0, Sum::none, Show::data}, [](const H& h) -> Cell { return h.day->name; }},
            {{"hour", "hour\n\n", "count", "of local standard time", 0},
             [](const H& h) -> Cell { return figure::whole(h.hour); }},
            {{"clock", "clock", "", "time that clocks show"},
             [](const H& h) -> Cell { return clock_in_words(static_cast<double>(h.hour) + h.day->clock_ahead_h); }},
            {{"dry_bulb", "dry\nbulb", "temperature", "of outdoor air"},
             [](const H& h) -> Cell { return h.day->dry_bulb_C[h.hour]; }},
            {{"wet_bulb", "wet\nbulb", "temperature", "of outdoor air", 2},
             [](const H& h) -> Cell { return air::wet_bulb(air_at(*h.day, h.hour)).celsius(); }},
            {{"humidity", "humidity\n", "humidity_ratio", "of outdoor air", 3},
             [](const H& h) -> Cell { return h.day->humidity_ratio[h.hour]; }},
            {{"relative_humidity", "rel.\nhum.", "share", "of outdoor air", 5},
             [](const H& h) -> Cell { return air::relative_humidity(air_at(*h.day, h.hour)); }},
            {{"sun_elevation", "sun\nup", "fine_angle", "above the horizon; none while it is down", 4},
             [](const H& h) -> Cell { return where(sun_is_up(h), h.day->sun[h.hour].elevation_deg()); }},
            {{"sun_azimuth", "sun\nfrom", "angle", "clockwise from north", 4},
             [](const H& h) -> Cell { return where(sun_is_up(h), h.day->sun[h.hour].azimuth_deg); }},
            {{"beam", "beam\nfacing it", "power_per_area", "of the sun, on a plane that faces it"},
             [](const H& h) -> Cell { return h.day->sky[h.hour].beam_normal_W_per_m2; }},
            {{"diffuse", "diffuse\nflat", "power_per_area", "of the sky, on the horizontal"},
             [](const H& h) -> Cell { return h.day->sky[h.hour].diffuse_horizontal_W_per_m2; }},
            {{"north", "north\n", "power_per_area", "on a wall facing north, with what the ground throws back"},
             [](const H& h) -> Cell { return h.north_W_per_m2; }},
            {{"east", "east\n", "power_per_area", "on a wall facing east"},
             [](const H& h) -> Cell { return h.east_W_per_m2; }},
            {{"south", "south\n", "power_per_area", "on a wall facing south"},
             [](const H& h) -> Cell { return h.south_W_per_m2; }},
            {{"west", "west\n", "power_per_area", "on a wall facing west"},
             [](const H& h) -> Cell { return h.west_W_per_m2; }},
            {{"ground", "ground", "temperature", "under the building", 5, Sum::none, Show::data},
             [](const H& h) -> Cell { return h.day->ground_C; }},
            {{"pressure", "pressure", "pressure", "of the air", 5, Sum::none, Show::data},
             [](const H& h) -> Cell { return h.day->pressure.pascal(); }},
        }};
    return all;
}

std::vector<DayGlance> design_days(const Site& site)
{
    std::vector<DayGlance> out;
    for (const CoolingMonth& month : site.months) {
        DayGlance glance{month, cooling_design_day(site, month), sunshine_in_words(site, month)};
        glance.day.name = month_name(month.month);
        out.push_back(std::move(glance));
    }
    return out;
}

std::vector<DayHour> hours_of(const DesignDay& day, std::size_t hours)
{
    const auto north = on_plane(day, 90.0, 0.0), east = on_plane(day, 90.0, 90.0), south = on_plane(day, 90.0, 180.0),
               west = on_plane(day, 90.0, 270.0);
    std::vector<DayHour> out;
    for (std::size_t h = 0; h < hours; ++h)
        out.push_back({&day, h, north[h].total_W_per_m2(), east[h].total_W_per_m2(), south[h].total_W_per_m2(),
                       west[h].total_W_per_m2()});
    return out;
}

const figure::TablesOf<Site>& site_tables()
{
    static const figure::TablesOf<Site> all = [] {
        figure::TablesOf<Site> tables;
        tables.add(site_columns(), [](const Site& s) { return std::vector{s}; })
            .add(winter_design_columns(), [](const Site& s) { return std::vector{s.winter}; })
            .add(cooling_month_columns(), [](const Site& s) { return s.months; })
            .add(design_day_columns(), design_days);
        return tables;
    }();
    return all;
}

} // namespace venture::climate
