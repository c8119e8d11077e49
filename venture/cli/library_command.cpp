/// `venture library`: what ships.

#include <memory>

#include <nlohmann/json.hpp>

#include <venture/cli/command.hpp>
#include <venture/cli/fabric_pieces.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/report/library_report.hpp>
#include <venture/resolve/resolve.hpp>

namespace venture::cli::of_library {

namespace {

ExitCode run(const CommonOptions& o, const std::string& word)
{
    const project::ProjectFile all = whole_library();
    const resolve::ResolvedFabric completed = resolve::resolve_fabric(all.input);
    const auto units = units_without_project(o);
    if (!units) return ExitCode::bad_input;
    if (o.json)
        print(report::library_json(all.input, completed.fabric, word).dump(2) + "\n");
    else
        print(report::library_text(all.input, completed.fabric, word, *units), o);
    return ExitCode::done;
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto word = std::make_shared<std::string>();
    parser.add("WORD", *word, "only what has it in its name");
    add_units(parser, *options);
    add_json(parser, *options);
    return [options, word] { return run(*options, *word); };
}

} // namespace

} // namespace venture::cli::of_library

namespace venture::cli {

extern const Command library_command;
const Command library_command = {"library", Group::understand,
                                 "list the materials, build-ups, glazings, shades and room types that ship",
                                 of_library::declare};

} // namespace venture::cli
