#include <venture/resolve/site.hpp>

#include <set>

#include <venture/air/moist_air.hpp>
#include <venture/climate/at_height.hpp>
#include <venture/resolve/climate_input.hpp>
#include <venture/resolve/pass.hpp>
#include <venture/resolve/place.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using quantity::Kind;

namespace {

class SiteConditions : Pass {
public:
    explicit SiteConditions(Work& work) : Pass{work} {}
    void add_site();

private:
    [[nodiscard]] climate::CoolingMonth month_of(const MonthInput& month);
    void check_below_dry_bulb(const Given<double>& value, std::string_view key, const Given<double>& dry_bulb);
    void check_pair(const Given<double>& peak, const Given<double>& dry_bulb, std::string_view key);
    void check_wet_bulb(const Given<double>& wet_bulb, std::string_view key, const Given<double>& dry_bulb,
                        const MonthInput& month);
    void check_means_are_used();
    void look_at_winter_dew_point();
    void move_to_height();
};

std::optional<climate::PeakWithDryBulb> pair_of(const Given<double>& peak, const Given<double>& dry_bulb)
{
    if (!peak || !dry_bulb) return std::nullopt;
    return climate::PeakWithDryBulb{*peak, *dry_bulb};
}

} // namespace

void SiteConditions::check_below_dry_bulb(const Given<double>& value, std::string_view key,
                                          const Given<double>& dry_bulb)
{
    if (value && dry_bulb && *value > *dry_bulb)
        problem(codes::physics, value.origin,
                fmt::format("{}: {} is above the dry bulb of {}", key, units_.text(*value, Kind::temperature),
                            units_.text(*dry_bulb, Kind::temperature)),
                "were the two swapped?");
}

void SiteConditions::check_pair(const Given<double>& peak, const Given<double>& dry_bulb, std::string_view key)
{
    if (peak && !dry_bulb && !dry_bulb.refused)
        problem(codes::missing, peak.origin, fmt::format("{} has no coincident dry bulb", key),
                fmt::format("add dry_bulb_at_{}", key));
    if (dry_bulb && !peak && !peak.refused)
        problem(codes::missing, dry_bulb.origin, fmt::format("dry_bulb_at_{0} stands without {0}", key),
                fmt::format("add {}", key));
    check_below_dry_bulb(peak, key, dry_bulb);
}

/// Air without any vapour has the lowest wet bulb, at the peak as in the coldest hour of its day.
void SiteConditions::check_wet_bulb(const Given<double>& wet_bulb, std::string_view key, const Given<double>& dry_bulb,
                                    const MonthInput& month)
{
    const SiteInput& site = input_.site;
    if (!wet_bulb || !dry_bulb || *wet_bulb > *dry_bulb || !is_sound(month) || !is_sound(site)) return; // told already
    const auto pressure =
        air::standard_pressure(value_of(site.conditions_height ? site.conditions_height : site.height));
    const auto holds_vapour = [&](double dry_C, double wet_C) {
        return wet_C >= dry_C ||
               air::humidity_ratio_by_wet_bulb(quantity::Temperature::celsius(dry_C),
                                               quantity::Temperature::celsius(wet_C), pressure) >= 0.0;
    };
    if (!holds_vapour(*dry_bulb, *wet_bulb)) {
        problem(codes::physics, wet_bulb.origin,
                fmt::format("{}: {} is lower than that of air of {} without any vapour", key,
                            units_.text(*wet_bulb, Kind::temperature), units_.text(*dry_bulb, Kind::temperature)),
                "is it a dew point?");
        return;
    }
    if (!month.wet_bulb_range) return;
    const double night_C = *dry_bulb - value_of(month.daily_range), night_wet_C = *wet_bulb - *month.wet_bulb_range;
    if (!holds_vapour(night_C, night_wet_C))
        problem(codes::physics, month.wet_bulb_range.origin,
                fmt::format("wet_bulb_range: {} falls to {} at night, lower than that of air of {} without any vapour",
                            key, units_.text(night_wet_C, Kind::temperature), units_.text(night_C, Kind::temperature)),
                "a wet bulb falls less than its dry bulb");
}

