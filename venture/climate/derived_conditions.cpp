#include <venture/climate/derived_conditions.hpp>

#include <algorithm>
#include <cmath>
#include <numeric>

#include <venture/air/moist_air.hpp>
#include <venture/climate/clear_sky_fit.hpp>
#include <venture/quantity/error.hpp>

namespace venture::climate {

namespace {

using quantity::Pressure;
using quantity::Temperature;
using Steps = std::vector<std::size_t>;

double mean_of(const std::vector<double>& series, const Steps& at)
{
    return std::accumulate(at.begin(), at.end(), 0.0, [&](double sum, std::size_t i) { return sum + series[i]; }) /
           static_cast<double>(at.size());
}

std::vector<double> chosen(const std::vector<double>& series, const Steps& at)
{
    std::vector<double> out;
    out.reserve(at.size());
    for (const std::size_t i : at) out.push_back(series[i]);
    return out;
}

/// The steps whose value lies near another one.
Steps near(const std::vector<double>& series, const Steps& among, double value)
{
    constexpr double near_enough_K = 0.5;
    constexpr std::size_t fewest = 10;
    Steps order = among;
    std::ranges::stable_sort(order, {}, [&](std::size_t i) { return std::abs(series[i] - value); });
    const auto beyond =
        std::ranges::find_if(order, [&](std::size_t i) { return std::abs(series[i] - value) > near_enough_K; });
    const auto count = std::max<std::size_t>(static_cast<std::size_t>(beyond - order.begin()), fewest);
    order.resize(std::min(count, order.size()));
    return order;
}

/// The series that conditions are counted from.
class Counter {
public:
    explicit Counter(const WeatherYear& year) : year_{year}, all_(year.size())
    {
        std::iota(all_.begin(), all_.end(), std::size_t{0});
        for (std::size_t i = 0; i < year.size(); ++i) {
            const auto air =
                air::MoistAir::from_humidity_ratio(Temperature::celsius(year.dry_bulb_C[i]), year.humidity_ratio[i],
                                                   Pressure::pascal(year.pressure_Pa[i]));
            constexpr double driest = 1e-5; // kg/kg: a dew point of bone-dry air does not exist
            wet_bulb_C_.push_back(air::wet_bulb(air).celsius());
            dew_point_C_.push_back(air.humidity_ratio() > driest ? air::dew_point(air).celsius() : lowest_dew_point_C);
        }
    }

    [[nodiscard]] const Steps& all() const { return all_; }
    [[nodiscard]] Steps of_month(int month) const
    {
        Steps out;
        for (const std::size_t i : all_)
            if (year_.month_of(i) == month) out.push_back(i);
        return out;
    }

    [[nodiscard]] YearExtremes extremes(const Steps& among, double share) const
    {
        YearExtremes out{.share = share};
        out.dry_bulb.dry_bulb_C = exceeded_by(chosen(year_.dry_bulb_C, among), share);
        const Steps hot = near(year_.dry_bulb_C, among, out.dry_bulb.dry_bulb_C);
        out.dry_bulb.wet_bulb_C = std::min(mean_of(wet_bulb_C_, hot), out.dry_bulb.dry_bulb_C);
        if (!year_.wind_m_per_s.empty()) out.dry_bulb.wind_m_per_s = mean_of(year_.wind_m_per_s, hot);
        out.wet_bulb = peak(wet_bulb_C_, among, share);
        out.dew_point = peak(dew_point_C_, among, share);
        return out;
    }

