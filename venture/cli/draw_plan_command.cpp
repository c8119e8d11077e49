/// `venture draw plan`.

#include <cstdio>
#include <memory>

#include <fmt/format.h>

#include <venture/cli/command.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/draw/plan_drawing.hpp>
#include <venture/project/output.hpp>
#include <venture/project/read_project.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>

namespace venture::cli::of_draw_plan {

namespace {

/// What `draw plan` shows.
struct PlanDrawOptions {
    std::vector<std::string> labels{};       ///< empty: the usual ones
    std::string fill = "service", storey{};  ///< empty: all storeys
    std::filesystem::path against{}, over{}; ///< an older version; a picture of the paper plan
    std::vector<std::string> match{};        ///< "120,640=0,0": px of the picture, m of the plan
    bool findings = false;                   ///< marked where they are
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
auto word_in(const Words& words, const std::string& typed)
{
    for (const auto& [word, value] : words)
        if (word == typed) return value;
    throw quantity::Error{fmt::format("'{}' is no word of draw plan", typed)};
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

draw::PlanOptions options_of(const PlanDrawOptions& plan, const PictureOptions& draw, const Job& job)
{
    draw::PlanOptions options{.picture = draw.picture(), .units = job.units()};
    if (!plan.labels.empty()) options.labels.clear();
    for (const std::string& label : plan.labels) options.labels.push_back(word_in(labels, label));
    options.fill = word_in(fills, plan.fill);
    options.storey = storey_of(*job.building(), plan.storey);
    options.paper = paper_of(plan);
    if (plan.findings) options.marks = marks_of(job);
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
    const std::string name = fmt::format("results/plan.{}", draw::extension(draw.picture()));
    print(fmt::format("wrote {}\n", write_result(job.folder(), draw.output, name, bytes, draw.force).string()));
    return finish(job, o);
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
             "name,area,heating,cooling unless given")
        .split_at(',')
        .one_of({"name", "area", "volume", "height", "temperature", "heating", "cooling", "air"});
    parser
        .add("--fill", plan->fill,
             "what colours tell: service (heated, cooled), type (of room), or heating, cooling, air for "
             "each square metre")
        .one_of({"service", "type", "heating", "cooling", "air"})
        .shows_default();
    parser.add("--storey", plan->storey, "only this storey");
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
