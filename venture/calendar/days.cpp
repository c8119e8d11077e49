#include <venture/calendar/days.hpp>

#include <array>
#include <charconv>
#include <chrono>
#include <vector>

#include <fmt/format.h>

#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>

namespace venture::calendar {

using climate::MonthDay;
using quantity::trimmed;

namespace {

constexpr std::array<std::string_view, 7> weekdays = {"Monday", "Tuesday",  "Wednesday", "Thursday",
                                                      "Friday", "Saturday", "Sunday"};
constexpr std::array<std::string_view, 4> seasons = {"spring", "summer", "autumn", "winter"};

std::chrono::sys_days day_of(int year, MonthDay date) { return std::chrono::year{year} / date.month / date.day; }

/// A day with or without its year.
struct Date {
    std::optional<int> year{};
    MonthDay day{};
};

std::optional<int> whole_number(std::string_view text)
{
    int value = 0;
    const auto [end, wrong] = std::from_chars(text.data(), text.data() + text.size(), value);
    if (wrong != std::errc{} || end != text.data() + text.size()) return std::nullopt;
    return value;
}

/// "2027-05-14".
std::optional<Date> iso_date(std::string_view text)
{
    if (text.size() != 10 || text[4] != '-' || text[7] != '-') return std::nullopt;
    const auto y = whole_number(text.substr(0, 4)), m = whole_number(text.substr(5, 2)),
               d = whole_number(text.substr(8, 2));
    if (!y || !m || !d || *y < 1 || *m < 1 || *m > 12 || *d < 1) return std::nullopt;
    if (*d > climate::days_in_month(*m, climate::is_leap_year(*y))) return std::nullopt;
    return Date{*y, {*m, *d}};
}

std::optional<Date> read_date(std::string_view text)
{
    if (const auto iso = iso_date(text)) return iso;
    const auto day = climate::read_month_day(text);
    if (const auto* found = std::get_if<MonthDay>(&day)) return Date{{}, *found};
    return std::nullopt;
}

/// Place of a word in a list, whole or by its first three letters.
template <class List>
std::optional<int> place_among(std::string_view word, const List& list)
{
    const std::string low = quantity::lower_case(word);
    for (std::size_t i = 0; i < list.size(); ++i) {
        const std::string full = quantity::lower_case(list[i]);
        if (low == full || low == full + "s" || (low.size() == 3 && full.starts_with(low))) return static_cast<int>(i);
    }
    return std::nullopt;
}

std::vector<std::string_view> parted(std::string_view text, std::string_view by)
{
    std::vector<std::string_view> out;
    for (std::size_t at = text.find(by); at != std::string_view::npos; at = text.find(by)) {
        out.push_back(trimmed(text.substr(0, at)));
        text.remove_prefix(at + by.size());
    }
    out.push_back(trimmed(text));
    return out;
}

/// What a text of days means in one year.
class Reader {
public:
    explicit Reader(const DayNames& names) : names_{names}
    {
        for (int m = 1; m <= 12; ++m) months_.push_back(climate::month_name(m));
    }

    std::variant<YearDays, std::string> read(std::string_view text)
    {
        const auto parts = parted(text, " in ");
        if (parts.size() > 2) return fmt::format("'{}' has more than one 'in'", text);
        YearDays days = all_of(parts.front());
        if (parts.size() == 2) days &= all_of(parts.back());
        if (!wrong_.empty()) return wrong_;
        return days;
    }

private:
    template <class Holds>
    [[nodiscard]] YearDays where(Holds holds) const
    {
        YearDays out;
        for (std::size_t p = 0; p < out.size(); ++p)
            if (const MonthDay date = date_at(p); climate::is_leap_year(names_.year) || date != MonthDay{2, 29})
                out.set(p, holds(date));
        return out;
    }

    YearDays all_of(std::string_view list)
    {
        YearDays out;
        for (const std::string_view item : parted(list, ",")) out |= item_of(item);
        return out;
    }

    YearDays item_of(std::string_view item)
    {
        const std::string low = quantity::lower_case(item);
        if (names_.named)
            if (const auto days = names_.named(item)) return *days;
        if (low == "every day") return where([](MonthDay) { return true; });
        if (low == "weekend" || low == "weekends") return on_weekdays(5, 6);
        if (low == "weekdays") return on_weekdays(0, 4);
        if (low.starts_with("week ") || low.starts_with("weeks ")) return weeks(low.substr(low.find(' ') + 1), item);
        auto ends = parted(item, " to ");
        if (ends.size() > 2) return refuse(item);
        const std::string_view first = ends.front(), last = ends.back();
        if (const auto a = place_among(first, weekdays), b = place_among(last, weekdays); a && b)
            return on_weekdays(*a, *b);
        if (const auto s = place_among(item, seasons)) return season(*s);
        if (const auto a = place_among(first, months_), b = place_among(last, months_); a && b)
            return where([&](MonthDay date) { return lies_between(date.month - 1, *a, *b); });
        const auto a = read_date(first), b = read_date(last);
        return a && b ? dates(*a, *b, item) : refuse(item);
    }

