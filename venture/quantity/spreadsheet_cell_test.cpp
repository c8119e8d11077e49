#include <venture/quantity/spreadsheet_cell.hpp>

#include <gtest/gtest.h>

namespace venture::quantity {
namespace {

TEST(SpreadsheetCell, GuardsWhatWouldRun)
{
    for (const char* text : {"=1+1", "+cmd|' /C calc'!A0", "-2+3", "@SUM(A1)", "\t=1", "\r\n=1", "\uff1d1+1", "-1(2)"})
        EXPECT_EQ(guarded(text), "'" + std::string{text});
    for (const char* text : {"", "Kitchen", "-4", "+2.5 K", "-12 %", "'tis", "1=1", "-0.5 W/m2K"})
        EXPECT_EQ(guarded(text), text);
}

TEST(SpreadsheetCell, ComesBackUnchanged)
{
    for (const char* text : {"=1+1", "'=1+1", "''=1+1", "'tis", "''", "'", "", "-4", "'-4", "+a", "'@"})
        EXPECT_EQ(unguarded(guarded(text)), text);
}

} // namespace
} // namespace venture::quantity
