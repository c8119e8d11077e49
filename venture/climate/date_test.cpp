#include <venture/climate/date.hpp>

#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::climate {
namespace {

TEST(Date, DaysAndDatesAreEachOthersInverse)
{
    for (const bool leap : {false, true})
        for (int n = 1; n <= (leap ? 366 : 365); ++n) EXPECT_EQ(day_of_year(month_day(n, leap), leap), n);
    EXPECT_EQ(day_of_year({1, 1}), 1);
    EXPECT_EQ(day_of_year({3, 1}), 60);
    EXPECT_EQ(day_of_year({3, 1}, true), 61);
    EXPECT_EQ(day_of_year({12, 31}), 365);
}

TEST(Date, DaysThatDoNotExistAreRefused)
{
    EXPECT_THROW((void)day_of_year({13, 1}), quantity::RangeError);
    EXPECT_THROW((void)day_of_year({6, 31}), quantity::RangeError);
    EXPECT_THROW((void)day_of_year({2, 29}), quantity::RangeError);
    EXPECT_THROW((void)month_day(366), quantity::RangeError);
    EXPECT_THROW((void)month_name(0), quantity::RangeError);
    EXPECT_THROW((void)days_in_month(13), quantity::RangeError);
}

TEST(Date, LeapYearsAreTheGregorianOnes)
{
    EXPECT_TRUE(is_leap_year(2024));
    EXPECT_TRUE(is_leap_year(2000));
    EXPECT_FALSE(is_leap_year(1900));
    EXPECT_FALSE(is_leap_year(2023));
}

TEST(Date, IsReadInTheUsualWays)
{
    for (const char* text : {"29 March", "29 Mar", "March 29", "  29   march ", "MARCH 29"}) {
        const auto read = read_month_day(text);
        ASSERT_TRUE(std::holds_alternative<MonthDay>(read)) << text;
        EXPECT_EQ(std::get<MonthDay>(read), (MonthDay{3, 29})) << text;
    }
    EXPECT_EQ(in_words({3, 29}), "29 March");
}

TEST(Date, WhatIsNoDateSaysWhy)
{
    const auto reason = [](const char* text) {
        const auto read = read_month_day(text);
        return std::holds_alternative<NoDate>(read) ? std::get<NoDate>(read).reason : "a date";
    };
    EXPECT_EQ(reason("31 June"), "June has 30 days");
    EXPECT_EQ(reason("30 February"), "February has 29 days");
    EXPECT_EQ(reason("0 May"), "May has 31 days");
    for (const char* text : {"", "March", "29", "29.3.", "29 Ma", "29 Smarch", "x March", "29 March 2026"})
        EXPECT_EQ(reason(text), "a day and a month expected, such as \"29 March\"") << text;
}

TEST(Date, SpansMayRunAcrossTheNewYear)
{
    EXPECT_TRUE(is_between({7, 21}, {3, 29}, {10, 24}));
    EXPECT_TRUE(is_between({3, 29}, {3, 29}, {10, 24}));
    EXPECT_FALSE(is_between({10, 25}, {3, 29}, {10, 24}));
    EXPECT_TRUE(is_between({1, 21}, {10, 4}, {4, 5}));
    EXPECT_FALSE(is_between({7, 21}, {10, 4}, {4, 5}));
}

} // namespace
} // namespace venture::climate
