/// `venture loads`: peaks of every room; one room taken apart; the numeric model.

#include <algorithm>
#include <memory>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/cli/command.hpp>
#include <venture/cli/deliver.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/exchange/loads_table.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/unknown_name.hpp>
#include <venture/report/loads_report.hpp>
#include <venture/report/model_origins.hpp>
#include <venture/report/model_report.hpp>
#include <venture/report/room_report.hpp>

namespace venture::cli::of_loads {

namespace {

struct Options {
    CommonOptions common{};
    std::string room{}, model_day{};
    bool csv = false;
};

/// One room taken apart.
ExitCode loads_of_room(const Job& job, const CommonOptions& o, const std::string& room)
{
    const auto& all = job.design().loads.rooms;
    const auto found = std::ranges::find(all, room, &loads::RoomLoad::room);
    if (found == all.end()) {
        std::vector<std::string> names;
        for (const auto& r : all) names.push_back(r.room);
        const quantity::Problem unknown = quantity::unknown_name("room", room, {}, names);
        print_error(fmt::format("{}; {}\n", unknown.message, unknown.hint));
        return ExitCode::bad_input;
    }
    report::RoomCauses causes;
    if (const auto index = job.building()->find_room(room)) {
        const loads::DesignOptions options{.step_s = 60.0 * o.step_min};
        causes = {causes_of_heating(*job.building(), *index, *found, options),
                  causes_of_cooling(*job.building(), *index, *found, options)};
    }
    return deliver(report::room_document(*found, causes, job.origins(), job.units()), job, o, job.design().converged());
}

ExitCode loads_model(const CommonOptions& o, const std::string& day, const std::string& room)
{
    Job job = open(o);
    if (needs_building(job, "loads --model")) return ExitCode::bad_input;
    if (job.failed()) return finish(job, o);
    const building::Building& b = *job.building();
    const std::string asked = quantity::lower_case(quantity::trimmed(day));
    std::optional<climate::DesignDay> found;
    std::vector<std::string> there = {"winter"};
    if (asked == "winter") found = climate::winter_design_day(b.site);
    for (const climate::CoolingMonth& month : b.site.months) {
        there.push_back(climate::month_name(month.month));
        if (asked == quantity::lower_case(there.back())) found = climate::cooling_design_day(b.site, month);
    }
    if (!found) {
        print_error(fmt::format("no design day is called '{}'; there are: {}\n", day, quantity::listed(there, 14)));
        return ExitCode::bad_input;
    }
    const loads::Compiled compiled = loads::compile(b, *found, {.step_s = 60.0 * o.step_min});
    if (!room.empty()) {
        const auto index = b.find_room(room);
        if (!index) {
            print_error(fmt::format("no room is called '{}'\n", room));
            return ExitCode::bad_input;
        }
        const auto numbers = report::numbers_of_room(b, compiled, *index);
        o.json ? print_json({{"room", room}, {"numbers", report::numbers_json(numbers)}}, job)
               : print(report::numbers_text(numbers), o);
    } else if (o.json) {
        print_json(report::model_json(b, compiled), job);
    } else {
        print(report::model_text(b, compiled), o);
    }
    return finish(job, o);
}

ExitCode run(const Options& options)
{
    const CommonOptions& o = options.common;
    if (!options.model_day.empty()) return loads_model(o, options.model_day, options.room);
    Job job = open_and_compute(o);
    if (needs_building(job, "loads")) return ExitCode::bad_input;
    if (!job.failed() && !options.room.empty()) return loads_of_room(job, o, options.room);
    if (job.failed()) return deliver({}, job, o);
    if (!options.csv)
        return deliver(report::loads_document(*job.building(), job.design(), job.units()), job, o,
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
    parser.add("--room", options->room,
               "take one room apart: steady loss by hand, air balance in the hour of the peak");
    parser.flag("--csv", options->csv, "as the table that `venture size` reads");
    parser.add("--model", options->model_day,
               "instead: the numbers that the heat balance works with on a design day, winter or \"July\"; with "
               "--room those of one room, each with where it comes from");
    return [options] { return run(*options); };
}

} // namespace

} // namespace venture::cli::of_loads

namespace venture::cli {

extern const Command loads_command;
const Command loads_command = {"loads", Group::compute, "heating and cooling loads of every room", of_loads::declare};

} // namespace venture::cli
