#include <venture/exchange/icalendar.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

namespace venture::exchange {
namespace {

using testing::ElementsAre;
using testing::HasSubstr;
using testing::IsEmpty;

struct Read {
    std::vector<std::string> dates{};
    quantity::Problems problems{};
    quantity::OriginPool origins{};
    quantity::TextList texts{};
};

Read read(const std::string& events, const std::string& words = {}, int year = 2027)
{
    Read out;
    out.texts =
        read_event_days("BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//test//EN\r\n" + events + "END:VCALENDAR\r\n",
                        "h.ics", year, words, out.origins, out.problems);
    for (const auto& text : out.texts) out.dates.push_back(text.text);
    return out;
}

std::string event(const std::string& lines, const std::string& summary = "Holiday")
{
    return "BEGIN:VEVENT\r\nUID:1\r\nSUMMARY:" + summary + "\r\n" + lines + "END:VEVENT\r\n";
}

TEST(EventDays, EndOnTheDayBeforeTheirEnd)
{
    EXPECT_THAT(read(event("DTSTART;VALUE=DATE:20270701\r\nDTEND;VALUE=DATE:20270901\r\n")).dates,
                ElementsAre("2027-07-01 to 2027-08-31"));
    EXPECT_THAT(read(event("DTSTART;VALUE=DATE:20270514\r\n")).dates, ElementsAre("2027-05-14"));
    EXPECT_THAT(read(event("DTSTART;VALUE=DATE:20270514\r\nDTEND;VALUE=DATE:20270515\r\n")).dates,
                ElementsAre("2027-05-14"));
}

TEST(EventDays, AreThoseOfTheYear)
{
    EXPECT_THAT(read(event("DTSTART;VALUE=DATE:20261222\r\nDTEND;VALUE=DATE:20270105\r\n")).dates,
                ElementsAre("2027-01-01 to 2027-01-04"));
    EXPECT_THAT(read(event("DTSTART;VALUE=DATE:20260514\r\n")).dates, IsEmpty());
    EXPECT_THAT(read(event("DTSTART;VALUE=DATE:20280101\r\n")).dates, IsEmpty());
}

TEST(EventDays, OfEventsWithTimesAreThoseThatTheyTouch)
{
    EXPECT_THAT(read(event("DTSTART:20270514T180000\r\nDTEND:20270515T020000\r\n")).dates,
                ElementsAre("2027-05-14 to 2027-05-15"));
    EXPECT_THAT(read(event("DTSTART:20270514T180000\r\nDTEND:20270515T000000\r\n")).dates, ElementsAre("2027-05-14"));
}

TEST(EventDays, ComeAgainByRule)
{
    EXPECT_THAT(read(event("DTSTART;VALUE=DATE:20200501\r\nRRULE:FREQ=YEARLY\r\n")).dates, ElementsAre("2027-05-01"));
    EXPECT_EQ(read(event("DTSTART;VALUE=DATE:20270101\r\nRRULE:FREQ=WEEKLY;COUNT=3\r\nEXDATE;VALUE=DATE:20270108\r\n"))
                  .dates.size(),
              2u);
    EXPECT_THAT(read(event("DTSTART;VALUE=DATE:20270301\r\nRDATE;VALUE=DATE:20270401\r\n")).dates,
                ElementsAre("2027-03-01", "2027-04-01"));
}

TEST(EventDays, CanBeChosenByTheirSummary)
{
    const std::string both = event("DTSTART;VALUE=DATE:20270514\r\n", "Staff day") +
                             event("DTSTART;VALUE=DATE:20270601\r\n", "Half-term HOLIDAY");
    EXPECT_THAT(read(both, "holiday").dates, ElementsAre("2027-06-01"));
    EXPECT_EQ(read(both).dates.size(), 2u);
    EXPECT_THAT(read(event("DTSTART;VALUE=DATE:20270514\r\nSTATUS:CANCELLED\r\n")).dates, IsEmpty());
}

TEST(EventDays, StandAtTheLineOfTheirEvent)
{
    const Read out = read(event("DTSTART;VALUE=DATE:20270514\r\n") + event("DTSTART;VALUE=DATE:20270601\r\n"));
    ASSERT_EQ(out.texts.size(), 2u);
    EXPECT_EQ(out.origins.at(out.texts[0].origin).line, 4u);
    EXPECT_EQ(out.origins.at(out.texts[1].origin).line, 9u);
}

TEST(EventDays, SayWhatIsWrongWithAFile)
{
    const auto message = [](const Read& r) { return r.problems.empty() ? std::string{} : r.problems[0].message; };
    EXPECT_THAT(message(read("")), HasSubstr("no event"));
    EXPECT_THAT(message(read(event(""))), HasSubstr("no beginning"));
    EXPECT_THAT(message(read(event("DTSTART;VALUE=DATE:20270514\r\nRRULE:FREQ=SOMETIMES\r\n"))),
                HasSubstr("'Holiday' has a line that cannot be read"));
    EXPECT_THAT(message(read(event("DTSTART;VALUE=DATE:20271345\r\n"))), HasSubstr("'Holiday' has no beginning"));
    EXPECT_THAT(message(read(event("DTSTART;VALUE=DATE:20270514\r\nDTEND;VALUE=DATE:20270501\r\n"))),
                HasSubstr("ends before it begins"));
    Read none;
    EXPECT_THAT(read_event_days("date;name\n1;2\n", "h.ics", 2027, {}, none.origins, none.problems), IsEmpty());
    EXPECT_THAT(message(none), HasSubstr("no iCalendar file"));
    Read cut;
    EXPECT_THAT(read_event_days("BEGIN:VCALENDAR\r\n" + event("DTSTART;VALUE=DATE:20270514\r\n"), "h.ics", 2027, {},
                                cut.origins, cut.problems),
                IsEmpty());
    EXPECT_THAT(message(cut), HasSubstr("cut off or muddled: 2 lines BEGIN: and 1 lines END:"));
}

} // namespace
} // namespace venture::exchange
