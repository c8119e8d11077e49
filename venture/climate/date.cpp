#include <venture/climate/date.hpp>

#include <array>
#include <charconv>
#include <chrono>
#include <optional>

#include <fmt/format.h>

#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>

namespace venture::climate {

namespace {

constexpr std::array names = {"January", "February", "March",     "April",   "May",      "June",
                              "July",    "August",   "September", "October", "November", "December"};

/// A year of either kind; which one tells nothing.
constexpr std::chrono::year some_year(bool leap) { return std::chrono::year{leap ? 2028 : 2029}; }

constexpr std::chrono::sys_days in_some_year(int month, int day, bool leap) { return some_year(leap) / month / day; }

/// The month that a word, or its first three letters or more, names.
std::optional<int> month_called(std::string_view word)
{
    constexpr std::size_t shortest = 3;
    const std::string wanted = quantity::lower_case(word);
    for (std::size_t m = 0; m < names.size(); ++m)
        if (wanted.size() >= shortest && quantity::lower_case(names[m]).starts_with(wanted))
            return static_cast<int>(m) + 1;
    return std::nullopt;
}

std::optional<int> whole_number(std::string_view text)
{
    int value = 0;
    const auto [end, wrong] = std::from_chars(text.data(), text.data() + text.size(), value);
    if (wrong != std::errc{} || end != text.data() + text.size()) return std::nullopt;
    return value;
}

} // namespace

int days_in_month(int month, bool leap)
{
    quantity::check_range("days_in_month", "month", month, {1, 12}, "");
    return static_cast<int>(unsigned{(some_year(leap) / month / std::chrono::last).day()});
}

int day_of_year(MonthDay date, bool leap)
{
    quantity::check_range("day_of_year", "month", date.month, {1, 12}, "");
    quantity::check_range("day_of_year", "day", date.day, {1.0, static_cast<double>(days_in_month(date.month, leap))},
                          "");
    return static_cast<int>((in_some_year(date.month, date.day, leap) - in_some_year(1, 1, leap)).count()) + 1;
}

MonthDay month_day(int day_of_year, bool leap)
{
    quantity::check_range("month_day", "day of the year", day_of_year, {1.0, leap ? 366.0 : 365.0}, "");
    const std::chrono::year_month_day date{in_some_year(1, 1, leap) + std::chrono::days{day_of_year - 1}};
    return {static_cast<int>(unsigned{date.month()}), static_cast<int>(unsigned{date.day()})};
}

bool is_leap_year(int year) { return std::chrono::year{year}.is_leap(); }

std::string month_name(int month)
{
    quantity::check_range("month_name", "month", month, {1, 12}, "");
    return names[static_cast<std::size_t>(month - 1)];
}

std::string in_words(MonthDay date) { return fmt::format("{} {}", date.day, month_name(date.month)); }

std::variant<MonthDay, NoDate> read_month_day(std::string_view text)
{
    text = quantity::trimmed(text);
    const auto blank = text.find(' ');
    if (blank == std::string_view::npos) return NoDate{"a day and a month expected, such as \"29 March\""};
    std::string_view one = text.substr(0, blank), other = quantity::trimmed(text.substr(blank));
    if (!whole_number(one)) std::swap(one, other);
    const auto day = whole_number(one);
    const auto month = month_called(other);
    if (!day || !month) return NoDate{"a day and a month expected, such as \"29 March\""};
    const int most = days_in_month(*month, true);
    if (*day < 1 || *day > most) return NoDate{fmt::format("{} has {} days", month_name(*month), most)};
    return MonthDay{*month, *day};
}

bool is_between(MonthDay date, MonthDay first, MonthDay last)
{
    return first <= last ? first <= date && date <= last : date >= first || date <= last;
}

} // namespace venture::climate
