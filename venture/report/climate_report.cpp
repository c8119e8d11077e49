#include <venture/report/climate_report.hpp>

#include <algorithm>
#include <array>
#include <cmath>

#include <fmt/format.h>

#include <venture/air/moist_air.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

using climate::CoolingMonth;
using climate::DesignDay;
using climate::PeriodSummary;
using quantity::PreferredUnits;
using quantity::Pressure;
using quantity::Temperature;

namespace {

constexpr const char* nothing = "-";

air::MoistAir air_at(const DesignDay& day, std::size_t hour)
{
    return air::MoistAir::from_humidity_ratio(Temperature::celsius(day.dry_bulb_C[hour]), day.humidity_ratio[hour],
                                              day.pressure);
}

/// Where a value came from, as one letter behind it.
class Marks {
public:
    explicit Marks(const quantity::OriginPool& origins) : origins_{origins} {}

    std::string marked(const std::string& number, quantity::OriginId origin)
    {
        switch (origins_.at(origin).kind) {
        case quantity::OriginKind::overlay:
            set_ = true;
            return number + "*";
        case quantity::OriginKind::computed:
            derived_ = true;
            return number + "~";
        default:
            return number + " ";
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

/// Daily sum over a plane, J/m2.
double day_sum_J_per_m2(const DesignDay& day, double tilt_deg, double azimuth_deg)
{
    const auto on = irradiance_on_plane(day, climate::Angle::degrees(tilt_deg), climate::Angle::degrees(azimuth_deg));
    double sum = 0.0; // straight lines between the hours
    for (std::size_t h = 0; h + 1 < DesignDay::points; ++h)
        sum += 0.5 * 3600.0 * (on[h].total_W_per_m2() + on[h + 1].total_W_per_m2());
    return sum;
}

/// Largest hourly value on a wall, W/m2.
double largest_W_per_m2(const DesignDay& day, double azimuth_deg)
{
    const auto on = irradiance_on_plane(day, climate::Angle::degrees(90.0), climate::Angle::degrees(azimuth_deg));
    double largest = 0.0;
    for (const auto& hour : on) largest = std::max(largest, hour.total_W_per_m2());
    return largest;
}

std::string sunshine_in_words(const climate::Site& site, const CoolingMonth& month)
{
    constexpr double upper_limb_deg = -0.833;
    const auto sun = climate::sun_day(
        {2022, month.month, climate::design_day_of_month, 0.0}, climate::Angle::degrees(site.place.latitude_deg),
        climate::Angle::degrees(site.place.longitude_deg), climate::Angle::degrees(upper_limb_deg));
    if (!sun.rise_utc_h || !sun.set_utc_h) return sun.noon_elevation_deg > 0.0 ? "all day" : "never";
    const double ahead =
        site.place.time_zone_h + climate::clock_ahead_h(site, {month.month, climate::design_day_of_month});
    return fmt::format("{}-{}", clock_in_words(*sun.rise_utc_h + ahead), clock_in_words(*sun.set_utc_h + ahead));
}

std::string summer_time_in_words(const climate::Site& site)
{
    if (!site.summer_time) return "no summer time";
    return fmt::format("summer time {} to {}, {:g} h ahead", climate::in_words(site.summer_time->first),
                       climate::in_words(site.summer_time->last), site.summer_time->ahead_h);
}

} // namespace

std::string clock_in_words(double hour)
{
    const auto minutes = static_cast<int>(std::lround(60.0 * hour));
    const int of_day = (minutes % 1440 + 1440) % 1440;
    return fmt::format("{:02}:{:02}", of_day / 60, of_day % 60);
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

Text conditions_text(const climate::Site& site, const input::Input& input, const PreferredUnits& units)
{
    Marks marks{input.origins};
    const input::SiteInput& s = input.site;
    const auto with_unit = [&](double value, std::string_view quantity, quantity::OriginId origin) {
        const std::string number = marks.marked(units.number(value, quantity), origin);
        return fmt::format("{}{} {}", number.substr(0, number.size() - 1),
                           number.ends_with(' ') ? "" : number.substr(number.size() - 1), units.symbol(quantity));
    };
    Text out = "Design conditions\nHeating  dry bulb " +
               with_unit(site.winter.dry_bulb_C, "temperature", s.winter_dry_bulb.origin);
    out += site.winter.dew_point_C
               ? ", dew point " + with_unit(*site.winter.dew_point_C, "temperature", s.winter_dew_point.origin)
               : ", relative humidity 80 % (assumed: no winter_dew_point)";
    if (site.winter.wind_m_per_s) out += ", wind " + with_unit(*site.winter.wind_m_per_s, "wind", s.winter_wind.origin);
    out += ", ground " + with_unit(site.winter.ground_C, "temperature", s.winter_ground.origin) + "\n";
    if (site.months.empty()) return out + "Cooling  no design month\n" + marks.legend();

    TextTable table;
    const std::string degrees = std::string{units.symbol("temperature")} + " ",
                      kelvin = std::string{units.symbol("temperature_difference")} + " ";
    table.add_column("Cooling\n\n", Align::left);
    int rank = 0; // what is listed first is asked for most
    for (const std::string& heading :
         {"dry\nbulb\n" + degrees, "wet bulb\nwith it\n" + degrees, "daily\nrange\n" + kelvin,
          "of wet\nbulb\n" + kelvin, std::string{"beam\ndepth\n"}, std::string{"diffuse\ndepth\n"},
          "ground\n\n" + degrees, "highest\nwet bulb\n" + degrees, "dry bulb\nwith it\n" + degrees,
          "highest\ndew point\n" + degrees, "dry bulb\nwith it\n" + degrees,
          "wind\n\n" + std::string{units.symbol("wind")} + " "})
        table.add_column(heading, Align::right, ++rank);
    for (const CoolingMonth& m : site.months) {
        const input::MonthInput given = month_input(input, m.month);
        const auto cell = [&](std::optional<double> value, std::string_view quantity, quantity::OriginId origin) {
            return value ? marks.marked(units.number(*value, quantity), origin) : std::string{nothing} + " ";
        };
        const auto plain = [&](double value, quantity::OriginId origin) {
            return marks.marked(fmt::format("{:.3f}", value), origin);
        };
        const auto peak = [](const auto& pair, auto member) {
            return pair ? std::optional{(*pair).*member} : std::nullopt;
        };
        using Pair = climate::PeakWithDryBulb;
        table.add_row(
            {climate::month_name(m.month), cell(m.dry_bulb_C, "temperature", given.dry_bulb.origin),
             cell(m.wet_bulb_C, "temperature", given.wet_bulb.origin),
             cell(m.daily_range_K, "temperature_difference", given.daily_range.origin),
             cell(m.wet_bulb_range_K, "temperature_difference", given.wet_bulb_range.origin),
             plain(m.beam_depth, given.beam_depth.origin), plain(m.diffuse_depth, given.diffuse_depth.origin),
             cell(m.ground_C, "temperature", given.ground.origin),
             cell(peak(m.peak_wet_bulb, &Pair::peak_C), "temperature", given.peak_wet_bulb.origin),
             cell(peak(m.peak_wet_bulb, &Pair::dry_bulb_C), "temperature", given.dry_bulb_at_peak_wet_bulb.origin),
             cell(peak(m.peak_dew_point, &Pair::peak_C), "temperature", given.peak_dew_point.origin),
             cell(peak(m.peak_dew_point, &Pair::dry_bulb_C), "temperature", given.dry_bulb_at_peak_dew_point.origin),
             cell(m.wind_m_per_s, "wind", given.wind.origin)});
    }
    return out + Text{std::move(table)} + marks.legend();
}

Text design_days_text(const climate::Site& site, const PreferredUnits& units)
{
    TextTable table;
    table.add_column("Design day", Align::left);
    table.add_column("sun up\n(clock)", Align::left);
    add_column(table, "highest", "temperature", units);
    add_column(table, "lowest", "temperature", units);
    add_column(table, "humidity", "humidity_ratio", units);
    add_column(table, "sun, flat", "irradiation", units);
    for (const char* wall : {"most north", "most east", "most south", "most west"})
        add_column(table, wall, "power_per_area", units, 2);
    for (const CoolingMonth& month : site.months) {
        const DesignDay day = cooling_design_day(site, month);
        const auto [lowest, highest] = std::ranges::minmax(day.dry_bulb_C);
        std::vector<std::string> row = {
            fmt::format("{} {}", climate::design_day_of_month, climate::month_name(month.month)),
            sunshine_in_words(site, month),
            units.number(highest, "temperature"),
            units.number(lowest, "temperature"),
            units.number(air_at(day, 14).humidity_ratio(), "humidity_ratio"),
            units.number(day_sum_J_per_m2(day, 0.0, 0.0), "irradiation")};
        for (const double azimuth : {0.0, 90.0, 180.0, 270.0})
            row.push_back(units.number(largest_W_per_m2(day, azimuth), "power_per_area"));
        table.add_row(std::move(row));
    }
    return Text{std::move(table)} +
           "Humidity at 14 h; sun on the horizontal over the day, and the most of any hour on walls, "
           "with ground reflection. --day \"July\" lists a day's hours.\n";
}

Text day_text(const DesignDay& day, const PreferredUnits& units)
{
    TextTable table;
    table.add_column("hour\n\n", Align::left);
    table.add_column("clock", Align::left);
    add_column(table, "dry\nbulb", "temperature", units);
    add_column(table, "wet\nbulb", "temperature", units, 2);
    add_column(table, "humidity\n", "humidity_ratio", units, 3);
    table.add_column("rel.\nhum.\n%", Align::right, 5);
    table.add_column("sun\nup\ndeg", Align::right, 4);
    table.add_column("sun\nfrom\ndeg", Align::right, 4);
    for (const char* what : {"beam\nfacing it", "diffuse\nflat", "north\n", "east\n", "south\n", "west\n"})
        add_column(table, what, "power_per_area", units);
    std::array<std::array<climate::PlaneIrradiance, DesignDay::points>, 4> walls;
    for (std::size_t w = 0; w < walls.size(); ++w)
        walls[w] = irradiance_on_plane(day, climate::Angle::degrees(90.0),
                                       climate::Angle::degrees(90.0 * static_cast<double>(w)));
    for (std::size_t h = 0; h < 24; ++h) {
        const air::MoistAir air = air_at(day, h);
        const bool up = day.sun[h].elevation_deg() > 0.0;
        std::vector<std::string> row = {fmt::format("{:02}", h),
                                        clock_in_words(static_cast<double>(h) + day.clock_ahead_h),
                                        units.number(day.dry_bulb_C[h], "temperature"),
                                        units.number(air::wet_bulb(air).celsius(), "temperature"),
                                        units.number(air.humidity_ratio(), "humidity_ratio"),
                                        fmt::format("{:.0f}", 100.0 * air::relative_humidity(air)),
                                        up ? fmt::format("{:.1f}", day.sun[h].elevation_deg()) : nothing,
                                        up ? fmt::format("{:.0f}", day.sun[h].azimuth_deg) : nothing,
                                        units.number(day.sky[h].beam_normal_W_per_m2, "power_per_area"),
                                        units.number(day.sky[h].diffuse_horizontal_W_per_m2, "power_per_area")};
        for (const auto& wall : walls) row.push_back(units.number(wall[h].total_W_per_m2(), "power_per_area"));
        table.add_row(std::move(row));
    }
    return fmt::format("{}: hour in local standard time; ground {}{}\n", day.name,
                       units.text(day.ground_C, "temperature"),
                       day.humidity_capped_at_saturation ? "; some hours are held at saturation" : "") +
           Text{std::move(table)};
}

} // namespace venture::report
