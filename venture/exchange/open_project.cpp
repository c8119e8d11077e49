#include <venture/exchange/open_project.hpp>

#include <fmt/format.h>

#include <venture/catalogue/read_catalogue.hpp>
#include <venture/catalogue/shipped_library.hpp>
#include <venture/exchange/icalendar.hpp>
#include <venture/exchange/loads_table.hpp>
#include <venture/exchange/weather_file.hpp>
#include <venture/input/lay_over.hpp>
#include <venture/project/acceptance.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/error.hpp>
#include <venture/resolve/climate_input.hpp>
#include <venture/resolve/resolve.hpp>
#include <venture/study/changes.hpp>

namespace venture::exchange {

namespace codes = quantity::codes;
using project::ProjectFile;
using quantity::Problem;
using quantity::Severity;

namespace {

std::shared_ptr<ProjectFile> file_alone(const std::filesystem::path& path, project::FileRole role, const char* hint)
{
    auto out = std::make_shared<ProjectFile>();
    out->folder = path.parent_path();
    const std::string name = path.filename().string();
    const auto where = out->input.origins.add({quantity::OriginKind::file, name, 0, 0, {}});
    const project::FileText read = project::read_file(path);
    if (!read.problem.empty())
        out->problems.add({Severity::error, codes::file, where, read.problem, hint});
    else
        out->sources.add({.name = name, .role = role, .text = read.text, .path = path}, read.text);
    return out;
}

/// Dates of iCalendar files join those that [[days]] state.
void read_events(const ProjectFile& file, input::Input& input, quantity::Problems& problems)
{
    for (input::DaysInput& days : input.days) {
        const project::SourceFile* events = days.file ? file.sources.find(*days.file) : nullptr;
        if (events == nullptr) continue; // told when it was to be read
        quantity::TextList dates = read_event_days(events->text, events->name, resolve::calendar_year(input),
                                                   days.events ? *days.events : std::string{}, input.origins, problems);
        if (days.dates) dates.insert(dates.begin(), (*days.dates).begin(), (*days.dates).end());
        days.dates = {std::move(dates), days.dates ? days.dates.origin : days.file.origin};
    }
}

/// A file of values and tables over a project.
void lay_over(ProjectFile& file, const std::filesystem::path& variant)
{
    ProjectFile over = project::read_project(variant);
    std::vector<Problem> problems = over.problems.all();
    input::lay_over(file.input, over.input, problems);
    file.problems.add_all(std::move(problems));
    file.whole = file.whole && over.whole;
    for (const project::SourceFile& source : over.sources.files()) file.sources.add(source, source.text);
}

study::TypedLoads typed_loads(const project::SourceFile& table, input::Input& input, quantity::Problems& problems)
{
    LoadsTable read = read_loads_table(table.text, table.name, input.origins, problems);
    return {std::move(read.loads), std::move(read.assumed)};
}

/// The case of a file that was read; the file stays for whoever reads more of it later.
Opened begun(std::shared_ptr<ProjectFile> file, const std::vector<std::string>& changes,
             const std::vector<std::string>& also)
{
    study::lay_over(file->input, changes, file->problems);
    file->problems.add_all(project::wrong_marks(file->input.accepted));
    study::Given given{.input = file->input, .problems = file->problems.all(), .whole = file->whole};
    given.complete = [file, also](input::Input& input, quantity::Problems& problems) {
        read_events(*file, input, problems);
        catalogue::take_from_shipped_library(input, problems, also);
    };
    given.weather = [file](input::Input& input, quantity::Problems& problems) -> std::optional<climate::WeatherYear> {
        const input::WeatherInput& w = input.weather;
        const project::SourceFile* records = file->sources.find(*w.file);
        if (records == nullptr) return std::nullopt; // told when it was to be read
        return read_weather(records->text, records->name, w, resolve::place_of(input.site), input.origins, problems);
    };
    given.typed_loads = [file](input::Input& input, quantity::Problems& problems) -> std::optional<study::TypedLoads> {
        for (const project::SourceFile& alone : file->sources.files())
            if (alone.role == project::FileRole::loads && !input.loads.table)
                return typed_loads(alone, input, problems);
        const project::SourceFile* table = input.loads.table ? file->sources.find(*input.loads.table) : nullptr;
        return table != nullptr ? std::optional{typed_loads(*table, input, problems)} : std::nullopt;
    };
    given.products = [file](input::Input& input, quantity::Problems& problems) {
        return catalogue::products_of(input, file->sources, problems);
    };
    return {std::move(file), study::Case{std::move(given)}};
}

} // namespace

Opened open_project(const std::filesystem::path& path, const OpenOptions& options)
{
    auto file = path.extension() == ".csv"
                    ? file_alone(path, project::FileRole::loads, "a table of loads is a CSV file with a line a room")
                    : std::make_shared<ProjectFile>(project::read_project(path));
    for (const std::filesystem::path& variant : options.with) lay_over(*file, variant);
    return begun(std::move(file), options.changes, options.also);
}

Opened open_weather(const std::filesystem::path& path, const std::vector<std::string>& changes)
{
    auto file = file_alone(path, project::FileRole::weather,
                           "a weather year is a file with a record a line, or a project that has one");
    if (file->problems.empty()) {
        const project::SourceFile& records = file->sources.files().front();
        const auto where = file->input.origins.add({quantity::OriginKind::file, records.name, 0, 0, {}});
        file->input.weather.file = {records.name, where};
        if (!describes_itself(records.text))
            file->problems.add(
                {Severity::error, codes::weather_records, where, "the file does not say what is in it",
                 "name it in a project's [weather] and describe its columns there, or put the same lines, "
                 "each behind #, on top of the file: the first is # [weather]"});
    }
    return begun(std::move(file), changes, {});
}

} // namespace venture::exchange
