/// The weather of a job: its year, and the design conditions that follow from it.

#include <algorithm>

#include <fmt/format.h>

#include <venture/cli/job.hpp>
#include <venture/exchange/weather_file.hpp>
#include <venture/input/completion.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>
#include <venture/resolve/climate_input.hpp>
#include <venture/resolve/resolve.hpp>

namespace venture::cli {

namespace codes = quantity::codes;
using quantity::OriginId;
using quantity::Problem;
using quantity::Severity;

std::optional<climate::WeatherYear> Job::make_weather()
{
    const input::WeatherInput& w = project_.input.weather;
    auto& origins = project_.input.origins;
    if (w.form != input::WeatherForm::synthetic) {
        if (!w.file) {
            problems_.add({Severity::error, codes::missing, w.form.origin, "[weather] has no 'file'",
                           "name the file, or give form = \"synthetic\" and [[monthly_mean]]"});
            return std::nullopt;
        }
        const project::SourceFile* file = project_.sources.find(*w.file);
        if (file == nullptr) return std::nullopt; // told when it was to be read
        return exchange::read_weather(file->text, file->name, w, resolve::place_of(project_.input.site), origins,
                                      problems_);
    }
    if (w.file) {
        problems_.add({Severity::error, codes::contradiction, w.file.origin, "a synthetic year has no file",
                       "a year that was made and kept says so itself: leave out form"});
        return std::nullopt;
    }
    if (project_.input.monthly_means.empty() && problems_.has_error())
        return std::nullopt; // what was to hold them could not be read
    const auto request = resolve::synthetic_request_of(project_.input, problems_);
    if (!request) return std::nullopt;
    try {
        return climate::synthetic_year(*request);
    } catch (const quantity::RangeError& wrong) {
        OriginId where = project_.input.weather.form.origin;
        for (const input::MonthlyMeanInput& m : project_.input.monthly_means)
            if (wrong.where().ends_with(climate::month_name(static_cast<int>(*m.month)))) where = m.month.origin;
        problems_.add({Severity::error, codes::physics, where, wrong.what(), "see [[monthly_mean]]"});
        return std::nullopt;
    }
}

void Job::use_weather()
{
    if (weather_used_ || !project_.input.weather.is_used()) return;
    weather_used_ = true;
    if (!resolve::is_sound(project_.input.weather)) return; // told when the site is resolved
    weather_ = make_weather();
    if (!weather_) return;
    input::take_ground_temperatures(project_.input);
    if (resolve::wants_conditions(project_.input.site)) derive_conditions();
}

void Job::derive_conditions()
{
    const climate::Rarity rarity = resolve::rarity_of(project_.input.weather);
    const auto filled =
        resolve::fill_from_weather(project_.input, climate::derive_conditions(*weather_, rarity), weather_->name);
    if (filled.empty()) return;
    const input::WeatherInput& w = project_.input.weather;
    const OriginId where = w.form ? w.form.origin : w.file.origin;
    if (weather_->synthetic)
        problems_.add({.severity = Severity::warning,
                       .code = codes::synthetic,
                       .where = where,
                       .message = fmt::format("design conditions are derived from '{}', a synthetic year: "
                                              "plausible, but nobody measured it",
                                              weather_->name),
                       .hint = "size nothing real with them: take tables or a measured year",
                       .subject = "weather"});
    constexpr std::size_t shown = 6;
    problems_.add(
        {.severity = Severity::note,
         .code = codes::derived,
         .where = where,
         .message = fmt::format("{} design condition{} derived from the weather year '{}' (winter "
                                "{:g} %, summer {:g} % of a month): {}",
                                filled.size(), filled.size() == 1 ? "" : "s", weather_->name, 100.0 * rarity.winter,
                                100.0 * rarity.summer, quantity::listed(filled, shown)),
         .hint = "`venture climate` shows them; one year tells what was, not how rare it is",
         .subject = "weather"});
}

void Job::drop_what_weather_would_give(std::vector<Problem>& problems) const
{
    if (weather_used_ && !weather_ && problems_.has_error())
        std::erase_if(problems, [](const Problem& p) { return p.cause == resolve::no_design_conditions; });
}

} // namespace venture::cli
