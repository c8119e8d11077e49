#include <venture/report/year_report.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

namespace venture::report {
namespace {

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