    static bool lies_between(int value, int first, int last)
    {
        return first <= last ? value >= first && value <= last : value >= first || value <= last;
    }

    /// From 0 for Monday.
    [[nodiscard]] YearDays on_weekdays(int first, int last) const
    {
        return where([&](MonthDay date) { return lies_between(weekday(names_.year, date) - 1, first, last); });
    }

    [[nodiscard]] YearDays season(int which) const
    {
        const int from = (2 + 3 * which + (names_.south ? 6 : 0)) % 12; // month from 0
        return where([&](MonthDay date) { return (date.month - 1 - from + 12) % 12 < 3; });
    }

    YearDays dates(Date first, Date last, std::string_view item)
    {
        if (first.year.has_value() != last.year.has_value()) {
            wrong_ = fmt::format("'{}' states a year once: write it at both ends, or at none", item);
            return {};
        }
        if (!first.year) return where([&](MonthDay date) { return climate::is_between(date, first.day, last.day); });
        const auto from = day_of(*first.year, first.day), to = day_of(*last.year, last.day);
        if (to < from) {
            wrong_ = fmt::format("'{}' ends before it begins", item);
            return {};
        }
        YearDays out;
        const std::chrono::year year{names_.year};
        for (auto day = std::max(from, std::chrono::sys_days{year / 1 / 1}),
                  end = std::min(to, std::chrono::sys_days{year / 12 / 31});
             day <= end; day += std::chrono::days{1}) {
            const std::chrono::year_month_day date{day};
            out.set(place_in_year({static_cast<int>(unsigned{date.month()}), static_cast<int>(unsigned{date.day()})}));
        }
        return out;
    }

    YearDays weeks(std::string_view numbers, std::string_view item)
    {
        const auto ends = parted(numbers, " to ");
        const auto first = whole_number(ends.front()), last = whole_number(ends.back());
        if (ends.size() > 2 || !first || !last || *first < 1 || *last > 53 || *last < *first) {
            wrong_ = fmt::format("'{}': weeks have numbers from 1 to 53, as in \"weeks 30 to 33\"", item);
            return {};
        }
        return where([&](MonthDay date) { // its Thursday tells the year and the number of a week
            const int thursday =
                climate::day_of_year(date, climate::is_leap_year(names_.year)) + 4 - weekday(names_.year, date);
            const int week = (thursday + 6) / 7;
            return thursday >= 1 && thursday <= (climate::is_leap_year(names_.year) ? 366 : 365) && week >= *first &&
                   week <= *last;
        });
    }

    /// The same with "to" where a hyphen or a dash stands, if that tells days.
    std::optional<std::string> with_to(std::string_view item) const
    {
        for (const std::string_view dash : {"-", "\u2013"}) {
            const auto at = item.find(dash);
            if (at == std::string_view::npos) continue;
            std::string words = fmt::format("{} to {}", quantity::trimmed(item.substr(0, at)),
                                            quantity::trimmed(item.substr(at + dash.size())));
            if (words.find(dash) == std::string::npos && std::holds_alternative<YearDays>(parse_days(words, names_)))
                return words;
        }
        return std::nullopt;
    }

    YearDays refuse(std::string_view item)
    {
        if (const auto words = with_to(item)) {
            wrong_ = fmt::format("'{}' tells no days: write \"{}\"", item, *words);
            return {};
        }
        std::vector<std::string> known{"every day", "weekdays", "weekend"};
        known.insert(known.end(), weekdays.begin(), weekdays.end());
        known.insert(known.end(), months_.begin(), months_.end());
        known.insert(known.end(), seasons.begin(), seasons.end());
        const auto near = quantity::nearest_name(std::string{item}, known);
        wrong_ = fmt::format("'{}' tells no days{}", item, near ? fmt::format("; did you mean '{}'?", *near) : "");
        return {};
    }

    const DayNames& names_;
    std::vector<std::string> months_{};
    std::string wrong_{};
};

} // namespace

std::size_t place_in_year(MonthDay date) { return static_cast<std::size_t>(climate::day_of_year(date, true) - 1); }

MonthDay date_at(std::size_t place) { return climate::month_day(static_cast<int>(place) + 1, true); }

int weekday(int year, MonthDay date)
{
    return static_cast<int>(std::chrono::weekday{day_of(year, date)}.iso_encoding());
}

std::string_view weekday_name(int weekday)
{
    VENTURE_ASSERT(weekday >= 1 && weekday <= 7);
    return weekdays[static_cast<std::size_t>(weekday - 1)];
}

std::variant<YearDays, std::string> parse_days(std::string_view text, const DayNames& names)
{
    return Reader{names}.read(trimmed(text));
}

} // namespace venture::calendar
