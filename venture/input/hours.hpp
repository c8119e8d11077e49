#pragma once
/// When: profiles, named days and calendars.

#include <venture/input/given.hpp>

namespace venture::input {

struct ProfileInput {
    Given<std::string> name, purpose, note;
    Given<TextList> hours;      ///< "08-18 100 %"; hours not named are 0
    Given<QuantityList> values; ///< instead: 24 fractions
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Days of the year under one name: typed, and out of an iCalendar file.
struct DaysInput {
    Given<std::string> name, file, events, note;
    Given<TextList> dates;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Which profile applies on which day.
struct CalendarInput {
    Given<std::string> name, purpose, design_day, note;
    Given<TextList> rules; ///< "Monday to Friday: office hours"; later ones win
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
