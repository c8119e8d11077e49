#pragma once
/// 24 hourly fractions, constant over their hour and jumping between.

#include <array>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

namespace venture::calendar {

/// Fractions of a full value by hour of clock time.
struct Profile {
    std::string name{};
    std::array<double, 24> fraction{};
    [[nodiscard]] double full_load_hours() const; ///< sum of the fractions, h per day
};

/// The same value in every hour.
[[nodiscard]] Profile constant_profile(std::string name, double fraction);

/// Hours that a range covers, and the fraction it sets.
struct HourRange {
    int from = 0; ///< 0..23
    int to = 24;  ///< 1..24, above `from`
    double fraction = 1.0;
};

/// Reads "08-12 50 %", "18-24" (full), or over midnight "22-06 100 %" (two ranges).
/// @returns the ranges, or in words what is wrong
[[nodiscard]] std::variant<std::vector<HourRange>, std::string> parse_hour_range(std::string_view text);

} // namespace venture::calendar
