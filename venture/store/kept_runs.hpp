#pragma once
/// Runs through the weather year, kept in one SQLite file in the project's results. docs/kept_runs.md documents its tables,
/// which anyone may read with any program; hours are blobs, which hours_of() reads.

#include <cstdint>
#include <filesystem>
#include <memory>
#include <optional>
#include <string>
#include <vector>

#include <venture/loads/building_year.hpp>

namespace venture::store {

/// What a run follows from: runs of one key are the same.
struct RunKey {
    std::uint64_t inputs = 0; ///< fingerprint of building and weather
    double step_s = 900.0, run_in_days = 30.0;
    int first_day = 1, days = 365;
    friend bool operator==(const RunKey&, const RunKey&) = default;
};

struct KeptRun {
    std::int64_t id = 0; ///< 0: not kept yet
    RunKey key{};
    std::string name{};                           ///< that someone gave it; named runs are never dropped
    std::string project{}, revision{}, program{}; ///< the program's version
    bool leap = false;                            ///< its weather year has a 29 February
};

/// One series of a run.
struct KeptSeries {
    std::int64_t id = 0;
    std::string path{}; ///< "hour/Front room/operative_temperature", "hour/building/outdoor_temperature"
    std::string subject{}, kind{}, unit{};
};

/// Of a day or a month: by number, from 1.
struct KeptSum {
    int number = 1;
    double mean = 0.0, least = 0.0, largest = 0.0;
};

/// A path of a series. @param subject  empty: of the whole
[[nodiscard]] std::string path_of(const std::string& kind, const std::string& subject);

class KeptRuns {
public:
    /// How many runs without a name are kept; the oldest go first.
    static constexpr int most_unnamed = 8;
    static constexpr int usual_patience_ms = 20000;
    /// Form of the file that this program writes, and the only one that it reads.
    static constexpr int form = 4;

    /// Opens a file, and makes it if there is none. Waits for another run that writes.
    /// @throws quantity::Error  it is damaged, no file of kept runs, of another form, or cannot be opened
    /// @param patience_ms  how long it waits
    static KeptRuns to_write(const std::filesystem::path& file, int patience_ms = usual_patience_ms);
    /// Nothing if there is none. @throws quantity::Error  as above
    static std::optional<KeptRuns> to_read(const std::filesystem::path& file);
    KeptRuns(KeptRuns&&) noexcept;
    KeptRuns& operator=(KeptRuns&&) noexcept;
    ~KeptRuns();

    /// All of them, the latest last.
    [[nodiscard]] std::vector<KeptRun> runs() const;
    [[nodiscard]] std::optional<KeptRun> find(const RunKey& key) const;
    /// By number or name.
    [[nodiscard]] std::optional<KeptRun> called(const std::string& name) const;

    /// Keeps a run whole or not at all, in place of one with the same key; one that has a name keeps it.
    /// @returns its number   @throws quantity::Error  the disk is full, ...: what was there still is
    std::int64_t keep(const KeptRun& run, const loads::BuildingYear& year);
    void forget(std::int64_t run);

    /// Rooms, months and how it was run; no series.
    [[nodiscard]] loads::BuildingYear year(const KeptRun& run) const;
    /// In the order of their paths. @param pattern  of paths, * for any part; empty: all
    [[nodiscard]] std::vector<KeptSeries> series(std::int64_t run, const std::string& pattern = {}) const;
    [[nodiscard]] std::vector<KeptSum> days(const KeptSeries& series) const;
    [[nodiscard]] std::vector<KeptSum> months(const KeptSeries& series) const;
    /// Hour means, all that were run or those of one month (1 to 12); single precision.
    [[nodiscard]] std::vector<double> hours(const KeptSeries& series, int month = 0) const;

private:
    struct Open;
    explicit KeptRuns(std::unique_ptr<Open> open);
    std::unique_ptr<Open> open_;
};

} // namespace venture::store
