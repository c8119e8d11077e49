/// Design conditions derived from a synthetic year: twelve monthly means in, a winter, a summer and degree-days out.

#include <cstdio>

#include <venture/climate/derived_conditions.hpp>
#include <venture/climate/synthetic_year.hpp>
#include <venture/climate/year_summary.hpp>

int main()
{
    using namespace venture::climate;
    constexpr double MJ = 1e6;
    const SyntheticRequest asked = {.name = "Otterby, invented",
                                    .place = {.latitude_deg = 53.0, .longitude_deg = 9.5, .time_zone_h = 1.0},
                                    .months = {{{1.2, 4.8, 0.87, 2.0 * MJ, 4.4},
                                                {1.9, 6.0, 0.83, 4.3 * MJ, 4.2},
                                                {4.7, 7.9, 0.78, 8.6 * MJ, 4.1},
                                                {8.9, 10.1, 0.71, 14.0 * MJ, 3.7},
                                                {13.2, 10.9, 0.69, 18.1 * MJ, 3.4},
                                                {16.2, 10.8, 0.70, 19.3 * MJ, 3.2},
                                                {18.3, 10.9, 0.71, 18.4 * MJ, 3.1},
                                                {17.9, 10.7, 0.73, 15.6 * MJ, 3.0},
                                                {14.2, 9.5, 0.79, 10.9 * MJ, 3.3},
                                                {9.8, 7.4, 0.84, 5.9 * MJ, 3.6},
                                                {5.3, 5.2, 0.88, 2.5 * MJ, 4.0},
                                                {2.3, 4.5, 0.89, 1.5 * MJ, 4.3}}},
                                    .seed = 42};
    const WeatherYear year = synthetic_year(asked);
    const DerivedConditions conditions = derive_conditions(year);
    std::printf("%s: %s\n", year.name.c_str(), year.source.c_str());
    std::printf("winter %.1f degC, dew point %.1f degC\n", conditions.winter.dry_bulb_C,
                *conditions.winter.dew_point_C);
    for (const int month : {6, 7, 8}) {
        const CoolingMonth& m = conditions.months[static_cast<std::size_t>(month) - 1];
        std::printf("%-7s %.1f degC with %.1f degC wet bulb, range %.1f K, depths %.2f and %.2f\n",
                    month_name(month).c_str(), m.dry_bulb_C, m.wet_bulb_C, m.daily_range_K, m.beam_depth,
                    m.diffuse_depth);
    }
    const PeriodSummary whole = summarise(year).year;
    std::printf("mean %.2f degC, heating degree-days %.0f, cooling degree-days %.0f\n", whole.mean_C,
                whole.heating_degree_days_K, whole.cooling_degree_days_K);
    return 0;
}
