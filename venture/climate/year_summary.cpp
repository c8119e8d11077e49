#include <venture/climate/year_summary.hpp>

#include <algorithm>

#include <venture/air/moist_air.hpp>

namespace venture::climate {

namespace {

/// Sums over days, turned into means at the end.
class Period {
public:
    Period(const WeatherYear& year, const std::vector<double>& global, const DegreeDayBases& bases)
        : year_{year},
          global_{global},
          bases_{bases}
    {
    }

    void add_day(std::size_t first)
    {
        const std::size_t per_day = year_.steps_per_day();
        const double share = 1.0 / static_cast<double>(per_day), step_s = 3600.0 * year_.step_h();
        double mean = 0.0, lowest = year_.dry_bulb_C[first], highest = lowest;
        for (std::size_t i = first; i < first + per_day; ++i) {
            const double t = year_.dry_bulb_C[i];
            mean += t * share;
            lowest = std::min(lowest, t);
            highest = std::max(highest, t);
            s_.relative_humidity += share * relative_humidity(i);
            s_.humidity_ratio += share * year_.humidity_ratio[i];
            s_.global_J_per_m2 += global_[i] * step_s;
            s_.beam_J_per_m2 += year_.beam_normal_W_per_m2[i] * step_s;
            s_.diffuse_J_per_m2 += year_.diffuse_horizontal_W_per_m2[i] * step_s;
            if (!year_.wind_m_per_s.empty()) wind_ += share * year_.wind_m_per_s[i];
            if (!year_.cloud_cover.empty()) cloud_ += share * year_.cloud_cover[i];
        }
        s_.mean_C += mean;
        s_.mean_highest_C += highest;
        s_.mean_lowest_C += lowest;
        s_.highest_C = days_ == 0 ? highest : std::max(s_.highest_C, highest);
        s_.lowest_C = days_ == 0 ? lowest : std::min(s_.lowest_C, lowest);
        s_.heating_degree_days_K += std::max(0.0, bases_.heating_C - mean);
        s_.cooling_degree_days_K += std::max(0.0, mean - bases_.cooling_C);
        ++days_;
    }

    [[nodiscard]] PeriodSummary summary() const
    {
        PeriodSummary out = s_;
        const auto n = static_cast<double>(days_);
        for (double* sum : {&out.mean_C, &out.mean_highest_C, &out.mean_lowest_C, &out.relative_humidity,
                            &out.humidity_ratio, &out.global_J_per_m2, &out.beam_J_per_m2, &out.diffuse_J_per_m2})
            *sum /= n;
        if (!year_.wind_m_per_s.empty()) out.wind_m_per_s = wind_ / n;
        if (!year_.cloud_cover.empty()) out.cloud_cover = cloud_ / n;
        return out;
    }

private:
    [[nodiscard]] double relative_humidity(std::size_t i) const
    {
        return air::relative_humidity(air::MoistAir::from_humidity_ratio(
            quantity::Temperature::celsius(year_.dry_bulb_C[i]), year_.humidity_ratio[i],
            quantity::Pressure::pascal(year_.pressure_Pa[i])));
    }

    const WeatherYear& year_;
    const std::vector<double>& global_;
    const DegreeDayBases& bases_;
    PeriodSummary s_{};
    double wind_ = 0.0, cloud_ = 0.0;
    int days_ = 0;
};

} // namespace

YearSummary summarise(const WeatherYear& year, const DegreeDayBases& bases)
{
    const std::vector<double> global =
        global_horizontal_W_per_m2(year, suns_of_year(year.place, year.leap, year.steps_per_hour, year.calendar_year));
    Period whole{year, global, bases};
    std::vector<Period> months(12, Period{year, global, bases});
    for (std::size_t first = 0; first < year.size(); first += year.steps_per_day()) {
        whole.add_day(first);
        months[static_cast<std::size_t>(year.month_of(first) - 1)].add_day(first);
    }
    YearSummary out{.bases = bases, .year = whole.summary()};
    for (std::size_t m = 0; m < 12; ++m) out.months[m] = months[m].summary();
    return out;
}

} // namespace venture::climate
