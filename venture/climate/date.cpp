#include <venture/climate/date.hpp>

#include <array>
#include <charconv>
#include <optional>

#include <fmt/format.h>

#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>

namespace venture::climate {

namespace {

constexpr std::array names = {"January", "February", "March",     "April",   "May",      "June",
                              "July",    "August",   "September", "October", "November", "December"};
constexpr std::array<int, 12> lengths = {31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31};

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
    return lengths[static_cast<std::size_t>(month - 1)] + (leap && month == 2 ? 1 : 0);
}

int day_of_year(MonthDay date, bool leap)
{
    quantity::check_range("day_of_year", "month", date.month, {1, 12}, "");
    quantity::check_range("day_of_year", "day", date.day, {1.0, static_cast<double>(days_in_month(date.month, leap))},
                          "");
    int day = date.day;
    for (int m = 1; m < date.month; ++m) day += days_in_month(m, leap);
    return day;
}

MonthDay month_day(int day_of_year, bool leap)
{
    quantity::check_range("month_day", "day of the year", day_of_year, {1.0, leap ? 366.0 : 365.0}, "");
    MonthDay date{1, day_of_year};
    for (; date.day > days_in_month(date.month, leap); ++date.month) date.day -= days_in_month(date.month, leap);
    return date;
}

bool is_leap_year(int year) { return (year % 4 == 0 && year % 100 != 0) || year % 400 == 0; }

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
