/// `venture schema`: for editors.

#include <memory>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/cli/command.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/project/output.hpp>
#include <venture/project/schema.hpp>
#include <venture/report/figure_report.hpp>

namespace venture::cli::of_schema {

namespace {

constexpr const char* results_schema_name = "results.schema.json";

ExitCode run(const std::filesystem::path& folder, bool force, const std::string& units)
{
    using project::SchemaOf;
    quantity::TypedUnits typed;
    if (!units.empty()) {
        auto read = quantity::TypedUnits::parse(units);
        if (const auto* wrong = std::get_if<std::string>(&read)) throw Misuse{fmt::format("--typed: {}", *wrong)};
        typed = std::get<quantity::TypedUnits>(std::move(read));
    }
    if (folder.empty()) {
        print(project::schema_json(SchemaOf::project, typed));
        return ExitCode::done;
    }
    project::OutputFolder out{folder, force};
    for (const SchemaOf what : {SchemaOf::project, SchemaOf::include, SchemaOf::library}) {
        out.write(project::schema_file_name(what),
                  project::schema_json(what, what == SchemaOf::library ? quantity::TypedUnits{} : typed));
        print(fmt::format("wrote {}\n", (folder / project::schema_file_name(what)).string()));
    }
    out.write(results_schema_name, report::results_schema().dump(2) + "\n");
    print(fmt::format("wrote {}: of what commands give with --json\n", (folder / results_schema_name).string()));
    print(fmt::format("For editors that read it, begin project.toml with the comment\n  #:schema {}\n",
                      (folder.filename() / project::schema_file_name(SchemaOf::project)).generic_string()));
    return ExitCode::done;
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto file = std::make_shared<FileOptions>();
    parser.add("-o,--output", file->output, "write the schemas of project, include and library into this folder");
    parser.flag("--force", file->force, "write even over files that Venture did not write");
    const auto typed = std::make_shared<std::string>();
    parser.add("--typed", *typed,
               "what [units] typed says in the file, if it does (inch-pound, length=mm): bounds of bare numbers are in "
               "these units then");
    return [file, typed] { return run(file->output, file->force, *typed); };
}

} // namespace

} // namespace venture::cli::of_schema

namespace venture::cli {

extern const Command schema_command;
const Command schema_command = {"schema", Group::exchange,
                                "print the JSON Schema of project.toml, for editors that complete and check",
                                of_schema::declare};

} // namespace venture::cli
