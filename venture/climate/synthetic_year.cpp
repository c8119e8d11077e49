#include <venture/climate/synthetic_year.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/air/moist_air.hpp>
#include <venture/climate/random_series.hpp>
#include <venture/climate/sky.hpp>
#include <venture/quantity/error.hpp>

namespace venture::climate {

namespace {

using air::MoistAir;
using detail::Normal;
using quantity::Pressure;
using quantity::Temperature;
using Anchors = std::array<double, 12>; ///< a value for the middle of each month

constexpr std::size_t days = 365, hours = 8760;
constexpr double warmest_hour = 14.5;

/// Month from 0 of a day from 0.
std::size_t month_index(std::size_t day)
{
    static const std::array<std::size_t, days> months = [] {
        std::array<std::size_t, days> out{};
        for (std::size_t d = 0; d < days; ++d)
            out[d] = static_cast<std::size_t>(month_day(static_cast<int>(d) + 1).month - 1);
        return out;
    }();
    return months[day];
}

/// Straight lines between the middles of the months, round the year.
double between_months(const Anchors& at_middle, double day)
{
    constexpr double month = days / 12.0;
    const double place = day / month - 0.5, below = std::floor(place);
    const auto index = [](double m) { return static_cast<std::size_t>(static_cast<int>(m + 12.0) % 12); };
    const double share = place - below;
    return (1.0 - share) * at_middle[index(below)] + share * at_middle[index(below + 1.0)];
}

/// Straight lines between the noons of the days, round the year.
double between_noons(const std::vector<double>& at_noon, std::size_t hour)
{
    const double place = static_cast<double>(hour) / 24.0 - 0.5, below = std::floor(place), share = place - below;
    const auto index = [](double d) { return static_cast<std::size_t>(d + static_cast<double>(days)) % days; };
    return (1.0 - share) * at_noon[index(below)] + share * at_noon[index(below + 1.0)];
}

/// Mean by month of an hourly series.
Anchors month_means(const std::vector<double>& hourly)
{
    Anchors sum{}, count{};
    for (std::size_t d = 0; d < days; ++d) {
        const std::size_t m = month_index(d);
        for (std::size_t h = 24 * d; h < 24 * (d + 1); ++h) sum[m] += hourly[h];
        count[m] += 24.0;
    }
    for (std::size_t m = 0; m < 12; ++m) sum[m] /= count[m];
    return sum;
}

/// Mean by month of the days' highest less lowest.
Anchors month_ranges(const std::vector<double>& hourly)
{
    std::vector<double> range(hours);
    for (std::size_t d = 0; d < days; ++d) {
        const auto from = hourly.begin() + static_cast<std::ptrdiff_t>(24 * d);
        const auto [lowest, highest] = std::minmax_element(from, from + 24);
        std::fill_n(range.begin() + static_cast<std::ptrdiff_t>(24 * d), 24, *highest - *lowest);
    }
    return month_means(range);
}

/// Shape of a clear day: 0 at its coldest (sunrise), 1 at its warmest hour.
double shape_of_day(double hour, double sunrise)
{
    const double since_sunrise = std::fmod(hour - sunrise + 48.0, 24.0), rising_h = warmest_hour - sunrise;
    if (since_sunrise <= rising_h) return 0.5 - 0.5 * std::cos(std::numbers::pi * since_sunrise / rising_h);
    const double fallen = (since_sunrise - rising_h) / (24.0 - rising_h);
    return 0.5 + 0.5 * std::cos(std::numbers::pi * std::pow(fallen, 0.75)); // fast in the evening, slow before dawn
}

class Generator {
public:
    explicit Generator(const SyntheticRequest& request)
        : q_{request},
          normal_{request.seed},
          suns_{suns_of_year(request.place, false, 1)}
    {
        check();
    }

    WeatherYear run()
    {
        WeatherYear year{.name = q_.name,
                         .source = fmt::format("synthetic: made up from monthly means, seed {}", q_.seed),
                         .synthetic = true,
                         .place = q_.place};
        make_clouds();
        set_sun(year);
        set_temperature(year);
        set_pressure(year);
        set_humidity(year);
        set_wind(year);
        return year;
    }

private:
    template <class Member>
    [[nodiscard]] Anchors asked(Member member) const
    {
        Anchors out{};
        for (std::size_t m = 0; m < 12; ++m) out[m] = q_.months[m].*member;
        return out;
    }

