/// `venture draw parts`: what a room's peak is made of.

#include <algorithm>
#include <cmath>
#include <map>
#include <memory>

#include <fmt/format.h>

#include <venture/cli/command.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/cli/room_argument.hpp>
#include <venture/draw/parts_drawing.hpp>
#include <venture/loads/load_figures.hpp>
#include <venture/loads/room_parts.hpp>

namespace venture::cli::of_draw_parts {

namespace {

/// Paths that stand together in the stack.
const char* group_of(loads::PathKind kind)
{
    using K = loads::PathKind;
    switch (kind) {
    case K::sun_beam:
    case K::sun_diffuse:
    case K::sun_in_panes:
    case K::sun_from_rooms:
        return "sun through glass";
    case K::people:
    case K::lighting:
    case K::equipment:
        return "people, lighting, equipment";
    case K::infiltration:
    case K::ventilation:
    case K::transfer_air:
        return "air";
    case K::partition:
        return "rooms beside it";
    case K::set_point:
    case K::warm_ceiling:
    case K::other:
        return "set-point and others";
    default:
        return "walls, roofs, floors, windows";
    }
}

draw::PartsDrawing drawing_of(const loads::PeakParts& peak, bool heating, const quantity::PreferredUnits& units)
{
    const loads::RoomParts& parts = peak.parts;
    const double sign = heating ? -1.0 : 1.0;
    draw::PartsDrawing out{.title = fmt::format("{}: {} {}", parts.room, heating ? "heating" : "sensible cooling",
                                                units.text(sign * parts.cooling_W[peak.hour], "power")),
                           .subtitle = fmt::format("by path over its edge, {}, counted from {}", moment_of(peak),
                                                   units.text(parts.reference_C, "temperature")),
                           .hour = peak.hour,
                           .steady = all_hours_alike(parts),
                           .first_clock_hour = clock_hour(parts, 0)};
    std::map<std::string, draw::PartStack> stacks;
    for (const loads::LoadPath& path : parts.paths) {
        const std::string kind{in_words(path.kind)};
        const double load = sign * path.cooling_W[peak.hour];
        const auto gain = path.gain_W && !heating ? std::optional{(*path.gain_W)[peak.hour]} : std::nullopt;
        if (std::abs(load) >= 0.5 || gain.value_or(0.0) >= 0.5)
            out.bars.push_back({path.through.empty()             ? kind
                                : path.through.starts_with(kind) ? path.through
                                                                 : kind + ", " + path.through,
                                load, gain});
        draw::PartStack& stack = stacks[group_of(path.kind)];
        stack.name = group_of(path.kind);
        for (std::size_t h = 0; h < stack.load_W.size(); ++h) stack.load_W[h] += sign * path.cooling_W[h];
    }
    std::ranges::stable_sort(out.bars, std::greater{}, &draw::PartBar::load_W);
    for (auto& [name, stack] : stacks)
        if (std::ranges::any_of(stack.load_W, [](double w) { return std::abs(w) >= 0.5; }))
            out.stacks.push_back(std::move(stack));
    for (std::size_t h = 0; h < out.load_W.size(); ++h) out.load_W[h] = sign * parts.cooling_W[h];
    return out;
}

ExitCode run(const CommonOptions& o, const std::string& typed, const std::string& which, const PictureOptions& draw)
{
    Job job = open_and_compute(o);
    if (needs_building(job, "draw parts")) return ExitCode::bad_input;
    if (job.failed()) return finish(job, o);
    const auto room = room_called(job, typed);
    if (!room) return ExitCode::bad_input;
    const auto& all = job.design().loads.rooms;
    const auto load = std::ranges::find(all, *room, &loads::RoomLoad::room);
    const std::size_t index = *job.building()->find_room(*room);
    const bool heating = which == "heating" || (which.empty() && !load->cooled);
    const auto peak =
        heating ? parts_of_heating(*job.building(), index, *load) : parts_of_cooling(*job.building(), index, *load);
    if (!peak) {
        print_error(
            fmt::format("'{}' has no computed {} load to take apart\n", *room, heating ? "heating" : "cooling"));
        return ExitCode::bad_input;
    }
    const std::string bytes =
        draw_parts(drawing_of(*peak, heating, job.units()), {.picture = draw.picture(), .units = job.units()});
    return deliver_picture(job, o, draw, "parts", bytes, job.design().converged());
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto picture = std::make_shared<PictureOptions>();
    add_project(parser, *options);
    const auto room = std::make_shared<std::string>(), which = std::make_shared<std::string>();
    parser.add("ROOM", *room, "name of the room").required();
    parser.add("LOAD", *which, "heating or cooling; cooling where there is one unless given")
        .one_of({"heating", "cooling"});
    add_picture(parser, *picture, "parts");
    return [=] { return run(*options, *room, *which, *picture); };
}

} // namespace

} // namespace venture::cli::of_draw_parts

namespace venture::cli {

extern const Command draw_parts_command;
const Command draw_parts_command = {"draw parts", Group::draw,
                                    "what a room's peak is made of: paths ranked, and the day stacked by hour",
                                    of_draw_parts::declare};

} // namespace venture::cli
