/// Services as the program tells them: circuits, plants, what was added on the way, the drawing.

#include <algorithm>
#include <filesystem>
#include <fstream>
#include <random>

#include <fmt/format.h>
#include <gmock/gmock.h>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

#include <program.hpp>
#include <venture/catalogue/shipped.hpp>

namespace venture {
namespace {

namespace fs = std::filesystem;
using nlohmann::json;
using testing::HasSubstr;

/// The station without what serves it.
std::string station_without_services()
{
    std::string text{catalogue::shipped_file("demo/project.toml")};
    return text.substr(0, text.find("[[plant]]"));
}

/// Tables of services, each a text of its own, to be put in any order.
std::vector<std::string> services_of_the_station()
{
    return {R"([[plant]]
name = "condensing boiler"
kind = "boiler"
at_most = "25 kW"
)",
            R"([[plant]]
name = "old boilers"
kind = "boiler"
margin = "10 %"
units = 3
standby_units = 1
)",
            R"([[plant]]
name = "chiller"
kind = "chiller"
diversity = 0.95
)",
            R"([[circuit]]
name = "radiators"
carries = "heating"
unit = "radiator"
supply = 70
return = 50
plants = ["condensing boiler", "old boilers"]
loss = "4 %"
)",
            R"([[circuit]]
name = "low radiators"
carries = "heating"
unit = "radiator"
supply = 50
return = 40
from = "radiators"
diversity = 0.9
)",
            R"([[circuit]]
name = "warm water to fan coils"
carries = "heating"
unit = "fan coil"
supply = 50
return = 40
from = "radiators"
)",
            R"([[circuit]]
name = "air handler"
carries = "heating"
supply = 70
return = 40
demand = "12 kW"
plants = ["condensing boiler", "old boilers"]
)",
            R"([[circuit]]
name = "fan coils"
carries = "cooling"
unit = "fan coil"
supply = 7
return = 12
)"};
}

const char* const lines = R"([[serve]]
by = "radiators"
[[serve]]
by = "low radiators"
rooms = ["Bunk room *", "Coxswain*", "Crew mess"]
[[serve]]
by = "warm water to fan coils"
rooms = ["Training room", "Visitors' gallery"]
)";

class ServicesCommands : public testing::Test {
protected:
    void SetUp() override
    {
        folder = fs::temp_directory_path() / fmt::format("venture_services_{}_{}",
                                                         testing::UnitTest::GetInstance()->current_test_info()->name(),
                                                         ::getpid());
        fs::remove_all(folder);
        fs::create_directories(folder / "station");
        std::ofstream{folder / "station/monthly_means.csv"} << catalogue::shipped_file("demo/monthly_means.csv");
    }
    void TearDown() override { fs::remove_all(folder); }

    void write_station(const std::vector<std::string>& tables) const
    {
        std::ofstream{folder / "station/project.toml"} << station_without_services()
                                                       << fmt::format("{}", fmt::join(tables, "")) << lines;
    }
    json size() const
    {
        const Ran ran = run_program("size station --json", folder, VENTURE_PROGRAM);
        EXPECT_EQ(ran.code, 0) << ran.errors;
        return json::parse(ran.out, nullptr, false);
    }
    fs::path folder{};
};

json row(const json& table, const char* key, const std::string& value)
{
    for (const json& row : table)
        if (row[key] == value) return row;
    ADD_FAILURE() << "no row " << value;
    return {};
}

TEST_F(ServicesCommands, SumFromRoomsToPlant)
{
    write_station(services_of_the_station());
    const json all = size();
    const json radiators = row(all["circuit"], "circuit", "radiators"),
               low = row(all["circuit"], "circuit", "low radiators"),
               warm = row(all["circuit"], "circuit", "warm water to fan coils"),
               air = row(all["circuit"], "circuit", "air handler");
    const auto W = [](const json& of, const char* key) { return of[key].get<double>(); };
    EXPECT_EQ(air["basis"], "typed");
    EXPECT_NEAR(W(low, "asks"), 0.9 * W(low, "units_take"), 1e-6);
    // Of each what is drawn from the circuit that it is mixed from: of 70 degC, by 30 K in place of 10.
    EXPECT_NEAR(W(low, "drawn"), W(low, "water") / 3.0, 1e-12);
    double own_W = 0.0;
    for (const json& unit : all["unit"])
        if (unit["circuit"] == "radiators") own_W += unit["needs"].get<double>();
    EXPECT_NEAR(W(radiators, "asks"), 1.04 * (own_W + W(low, "asks") + W(warm, "asks")),
                1.0); // winter design is steady
    const json first = row(all["plant"], "plant", "condensing boiler"),
               rest = row(all["plant"], "plant", "old boilers");
    EXPECT_NEAR(W(first, "needs"), 25000.0, 1e-6);
    EXPECT_NEAR(W(rest, "circuits_ask"), W(radiators, "asks") + 12000.0 - 25000.0, 1e-6);
    EXPECT_NEAR(W(rest, "needs"), W(rest, "circuits_ask") * 1.1 * 1.5, 1e-6);
    EXPECT_EQ(rest["basis"], "not coincident");
    double product = 1.0;
    for (const json& step : all["allowance"])
        if (step["way"] == "low radiators, radiators, old boilers") {
            product *= step["factor"].get<double>();
            EXPECT_NEAR(step["product"].get<double>(), product, 1e-9);
        }
    EXPECT_GT(product, 0.9 * 1.04 * 1.1 * 1.5 - 1e-9); // and the size that there was to choose
}

