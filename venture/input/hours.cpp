#include <venture/input/hours.hpp>

#include <venture/input/key_shorthand.hpp>

namespace venture::input {

using namespace declare; // NOLINT(google-build-using-namespace): words that only declare keys

const RecordSpec& ProfileInput::spec()
{
    using T = ProfileInput;
    static const RecordSpec all = RecordSpec::of<T>({
        name_key<T>("what gains call it"),
        text_key("purpose", &T::purpose,
                 "what such hours are of: \"shop\"; in a room of another purpose they are a finding"),
        text_key("hours", &T::hours,
                 "clock hours with a fraction: \"08-12 50 %\", \"06:30-08 10 % to 100 %\" for a ramp; hours not "
                 "named are 0, later ones win"),
        {listed(number("values", Kind::fraction, 0, 1, "instead of hours: 24 fractions, from midnight on"), 24),
         &T::values},
        note_key<T>(),
    });
    return all;
}

const RecordSpec& DaysInput::spec()
{
    using T = DaysInput;
    static const RecordSpec all = RecordSpec::of<T>({
        name_key<T>("what rules of calendars call these days"),
        {holding("dates", {"days"},
                 "\"14 May\", \"24 December to 2 January\", \"2027-05-14\", \"weeks 30 to 33\", a weekday, a month, a "
                 "season, or other [[days]] by name"),
         &T::dates},
        text_key("file", &T::file, "iCalendar file (*.ics) in the project's folder whose events are such days too"),
        text_key("events", &T::events, "only events of the file with this in their summary; all unless typed"),
        note_key<T>(),
    });
    return all;
}

const RecordSpec& CalendarInput::spec()
{
    using T = CalendarInput;
    static const RecordSpec all = RecordSpec::of<T>({
        name_key<T>("what gains and set-points call it, as they would a profile"),
        {must(holding(
             "rules", {"profile", "calendar", "days"},
             "days and the profile (or hours) that they have, later ones win: \"Monday to Friday: office hours\", "
             "\"Saturday in July, August: 09-13\", \"24 December to 2 January: never\", \"holidays: never\" of a "
             "[[days]]")),
         &T::rules},
        {naming_hours("design_day",
                      "profile that design days take; the one with the most full-load hours on any day of their month "
                      "unless typed, in winter design of any day"),
         &T::design_day},
        text_key("purpose", &T::purpose, "what such hours are of, as of a profile"),
        note_key<T>(),
    });
    return all;
}

} // namespace venture::input
