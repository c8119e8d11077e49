#include <venture/cli/options.hpp>

#include <algorithm>
#include <array>

#include <fmt/format.h>

#include <venture/quantity/names.hpp>

namespace venture::cli {

draw::Picture PictureOptions::picture() const
{
    constexpr std::array kinds = {"svg", "png", "pdf"}; // in the order of draw::Picture
    const std::string ending = quantity::lower_case(output.extension().string());
    const auto by_ending =
        std::ranges::find_if(kinds, [&](const char* kind) { return ending == std::string{"."} + kind; });
    if (!as.empty() && by_ending != kinds.end() && as != *by_ending)
        throw Misuse{fmt::format("--as {} and --output {}: the file's ending says another kind of picture; "
                                 "leave --as out, or change one of them",
                                 as, output.string())};
    const std::string kind = !as.empty() ? as : by_ending != kinds.end() ? *by_ending : kinds.front();
    return static_cast<draw::Picture>(std::ranges::find(kinds, kind) - kinds.begin());
}

void add_units(Parser& parser, CommonOptions& options)
{
    parser.add("--units", options.units,
               "print in these units: SI, inch-pound, or single ones over that: inch-pound,air_flow=L/s");
    parser.flag("--wide", options.wide, "every column of every table, however wide they get");
}

void add_changes(Parser& parser, CommonOptions& options)
{
    parser
        .add("--set", options.changes,
             "change one value for this run, e.g. --set \"room/Boat hall/height=5 m\"; may be repeated")
        .one_each();
    parser
        .add("--with", options.with,
             "lay a file of changes (values and whole tables, as in a project file) over the project for this run; may "
             "be repeated")
        .one_each();
}

void add_project(Parser& parser, CommonOptions& options)
{
    parser.add("PROJECT", options.project, "folder that holds project.toml, or the file itself").required();
    add_changes(parser, options);
    add_units(parser, options);
    parser.flag("--accepted", options.accepted, "list the findings that are accepted");
    parser.flag("--strict", options.strict, "warnings make the exit code 1");
    parser.flag("--verbose", options.verbose, "say on stderr what is being done");
}

void add_json(Parser& parser, CommonOptions& options)
{
    parser.flag("--json", options.json, "for machines: results and problems as JSON");
}

void add_forms(Parser& parser, CommonOptions& options)
{
    add_json(parser, options);
    parser
        .add("--as", options.as,
             "form of the results: text, json, csv, html, xlsx; what the file's ending says unless given")
        .one_of(forms());
    parser.add("-o,--output", options.output, "file to write; to the terminal unless given");
    parser.add("--table", options.table,
               "which table CSV is of; the first that text shows unless given. JSON names them all");
    parser.flag("--force", options.force, "write even over a file that Venture did not write");
}

void add_step(Parser& parser, CommonOptions& options)
{
    parser.add("--step", options.step_min, "time step in minutes; a divisor of 60")
        .one_of_numbers({1, 2, 3, 4, 5, 6, 10, 12, 15, 20, 30, 60})
        .shows_default();
}

void add_output(Parser& parser, FileOptions& options, const std::string& where)
{
    parser.add("-o,--output", options.output, fmt::format("file to write; {} unless given", where));
    parser.flag("--force", options.force, "write even over a file that Venture did not write");
}

void add_picture(Parser& parser, PictureOptions& options, const std::string& name)
{
    parser.add("--as", options.as, "kind of picture; what the file's ending says unless given, else svg")
        .one_of({"svg", "png", "pdf"});
    add_output(parser, options, fmt::format("results/{}.<kind> in the project", name));
}

} // namespace venture::cli
