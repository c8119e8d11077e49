#include <venture/loads/spell.hpp>

#include <algorithm>
#include <cmath>
#include <memory>

#include <venture/air/moist_air.hpp>
#include <venture/climate/ground_temperature.hpp>
#include <venture/climate/sky.hpp>
#include <venture/quantity/error.hpp>

namespace venture::loads {

using climate::DesignDay;
using climate::PlaneIrradiance;
using quantity::Temperature;

namespace {

double sky_C(double dry_bulb_C, double humidity_ratio, quantity::Pressure pressure, double cloud_cover)
{
    constexpr double coldest_dew_point_C = -40.0; // where the sky's formula ends; colder air is all but dry
    const auto t = Temperature::celsius(dry_bulb_C);
    const double dew_C =
        air::dew_point(air::MoistAir::from_humidity_ratio(t, std::max(1e-5, humidity_ratio), pressure)).celsius();
    return climate::sky_temperature(t, Temperature::celsius(std::max(coldest_dew_point_C, dew_C)), cloud_cover)
        .celsius();
}

double wind_of(const climate::Site& site, const DesignDay& day)
{
    if (day.month == 0) return site.winter.wind_m_per_s.value_or(usual_wind_m_per_s);
    const auto at = std::ranges::find(site.months, day.month, &climate::CoolingMonth::month);
    return at == site.months.end() ? usual_wind_m_per_s : at->wind_m_per_s.value_or(usual_wind_m_per_s);
}

/// @param days  one or more, kept alive by what is returned
Spell of_days(const climate::Site& site, std::vector<DesignDay> days)
{
    Spell out{.name = days.front().name,
              .winter_design = days.front().month == 0,
              .for_design = true,
              .hours = 24 * days.size()};
    out.pressure = days.front().pressure;
    for (std::size_t d = 0; d < days.size(); ++d) {
        const DesignDay& day = days[d];
        const std::size_t points = d + 1 < days.size() ? 24 : DesignDay::points;
        for (std::size_t h = 0; h < points; ++h) {
            out.dry_bulb_C.push_back(day.dry_bulb_C[h]);
            out.humidity_ratio.push_back(day.humidity_ratio[h]);
            out.sky_C.push_back(sky_C(day.dry_bulb_C[h], day.humidity_ratio[h], day.pressure, 0.0));
            out.sun.push_back(day.sun[h]);
        }
        for (std::size_t h = 0; h < 24; ++h) {
            out.clock_h.push_back(std::fmod(static_cast<double>(h) + day.clock_ahead_h, 24.0));
            out.month.push_back(day.month);
            out.site_ground_C.push_back(day.ground_C);
            out.wind_m_per_s.push_back(wind_of(site, day));
        }
    }
    const auto kept = std::make_shared<const std::vector<DesignDay>>(std::move(days));
    out.irradiance = [kept](climate::Angle tilt, climate::Angle azimuth) {
        std::vector<PlaneIrradiance> all;
        for (std::size_t d = 0; d < kept->size(); ++d) {
            const auto day = irradiance_on_plane((*kept)[d], tilt, azimuth);
            all.insert(all.end(), day.begin(), day.begin() + (d + 1 < kept->size() ? 24 : 25));
        }
        return all;
    };
    return out;
}

/// A part of a weather year, hour by hour or finer.
class PartOfYear {
public:
    PartOfYear(const climate::Site& site, const climate::WeatherYear& year, int first_day, int days)
        : site_{site},
          year_{year},
          first_{static_cast<std::size_t>(first_day - 1) * year.steps_per_day()},
          wave_{climate::yearly_wave(year)}
    {
        out_.name =
            first_day == 1 && days == year.days() ? year.name : in_words(climate::month_day(first_day, year.leap));
        out_.hours = 24 * static_cast<std::size_t>(days);
        out_.samples_per_hour = static_cast<std::size_t>(year.steps_per_hour);
        out_.sun_is_mean = true;
    }

