#include <venture/report/site_keys.hpp>

#include <fmt/format.h>

namespace venture::report {

using climate::CoolingMonth;
using climate::WeatherFigures;

namespace {

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

} // namespace

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

} // namespace venture::report
