#pragma once
/// What a run is in the rows of its tables. Internal to store.

#include <venture/store/database.hpp>
#include <venture/store/kept_runs.hpp>

namespace venture::store::rows {

[[nodiscard]] std::vector<KeptRun> runs(const Database& db);
std::int64_t add_run(const Database& db, const KeptRun& run, const loads::BuildingYear& year);
void add_rooms(const Database& db, std::int64_t run, const loads::BuildingYear& year);
void add_duration(const Database& db, std::int64_t run, const loads::BuildingYear& year);
void add_series(const Database& db, std::int64_t run, bool leap, const loads::BuildingYear& year);
/// With all that belongs to it.
void drop(const Database& db, std::int64_t run);
[[nodiscard]] loads::BuildingYear year(const Database& db, const KeptRun& run);
[[nodiscard]] std::vector<KeptSeries> series(const Database& db, std::int64_t run, const std::string& pattern);
[[nodiscard]] std::vector<KeptSum> sums(const Database& db, std::string_view sql, std::int64_t series);
[[nodiscard]] std::vector<double> hours(const Database& db, std::int64_t series, int month);

} // namespace venture::store::rows
