#include <venture/cli/kept_choice.hpp>

#include <set>

#include <fmt/format.h>

#include <venture/cli/kept_year.hpp>
#include <venture/cli/printing.hpp>
#include <venture/quantity/names.hpp>

namespace venture::cli {

std::optional<store::KeptRuns> kept_runs_of(const Job& job)
{
    auto kept = store::KeptRuns::to_read(kept_runs_file(job));
    if (kept && !kept->runs().empty()) return kept;
    print_error(fmt::format("no run was kept yet; `venture year {}` runs one and keeps it\n", job.called()));
    return std::nullopt;
}

std::string whole_pattern(const std::string& typed)
{
    return typed.find('/') == std::string::npos ? "hour/*/" + typed : typed;
}

bool is_of_today(const Job& job, const store::KeptRun& run)
{
    loads::BuildingYearOptions options{.step_s = run.key.step_s, .first_day = run.key.first_day, .days = run.key.days};
    options.run_in_days = run.key.run_in_days;
    return run_key(job, options) == run.key;
}

std::string moved_text(const store::KeptRun& run)
{
    return fmt::format(
        "OF AN EARLIER STATE: what run {} follows from has moved since; `venture year` runs it as it is now\n", run.id);
}

std::optional<store::KeptRun> run_called(const store::KeptRuns& kept, const std::string& name)
{
    if (auto run = kept.called(name)) return run;
    std::vector<std::string> names;
    for (const store::KeptRun& run : kept.runs())
        names.push_back(run.name.empty() ? std::to_string(run.id) : fmt::format("{} ('{}')", run.id, run.name));
    print_error(fmt::format("no run is called '{}'; there are {}\n", name, quantity::listed(names, 12)));
    return std::nullopt;
}

std::optional<store::KeptRun> run_meant(const store::KeptRuns& kept, const std::string& name)
{
    return name.empty() ? std::optional{kept.runs().back()} : run_called(kept, name);
}

bool found_any(const std::vector<store::KeptSeries>& series, const store::KeptRuns& kept, const store::KeptRun& run,
               const std::string& pattern)
{
    if (!series.empty()) return true;
    std::set<std::string> kinds;
    for (const store::KeptSeries& s : kept.series(run.id)) kinds.insert(s.path.substr(s.path.rfind('/') + 1));
    const std::vector<std::string> names{kinds.begin(), kinds.end()};
    const auto near = quantity::nearest_name(pattern.substr(pattern.rfind('/') + 1), names);
    print_error(fmt::format("run {} holds no series like '{}'{}; it holds {}\n", run.id, pattern,
                            near ? fmt::format(" (did you mean '{}'?)", *near) : "", quantity::listed(names, 30)));
    return false;
}

} // namespace venture::cli
