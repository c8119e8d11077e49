/// The weather of a case: its year, and the design conditions that follow from it.

#include <algorithm>

#include <fmt/format.h>

#include <venture/climate/at_height.hpp>
#include <venture/climate/synthetic_year.hpp>
#include <venture/input/completion.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>
#include <venture/resolve/climate_input.hpp>
#include <venture/resolve/resolve.hpp>
#include <venture/study/case_state.hpp>

namespace venture::study {

namespace codes = quantity::codes;
using quantity::OriginId;
using quantity::Problem;
using quantity::Severity;

std::optional<climate::WeatherYear> Case::State::make_weather()
{
    const input::WeatherInput& w = input.weather;
    if (w.form != input::WeatherForm::synthetic) {
        if (!w.file) {
            problems.add({Severity::error, codes::missing, w.form.origin, "[weather] has no 'file'",
                          "name the file, or give form = \"synthetic\" and [[monthly_mean]]"});
            return std::nullopt;
        }
        return given.weather ? given.weather(input, problems) : std::nullopt;
    }
    if (w.file) {
        problems.add({Severity::error, codes::contradiction, w.file.origin, "a synthetic year has no file",
                      "a year that was made and kept says so itself: leave out form"});
        return std::nullopt;
    }
    if (input.monthly_means.empty() && problems.has_error())
        return std::nullopt; // what was to hold them could not be read
    const auto request = resolve::synthetic_request_of(input, problems);
    if (!request) return std::nullopt;
    try {
        return climate::synthetic_year(*request);
    } catch (const quantity::RangeError& wrong) {
        OriginId where = input.weather.form.origin;
        for (const input::MonthlyMeanInput& m : input.monthly_means)
            if (wrong.where().ends_with(climate::month_name(static_cast<int>(*m.month)))) where = m.month.origin;
        problems.add({Severity::error, codes::physics, where, wrong.what(), "see [[monthly_mean]]"});
        return std::nullopt;
    }
}

void Case::State::use_weather()
{
    if (weather_asked || !input.weather.is_used()) return;
    weather_asked = true;
    if (!resolve::is_sound(input.weather)) return; // told when the site is resolved
    weather = make_weather();
    if (!weather) return;
    input::take_ground_temperatures(input);
    const double recorded_m = weather->place.height_m;
    auto here = at_site();
    if (here && resolve::wants_conditions(input.site)) {
        // Conditions that are derived stand beside typed ones, and are moved with them.
        const auto& station = input.site.conditions_height;
        if (const auto there = station ? at_height(*station) : here) derive_conditions(*there);
    }
    weather = std::move(here);
    if (!weather || weather->place.height_m == recorded_m) return;
    const double here_m = weather->place.height_m;
    problems.add(
        {.severity = Severity::note,
         .code = codes::moved_height,
         .where = place_of_weather(),
         .message = fmt::format(
             "the weather year was moved from {} to the site's {}: temperatures by {}, "
             "relative humidities kept",
             units.text(recorded_m, quantity::Kind::length), units.text(here_m, quantity::Kind::length),
             units.text(climate::lapse_K_per_m * (recorded_m - here_m), quantity::Kind::temperature_difference, 2)),
         .hint = "`venture climate` shows it as it is used",
         .subject = "weather"});
}

OriginId Case::State::place_of_weather() const
{
    const input::WeatherInput& w = input.weather;
    return w.height ? w.height.origin : w.form ? w.form.origin : w.file.origin;
}

std::optional<climate::WeatherYear> Case::State::at_height(double height_m)
{
    try {
        return climate::at_height(*weather, height_m);
    } catch (const quantity::RangeError& wrong) {
        problems.add({Severity::error, codes::physics, place_of_weather(), wrong.what(),
                      "take the weather of a nearer station"});
        return std::nullopt;
    }
}

/// Where nobody says how high the site is, weather is taken as it was recorded.
std::optional<climate::WeatherYear> Case::State::at_site()
{
    return input.site.height ? at_height(*input.site.height) : weather;
}

void Case::State::derive_conditions(const climate::WeatherYear& year)
{
    const climate::Rarity rarity = resolve::rarity_of(input.weather);
    const auto filled = resolve::fill_from_weather(input, climate::derive_conditions(year, rarity), year.name);
    if (filled.empty()) return;
    const input::WeatherInput& w = input.weather;
    const OriginId where = w.form ? w.form.origin : w.file.origin;
    if (year.synthetic)
        problems.add({.severity = Severity::warning,
                      .code = codes::synthetic,
                      .where = where,
                      .message = fmt::format("design conditions are derived from '{}', a synthetic year: "
                                             "plausible, but nobody measured it",
                                             year.name),
                      .hint = "size nothing real with them: take tables or a measured year",
                      .subject = "weather"});
    constexpr std::size_t shown = 6;
    problems.add({.severity = Severity::note,
                  .code = codes::derived,
                  .where = where,
                  .message = fmt::format("{} design condition{} derived from the weather year '{}' (winter "
                                         "{:g} %, summer {:g} % of a month): {}",
                                         filled.size(), filled.size() == 1 ? "" : "s", year.name, 100.0 * rarity.winter,
                                         100.0 * rarity.summer, quantity::listed(filled, shown)),
                  .hint = "`venture climate` shows them; one year tells what was, not how rare it is",
                  .subject = "weather"});
}

void Case::State::drop_what_weather_would_give(std::vector<Problem>& more) const
{
    if (weather_asked && !weather && problems.has_error())
        std::erase_if(more, [](const Problem& p) { return p.cause == resolve::no_design_conditions; });
}

} // namespace venture::study
