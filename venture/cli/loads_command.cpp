/// `venture loads`: peaks of every room; one room taken apart; the numeric model.

#include <algorithm>
#include <memory>
#include <ranges>
#include <utility>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/cli/command.hpp>
#include <venture/cli/deliver.hpp>
#include <venture/cli/moment.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/cli/progress.hpp>
#include <venture/cli/room_apart.hpp>
#include <venture/cli/room_argument.hpp>
#include <venture/exchange/loads_table.hpp>
#include <venture/loads/design_hours.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/unknown_name.hpp>
#include <venture/report/loads_report.hpp>
#include <venture/report/model_origins.hpp>
#include <venture/report/model_report.hpp>
#include <venture/report/second_opinion_report.hpp>

namespace venture::cli::of_loads {

namespace {

struct Options {
    CommonOptions common{};
    std::string room{}, model_day{}, hours_of{}, day{}, supply_difference{};
    bool hours = false;
    bool csv = false;
    RoomAsked apart{};
    bool second_opinion = false, week = false;
    int days_off = 0; ///< 0: not asked
    std::string come_back_in{};
    std::vector<std::string> together{}; ///< "Galley|Crew mess"
};

/// One room taken apart.
ExitCode loads_of_room(const Job& job, const CommonOptions& o, const std::string& typed, const RoomAsked& asked)
{
    const auto room = room_called(job, typed);
    if (!room) return ExitCode::bad_input;
    auto told = room_taken_apart(job, *room, asked);
    return told ? deliver(std::move(*told), job, o, job.design().converged()) : ExitCode::bad_input;
}

/// A design day hour by hour.
ExitCode hours(const CommonOptions& o, const Options& asked)
{
    Job job = open_and_compute(o);
    if (needs_building(job, "loads --hours")) return ExitCode::bad_input;
    if (job.failed()) return deliver({}, job, o);
    const building::Building& b = *job.building();
    const auto room = asked.hours_of.empty() ? std::string{} : room_called(job, asked.hours_of);
    if (!room) return ExitCode::bad_input;
    const auto day = design_day_called(b, asked.day.empty() ? worst_day(job, *room) : asked.day);
    if (!day) return ExitCode::bad_input;
    std::vector<loads::LoadHour> rows = loads::design_hours(b, *day, job.project().design_options());
    if (room->empty())
        rows = loads::hours_together(rows);
    else
        std::erase_if(rows, [&](const loads::LoadHour& h) { return h.of != *room; });
    figure::Document out{fmt::format("{}: {} on the design day of {}", b.project.name, rows.front().of, day->name)};
    out.add("Hour means, in local standard time; flows into the air and the supply balance.\n");
    figure::Table table = figure::table_of(loads::load_hour_columns(), rows);
    table.add_total("most");
    out.add(std::move(table));
    return deliver(std::move(out), job, o);
}

ExitCode loads_model(const CommonOptions& o, const std::string& day, const std::string& typed)
{
    Job job = open(o);
    if (needs_building(job, "loads --model")) return ExitCode::bad_input;
    if (job.failed()) return finish(job, o);
    const building::Building& b = *job.building();
    const auto found = design_day_called(b, day);
    if (!found) return ExitCode::bad_input;
    const loads::Compiled compiled = loads::compile(b, *found, {.step_s = 60.0 * o.step_min});
    if (!typed.empty()) {
        const auto room = room_called(job, typed);
        if (!room) return ExitCode::bad_input;
        return deliver(report::numbers_document(report::numbers_of_room(b, compiled, *b.find_room(*room))), job, o);
    }
    if (o.form() != Form::json) return deliver(report::model_document(b, compiled), job, o);
    print_json(report::model_json(b, compiled), job); // with every value of every signal
    return finish(job, o);
}

/// Rooms parted by |; nothing, and told, if one of them is none.
std::optional<loads::RoomList> rooms_together(const Job& job, const std::string& typed)
{
    loads::RoomList out;
    for (const auto part : std::views::split(typed, '|')) {
        const auto room = room_called(job, std::string{quantity::trimmed(std::string_view{part.begin(), part.end()})});
        if (!room) return std::nullopt;
        out.of += (out.of.empty() ? "" : ", ") + *room;
        out.rooms.push_back(*room);
    }
    return out;
}

/// @throws Misuse for what is no such difference
std::optional<double> supply_difference(const std::string& typed)
{
    if (typed.empty()) return std::nullopt;
    constexpr double least_K = 1.0, most_K = 40.0;
    const auto read = quantity::parse_quantity(typed, quantity::Kind::temperature_difference);
    const double* difference_K = std::get_if<double>(&read);
    if (difference_K == nullptr || *difference_K < least_K || *difference_K > most_K)
        throw Misuse{fmt::format("--supply-difference: '{}' found, expected 1 to 40 K, as in \"8 K\"", typed)};
    return *difference_K;
}

/// @throws Misuse for what is no such time
std::optional<loads::DaysOff> days_off(const Options& options)
{
    if (options.days_off == 0 && options.come_back_in.empty()) return std::nullopt;
    if (options.days_off < 1 || options.days_off > 6)
        throw Misuse{"--after-days-off: expected 1 to 6 days of each week, as in --after-days-off 2"};
    loads::DaysOff out{.days = options.days_off};
    if (options.come_back_in.empty()) return out;
    constexpr double least_h = 0.25, most_h = 24.0;
    const auto read = quantity::parse_quantity(options.come_back_in, quantity::Kind::hours);
    const double* time_h = std::get_if<double>(&read);
    if (time_h == nullptr || *time_h < least_h || *time_h > most_h)
        throw Misuse{
            fmt::format("--come-back-in: '{}' found, expected 0.25 to 24 h, as in \"2 h\"", options.come_back_in)};
    out.come_back_in_h = *time_h;
    return out;
}

/// @throws Misuse where it stands beside what says another form
void check_csv(const Options& options)
{
    const CommonOptions& o = options.common;
    if (options.csv && !(o.table.empty() && o.as.empty() && o.output.empty()))
        throw Misuse{"--csv prints the one table that `venture size` reads; any table is written by --as csv, with "
                     "--table NAME and -o FILE"};
}

ExitCode run(const Options& options)
{
    const CommonOptions& o = options.common;
    if (options.room.empty()) needs_no_room(options.apart);
    check_csv(options);
    report::LoadsAsked asked{.supply_K = supply_difference(options.supply_difference)};
    if (options.hours) return hours(o, options);
    if (!options.model_day.empty()) return loads_model(o, options.model_day, options.room);
    Job job = open_and_compute(o);
    if (needs_building(job, "loads")) return ExitCode::bad_input;
    if (!job.failed() && !options.room.empty()) return loads_of_room(job, o, options.room, options.apart);
    if (job.failed()) return deliver({}, job, o);
    for (const std::string& list : options.together) {
        const auto rooms = rooms_together(job, list);
        if (!rooms) return ExitCode::bad_input;
        asked.together.push_back(*rooms);
    }
    if (options.second_opinion) {
        constexpr double usual_supply_K = 10.0;
        const loads::DesignOptions how = job.project().design_options();
        const loads::RoomLoads& all = job.design().loads;
        return deliver(report::second_opinion_document(all, second_opinions(*job.building(), all, how),
                                                       glass_swings(*job.building(), all, how), job.units(),
                                                       asked.supply_K.value_or(usual_supply_K)),
                       job, o, job.design().converged());
    }
    if (const auto off = days_off(options))
        asked.after = heating_after_days_off(*job.building(), *off, {.step_s = 60.0 * o.step_min});
    if (options.week) {
        Progress progress{"running through weeks of design days"};
        asked.weeks = loads::cooling_over_weeks(*job.building(), job.project().design_options(),
                                                [&progress](double share) { progress.tell(share); });
    }
    asked.coils = &job.project().coils();
    if (!options.csv)
        return deliver(report::loads_document(*job.building(), job.design(), job.units(), asked), job, o,
                       job.design().converged());
    print(exchange::write_loads_table(job.design().loads));
    return finish(job, o, job.design().converged());
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<Options>();
    add_project(parser, options->common);
    add_forms(parser, options->common);
    add_step(parser, options->common);
    parser.add(
        "--room", options->room,
        "take one room apart: steady loss by hand, air balance in the hour of the peak, each path over its edge");
    parser.flag("--by-source", options->apart.by_source,
                "with --room: also by what acts anywhere in the building, such as sun in the room next door");
    add_room_asked(parser, options->apart, "with --room: ");
    parser
        .add("--together", options->together,
             "also the peak of some rooms together, parted by |: \"Galley|Crew mess\"; may be repeated")
        .one_each();
    parser.add("--supply-difference", options->supply_difference,
               "also the supply air that carries the sensible cooling, so much cooler than the room: \"8 K\"");
    parser.add("--after-days-off", options->days_off,
               "also the heating after so many days of each week at the set-back, 1 to 6: a weekend, a long one");
    parser.add("--come-back-in", options->come_back_in,
               "with --after-days-off: the time in which rooms come back, in place of their ramps: \"2 h\"");
    parser.flag("--week", options->week,
                "also the cooling over a week of the building's own calendar, each design day's weather seven times: "
                "what days without use leave and save");
    parser.flag(
        "--second-opinion", options->second_opinion,
        "instead: simpler methods beside the heat balance, with what each leaves out, and the swing of the glass "
        "load");
    parser.flag("--csv", options->csv, "as the table that `venture size` reads");
    parser.add("--model", options->model_day,
               "instead: the numbers that the heat balance works with on a design day, winter or \"July\"; with "
               "--room those of one room, each with where it comes from");
    parser
        .add("--hours", options->hours_of,
             "instead: the 24 hours of a design day, of ROOM or of all rooms together: sun, gains, what comes into the "
             "air, temperatures, loads")
        .value_called("[ROOM]")
        .takes(0, 1);
    parser.add("--day", options->day,
               "design day of --hours: winter, \"July\" or \"July wet bulb\"; the worst unless given");
    parser["PROJECT"].required(false);
    return [options, &parser] {
        options->hours = parser.was_given("--hours");
        if (options->common.project.empty()) options->common.project = std::exchange(options->hours_of, std::string{});
        if (options->common.project.empty()) throw Misuse{"PROJECT is required"};
        return run(*options);
    };
}

} // namespace

} // namespace venture::cli::of_loads

namespace venture::cli {

extern const Command loads_command;
const Command loads_command = {"loads", Group::compute, "heating and cooling loads of every room", of_loads::declare};

} // namespace venture::cli
