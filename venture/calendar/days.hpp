#pragma once
/// Days of a year, by weekday, month, season, date, week or name.

#include <bitset>
#include <functional>
#include <optional>
#include <string>
#include <string_view>
#include <variant>

#include <venture/climate/date.hpp>

namespace venture::calendar {

/// Days of a year as of a leap year, 0 for 1 January: 29 February (59) is never set in a common year.
using YearDays = std::bitset<366>;

/// Place of a day in YearDays.
[[nodiscard]] std::size_t place_in_year(climate::MonthDay date);
/// The day at a place in YearDays.
[[nodiscard]] climate::MonthDay date_at(std::size_t place);
/// 1 for Monday to 7 for Sunday, after ISO 8601. @param year  1583 to 9999, Gregorian
[[nodiscard]] int weekday(int year, climate::MonthDay date);
/// "Monday"; from 1.
[[nodiscard]] std::string_view weekday_name(int weekday);

/// The year whose days are counted, and names that somebody gave to some of them.
struct DayNames {
    int year = 0;
    bool south = false; ///< of the equator: summer is December to February
    std::function<std::optional<YearDays>(std::string_view name)> named{}; ///< may be empty
};

/// How days are written, for whoever wrote them otherwise.
inline constexpr std::string_view how_days_are_written = "a weekday, a month, a season, a date such as \"14 May\" or "
                                                         "\"1 July to 31 August\", \"weeks 30 to 33\", or the name of "
                                                         "[[days]]";

/// Reads "every day", "Monday to Friday", "weekend", "Saturday", "July", "April to September", "summer", "14 May",
/// "1 July to 31 August", "24 December to 2 January", "2027-05-14", "2026-12-24 to 2027-01-02", "week 30",
/// "weeks 30 to 33" (ISO 8601), or a name; several parted by commas; and both at once: "Saturday in July, August".
/// Dates with another year than `names.year` are none of its days. Seasons are those of meteorology.
/// @returns the days, or in words what is wrong
[[nodiscard]] std::variant<YearDays, std::string> parse_days(std::string_view text, const DayNames& names);

} // namespace venture::calendar
