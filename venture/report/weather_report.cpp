/// A weather year for people and machines.

#include <algorithm>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/report/climate_report.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

using climate::CoolingMonth;
using climate::PeriodSummary;
using climate::YearExtremes;
using nlohmann::json;
using quantity::PreferredUnits;

namespace {

void add_period(TextTable& table, const std::string& name, const PeriodSummary& p, const PreferredUnits& units)
{
    const auto maybe = [&](const std::optional<double>& value, std::string_view quantity) {
        return value ? units.number(*value, quantity) : std::string{"-"};
    };
    table.add_row({name, units.number(p.mean_C, "temperature"), units.number(p.mean_highest_C, "temperature"),
                   units.number(p.mean_lowest_C, "temperature"), units.number(p.highest_C, "temperature"),
                   units.number(p.lowest_C, "temperature"), fmt::format("{:.0f}", 100.0 * p.relative_humidity),
                   units.number(p.humidity_ratio, "humidity_ratio"), units.number(p.global_J_per_m2, "irradiation"),
                   units.number(p.beam_J_per_m2, "irradiation"), units.number(p.diffuse_J_per_m2, "irradiation"),
                   maybe(p.wind_m_per_s, "wind"), maybe(p.cloud_cover, "cloud_cover"),
                   units.number(p.heating_degree_days_K, "temperature_difference"),
                   units.number(p.cooling_degree_days_K, "temperature_difference")});
}

Text months_text(const climate::YearSummary& summary, const PreferredUnits& units)
{
    TextTable table;
    table.add_column("Weather year", Align::left);
    for (const char* what : {"mean\n", "mean\nhigh", "mean\nlow", "highest\n", "lowest\n"})
        add_column(table, what, "temperature", units);
    table.add_column("rel.\nhum.\n%", Align::right, 4);
    add_column(table, "humidity\n", "humidity_ratio", units, 3);
    for (const char* what : {"sun a\nday, flat", "beam,\nfacing it", "diffuse,\nflat"})
        add_column(table, what, "irradiation", units, 2);
    add_column(table, "wind\n", "wind", units, 3);
    add_column(table, "cloud\n", "cloud_cover", units, 5);
    for (const char* what : {"degree-days\nheating", "degree-days\ncooling"})
        add_column(table, what, "temperature_difference", units, 2);
    for (std::size_t m = 0; m < 12; ++m)
        add_period(table, climate::month_name(static_cast<int>(m) + 1), summary.months[m], units);
    table.add_rule();
    add_period(table, "year", summary.year, units);
    return Text{std::move(table)} + fmt::format("Degree-days of daily means below {} and above {}.\n",
                                                units.text(summary.bases.heating_C, "temperature"),
                                                units.text(summary.bases.cooling_C, "temperature"));
}

Text extremes_text(const climate::DerivedConditions& derived, const PreferredUnits& units)
{
    TextTable table;
    table.add_column("Share of the year\nthat is hotter", Align::left);
    for (const char* what :
         {"dry\nbulb", "wet bulb\nwith it", "wet\nbulb", "dry bulb\nwith it", "dew\npoint", "dry bulb\nwith it"})
        add_column(table, what, "temperature", units);
    add_column(table, "wind with\nthe dry bulb", "wind", units);
    for (const YearExtremes& e : derived.of_year) {
        std::vector<std::string> row = {fmt::format("{:g} %", 100.0 * e.share)};
        for (const double t : {e.dry_bulb.dry_bulb_C, e.dry_bulb.wet_bulb_C, e.wet_bulb.peak_C, e.wet_bulb.dry_bulb_C,
                               e.dew_point.peak_C, e.dew_point.dry_bulb_C})
            row.push_back(units.number(t, "temperature"));
        row.push_back(e.dry_bulb.wind_m_per_s ? units.number(*e.dry_bulb.wind_m_per_s, "wind") : "-");
        table.add_row(std::move(row));
    }
    return Text{std::move(table)} +
           "Each with the mean of what came with it within half a kelvin. One year tells what was, not "
           "how rare it is.\n";
}

/// A key of [site] as it would be typed.
std::string key_line(std::string_view indent, std::string_view key, double value, int decimals)
{
    return fmt::format("{}{} = {:.{}f}\n", indent, key, value + 0.0, decimals);
}

std::string month_toml(const CoolingMonth& m, bool depths_fitted)
{
    std::string out = fmt::format("\n  [[site.month]]\n  month = {}\n", m.month);
    const auto line = [&](std::string_view key, std::optional<double> value, int decimals = 1) {
        if (value) out += key_line("  ", key, *value, decimals);
    };
    line("dry_bulb", m.dry_bulb_C);
    line("wet_bulb", m.wet_bulb_C);
    line("daily_range", m.daily_range_K);
    line("wet_bulb_range", m.wet_bulb_range_K);
    if (!depths_fitted) out += "  # too little sun to fit these two to: those of a usual clear sky\n";
    line("beam_depth", m.beam_depth, 3);
    line("diffuse_depth", m.diffuse_depth, 3);
    line("ground", m.ground_C);
    if (m.peak_wet_bulb) {
        line("peak_wet_bulb", m.peak_wet_bulb->peak_C);
        line("dry_bulb_at_peak_wet_bulb", m.peak_wet_bulb->dry_bulb_C);
    }
    if (m.peak_dew_point) {
        line("peak_dew_point", m.peak_dew_point->peak_C);
        line("dry_bulb_at_peak_dew_point", m.peak_dew_point->dry_bulb_C);
    }
    line("wind", m.wind_m_per_s);
    return out;
}

json place_json(const climate::Place& p)
{
    return {{"latitude_deg", p.latitude_deg},
            {"longitude_deg", p.longitude_deg},
            {"time_zone_h", p.time_zone_h},
            {"height_m", p.height_m}};
}

json maybe(const std::optional<double>& value) { return value ? json(*value) : json(nullptr); }

json pair_json(const climate::PeakWithDryBulb& p) { return {{"peak_C", p.peak_C}, {"dry_bulb_C", p.dry_bulb_C}}; }

json month_json(const CoolingMonth& m)
{
    return {{"month", m.month},
            {"dry_bulb_C", m.dry_bulb_C},
            {"wet_bulb_C", m.wet_bulb_C},
            {"daily_range_K", m.daily_range_K},
            {"wet_bulb_range_K", maybe(m.wet_bulb_range_K)},
            {"beam_depth", m.beam_depth},
            {"diffuse_depth", m.diffuse_depth},
            {"ground_C", m.ground_C},
            {"peak_wet_bulb", m.peak_wet_bulb ? pair_json(*m.peak_wet_bulb) : json(nullptr)},
            {"peak_dew_point", m.peak_dew_point ? pair_json(*m.peak_dew_point) : json(nullptr)},
            {"wind_m_per_s", maybe(m.wind_m_per_s)}};
}

template <class Months>
json conditions_json(const climate::WinterDesign& winter, const Months& months)
{
    json out = {{"winter",
                 {{"dry_bulb_C", winter.dry_bulb_C},
                  {"dew_point_C", maybe(winter.dew_point_C)},
                  {"wind_m_per_s", maybe(winter.wind_m_per_s)},
                  {"ground_C", winter.ground_C}}},
                {"months", json::array()}};
    for (const CoolingMonth& m : months) out["months"].push_back(month_json(m));
    return out;
}

json period_json(const PeriodSummary& p)
{
    return {{"mean_C", p.mean_C},
            {"mean_highest_C", p.mean_highest_C},
            {"mean_lowest_C", p.mean_lowest_C},
            {"highest_C", p.highest_C},
            {"lowest_C", p.lowest_C},
            {"relative_humidity", p.relative_humidity},
            {"humidity_ratio", p.humidity_ratio},
            {"global_J_per_m2_day", p.global_J_per_m2},
            {"beam_J_per_m2_day", p.beam_J_per_m2},
            {"diffuse_J_per_m2_day", p.diffuse_J_per_m2},
            {"wind_m_per_s", maybe(p.wind_m_per_s)},
            {"cloud_cover", maybe(p.cloud_cover)},
            {"heating_degree_days_K", p.heating_degree_days_K},
            {"cooling_degree_days_K", p.cooling_degree_days_K}};
}

json weather_json(const WeatherFigures& w)
{
    json out = {{"name", w.year.name},
                {"source", w.year.source},
                {"synthetic", w.year.synthetic},
                {"steps", w.year.size()},
                {"steps_per_hour", w.year.steps_per_hour},
                {"place", place_json(w.year.place)},
                {"heating_base_C", w.summary.bases.heating_C},
                {"cooling_base_C", w.summary.bases.cooling_C},
                {"year", period_json(w.summary.year)},
                {"months", json::array()}};
    for (const PeriodSummary& month : w.summary.months) out["months"].push_back(period_json(month));
    return out;
}

} // namespace

