/// `venture size`: terminal units and plant.

#include <algorithm>
#include <memory>

#include <fmt/format.h>

#include <venture/cli/command.hpp>
#include <venture/cli/deliver.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/cli/room_argument.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/unknown_name.hpp>
#include <venture/report/loads_report.hpp>
#include <venture/report/size_report.hpp>
#include <venture/study/considered_figures.hpp>

namespace venture::cli::of_size {

namespace {

std::string assumptions_text(const Job& job)
{
    if (job.project().assumed().empty()) return {};
    return fmt::format("The table does not state, and these were assumed: {}.\n",
                       fmt::join(job.project().assumed(), "; "));
}

/// Leaves what is of one room; plant stays.
void keep_room(figure::Document& document, const std::string& room)
{
    for (auto& block : document.blocks)
        if (auto* table = std::get_if<figure::Table>(&block); table != nullptr && table->name == "unit")
            std::erase_if(table->rows, [&](const auto& row) { return row.front() != figure::Cell{room}; });
}

struct SizeOptions : CommonOptions {
    std::string room{};    ///< empty: all
    bool rejected = false; ///< tell of every product why it was not chosen
};

ExitCode run(const SizeOptions& o)
{
    const std::string& room = o.room;
    if (o.rejected && room.empty()) {
        print_error("--rejected is told of one room: add --room NAME\n");
        return ExitCode::bad_input;
    }
    Job job = open_and_compute(o);
    if (job.failed()) return deliver({}, job, o);
    const study::Sizing& sizing = job.project().sizing();
    figure::Document document = report::size_document(sizing, job.units());
    if (job.building()) {
        document.title = report::job_title(*job.building());
        document.blocks.insert(document.blocks.begin(),
                               figure::Sentences{report::site_line(*job.building(), job.units()) + "\n"});
    } else {
        document.blocks.insert(document.blocks.begin(), figure::Sentences{assumptions_text(job)});
    }
    if (!room.empty()) {
        const auto known = room_called(job, room);
        if (!known) return ExitCode::bad_input;
        keep_room(document, *known);
        if (o.rejected) {
            document.add("\nAll that was considered\n").add(study::considered_table(sizing, *known));
            document.add("\nHow far the need may move\n").add(study::stays_table(sizing, *known));
        }
    }
    const auto open = job.findings().open;
    const bool all_served = std::ranges::none_of(open, [](const quantity::Problem& p) {
        return p.code == quantity::codes::unserved; // unless that was accepted
    });
    return deliver(std::move(document), job, o, sizing.met() && all_served && job.design().converged());
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<SizeOptions>();
    add_project(parser, *options);
    add_forms(parser, *options);
    add_step(parser, *options);
    parser.add("--room", options->room, "only units of this room; plant is that of all");
    parser.flag(
        "--rejected", options->rejected,
        "with --room: every product that was considered, with the criterion it fails and by how much, and how far the "
        "need may move before something else is chosen");
    return [options] { return run(*options); };
}

} // namespace

} // namespace venture::cli::of_size

namespace venture::cli {

extern const Command size_command;
const Command size_command = {
    "size", Group::compute,
    "choose (or rate kept) radiators, fan coils, boiler and chiller; PROJECT may also be a CSV of typed room loads",
    of_size::declare};

} // namespace venture::cli
