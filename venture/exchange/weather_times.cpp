#include <venture/exchange/weather_times.hpp>

#include <array>
#include <charconv>

#include <fmt/format.h>

#include <venture/quantity/names.hpp>

namespace venture::exchange::detail {

namespace {

/// Takes a whole number off the front; nothing if none stands there.
std::optional<int> take_number(std::string_view& text)
{
    int value = 0;
    const auto [end, wrong] = std::from_chars(text.data(), text.data() + text.size(), value);
    if (wrong != std::errc{} || value < 0 || text.starts_with('-')) return std::nullopt;
    text.remove_prefix(static_cast<std::size_t>(end - text.data()));
    return value;
}

NoTime no_time(std::string_view text, std::string_view expected)
{
    constexpr std::size_t longest = 40;
    return {fmt::format("'{}' is no {}", text.substr(0, longest), expected)};
}

constexpr const char* in_words(DateOrder order)
{
    return order == DateOrder::year_month_day   ? "date in the order year, month, day"
           : order == DateOrder::day_month_year ? "date in the order day, month, year"
                                                : "date in the order month, day, year";
}

} // namespace

std::variant<climate::MonthDay, NoTime> read_date(std::string_view text, DateOrder order)
{
    const std::string_view whole = text = quantity::trimmed(text);
    std::array<int, 3> parts{};
    for (std::size_t i = 0; i < 3; ++i) {
        const auto number = take_number(text);
        const bool parted =
            i == 2 ? text.empty() : text.starts_with('-') || text.starts_with('.') || text.starts_with('/');
        if (!number || !parted) return no_time(whole, in_words(order));
        parts[i] = *number;
        if (i < 2) text.remove_prefix(1);
    }
    const climate::MonthDay date = order == DateOrder::year_month_day   ? climate::MonthDay{parts[1], parts[2]}
                                   : order == DateOrder::day_month_year ? climate::MonthDay{parts[1], parts[0]}
                                                                        : climate::MonthDay{parts[0], parts[1]};
    if (date.month < 1 || date.month > 12)
        return NoTime{fmt::format("'{}' has no month {} as a {}", whole, date.month, in_words(order))};
    if (date.day < 1 || date.day > climate::days_in_month(date.month, true))
        return NoTime{fmt::format("'{}': {} has {} days", whole, climate::month_name(date.month),
                                  climate::days_in_month(date.month, true))};
    return date;
}

std::variant<int, NoTime> read_clock(std::string_view text)
{
    const std::string_view whole = text = quantity::trimmed(text);
    std::array<int, 3> parts{}; // hours, minutes, seconds
    for (std::size_t i = 0; i < 3; ++i) {
        const auto number = take_number(text);
        if (!number) return no_time(whole, "time of day");
        parts[i] = *number;
        if (text.empty()) break;
        if (!text.starts_with(':') || i == 2) return no_time(whole, "time of day");
        text.remove_prefix(1);
    }
    constexpr int whole_day = 24 * 60;
    if (parts[0] > 24 || parts[1] > 59 || parts[2] != 0 || 60 * parts[0] + parts[1] > whole_day)
        return no_time(whole, "time of day in whole minutes, 0:00 to 24:00");
    return 60 * parts[0] + parts[1];
}

std::variant<RecordTime, NoTime> read_date_and_clock(std::string_view text, DateOrder order)
{
    text = quantity::trimmed(text);
    const auto cut = text.find_first_of(" T");
    const auto date = read_date(text.substr(0, cut), order);
    if (const auto* wrong = std::get_if<NoTime>(&date)) return *wrong;
    RecordTime out{.date = std::get<climate::MonthDay>(date)};
    if (cut == std::string_view::npos) return out;
    const std::string_view clock = text.substr(cut + 1);
    if (clock.find_first_of("Zz+") != std::string_view::npos)
        return NoTime{fmt::format("'{}' names a time zone; local standard time is read, its zone is the station's",
                                  text.substr(0, 40))};
    const auto minutes = read_clock(clock);
    if (const auto* wrong = std::get_if<NoTime>(&minutes)) return *wrong;
    out.minute_of_day = std::get<int>(minutes);
    return out;
}

} // namespace venture::exchange::detail
