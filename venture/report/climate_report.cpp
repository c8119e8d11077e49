#include <venture/report/climate_report.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

namespace venture::report {

using climate::CoolingMonth;
using climate::WeatherFigures;
using figure::Document;
using quantity::PreferredUnits;

namespace {

/// Where a value came from, as one letter behind it.
class Marks {
public:
    explicit Marks(const quantity::OriginPool& origins) : origins_{origins} {}

    char of(quantity::OriginId origin)
    {
        switch (origins_.at(origin).kind) {
        case quantity::OriginKind::overlay:
            set_ = true;
            return '*';
        case quantity::OriginKind::computed:
            derived_ = true;
            return '~';
        default:
            return ' ';
        }
    }

    [[nodiscard]] std::string legend() const
    {
        std::string out;
        if (set_) out += "* set for this run. ";
        if (derived_) out += "~ derived from the weather year. ";
        if (!out.empty()) out += "The others are typed; ";
        return out + "`venture check PROJECT --origins site` tells where each value came from.\n";
    }

private:
    const quantity::OriginPool& origins_;
    bool set_ = false, derived_ = false;
};

/// What is typed of a month of the site; an empty one if nothing is.
input::MonthInput month_input(const input::Input& input, int month)
{
    for (const input::MonthInput& m : input.site.months)
        if (m.month && static_cast<int>(*m.month) == month) return m;
    return {};
}

std::string summer_time_in_words(const climate::Site& site)
{
    if (!site.summer_time) return "no summer time";
    return fmt::format("summer time {} to {}, {:g} h ahead", climate::in_words(site.summer_time->first),
                       climate::in_words(site.summer_time->last), site.summer_time->ahead_h);
}

std::string site_text(const climate::Site& site, const std::optional<WeatherFigures>& weather,
                      const PreferredUnits& units)
{
    const climate::Place& p = site.place;
    std::string out = fmt::format("{}: {:.2f} deg {}, {:.2f} deg {}, {} above the sea; clock UTC{:+g} h, {}\n",
                                  site.name.empty() ? "Site" : site.name, std::abs(p.latitude_deg),
                                  p.latitude_deg < 0 ? "south" : "north", std::abs(p.longitude_deg),
                                  p.longitude_deg < 0 ? "west" : "east", units.text(p.height_m, quantity::Kind::length),
                                  p.time_zone_h + 0.0, summer_time_in_words(site));
    if (!weather) return out + "No weather year: design conditions are all there is. A [weather] table gives one.\n";
    const climate::WeatherYear& y = weather->year;
    return out + fmt::format("Weather year '{}': {}; {} steps of {:g} min{}\n", y.name, y.source, y.size(),
                             60.0 * y.step_h(),
                             y.calendar_year != 0 ? fmt::format(", of {}", y.calendar_year)
                                                  : (y.synthetic ? "" : ", a typical year"));
}

std::string winter_text(const climate::Site& site, const input::SiteInput& s, Marks& marks, const PreferredUnits& units)
{
    const auto with_unit = [&](double value, std::string_view quantity, quantity::OriginId origin) {
        const char mark = marks.of(origin);
        return units.number(value, quantity) + (mark == ' ' ? "" : std::string{mark}) + " " +
               std::string{units.symbol(quantity)};
    };
    std::string out = "Design conditions\nHeating  dry bulb " +
                      with_unit(site.winter.dry_bulb_C, "temperature", s.winter_dry_bulb.origin);
    out += site.winter.dew_point_C
               ? ", dew point " + with_unit(*site.winter.dew_point_C, "temperature", s.winter_dew_point.origin)
               : ", relative humidity 80 % (assumed: no winter_dew_point)";
    if (site.winter.wind_m_per_s) out += ", wind " + with_unit(*site.winter.wind_m_per_s, "wind", s.winter_wind.origin);
    return out + ", ground " + with_unit(site.winter.ground_C, "temperature", s.winter_ground.origin) + "\n" +
           (site.months.empty() ? "Cooling  no design month\n" : "");
}

/// The months, each value with the mark of where it came from.
figure::Table months_table(const climate::Site& site, const input::Input& input, Marks& marks)
{
    figure::Table out = climate::site_tables().table("cooling_month", site);
    for (const CoolingMonth& m : site.months) {
        const input::MonthInput given = month_input(input, m.month);
        const quantity::OriginId origins[] = {{},
                                              given.dry_bulb.origin,
                                              given.wet_bulb.origin,
                                              given.daily_range.origin,
                                              given.wet_bulb_range.origin,
                                              given.beam_depth.origin,
                                              given.diffuse_depth.origin,
                                              given.ground.origin,
                                              given.peak_wet_bulb.origin,
                                              given.dry_bulb_at_peak_wet_bulb.origin,
                                              given.peak_dew_point.origin,
                                              given.dry_bulb_at_peak_dew_point.origin,
                                              given.wind.origin};
        std::string row;
        for (std::size_t c = 0; c < out.columns.size(); ++c)
            row += std::holds_alternative<std::monostate>(out.rows[out.marks.size()][c]) ? ' ' : marks.of(origins[c]);
        out.marks.push_back(std::move(row));
    }
    return out;
}

void add_days(Document& out, const std::vector<climate::DesignDay>& days, figure::Told told)
{
    constexpr std::size_t a_day = 24;
    for (const climate::DesignDay& day : days) {
        figure::Table hours = figure::table_of(climate::day_hour_columns(), climate::hours_of(day, a_day));
        hours.told = told;
        out.add(std::move(hours));
    }
}

std::string heading_of(const climate::DesignDay& day, const PreferredUnits& units)
{
    return fmt::format("{}: hour in local standard time; ground {}{}\n", day.name,
                       units.text(day.ground_C, "temperature"),
                       day.humidity_capped_at_saturation ? "; some hours are held at saturation" : "");
}

void add_weather(Document& out, const WeatherFigures& weather, const PreferredUnits& units)
{
    if (weather.year.synthetic) out.add("\nSYNTHETIC weather: made up, plausible, measured by nobody.\n");
    const auto& tables = climate::weather_tables();
    out.add(tables.table("weather_month", weather));
    out.add(fmt::format("Degree-days of daily means below {} and above {}.\n",
                        units.text(weather.summary.bases.heating_C, "temperature"),
                        units.text(weather.summary.bases.cooling_C, "temperature")));
    out.add(tables.table("weather_extreme", weather));
    out.add(
        "Each with the mean of what came with it within half a kelvin. One year tells what was, not how rare it is.\n");
    tables.add_rest(out, weather);
}

} // namespace

Document climate_document(const climate::Site& site, const input::Input& input,
                          const std::optional<WeatherFigures>& weather, const PreferredUnits& units)
{
    Marks marks{input.origins};
    Document out;
    const std::string winter = winter_text(site, input.site, marks, units);
    figure::Table months = months_table(site, input, marks);
    out.add(site_text(site, weather, units) + "\n" + winter);
    out.add(std::move(months));
    out.add(marks.legend());
    const auto days = climate::design_days(site);
    out.add(climate::site_tables().table("design_day", site));
    if (!days.empty())
        out.add("Humidity at 14 h; sun on the horizontal over the day, and the most of any hour on walls, "
                "with ground reflection. --day \"July\" lists a day's hours.\n");
    if (weather) add_weather(out, *weather, units);
    climate::site_tables().add_rest(out, site);
    std::vector<climate::DesignDay> all = {climate::winter_design_day(site)};
    for (const climate::DayGlance& glance : days) all.push_back(glance.day);
    add_days(out, all, figure::Told::data);
    return out;
}

Document day_document(const climate::DesignDay& day, const PreferredUnits& units)
{
    Document out;
    out.add(heading_of(day, units));
    add_days(out, {day}, figure::Told::everyone);
    return out;
}

Document week_document(const climate::ExtremeWeek& week, const std::string& what, const std::string& weather,
                       const PreferredUnits& units)
{
    Document out{fmt::format("The {} week of the weather year '{}': {} in the mean", what, weather,
                             units.text(week.mean_C, "temperature"))};
    for (const climate::DesignDay& day : week.days) {
        out.add("\n" + heading_of(day, units));
        add_days(out, {day}, figure::Told::everyone);
    }
    return out;
}

Document derived_document(const WeatherFigures& weather)
{
    Document out{fmt::format("Design conditions derived from the weather year '{}'", weather.year.name)};
    out.add("One year tells what was, not how rare it is.\n");
    out.add(figure::table_of(climate::cooling_month_columns(), weather.derived.months));
    out.add(figure::table_of(climate::winter_design_columns(), std::vector{weather.derived.winter}));
    out.add(climate::weather_tables().table("weather_extreme", weather));
    out.add(climate::weather_tables().table("weather_year", weather));
    return out;
}

} // namespace venture::report
