/// `venture draw plan`.

#include <cmath>
#include <cstdio>
#include <memory>

#include <fmt/format.h>

#include <venture/cli/command.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/draw/plan_drawing.hpp>
#include <venture/exchange/tags_file.hpp>
#include <venture/figure/shown.hpp>
#include <venture/project/output.hpp>
#include <venture/project/read_project.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>
#include <venture/study/schedule.hpp>

namespace venture::cli::of_draw_plan {

namespace {

/// What `draw plan` shows.
struct PlanDrawOptions {
    std::vector<std::string> labels{};       ///< empty: the usual ones
    std::string fill = "service", storey{};  ///< empty: all storeys
    std::filesystem::path against{}, over{}; ///< an older version; a picture of the paper plan
    std::vector<std::string> match{};        ///< "120,640=0,0": px of the picture, m of the plan
    bool findings = false;                   ///< marked where they are
    bool tags = false;                       ///< units where they stand, with their tags
};

constexpr std::pair<std::string_view, draw::PlanLabel> labels[] = {{"name", draw::PlanLabel::name},
                                                                   {"area", draw::PlanLabel::area},
                                                                   {"volume", draw::PlanLabel::volume},
                                                                   {"height", draw::PlanLabel::height},
                                                                   {"temperature", draw::PlanLabel::temperature},
                                                                   {"heating", draw::PlanLabel::heating},
                                                                   {"cooling", draw::PlanLabel::cooling},
                                                                   {"air", draw::PlanLabel::air}};
constexpr std::pair<std::string_view, draw::PlanFill> fills[] = {{"service", draw::PlanFill::service},
                                                                 {"type", draw::PlanFill::type},
                                                                 {"heating", draw::PlanFill::heating},
                                                                 {"cooling", draw::PlanFill::cooling},
                                                                 {"air", draw::PlanFill::air}};

/// One of a list of words, which the command line has checked.
template <class Words>
auto word_in(const Words& words, const std::string& typed, const char* option)
{
    std::vector<std::string> known;
    for (const auto& [word, value] : words) {
        if (word == typed) return value;
        known.emplace_back(word);
    }
    throw quantity::Error{fmt::format("{} {}: there are: {}, and figures by path such as \"room_load/*/coldest\"",
                                      option, typed, quantity::listed(known, known.size()))};
}

/// The figures of a pattern, by room; those of nothing that is a room are left out.
std::vector<std::optional<figure::Figure>> by_room(const std::string& pattern, const Job& job)
{
    std::vector<std::optional<figure::Figure>> out(job.building()->rooms.size());
    bool any = false;
    for (figure::Figure& f : job.project().figures(pattern))
        if (const auto room = job.building()->find_room(figure::parts_of(f.path).subject)) {
            out[*room] = std::move(f);
            any = true;
        }
    if (!any)
        throw quantity::Error{
            fmt::format("'{}' is no figure of rooms; docs/figures.md and `venture explain` list them", pattern)};
    return out;
}

void add_lines(std::vector<std::vector<std::string>>& lines, const std::string& pattern, const Job& job)
{
    const auto figures = by_room(pattern, job);
    lines.resize(figures.size());
    for (std::size_t r = 0; r < figures.size(); ++r)
        if (figures[r])
            lines[r].push_back(fmt::format("{} {}", quantity::lower_case(heading_in_a_line(figures[r]->column)),
                                           shown_with_unit(figures[r]->value, figures[r]->column, job.units())));
}

/// What colours tell in steps: a number that has units to choose.
draw::PlanFigure figure_of_rooms(const std::string& pattern, const Job& job)
{
    draw::PlanFigure out;
    for (const auto& f : by_room(pattern, job)) {
        const double* value = f ? std::get_if<double>(&f->value) : nullptr;
        out.values.push_back(value != nullptr ? *value : 0.0);
        if (!f) continue;
        out.quantity = f->column.quantity;
        out.words = fmt::format("{} ({}):", heading_in_a_line(f->column), pattern);
    }
    const auto& printed = quantity::printed_quantities();
    if (std::ranges::find(printed, out.quantity, &quantity::PrintedQuantity::key) == printed.end())
        throw quantity::Error{fmt::format("--fill {}: colours tell numbers with a unit", pattern)};
    return out;
}

std::string bytes_of(const std::filesystem::path& file)
{
    project::FileText read = project::read_file(file); // never a device, or more than there is memory for
    if (!read.problem.empty()) throw quantity::Error{fmt::format("'{}': {}", file.string(), read.problem)};
    return std::move(read.text);
}

/// "120,640=0,0".
void read_match(const std::string& text, draw::Spot& seen, quantity::Point& lies)
{
    int end = 0;
    if (std::sscanf(text.c_str(), "%lf,%lf=%lf,%lf%n", &seen.x, &seen.y, &lies.x_m, &lies.y_m, &end) != 4 ||
        end != static_cast<int>(text.size()))
        throw quantity::Error{
            fmt::format("--match '{}': write px right and down in the picture, then metres on the plan: "
                        "120,640=0,0",
                        text)};
}

std::optional<draw::PaperPlan> paper_of(const PlanDrawOptions& plan)
{
    if (plan.over.empty() && plan.match.empty()) return std::nullopt;
    if (plan.over.empty() || plan.match.size() != 2)
        throw quantity::Error{
            "a picture under the plan takes --over PICTURE.png and two points: --match 120,640=0,0 --match "
            "980,640=24,0"};
    draw::PaperPlan paper{.png = bytes_of(plan.over)};
    for (std::size_t k = 0; k < 2; ++k) read_match(plan.match[k], paper.seen[k], paper.lies[k]);
    return paper;
}

std::optional<std::size_t> storey_of(const building::Building& b, const std::string& name)
{
    if (name.empty()) return std::nullopt;
    std::vector<std::string> known;
    for (std::size_t s = 0; s < b.storeys.size(); ++s) {
        if (b.storeys[s].name == name) return s;
        known.push_back(b.storeys[s].name);
    }
    throw quantity::Error{fmt::format("no storey is called '{}'; there are: {}", name, quantity::listed(known))};
}

/// Open findings, by the room that they are about.
std::vector<draw::PlanMark> marks_of(const Job& job)
{
    std::vector<draw::PlanMark> out;
    for (const quantity::Problem& p : job.findings().open) {
        const auto slash = p.subject.find('/');
        std::string room = slash == std::string::npos ? "" : p.subject.substr(slash + 1);
        room = room.substr(0, room.find(" and room/"));
        out.push_back({std::move(room), fmt::format("{}: {}", p.code, p.message)});
    }
    return out;
}

/// Units where they stand; of those without a place their tags in the room's label.
void add_units(const Job& job, draw::PlanOptions& options)
{
    const building::Building& b = *job.building();
    study::Tags tags = exchange::read_tags(job.folder() / exchange::tags_name);
    std::vector<study::ScheduleItem> items = schedule_items(job.project().sizing(), &b);
    give_tags(items, tags, &b, job.project().sizing().tag_rule);
    options.more_lines.resize(b.rooms.size());
    for (const study::ScheduleItem& item : items) {
        const auto room = b.find_room(item.place);
        if (!room || item.product == nullptr) continue;
        if (item.standing == nullptr) {
            options.more_lines[*room].push_back(item.tag);
            continue;
        }
        const terminal::Spot& spot = item.standing->spot;
        const rating::Label& label = item.product->label();
        constexpr double usual_depth_m = 0.1;
        options.units_placed.push_back({.surface = spot.surface,
                                        .room = *room,
                                        .middle_m = spot.from_m + 0.5 * spot.width_m,
                                        .length_m = label.length_m,
                                        .depth_m = std::isnan(label.depth_m) ? usual_depth_m : label.depth_m,
                                        .tag = item.tag});
    }
}

draw::PlanOptions options_of(const PlanDrawOptions& plan, const PictureOptions& draw, const Job& job)
{
    draw::PlanOptions options{.picture = draw.picture(), .units = job.units()};
    if (!plan.labels.empty()) options.labels.clear();
    for (const std::string& label : plan.labels)
        if (label.find('/') == std::string::npos)
            options.labels.push_back(word_in(labels, label, "--label"));
        else
            add_lines(options.more_lines, label, job);
    if (plan.fill.find('/') == std::string::npos)
        options.fill = word_in(fills, plan.fill, "--fill");
    else
        options.figure = figure_of_rooms(plan.fill, job);
    options.storey = storey_of(*job.building(), plan.storey);
    options.paper = paper_of(plan);
    if (plan.findings) options.marks = marks_of(job);
    if (plan.tags) add_units(job, options);
    return options;
}

ExitCode run(const CommonOptions& o, const PlanDrawOptions& plan, const PictureOptions& draw)
{
    Job job = open_and_compute(o);
    if (needs_building(job, "draw plan")) return ExitCode::bad_input;
    if (job.failed()) return finish(job, o);
    draw::PlanOptions options;
    try {
        options = options_of(plan, draw, job);
    } catch (const quantity::Error& wrong) {
        print_error(fmt::format("{}\n", wrong.what()));
        return ExitCode::bad_input;
    }
    std::optional<Job> older;
    if (!plan.against.empty()) {
        CommonOptions before = o;
        before.project = plan.against;
        before.changes.clear();
        older.emplace(open_and_compute(before));
        if (needs_building(*older, "draw plan --against")) return ExitCode::bad_input;
        if (older->failed()) return finish(*older, before);
        options.older = {&*older->building(), &older->design().loads};
    }
    const std::string bytes = draw::draw_plan(*job.building(), job.design().loads, options);
    return deliver_picture(job, o, draw, "plan", bytes);
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto picture = std::make_shared<PictureOptions>();
    add_project(parser, *options);
    const auto plan = std::make_shared<PlanDrawOptions>();
    add_step(parser, *options);
    parser
        .add("--label", plan->labels,
             "what stands in rooms: name, area, volume, height, temperature, heating, cooling, air; "
             "or a figure of rooms by path (\"room_load/*/coldest\"); name,area,heating,cooling unless given")
        .split_at(',');
    parser
        .add("--fill", plan->fill,
             "what colours tell: service (heated, cooled), type (of room), or heating, cooling, air for "
             "each square metre; or a figure of rooms by path")
        .shows_default();
    parser.add("--storey", plan->storey, "only this storey");
    parser.flag(
        "--tags", plan->tags,
        "units where they stand, with their tags (`venture schedule` issues them); in the label where they have no "
        "place");
    parser.flag("--findings", plan->findings, "mark what looks wrong where it is");
    parser.add("--against", plan->against, "an older version of the project: what moved is marked");
    parser.add("--over", plan->over, "a PNG of the paper plan to draw over, with two --match");
    parser.add("--match", plan->match, "a point of that picture in px and of the plan in m: 120,640=0,0").one_each();
    add_picture(parser, *picture, "plan");
    return [=] { return run(*options, *plan, *picture); };
}

} // namespace

} // namespace venture::cli::of_draw_plan

namespace venture::cli {

extern const Command draw_plan_command;
const Command draw_plan_command = {"draw plan", Group::draw, "storeys to scale, with rooms' loads",
                                   of_draw_plan::declare};

} // namespace venture::cli
