#include <venture/exchange/csv.hpp>

#include <gtest/gtest.h>

namespace venture::exchange {
namespace {

struct Parsed {
    std::vector<CsvRow> rows;
    std::vector<quantity::Problem> problems;
};

Parsed parse(std::string_view text)
{
    quantity::OriginPool origins;
    Parsed p;
    p.rows = parse_csv(text, "t.csv", origins, p.problems);
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
    EXPECT_EQ(p.rows[1][2].column, 3u);
}

TEST(ParseCsv, ReadsQuotedCells)
{
    const auto p = parse("\"a,b\",\"say \"\"hi\"\"\",\"two\nlines\"\nx,y,z");
    EXPECT_EQ(texts(p.rows[0]), (Strings{"a,b", "say \"hi\"", "two\nlines"}));
    EXPECT_EQ(p.rows[1][0].line, 3u);
}

TEST(ParseCsv, TakesSemicolonsWhereTheHeaderHasThem)
{
    EXPECT_EQ(texts(parse("a;b\n1,5;2\n").rows[1]), (Strings{"1,5", "2"}));
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
    for (const std::string text : {"plain", "a,b", "say \"hi\"", "two\nlines", "a;b", ""})
        EXPECT_EQ(parse("h,x\n" + csv_cell(text) + ",x\n").rows.at(1).at(0).text, text);
}

} // namespace
} // namespace venture::exchange
