/// What is asked for in another way: pictures in three kinds, figures by path, one room of many, files of changes.

#include <gmock/gmock.h>

#include <house_project.hpp>

namespace venture {
namespace {

using nlohmann::json;
using testing::HasSubstr;

class Variants : public HouseProject {
protected:
    void write(const std::string& file, const std::string& text) const
    {
        std::ofstream{folder / file, std::ios::binary} << text;
    }
};

TEST_F(Variants, DrawsFiguresByPathAndListsUnitsOfOneRoom)
{
    EXPECT_EQ(run("draw plan house -o usual.svg").code, 0);
    EXPECT_EQ(
        run("draw plan house -o plan.svg --label name,room_load/*/coldest --fill room_load/*/heating_per_area").code,
        0);
    EXPECT_NE(text_of(folder / "plan.svg"), text_of(folder / "usual.svg"));
    EXPECT_THAT(run("draw plan house --label nam").errors, HasSubstr("--label nam: there are: name, area"));
    EXPECT_THAT(run("draw plan house --label room_load/*/colest").errors, HasSubstr("is no figure of rooms"));
    EXPECT_THAT(run("draw plan house --fill room_load/*/heating_when").errors, HasSubstr("numbers with a unit"));
    const json one = run_json("size house --room Kitchen --json");
    ASSERT_EQ(one["unit"].size(), 1u);
    EXPECT_EQ(one["unit"][0]["room"], "Kitchen");
    EXPECT_THAT(run("size house --room Kichen").errors, HasSubstr("did you mean 'Kitchen'?"));
    EXPECT_THAT(run("library windlass").errors, HasSubstr("Windlass 3"));
    EXPECT_THAT(run("library glas wol").errors + run("library wol").errors, HasSubstr("Nothing in the library"));
    EXPECT_THAT(run("loads house --hours Kichen").errors, HasSubstr("did you mean 'Kitchen'?"));
    EXPECT_EQ(run_json("loads house --hours --json")["load_hour"].size(), 24u);
}

TEST_F(Variants, LaysFilesOfChangesOverAProject)
{
    write("colder.toml",
          "format = 1\n[site]\nwinter_dry_bulb = -10\n[[room]]\nname = \"Kitchen\"\nheating_setpoint = 24\n");
    const json before = run_json("loads house --json"), after = run_json("loads house --with colder.toml --json");
    EXPECT_GT(after["room_load"][0]["heating"], before["room_load"][0]["heating"]);
    EXPECT_EQ(after["room_load"][1]["heating_room"], 24.0);
    EXPECT_THAT(after["room_load"][1]["heating_set_by"].get<std::string>(), HasSubstr("colder.toml:6"));
    EXPECT_EQ(run_json("loads house --with colder.toml --set room/Kitchen/heating_setpoint=22 --json")["room_load"][1]
                                                                                                      ["heating_room"],
              22.0);
    write("wrong.toml", "format = 1\n[[room]]\nname = \"Kitchen\"\nheating_setpoint = \"24 kW\"\nwindow = 3\n");
    const Ran wrong = run("loads house --with wrong.toml");
    EXPECT_EQ(wrong.code, 2);
    EXPECT_THAT(wrong.errors, testing::AllOf(HasSubstr("wrong.toml:4"), HasSubstr("24 kW"), HasSubstr("wrong.toml:5")));
    EXPECT_THAT(run("loads house --with nowhere.toml").errors, HasSubstr("nowhere.toml"));
}

TEST_F(Variants, DrawThePlanInThreeKinds)
{
    for (const auto& [kind, begins] : {std::pair{"svg", "<?xml"}, {"png", "\x89PNG"}, {"pdf", "%PDF"}}) {
        EXPECT_EQ(run(fmt::format("draw plan house --as {}", kind)).code, 0);
        EXPECT_TRUE(text_of(folder / "house/results" / fmt::format("plan.{}", kind)).starts_with(begins));
    }
    EXPECT_EQ(run("draw plan house -o somewhere/mine.svg").code, 0);
    EXPECT_TRUE(std::filesystem::exists(folder / "somewhere/mine.svg"));
    write("taken.svg", "someone's");
    EXPECT_EQ(run("draw plan house -o taken.svg").code, 3);
    EXPECT_EQ(text_of(folder / "taken.svg"), "someone's");
    EXPECT_EQ(run("draw plan house -o taken.svg --force").code, 0);
}

TEST_F(Variants, WriteTheArithmeticOfARoomDownToWhatWasTyped)
{
    const json doc = run_json("explain house Bathroom --arithmetic --json");
    double sum = 0.0, told = 0.0;
    for (const json& line : doc["arithmetic"])
        if (line["symbol"] == "Q") sum += line["result"].get<double>();
    for (const json& term : doc["steady_loss"]) told += term["loss"].get<double>();
    EXPECT_NEAR(sum, told, 1e-9);
    EXPECT_GT(doc["arithmetic_input"].size(), doc["arithmetic"].size());
    EXPECT_THAT(run("loads house --room Bathroom --arithmetic").out,
                HasSubstr("loss: Q = A*U*(t_room - t_far) = 5.18*0.38169*(22 - (-3)) = 49.429 W"));
    EXPECT_THAT(run("explain house Kitchen --at \"July 15 h\" --arithmetic").out,
                HasSubstr("beam that comes in, mean of the hour: beam = A*0.5*(G0 + G1) = "));
    EXPECT_THAT(run("explain house Kitchen --at \"winter 7\" --arithmetic").out,
                HasSubstr("into the air: Q = V_air*rho*c*(t_far - t_air) = "));
    EXPECT_EQ(run("loads house --arithmetic").code, 2);
}

TEST_F(Variants, TellTheCoolingOfTheBuildingsOwnWeek)
{
    EXPECT_THAT(run("loads house --week").out, HasSubstr("no room is cooled in any hour of it"));
    const std::string cooled = "loads house --set room/Kitchen/cooling_setpoint=24 --week";
    const json doc = run_json(cooled + " --json");
    for (const json& room : doc["room_load"])
        if (room["room"] == "Kitchen") {
            EXPECT_NEAR(room["week"].get<double>(), room["cooling"].get<double>(),
                        0.05 * room["cooling"].get<double>());
        }
    EXPECT_THAT(run(cooled).out, HasSubstr("on the day repeated"));
}

TEST_F(Variants, TellTheHeatingAfterDaysOff)
{
    EXPECT_THAT(run("loads house --after-days-off 2").out, HasSubstr("no room has a heating_setback"));
    const std::string sets_back =
        "loads house --set room/Kitchen/heating_setback=12 --set \"room/Kitchen/heating_profile=evenings\" ";
    const json one = run_json(sets_back + "--after-days-off 1 --json"),
               three = run_json(sets_back + "--after-days-off 3 --json");
    const auto kitchen = [](const json& doc) -> json {
        for (const json& room : doc["room_load"])
            if (room["room"] == "Kitchen") return room;
        return {};
    };
    EXPECT_GT(kitchen(three)["after_days_off"], kitchen(one)["after_days_off"]);
    EXPECT_GT(kitchen(one)["after_days_off"], kitchen(one)["heating"]);
    EXPECT_THAT(run(sets_back + "--after-days-off 3 --come-back-in \"1 h\"").out, HasSubstr("come back from in 1 h"));
    EXPECT_EQ(run("loads house --after-days-off 8").code, 2);
    EXPECT_EQ(run("loads house --come-back-in \"2 h\"").code, 2);
    EXPECT_EQ(run("loads house --after-days-off 2 --come-back-in soon").code, 2);
}

} // namespace
} // namespace venture
