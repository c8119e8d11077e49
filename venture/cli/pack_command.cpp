/// The command that makes a self-contained copy of a project.

#include <fmt/format.h>

#include <venture/cli/printing.hpp>
#include <venture/project/pack.hpp>
#include <venture/report/text_table.hpp>

namespace venture::cli {

ExitCode pack(const CommonOptions& o, const std::filesystem::path& folder, bool force)
{
    const Job job = open(o);
    if (job.failed()) return finish(job, o);
    if (!o.changes.empty()) {
        print_error("pack copies the files as they are; put the changes of --set into them first\n");
        return ExitCode::bad_input;
    }
    std::error_code ignored;
    if (std::filesystem::equivalent(folder, job.folder().empty() ? "." : job.folder(), ignored)) {
        print_error(fmt::format("{} is the project itself; give another folder\n", folder.string()));
        return ExitCode::bad_input;
    }
    project::OutputFolder out{folder, force};
    report::TextTable table;
    table.add_column("Packed", report::Align::left);
    table.add_column("as", report::Align::left);
    table.add_column("fingerprint", report::Align::left);
    table.add_column("file", report::Align::left);
    for (const project::PackedFile& f : project::pack(job.project(), out))
        table.add_row({std::string{name_of(f.role)}, f.name, f.fingerprint, f.from});
    print(report::Text{std::move(table)} + fmt::format("wrote {}; nothing outside it is needed\n", folder.string()), o);
    return finish(job, o);
}

} // namespace venture::cli
