/// `venture climate`: design conditions, design days and weather year.

#include <algorithm>
#include <memory>

#include <fmt/format.h>

#include <venture/cli/climate_job.hpp>
#include <venture/cli/climate_results.hpp>
#include <venture/cli/command.hpp>
#include <venture/cli/deliver.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/quantity/names.hpp>
#include <venture/report/climate_report.hpp>

namespace venture::cli::of_climate {

namespace {

/// What `climate` lists instead of everything.
struct ClimateOptions {
    std::string day{};  ///< "winter", "July", "July wet bulb", "14 July"
    std::string week{}; ///< "hottest", "coldest"
};

/// What somebody means by a day: "winter", "July", "July wet bulb", "14 July". Says so and gives nothing if it is none.
std::optional<climate::DesignDay> day_called(const std::string& asked, const Job& job)
{
    const climate::Site& site = *job.site();
    const std::string text = quantity::lower_case(quantity::trimmed(asked));
    if (const auto read = climate::read_month_day(text); std::holds_alternative<climate::MonthDay>(read)) {
        const auto date = std::get<climate::MonthDay>(read);
        if (job.weather() && (date != climate::MonthDay{2, 29} || job.weather()->leap))
            return climate::weather_day(*job.weather(), climate::day_of_year(date, job.weather()->leap), site);
        print_error(fmt::format("'{}' would be a day of the weather year; {}", asked,
                                job.weather() ? "it is no leap year\n" : how_to_give_weather));
        return std::nullopt;
    }
    if (auto called = climate::design_day_called(site, text)) return called;
    for (const auto& [peak, key] : {std::pair{"wet bulb", "wet_bulb"}, {"dew point", "dew_point"}})
        for (const climate::CoolingMonth& m : site.months)
            if (const std::string month = climate::month_name(m.month);
                text == fmt::format("{} {}", quantity::lower_case(month), peak)) {
                print_error(fmt::format("{} has no highest {}; give it peak_{} and its dry bulb\n", month, peak, key));
                return std::nullopt;
            }
    std::vector<std::string> there;
    for (const climate::CoolingMonth& m : site.months) there.push_back(climate::month_name(m.month));
    print_error(fmt::format("no day is called '{}'; there are: winter, {}, one of these with \"wet bulb\" or \"dew "
                            "point\" behind it, or a day of the weather year such as \"14 July\"\n",
                            asked, quantity::listed(there, 12)));
    return std::nullopt;
}

ExitCode run(const CommonOptions& o, const ClimateOptions& c)
{
    Job job = open_for_climate(o);
    if (job.failed()) return deliver({}, job, o);
    if (!c.day.empty()) {
        const auto day = day_called(c.day, job);
        return day ? deliver(report::day_document(*day, job.units()), job, o) : ExitCode::bad_input;
    }
    if (!c.week.empty()) {
        if (lacks_weather(job, "climate --week")) return ExitCode::bad_input;
        const auto which = c.week == "hottest" ? climate::Extreme::hottest : climate::Extreme::coldest;
        return deliver(report::week_document(climate::extreme_week(*job.weather(), *job.site(), which), c.week,
                                             job.weather()->name, job.units()),
                       job, o);
    }
    return deliver(climate_document(job), job, o);
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto climate = std::make_shared<ClimateOptions>();
    add_project(parser, *options);
    add_forms(parser, *options);
    parser["PROJECT"].required(false); // which its own commands have
    parser.add("--day", climate->day,
               "list one day's hours: winter, a design month (\"July\", \"July wet bulb\", \"July dew point\"), "
               "or a day of the weather year (\"14 July\")");
    parser.add("--week", climate->week, "list the hours of the weather year's hottest or coldest week")
        .one_of({"hottest", "coldest"});
    return [options, climate] {
        if (options->project.empty()) throw Misuse{"PROJECT is required"};
        return run(*options, *climate);
    };
}

} // namespace

} // namespace venture::cli::of_climate

namespace venture::cli {

extern const Command climate_command;
const Command climate_command = {"climate", Group::understand,
                                 "design conditions, design days and weather year of a project", of_climate::declare};

} // namespace venture::cli
