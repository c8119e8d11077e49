#include <venture/report/text_table.hpp>

#include <algorithm>

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

TextTable of_loads()
{
    TextTable t;
    t.add_column("Room", Align::left);
    t.add_column("Heating\nW");
    t.add_column("Heating\nW/m2", Align::right, 3);
    t.add_column("Why", Align::left, 2);
    t.add_row({"Hall", "4200", "84", "because its walls are old and its windows are older"});
    return t;
}

TEST(TextTable, PartsWordsWhereThereIsLittleRoom)
{
    EXPECT_EQ(of_loads().text(46), "Room  Heating        Why\n"
                                   "            W  W/m2\n"
                                   "----------------------------------------------\n"
                                   "Hall     4200    84  because its walls are old\n"
                                   "                     and its windows are older\n");
}

TEST(TextTable, LeavesOutWhatIsWorthLeastAndSaysSo)
{
    const std::string narrow = of_loads().text(40);
    EXPECT_NE(narrow.find("Left out for want of room: Heating W/m2\n(--wide shows them)"), std::string::npos) << narrow;
    EXPECT_NE(narrow.find("because"), std::string::npos);
    const std::string narrower = of_loads().text(20);
    EXPECT_EQ(narrower.find("because"), std::string::npos) << narrower;
    EXPECT_NE(narrower.find("4200"), std::string::npos); // what stays, stays
}

TEST(TextTable, NamesWhatItLeavesOutInWholeWords)
{
    TextTable t;
    t.add_column("Coils for", Align::left);
    t.add_column("Humidi-\nfying\nkg/h", Align::right, 4);
    t.add_column("\n\nW", Align::right, 5);
    t.add_column("", Align::left, 5);
    t.add_row({"Archive", "1.2", "820", "steam"});
    std::string narrow = t.text(12);
    std::ranges::replace(narrow, '\n', ' ');
    EXPECT_NE(narrow.find("Left out for want of room: Humidifying kg/h, W (after Humidifying kg/h), "
                          "the column after Humidifying kg/h (--wide shows them)"),
              std::string::npos)
        << narrow;
}

TEST(TextTable, LeavesOutTogetherWhatBelongsTogetherAndTellsLikeNamesApart)
{
    TextTable t;
    t.add_column("Room", Align::left);
    for (const char* month : {"Jan", "Feb", "Mar"})
        t.add_column(month, Align::right, *month == 'J' ? 2 : 3, *month != 'J');
    t.add_column("Heating\nW");
    t.add_column("on", Align::left, 0);
    t.add_column("Cooling\nW");
    t.add_column("on", Align::left, 4);
    t.add_row({"Hall", "1", "2", "3", "40", "2 May", "50", "3 June"});
    const std::string narrow = t.text(39);
    EXPECT_EQ(narrow.find("Feb "), std::string::npos) << narrow;
    EXPECT_NE(narrow.find("Jan"), std::string::npos);
    EXPECT_NE(narrow.find("of room: Feb, Mar, on\n(after Cooling W)"), std::string::npos) << narrow;
}

TEST(TextTable, IsNoWiderThanItsPageWhateverItsCells)
{
    for (std::size_t width = 24; width < 90; ++width) {
        const std::string text = of_loads().text(width);
        for (std::size_t at = 0; at < text.size();) {
            const std::size_t end = text.find('\n', at);
            EXPECT_LE(end - at, width) << text;
            at = end + 1;
        }
    }
}

TEST(TextTable, ShowsWhatWouldActOnATerminalAsMarks)
{
    TextTable t;
    t.add_column("Room", Align::left);
    t.add_column("W");
    t.add_row({"\x1b[31mred\nHall\xe2\x80\xae", "1"});
    t.add_row({"\xe6\xb8\xa9\xe5\xae\xa4", "22"}); // wide letters
    EXPECT_EQ(t.text(), "Room                    W\n"
                        "-------------------------\n"
                        "\xe2\x90\x9b[31mred\xe2\x90\x8aHall<U+202E>   1\n"
                        "\xe6\xb8\xa9\xe5\xae\xa4                   22\n");
}

} // namespace
} // namespace venture::report
