#include <venture/climate/design_day.hpp>

#include <algorithm>
#include <numeric>

#include <fmt/format.h>

#include <venture/air/moist_air.hpp>
#include <venture/climate/sky.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>

namespace venture::climate {

using air::MoistAir;
using quantity::Temperature;

namespace {

/// Share of the daily range below the maximum, at the hours 0..23 of local standard time.
constexpr std::array<double, 24> range_fraction = {0.82, 0.88, 0.92, 0.95, 0.98, 1.00, 0.98, 0.91,
                                                   0.74, 0.55, 0.38, 0.23, 0.13, 0.05, 0.00, 0.00,
                                                   0.06, 0.14, 0.24, 0.39, 0.50, 0.59, 0.68, 0.75};
static_assert(range_fraction[5] == 1.0 && range_fraction[14] == 0.0);

void set_sun(DesignDay& day, const Site& site, const CoolingMonth& month)
{
    const int number = day_of_year({month.month, design_day_of_month});
    const double outside = extraterrestrial_W_per_m2(number);
    day.beyond_W_per_m2.fill(outside);
    for (std::size_t h = 0; h < DesignDay::points; ++h) {
        day.sun[h] = sun_in_year(site.place, 24.0 * (number - 1) + static_cast<double>(h % 24));
        day.sky[h] =
            clear_sky(Angle::degrees(day.sun[h].elevation_deg()), outside, month.beam_depth, month.diffuse_depth);
    }
}

/// The state of the air at the peak of a design day.
MoistAir peak_state(const CoolingMonth& m, DesignFor peak, quantity::Pressure p)
{
    const auto there = [&](const std::optional<PeakWithDryBulb>& given, const char* what) {
        if (given) return *given;
        throw quantity::Error{fmt::format("cooling_design_day: {} has no peak {}", month_name(m.month), what)};
    };
    if (peak == DesignFor::dry_bulb)
        return MoistAir::from_wet_bulb(Temperature::celsius(m.dry_bulb_C), Temperature::celsius(m.wet_bulb_C), p);
    if (peak == DesignFor::wet_bulb) {
        const PeakWithDryBulb given = there(m.peak_wet_bulb, "wet bulb");
        return MoistAir::from_wet_bulb(Temperature::celsius(given.dry_bulb_C), Temperature::celsius(given.peak_C), p);
    }
    const PeakWithDryBulb given = there(m.peak_dew_point, "dew point");
    const double w = air::saturation_humidity_ratio(Temperature::celsius(given.peak_C), p);
    return MoistAir::from_humidity_ratio(Temperature::celsius(given.dry_bulb_C), w, p);
}

/// Temperature of the ground that the site states for a month; that of winter if it does not.
double ground_in_C(const Site& site, int month)
{
    const auto at = std::ranges::find(site.months, month, &CoolingMonth::month);
    return at == site.months.end() ? site.winter.ground_C : at->ground_C;
}

/// Mean over the hour that begins so many hours into the year.
double hour_mean(const std::vector<double>& means, const WeatherYear& year, std::size_t hour)
{
    const auto per_hour = static_cast<std::size_t>(year.steps_per_hour), hours = year.size() / per_hour;
    const auto from = means.begin() + static_cast<std::ptrdiff_t>((hour + hours) % hours * per_hour);
    return std::accumulate(from, from + year.steps_per_hour, 0.0) / year.steps_per_hour;
}

/// What a day's name has behind that of its month.
std::string_view words_behind(DesignFor peak)
{
    switch (peak) {
    case DesignFor::dry_bulb:
        return "";
    case DesignFor::wet_bulb:
        return " wet bulb";
    case DesignFor::dew_point:
        return " dew point";
    }
    VENTURE_UNREACHABLE("a peak that is none");
}

/// Under the same sun it asks for nothing more then.
bool is_nowhere_above(const DesignDay& day, const DesignDay& other)
{
    for (std::size_t h = 0; h < DesignDay::points; ++h)
        if (day.dry_bulb_C[h] > other.dry_bulb_C[h] || day.humidity_ratio[h] > other.humidity_ratio[h]) return false;
    return true;
}

} // namespace

bool has_peak(const CoolingMonth& month, DesignFor peak)
{
    return peak == DesignFor::dry_bulb ||
           (peak == DesignFor::wet_bulb ? month.peak_wet_bulb : month.peak_dew_point).has_value();
}

std::vector<DesignDay> cooling_design_days(const Site& site)
{
    std::vector<DesignDay> out;
    for (const CoolingMonth& month : site.months) {
        const DesignDay hottest = out.emplace_back(cooling_design_day(site, month));
        for (const DesignFor peak : {DesignFor::wet_bulb, DesignFor::dew_point}) {
            if (!has_peak(month, peak)) continue;
            DesignDay day = cooling_design_day(site, month, peak);
            if (!is_nowhere_above(day, hottest)) out.push_back(std::move(day));
        }
    }
    return out;
}

std::optional<DesignDay> design_day_called(const Site& site, std::string_view name)
{
    const std::string asked = quantity::lower_case(quantity::trimmed(name));
    if (asked == "winter" || asked == "winter design") return winter_design_day(site);
    const auto blank = std::min(asked.find(' '), asked.size());
    const auto date = read_month_day("1 " + asked.substr(0, blank));
    const std::string behind = asked.substr(blank) == " dry bulb" ? std::string{} : asked.substr(blank);
    for (const CoolingMonth& month : site.months)
        for (const DesignFor peak : {DesignFor::dry_bulb, DesignFor::wet_bulb, DesignFor::dew_point})
            if (std::holds_alternative<MonthDay>(date) && std::get<MonthDay>(date).month == month.month &&
                behind == words_behind(peak) && has_peak(month, peak))
                return cooling_design_day(site, month, peak);
    return std::nullopt;
}

DesignDay cooling_design_day(const Site& site, const CoolingMonth& month, DesignFor peak)
{
    quantity::check_range("cooling_design_day", "daily range", month.daily_range_K, {0.0, 40.0}, "K");
    DesignDay day{.name = month_name(month.month) + std::string{words_behind(peak)},
                  .month = month.month,
                  .made_for = peak,
                  .clock_ahead_h = clock_ahead_h(site, {month.month, design_day_of_month}),
                  .ground_C = month.ground_C,
                  .pressure = air::standard_pressure(site.place.height_m),
                  .ground_reflectance = site.ground_reflectance};
    const MoistAir at_peak = peak_state(month, peak, day.pressure);
    const bool by_wet_bulb = month.wet_bulb_range_K && peak != DesignFor::dew_point;
    const double peak_wet_bulb_C = air::wet_bulb(at_peak).celsius();
    for (std::size_t h = 0; h < DesignDay::points; ++h) {
        const double f = range_fraction[h % 24];
        const auto t = Temperature::celsius(at_peak.dry_bulb().celsius() - f * month.daily_range_K);
        const double saturated = air::saturation_humidity_ratio(t, day.pressure);
        double w = at_peak.humidity_ratio();
        if (by_wet_bulb) {
            const double wet_C = peak_wet_bulb_C - f * *month.wet_bulb_range_K;
            day.humidity_capped_at_saturation |= wet_C > t.celsius() + 1e-9;
            w = wet_C >= t.celsius()
                    ? saturated
                    : MoistAir::from_wet_bulb(t, Temperature::celsius(wet_C), day.pressure).humidity_ratio();
        }
        day.dry_bulb_C[h] = t.celsius();
        day.humidity_ratio[h] = std::min(w, saturated);
        day.humidity_capped_at_saturation |= saturated < w;
    }
    set_sun(day, site, month);
    return day;
}

DesignDay winter_design_day(const Site& site)
{
    constexpr double assumed_relative_humidity = 0.8;
    DesignDay day{.name = "winter design",
                  .ground_C = site.winter.ground_C,
                  .pressure = air::standard_pressure(site.place.height_m),
                  .ground_reflectance = site.ground_reflectance};
    const auto t = Temperature::celsius(site.winter.dry_bulb_C);
    const double saturated = air::saturation_humidity_ratio(t, day.pressure);
    double w = MoistAir::from_relative_humidity(t, assumed_relative_humidity, day.pressure).humidity_ratio();
    if (site.winter.dew_point_C) {
        // The driest hours are not the coldest: a dew point above the dry bulb is air that is saturated on that day.
        w = air::saturation_humidity_ratio(Temperature::celsius(*site.winter.dew_point_C), day.pressure);
        day.humidity_capped_at_saturation = w > saturated;
    }
    day.dry_bulb_C.fill(t.celsius());
    day.humidity_ratio.fill(std::min(w, saturated));
    day.sun.fill(SunPosition{.zenith_deg = 180.0}); // below the horizon all day
    return day;
}

Week design_week(const DesignDay& day)
{
    Week week;
    week.fill(day);
    return week;
}

DesignDay weather_day(const WeatherYear& year, int number, const Site& site)
{
    const MonthDay date = month_day(number, year.leap);
    DesignDay day{.name = in_words(date),
                  .month = date.month,
                  .clock_ahead_h = clock_ahead_h(site, date),
                  .ground_C = ground_in_C(site, date.month),
                  .tilted_sky = TiltedSky::measured,
                  .ground_reflectance = site.ground_reflectance};
    const auto per_hour = static_cast<std::size_t>(year.steps_per_hour);
    const std::size_t first_hour = 24U * static_cast<std::size_t>(number - 1), n = year.size();
    double pressure_Pa = 0.0;
    day.beyond_W_per_m2.fill(extraterrestrial_W_per_m2(number));
    for (std::size_t h = 0; h < DesignDay::points; ++h) {
        const std::size_t hour = first_hour + h, i = hour * per_hour % n;
        const auto around = [&](const std::vector<double>& means) {
            return 0.5 * (hour_mean(means, year, hour + n / per_hour - 1) + hour_mean(means, year, hour));
        };
        day.dry_bulb_C[h] = year.dry_bulb_C[i];
        day.sun[h] = sun_in_year(year.place, static_cast<double>(hour), year.leap, year.calendar_year);
        day.sky[h] = {around(year.beam_normal_W_per_m2), around(year.diffuse_horizontal_W_per_m2)};
        if (h < 24) pressure_Pa += year.pressure_Pa[i] / 24.0;
    }
    day.pressure = quantity::Pressure::pascal(pressure_Pa);
    for (std::size_t h = 0; h < DesignDay::points; ++h) {
        // The day has one pressure: each hour keeps its vapour pressure, not its humidity ratio.
        const std::size_t i = (first_hour + h) * per_hour % n;
        const auto then =
            MoistAir::from_humidity_ratio(Temperature::celsius(year.dry_bulb_C[i]), year.humidity_ratio[i],
                                          quantity::Pressure::pascal(year.pressure_Pa[i]));
        const double relative = std::min(1.0, air::relative_humidity(then));
        day.humidity_ratio[h] =
            MoistAir::from_relative_humidity(then.dry_bulb(), relative, day.pressure).humidity_ratio();
    }
    return day;
}

ExtremeWeek extreme_week(const WeatherYear& year, const Site& site, Extreme which)
{
    const double sign = which == Extreme::hottest ? 1.0 : -1.0;
    const auto per_day = static_cast<std::ptrdiff_t>(year.steps_per_day());
    ExtremeWeek found{.first_day = 0};
    for (int first = 1; first + 6 <= year.days(); ++first) {
        const auto from = year.dry_bulb_C.begin() + (first - 1) * per_day;
        const double mean = std::accumulate(from, from + 7 * per_day, 0.0) / static_cast<double>(7 * per_day);
        if (found.first_day != 0 && sign * mean <= sign * found.mean_C) continue;
        found.first_day = first;
        found.mean_C = mean;
    }
    for (int d = 0; d < 7; ++d) found.days[static_cast<std::size_t>(d)] = weather_day(year, found.first_day + d, site);
    return found;
}

std::array<PlaneIrradiance, DesignDay::points> irradiance_on_plane(const DesignDay& day, Angle tilt, Angle azimuth)
{
    std::array<PlaneIrradiance, DesignDay::points> out{};
    for (std::size_t h = 0; h < DesignDay::points; ++h)
        out[h] =
            day.tilted_sky == TiltedSky::clear_day
                ? clear_sky_on_plane(day.sky[h], day.sun[h], tilt, azimuth, day.ground_reflectance)
                : perez_on_plane(day.sky[h], day.sun[h], tilt, azimuth, day.ground_reflectance, day.beyond_W_per_m2[h]);
    return out;
}

} // namespace venture::climate
