/// `venture draw glass`.

#include <memory>

#include <fmt/format.h>

#include <venture/cli/command.hpp>
#include <venture/cli/fabric_pieces.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/draw/glass_drawing.hpp>

namespace venture::cli::of_draw_glass {

namespace {

ExitCode run(const CommonOptions& o, const std::string& name, const PictureOptions& draw)
{
    Job job = open(o, {name});
    if (job.failed()) return finish(job, o);
    const auto piece = piece_called(job, name, FabricPiece::Kind::glazing);
    if (!piece) return ExitCode::bad_input;
    const std::string bytes =
        draw::draw_glass(job.building()->glazings[piece->index], {.picture = draw.picture(), .units = job.units()});
    return deliver_picture(job, o, draw, "glass", bytes);
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto picture = std::make_shared<PictureOptions>();
    add_project(parser, *options);
    const auto name = std::make_shared<std::string>();
    parser.add("NAME", *name, "of the glazing").required();
    add_picture(parser, *picture, "glass");
    return [=] { return run(*options, *name, *picture); };
}

} // namespace

} // namespace venture::cli::of_draw_glass

namespace venture::cli {

extern const Command draw_glass_command;
const Command draw_glass_command = {"draw glass", Group::draw,
                                    "a glazing's panes to scale, with what lets in the sun by its angle",
                                    of_draw_glass::declare};

} // namespace venture::cli
