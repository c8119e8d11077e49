/// Shapes through the real program: plans drawn, and outlines that are none told in words.

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <house_project.hpp>

namespace venture {
namespace {

namespace fs = std::filesystem;
using testing::HasSubstr;

class ShapeCommands : public HouseProject {
protected:
    /// The house with another front room; what the program says.
    [[nodiscard]] std::string told_of(const std::string& shape) const
    {
        fs::remove_all(folder / "other");
        fs::copy(folder / "house", folder / "other");
        replace("other/project.toml", "at = [0, 0]\nsize = [\"3.4 m\", \"4.2 m\"]", shape);
        const Ran r = run("check other");
        EXPECT_EQ(r.code, 2) << shape;
        return r.errors;
    }
};

TEST_F(ShapeCommands, DrawPlansAsTheyAreAskedFor)
{
    EXPECT_EQ(run("draw plan house --as png -o usual.png").code, 0);
    const std::string usual = text_of(folder / "usual.png");
    for (const char* how : {"--label name,volume,air", "--fill heating", "--fill type", "--storey first",
                            "--findings --set \"room/Hall and stairs/people=2\"",
                            "--over usual.png --match 120,640=0,0 --match 980,640=24,0"}) {
        EXPECT_EQ(run(fmt::format("draw plan house --as png -o other.png --force {}", how)).code, 0) << how;
        EXPECT_NE(text_of(folder / "other.png"), usual) << how;
    }
    fs::copy(folder / "house", folder / "older");
    replace("older/project.toml", "size = [3.0, 4.0]", "size = [2.8, 4.0]");
    replace("older/project.toml", "size = [2.2, 4.0]", "size = [2.4, 4.0]");
    EXPECT_EQ(run("draw plan house --against older --as png -o other.png --force").code, 0);
    EXPECT_NE(text_of(folder / "other.png"), usual);
}

TEST_F(ShapeCommands, DrawTheKindOfPictureThatTheFilesEndingSays)
{
    for (const auto& [ending, begins] :
         {std::pair{"PNG", "\x89PNG"}, {"pdf", "%PDF"}, {"svg", "<?xml"}, {"plan", "<?xml"}}) {
        EXPECT_EQ(run(fmt::format("draw plan house -o kind.{}", ending)).code, 0);
        EXPECT_TRUE(text_of(folder / fmt::format("kind.{}", ending)).starts_with(begins)) << ending;
    }
    const Ran r = run("draw plan house --as pdf -o other.png");
    EXPECT_EQ(r.code, 2);
    EXPECT_THAT(r.errors, HasSubstr("the file's ending says another kind of picture"));
}

TEST_F(ShapeCommands, DrawRoomsThatWereGivenByTheirFaces)
{
    // the front room as a box of faces, its east wall leaning out over nothing
    const std::string before = run("loads house --json").out;
    replace("house/project.toml", "type = \"living\"\nat = [0, 0]\nsize = [\"3.4 m\", \"4.2 m\"]",
            "type = \"living\"\n"
            "[[room.face]]\ncorners = [[0, 0, 0], [3.4, 0, 0], [3.4, 4.2, 0], [0, 4.2, 0]]\n"
            "[[room.face]]\ncorners = [[0, 0, 2.7], [3.4, 0, 2.7], [3.4, 4.2, 2.7], [0, 4.2, 2.7]]\n"
            "[[room.face]]\ncorners = [[0, 0, 0], [3.4, 0, 0], [3.4, 0, 2.7], [0, 0, 2.7]]\n"
            "[[room.face]]\ncorners = [[3.4, 0, 0], [3.4, 4.2, 0], [3.4, 4.2, 2.7], [3.4, 0, 2.7]]\n"
            "[[room.face]]\ncorners = [[0, 4.2, 0], [3.4, 4.2, 0], [3.4, 4.2, 2.7], [0, 4.2, 2.7]]\n"
            "[[room.face]]\ncorners = [[0, 0, 0], [0, 4.2, 0], [0, 4.2, 2.7], [0, 0, 2.7]]\n");
    const Ran r = run("check house");
    EXPECT_EQ(r.code, 0) << r.errors;
    EXPECT_EQ(run("draw plan house -o faces.png").code, 0);
    EXPECT_EQ(run("draw building house -o faces.html").code, 0);
    const auto kW = [](const std::string& json) {
        return nlohmann::json::parse(json)["building_load"][0]["heating"].get<double>();
    };
    EXPECT_NEAR(kW(run("loads house --json").out) / kW(before), 1.0, 1e-6);
}

TEST_F(ShapeCommands, TellWhatAPlanCannotBeDrawnWith)
{
    const auto wrong = [&](const std::string& how) {
        const Ran r = run("draw plan house " + how);
        EXPECT_EQ(r.code, 2) << how;
        EXPECT_FALSE(fs::exists(folder / "house/results/plan.svg"));
        return r.errors;
    };
    EXPECT_THAT(wrong("--label colour"), HasSubstr("colour"));
    EXPECT_THAT(wrong("--fill rainbow"), HasSubstr("rainbow"));
    EXPECT_THAT(wrong("--storey attic"), HasSubstr("no storey is called 'attic'; there are: ground, first"));
    EXPECT_THAT(wrong("--over none.png --match 1,2=3,4 --match 5,6=7,8"),
                HasSubstr("'none.png': no such file or folder"));
    EXPECT_THAT(wrong("--over /dev/zero --match 1,2=3,4 --match 5,6=7,8"), HasSubstr("'/dev/zero': not a file"));
    EXPECT_THAT(wrong("--over none.png"), HasSubstr("two points"));
    EXPECT_THAT(wrong("--over house/project.toml --match 1,2=3,4 --match 5,6"), HasSubstr("write px right and down"));
    EXPECT_EQ(run("draw plan house --over house/project.toml --match 1,2=3,4 --match 5,6=7,8").code, 3);
    EXPECT_EQ(run("draw plan house --against nowhere").code, 2);
}

TEST_F(ShapeCommands, TellOutlinesThatAreNone)
{
    const std::string here = "project.toml:";
    const auto corners = [](const char* list) { return fmt::format("corners = {}", list); };
    for (const auto& [shape, words] : std::vector<std::pair<std::string, std::string>>{
             {corners("[[0, 0], [3.4, 4.2], [3.4, 0], [0, 4.2]]"), "the outline of 'Front room' crosses itself"},
             {corners("[[0, 0], [3.4, 0], [6.8, 0]]"), "encloses nothing"},
             {corners("[[0, 0], [nan, 0], [3.4, 4.2]]"), "nan"},
             {corners("[[0, 0], [1e300, 0], [3.4, 4.2]]"), "1e+300"},
             {corners("[[0, 0], [inf, 0], [3.4, 4.2]]"), "inf"},
             {"at = [0, 0]\nsize = [0, 4.2]", "size"},
             {"at = [0, 0]\nsize = [-3.4, 4.2]", "size"},
             {"at = [1.0, 0]\nsize = [3.4, 4.2]\nheight = 0.1", "height"},
             {"at = [0, 0]\nsize = [\"3.4 m\", \"4.2 m\"]\n[[room]]\nname = \"Twin\"\nstorey = \"ground\"\nat = [1, "
              "1]\nsize = [2, 9]",
              "rooms 'Front room' and 'Twin' stand in the same place"},
             {"at = [0, 0]\nsize = [3.4, 4.2]\nslopes = [\"south 1 m, 30 deg\", \"west\"]", "'west' is no slope"}}) {
        const std::string told = told_of(shape);
        EXPECT_THAT(told, HasSubstr(words)) << shape;
        EXPECT_THAT(told, HasSubstr(here)) << shape;
    }
    fs::copy(folder / "house", folder / "sunk");
    replace("sunk/project.toml", "height = 2.7", "height = -2.7");
    const Ran r = run("check sunk");
    EXPECT_EQ(r.code, 2);
    EXPECT_THAT(r.errors, HasSubstr("height: -2.7 m is outside"));
}

TEST_F(ShapeCommands, ReadTheHouseWithASlopingRoofAndPerimeterZones)
{
    append("house/project.toml",
           "\n[[room]]\nname = \"Loft\"\nstorey = \"attic\"\nplace = \"over Front bedroom\"\nsize = "
           "[5.2, 8.2]\nheating_setpoint = 19\nslopes = [\"south 1 m, 40 deg\", \"north 1 m, 40 deg\"]\n"
           "[[storey]]\nname = \"attic\"\nlevel = 5.3\nheight = 2.4\n"
           "[[room]]\nname = \"Works\"\nstorey = \"ground\"\nat = [20, 0]\nsize = [12, 10]\nperimeter = 3\n"
           "perimeter_on = [\"south\"]\nheating_setpoint = 18\n");
    const Ran r = run("loads house");
    EXPECT_EQ(r.code, 0) << r.errors;
    for (const char* room : {"Loft", "Works south", "Works core"}) EXPECT_THAT(r.out, HasSubstr(room));
    EXPECT_EQ(run("draw building house").code, 0);
    EXPECT_EQ(run("draw plan house").code, 0);
}

TEST_F(ShapeCommands, DrawsADesignDayOfARoomOrOfAll)
{
    EXPECT_EQ(run("draw day house Kitchen -o room.svg").code, 0);
    EXPECT_EQ(run("draw day house --day winter -o all.svg").code, 0);
    EXPECT_EQ(run("draw day house Kitchen --day \"July dry bulb\" -o dry.png").code, 0);
    EXPECT_GT(fs::file_size(folder / "room.svg"), 5000U);
    EXPECT_EQ(run("draw day house Kitchn").code, 2);
    EXPECT_THAT(run("draw day house --day Sunday").errors, HasSubstr("there are: winter, July"));
}

TEST_F(ShapeCommands, DrawsWhatAPeakIsMadeOf)
{
    for (const auto& [kind, begins] : {std::pair{"svg", "<?xml"}, {"png", "\x89PNG"}, {"pdf", "%PDF"}}) {
        EXPECT_EQ(run(fmt::format("draw parts house \"room/Front room\" heating --as {}", kind)).code, 0);
        EXPECT_TRUE(text_of(folder / "house/results" / fmt::format("parts.{}", kind)).starts_with(begins));
    }
    const Ran wrong = run("draw parts house kitchn");
    EXPECT_EQ(wrong.code, 2);
    EXPECT_THAT(wrong.errors, HasSubstr("did you mean 'Kitchen'?"));
    const Ran none = run("draw parts house Kitchen cooling");
    EXPECT_EQ(none.code, 2);
    EXPECT_THAT(none.errors, HasSubstr("'Kitchen' has no computed cooling load to take apart"));
    const Ran kept = run("draw parts house Kitchen warmth");
    EXPECT_EQ(kept.code, 2);
    EXPECT_THAT(kept.errors, HasSubstr("'Kitchen' does not float"));
    EXPECT_EQ(run("draw parts house Kitchen heat").code, 2);
    EXPECT_EQ(run("demo station").code, 0);
    EXPECT_EQ(run("draw parts station Store -o store.png").code, 0); // it floats
    EXPECT_EQ(run("draw parts loads.csv Kitchen").code, 2);
}

} // namespace
} // namespace venture
