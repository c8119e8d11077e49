#include <venture/store/kept_runs.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/quantity/error.hpp>
#include <venture/store/kept_rows.hpp>
#include <venture/store/schema.hpp>

namespace venture::store {

struct KeptRuns::Open {
    Database db;
};

namespace {

/// Whether a file is one of ours, and of the form that is known. @throws quantity::Error  if not
void check_form(const Database& db)
{
    const std::string file = db.file().generic_string();
    if (db.whole("PRAGMA application_id") != application_id)
        throw quantity::Error{fmt::format(
            "{} is a database, but none of kept runs; it was left as it is: move it away, and run again", file)};
    const auto form = db.whole("PRAGMA user_version");
    if (form == KeptRuns::form) return;
    throw quantity::Error{
        form > KeptRuns::form
            ? fmt::format(
                  "{} was written by a newer Venture (form {}; this one knows {}); it was left as it is: take that "
                  "one, or move the file away and run again",
                  file, form, KeptRuns::form)
            : fmt::format(
                  "{} was written by an older Venture (form {}; this one reads {}); it was left as it is: move it "
                  "away, and run again",
                  file, form, KeptRuns::form)};
}

/// Tables for a file that has nothing in it yet; another run may have been quicker.
void make_tables(const Database& db)
{
    db.execute("PRAGMA page_size = 16384");  // blobs of a month fit into one
    db.execute("PRAGMA auto_vacuum = FULL"); // a run that is dropped gives its room back
    Transaction all{db};
    if (db.whole("SELECT count(*) FROM sqlite_master") == 0) {
        db.execute(schema().c_str());
        db.execute(fmt::format("PRAGMA application_id = {}", application_id).c_str());
        db.execute(fmt::format("PRAGMA user_version = {}", KeptRuns::form).c_str());
    }
    all.commit();
}

} // namespace

KeptRuns::KeptRuns(std::unique_ptr<Open> open) : open_{std::move(open)} {}
KeptRuns::KeptRuns(KeptRuns&&) noexcept = default;
KeptRuns& KeptRuns::operator=(KeptRuns&&) noexcept = default;
KeptRuns::~KeptRuns() = default;

KeptRuns KeptRuns::to_write(const std::filesystem::path& file, int patience_ms)
{
    if (file.has_parent_path()) std::filesystem::create_directories(file.parent_path());
    auto open = std::make_unique<Open>(Open{Database{file, Access::write, patience_ms}});
    if (open->db.whole("SELECT count(*) FROM sqlite_master") == 0) make_tables(open->db);
    check_form(open->db);
    return KeptRuns{std::move(open)};
}

std::optional<KeptRuns> KeptRuns::to_read(const std::filesystem::path& file)
{
    if (!std::filesystem::exists(file)) return std::nullopt;
    auto open = std::make_unique<Open>(Open{Database{file, Access::read, usual_patience_ms}});
    if (open->db.whole("SELECT count(*) FROM sqlite_master") == 0)
        return std::nullopt; // killed before there was anything
    check_form(open->db);
    return KeptRuns{std::move(open)};
}

std::vector<KeptRun> KeptRuns::runs() const { return rows::runs(open_->db); }

std::optional<KeptRun> KeptRuns::find(const RunKey& key) const
{
    const auto all = runs();
    const auto at = std::ranges::find(all, key, &KeptRun::key);
    return at == all.end() ? std::nullopt : std::optional{*at};
}

std::optional<KeptRun> KeptRuns::called(const std::string& name) const
{
    for (const KeptRun& run : runs())
        if (std::to_string(run.id) == name || (!run.name.empty() && run.name == name)) return run;
    return std::nullopt;
}

std::int64_t KeptRuns::keep(const KeptRun& run, const loads::BuildingYear& year)
{
    const Database& db = open_->db;
    db.execute("PRAGMA cache_size = -131072"); // kB: a run is written at once
    Transaction all{db};
    KeptRun kept = run;
    if (const auto before = find(run.key)) {
        if (kept.name.empty()) kept.name = before->name;
        rows::drop(db, before->id);
    }
    if (!kept.name.empty())
        db.prepare("UPDATE run SET name = '' WHERE name = ?").bind(std::string_view{kept.name}).run();
    const std::int64_t id = rows::add_run(db, kept, year);
    rows::add_rooms(db, id, year);
    rows::add_duration(db, id, year);
    rows::add_series(db, id, kept.leap, year);
    std::vector<KeptRun> unnamed = runs();
    std::erase_if(unnamed, [](const KeptRun& r) { return !r.name.empty(); });
    for (std::size_t i = 0; i + most_unnamed < unnamed.size(); ++i) rows::drop(db, unnamed[i].id);
    all.commit();
    return id;
}

void KeptRuns::forget(std::int64_t run)
{
    Transaction all{open_->db};
    rows::drop(open_->db, run);
    all.commit();
}

loads::BuildingYear KeptRuns::year(const KeptRun& run) const { return rows::year(open_->db, run); }

std::vector<KeptSeries> KeptRuns::series(std::int64_t run, const std::string& pattern) const
{
    return rows::series(open_->db, run, pattern);
}

std::vector<KeptSum> KeptRuns::days(const KeptSeries& s) const
{
    return rows::sums(open_->db, "SELECT day, mean, least, largest FROM day WHERE series = ? ORDER BY day", s.id);
}

std::vector<KeptSum> KeptRuns::months(const KeptSeries& s) const
{
    return rows::sums(open_->db, "SELECT month, mean, least, largest FROM month WHERE series = ? ORDER BY month", s.id);
}

std::vector<double> KeptRuns::hours(const KeptSeries& s, int month) const
{
    return rows::hours(open_->db, s.id, month);
}

std::string path_of(const std::string& kind, const std::string& subject)
{
    std::string key = kind;
    std::ranges::replace(key, ' ', '_');
    std::erase(key, ',');
    return fmt::format("hour/{}/{}", subject.empty() ? "building" : subject, key);
}

} // namespace venture::store
