#include <venture/resolve/climate_input.hpp>

#include <algorithm>
#include <array>

#include <fmt/format.h>

#include <venture/input/key_value.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {

using quantity::OriginId;
using quantity::OriginKind;
using quantity::Problem;
using quantity::Severity;
namespace codes = quantity::codes;

namespace {

bool is_sound(const Given<double>& given, const KeySpec& spec)
{
    return given && !bounds_problem(*given, spec, given.origin);
}

/// Whether every number of a record that was typed could be read and lies in its bounds.
bool all_sound(const ConstRecord& record)
{
    return std::ranges::none_of(record.keys(), [&](const Key& key) {
        if (key.shape != quantity::ValueShape::number) return false;
        const Given<double>& given = record.at<double>(key);
        return given.refused || (given && !is_sound(given, key.spec));
    });
}

/// Gives open values what was derived, and remembers which.
class Filler {
public:
    Filler(Input& input, const std::string& weather_name)
        : input_{input},
          origin_{input.origins.add(
              {.kind = OriginKind::computed, .text = fmt::format("derived from the weather year '{}'", weather_name)})}
    {
    }

    template <class T>
    void fill(T& record, Given<double> T::*field, std::optional<double> derived, const std::string& path)
    {
        Given<double>& given = record.*field;
        if (given || given.refused || !derived) return;
        given = Given<double>{*derived, origin_};
        filled_.push_back(fmt::format("{}/{}", path, spec_of(field).name));
    }

    /// Both of a pair that belongs together, or none.
    void fill_peak(MonthInput& month, Given<double> MonthInput::*peak, Given<double> MonthInput::*dry_bulb,
                   const std::optional<climate::PeakWithDryBulb>& derived, const std::string& path)
    {
        if (!derived || month.*peak || month.*dry_bulb) return;
        fill(month, peak, derived->peak_C, path);
        fill(month, dry_bulb, derived->dry_bulb_C, path);
    }

    void fill_month(MonthInput& month, const climate::CoolingMonth& derived)
    {
        using M = MonthInput;
        const std::string path = fmt::format("site/month/{}", derived.month);
        fill(month, &M::dry_bulb, derived.dry_bulb_C, path);
        fill(month, &M::wet_bulb, derived.wet_bulb_C, path);
        fill(month, &M::daily_range, derived.daily_range_K, path);
        fill(month, &M::beam_depth, derived.beam_depth, path);
        fill(month, &M::diffuse_depth, derived.diffuse_depth, path);
        fill(month, &M::ground, derived.ground_C, path);
        fill_peak(month, &M::peak_wet_bulb, &M::dry_bulb_at_peak_wet_bulb, derived.peak_wet_bulb, path);
        fill_peak(month, &M::peak_dew_point, &M::dry_bulb_at_peak_dew_point, derived.peak_dew_point, path);
        fill(month, &M::wind, derived.wind_m_per_s, path);
    }

    /// A month that nobody typed anything of.
    MonthInput& add_month(const climate::CoolingMonth& derived)
    {
        MonthInput& month = input_.site.months.emplace_back();
        month.month = Given<double>{static_cast<double>(derived.month), origin_};
        // Beside typed temperatures a derived range of the wet bulb would change days that someone stated.
        month.wet_bulb_range =
            derived.wet_bulb_range_K ? Given<double>{*derived.wet_bulb_range_K, origin_} : Given<double>{};
        return month;
    }

    [[nodiscard]] std::vector<std::string> filled() { return std::move(filled_); }

private:
    Input& input_;
    OriginId origin_;
    std::vector<std::string> filled_{};
};

} // namespace

std::optional<climate::Place> place_of(const SiteInput& site)
{
    using S = SiteInput;
    for (const auto field : {&S::latitude, &S::longitude, &S::time_zone})
        if (!is_sound(site.*field, spec_of(field))) return std::nullopt;
    if (site.height.refused || (site.height && !is_sound(site.height, spec_of(&S::height)))) return std::nullopt;
    return climate::Place{*site.latitude, *site.longitude, *site.time_zone, site.height ? *site.height : 0.0};
}

std::optional<climate::Place> station_of(const Input& input)
{
    using W = WeatherInput;
    const WeatherInput& w = input.weather;
    const auto site = place_of(input.site);
    climate::Place place = site.value_or(climate::Place{});
    const std::array<std::pair<Given<double> W::*, double climate::Place::*>, 4> own = {
        {{&W::latitude, &climate::Place::latitude_deg},
         {&W::longitude, &climate::Place::longitude_deg},
         {&W::time_zone, &climate::Place::time_zone_h},
         {&W::height, &climate::Place::height_m}}};
    for (const auto& [given, member] : own) {
        if (!(w.*given) && (!site || (w.*given).refused)) return std::nullopt;
        if (!(w.*given)) continue;
        if (!is_sound(w.*given, spec_of(given))) return std::nullopt;
        place.*member = *(w.*given);
    }
    return place;
}

