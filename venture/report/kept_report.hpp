#pragma once
/// Runs that were kept, and their series, as documents.

#include <vector>

#include <venture/building/building.hpp>
#include <venture/figure/document.hpp>
#include <venture/store/kept_runs.hpp>

namespace venture::report {

struct KeptRunRow {
    store::KeptRun run{};
    bool of_today = false; ///< nothing that it follows from has moved
};

/// Runs, and the kinds of series of one of them.
[[nodiscard]] figure::Document kept_runs_document(const building::Building& building,
                                                  const std::vector<KeptRunRow>& runs,
                                                  const std::vector<store::KeptSeries>& series,
                                                  const store::KeptRun& of);

struct KeptValues {
    enum class By : std::uint8_t { month, day, hour };
    By by = By::month;
    int month = 0; ///< 1 to 12; 0: all that was run
};

/// A line a month, day or hour, a column a series: means over it.
[[nodiscard]] figure::Document kept_series_document(const building::Building& building, const store::KeptRuns& kept,
                                                    const store::KeptRun& run,
                                                    const std::vector<store::KeptSeries>& series,
                                                    const KeptValues& values);

/// The same of two runs, with the difference; series that only one of them has are told.
[[nodiscard]] figure::Document kept_difference_document(const building::Building& building, const store::KeptRuns& kept,
                                                        const store::KeptRun& run, const store::KeptRun& other,
                                                        const std::vector<store::KeptSeries>& series,
                                                        const KeptValues& values);

} // namespace venture::report