climate::CoolingMonth SiteConditions::month_of(const MonthInput& m)
{
    check_wet_bulb(m.wet_bulb, "wet_bulb", m.dry_bulb, m);
    check_wet_bulb(m.peak_wet_bulb, "peak_wet_bulb", m.dry_bulb_at_peak_wet_bulb, m);
    check_below_dry_bulb(m.wet_bulb, "wet_bulb", m.dry_bulb);
    check_pair(m.peak_wet_bulb, m.dry_bulb_at_peak_wet_bulb, "peak_wet_bulb");
    check_pair(m.peak_dew_point, m.dry_bulb_at_peak_dew_point, "peak_dew_point");
    return {.month = m.month.number().value_or(0),
            .dry_bulb_C = value_of(m.dry_bulb),
            .wet_bulb_C = value_of(m.wet_bulb),
            .daily_range_K = value_of(m.daily_range),
            .beam_depth = value_of(m.beam_depth),
            .diffuse_depth = value_of(m.diffuse_depth),
            .ground_C = value_of(m.ground),
            .wet_bulb_range_K = m.wet_bulb_range.value,
            .peak_wet_bulb = pair_of(m.peak_wet_bulb, m.dry_bulb_at_peak_wet_bulb),
            .peak_dew_point = pair_of(m.peak_dew_point, m.dry_bulb_at_peak_dew_point),
            .wind_m_per_s = m.wind.value};
}

void SiteConditions::add_site()
{
    const SiteInput& s = input_.site;
    climate::Site& site = building_.site;
    site = {.name = value_of(s.name),
            .place = place_of(s).value_or(climate::Place{}),
            .ground_reflectance = value_of(s.ground_reflectance),
            .summer_time = summer_time_of(s, problems_),
            .winter = {.dry_bulb_C = value_of(s.winter_dry_bulb),
                       .ground_C = value_of(s.winter_ground),
                       .dew_point_C = s.winter_dew_point.value,
                       .wind_m_per_s = s.winter_wind.value}};
    const MethodInput& method = input_.method;
    building_.method = {.films_by_difference = method.inside_films == InsideFilms::by_difference,
                        .wind_and_sky = method.outside_films == OutsideFilms::wind_and_sky,
                        .flows_as_outdoors = method.outdoor_air_flows == FlowsAt::outdoors,
                        .moist_air_heat = method.air_heat == AirHeat::moist,
                        .humidity_of_air = method.relative_humidity == HumidityAt::air};
    building_.plan_bearing_deg = value_of(s.plan_bearing);
    std::set<int> seen;
    for (const MonthInput& m : s.months) {
        if (!m.month) continue;
        const climate::CoolingMonth month = month_of(m);
        if (!seen.insert(month.month).second)
            problem(codes::contradiction, m.month.origin, fmt::format("month {} stands twice", month.month));
        site.months.push_back(month);
    }
    look_at_winter_dew_point();
    check_means_are_used();
    move_to_height();
    look_at_place(work_);
    look_at_seasons(work_);
}

/// The driest hours need not be the coldest: it may be so, but was hardly meant where somebody typed both.
void SiteConditions::look_at_winter_dew_point()
{
    const Given<double>&dew_point = input_.site.winter_dew_point, &dry_bulb = input_.site.winter_dry_bulb;
    if (!dew_point || !dry_bulb || *dew_point <= *dry_bulb) return;
    const bool derived = input_.origins.at(dew_point.origin).kind == quantity::OriginKind::computed;
    finding(derived ? quantity::Severity::note : quantity::Severity::warning, codes::humidity_capped, dew_point.origin,
            "design day winter design",
            fmt::format("winter design: the dew point of {} lies above the dry bulb of {}; air is taken as saturated",
                        units_.text(*dew_point, Kind::temperature), units_.text(*dry_bulb, Kind::temperature)),
            "lower the winter dew point; were the two swapped?")
        .inputs = fmt::format("{} {}", *dry_bulb, *dew_point);
}

void SiteConditions::check_means_are_used()
{
    if (input_.monthly_means.empty() || input_.weather.form == WeatherForm::synthetic) return;
    problem(codes::unused, input_.monthly_means.front().month.origin,
            "[[monthly_mean]] are given, but nothing makes a year of them",
            "give [weather] form = \"synthetic\", or leave them out")
        .severity = quantity::Severity::warning;
}

void SiteConditions::move_to_height()
{
    const Given<double>& station = input_.site.conditions_height;
    climate::Site& site = building_.site;
    if (!station || !work_.numbers_sound || problems_.has_error()) return;
    if (*station == site.place.height_m) return;
    try {
        site.winter = climate::at_height(site.winter, *station, site.place.height_m);
        for (climate::CoolingMonth& month : site.months)
            month = climate::at_height(month, *station, site.place.height_m);
    } catch (const quantity::RangeError& wrong) {
        problem(codes::physics, station.origin, wrong.what(), "take conditions of a nearer station");
        return;
    }
    problem(
        codes::moved_height, station.origin,
        fmt::format(
            "design conditions were moved from {} to the site's {}: temperatures by {}, relative humidities "
            "kept",
            units_.text(*station, Kind::length), units_.text(site.place.height_m, Kind::length),
            units_.text(climate::lapse_K_per_m * (*station - site.place.height_m), Kind::temperature_difference, 2)),
        "`venture climate` shows them as they are used")
        .severity = quantity::Severity::note;
}

void add_site(Work& work) { SiteConditions{work}.add_site(); }

} // namespace venture::resolve