std::optional<climate::SummerTime> summer_time_of(const SiteInput& site, quantity::Problems& problems)
{
    const auto day = [&](const Given<std::string>& given, const char* key) -> std::optional<climate::MonthDay> {
        const auto read = climate::read_month_day(*given);
        if (const auto* date = std::get_if<climate::MonthDay>(&read)) return *date;
        problems.add(
            {Severity::error, codes::date, given.origin,
             fmt::format("{}: '{}' is no day of a year: {}", key, *given, std::get<climate::NoDate>(read).reason),
             "write day and month, such as \"29 March\""});
        return std::nullopt;
    };
    const Given<std::string>&first = site.summer_time_first, &last = site.summer_time_last;
    if (!first && !last) return std::nullopt;
    if (!first || !last) {
        problems.add({Severity::error, codes::missing, first ? first.origin : last.origin,
                      "summer time needs its first and its last day",
                      fmt::format("add summer_time_{}", first ? "last" : "first")});
        return std::nullopt;
    }
    const auto from = day(first, "summer_time_first"), to = day(last, "summer_time_last");
    if (!from || !to) return std::nullopt;
    return climate::SummerTime{*from, *to, site.summer_time_ahead ? *site.summer_time_ahead : 1.0};
}

bool is_sound(const WeatherInput& weather)
{
    return all_sound(weather) && std::ranges::none_of(weather.columns, [](const WeatherColumnInput& c) {
               return !c.holds || !c.column || c.unit.refused;
           });
}

double number_of(const WeatherInput& weather, Given<double> WeatherInput::*key)
{
    const auto& otherwise = spec_of(key).default_value;
    VENTURE_ASSERT(otherwise.has_value());
    return weather.*key ? *(weather.*key) : *otherwise;
}

int number_of(const WeatherInput& weather, quantity::Whole WeatherInput::*key)
{
    const auto& otherwise = spec_of(key).default_value;
    VENTURE_ASSERT(otherwise.has_value());
    return (weather.*key).number().value_or(static_cast<int>(*otherwise));
}

std::optional<climate::SyntheticRequest> synthetic_request_of(const Input& input, quantity::Problems& problems)
{
    const auto place = station_of(input);
    if (!place) return std::nullopt; // told where it is missing
    const WeatherInput& w = input.weather;
    climate::SyntheticRequest request{.name = w.name ? *w.name : "synthetic year",
                                      .place = *place,
                                      .seed = static_cast<std::uint64_t>(number_of(w, &WeatherInput::seed)),
                                      .day_to_day_K = number_of(w, &WeatherInput::day_to_day),
                                      .wind_from_deg = number_of(w, &WeatherInput::wind_from)};
    std::array<int, 12> given{};
    for (const MonthlyMeanInput& m : input.monthly_means) {
        if (!m.month || !m.dry_bulb || !m.daily_range || !m.relative_humidity || !m.sun || !m.wind) return std::nullopt;
        if (!all_sound(m)) return std::nullopt; // told where every number is checked
        const auto index = static_cast<std::size_t>(*m.month) - 1;
        request.months[index] = {*m.dry_bulb, *m.daily_range, *m.relative_humidity, *m.sun, *m.wind};
        if (++given[index] == 2)
            problems.add({Severity::error,
                          codes::contradiction,
                          m.month.origin,
                          fmt::format("{} has means twice", climate::month_name(static_cast<int>(index) + 1)),
                          {}});
    }
    std::vector<std::string> without;
    for (std::size_t i = 0; i < 12; ++i)
        if (given[i] == 0) without.push_back(climate::month_name(static_cast<int>(i) + 1));
    if (!without.empty())
        problems.add({Severity::error, codes::missing, w.form.origin,
                      fmt::format("a synthetic year needs [[monthly_mean]] of twelve months; without: {}",
                                  fmt::join(without, ", ")),
                      "any climate table has them: mean and daily range of the temperature, relative humidity, "
                      "sun on the horizontal, wind"});
    if (!without.empty() || std::ranges::max(given) > 1) return std::nullopt;
    return request;
}

bool wants_conditions(const SiteInput& site)
{
    const auto is_open = [](const ConstRecord& record) {
        return std::ranges::any_of(record.keys(),
                                   [&](const Key& key) { return key.spec.from_weather && record.is_open(key); });
    };
    return site.months.empty() || is_open(site) || std::ranges::any_of(site.months, is_open);
}

climate::Rarity rarity_of(const WeatherInput& weather)
{
    return {number_of(weather, &WeatherInput::winter_frequency), number_of(weather, &WeatherInput::summer_frequency)};
}

std::vector<std::string> fill_from_weather(Input& input, const climate::DerivedConditions& derived,
                                           const std::string& weather_name)
{
    Filler filler{input, weather_name};
    using S = SiteInput;
    filler.fill(input.site, &S::winter_dry_bulb, derived.winter.dry_bulb_C, "site");
    filler.fill(input.site, &S::winter_dew_point, derived.winter.dew_point_C, "site");
    filler.fill(input.site, &S::winter_wind, derived.winter.wind_m_per_s, "site");
    filler.fill(input.site, &S::winter_ground, derived.winter.ground_C, "site");
    if (input.site.months.empty())
        for (const climate::CoolingMonth& month : derived.months) filler.fill_month(filler.add_month(month), month);
    else
        for (MonthInput& month : input.site.months)
            if (is_sound(month.month, spec_of(&MonthInput::month)))
                filler.fill_month(month, derived.months[static_cast<std::size_t>(*month.month) - 1]);
    return filler.filled();
}

} // namespace venture::resolve
