/// The school: rooms from tables, hours from calendars, and the commands that show and write both.

#include <set>

#include <gmock/gmock.h>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

#include <house_project.hpp>

namespace venture {
namespace {

namespace fs = std::filesystem;
using nlohmann::json;
using testing::HasSubstr;
using testing::Not;

class SchoolCommands : public HouseProject {
protected:
    void SetUp() override
    {
        HouseProject::SetUp();
        fs::copy(fs::path{VENTURE_SOURCE_DIR} / "data/school", folder / "school");
    }
};

TEST_F(SchoolCommands, CheckSixtyRoomsOfTables)
{
    const Ran r = run("check school");
    EXPECT_EQ(r.code, 0) << r.errors;
    EXPECT_THAT(r.errors, Not(HasSubstr("warning")));
    for (const char* part : {"building: 60 rooms", "ground: 40 rooms", "upper: 20 rooms", "Full-load hours in 2027",
                             "lessons", "with suspended mineral ceiling", "Classroom 1 and 23 more"})
        EXPECT_THAT(r.out, HasSubstr(part));
    const json all = run_json("check school --json");
    EXPECT_EQ(all["room"].size(), 60u);
    EXPECT_EQ(all["project"][0]["year"], 2027);
    for (const json& calendar : all["hours"])
        if (calendar["name"] == "lessons") {
            EXPECT_EQ(calendar["aug"], 0.0);
        }
}

TEST_F(SchoolCommands, ExplainACalendarByItsRules)
{
    const Ran r = run("explain school lessons");
    EXPECT_EQ(r.code, 0) << r.errors;
    for (const char* part : {"a calendar, 1198 full-load hours in 2027", "holidays: never",
                             "closed for the summer: never", "August               0.0  never", "winter design"})
        EXPECT_THAT(r.out, HasSubstr(part));
    const json as_json = run_json("explain school lessons --json");
    EXPECT_EQ(as_json["calendar_rule"][3]["decides_days"], 47);
    EXPECT_EQ(as_json["calendar_month"][7]["design_day"], "never");
    EXPECT_THAT(run("explain school lesons").errors, HasSubstr("did you mean 'lessons'?"));
}

TEST_F(SchoolCommands, FollowTheHolidayFileAndTheYear)
{
    const auto hours = [&](const std::string& set) { return run("explain school lessons " + set).out; };
    EXPECT_THAT(hours(""), HasSubstr("1198 full-load hours in 2027"));
    replace("school/holidays.ics", "SUMMARY:Whitsun half-term holiday", "SUMMARY:Whitsun trip");
    EXPECT_THAT(hours(""), HasSubstr("1229 full-load hours in 2027")); // four days and a short Friday more
    replace("school/holidays.ics", "BEGIN:VCALENDAR", "BEGIN:VCARD");
    EXPECT_THAT(run("check school").errors, HasSubstr("holidays.ics:1"));
}

TEST_F(SchoolCommands, DrawTheYear)
{
    EXPECT_EQ(run("draw year school -o year.svg").code, 0);
    std::set<std::string> drawn; // not what shipped types would go by that have other hours here
    const json checked = run_json("check school --json");
    for (const json& calendar : checked["hours"]) drawn.insert(calendar["name"]);
    EXPECT_THAT(drawn, testing::IsSupersetOf({"lessons", "sports and clubs", "heated"}));
    EXPECT_FALSE(drawn.contains("school week"));
    EXPECT_THAT(text_of(folder / "year.svg").substr(0, 300), HasSubstr("height=\"1656\"")); // seven of them
    EXPECT_EQ(run("draw year school lessons -o lessons.png").code, 0);
    EXPECT_EQ(text_of(folder / "lessons.png").substr(1, 3), "PNG");
    EXPECT_EQ(run("draw year house -o profiles.svg").code, 0); // profiles, where there is no calendar
    const Ran wrong = run("draw year school lesons");
    EXPECT_EQ(wrong.code, 2);
    EXPECT_THAT(wrong.errors, HasSubstr("did you mean 'lessons'?"));
}

TEST_F(SchoolCommands, CloseInTheYearWhatTheCalendarCloses)
{
    const auto heat = [&](const std::string& set) {
        return run_json("year school --json --from \"20 July\" --days 7 --run-in 2 " + set);
    };
    EXPECT_THAT(run("year school --from \"20 July\" --days 2 --run-in 1").out, HasSubstr("weekdays and dates of 2027"));
    const json closed = heat(""), open = heat("--set \"room_type/computer teaching/ventilation_profile=always\"");
    EXPECT_NE(closed.dump(), open.dump());
}

TEST_F(SchoolCommands, WriteTablesThatReadAsTheSame)
{
    const std::string before = run("loads school --json").out, table_before = run("export school room").out;
    for (const char* table : {"room", "opening", "room_type"}) {
        const Ran r = run(fmt::format("export school {0} -o school/{0}_again.csv", table));
        EXPECT_EQ(r.code, 0) << r.errors;
    }
    replace("school/project.toml", "file = \"rooms.csv\"", "file = \"room_again.csv\"");
    replace("school/project.toml", "file = \"openings.csv\"", "file = \"opening_again.csv\"");
    EXPECT_EQ(run("export school room").out, table_before);
    const auto without_places = [](const std::string& text) {
        json rooms = json::parse(text)["room_load"];
        for (json& room : rooms)
            for (const char* place : {"heating_set_by", "cooling_set_by"}) room.erase(place);
        return rooms;
    };
    EXPECT_EQ(json::parse(before)["room_load"].size(), 60u);
    EXPECT_EQ(without_places(run("loads school --json").out), without_places(before));
}

TEST_F(SchoolCommands, SayWhatATableCannotHold)
{
    const Ran r = run("export house room");
    EXPECT_EQ(r.code, 0);
    EXPECT_THAT(r.out, HasSubstr("Front room,ground,living"));
    EXPECT_THAT(r.errors, Not(HasSubstr("left out")));
    EXPECT_THAT(run("export school room_type").errors,
                HasSubstr("left out, since no column can hold it: 4 [[room_type.gain]]"));
    EXPECT_EQ(run("export house calendar").code, 2);
    EXPECT_THAT(run("export house gain").errors, HasSubstr("the project has no gain"));
}

TEST_F(SchoolCommands, TellTheSupplyAirOfADifference)
{
    const json doc = run_json("loads school --supply-difference \"10 K\" --json");
    int rooms = 0;
    for (const json& room : doc["room_load"]) {
        if (!room.contains("supply_air")) continue;
        ++rooms;
        EXPECT_NEAR(room["supply_air"].get<double>() * 1.2 * 1006.0 * 10.0, room["cooling_sensible"].get<double>(),
                    0.05 * room["cooling_sensible"].get<double>())
            << room["room"];
    }
    EXPECT_EQ(rooms, 2);
    EXPECT_THAT(run("loads school --supply-difference 8m").errors, HasSubstr("expected 1 to 40 K"));
}

TEST_F(SchoolCommands, AddSomeRoomsTogether)
{
    const json doc = run_json("loads school --together \"Computer room 1 | room/Computer room 2\" --json");
    const json& group = doc["building_load"].back();
    EXPECT_EQ(group["of"], "Computer room 1, Computer room 2");
    EXPECT_EQ(group["cooled_rooms"], 2);
    double peaks = 0.0;
    for (const json& room : doc["room_load"]) peaks += room.value("cooling", 0.0);
    EXPECT_LE(group["cooling"].get<double>(), peaks + 1e-9);
    EXPECT_THAT(run("loads school --together \"Computer room 1\"").out, HasSubstr("Together: Computer room 1\n"));
    EXPECT_EQ(run("loads school --together \"Computer room 1|Nowhere\"").code, 2);
}

TEST_F(SchoolCommands, GiveASecondOpinionInEveryForm)
{
    const json doc = run_json("loads school --second-opinion --json");
    ASSERT_EQ(doc["second_opinion"].size(), 2u);
    for (const json& room : doc["second_opinion"]) {
        EXPECT_NEAR(room["series"].get<double>() / room["balance"].get<double>() - 1.0,
                    room["series_more"].get<double>(), 1e-12);
        EXPECT_GT(room["at_once"], room["with_losses"]);
    }
    EXPECT_EQ(doc["glass_swing"][0]["of"], "all rooms");
    EXPECT_THAT(run("loads school --second-opinion").out, HasSubstr("Why they differ"));
    EXPECT_THAT(run("loads school --second-opinion --as csv").out, HasSubstr("room,balance [W],balance_when,"));
}

TEST_F(SchoolCommands, ExplainARoomByThePathsOverItsEdge)
{
    const json doc = run_json("explain school \"Computer room 1\" --json");
    double cooling = 0.0;
    for (const json& path : doc["load_path"])
        if (path["of"] == "sensible cooling") cooling += path["load"].get<double>();
    EXPECT_NEAR(cooling, doc["room_load"][0]["cooling_sensible"].get<double>(), 1.0);
    const json warmer =
        run_json("explain school \"Computer room 1\" --set \"room/Computer room 1/cooling_setpoint=27\" --json");
    EXPECT_LT(warmer["room_load"][0]["cooling"], doc["room_load"][0]["cooling"]);
    EXPECT_EQ(run("explain height --set site/height=3").code, 2);
    EXPECT_THAT(run("explain school \"Computer rom 1\"").errors, HasSubstr("did you mean 'Computer room 1'?"));
}

TEST_F(SchoolCommands, ReadTwoHundredRoomsAtOnceAndTellTheirMistakesByRowAndColumn)
{
    std::string rooms = "name,storey,type,at x,at y,size x,size y\n", openings = "room,in,width,height\n";
    for (int i = 0; i < 200; ++i) {
        rooms += fmt::format("Cell {0},ground,teaching room,{1},{2},4,5\n", i + 1, 4 * (i % 20), 5 * (i / 20));
        if (i < 20) openings += fmt::format("Cell {},south,1.2,1.4\n", i + 1);
    }
    const auto write = [&](const char* name, const std::string& text) {
        std::ofstream{folder / "school" / name} << text;
    };
    write("rooms.csv", rooms);
    write("openings.csv", openings);
    Ran r = run("check school");
    EXPECT_EQ(r.code, 0) << r.errors;
    EXPECT_THAT(r.out, HasSubstr("200 rooms"));
    write("rooms.csv", rooms + "Cell 7,ground,teaching room,0,50,4,5\nCell 201,ground,teaching rom,4,50,4,5\n");
    write("openings.csv", openings + "Cell 2O1,south,1.2,1.4\n,south,1,1\nCell 9,south,wide,1\n");
    r = run("check school");
    EXPECT_EQ(r.code, 2);
    for (const char* part : {"rooms.csv:202:1: error V203: a second room is called 'Cell 7'",
                             "rooms.csv:203:17: error V202: no room type is called 'teaching rom'",
                             "openings.csv:22:1: error V202: no room is called 'Cell 2O1'",
                             "openings.csv:23:2: error V201: a line of the table of openings names no room",
                             "openings.csv:24:14: error V106: width: 'wide' found"})
        EXPECT_THAT(r.errors, HasSubstr(part));
}

TEST_F(SchoolCommands, ShowATypedLoadWhereverTheLoadIsShown)
{
    replace("house/project.toml", "name = \"Kitchen\"\n",
            "name = \"Kitchen\"\nheating_load = \"2.9 kW\"\nload_reason = \"as the boiler maker's survey says\"\n");
    EXPECT_THAT(run("check house").errors,
                HasSubstr("a load of 'Kitchen' is typed and stands instead of the computed one"));
    const Ran loads = run("loads house");
    EXPECT_THAT(loads.out, HasSubstr("heating typed"));
    EXPECT_THAT(loads.out, HasSubstr("Kitchen: heating 2900 W typed instead of"));
    EXPECT_THAT(loads.out, HasSubstr("as the boiler maker's survey says"));
    const json as_json = run_json("loads house --json");
    EXPECT_EQ(as_json["typed_over"][0]["room"], "Kitchen");
    EXPECT_GT(as_json["typed_over"][0]["computed"].get<double>(), 100.0);
    EXPECT_THAT(run("loads house --room Kitchen").out, HasSubstr("Its heating was typed"));
    EXPECT_THAT(run("loads house --set \"room/Bathroom/leave_out=yes\"").out, HasSubstr("left out"));
    EXPECT_EQ(run("draw plan house -o plan.svg").code, 0);
    EXPECT_EQ(run_json("size house --json")["plant"][0]["margin"], 0.0);
}

TEST_F(SchoolCommands, CountDiversityApartFromMargins)
{
    const json all = run_json("size school --json");
    for (const json& plant : all["plant"]) {
        const auto told = [&](const char* key, double otherwise) {
            return plant.contains(key) ? plant[key].get<double>() : otherwise; // a row leaves out what it has not
        };
        const double taken = told("units_take", told("rooms_need", 0.0)), asked = told("circuits_ask", taken);
        const double expected = asked * told("diversity", 1.0) * (1.0 + told("margin", 0.0));
        EXPECT_NEAR(plant["needs"].get<double>(), expected, 1e-6 * expected);
    }
    const json& chiller = all["plant"][1]; // one circuit, which meets nine tenths of what its rooms need at once
    EXPECT_NEAR(chiller["circuits_ask"].get<double>(), 0.9 * chiller["units_take"].get<double>(), 1e-6);
    const auto allowance = std::ranges::find_if(all["allowance"], [](const json& row) {
        return row["what"] == "diversity" && row["way"] == "cooled computers, chiller";
    });
    ASSERT_NE(allowance, all["allowance"].end());
    EXPECT_DOUBLE_EQ((*allowance)["factor"].get<double>(), 0.9);
    EXPECT_THAT(run("size school").out, HasSubstr("diversity"));
}

} // namespace
} // namespace venture
