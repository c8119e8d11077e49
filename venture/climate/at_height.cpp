#include <venture/climate/at_height.hpp>

#include <algorithm>

#include <venture/air/moist_air.hpp>
#include <venture/air/state_pair.hpp>
#include <venture/quantity/error.hpp>

namespace venture::climate {

namespace {

using air::Fact;

/// Moves states of air from one height to another.
class Move {
public:
    Move(double from_m, double to_m)
        : from_{air::standard_pressure(from_m)},
          to_{air::standard_pressure(to_m)},
          warmer_K_{lapse_K_per_m * (from_m - to_m)}
    {
        constexpr double furthest_m = 1500.0;
        quantity::check_range("at_height", "difference of heights", to_m - from_m, {-furthest_m, furthest_m}, "m");
    }

    [[nodiscard]] double dry_bulb_C(double at_station_C) const { return at_station_C + warmer_K_; }
    [[nodiscard]] double pressure_Pa(double at_station_Pa) const
    {
        return at_station_Pa * to_.pascal() / from_.pascal();
    }

    /// The fact of the moved state that `fact` was of the station's.
    [[nodiscard]] double with_dry_bulb_C(Fact fact, double value_C, double station_dry_bulb_C) const
    {
        const auto there = air::state_from({Fact::dry_bulb, station_dry_bulb_C}, {fact, value_C}, from_);
        const auto here = air::MoistAir::from_relative_humidity(
            quantity::Temperature::celsius(dry_bulb_C(station_dry_bulb_C)), air::relative_humidity(there), to_);
        return (fact == Fact::wet_bulb ? air::wet_bulb(here) : air::dew_point(here)).celsius();
    }

    [[nodiscard]] std::optional<PeakWithDryBulb> peak(Fact fact, const std::optional<PeakWithDryBulb>& p) const
    {
        if (!p) return std::nullopt;
        return PeakWithDryBulb{with_dry_bulb_C(fact, p->peak_C, p->dry_bulb_C), dry_bulb_C(p->dry_bulb_C)};
    }

private:
    quantity::Pressure from_, to_;
    double warmer_K_;
};

} // namespace

CoolingMonth at_height(const CoolingMonth& month, double station_m, double site_m)
{
    if (station_m == site_m) return month;
    const Move move{station_m, site_m};
    CoolingMonth out = month;
    out.dry_bulb_C = move.dry_bulb_C(month.dry_bulb_C);
    out.wet_bulb_C = move.with_dry_bulb_C(Fact::wet_bulb, month.wet_bulb_C, month.dry_bulb_C);
    out.peak_wet_bulb = move.peak(Fact::wet_bulb, month.peak_wet_bulb);
    out.peak_dew_point = move.peak(Fact::dew_point, month.peak_dew_point);
    return out;
}

WinterDesign at_height(const WinterDesign& winter, double station_m, double site_m)
{
    if (station_m == site_m) return winter;
    const Move move{station_m, site_m};
    WinterDesign out = winter;
    out.dry_bulb_C = move.dry_bulb_C(winter.dry_bulb_C);
    if (winter.dew_point_C)
        out.dew_point_C = move.with_dry_bulb_C(Fact::dew_point, *winter.dew_point_C, winter.dry_bulb_C);
    return out;
}

WeatherYear at_height(WeatherYear year, double site_m)
{
    if (year.place.height_m == site_m) return year;
    const Move move{year.place.height_m, site_m};
    for (std::size_t i = 0; i < year.size(); ++i) {
        const auto there =
            air::MoistAir::from_humidity_ratio(quantity::Temperature::celsius(year.dry_bulb_C[i]),
                                               year.humidity_ratio[i], quantity::Pressure::pascal(year.pressure_Pa[i]));
        year.dry_bulb_C[i] = move.dry_bulb_C(year.dry_bulb_C[i]);
        year.pressure_Pa[i] = move.pressure_Pa(year.pressure_Pa[i]);
        const double humid = std::min(1.0, air::relative_humidity(there)); // saturated, but for rounding
        year.humidity_ratio[i] = air::humidity_ratio_at(humid, quantity::Temperature::celsius(year.dry_bulb_C[i]),
                                                        quantity::Pressure::pascal(year.pressure_Pa[i]));
    }
    year.place.height_m = site_m;
    return year;
}

} // namespace venture::climate
