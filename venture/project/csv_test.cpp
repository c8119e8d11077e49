#include <venture/project/csv.hpp>

#include <gtest/gtest.h>

namespace venture::project {
namespace {

struct Parsed {
    std::vector<CsvRow> rows; ///< with the header
    CsvTable table;
    quantity::Problems problems;
    [[nodiscard]] std::string said() const { return problems.empty() ? "" : problems.front().message; }
};

/// Columns called "n..." hold numbers.
Parsed parse(const std::string& text, const CsvStated& stated = {})
{
    quantity::OriginPool origins;
    Parsed p;
    const auto numbers = [](std::size_t, const std::string& name) { return name.starts_with("n"); };
    p.table = read_csv(text, "t.csv", stated, numbers, origins, p.problems);
    p.rows = p.table.header;
    p.rows.insert(p.rows.end(), p.table.rows.begin(), p.table.rows.end());
    return p;
}

std::vector<std::string> texts(const CsvRow& row)
{
    std::vector<std::string> out;
    for (const CsvCell& c : row) out.push_back(c.text);
    return out;
}

using Strings = std::vector<std::string>;

TEST(ParseCsv, SplitsTrimsAndSkipsEmptyLinesAndComments)
{
    const auto p = parse("# head\na, b ,c\r\n\n1,2,3\n");
    ASSERT_EQ(p.rows.size(), 2u);
    EXPECT_EQ(texts(p.rows[0]), (Strings{"a", "b", "c"}));
    EXPECT_EQ(p.rows[1][2].line, 4u);
    EXPECT_EQ(p.rows[1][2].column, 5u);
}

TEST(ParseCsv, ReadsQuotedCells)
{
    const auto p = parse("\"a,b\",\"say \"\"hi\"\"\",\"two\nlines\"\nx,y,z");
    EXPECT_EQ(texts(p.rows[0]), (Strings{"a,b", "say \"hi\"", "two\nlines"}));
    EXPECT_EQ(p.rows[1][0].line, 3u);
}

TEST(CsvDialects, AreDetected)
{
    EXPECT_EQ(texts(parse("a;b\n1,5;2\n").rows[1]), (Strings{"1,5", "2"}));
    EXPECT_EQ(parse("a,b;n\n1;3,5\n2;4,25\n").table.dialect, (CsvDialect{';', ',', input::Encoding::utf_8, 1}));
    EXPECT_EQ(parse("a\tn\nx\t3.5\n").table.dialect, (CsvDialect{'\t', '.', input::Encoding::utf_8, 1}));
    EXPECT_EQ(parse("a|n\nx|3.5\n").table.dialect.separator, '|');
    EXPECT_EQ(parse("name,n\n,ft\nHall,12\n").table.dialect.header_rows, 2);
    EXPECT_EQ(parse("name,n\nHall,12\n").table.dialect.header_rows, 1);
    EXPECT_EQ(in_words(CsvDialect{';', ',', input::Encoding::utf_8, 2}),
              "semicolons between cells, decimal commas, utf-8, two header rows");
}

TEST(CsvDialects, AreTakenAsStated)
{
    const auto p = parse("a;n\nx;1,234\n", {.separator = ';', .decimal_mark = ','});
    EXPECT_EQ(p.problems.size(), 0u);
    EXPECT_EQ(with_decimal_point(p.rows[1][1].text, p.table.dialect.decimal_mark), "1.234");
    EXPECT_EQ(with_decimal_point("3,5 m", ','), "3.5 m");
    EXPECT_EQ(with_decimal_point("Hall, west", ','), "Hall, west");
}

TEST(CsvDialects, LinesAboveTheHeadingsAreNotReadButCounted)
{
    const auto p = parse("kept; by \"hand\n1,2,3\na;n\nx;1,5\n", {.skip_lines = 2});
    ASSERT_EQ(p.rows.size(), 2u);
    EXPECT_EQ(texts(p.rows[1]), (Strings{"x", "1,5"}));
    EXPECT_EQ(p.rows[1][0].line, 4u);
    EXPECT_EQ(p.problems.size(), 0u);
    EXPECT_TRUE(parse("a,b\n1,2\n", {.skip_lines = 9}).rows.empty());
}

TEST(CsvDialects, TablesWithoutHeadingsAreAllRows)
{
    const auto p = parse("1;2,5\n3;4,5\n", {.header_rows = 0});
    EXPECT_TRUE(p.table.header.empty());
    EXPECT_EQ(p.table.rows.size(), 2u);
    EXPECT_TRUE(headings(p.table).empty());
    EXPECT_EQ(in_words(p.table.dialect).substr(0, 24), "semicolons between cells");
}

TEST(CsvEncodings, AreDetectedAndTurnedIntoUtf8)
{
    const std::string cafe = "caf\u00e9";
    const auto western = parse("a,b\ncaf\xe9,2\n");
    EXPECT_EQ(western.rows[1][0].text, cafe);
    EXPECT_EQ(western.table.dialect.encoding, input::Encoding::windows_1252);
    EXPECT_EQ(western.rows[1][1].column, 6u); // letters, not bytes
    std::string wide = "\xFF\xFE";
    for (const char c : std::string{"a;b\ncaf"}) wide += {c, '\0'};
    wide += "\xE9";
    for (const char c : std::string{"\0;\0x\0\n\0", 7}) wide += c;
    EXPECT_EQ(parse(wide).rows.at(1).at(0).text, cafe);
    EXPECT_EQ(parse("a,b\n\xff,1\n", {.encoding = input::Encoding::utf_8}).said(), "the table is not in utf-8");
}

TEST(CsvNumbers, ThatReadInTwoWaysAreErrors)
{
    EXPECT_NE(parse("a;n\nx;1,234\n").said().find("ambiguous"), std::string::npos);
    EXPECT_NE(parse("a;n\nx;1,5\ny;1.234\n").said().find("ambiguous"), std::string::npos);
    EXPECT_NE(parse("a;n\nx;1,5\ny;2.5\n").said().find("decimal comma in a table of decimal points"),
              std::string::npos);
    EXPECT_NE(parse("a;n\nx;1.234.567\n").said().find("thousands marks"), std::string::npos);
    EXPECT_NE(parse("a;n\nx;1.234,5\n").said().find("thousands marks"), std::string::npos);
    EXPECT_EQ(parse("a;n\n1.04;1,5\n").said(), ""); // a name
    EXPECT_EQ(parse("a,n\nx,1.234\n").said(), "");
}

TEST(CsvHeadings, CarryUnitsInBracketsOrInARowOfTheirOwn)
{
    const auto one = headings(parse("a, height [ft] ,u\n").table);
    ASSERT_EQ(one.size(), 3u);
    EXPECT_EQ(one[1].name, "height");
    EXPECT_EQ(one[1].unit, "ft");
    EXPECT_EQ(one[1].column, 3u);
    const auto two = headings(parse("a,height,u\n-,ft,[W/m2K]\nx,2,3\n").table);
    EXPECT_EQ(two[0].unit + two[1].unit + two[2].unit, "ftW/m2K");
}

TEST(ParseCsv, KeepsEmptyCells)
{
    EXPECT_EQ(texts(parse("a,,c\n,,\n").rows[0]), (Strings{"a", "", "c"}));
    EXPECT_EQ(parse("a,b,\n").rows[0].size(), 3u);
    EXPECT_EQ(parse("a,b,").rows[0].size(), 3u);
}

TEST(ParseCsv, TellsAQuoteThatDoesNotEnd)
{
    const auto p = parse("a,\"b\nc\n");
    ASSERT_EQ(p.problems.size(), 1u);
    EXPECT_EQ(p.problems[0].code, "V102");
}

TEST(ParseCsv, OfNothingIsNothing)
{
    EXPECT_TRUE(parse("").rows.empty());
    EXPECT_TRUE(parse("# only a comment").rows.empty());
    EXPECT_TRUE(parse("\xEF\xBB\xBF").rows.empty());
}

TEST(CsvCellText, RoundTrips)
{
    for (const std::string text : {"plain", "a,b", "say \"hi\"", "two\nlines", "a;b", "", "#1", "=1+1", "'=1+1", "@x",
                                   "\t=1", "-4", "it's", " room", "room ", " "})
        EXPECT_EQ(parse("h,x\n" + csv_cell(text) + ",x\n").rows.at(1).at(0).text, text);
}

TEST(ParseCsv, RefusesBytesOfNothing)
{
    const Parsed p = parse(std::string{"room,height\nA,3\0\n", 18});
    ASSERT_EQ(p.problems.size(), 1u);
    EXPECT_EQ(p.problems[0].code, "V102");
    EXPECT_NE(p.problems[0].message.find("a byte of value 0"), std::string::npos);
}

/// Places are counted on from cell to cell: columns by letters, however many there are.
TEST(ParseCsv, CountsTheColumnsOfManyCells)
{
    std::string line = "caf\u00e9";
    for (int i = 0; i < 16'000; ++i) line += ",x";
    const Parsed p = parse(line + "\n" + line + "\n", {.separator = ','});
    ASSERT_EQ(p.rows.size(), 2U);
    EXPECT_EQ(p.rows[1][1].column, 6U);
    EXPECT_EQ(p.rows[1].back().column, 4U + 2U * 16'000U);
}

TEST(ReadCsv, RefusesMoreColumnsThanAnyRecordHas)
{
    std::string line = "a";
    for (int i = 0; i < 20'000; ++i) line += ",a";
    const Parsed p = parse(line + "\n" + line + "\n", {.separator = ','});
    ASSERT_EQ(p.problems.size(), 1u);
    EXPECT_EQ(p.problems[0].message, "20001 columns, more than the 16384 that are read");
    EXPECT_TRUE(p.rows.empty());
}

} // namespace
} // namespace venture::project