Text weather_text(const WeatherFigures& weather, const PreferredUnits& units)
{
    const std::string label =
        weather.year.synthetic ? "SYNTHETIC weather: made up, plausible, measured by nobody.\n" : "";
    return label + months_text(weather.summary, units) + "\n" + extremes_text(weather.derived, units);
}

std::string derived_toml(const WeatherFigures& weather, const climate::Rarity& rarity)
{
    const climate::WinterDesign& w = weather.derived.winter;
    std::string out =
        fmt::format("# Design conditions derived from the weather year '{}'\n# ({}).\n"
                    "# Winter: warmer for {:g} % of the year; cooling: hotter for {:g} % of a month.\n"
                    "# One year tells what was, not how rare it is.\n# Keys of [site]: paste them there.\n",
                    weather.year.name, weather.year.source, 100.0 * rarity.winter, 100.0 * rarity.summer);
    out += key_line("", "winter_dry_bulb", w.dry_bulb_C, 1);
    if (w.dew_point_C) out += key_line("", "winter_dew_point", *w.dew_point_C, 1);
    if (w.wind_m_per_s) out += key_line("", "winter_wind", *w.wind_m_per_s, 1);
    out += key_line("", "winter_ground", w.ground_C, 1);
    for (std::size_t m = 0; m < 12; ++m) out += month_toml(weather.derived.months[m], weather.derived.depths_fitted[m]);
    return out;
}

