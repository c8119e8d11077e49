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

/// What is taken apart: a load, or the warmth of a room that floats.
enum class Which : std::uint8_t { heating, cooling, warmth };

/// Values of that kind on the day, of one path.
loads::HourlyDay day_of(const loads::LoadPath& path, Which which)
{
    loads::HourlyDay out = which == Which::warmth ? path.temperature_K : path.cooling_W;
    if (which == Which::heating)
        for (double& of_hour : out) of_hour = -of_hour;
    return out;
}

draw::PartsDrawing drawing_of(const loads::PeakParts& peak, Which which, const quantity::PreferredUnits& units)
{
    const loads::RoomParts& parts = peak.parts;
    const bool warmth = which == Which::warmth;
    const double least = warmth ? 0.005 : 0.5; // less is told as nothing
    draw::PartsDrawing out{.quantity = warmth ? "temperature_difference" : "power",
                           .hour = peak.hour,
                           .steady = all_hours_alike(parts),
                           .first_clock_hour = loads::clock_hour(parts.clock_ahead_h, 0)};
    for (std::size_t h = 0; h < out.whole.size(); ++h)
        out.whole[h] = warmth ? parts.operative_C[h] - parts.reference_C
                              : (which == Which::heating ? -1.0 : 1.0) * parts.cooling_W[h];
    out.title = warmth ? fmt::format("{}: {} in its warmest hour", parts.room,
                                     units.text(parts.operative_C[peak.hour], "temperature"))
                       : fmt::format("{}: {} {}", parts.room, which == Which::heating ? "heating" : "sensible cooling",
                                     units.text(out.whole[peak.hour], "power"));
    out.subtitle = fmt::format("by path over its edge, {}, counted from {}", moment_of(peak),
                               units.text(parts.reference_C, "temperature"));
    std::map<std::string_view, draw::PartStack> stacks;
    for (const loads::LoadPath& path : parts.paths) {
        const loads::HourlyDay part = day_of(path, which);
        const auto gain =
            path.gain_W && which == Which::cooling ? std::optional{(*path.gain_W)[peak.hour]} : std::nullopt;
        if (std::abs(part[peak.hour]) >= least || gain.value_or(0.0) >= least)
            out.bars.push_back({in_words(path.kind, path.through), part[peak.hour], gain});
        draw::PartStack& stack = stacks[in_words(group_of(path.kind))];
        stack.name = in_words(group_of(path.kind));
        for (std::size_t h = 0; h < stack.part.size(); ++h) stack.part[h] += part[h];
    }
    std::ranges::stable_sort(out.bars, std::greater{}, &draw::PartBar::part);
    for (auto& [name, stack] : stacks)
        if (std::ranges::any_of(stack.part, [&](double p) { return std::abs(p) >= least; }))
            out.stacks.push_back(std::move(stack));
    return out;
}

/// As asked, or what there is: cooling, else heating, else warmth.
Which which_of(const std::string& asked, const loads::RoomLoad& load)
{
    if (asked == "heating" || (asked.empty() && !load.cooled && load.heated)) return Which::heating;
    if (asked == "cooling" || (asked.empty() && load.cooled)) return Which::cooling;
    return Which::warmth;
}

std::optional<loads::PeakParts> peak_of(const Job& job, const loads::RoomLoad& load, Which which)
{
    const building::Building& b = *job.building();
    const loads::DesignOptions options = job.project().design_options();
    const std::size_t room = *b.find_room(load.room);
    switch (which) {
    case Which::heating:
        return parts_of_heating(b, room, load, options);
    case Which::cooling:
        return parts_of_cooling(b, room, load, options);
    case Which::warmth:
        return parts_of_warmth(b, room, load, options);
    }
    return {};
}

ExitCode run(const CommonOptions& o, const std::string& typed, const std::string& asked, const PictureOptions& draw)
{
    Job job = open_and_compute(o);
    if (needs_building(job, "draw parts")) return ExitCode::bad_input;
    if (job.failed()) return finish(job, o);
    const auto room = room_called(job, typed);
    if (!room) return ExitCode::bad_input;
    const auto load = std::ranges::find(job.design().loads.rooms, *room, &loads::RoomLoad::room);
    const Which which = which_of(asked, *load);
    const auto peak = peak_of(job, *load, which);
    if (!peak) {
        print_error(
            which == Which::warmth
                ? fmt::format("'{}' does not float on a summer design day: take its heating or cooling apart\n", *room)
                : fmt::format("'{}' has no computed {} load to take apart\n", *room,
                              which == Which::heating ? "heating" : "cooling"));
        return ExitCode::bad_input;
    }
    const std::string bytes =
        draw_parts(drawing_of(*peak, which, job.units()), {.picture = draw.picture(), .units = job.units()});
    return deliver_picture(job, o, draw, "parts", bytes, job.design().converged());
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto picture = std::make_shared<PictureOptions>();
    add_project(parser, *options);
    const auto room = std::make_shared<std::string>(), which = std::make_shared<std::string>();
    parser.add("ROOM", *room, "name of the room").required();
    parser
        .add("LOAD", *which,
             "heating, cooling, or the warmth of a room that floats; unless given, cooling, else heating, else warmth")
        .one_of({"heating", "cooling", "warmth"});
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