    void check() const
    {
        const auto in_range = [](std::size_t m, const char* what, double value, quantity::Range allowed,
                                 const char* unit) {
            quantity::check_range(fmt::format("synthetic_year, {}", month_name(static_cast<int>(m) + 1)), what, value,
                                  allowed, unit);
        };
        for (std::size_t m = 0; m < 12; ++m) {
            const MonthMeans& a = q_.months[m];
            in_range(m, "mean dry bulb", a.dry_bulb_C, {-60.0, 45.0}, "degC");
            in_range(m, "daily range", a.daily_range_K, {1.0, 30.0}, "K");
            in_range(m, "relative humidity", a.relative_humidity, {0.05, 0.97}, "");
            in_range(m, "wind", a.wind_m_per_s, {0.0, 30.0}, "m/s");
        }
        quantity::check_range("synthetic_year", "deviation from day to day", q_.day_to_day_K, {0.0, 8.0}, "K");
    }

    /// Haurwitz's clear sky, W/m2 on the horizontal, brighter by 2.7 % for each kilometre of height (FAO 56, eq. 37).
    [[nodiscard]] double clear_W_per_m2(std::size_t hour) const
    {
        const StepSun& sun = suns_[hour];
        const double by_height = 1.0 + 2e-5 / 0.75 * std::max(0.0, q_.place.height_m);
        return sun.mean_sine > 1e-3 ? 1098.0 * by_height * sun.mean_sine * std::exp(-0.057 / sun.mean_sine) : 0.0;
    }

    /// Share of a clear day's sun that a day lets through, by its place among cloudy and clear days.
    [[nodiscard]] static double share_through(double clearness)
    {
        return 0.10 + 0.88 * detail::normal_share(1.2 * clearness);
    }

    /// Sunshine of each day and hour as a share of a clear sky's.
    void make_clouds()
    {
        constexpr double kept_by_day = 0.45, kept_by_hour = 0.6;
        const std::vector<double> by_day = detail::persistent(normal_, days, kept_by_day);
        const std::vector<double> by_hour = detail::persistent(normal_, hours, kept_by_hour);
        std::vector<double> clear_day(days, 0.0);
        for (std::size_t h = 0; h < hours; ++h) clear_day[h / 24] += clear_W_per_m2(h) * 3600.0;
        clearness_.resize(days);
        for (std::size_t m = 0; m < 12; ++m) fit_month(m, by_day, clear_day);
        through_.resize(hours);
        for (std::size_t h = 0; h < hours; ++h) {
            const double share = share_through(clearness_[h / 24]);
            constexpr double broken = 1.1; // half-covered skies vary most
            through_[h] = std::clamp(share + broken * share * (1.0 - share) * by_hour[h], 0.05, 1.02);
        }
        keep_days(clear_day);
    }

    /// Shifts a month's days between cloudy and clear until its sun is the one asked for.
    void fit_month(std::size_t m, const std::vector<double>& by_day, const std::vector<double>& clear_day)
    {
        double clear = 0.0, count = 0.0;
        for (std::size_t d = 0; d < days; ++d)
            if (month_index(d) == m) {
                clear += clear_day[d];
                count += 1.0;
            }
        const double wanted = q_.months[m].global_J_per_m2 * count;
        for (std::size_t d = 0; d < days; ++d)
            if (month_index(d) == m) clearness_[d] = by_day[d];
        constexpr double dark_J_per_m2 = 1e5; // a mean day of polar night
        if (clear < dark_J_per_m2 * count && wanted < dark_J_per_m2 * count) return;
        quantity::check_range(fmt::format("synthetic_year, {}", month_name(static_cast<int>(m) + 1)),
                              "sun on the horizontal of a mean day", q_.months[m].global_J_per_m2 / 1e6,
                              {0.15 * clear / count / 1e6, 0.95 * clear / count / 1e6}, "MJ/m2");
        const auto sun_with = [&](double shift) {
            double sum = 0.0;
            for (std::size_t d = 0; d < days; ++d)
                if (month_index(d) == m) sum += clear_day[d] * share_through(by_day[d] + shift);
            return sum;
        };
        double low = -10.0, high = 10.0;
        for (int i = 0; i < 60; ++i) (sun_with(0.5 * (low + high)) < wanted ? low : high) = 0.5 * (low + high);
        for (std::size_t d = 0; d < days; ++d)
            if (month_index(d) == m) clearness_[d] += low;
    }

