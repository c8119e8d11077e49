/// `venture new`: a short project to begin from.

#include <fmt/format.h>

#include <venture/catalogue/shipped.hpp>
#include <venture/cli/commands.hpp>
#include <venture/cli/job.hpp>
#include <venture/cli/printing.hpp>
#include <venture/project/output.hpp>
#include <venture/project/schema.hpp>
#include <venture/report/as_text.hpp>
#include <venture/report/check_report.hpp>

namespace venture::cli {

ExitCode new_project(const std::filesystem::path& folder, const std::string& starter, bool force)
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

} // namespace venture::cli
