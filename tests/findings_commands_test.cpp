/// What commands find odd, and how somebody answers for it, through the real program.

#include <fstream>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <house_project.hpp>

namespace venture {
namespace {

using nlohmann::json;
using testing::HasSubstr;
using testing::Not;

class FindingsCommands : public HouseProject {};

TEST_F(FindingsCommands, AFindingIsAcceptedUntilItsInputsChange)
{
    replace("house/project.toml", "bedrooms = 2", "bedrooms = 5");
    replace("house/project.toml", "[[room]]", "[[room]]\nventilation_rate = 0\npeople = 4");
    const Ran open = run("check house --strict");
    EXPECT_EQ(open.code, 1);
    const auto at = open.errors.find("finding = \"V402 ");
    ASSERT_NE(at, std::string::npos) << open.errors;
    const std::string mark = open.errors.substr(at, open.errors.find('\n', at) - at);
    append("house/project.toml", "\n[[accepted]]\n" + mark + "\nreason = \"a porch\"\nby = \"AP\"\n");
    const Ran accepted = run("check house --strict");
    EXPECT_EQ(accepted.code, 0) << accepted.errors;
    EXPECT_THAT(accepted.errors, HasSubstr("1 finding accepted; --accepted lists it"));
    EXPECT_THAT(run("check house --accepted").errors, HasSubstr("accepted by AP: a porch"));
    EXPECT_EQ(run_json("check house --json")["accepted"].size(), 1u);
    replace("house/project.toml", "people = 4", "people = 5");
    const Ran again = run("check house --strict");
    EXPECT_EQ(again.code, 1);
    EXPECT_THAT(again.errors, HasSubstr("AP accepted this for other values (a porch)"));
}

/// What a command never looked at is not told to be gone.
TEST_F(FindingsCommands, AcceptancesOutlastCommandsThatDoNotLook)
{
    append("house/project.toml",
           "\n[[accepted]]\nfinding = \"V402 room/Kitchen 12345678\"\nreason = \"a hood\"\nby = \"AP\"\n");
    EXPECT_THAT(run("check house").errors, HasSubstr("take the acceptance out"));
    for (const char* command : {"climate house", "export house room"})
        EXPECT_THAT(run(command).errors, Not(HasSubstr("take the acceptance out"))) << command;
}

TEST_F(FindingsCommands, ARoomThatNothingHeatsIsNotMet)
{
    replace("house/project.toml", "name = \"Kitchen\"", "name = \"Kitchen\"\nheated_by = \"nothing\"");
    const Ran open = run("size house");
    EXPECT_EQ(open.code, 1);
    const auto at = open.errors.find("finding = \"V401 ");
    ASSERT_NE(at, std::string::npos) << open.errors;
    const std::string mark = open.errors.substr(at, open.errors.find('\n', at) - at);
    append("house/project.toml", "\n[[accepted]]\n" + mark + "\nreason = \"the range\"\nby = \"AP\"\n");
    EXPECT_EQ(run("size house").code, 0);
}

TEST_F(FindingsCommands, FindingsSpeakInTheUnitsOfTheProject)
{
    const Ran si = run("check house --set \"room/Kitchen/lighting=150 W/m2\""),
              imperial = run("check house --units inch-pound --set \"room/Kitchen/lighting=150 W/m2\"");
    EXPECT_THAT(si.errors, HasSubstr("heat of lighting comes to 150 W/m2"));
    EXPECT_THAT(imperial.errors, HasSubstr("heat of lighting comes to 47.5 Btu/h.ft2"));
    append("house/project.toml", "\n[units]\npreset = \"inch-pound\"\n");
    replace("house/project.toml", "name = \"Kitchen\"", "name = \"Kitchen\"\nheight = 200");
    EXPECT_THAT(run("check house").errors, HasSubstr("height: 656.2 ft is outside 0.9843 ft to 328.1 ft"));
}

/// A finding about what follows from a type leads to the line to mend.
TEST_F(FindingsCommands, FindingsBeginWithAPlace)
{
    const Ran ran = run("loads house --set \"room/Kitchen/moisture=36 kg/h\"");
    std::istringstream lines{ran.errors};
    for (std::string line; std::getline(lines, line);) {
        EXPECT_FALSE(line.starts_with("computed:")) << line;
        EXPECT_FALSE(line.starts_with("room type")) << line;
        EXPECT_FALSE(line.starts_with("default:")) << line;
    }
    EXPECT_THAT(ran.errors, HasSubstr("V422"));
}

} // namespace
} // namespace venture
