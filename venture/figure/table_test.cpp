#include <venture/figure/path.hpp>
#include <venture/figure/shown.hpp>
#include <venture/figure/tables_of.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::figure {
namespace {

struct Room {
    std::string name{};
    double heating_W = 0.0;
    std::optional<double> coldest_C{};
    int people = 0;
};

const TableOf<Room>& rooms()
{
    using R = Room;
    static const TableOf<R> all = {{"room", "Rooms", "A room."},
                                   {
                                       {{"name", "Room", "", "its name", 0}, [](const R& r) -> Cell { return r.name; }},
                                       {{"heating", "Heating", "power", "it needs", 1, Sum::added},
                                        [](const R& r) -> Cell { return r.heating_W; }},
                                       {{"coldest", "Coldest", "temperature", "of its air", 1, Sum::smallest},
                                        [](const R& r) -> Cell { return cell_of(r.coldest_C); }},
                                       {{"people", "people", "count", "in it", 1, Sum::largest, Show::always, true},
                                        [](const R& r) -> Cell { return whole(r.people); }},
                                   }};
    return all;
}

Table three()
{
    return table_of(
        rooms(), std::vector<Room>{{"Hall", 1200.0, 18.5, 4}, {"Den/attic", 800.0, {}, 0}, {"Bath", 500.0, 21.0, 1}});
}

TEST(FigureTable, TakesCellsByTheirColumns)
{
    const Table t = three();
    EXPECT_EQ(std::get<double>(t.rows[0][t.column("heating")]), 1200.0);
    EXPECT_TRUE(std::holds_alternative<std::monostate>(t.rows[1][t.column("coldest")]));
    EXPECT_EQ(t.subject(1), "Den/attic");
    EXPECT_THROW((void)t.column("cooling"), quantity::Error);
}

TEST(FigureTable, TotalsFollowFromTheWayOfEachColumn)
{
    Table t = three();
    const Total& all = t.add_total("all");
    EXPECT_EQ(std::get<double>(all.cells[t.column("heating")]), 2500.0);
    EXPECT_EQ(std::get<double>(all.cells[t.column("coldest")]), 18.5);
    EXPECT_EQ(std::get<std::int64_t>(all.cells[t.column("people")]), 4);
    EXPECT_EQ(std::get<double>(t.add_total("two", {1, 2}).cells[t.column("heating")]), 1300.0);
    EXPECT_TRUE(std::holds_alternative<std::monostate>(t.add_total("none", {}).cells[t.column("heating")]));
}

TEST(Shown, NumbersInTheUnitsChosenAndDashesForNothing)
{
    const Table t = three();
    const quantity::PreferredUnits si, inch_pound{"inch-pound"};
    const Column &heating = t.columns[t.column("heating")], &coldest = t.columns[t.column("coldest")],
                 &people = t.columns[t.column("people")];
    EXPECT_EQ(shown(t.rows[0][1], heating, si), "1200");
    EXPECT_EQ(shown_with_unit(t.rows[0][2], coldest, inch_pound), "65.3 degF");
    EXPECT_EQ(shown(t.rows[1][2], coldest, si), "-");
    EXPECT_EQ(shown(t.rows[1][3], people, si), "-"); // none of it
    EXPECT_EQ(si_unit_of(heating), "W");
    EXPECT_DOUBLE_EQ(in_unit(1000.0, heating, inch_pound), 1000.0 / (1055.05585262 / 3600.0));
    EXPECT_EQ(in_words(When{"July", 7, 15}), "July 15-16 h");
    EXPECT_EQ(heading_in_a_line({"x", "Walls out\n\nnet", "area"}), "Walls out net");
    EXPECT_THROW((void)shown(1.0, {"x", "X", "no such quantity"}, si), quantity::Error);
}

TEST(Shown, ColumnsByWhatTheirRowsHold)
{
    Table t = three();
    t.columns[1].show = Show::data;
    t.columns[2].show = Show::if_any;
    t.columns[3].show = Show::if_varied;
    EXPECT_EQ(columns_for_people(t), (std::vector<std::size_t>{0, 2, 3}));
    t.rows = {{std::string{"Hall"}, 1.0, {}, whole(2)}, {std::string{"Den"}, 1.0, {}, whole(2)}};
    EXPECT_EQ(columns_for_people(t), (std::vector<std::size_t>{0}));
}

TEST(Paths, NameEveryFigureAndAreMatchedPartByPart)
{
    Document d;
    d.add(three()).add("words\n").add(three());
    std::vector<std::string> paths;
    for (const Figure& f : figures_of(d, "room/*/heating")) paths.push_back(f.path);
    EXPECT_THAT(paths, testing::ElementsAre("room/Hall/heating", "room/Den/attic/heating", "room/Bath/heating"));
    EXPECT_EQ(figures_of(d, "*/Bath").size(), 3u);
    EXPECT_EQ(figures_of(d).size(), 8u); // the attic's coldest is not there
    EXPECT_EQ(parts_of("room/Den/attic/heating").subject, "Den/attic");
    EXPECT_FALSE(matches("room/Hall/heating", "room/Hal/heating"));
}

TEST(Documents, GiveDataWithTablesOfOneNameAsOne)
{
    Document d;
    Table first = three(), second = three(), for_people = three();
    first.add_total("first");
    second.add_total("second", {2});
    for_people.told = Told::people;
    for_people.name = "shown";
    d.add(first).add(for_people).add(second);
    const std::vector<Table> data = d.data_tables();
    ASSERT_EQ(data.size(), 1u);
    EXPECT_EQ(data[0].rows.size(), 6u);
    EXPECT_EQ(data[0].totals[1].rows, std::vector<std::size_t>{5});
}

/// What a table is told of, in the test below.
struct House {
    std::vector<Room> rooms{};
};

TEST(TablesOf, TellsOnceAllThatIsListed)
{
    TablesOf<House> tables;
    const TableOf<House> counted = {
        {"house", "House", "The whole."},
        {{{"rooms", "Rooms", "count", "that it has"}, [](const House& h) -> Cell { return whole(h.rooms.size()); }}}};
    tables.add(rooms(), [](const House& h) { return h.rooms; }).add(counted.declaration(), [&](const House& h) {
        Table out = table_of(counted, std::vector{h});
        out.add_total("sum");
        return out;
    });
    const House house{{{"Hall", 1200.0, 18.5, 4}, {"Bath", 500.0, 21.0, 1}}};
    EXPECT_THAT(tables.declarations(), testing::ElementsAre(testing::Field(&Declaration::name, "room"),
                                                            testing::Field(&Declaration::name, "house")));
    EXPECT_EQ(tables.table("house", house).totals.size(), 1U);
    EXPECT_THROW(static_cast<void>(tables.table("roof", house)), quantity::Error);

    Document document;
    Table alike = tables.table("house", house);
    alike.told = Told::people; // arranged to be read: data still lack it
    document.add(tables.table("room", house)).add(std::move(alike));
    tables.add_rest(document, house);
    tables.add_rest(document, house);
    ASSERT_EQ(document.data_tables().size(), 2U);
    EXPECT_EQ(document.data_tables()[0].rows.size(), 2U);
    EXPECT_EQ(document.data_tables()[1].rows.size(), 1U);
}

TEST(PlainQuantities, ShareNoKeyWithThoseThatHaveUnitsToChoose)
{
    for (const PlainQuantity& plain : plain_quantities())
        for (const quantity::PrintedQuantity& printed : quantity::printed_quantities())
            EXPECT_NE(plain.key, printed.key);
}

} // namespace
} // namespace venture::figure
