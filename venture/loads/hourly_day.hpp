#pragma once
/// 24 hours that repeat, for methods that work with such.

#include <array>
#include <cmath>
#include <numeric>

namespace venture::loads {

/// At the hours 0 to 23, or means over [h, h + 1).
using HourlyDay = std::array<double, 24>;

[[nodiscard]] inline double mean_of(const HourlyDay& day)
{
    return std::accumulate(day.begin(), day.end(), 0.0) / static_cast<double>(day.size());
}

/// Sum over k of terms[k] signal[h - k].
[[nodiscard]] inline HourlyDay answer_of(const HourlyDay& terms, const HourlyDay& signal)
{
    HourlyDay out{};
    for (std::size_t h = 0; h < out.size(); ++h)
        for (std::size_t k = 0; k < out.size(); ++k) out[h] += terms[k] * signal[(h + out.size() - k) % out.size()];
    return out;
}

/// Straight between the hours; any time, hours.
[[nodiscard]] inline double value_at(const HourlyDay& day, double time_h)
{
    const double within = time_h - 24.0 * std::floor(time_h / 24.0), whole = std::floor(within);
    const auto h = static_cast<std::size_t>(whole) % day.size();
    return std::lerp(day[h], day[(h + 1) % day.size()], within - whole);
}

/// Clock hour in which an hour of local standard time begins, 0 to 23.
[[nodiscard]] inline int clock_hour(double clock_ahead_h, std::size_t hour)
{
    return static_cast<int>(std::floor(static_cast<double>(hour) + clock_ahead_h)) % 24;
}

/// Index of the largest value, the earliest of equals.
[[nodiscard]] inline std::size_t hour_of_peak(const HourlyDay& day)
{
    std::size_t at = 0;
    for (std::size_t h = 1; h < day.size(); ++h)
        if (day[h] > day[at]) at = h;
    return at;
}

} // namespace venture::loads
