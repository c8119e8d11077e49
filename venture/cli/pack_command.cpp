/// `venture pack`: a self-contained copy of a project.

#include <memory>

#include <fmt/format.h>

#include <venture/cli/command.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/exchange/tags_file.hpp>
#include <venture/project/pack.hpp>
#include <venture/project/sources.hpp>
#include <venture/report/text_table.hpp>

namespace venture::cli::of_pack {

namespace {

ExitCode run(const CommonOptions& o, const std::filesystem::path& folder, bool force)
{
    const Job job = open(o);
    if (job.failed()) return finish(job, o);
    if (!o.changes.empty() || !o.with.empty()) {
        print_error("pack copies the files as they are; put the changes of --set and --with into them first\n");
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
    for (const project::PackedFile& f : project::pack(job.file(), out))
        table.add_row({std::string{name_of(f.role)}, f.name, f.fingerprint, f.from});
    if (const auto tags = job.folder() / exchange::tags_name; std::filesystem::exists(tags, ignored)) {
        const std::string bytes = project::read_file(tags).text;
        out.write(exchange::tags_name, bytes);
        table.add_row({"tags", exchange::tags_name, project::fingerprint(bytes), exchange::tags_name});
    }
    print(report::Text{std::move(table)} + fmt::format("wrote {}; nothing outside it is needed\n", folder.string()), o);
    return finish(job, o);
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto file = std::make_shared<FileOptions>();
    add_project(parser, *options);
    parser.add("-o,--output", file->output, "folder of the copy").required();
    parser.flag("--force", file->force, "write even over files that Venture did not write or that were changed since");
    return [options, file] { return run(*options, file->output, file->force); };
}

} // namespace

} // namespace venture::cli::of_pack

namespace venture::cli {

extern const Command pack_command;
const Command pack_command = {"pack", Group::exchange, "copy a project with everything that it reads, libraries too",
                              of_pack::declare};

} // namespace venture::cli