    /// Brings the hours of each day back to the day's sun: passing clouds take from one hour what they leave another.
    void keep_days(const std::vector<double>& clear_day)
    {
        constexpr double brightest = 1.05; // between clouds an hour may be a little brighter than a clear one
        for (std::size_t d = 0; d < days; ++d) {
            const double wanted = clear_day[d] * share_through(clearness_[d]);
            for (int round = 0; round < 20 && clear_day[d] > 0.0; ++round) {
                double sum = 0.0;
                for (std::size_t h = 24 * d; h < 24 * (d + 1); ++h) sum += through_[h] * clear_W_per_m2(h) * 3600.0;
                for (std::size_t h = 24 * d; h < 24 * (d + 1); ++h)
                    through_[h] = std::min(brightest, through_[h] * wanted / sum);
            }
        }
    }

    void set_sun(WeatherYear& year) const
    {
        for (std::size_t h = 0; h < hours; ++h) {
            const StepSun& sun = suns_[h];
            const double global = through_[h] * clear_W_per_m2(h);
            const ClearSky sky = split_global(
                global, Angle::degrees(sun.up ? std::max(0.0, sun.middle.elevation_deg()) : 0.0), sun.beyond_W_per_m2);
            year.beam_normal_W_per_m2.push_back(sky.beam_normal_W_per_m2);
            year.diffuse_horizontal_W_per_m2.push_back(sky.diffuse_horizontal_W_per_m2);
            // Kasten and Czeplak 1980: global = clear (1 - 0.75 N^3.4)
            year.cloud_cover.push_back(std::pow(std::clamp((1.0 - through_[h]) / 0.75, 0.0, 1.0), 1.0 / 3.4));
        }
    }

    /// How far a day is on the way from the year's coldest (-1) to its warmest month (1); 1 where there are no seasons.
    [[nodiscard]] double summerliness(std::size_t day) const
    {
        const Anchors t = asked(&MonthMeans::dry_bulb_C);
        const auto [coldest, warmest] = std::ranges::minmax(t);
        constexpr double no_seasons_K = 4.0;
        if (warmest - coldest < no_seasons_K) return 1.0;
        return 2.0 * (between_months(t, static_cast<double>(day)) - coldest) / (warmest - coldest) - 1.0;
    }

    void set_temperature(WeatherYear& year)
    {
        constexpr double kept = 0.75, by_clearness = 0.35, winter_is_wilder = 0.15, mean_of_shape = 0.5;
        const std::vector<double> own = detail::persistent(normal_, days, kept);
        const double mean_clearness = std::accumulate(clearness_.begin(), clearness_.end(), 0.0) / days;
        std::vector<double> off_K(days), range(days), shape(hours);
        for (std::size_t d = 0; d < days; ++d) {
            const double season = summerliness(d), clear = clearness_[d] - mean_clearness;
            off_K[d] = q_.day_to_day_K * (1.0 - winter_is_wilder * season) *
                       (by_clearness * season * clear + std::sqrt(1.0 - by_clearness * by_clearness) * own[d]);
            range[d] = 0.5 + share_through(clearness_[d]);
            for (std::size_t h = 0; h < 24; ++h)
                shape[24 * d + h] = shape_of_day(static_cast<double>(h), sunrise_h(d)) - mean_of_shape;
        }
        const Anchors mean = asked(&MonthMeans::dry_bulb_C), swing = asked(&MonthMeans::daily_range_K);
        Anchors mean_anchor = mean, swing_anchor = swing;
        constexpr int rounds = 40;
        for (int round = 0; round < rounds; ++round) {
            year.dry_bulb_C = hourly(off_K, range, shape, mean_anchor, swing_anchor);
            const Anchors got = month_means(year.dry_bulb_C), got_swing = month_ranges(year.dry_bulb_C);
            for (std::size_t m = 0; m < 12; ++m) {
                mean_anchor[m] += mean[m] - got[m];
                swing_anchor[m] *= std::clamp(swing[m] / got_swing[m], 0.5, 2.0);
            }
        }
    }

    /// Hour of sunrise in local standard time; an hour of our choice where the sun stays up or down.
    [[nodiscard]] double sunrise_h(std::size_t day) const
    {
        for (std::size_t h = 24 * day; h < 24 * day + 13; ++h)
            if (suns_[h].up) return std::clamp(static_cast<double>(h - 24 * day), 3.0, 9.0);
        return 6.0;
    }

    static std::vector<double> hourly(const std::vector<double>& off_K, const std::vector<double>& range,
                                      const std::vector<double>& shape, const Anchors& mean, const Anchors& swing)
    {
        std::vector<double> out(hours);
        for (std::size_t h = 0; h < hours; ++h) {
            const double day = static_cast<double>(h) / 24.0;
            out[h] = between_months(mean, day) + between_noons(off_K, h) +
                     between_months(swing, day) * between_noons(range, h) * shape[h];
        }
        return out;
    }

