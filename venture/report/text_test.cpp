#include <venture/report/text.hpp>

#include <gtest/gtest.h>

namespace venture::report {
namespace {

TEST(Text, GoesOnBelowTheWordsBehindALabel)
{
    const Text text{"Heating  4 kW of all rooms together in winter design, no margins\nshort\n"};
    EXPECT_EQ(text.laid_out(40), "Heating  4 kW of all rooms together in\n"
                                 "         winter design, no margins\n"
                                 "short\n");
    EXPECT_EQ(text.laid_out(), "Heating  4 kW of all rooms together in winter design, no margins\nshort\n");
}

TEST(Text, JoinsSentencesAndTables)
{
    TextTable table;
    table.add_column("Room");
    table.add_row({"Hall"});
    const Text text = "Rooms\n" + Text{table} + "and no end";
    EXPECT_EQ(text.laid_out(), "Rooms\nRoom\n----\nHall\nand no end");
    EXPECT_TRUE((Text{} + "").empty());
}

} // namespace
} // namespace venture::report
