#include <venture/report/text_table.hpp>

#include <gtest/gtest.h>

namespace venture::report {
namespace {

TEST(TextTable, AlignsColumnsAndTrimsLineEnds)
{
    TextTable t;
    t.add_column("Room", Align::left);
    t.add_column("Area\nm2");
    t.add_row({"Hall", "12.0"});
    t.add_row({"A longer name", "3.5"});
    t.add_rule();
    t.add_row({"sum"});
    EXPECT_EQ(t.text(), "Room           Area\n"
                        "                 m2\n"
                        "-------------------\n"
                        "Hall           12.0\n"
                        "A longer name   3.5\n"
                        "-------------------\n"
                        "sum\n");
}

TEST(TextTable, OfNothingIsTwoEmptyLinesAtMost) { EXPECT_EQ(TextTable{}.text(), "\n"); }

} // namespace
} // namespace venture::report
