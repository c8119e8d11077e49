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
    [[nodiscard]] double highest() const;         ///< largest of the fractions
    friend bool operator==(const Profile&, const Profile&) = default;
};

/// The same value in every hour.
[[nodiscard]] Profile constant_profile(std::string name, double fraction);

/// Hours that a range covers, and what it sets.
struct HourRange {
    int from_min = 0;                ///< minutes from midnight, 0..1439
    int to_min = 24 * 60;            ///< 1..1440, above `from_min`
    double begins = 1.0, ends = 1.0; ///< fractions; where they differ, a straight ramp between
};

/// How hours are written, for whoever wrote them otherwise.
inline constexpr std::string_view how_hours_are_written =
    "hours as in \"08-12 50 %\" or \"06:30-09 10 % to 100 %\", by the clock of 24 hours";

/// Reads "08-12 50 %", "18-24" (full), "06:30-09 10 % to 100 %" (a ramp), or over midnight "22-06 100 %" (two ranges).
/// @returns the ranges, or in words what is wrong and what to write instead
[[nodiscard]] std::variant<std::vector<HourRange>, std::string> parse_hour_range(std::string_view text);

/// Hours that several ranges make together, 0 where none is; later ranges win. An hour that is covered in part, or by a
/// ramp, takes the mean of its minutes.
[[nodiscard]] Profile profile_of(std::string name, const std::vector<HourRange>& ranges);

} // namespace venture::calendar