    void set_pressure(WeatherYear& year)
    {
        constexpr double kept = 0.8, deviation_Pa = 800.0, high_when_clear = 0.5;
        const std::vector<double> own = detail::persistent(normal_, days, kept);
        std::vector<double> by_day(days);
        for (std::size_t d = 0; d < days; ++d)
            by_day[d] = deviation_Pa * std::clamp(0.85 * own[d] + high_when_clear * clearness_[d], -4.0, 4.0);
        const double standard_Pa = air::standard_pressure(q_.place.height_m).pascal();
        for (std::size_t h = 0; h < hours; ++h) year.pressure_Pa.push_back(standard_Pa + between_noons(by_day, h));
    }

    void set_humidity(WeatherYear& year)
    {
        constexpr double kept = 0.6, deviation = 0.12, drier_when_clear = 0.10;
        const std::vector<double> own = detail::persistent(normal_, days, kept);
        std::vector<double> moist(days);
        for (std::size_t d = 0; d < days; ++d)
            moist[d] = std::exp(deviation * own[d] - drier_when_clear * clearness_[d]);
        // The day's vapour is a share of what its mean temperature could hold.
        std::vector<double> saturated(hours), holds(days, 0.0);
        for (std::size_t h = 0; h < hours; ++h) {
            saturated[h] = air::saturation_pressure(Temperature::celsius(year.dry_bulb_C[h])).pascal();
            holds[h / 24] += year.dry_bulb_C[h] / 24.0;
        }
        for (double& h : holds) h = air::saturation_pressure(Temperature::celsius(h)).pascal();
        const Anchors wanted = asked(&MonthMeans::relative_humidity);
        Anchors anchor = wanted;
        std::vector<double> humidity(hours);
        constexpr int rounds = 80;
        for (int round = 0; round < rounds; ++round) {
            std::vector<double> vapour_Pa(days);
            for (std::size_t d = 0; d < days; ++d)
                vapour_Pa[d] = holds[d] * moist[d] * between_months(anchor, static_cast<double>(d) + 0.5);
            for (std::size_t h = 0; h < hours; ++h)
                humidity[h] = std::clamp(between_noons(vapour_Pa, h) / saturated[h], 0.03, 1.0);
            const Anchors got = month_means(humidity);
            for (std::size_t m = 0; m < 12; ++m) anchor[m] *= wanted[m] / got[m];
        }
        for (std::size_t h = 0; h < hours; ++h)
            year.humidity_ratio.push_back(MoistAir::from_relative_humidity(Temperature::celsius(year.dry_bulb_C[h]),
                                                                           humidity[h],
                                                                           Pressure::pascal(year.pressure_Pa[h]))
                                              .humidity_ratio());
    }

    void set_wind(WeatherYear& year)
    {
        constexpr double kept = 0.93, kept_direction = 0.97, spread_deg = 55.0, by_day = 0.2, windiest_hour = 14.0;
        const std::vector<double> own = detail::persistent(normal_, hours, kept);
        const std::vector<double> turn = detail::persistent(normal_, hours, kept_direction);
        for (std::size_t h = 0; h < hours; ++h) {
            const double calmer = 1.0 - std::min(detail::normal_share(own[h]), 1.0 - 1e-9);
            const double clock = 2.0 * std::numbers::pi * (static_cast<double>(h % 24) - windiest_hour) / 24.0;
            year.wind_m_per_s.push_back(std::sqrt(-std::log(calmer)) * (1.0 + by_day * std::cos(clock)));
            year.wind_from_deg.push_back(std::fmod(q_.wind_from_deg + spread_deg * turn[h] + 720.0, 360.0));
        }
        const Anchors wanted = asked(&MonthMeans::wind_m_per_s), got = month_means(year.wind_m_per_s);
        for (std::size_t h = 0; h < hours; ++h) {
            const std::size_t m = month_index(h / 24);
            year.wind_m_per_s[h] *= wanted[m] / got[m];
        }
    }

    const SyntheticRequest& q_;
    Normal normal_;
    std::vector<StepSun> suns_;
    std::vector<double> clearness_{}; ///< of each day: normal, cloudy below and clear above 0
    std::vector<double> through_{};   ///< share of the clear sky's sun that each hour lets through
};

} // namespace

WeatherYear synthetic_year(const SyntheticRequest& request) { return Generator{request}.run(); }

} // namespace venture::climate
