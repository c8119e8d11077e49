/// `venture draw wall`.

#include <memory>

#include <fmt/format.h>

#include <venture/cli/command.hpp>
#include <venture/cli/fabric_pieces.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/draw/wall_drawing.hpp>

namespace venture::cli::of_draw_wall {

namespace {

ExitCode run(const CommonOptions& o, const std::string& name, const PictureOptions& draw)
{
    Job job = open(o, {name});
    if (job.failed()) return finish(job, o);
    const auto piece = piece_called(job, name, FabricPiece::Kind::build_up);
    if (!piece) return ExitCode::bad_input;
    const std::string bytes = draw::draw_wall(job.building()->build_ups[piece->index].layers,
                                              conditions_in(*job.building(), piece->index, true),
                                              {.picture = draw.picture(), .units = job.units()});
    return deliver_picture(job, o, draw, "wall", bytes);
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto picture = std::make_shared<PictureOptions>();
    add_project(parser, *options);
    const auto name = std::make_shared<std::string>();
    parser.add("NAME", *name, "of the build-up").required();
    add_picture(parser, *picture, "wall");
    return [=] { return run(*options, *name, *picture); };
}

} // namespace

} // namespace venture::cli::of_draw_wall

namespace venture::cli {

extern const Command draw_wall_command;
const Command draw_wall_command = {
    "draw wall", Group::draw, "a build-up's layers to scale, with the temperature through them", of_draw_wall::declare};

} // namespace venture::cli
