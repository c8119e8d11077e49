#pragma once
/// Peaks of rooms by themselves and together. Heating of one room and cooling of another never cancel: each room is parted
/// into both before anything is added.

#include <optional>
#include <span>
#include <string>
#include <vector>

#include <venture/loads/hourly_day.hpp>

namespace venture::loads {

/// Hour means of one room's load on one design day: cooling positive, heating negative.
struct SignedDay {
    int month = 0;
    HourlyDay load_W{};
};
/// All its design days, in the order of the months; every room of a group has the same.
struct SignedDays {
    std::string of{};
    std::vector<SignedDay> days{};
};

enum class PeakOf { cooling, heating };

struct Moment {
    int month = 0;
    std::size_t hour = 0;
    friend bool operator==(const Moment&, const Moment&) = default;
};
struct Peak {
    double value_W = 0.0;
    std::optional<Moment> when{}; ///< the earliest of equals; nothing where there is no load
};

struct PeaksTogether {
    std::vector<Peak> own{}; ///< in the order of the rooms
    double sum_of_own_W = 0.0;
    Peak coincident{};
    std::vector<double> at_coincident_W{}; ///< of each room, in that hour
    [[nodiscard]] std::optional<double> coincident_over_sum() const
    {
        return sum_of_own_W > 0.0 ? std::optional{coincident.value_W / sum_of_own_W} : std::nullopt;
    }
};

/// @pre every room has the same days
[[nodiscard]] PeaksTogether peaks_together(std::span<const SignedDays> rooms, PeakOf which);
/// Sums over the rooms on one of their days.
[[nodiscard]] HourlyDay sum_of(std::span<const SignedDays> rooms, std::size_t day, PeakOf which);
/// The hour in which the smaller of both sums, heating and cooling, is largest: what can be passed on from one to the other.
[[nodiscard]] Peak most_of_both(std::span<const SignedDays> rooms);

} // namespace venture::loads