    Spell run()
    {
        double pressure = 0.0;
        for (const double p : year_.pressure_Pa) pressure += p / static_cast<double>(year_.size());
        out_.pressure = quantity::Pressure::pascal(pressure);
        const auto suns = climate::suns_of_year(year_.place, year_.leap, year_.steps_per_hour, year_.calendar_year);
        for (std::size_t k = 0; k <= out_.hours * out_.samples_per_hour; ++k) add_sample(at(k), suns);
        for (std::size_t h = 0; h < out_.hours; ++h) add_hour(h);
        const auto kept = std::make_shared<const std::vector<climate::StepSun>>(suns);
        out_.irradiance = [kept, first = first_, count = out_.sun.size(), &year = year_,
                           reflectance = site_.ground_reflectance](climate::Angle tilt, climate::Angle azimuth) {
            const auto all = irradiance_of_year(year, *kept, {{tilt, azimuth}}, reflectance).front();
            std::vector<PlaneIrradiance> part(count);
            for (std::size_t k = 0; k < count; ++k) part[k] = all[(first + k) % all.size()];
            return part;
        };
        return std::move(out_);
    }

private:
    [[nodiscard]] std::size_t at(std::size_t sample) const { return (first_ + sample) % year_.size(); }

    void add_sample(std::size_t i, const std::vector<climate::StepSun>& suns)
    {
        constexpr double unknown_cover = 0.5;
        const double cover = year_.cloud_cover.empty() ? unknown_cover : year_.cloud_cover[i];
        // the whole part has one pressure, at which air must not be more than saturated
        const double w =
            std::min(year_.humidity_ratio[i],
                     air::saturation_humidity_ratio(Temperature::celsius(year_.dry_bulb_C[i]), out_.pressure));
        out_.dry_bulb_C.push_back(year_.dry_bulb_C[i]);
        out_.humidity_ratio.push_back(w);
        out_.sky_C.push_back(sky_C(year_.dry_bulb_C[i], w, out_.pressure, cover));
        out_.sun.push_back(suns[i].up ? suns[i].middle : climate::SunPosition{.zenith_deg = 180.0});
    }

    void add_hour(std::size_t h)
    {
        const std::size_t i = at(h * out_.samples_per_hour);
        const auto day = static_cast<int>(i / year_.steps_per_day()) + 1;
        const climate::MonthDay date = climate::month_day(day, year_.leap);
        const double clock_h = static_cast<double>(h % 24) + climate::clock_ahead_h(site_, date);
        out_.clock_h.push_back(std::fmod(clock_h, 24.0));
        out_.clock_date.push_back(clock_h < 24.0 ? date : climate::month_day(day % year_.days() + 1, year_.leap));
        out_.month.push_back(date.month);
        const auto stated = std::ranges::find(site_.months, date.month, &climate::CoolingMonth::month);
        out_.site_ground_C.push_back(stated != site_.months.end()
                                         ? stated->ground_C
                                         : climate::ground_temperature_C(wave_, {}, static_cast<double>(day)));
        double wind = year_.wind_m_per_s.empty() ? usual_wind_m_per_s : 0.0;
        for (std::size_t k = 0; k < out_.samples_per_hour && !year_.wind_m_per_s.empty(); ++k)
            wind += year_.wind_m_per_s[i + k] / static_cast<double>(out_.samples_per_hour);
        out_.wind_m_per_s.push_back(wind);
    }

    const climate::Site& site_;
    const climate::WeatherYear& year_;
    std::size_t first_;
    climate::YearlyWave wave_;
    Spell out_{};
};

} // namespace

Spell spell_of(const climate::Site& site, const DesignDay& day) { return of_days(site, {day}); }

Spell spell_of(const climate::Site& site, const climate::Week& week)
{
    return of_days(site, {week.begin(), week.end()});
}

Spell spell_of(const climate::Site& site, const climate::WeatherYear& year, int first_day, int days)
{
    const auto most = static_cast<double>(year.days());
    quantity::check_range("part of a year", "first day", first_day, {1.0, most}, "");
    quantity::check_range("part of a year", "days", days, {1.0, most + 1.0 - first_day}, "");
    return PartOfYear{site, year, first_day, days}.run();
}

} // namespace venture::loads
