#include <venture/climate/complete_year.hpp>

#include <algorithm>
#include <array>
#include <cmath>

#include <fmt/format.h>

#include <venture/air/moist_air.hpp>
#include <venture/climate/check_readings.hpp>
#include <venture/climate/fill_gaps.hpp>
#include <venture/climate/sky.hpp>

namespace venture::climate {

namespace {

using air::MoistAir;
using quantity::Pressure;
using quantity::Temperature;

constexpr std::array humidities = {Reading::relative_humidity, Reading::dew_point, Reading::humidity_ratio,
                                   Reading::wet_bulb};

/// Saturation vapour pressure over water that may be supercooled.
/// Source    WMO-No. 8, humidity chapter, annex of formulae (Magnus form), -45..60 degC.
double over_water_Pa(double t_C) { return 611.2 * std::exp(17.62 * t_C / (243.12 + t_C)); }

class Completion {
public:
    Completion(Readings readings, const GapRule& rule) : r_{std::move(readings)}, rule_{rule} {}

    CompletedYear run()
    {
        check_presence();
        detail::check_values(r_, out_.remarks);
        const std::vector<StepSun> suns = suns_of_year(r_.place, r_.leap, r_.steps_per_hour, r_.calendar_year);
        detail::fill_gaps(r_, suns, rule_, out_.remarks);
        if (!has_error()) detail::check_sun(r_, suns, out_.remarks);
        if (has_error()) return std::move(out_);
        WeatherYear year{.name = r_.name,
                         .source = r_.source,
                         .synthetic = r_.synthetic,
                         .leap = r_.leap,
                         .calendar_year = r_.calendar_year,
                         .steps_per_hour = r_.steps_per_hour,
                         .place = r_.place};
        year.dry_bulb_C = states(Reading::dry_bulb);
        year.wind_m_per_s = states(Reading::wind_speed);
        year.wind_from_deg = states(Reading::wind_direction);
        year.cloud_cover = states(Reading::cloud_cover);
        set_pressure(year);
        set_humidity(year);
        set_sun(year, suns);
        if (!has_error()) out_.year = std::move(year);
        return std::move(out_);
    }

private:
    [[nodiscard]] bool has_error() const { return std::ranges::any_of(out_.remarks, &WeatherRemark::is_error); }

    void missing(std::string message, std::string hint)
    {
        out_.remarks.push_back(
            {RemarkKind::missing_reading, true, std::nullopt, std::nullopt, std::move(message), std::move(hint)});
    }

    void check_presence()
    {
        if (!r_.has(Reading::dry_bulb)) missing("no dry_bulb", "say which column holds it");
        if (std::ranges::none_of(humidities, [&](Reading which) { return r_.has(which); }))
            missing("no humidity: neither relative_humidity nor dew_point, humidity_ratio or wet_bulb",
                    "say which column holds one of them");
        if (!r_.has(Reading::global_horizontal) &&
            !(r_.has(Reading::beam_normal) && r_.has(Reading::diffuse_horizontal)))
            missing("no sun: neither global_horizontal nor beam_normal with diffuse_horizontal",
                    "say which column holds it");
        for (const auto& [reading, series] : r_.series) VENTURE_ASSERT(series.size() == r_.size());
    }

    /// Values at the beginning of each step; empty if there is no such reading.
    [[nodiscard]] std::vector<double> states(Reading which) const
    {
        std::vector<double> out;
        if (!r_.has(which)) return out;
        const auto& series = r_.series.at(which);
        out.reserve(series.size());
        const std::size_t shift = r_.stamp == Stamp::end ? series.size() - 1 : 0; // a record is that of the next step
        for (std::size_t i = 0; i < series.size(); ++i) out.push_back(*series[(i + shift) % series.size()]);
        return out;
    }

    /// The record that a step's states came from.
    [[nodiscard]] std::size_t record_of_state(std::size_t step) const
    {
        return r_.stamp == Stamp::end ? (step + r_.size() - 1) % r_.size() : step;
    }

    void set_pressure(WeatherYear& year)
    {
        constexpr double odd = 0.06; // a deep low is 5 % under the standard atmosphere
        const double standard_Pa = air::standard_pressure(r_.place.height_m).pascal();
        year.pressure_Pa = states(Reading::pressure);
        if (year.pressure_Pa.empty()) {
            year.pressure_Pa.assign(r_.size(), standard_Pa);
            out_.remarks.push_back({RemarkKind::assumed,
                                    false,
                                    Reading::pressure,
                                    std::nullopt,
                                    fmt::format("pressure: not read; {:.1f} hPa of the standard atmosphere at {:g} m",
                                                standard_Pa / 100.0, r_.place.height_m),
                                    {}});
            return;
        }
        double sum = 0.0;
        for (const double p : year.pressure_Pa) sum += p;
        const double mean_Pa = sum / static_cast<double>(r_.size());
        if (std::abs(mean_Pa / standard_Pa - 1.0) > odd)
            out_.remarks.push_back(
                {RemarkKind::impossible, false, Reading::pressure, std::nullopt,
                 fmt::format("pressure: {:.0f} hPa in the mean, but {:.0f} hPa belong to a height of {:g} m",
                             mean_Pa / 100.0, standard_Pa / 100.0, r_.place.height_m),
                 "was it reduced to sea level, or is the height wrong?"});
    }

