#include <venture/climate/check_readings.hpp>

#include <algorithm>
#include <array>
#include <cmath>
#include <functional>
#include <numbers>

#include <fmt/format.h>

namespace venture::climate::detail {

namespace {

using Series = std::vector<std::optional<double>>;

/// Records for which something holds: the first, and how many.
struct Found {
    std::size_t first = 0, count = 0;
};

Found find(std::size_t size, const std::function<bool(std::size_t)>& holds)
{
    Found found;
    for (std::size_t i = 0; i < size; ++i)
        if (holds(i) && ++found.count == 1) found.first = i;
    return found;
}

std::string and_more(const Found& found)
{
    return found.count > 1 ? fmt::format(", the first of {} such records", found.count) : std::string{};
}

void check_bounds(const Readings& r, std::vector<WeatherRemark>& remarks)
{
    for (const auto& [reading, series] : r.series) {
        const ReadingSpec& spec = spec_of(reading);
        const auto [lowest, highest] = spec.possible;
        const Found out = find(series.size(), [&](std::size_t i) {
            return series[i] && !(*series[i] >= lowest && *series[i] <= highest);
        });
        if (out.count > 0)
            remarks.push_back({RemarkKind::impossible, true, reading, out.first,
                               fmt::format("{}: {} found, {} to {} is possible{}", spec.key,
                                           quantity::print_quantity(*series[out.first], spec.kind),
                                           quantity::print_quantity(lowest, spec.kind),
                                           quantity::print_quantity(highest, spec.kind), and_more(out)),
                               "is the unit right? is it a mark for a missing value?"});
    }
}

void check_below_dry_bulb(const Readings& r, Reading which, double tolerance_K, std::vector<WeatherRemark>& remarks)
{
    if (!r.has(which) || !r.has(Reading::dry_bulb)) return;
    const Series &value = r.series.at(which), &dry_bulb = r.series.at(Reading::dry_bulb);
    const Found above = find(
        value.size(), [&](std::size_t i) { return value[i] && dry_bulb[i] && *value[i] > *dry_bulb[i] + tolerance_K; });
    if (above.count == 0) return;
    remarks.push_back({RemarkKind::impossible, true, which, above.first,
                       fmt::format("{}: {:.1f} degC is above the dry bulb of {:.1f} degC{}", spec_of(which).key,
                                   *value[above.first], *dry_bulb[above.first], and_more(above)),
                       "were the columns swapped?"});
}

void check_stuck(const Readings& r, std::vector<WeatherRemark>& remarks)
{
    if (!r.has(Reading::dry_bulb)) return;
    const Series& t = r.series.at(Reading::dry_bulb);
    const std::size_t a_day = 24U * static_cast<std::size_t>(r.steps_per_hour);
    std::size_t run = 1;
    for (std::size_t i = 1; i < t.size(); ++i) {
        run = t[i] && t[i - 1] && *t[i] == *t[i - 1] ? run + 1 : 1;
        if (run != a_day + 1) continue;
        remarks.push_back(
            {RemarkKind::stuck, false, Reading::dry_bulb, i + 1 - run,
             fmt::format("dry_bulb: {:g} degC for more than a day from {}", *t[i], when_in_words(r, i + 1 - run)),
             "did the sensor stand still?"});
    }
}

/// A measure of daylight that leans on nothing but what was read: global, or beam and diffuse together.
std::vector<double> light(const Readings& r)
{
    std::vector<double> out(r.size(), 0.0);
    const auto add = [&](Reading which) {
        if (!r.has(which)) return;
        const Series& series = r.series.at(which);
        for (std::size_t i = 0; i < out.size(); ++i) out[i] += series[i].value_or(0.0);
    };
    if (r.has(Reading::global_horizontal)) {
        add(Reading::global_horizontal);
    } else {
        add(Reading::beam_normal);
        add(Reading::diffuse_horizontal);
    }
    return out;
}

/// By how many minutes the centre of the light lies behind solar noon in a month; nothing where there is no light.
/// Clouds would pull it to and fro: each time of day counts with its third brightest day.
std::optional<double> noon_late_min(const Readings& r, const std::vector<StepSun>& suns,
                                    const std::vector<double>& light_W_per_m2, int month)
{
    constexpr double too_dark_W_per_m2 = 20.0; // all day long
    const std::size_t per_day = 24U * static_cast<std::size_t>(r.steps_per_hour);
    const auto first = static_cast<std::size_t>(day_of_year({month, 1}, r.leap) - 1);
    const auto days = static_cast<std::size_t>(days_in_month(month, r.leap));
    double sine = 0.0, cosine = 0.0, sum = 0.0;
    for (std::size_t slot = 0; slot < per_day; ++slot) {
        std::vector<double> of_slot(days);
        for (std::size_t d = 0; d < days; ++d) of_slot[d] = light_W_per_m2[(first + d) * per_day + slot];
        std::array<double, 3> brightest{};
        std::ranges::partial_sort_copy(of_slot, brightest, std::greater{});
        const double hour = (static_cast<double>(slot) + 0.5) / r.steps_per_hour;
        const double middle_of_month_min = suns[(first + days / 2) * per_day + slot].middle.equation_of_time_min;
        const double noon = 12.0 - (r.place.longitude_deg / 15.0 - r.place.time_zone_h) - middle_of_month_min / 60.0;
        const double angle = 2.0 * std::numbers::pi * (hour - noon) / 24.0;
        sine += brightest[2] * std::sin(angle);
        cosine += brightest[2] * std::cos(angle);
        sum += brightest[2];
    }
    if (sum < too_dark_W_per_m2 * static_cast<double>(per_day)) return std::nullopt;
    return std::atan2(sine, cosine) / (2.0 * std::numbers::pi) * 24.0 * 60.0;
}

/// @returns whether the clock is right
bool check_noon(const Readings& r, const std::vector<StepSun>& suns, const std::vector<double>& light_W_per_m2,
                std::vector<WeatherRemark>& remarks)
{
    constexpr double tolerance_min = 45.0;
    std::vector<std::string> months;
    double worst = 0.0;
    int lit = 0;
    for (int month = 1; month <= 12; ++month) {
        const auto late = noon_late_min(r, suns, light_W_per_m2, month);
        if (!late) continue;
        ++lit;
        if (std::abs(*late) <= tolerance_min) continue;
        months.push_back(month_name(month));
        if (std::abs(*late) > std::abs(worst)) worst = *late;
    }
    if (months.empty()) return true;
    const bool all = static_cast<int>(months.size()) == lit;
    const bool an_hour = std::abs(std::abs(worst) - 60.0) < 20.0;
    const char* hint = !all && an_hour && worst > 0 ? "is the clock on summer time? give local standard time"
                       : an_hour ? "do records bear the time of the other end of their hour (stamp), or is the time "
                                   "zone an hour off?"
                                 : "check time zone and longitude (east positive), and whether records were shifted";
    remarks.push_back(
        {RemarkKind::sun_and_clock, true, std::nullopt, std::nullopt,
         fmt::format("sun and clock disagree: by the measured sun, noon is {:.0f} minutes {} in {}", std::abs(worst),
                     worst > 0 ? "late" : "early", all ? "every month" : fmt::format("{}", fmt::join(months, ", "))),
         hint});
    return false;
}

void check_night(const Readings& r, const std::vector<StepSun>& suns, const std::vector<double>& light_W_per_m2,
                 std::vector<WeatherRemark>& remarks)
{
    constexpr double dark_W_per_m2 = 20.0, well_below_deg = -3.0;
    const Found night = find(light_W_per_m2.size(), [&](std::size_t i) {
        return !suns[i].up && suns[i].middle.elevation_deg() < well_below_deg && light_W_per_m2[i] > dark_W_per_m2;
    });
    if (night.count == 0) return;
    remarks.push_back(
        {RemarkKind::sun_and_clock, true, std::nullopt, night.first,
         fmt::format("sun at night: {:.0f} W/m2 on {}, when the sun is {:.0f} degrees below the horizon{}",
                     light_W_per_m2[night.first], when_in_words(r, night.first),
                     -suns[night.first].middle.elevation_deg(), and_more(night)),
         "check latitude, longitude (east positive) and time zone, and whether records were shifted"});
}

void check_sums(const Readings& r, const std::vector<StepSun>& suns, std::vector<WeatherRemark>& remarks)
{
    constexpr double tolerance = 0.1;
    if (!r.has(Reading::global_horizontal) || !r.has(Reading::beam_normal) || !r.has(Reading::diffuse_horizontal))
        return;
    double parts = 0.0, whole = 0.0;
    for (std::size_t i = 0; i < r.size(); ++i) {
        parts += r.series.at(Reading::beam_normal)[i].value_or(0.0) * suns[i].sine() +
                 r.series.at(Reading::diffuse_horizontal)[i].value_or(0.0);
        whole += r.series.at(Reading::global_horizontal)[i].value_or(0.0);
    }
    if (whole <= 0.0 || std::abs(parts / whole - 1.0) <= tolerance) return;
    remarks.push_back(
        {RemarkKind::sums_differ, false, Reading::global_horizontal, std::nullopt,
         fmt::format("beam and diffuse add up to {:.0f} % of global_horizontal over the year", 100.0 * parts / whole),
         "beam and diffuse are used; is the beam that on a plane facing the sun?"});
}

} // namespace

void check_values(const Readings& readings, std::vector<WeatherRemark>& remarks)
{
    constexpr double dew_point_tolerance_K = 0.5, wet_bulb_tolerance_K = 0.5;
    check_bounds(readings, remarks);
    check_below_dry_bulb(readings, Reading::dew_point, dew_point_tolerance_K, remarks);
    check_below_dry_bulb(readings, Reading::wet_bulb, wet_bulb_tolerance_K, remarks);
    check_stuck(readings, remarks);
}

void check_sun(const Readings& readings, const std::vector<StepSun>& suns, std::vector<WeatherRemark>& remarks)
{
    const std::vector<double> lit = light(readings);
    if (check_noon(readings, suns, lit, remarks)) check_night(readings, suns, lit, remarks);
    check_sums(readings, suns, remarks);
}

} // namespace venture::climate::detail
