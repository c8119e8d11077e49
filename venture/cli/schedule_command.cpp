/// `venture schedule`: what is to be ordered, with tags that stay.

#include <algorithm>
#include <memory>

#include <fmt/format.h>

#include <venture/cli/command.hpp>
#include <venture/cli/deliver.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/exchange/tags_file.hpp>
#include <venture/plant/kinds.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>
#include <venture/report/schedule_report.hpp>
#include <venture/terminal/kinds.hpp>

namespace venture::cli::of_schedule {

namespace {

struct ScheduleOptions : CommonOptions {
    std::string kind{};   ///< words or key of one; empty: all
    bool grouped = false; ///< one line a product
};

const rating::Kind* kind_called(const std::string& typed)
{
    std::vector<std::string> known;
    for (const auto kinds : {terminal::unit_kinds(), plant::plant_kinds()})
        for (const rating::Kind* kind : kinds) {
            if (typed == kind->words || typed == kind->key || typed == fmt::format("{}s", kind->words)) return kind;
            known.emplace_back(kind->words);
        }
    throw quantity::Error{fmt::format("no kind of unit or plant is called '{}'; there are: {}", typed,
                                      quantity::listed(known, known.size()))};
}

/// Tags are issued by a project as it is, not by what is tried for one run.
bool is_tried(const CommonOptions& o) { return !o.changes.empty() || !o.with.empty(); }

ExitCode run(const ScheduleOptions& o)
{
    Job job = open_and_compute(o);
    if (job.failed()) return deliver({}, job, o);
    const study::Sizing& sizing = job.project().sizing();
    const building::Building* building = job.building() ? &*job.building() : nullptr;
    figure::Document document;
    try {
        const rating::Kind* only = o.kind.empty() ? nullptr : kind_called(o.kind);
        const std::filesystem::path file = job.folder() / exchange::tags_name;
        study::Tags tags = exchange::read_tags(file);
        const std::size_t before = tags.issued.size();
        std::vector<study::ScheduleItem> items = schedule_items(sizing, building);
        give_tags(items, tags, building, sizing.tag_rule);
        if (!is_tried(o)) exchange::write_tags(file, tags);
        if (only != nullptr) std::erase_if(items, [&](const study::ScheduleItem& item) { return item.kind != only; });
        const report::TagNews news{.given = tags.issued.size() - before, .kept = !is_tried(o)};
        document = report::schedule_document(items, tags, sizing, news, o.grouped);
    } catch (const quantity::Error& wrong) {
        print_error(fmt::format("{}\n", wrong.what()));
        return ExitCode::bad_input;
    }
    return deliver(std::move(document), job, o, sizing.met());
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<ScheduleOptions>();
    add_project(parser, *options);
    parser.add("KIND", options->kind, "only units or plant of this kind: radiator, \"fan coil\"; all unless given");
    add_forms(parser, *options);
    add_step(parser, *options);
    parser.flag("--grouped", options->grouped, "a line a product, with how many of it and their tags");
    return [options] { return run(*options); };
}

} // namespace

} // namespace venture::cli::of_schedule

namespace venture::cli {

extern const Command schedule_command;
const Command schedule_command = {
    "schedule", Group::compute,
    "units and plant as they are ordered, one by one, with tags that are issued once and kept in tags.csv",
    of_schedule::declare};

} // namespace venture::cli
