/// `venture new`: a short project to begin from.

#include <memory>

#include <fmt/format.h>

#include <venture/catalogue/shipped.hpp>
#include <venture/cli/command.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/project/output.hpp>
#include <venture/project/schema.hpp>
#include <venture/report/as_text.hpp>
#include <venture/report/check_report.hpp>

namespace venture::cli::of_new {

namespace {

ExitCode run(const std::filesystem::path& folder, const std::string& starter, bool force)
{
    project::OutputFolder out{folder, force};
    out.write("project.toml", std::string{catalogue::shipped_file("starters/" + starter + ".toml")});
    out.write("schema/" + project::schema_file_name(project::SchemaOf::project),
              project::schema_json(project::SchemaOf::project));
    const CommonOptions o{.project = folder};
    Job job = open(o);
    if (!job.failed())
        print(report::as_text(report::check_document(*job.building(), job.units()), job.units()) + "\n", o);
    const ExitCode code = finish(job, o);
    const std::string at = folder.string();
    print(fmt::format("Wrote {}: project.toml to edit, schema/ for editors.\n", at) +
          next_commands({{fmt::format("venture watch {} loads", at), "edit project.toml, save, and see what moves"},
                         {fmt::format("venture draw plan {}", at), "the plan with loads"},
                         {"venture library", "what build-ups, windows and room types it may name"}}));
    return code;
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto folder = std::make_shared<std::string>(), starter = std::make_shared<std::string>("empty");
    const auto force = std::make_shared<bool>(false);
    parser.add("DIR", *folder, "folder to write").required();
    parser.add("--starter", *starter, "what it is to be")
        .one_of({"empty", "dwelling", "offices", "school"})
        .shows_default();
    parser.flag("--force", *force, "write even over files that Venture did not write or that were changed since");
    return [folder, starter, force] { return run(*folder, *starter, *force); };
}

} // namespace

} // namespace venture::cli::of_new

namespace venture::cli {

extern const Command new_command;
const Command new_command = {"new", Group::begin, "write a short project to begin from", of_new::declare};

} // namespace venture::cli
