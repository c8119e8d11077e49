#include <venture/exchange/loads_table.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

namespace venture::exchange {
namespace {

struct Read {
    LoadsTable table;
    std::vector<std::string> said; ///< "line:column message"
};

Read read(const std::string& text)
{
    quantity::OriginPool origins;
    quantity::Problems problems;
    Read out{read_loads_table(text, "t.csv", origins, problems), {}};
    for (const auto& p : problems)
        out.said.push_back(std::to_string(origins.at(p.where).line) + ":" + std::to_string(origins.at(p.where).column) +
                           " " + p.message + " | " + p.hint);
    return out;
}

TEST(LoadsTable, ReadsLoadsWithUnitsFromTheHeaderOrTheCell)
{
    const Read r = read("room,heating [kW],sensible cooling [W],latent cooling\nA,1.5,2000,300\nB,800 W,0,0\n");
    EXPECT_THAT(r.said, testing::IsEmpty());
    ASSERT_EQ(r.table.loads.rooms.size(), 2u);
    const auto& a = r.table.loads.rooms[0];
    EXPECT_DOUBLE_EQ(a.heating_W, 1500.0);
    EXPECT_DOUBLE_EQ(a.cooling_W, 2300.0);
    EXPECT_DOUBLE_EQ(a.cooling_sensible_peak_W, 2000.0);
    EXPECT_TRUE(a.typed);
    EXPECT_DOUBLE_EQ(r.table.loads.rooms[1].heating_W, 800.0);
    EXPECT_FALSE(r.table.loads.rooms[1].cooled);
}

TEST(LoadsTable, SaysWhatItAssumed)
{
    EXPECT_EQ(read("room,heating,sensible cooling\nA,1,2\n").table.assumed.size(), 4u);
    EXPECT_EQ(read("room,heating,sensible cooling,latent cooling,heating room,cooling room,relative "
                   "humidity\nA,1,2,0,20,24,50\n")
                  .table.assumed.size(),
              0u);
}

struct Bad {
    const char *name, *text, *says;
};
void PrintTo(const Bad& bad, std::ostream* os) { *os << bad.name; }
class BadTable : public testing::TestWithParam<Bad> {};

TEST_P(BadTable, IsToldByRowAndColumn)
{
    EXPECT_THAT(read(GetParam().text).said, testing::Contains(testing::HasSubstr(GetParam().says)));
}

INSTANTIATE_TEST_SUITE_P(
    Corpus, BadTable,
    testing::Values(Bad{"empty", "", "the table is empty"},
                    Bad{"no_room", "heating,sensible cooling\n1,2\n", "no column 'room'"},
                    Bad{"no_cooling", "room,heating\nA,1\n", "no column 'sensible cooling'"},
                    Bad{"typo", "room,heatin,sensible cooling\nA,1,2\n", "1:6 unknown column 'heatin'"},
                    Bad{"unit", "room,heating [K],sensible cooling\nA,1,2\n", "1:6 heating: the unit 'K'"},
                    Bad{"text", "room,heating,sensible cooling\nA,lots,2\n", "2:3 heating: 'lots' found"},
                    Bad{"negative", "room,heating,sensible cooling\nA,-5,2\n", "2:3 heating: -5 W is outside"},
                    Bad{"nan", "room,heating,sensible cooling\nA,nan,2\n", "2:3 heating: 'nan' found"},
                    Bad{"empty_cell", "room,heating,sensible cooling\nA,,2\n", "2:3 heating: an empty cell"},
                    Bad{"thousands", "room,heating,sensible cooling\nA,1,234,2\n",
                        "2:0 4 cells where the header has 3"},
                    Bad{"comma", "room;heating;sensible cooling\nA;1,234;2\n", "2:3 '1,234' is ambiguous"},
                    Bad{"twice", "room,heating,sensible cooling\nA,1,2\nA,1,2\n", "3:1 room 'A' stands twice"},
                    Bad{"no_name", "room,heating,sensible cooling\n ,1,2\n", "2:1 a room without a name"}),
    [](const auto& tested) { return tested.param.name; });

TEST(LoadsTable, ReadsDecimalCommasAndSaysSo)
{
    const Read r = read("room;heating [kW];sensible cooling\nA;1,5;2\n");
    EXPECT_DOUBLE_EQ(r.table.loads.rooms.at(0).heating_W, 1500.0);
    EXPECT_THAT(r.said, testing::Contains(testing::HasSubstr("semicolons between cells, decimal commas")));
}

TEST(LoadsTable, RoundTripsWhatItWrites)
{
    const Read first = read("room,storey,floor area,heating,sensible cooling,sensible peak,latent cooling,relative "
                            "humidity\n\"A, left\",up,20,1234.5,800,850,90,45\n");
    const std::string written = write_loads_table(first.table.loads);
    const Read again = read(written);
    EXPECT_THAT(again.said, testing::IsEmpty());
    EXPECT_EQ(write_loads_table(again.table.loads), written);
    EXPECT_EQ(again.table.loads.rooms.at(0).room, "A, left");
    EXPECT_DOUBLE_EQ(again.table.loads.rooms[0].cooling_sensible_peak_W, 850.0);
}

TEST(LayOver, ReplacesTheSameRoomAndAddsOthers)
{
    loads::RoomLoads computed{.rooms = {{.room = "A", .storey = "up", .floor_area_m2 = 12.0, .heating_W = 500.0}}};
    loads::lay_over(read("room,heating,sensible cooling\nA,900,0\nB,100,0\n").table.loads, computed);
    ASSERT_EQ(computed.rooms.size(), 2u);
    EXPECT_DOUBLE_EQ(computed.rooms[0].heating_W, 900.0);
    EXPECT_TRUE(computed.rooms[0].typed);
    EXPECT_DOUBLE_EQ(computed.rooms[0].floor_area_m2, 12.0); // the table does not say otherwise
    EXPECT_EQ(computed.rooms[0].storey, "up");
}

} // namespace
} // namespace venture::exchange
