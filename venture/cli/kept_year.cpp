#include <venture/cli/kept_year.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/airside/air_year.hpp>
#include <venture/cli/progress.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/hash.hpp>

namespace venture::cli {

namespace {

/// All series of some kinds, in the order of the kinds; nothing if a kind was not kept.
std::optional<std::vector<balance::Series>> series_of_kinds(const store::KeptRuns& kept, const store::KeptRun& run,
                                                            const std::vector<std::string>& kinds)
{
    const std::vector<store::KeptSeries> all = kept.series(run.id);
    std::vector<balance::Series> out;
    for (const std::string& kind : kinds) {
        const std::size_t before = out.size();
        for (const store::KeptSeries& s : all)
            if (s.kind == kind) out.push_back({s.kind, s.unit, s.subject, kept.hours(s)});
        if (out.size() == before) return std::nullopt;
    }
    return out;
}

/// Of every run, and those that are asked for beside.
std::vector<std::string> kinds_to_keep(const YearOptions& y)
{
    if (y.not_kept) return {};
    std::vector<std::string> out = {"outdoor temperature",
                                    "outdoor humidity ratio",
                                    "air temperature",
                                    "operative temperature",
                                    "humidity ratio",
                                    "heating",
                                    "cooling",
                                    "latent cooling",
                                    "humidifying",
                                    "outdoor air changes",
                                    "supply air",
                                    "heat of supply air",
                                    "recovered heat"};
    for (const balance::SeriesKind& kind : airside::air_series_kinds()) out.emplace_back(kind.name);
    if (std::ranges::find(y.keep, all_kinds) == y.keep.end()) {
        out.insert(out.end(), y.keep.begin(), y.keep.end());
        return out;
    }
    for (const balance::SeriesKind& kind : airside::year_series_kinds()) out.emplace_back(kind.name);
    return out;
}

/// Nothing: it was not kept, or not with all that is asked.
std::optional<KeptYear> find_kept_year(const Job& job, const loads::BuildingYearOptions& o,
                                       const std::vector<std::string>& kinds)
{
    const auto kept = store::KeptRuns::to_read(kept_runs_file(job));
    if (!kept) return std::nullopt;
    const auto run = kept->find(run_key(job, o));
    if (!run) return std::nullopt;
    auto series = series_of_kinds(*kept, *run, kinds);
    if (!series) return std::nullopt;
    KeptYear out{kept->year(*run),
                 fmt::format("Read from run {}{}, which was kept: nothing that it follows from has moved "
                             "since (--again runs it)\n",
                             run->id, run->name.empty() ? "" : fmt::format(" '{}'", run->name))};
    out.year.series = std::move(*series);
    return out;
}

/// @returns what to say
std::string keep_year(const Job& job, const loads::BuildingYearOptions& o, const loads::BuildingYear& year,
                      const std::string& name)
{
    try {
        store::KeptRuns kept = store::KeptRuns::to_write(kept_runs_file(job));
        const auto& project = job.building()->project;
        const auto id = kept.keep({.key = run_key(job, o),
                                   .name = name,
                                   .project = project.name,
                                   .revision = project.revision,
                                   .program = VENTURE_VERSION,
                                   .leap = job.weather()->leap},
                                  year);
        return fmt::format("Kept as run {}: `venture series {}` lists and prints its hours, days and months\n", id,
                           job.called());
    } catch (const quantity::Error& wrong) {
        return fmt::format("Not kept: {}\n", wrong.what());
    } catch (const std::filesystem::filesystem_error& wrong) {
        return fmt::format("Not kept: {} cannot be written ({})\n", kept_runs_file(job).generic_string(),
                           wrong.code().message());
    }
}

/// All that is kept is there; asked for are only some of its series, in their order.
void leave_asked(std::vector<balance::Series>& series, const std::vector<std::string>& asked)
{
    std::erase_if(series, [&](const balance::Series& s) { return std::ranges::find(asked, s.kind) == asked.end(); });
    const auto place = [&](const balance::Series& s) { return std::ranges::find(asked, s.kind) - asked.begin(); };
    std::ranges::stable_sort(series, {}, place);
}

std::optional<KeptYear> kept_with_all(const Job& job, const loads::BuildingYearOptions& asked, const YearOptions& y)
{
    if (y.again || y.not_kept || asked.room || !y.name.empty()) return std::nullopt;
    std::vector<std::string> kinds = asked.series;
    for (const std::string& kind : y.keep)
        if (kind != all_kinds && std::ranges::find(kinds, kind) == kinds.end()) kinds.push_back(kind);
    try {
        return find_kept_year(job, asked, kinds);
    } catch (const quantity::Error&) { // told where it is to be kept
        return std::nullopt;
    }
}

} // namespace

std::filesystem::path kept_runs_file(const Job& job) { return job.folder() / "results" / "kept_runs.sqlite"; }

store::RunKey run_key(const Job& job, const loads::BuildingYearOptions& o)
{
    quantity::Hash inputs;
    inputs.add_bits(job.project().year_fingerprint());
    inputs.add(std::string_view{VENTURE_VERSION});
    const int days = o.days > 0 ? o.days : job.weather()->days() - o.first_day + 1;
    return {inputs.value(), o.step_s, o.run_in_days, o.first_day, days};
}

KeptYear found_or_run(const Job& job, const loads::BuildingYearOptions& asked, const YearOptions& y)
{
    if (auto kept = kept_with_all(job, asked, y)) {
        leave_asked(kept->year.series, asked.series);
        return std::move(*kept);
    }
    loads::BuildingYearOptions options = asked;
    for (const std::string& kind : kinds_to_keep(y))
        if (std::ranges::find(options.series, kind) == options.series.end()) options.series.push_back(kind);
    std::optional<Progress> progress{"running through the weather year"};
    options.progress = [&progress](double share) { progress->tell(share); };
    KeptYear out{job.project().year(options), {}};
    progress.reset();
    if (!y.not_kept && !job.failed()) out.said = keep_year(job, options, out.year, y.name);
    leave_asked(out.year.series, asked.series);
    return out;
}

} // namespace venture::cli
