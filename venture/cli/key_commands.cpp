/// Commands about the notation: explain a key, publish the schemas.

#include <algorithm>

#include <fmt/format.h>

#include <venture/building/chosen_units.hpp>
#include <venture/building/effective.hpp>
#include <venture/building/overlay.hpp>
#include <venture/cli/buildup_commands.hpp>
#include <venture/cli/printing.hpp>
#include <venture/project/output.hpp>
#include <venture/project/schema.hpp>
#include <venture/quantity/names.hpp>
#include <venture/report/key_report.hpp>
#include <venture/report/origins_report.hpp>

namespace venture::cli {

namespace {

/// The values of one key ("room/height"), of all keys of that name ("height") or of a table ("room"), whatever the
/// records are called.
std::vector<building::EffectiveValue> values_of(const Job& job, const std::string& asked)
{
    const auto slash = asked.rfind('/');
    const bool with_table = slash != std::string::npos;
    std::string table = with_table ? asked.substr(0, slash) : "";
    std::ranges::replace(table, '/', '.');
    auto values = building::effective_values(job.project().input, nullptr);
    std::erase_if(values, [&](const building::EffectiveValue& v) {
        if (with_table) return v.table != table || v.key != asked.substr(slash + 1);
        return v.key != asked && v.table != asked;
    });
    return values;
}

} // namespace

namespace {

/// Says that nothing bears a name, and what comes near.
ExitCode no_such_name(const std::string& name, const std::optional<Job>& job)
{
    std::vector<std::string> names = report::explainable_keys();
    if (job && job->building())
        for (const auto& b : job->building()->build_ups) names.push_back(b.layers.name);
    const auto near = quantity::nearest_name(name, names);
    print_error(fmt::format("no key{} is called '{}'{}; all keys are in docs/keys.md\n",
                            job && job->building() ? " and no build-up of the project" : "", name,
                            near ? fmt::format(" (did you mean '{}'?)", *near) : ""));
    return ExitCode::bad_input;
}

} // namespace

ExitCode explain(const CommonOptions& o, const std::string& key)
{
    std::optional<Job> job;
    if (!o.project.empty()) job = open(o);
    building::Input alone; // units without a project
    for (const std::string& change : job ? std::vector<std::string>{} : changes_of(o)) {
        const auto equals = change.find('=');
        if (const auto wrong = building::apply_overlay(alone, change.substr(0, equals), change.substr(equals + 1))) {
            print_error(project::in_words({{*wrong}}, alone.origins, {}));
            return ExitCode::bad_input;
        }
    }
    const auto text = report::explain_key(key, job ? job->units() : building::chosen_units(alone.units));
    const auto buildup = job ? find_buildup(*job, key) : std::nullopt;
    if (buildup && !text) return explain_buildup(*job, *buildup, o);
    if (!text) return no_such_name(key, job);
    if (buildup) print(fmt::format("'{0}' is a key and a build-up; `venture draw wall` shows the build-up.\n\n", key));
    print(*text);
    if (!job) return ExitCode::done;
    const auto values = values_of(*job, key);
    print("\n" + (values.empty() ? std::string{"It is given nowhere in this project, and has no default.\n"}
                                 : report::origins_text(values, job->origins(), job->units())));
    return finish(*job, o);
}

ExitCode schema(const std::filesystem::path& folder, bool force)
{
    using project::SchemaOf;
    if (folder.empty()) {
        print(project::schema_json(SchemaOf::project));
        return ExitCode::done;
    }
    project::OutputFolder out{folder, force};
    for (const SchemaOf what : {SchemaOf::project, SchemaOf::include, SchemaOf::library}) {
        out.write(project::schema_file_name(what), project::schema_json(what));
        print(fmt::format("wrote {}\n", (folder / project::schema_file_name(what)).string()));
    }
    print(fmt::format("For editors that read it, begin project.toml with the comment\n  #:schema {}\n",
                      (folder.filename() / project::schema_file_name(SchemaOf::project)).generic_string()));
    return ExitCode::done;
}

} // namespace venture::cli