json day_json(const climate::DesignDay& day)
{
    json out = {{"day", day.name},
                {"month", day.month},
                {"clock_ahead_h", day.clock_ahead_h},
                {"ground_C", day.ground_C},
                {"pressure_Pa", day.pressure.pascal()},
                {"dry_bulb_C", day.dry_bulb_C},
                {"humidity_ratio", day.humidity_ratio},
                {"held_at_saturation", day.humidity_capped_at_saturation}};
    json elevation = json::array(), azimuth = json::array(), beam = json::array(), diffuse = json::array();
    for (std::size_t h = 0; h < climate::DesignDay::points; ++h) {
        elevation.push_back(day.sun[h].elevation_deg());
        azimuth.push_back(day.sun[h].azimuth_deg);
        beam.push_back(day.sky[h].beam_normal_W_per_m2);
        diffuse.push_back(day.sky[h].diffuse_horizontal_W_per_m2);
    }
    out["sun_elevation_deg"] = elevation;
    out["sun_azimuth_deg"] = azimuth;
    out["beam_normal_W_per_m2"] = beam;
    out["diffuse_horizontal_W_per_m2"] = diffuse;
    return out;
}

json climate_json(const climate::Site& site, const std::optional<WeatherFigures>& weather)
{
    json out = {{"site", site.name}, {"place", place_json(site.place)}};
    out["design_conditions"] = conditions_json(site.winter, site.months);
    out["summer_time"] = site.summer_time ? json{{"first", climate::in_words(site.summer_time->first)},
                                                 {"last", climate::in_words(site.summer_time->last)},
                                                 {"ahead_h", site.summer_time->ahead_h}}
                                          : json(nullptr);
    out["design_days"] = json::array({day_json(climate::winter_design_day(site))});
    for (const CoolingMonth& month : site.months)
        out["design_days"].push_back(day_json(climate::cooling_design_day(site, month)));
    out["weather"] = weather ? weather_json(*weather) : json(nullptr);
    return out;
}

json derived_json(const WeatherFigures& weather)
{
    json out = {{"weather", weather_json(weather)},
                {"design_conditions", conditions_json(weather.derived.winter, weather.derived.months)},
                {"extremes", json::array()}};
    for (const YearExtremes& e : weather.derived.of_year)
        out["extremes"].push_back({{"hotter_share", e.share},
                                   {"dry_bulb_C", e.dry_bulb.dry_bulb_C},
                                   {"wet_bulb_with_it_C", e.dry_bulb.wet_bulb_C},
                                   {"wind_with_it_m_per_s", maybe(e.dry_bulb.wind_m_per_s)},
                                   {"wet_bulb", pair_json(e.wet_bulb)},
                                   {"dew_point", pair_json(e.dew_point)}});
    return out;
}

} // namespace venture::report
