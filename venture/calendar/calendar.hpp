#pragma once
/// Which profile applies on which day of the year.

#include <array>
#include <cstdint>
#include <string>
#include <vector>

#include <venture/calendar/days.hpp>
#include <venture/calendar/profile.hpp>

namespace venture::calendar {

/// A rule as it was typed, and what became of it: later rules win.
struct Rule {
    std::string text{};
    std::size_t named = 0, won = 0; ///< days that it names, and those of them that no later rule takes
};

/// Profiles by day. A profile by itself is one for every day.
struct Calendar {
    std::string name{};
    std::vector<Profile> profiles{};      ///< one or more
    std::vector<std::uint16_t> on_day{};  ///< index into `profiles` at each place of YearDays; empty: always the first
    std::array<std::size_t, 13> design{}; ///< on design days: [0] winter, [1..12] cooling by month
    std::vector<Rule> rules{};            ///< empty for a profile by itself

    [[nodiscard]] bool is_one_profile() const { return on_day.empty(); }
    [[nodiscard]] const Profile& on_design_day(int month) const ///< 0: winter
    {
        return profiles[design[static_cast<std::size_t>(month)]];
    }
    [[nodiscard]] const Profile& on(climate::MonthDay date) const
    {
        return on_day.empty() ? profiles.front() : profiles[on_day[place_in_year(date)]];
    }
};

/// The same profile on every day.
[[nodiscard]] Calendar every_day(Profile profile);

/// A rule to make a calendar of: its days take the profile that they have in another calendar, which may be of one
/// profile only.
struct RuleDays {
    std::string text{};
    YearDays days{};
    Calendar taken{};
};

/// A calendar by rules, of which later ones win; days that no rule names take the profile "never". Design days take the
/// profile with the most full-load hours on any day of their month, winter that of any day of the year, whatever the
/// rules' own calendars say of design days.
/// @param year  that the rules' days were read for
[[nodiscard]] Calendar calendar_of(std::string name, const std::vector<RuleDays>& rules, int year);

/// Days of the year that no rule of a calendar names.
[[nodiscard]] std::size_t days_without_rule(const Calendar& calendar, int year);

/// Sum of the fractions over a month (1..12) or the year (0), h.
[[nodiscard]] double full_load_hours(const Calendar& calendar, int month, int year);

} // namespace venture::calendar
