#pragma once
/// Profiles, named days and calendars. Internal to resolve.

#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// Profiles, each a calendar that is the same on every day, after "always" and "never".
void add_profiles(Work& work);
/// Calendars by their rules, in the project's year; an ill one is told.
void add_calendars(Work& work);
/// Which of the calendars a key means: by name, or by hours that stand there ("08-12 50 %, 13-17"), which become one more.
/// @return "always" where nothing is said, or what is said is told to be wrong
[[nodiscard]] std::size_t profile_called(Work& work, const Given<std::string>& name);
/// Tells of profiles, calendars and [[days]] of the project that nothing goes by.
void look_for_idle_hours(Work& work);

} // namespace venture::resolve
