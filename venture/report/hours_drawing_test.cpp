#include <venture/report/hours_drawing.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/report/year_report.hpp>

namespace venture::report {
namespace {

HoursDrawing two_days(std::size_t loads)
{
    HoursDrawing out{.title = "Room", .subtitle = "a test", .days = {"1 May", "2 May"}};
    for (const char* name : {"outdoors", "room"}) out.temperatures_C.push_back({name, std::vector<double>(48, 20.0)});
    for (std::size_t i = 0; i < loads; ++i) out.loads_W.push_back({"heating", std::vector<double>(48, 0.0)});
    return out;
}

TEST(HoursDrawing, IsTheSameBytesTwiceInEveryKind)
{
    for (const Picture kind : {Picture::svg, Picture::png, Picture::pdf})
        for (const std::size_t loads : {0U, 1U}) {
            const std::string once = draw_hours(two_days(loads), {.picture = kind});
            EXPECT_GT(once.size(), 1000u);
            EXPECT_EQ(once, draw_hours(two_days(loads), {.picture = kind}));
        }
}

TEST(HoursDrawing, BearsCurvesThatNeverMove) // nothing to scale by
{
    EXPECT_THAT(draw_hours(two_days(1)), testing::Not(testing::HasSubstr("nan")));
}

TEST(YearTable, QuotesHeadingsAndCountsHours)
{
    loads::BuildingYear year{.first_day = 60, .days = 1};
    year.series = {{"heating", "W", "The \"den\", upstairs", std::vector<double>(24, 1.5)}};
    const std::string csv = year_csv(year, false);
    EXPECT_THAT(csv, testing::StartsWith("day,hour,\"The \"\"den\"\", upstairs: heating [W]\"\n1 March,0,1.5\n"));
    EXPECT_EQ(hour_of_year_in_words(59 * 24 + 15, false), "1 March 15-16 h");
    EXPECT_EQ(hour_of_year_in_words(59 * 24 + 15, true), "29 February 15-16 h");
}

} // namespace
} // namespace venture::report