    /// Mean daily ranges of dry and wet bulb on the hot days of a month.
    struct Ranges {
        double dry_bulb_K = 0.0, wet_bulb_K = 0.0;
    };
    [[nodiscard]] Ranges ranges(const Steps& month) const
    {
        constexpr double hot_days = 0.2;
        const auto per_day = static_cast<std::ptrdiff_t>(year_.steps_per_day());
        struct Day {
            double highest, dry_range, wet_range;
        };
        std::vector<Day> days;
        std::vector<double> highest;
        for (auto from = month.begin(); from != month.end(); from += per_day) {
            const Steps day(from, from + per_day);
            const auto [lowest_t, highest_t] = std::ranges::minmax(chosen(year_.dry_bulb_C, day));
            const auto [lowest_w, highest_w] = std::ranges::minmax(chosen(wet_bulb_C_, day));
            days.push_back({highest_t, highest_t - lowest_t, highest_w - lowest_w});
            highest.push_back(highest_t);
        }
        const double threshold = exceeded_by(highest, hot_days);
        std::erase_if(days, [&](const Day& d) { return d.highest < threshold; });
        Ranges out;
        for (const Day& d : days) {
            out.dry_bulb_K += d.dry_range / static_cast<double>(days.size());
            out.wet_bulb_K += d.wet_range / static_cast<double>(days.size());
        }
        return out;
    }

private:
    static constexpr double lowest_dew_point_C = -60.0;

    [[nodiscard]] PeakWithDryBulb peak(const std::vector<double>& series, const Steps& among, double share) const
    {
        const double value = exceeded_by(chosen(series, among), share);
        return {value, std::max(value, mean_of(year_.dry_bulb_C, near(series, among, value)))};
    }

    const WeatherYear& year_;
    Steps all_;
    std::vector<double> wet_bulb_C_{}, dew_point_C_{};
};

} // namespace

double exceeded_by(std::vector<double> values, double share)
{
    quantity::check_range("exceeded_by", "share", share, {0.0, 1.0}, "");
    quantity::check_range("exceeded_by", "number of values", static_cast<double>(values.size()), {1.0, 1e12}, "");
    std::ranges::sort(values, std::greater{});
    // The k-th highest of n stands in the middle of its own share: it is exceeded by (k - 1/2)/n.
    const double n = static_cast<double>(values.size());
    const double at = std::clamp(share * n - 0.5, 0.0, n - 1.0);
    const auto below = static_cast<std::size_t>(at), above = std::min(below + 1, values.size() - 1);
    return values[below] + (at - static_cast<double>(below)) * (values[above] - values[below]);
}

DerivedConditions derive_conditions(const WeatherYear& year, const Rarity& rarity, const Soil& soil)
{
    const std::vector<StepSun> suns = suns_of_year(year.place, year.leap, year.steps_per_hour, year.calendar_year);
    const Counter count{year};
    const YearlyWave wave = yearly_wave(year);
    DerivedConditions out;
    for (int month = 1; month <= 12; ++month) {
        const auto m = static_cast<std::size_t>(month - 1);
        const Steps steps = count.of_month(month);
        const YearExtremes peaks = count.extremes(steps, rarity.summer);
        const Counter::Ranges ranges = count.ranges(steps);
        const auto depths = detail::fit_optical_depths(year, suns, month);
        out.depths_fitted[m] = depths.has_value();
        out.months[m] = {.month = month,
                         .dry_bulb_C = peaks.dry_bulb.dry_bulb_C,
                         .wet_bulb_C = peaks.dry_bulb.wet_bulb_C,
                         .daily_range_K = ranges.dry_bulb_K,
                         .beam_depth = depths.value_or(detail::usual).beam,
                         .diffuse_depth = depths.value_or(detail::usual).diffuse,
                         .ground_C = ground_temperature_C(wave, soil, day_of_year({month, design_day_of_month})),
                         .wet_bulb_range_K = ranges.wet_bulb_K,
                         .peak_wet_bulb = peaks.wet_bulb,
                         .peak_dew_point = peaks.dew_point,
                         .wind_m_per_s = peaks.dry_bulb.wind_m_per_s};
    }
    for (const double share : {0.996, 0.99, 0.02, 0.01, 0.004})
        out.of_year.push_back(count.extremes(count.all(), share));
    const YearExtremes coldest = count.extremes(count.all(), rarity.winter);
    out.winter = {.dry_bulb_C = coldest.dry_bulb.dry_bulb_C,
                  .ground_C = std::ranges::min(out.months, {}, &CoolingMonth::ground_C).ground_C,
                  .dew_point_C = coldest.dew_point.peak_C,
                  .wind_m_per_s = coldest.dry_bulb.wind_m_per_s};
    return out;
}

} // namespace venture::climate
