/// A weather year as a file that describes itself.

#include <cmath>

#include <fmt/format.h>

#include <venture/air/moist_air.hpp>
#include <venture/exchange/weather_file.hpp>

namespace venture::exchange {

namespace {

/// A text in the quotes of TOML, on one line.
std::string in_quotes(std::string_view text)
{
    std::string out = "\"";
    for (const char c : text) {
        if (static_cast<unsigned char>(c) < ' ') {
            out += ' ';
            continue;
        }
        if (c == '"' || c == '\\') out += '\\';
        out += c;
    }
    return out + '"';
}

/// Never "-0.0".
double rounded(double value, double to) { return std::round(value / to) * to + 0.0; }

} // namespace

std::string write_weather(const climate::WeatherYear& year)
{
    std::string out = "# [weather]\n";
    const auto line = [&](std::string_view key, const std::string& value) {
        out += fmt::format("# {} = {}\n", key, value);
    };
    line("name", in_quotes(year.name));
    line("note", in_quotes(year.source));
    line("form", year.synthetic ? "\"synthetic\"" : "\"columns\"");
    line("latitude", fmt::format("{}", year.place.latitude_deg));
    line("longitude", fmt::format("{}", year.place.longitude_deg));
    line("time_zone", fmt::format("{}", year.place.time_zone_h));
    line("height", fmt::format("{}", year.place.height_m));
    line("year", fmt::format("{}", year.calendar_year));
    line("stamp", "\"beginning\"");
    line("below_freezing", "\"ice\"");
    out += "time,dry bulb [degC],dew point [degC],pressure [hPa],beam normal [W/m2],diffuse horizontal [W/m2],"
           "global horizontal [W/m2]";
    if (!year.wind_m_per_s.empty()) out += ",wind speed [m/s]";
    if (!year.wind_from_deg.empty()) out += ",wind direction [deg]";
    if (!year.cloud_cover.empty()) out += ",cloud cover [%]";
    out += '\n';
    // Global follows from the others; with it a reader judges the clock by what was measured, not by a split of it.
    const std::vector<double> global = global_horizontal_W_per_m2(
        year, climate::suns_of_year(year.place, year.leap, year.steps_per_hour, year.calendar_year));
    const int shown_year = year.calendar_year != 0 ? year.calendar_year : year.leap ? 2024 : 2022;
    for (std::size_t i = 0; i < year.size(); ++i) {
        const auto date = climate::month_day(static_cast<int>(i / year.steps_per_day()) + 1, year.leap);
        const std::size_t minute = i % year.steps_per_day() * 60U / static_cast<std::size_t>(year.steps_per_hour);
        const auto air =
            air::MoistAir::from_humidity_ratio(quantity::Temperature::celsius(year.dry_bulb_C[i]),
                                               year.humidity_ratio[i], quantity::Pressure::pascal(year.pressure_Pa[i]));
        out += fmt::format("{}-{:02}-{:02} {:02}:{:02},{:.2f},{:.2f},{:.1f},{:.1f},{:.1f},{:.1f}", shown_year,
                           date.month, date.day, minute / 60, minute % 60, rounded(year.dry_bulb_C[i], 0.01),
                           rounded(air::dew_point(air).celsius(), 0.01), year.pressure_Pa[i] / 100.0,
                           rounded(year.beam_normal_W_per_m2[i], 0.1),
                           rounded(year.diffuse_horizontal_W_per_m2[i], 0.1), rounded(global[i], 0.1));
        if (!year.wind_m_per_s.empty()) out += fmt::format(",{:.1f}", year.wind_m_per_s[i]);
        if (!year.wind_from_deg.empty())
            out += fmt::format(",{:.0f}", std::fmod(std::round(year.wind_from_deg[i]), 360.0));
        if (!year.cloud_cover.empty()) out += fmt::format(",{:.0f}", 100.0 * year.cloud_cover[i]);
        out += '\n';
    }
    return out;
}

} // namespace venture::exchange
