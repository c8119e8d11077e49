#pragma once
/// Series that can be asked of a run, by zone, by surface or of the whole.

#include <span>
#include <string>
#include <string_view>
#include <vector>

#include <venture/balance/heat_balance.hpp>

namespace venture::balance {

enum class Subject { whole, zone, surface };

/// What series are read from.
struct AfterStep {
    const ThermalModel& model;
    const StepResult& result;
    std::size_t step = 0;
    std::span<const std::size_t> body_of_signal{}; ///< of the model's signals; no_body: it is of none
    std::span<const Forcing> forcing_of_signal{};  ///< theirs, side by side
    static constexpr std::size_t no_body = static_cast<std::size_t>(-1);
};

/// One kind of series: means over a step.
struct SeriesKind {
    std::string_view name{};
    std::string_view unit{};
    std::string_view meaning{};
    Subject subject = Subject::zone;
    Account needs = Account::loads;
    /// Adds the values of zones or surfaces (0 for the whole) after a step to as many sums.
    void (*add)(const AfterStep& after, std::span<const std::size_t> of, double* sums) = nullptr;
    /// Whether a zone or surface has it; nothing: all have.
    bool (*has)(const ThermalModel& model, std::size_t index) = nullptr;
};

/// All that can be asked.
[[nodiscard]] std::span<const SeriesKind> series_kinds();

/// Series that a caller wants.
struct Ask {
    std::string kind{};            ///< name of a SeriesKind
    std::vector<std::size_t> of{}; ///< zones or surfaces of the model; empty: all that have it
};

/// Values of one subject.
struct Series {
    std::string kind{}, unit{};
    std::string id{}; ///< of the zone or surface; empty for the whole
    std::vector<double> values{};
};

/// Gathers what is asked, step by step, as means over whole numbers of steps.
class SeriesGatherer {
public:
    /// @param steps_per_value  1 or more   @throws quantity::Error for a kind that there is not, naming the nearest;
    ///                         quantity::RangeError for a zone or surface that there is not
    SeriesGatherer(const ThermalModel& model, const std::vector<Ask>& asks, std::size_t steps_per_value);
    /// What a step has to tell.
    [[nodiscard]] Account needs() const { return needs_; }
    void take(const StepResult& result, std::size_t step);
    [[nodiscard]] std::vector<Series> series() &&;

private:
    struct Asked {
        const SeriesKind* kind = nullptr;
        std::vector<std::size_t> of{};
    };
    /// Values that wait, to their series: one at a time goes to as many places in memory as there are series.
    void hand_out();
    static constexpr std::size_t most_waiting = 24;

    const ThermalModel& model_;
    std::size_t steps_per_value_, taken_ = 0;
    Account needs_ = Account::loads;
    std::vector<Asked> asked_{};
    std::vector<double> sums_{};    ///< of the values that are being made, side by side
    std::vector<double> waiting_{}; ///< rows of values
    std::vector<std::size_t> body_of_signal_{};
    std::vector<Forcing> forcing_of_signal_{};
    std::vector<Series> series_{};
};

} // namespace venture::balance
