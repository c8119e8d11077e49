#pragma once
/// Days of a year that is not said to be a certain one, and hours counted from its beginning.

#include <compare>
#include <string>
#include <string_view>
#include <variant>

namespace venture::climate {

/// A day of any year.
struct MonthDay {
    int month = 1; ///< 1..12
    int day = 1;   ///< 1..31, and in that month
    friend constexpr auto operator<=>(MonthDay, MonthDay) = default;
};

/// @throws quantity::RangeError if there is no such month
[[nodiscard]] int days_in_month(int month, bool leap = false);

/// Day of the year from 1.
/// @throws quantity::RangeError if there is no such day; 29 February only in a leap year
[[nodiscard]] int day_of_year(MonthDay date, bool leap = false);

/// The other way round.
/// @throws quantity::RangeError outside 1..365 (366)
[[nodiscard]] MonthDay month_day(int day_of_year, bool leap = false);

[[nodiscard]] bool is_leap_year(int year);

/// "January" ... "December".
/// @throws quantity::RangeError if there is no such month
[[nodiscard]] std::string month_name(int month);

/// "29 March".
[[nodiscard]] std::string in_words(MonthDay date);

/// Why a text is no day of a year.
struct NoDate {
    std::string reason{}; ///< "June has 30 days"
};

/// Reads "29 March", "29 Mar" or "March 29"; letters of either case. 29 February is a day.
[[nodiscard]] std::variant<MonthDay, NoDate> read_month_day(std::string_view text);

/// Whether a month is of the summer half of the year: April to September, south of the equator October to March.
[[nodiscard]] constexpr bool is_summer_half(int month, bool south) { return (month >= 4 && month <= 9) != south; }

/// Whether a day lies between a first and a last one, both included; across the new year if the last comes before the
/// first.
[[nodiscard]] bool is_between(MonthDay date, MonthDay first, MonthDay last);

} // namespace venture::climate
