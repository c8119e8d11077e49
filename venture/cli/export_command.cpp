/// `venture export`: a project's records as a table.

#include <memory>

#include <fmt/format.h>

#include <venture/cli/command.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/project/write_table.hpp>
#include <venture/quantity/names.hpp>

namespace venture::cli::of_export {

namespace {

ExitCode run(const CommonOptions& o, const std::string& table, const FileOptions& write)
{
    const Job job{exchange::open_project(o.project, opening_of(o))};
    if (job.failed()) return finish(job, o);
    const project::WrittenTable written = project::write_table(job.input(), table);
    if (written.lines == 0) {
        print_error(fmt::format("the project has no {}\n", table));
        return ExitCode::bad_input;
    }
    if (write.output.empty())
        print(written.csv);
    else
        print(fmt::format("wrote {}: {} line{}\n",
                          write_result(job.folder(), write.output, "", written.csv, write.force).string(),
                          written.lines, written.lines == 1 ? "" : "s"));
    for (const std::string& left : written.left)
        print_error(fmt::format("left out, since no column can hold it: {}\n", left));
    return finish(job, o);
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto file = std::make_shared<FileOptions>();
    add_project(parser, *options);
    const auto table = std::make_shared<std::string>();
    parser.add("TABLE", *table, "what its lines are: room, opening, room_type, ...")
        .required()
        .one_of(project::writable_tables());
    add_output(parser, *file, "to the terminal");
    return [=] { return run(*options, *table, *file); };
}

} // namespace

} // namespace venture::cli::of_export

namespace venture::cli {

extern const Command export_command;
const Command export_command = {"export", Group::exchange,
                                "write a table of the project as CSV, to edit in a spreadsheet and name in a [[table]]",
                                of_export::declare};

} // namespace venture::cli
