/// Columns of a weather year.

#include <fmt/format.h>

#include <venture/climate/climate_figures.hpp>

namespace venture::climate {

using figure::Cell;
using figure::cell_of;
using figure::Told;

namespace {

struct PeriodRow {
    std::string name{};
    PeriodSummary period{};
};

const figure::TableOf<WeatherFigures>& weather_year_columns()
{
    using W = WeatherFigures;
    static const figure::TableOf<W> all = {
        {"weather_year", "Weather year", "Which weather year there is.", 1, Told::data},
        {
            {{"name", "Weather year", "", "its name", 0}, [](const W& w) -> Cell { return w.year.name; }},
            {{"source", "Source", "", "where it comes from"}, [](const W& w) -> Cell { return w.year.source; }},
            {{"synthetic", "Synthetic", "", "made up, measured by nobody"},
             [](const W& w) -> Cell { return w.year.synthetic; }},
            {{"steps", "Steps", "count", "that it has"},
             [](const W& w) -> Cell { return figure::whole(w.year.size()); }},
            {{"steps_per_hour", "Steps an hour", "count", "of them"},
             [](const W& w) -> Cell { return figure::whole(w.year.steps_per_hour); }},
            {{"latitude", "Latitude", "degrees", "of the station, north positive"},
             [](const W& w) -> Cell { return w.year.place.latitude_deg; }},
            {{"longitude", "Longitude", "degrees", "of the station, east positive"},
             [](const W& w) -> Cell { return w.year.place.longitude_deg; }},
            {{"height", "Height", "length", "of the station, above the sea"},
             [](const W& w) -> Cell { return w.year.place.height_m; }},
            {{"time_zone", "Time zone", "fine_hours", "of the station, ahead of UTC"},
             [](const W& w) -> Cell { return w.year.place.time_zone_h; }},
            {{"heating_base", "Heating base", "temperature", "daily means below it count as degree-days"},
             [](const W& w) -> Cell { return w.summary.bases.heating_C; }},
            {{"cooling_base", "Cooling base", "temperature", "daily means above it count as degree-days"},
             [](const W& w) -> Cell { return w.summary.bases.cooling_C; }},
        }};
    return all;
}

const figure::TableOf<PeriodRow>& weather_month_columns()
{
    using P = PeriodRow;
    static const figure::TableOf<P> all = {
        {"weather_month", "The weather year by month", "A month of the weather year."},
        {
            {{"month", "Weather year", "", "month", 0}, [](const P& p) -> Cell { return p.name; }},
            {{"mean", "mean\n", "temperature", "dry bulb"}, [](const P& p) -> Cell { return p.period.mean_C; }},
            {{"mean_highest", "mean\nhigh", "temperature", "of the days' highest"},
             [](const P& p) -> Cell { return p.period.mean_highest_C; }},
            {{"mean_lowest", "mean\nlow", "temperature", "of the days' lowest"},
             [](const P& p) -> Cell { return p.period.mean_lowest_C; }},
            {{"highest", "highest\n", "temperature", "dry bulb"},
             [](const P& p) -> Cell { return p.period.highest_C; }},
            {{"lowest", "lowest\n", "temperature", "dry bulb"}, [](const P& p) -> Cell { return p.period.lowest_C; }},
            {{"relative_humidity", "rel.\nhum.", "share", "mean", 4},
             [](const P& p) -> Cell { return p.period.relative_humidity; }},
            {{"humidity", "humidity\n", "humidity_ratio", "mean", 3},
             [](const P& p) -> Cell { return p.period.humidity_ratio; }},
            {{"sun_flat", "sun a\nday, flat", "irradiation", "on the horizontal, mean day", 2},
             [](const P& p) -> Cell { return p.period.global_J_per_m2; }},
            {{"beam", "beam,\nfacing it", "irradiation", "on a plane that faces the sun, mean day", 2},
             [](const P& p) -> Cell { return p.period.beam_J_per_m2; }},
            {{"diffuse", "diffuse,\nflat", "irradiation", "of the sky on the horizontal, mean day", 2},
             [](const P& p) -> Cell { return p.period.diffuse_J_per_m2; }},
            {{"wind", "wind\n", "wind", "mean", 3}, [](const P& p) -> Cell { return cell_of(p.period.wind_m_per_s); }},
            {{"cloud", "cloud\n", "cloud_cover", "mean", 5},
             [](const P& p) -> Cell { return cell_of(p.period.cloud_cover); }},
            {{"heating_degree_days", "degree-days\nheating", "temperature_difference",
              "sum over days of what their means are below the heating base", 2},
             [](const P& p) -> Cell { return p.period.heating_degree_days_K; }},
            {{"cooling_degree_days", "degree-days\ncooling", "temperature_difference",
              "sum over days of what their means are above the cooling base", 2},
             [](const P& p) -> Cell { return p.period.cooling_degree_days_K; }},
        }};
    return all;
}

const figure::TableOf<YearExtremes>& weather_extreme_columns()
{
    using E = YearExtremes;
    static const figure::TableOf<E> all = {
        {"weather_extreme", "Extremes of the weather year",
         "What a share of the year is hotter than, each with the mean of what came with it within half a kelvin."},
        {
            {{"hotter", "Share of the year\nthat is hotter", "", "of its hours", 0},
             [](const E& e) -> Cell { return fmt::format("{:g} %", 100.0 * e.share); }},
            {{"dry_bulb", "dry\nbulb", "temperature", "exceeded for that share"},
             [](const E& e) -> Cell { return e.dry_bulb.dry_bulb_C; }},
            {{"wet_bulb_with_it", "wet bulb\nwith it", "temperature", "mean of what came with it"},
             [](const E& e) -> Cell { return e.dry_bulb.wet_bulb_C; }},
            {{"wet_bulb", "wet\nbulb", "temperature", "exceeded for that share"},
             [](const E& e) -> Cell { return e.wet_bulb.peak_C; }},
            {{"dry_bulb_with_wet_bulb", "dry bulb\nwith it", "temperature", "mean of what came with it"},
             [](const E& e) -> Cell { return e.wet_bulb.dry_bulb_C; }},
            {{"dew_point", "dew\npoint", "temperature", "exceeded for that share"},
             [](const E& e) -> Cell { return e.dew_point.peak_C; }},
            {{"dry_bulb_with_dew_point", "dry bulb\nwith it", "temperature", "mean of what came with it"},
             [](const E& e) -> Cell { return e.dew_point.dry_bulb_C; }},
            {{"wind", "wind with\nthe dry bulb", "wind", "mean"},
             [](const E& e) -> Cell { return cell_of(e.dry_bulb.wind_m_per_s); }},
        }};
    return all;
}

/// Twelve months, and the year as a total.
figure::Table weather_month_table(const WeatherFigures& weather)
{
    const YearSummary& summary = weather.summary;
    std::vector<PeriodRow> rows;
    for (std::size_t m = 0; m < summary.months.size(); ++m)
        rows.push_back({month_name(static_cast<int>(m) + 1), summary.months[m]});
    figure::Table out = figure::table_of(weather_month_columns(), rows);
    figure::Total& year = out.add_total("year");
    for (std::size_t c = 1; c < out.columns.size(); ++c)
        year.cells[c] = weather_month_columns().columns[c].value({"year", summary.year});
    return out;
}

} // namespace

const figure::TablesOf<WeatherFigures>& weather_tables()
{
    using W = WeatherFigures;
    static const figure::TablesOf<W> all = [] {
        figure::TablesOf<W> tables;
        tables.add(weather_month_columns().declaration(), weather_month_table)
            .add(weather_extreme_columns(), [](const W& w) { return w.derived.of_year; })
            .add(weather_year_columns(), [](const W& w) { return std::vector{w}; });
        return tables;
    }();
    return all;
}

} // namespace venture::climate