    /// Humidity ratio that a reading stands for, perhaps more than saturated.
    [[nodiscard]] double humidity_ratio(Reading which, double value, Temperature t, Pressure p) const
    {
        const auto of_vapour = [&](double vapour_Pa) { return 0.621945 * vapour_Pa / (p.pascal() - vapour_Pa); };
        const auto saturated_Pa = [&](double at_C) {
            return at_C < 0.0 && r_.below_freezing == BelowFreezing::water
                       ? over_water_Pa(at_C)
                       : air::saturation_pressure(Temperature::celsius(at_C)).pascal();
        };
        switch (which) {
        case Reading::relative_humidity:
            return of_vapour(value * saturated_Pa(t.celsius()));
        case Reading::dew_point:
            return of_vapour(saturated_Pa(value));
        case Reading::humidity_ratio:
            return value;
        default:
            return MoistAir::from_wet_bulb(t, Temperature::celsius(std::min(value, t.celsius())), p).humidity_ratio();
        }
    }

    void set_humidity(WeatherYear& year)
    {
        const Reading which = *std::ranges::find_if(humidities, [&](Reading h) { return r_.has(h); });
        year.humidity_ratio = states(which);
        std::size_t wetter = 0;
        for (std::size_t i = 0; i < year.size(); ++i) {
            const auto t = Temperature::celsius(year.dry_bulb_C[i]);
            const auto p = Pressure::pascal(year.pressure_Pa[i]);
            double& w = year.humidity_ratio[i];
            try {
                w = humidity_ratio(which, w, t, p);
            } catch (const quantity::RangeError& wrong) {
                out_.remarks.push_back({RemarkKind::impossible, true, which, record_of_state(i), wrong.what(),
                                        "no state of air has both"});
                return;
            }
            constexpr double driest = 1e-7; // kg/kg: the polar night has ten times as much
            if (w < driest) {
                out_.remarks.push_back(
                    {RemarkKind::impossible, true, which, record_of_state(i),
                     fmt::format("{}: no vapour is left at {:.1f} degC", spec_of(which).key, t.celsius()),
                     "did the sensor fail? is it a mark for a missing value?"});
                return;
            }
            const double most = air::saturation_humidity_ratio(t, p);
            if (w > most * (1.0 + 1e-6)) ++wetter;
            w = std::min(w, most);
        }
        if (wetter > 0)
            out_.remarks.push_back(
                {RemarkKind::assumed,
                 false,
                 which,
                 std::nullopt,
                 fmt::format("{}: {} records are more than saturated{}; taken as saturated", spec_of(which).key, wetter,
                             r_.below_freezing == BelowFreezing::water ? " (over ice below 0 degC)" : ""),
                 {}});
    }

    [[nodiscard]] ClearSky split(std::size_t i, const StepSun& sun) const
    {
        const auto read = [&](Reading which) -> std::optional<double> {
            return r_.has(which) ? r_.series.at(which)[i] : std::nullopt;
        };
        const auto global = read(Reading::global_horizontal), beam = read(Reading::beam_normal),
                   diffuse = read(Reading::diffuse_horizontal);
        constexpr double lowest_sine = 0.05; // under 3 degrees the division tells nothing: all is diffuse
        if (beam && diffuse) return {*beam, *diffuse};
        if (beam) return {*beam, std::max(0.0, *global - *beam * sun.sine())};
        if (!diffuse)
            return split_global(*global, Angle::degrees(sun.up ? sun.middle.elevation_deg() : 0.0),
                                sun.beyond_W_per_m2);
        if (sun.sine() < lowest_sine) return {0.0, *global};
        const double most = sun.beyond_W_per_m2;
        const double direct = std::clamp((*global - *diffuse) / sun.sine(), 0.0, most);
        return {direct, *global - direct * sun.sine()};
    }

    void set_sun(WeatherYear& year, const std::vector<StepSun>& suns)
    {
        for (std::size_t i = 0; i < r_.size(); ++i) {
            const ClearSky sky = split(i, suns[i]);
            year.beam_normal_W_per_m2.push_back(sky.beam_normal_W_per_m2);
            year.diffuse_horizontal_W_per_m2.push_back(sky.diffuse_horizontal_W_per_m2);
        }
        if (!r_.has(Reading::beam_normal) && !r_.has(Reading::diffuse_horizontal))
            out_.remarks.push_back({RemarkKind::assumed,
                                    false,
                                    Reading::global_horizontal,
                                    std::nullopt,
                                    "beam and diffuse: not read; split from global_horizontal by its clearness "
                                    "(Erbs, Klein and Duffie 1982)",
                                    {}});
    }

    Readings r_;
    GapRule rule_;
    CompletedYear out_{};
};

} // namespace

CompletedYear complete_year(Readings readings, const GapRule& rule)
{
    return Completion{std::move(readings), rule}.run();
}

} // namespace venture::climate
