/// `venture check`: the model as it is understood.

#include <algorithm>
#include <memory>
#include <utility>

#include <fmt/format.h>

#include <venture/cli/command.hpp>
#include <venture/cli/deliver.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/report/check_report.hpp>
#include <venture/report/origins_report.hpp>
#include <venture/resolve/effective.hpp>

namespace venture::cli::of_check {

namespace {

struct Options {
    CommonOptions common{};
    bool origins = false; ///< where values came from
    std::string what{};   ///< only these; see resolve::asked_for()
};

ExitCode list_origins(const Job& job, const CommonOptions& o, const std::string& what)
{
    const auto& input = job.input();
    const auto all = resolve::effective_values(input, job.building() ? &*job.building() : nullptr);
    const auto asked = resolve::asked_for(all, what, input.origins);
    if (asked.empty() && o.form() == Form::text) {
        print_error(
            fmt::format("no value is called '{}'; ask for the beginning of a path (\"site\", \"room/Boat hall\", "
                        "\"room/*/people\"), a key (\"people\") or an origin (typed, default, inherited, "
                        "library, set, computed)\n",
                        what));
        return ExitCode::bad_input;
    }
    return deliver(report::origins_document(asked, input.origins, job.units()), job, o);
}

ExitCode run(const CommonOptions& o, const Options& c)
{
    Job job = open(o);
    (void)job.weather(); // a weather year that nobody asked for yet may be wrong too
    if (!job.input().catalogues.empty()) (void)job.project().products(); // the same of products of one's own
    if (needs_building(job, "check")) return ExitCode::bad_input;
    if (c.origins) return list_origins(job, o, c.what);
    const bool stands = job.building() && !job.failed();
    const project::Findings all = job.findings();
    const ExitCode code =
        deliver(stands ? report::check_document(*job.building(), job.units()) : figure::Document{}, job, o);
    if (o.form() == Form::text && all.open.empty() && all.accepted.empty())
        print("Nothing was found that is wrong or odd.\n");
    return code;
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<Options>();
    add_project(parser, options->common);
    add_forms(parser, options->common);
    parser["PROJECT"].required(false);
    parser
        .add("--origins", options->what,
             "list values and where they came from instead: all, or those of WHAT, such as \"room/Boat hall\", "
             "\"room/*/people\", people, default")
        .value_called("[WHAT]")
        .takes(0, 1);
    return [options, &parser] {
        options->origins = parser.was_given("--origins");
        if (options->common.project.empty()) options->common.project = std::exchange(options->what, std::string{});
        if (options->common.project.empty()) throw Misuse{"PROJECT is required"};
        return run(options->common, *options);
    };
}

} // namespace

} // namespace venture::cli::of_check

namespace venture::cli {

extern const Command check_command;
const Command check_command = {"check", Group::understand,
                               "list the rooms as they are understood, and what looks wrong", of_check::declare};

} // namespace venture::cli
