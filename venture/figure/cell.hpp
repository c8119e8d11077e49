#pragma once
/// What one place of a table of results holds.

#include <cstdint>
#include <optional>
#include <string>
#include <variant>

namespace venture::figure {

/// Where and when a peak occurs. Hours are clock hours: 14 means from 14:00 to 15:00.
struct When {
    std::string day{};   ///< "July", "winter design"; empty if not known (typed)
    int month = 0;       ///< 1..12; 0 if none
    int clock_hour = -1; ///< 0..23; -1: all hours alike, or not known
    friend bool operator==(const When&, const When&) = default;
};
/// "July 15-16 h", "winter design"; "not known" without a day.
[[nodiscard]] std::string in_words(const When& when);

/// SI; nothing: this row has none. Whole numbers, words, moments and yes or no stay what they are.
using Cell = std::variant<std::monostate, double, std::int64_t, bool, std::string, When>;

/// A value where there is one.
template <class T>
[[nodiscard]] Cell cell_of(const std::optional<T>& value)
{
    return value ? Cell{*value} : Cell{};
}
/// A value where it holds; else nothing.
template <class T>
[[nodiscard]] Cell where(bool holds, T value)
{
    return holds ? Cell{std::move(value)} : Cell{};
}
/// A part of a whole; nothing where there is no whole.
[[nodiscard]] inline Cell ratio(double part, double whole) { return where(whole > 0.0, part / whole); }
/// A count.
template <class T>
[[nodiscard]] Cell whole(T number)
{
    return static_cast<std::int64_t>(number);
}

} // namespace venture::figure
