/// The command that writes a project's records as a table.

#include <fmt/format.h>

#include <venture/cli/printing.hpp>
#include <venture/project/write_table.hpp>
#include <venture/quantity/names.hpp>

namespace venture::cli {

ExitCode export_table(const CommonOptions& o, const std::string& table, const DrawOptions& write)
{
    const Job job{o.project, changes_of(o)};
    if (job.failed()) return finish(job, o);
    const project::WrittenTable written = project::write_table(job.project().input, table);
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

} // namespace venture::cli