/// Units that heat and cool are of one product.
TEST_F(ServicesCommands, ChooseOneProductForFourPipes)
{
    write_station(services_of_the_station());
    const json all = size();
    for (const char* room : {"Training room", "Visitors' gallery"}) {
        std::vector<json> chosen;
        for (const json& unit : all["unit"])
            if (unit["room"] == room) chosen.push_back(unit["chosen"]);
        ASSERT_EQ(chosen.size(), 2U) << room;
        EXPECT_EQ(chosen[0], chosen[1]) << room;
    }
}

TEST_F(ServicesCommands, DoNotDependOnTheOrderOfTables)
{
    std::vector<std::string> tables = services_of_the_station();
    write_station(tables);
    const json before = size();
    std::mt19937 random{11};
    for (int i = 0; i < 3; ++i) {
        std::ranges::shuffle(tables, random);
        write_station(tables);
        const json after = size();
        for (const auto& [table, key] : {std::pair{"circuit", "circuit"}, {"plant", "plant"}})
            for (const json& was : before[table]) {
                const json is = row(after[table], key, was[key]);
                for (const auto& [name, value] : was.items()) {
                    if (!value.is_number_float()) {
                        EXPECT_EQ(is[name], value) << name;
                        continue;
                    }
                    EXPECT_NEAR(is[name].get<double>(), value.get<double>(), 1e-9 * std::abs(value.get<double>()))
                        << name;
                }
            }
    }
}

TEST_F(ServicesCommands, TellWhoMakesUpTheLargestHour)
{
    write_station(services_of_the_station());
    const json all = size();
    for (const auto& [table, key] : {std::pair{"circuit", "asks"}, {"plant", "circuits_ask"}})
        for (const json& row : all[table]) {
            double asks_W = 0.0, of_all = 0.0;
            for (const json& share : all["demand_share"])
                if (share["of"] == row[table]) {
                    asks_W += share["asks"].get<double>();
                    of_all += share["share"].get<double>();
                }
            if (row["basis"] == "typed") {
                EXPECT_EQ(asks_W, 0.0) << row;
                continue;
            }
            EXPECT_NEAR(of_all, 1.0, 1e-9) << row;
            if (row.contains("loss") || row.contains("diversity") || !row.contains(key)) continue; // are its own
            EXPECT_NEAR(asks_W, row[key].get<double>(), 1e-6 * asks_W) << row;
        }
    const Ran told = run_program("explain station \"circuit/fan coils/units_take\"", folder, VENTURE_PROGRAM);
    EXPECT_THAT(told.out, HasSubstr("In the hour in which most is asked of it"));
    EXPECT_THAT(told.out, HasSubstr("Operations room"));
}

TEST_F(ServicesCommands, AreDrawn)
{
    write_station(services_of_the_station());
    for (const auto& [kind, begins] : {std::pair{"svg", "<?xml"}, {"png", "\x89PNG"}, {"pdf", "%PDF"}}) {
        EXPECT_EQ(run_program(fmt::format("draw services station --as {}", kind), folder, VENTURE_PROGRAM).code, 0);
        EXPECT_TRUE(text_of(folder / "station/results" / fmt::format("services.{}", kind)).starts_with(begins));
    }
}

TEST_F(ServicesCommands, TellMistakesWhereTheyAre)
{
    std::vector<std::string> tables = services_of_the_station();
    tables[3].replace(tables[3].find("old boilers"), 11, "old boiler");
    tables[4].replace(tables[4].find("supply = 50"), 11, "supply = 80");
    tables.push_back("[[serve]]\nby = \"radiators\"\nrooms = [\"Boathall\"]\nshare = 2\n");
    write_station(tables);
    const Ran ran = run_program("check station", folder, VENTURE_PROGRAM);
    EXPECT_EQ(ran.code, 2);
    for (const char* told :
         {"no plant is called 'old boiler'", "did you mean 'old boilers'", "no room is called 'Boathall'", "share"})
        EXPECT_THAT(ran.errors, HasSubstr(told));
}

} // namespace
} // namespace venture
