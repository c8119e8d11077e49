#include <venture/calendar/profile.hpp>

#include <algorithm>
#include <cmath>
#include <numeric>
#include <optional>

#include <fmt/format.h>

#include <venture/quantity/names.hpp>
#include <venture/quantity/units.hpp>

namespace venture::calendar {

namespace {

constexpr int minutes_of_day = 24 * 60;

/// A time of day at the front of a text, and what follows; or why it is none.
struct TimeOfDay {
    int minutes = 0;
    std::string_view rest{};
};

std::string by_24_hours(int hour, int minute, bool afternoon)
{
    if (hour == 12 && minute == 0) return afternoon ? "12 (noon)" : "0 or 24 (midnight)";
    const int by_24 = hour % 12 + (afternoon ? 12 : 0);
    return minute == 0 ? fmt::format("{}", by_24) : fmt::format("{}:{:02}", by_24, minute);
}

std::variant<TimeOfDay, std::string> read_time(std::string_view text)
{
    std::size_t at = 0;
    const auto digits = [&](std::size_t most) {
        int value = -1;
        for (std::size_t n = 0; n < most && at < text.size() && text[at] >= '0' && text[at] <= '9'; ++n, ++at)
            value = std::max(0, value) * 10 + (text[at] - '0');
        return value;
    };
    const auto wrong = [&](std::string_view why) { return fmt::format("'{}' {}", text, why); };
    const int hour = digits(2);
    int minute = 0;
    if (hour < 0) return wrong("begins with no hour");
    if (at < text.size() && text[at] == ':') {
        const std::size_t colon = at++;
        minute = digits(2);
        if (at - colon != 3) return wrong("has no minutes of two digits behind its colon");
    }
    const std::string_view rest = quantity::trimmed(text.substr(at));
    const std::string word = quantity::lower_case(rest.substr(0, 2));
    if (word == "am" || word == "pm" || word == "a." || word == "p.")
        return wrong(
            fmt::format("is not by the clock of 24 hours: write {}", by_24_hours(hour % 24, minute, word[0] == 'p')));
    if (at < text.size() && (text[at] == '.' || text[at] == ','))
        return wrong(fmt::format("has a decimal mark: write minutes behind a colon, such as {}:30", hour));
    if (at < text.size() && text[at] >= '0' && text[at] <= '9')
        return wrong(fmt::format("has too many digits: write minutes behind a colon, such as {}:30", hour));
    if (minute > 59) return wrong("has more than 59 minutes");
    if (hour * 60 + minute > minutes_of_day)
        return wrong(fmt::format("lies beyond the end of the day; for the next day write {}:{:02}", hour % 24, minute));
    return TimeOfDay{hour * 60 + minute, rest};
}

std::optional<double> read_fraction(std::string_view text)
{
    const auto parsed = quantity::parse_quantity(text, quantity::Kind::fraction);
    const double* fraction = std::get_if<double>(&parsed);
    if (fraction == nullptr || !(*fraction >= 0.0 && *fraction <= 1.0)) return std::nullopt;
    return *fraction;
}

/// "50 %", or "10 % to 100 %"; nothing is full.
std::optional<std::pair<double, double>> read_fractions(std::string_view text)
{
    if (text.empty()) return std::pair{1.0, 1.0};
    const auto to = text.find(" to ");
    const auto begins = read_fraction(quantity::trimmed(text.substr(0, to)));
    const auto ends = to == std::string_view::npos ? begins : read_fraction(quantity::trimmed(text.substr(to + 4)));
    if (!begins || !ends) return std::nullopt;
    return std::pair{*begins, *ends};
}

} // namespace

double Profile::full_load_hours() const { return std::accumulate(fraction.begin(), fraction.end(), 0.0); }

double Profile::highest() const { return *std::ranges::max_element(fraction); }

Profile constant_profile(std::string name, double fraction)
{
    Profile profile{std::move(name), {}};
    profile.fraction.fill(fraction);
    return profile;
}

std::variant<std::vector<HourRange>, std::string> parse_hour_range(std::string_view text)
{
    const auto wrong = [&](std::string_view why) {
        return fmt::format("'{}' is no range of hours: {}", text.substr(0, 60), why);
    };
    const auto dash = text.find('-');
    if (dash == std::string_view::npos) {
        const auto alone = read_time(quantity::trimmed(text)); // "12 pm": what is wrong with it helps more
        return wrong(std::holds_alternative<std::string>(alone) ? std::get<std::string>(alone)
                                                                : "no '-' stands between two hours");
    }
    const auto from = read_time(quantity::trimmed(text.substr(0, dash))),
               to = read_time(quantity::trimmed(text.substr(dash + 1)));
    for (const auto* time : {&from, &to})
        if (const auto* why = std::get_if<std::string>(time)) return wrong(*why);
    const TimeOfDay first = std::get<TimeOfDay>(from), last = std::get<TimeOfDay>(to);
    if (!first.rest.empty()) return wrong(fmt::format("'{}' stands between the first hour and the '-'", first.rest));
    if (first.minutes == minutes_of_day) return wrong("it begins where the day ends: write 0");
    if (first.minutes == last.minutes) return wrong("it ends where it begins");
    const auto fractions = read_fractions(last.rest);
    if (!fractions) return wrong("behind the hours stands a fraction from 0 to 100 %, or one to another");
    const auto [begins, ends] = *fractions;
    if (first.minutes < last.minutes) return std::vector{HourRange{first.minutes, last.minutes, begins, ends}};
    const double before = minutes_of_day - first.minutes, all = before + last.minutes,
                 at_midnight = begins + (ends - begins) * before / all;
    std::vector over_midnight{HourRange{first.minutes, minutes_of_day, begins, at_midnight}};
    if (last.minutes > 0) over_midnight.push_back({0, last.minutes, at_midnight, ends});
    return over_midnight;
}

Profile profile_of(std::string name, const std::vector<HourRange>& ranges)
{
    std::array<double, minutes_of_day> minute{};
    for (const HourRange& range : ranges) {
        const double length = range.to_min - range.from_min;
        for (int m = range.from_min; m < range.to_min; ++m)
            minute[static_cast<std::size_t>(m)] =
                range.begins + (range.ends - range.begins) * (m - range.from_min + 0.5) / length;
    }
    Profile profile{std::move(name), {}};
    for (std::size_t h = 0; h < 24; ++h) {
        const auto first = minute.begin() + static_cast<std::ptrdiff_t>(60 * h), last = first + 60;
        const bool alike = std::all_of(first, last, [&](double value) { return value == *first; });
        profile.fraction[h] =
            alike ? *first : std::accumulate(first, last, 0.0) / 60.0; // no rounding where none need be
    }
    return profile;
}

} // namespace venture::calendar
