#include <venture/input/layer_text.hpp>

#include <gmock/gmock.h>

#include <venture/input/wall_words.hpp>

namespace venture::input {
namespace {

using testing::ElementsAre;
using testing::HasSubstr;

LayerWords layer(std::string_view text)
{
    auto parsed = parse_layer(text);
    EXPECT_TRUE(std::holds_alternative<LayerWords>(parsed)) << text;
    return std::holds_alternative<LayerWords>(parsed) ? std::get<LayerWords>(parsed) : LayerWords{};
}

std::string problem(std::string_view text)
{
    const auto parsed = parse_layer(text);
    const auto* wrong = std::get_if<LayerProblem>(&parsed);
    return wrong != nullptr ? wrong->message : "a layer";
}

TEST(LayerText, SaysThicknessAndMaterial)
{
    EXPECT_EQ(layer("102 mm brick").name, "brick");
    EXPECT_DOUBLE_EQ(layer("102 mm brick").thickness_m, 0.102);
    EXPECT_DOUBLE_EQ(layer("4 in mineral wool, dense").thickness_m, 0.1016);
    EXPECT_EQ(layer("4 in mineral wool, dense").name, "mineral wool, dense");
}

TEST(LayerText, SaysAResistance)
{
    const LayerWords l = layer("0.18 m2K/W air gap");
    EXPECT_TRUE(l.is_resistance);
    EXPECT_FALSE(l.gap);
    EXPECT_DOUBLE_EQ(l.resistance_m2K_per_W, 0.18);
}

TEST(LayerText, SaysAnRValue)
{
    for (const char* text : {"R-38 loft wool", "R 38 loft wool"}) {
        const LayerWords l = layer(text);
        EXPECT_TRUE(l.is_resistance) << text;
        EXPECT_NEAR(l.resistance_m2K_per_W, 6.692, 1e-3) << text;
        EXPECT_EQ(l.name, "loft wool") << text;
    }
    EXPECT_DOUBLE_EQ(layer("RSI 6.7 loft wool").resistance_m2K_per_W, 6.7);
    EXPECT_NEAR(layer("3 1/2 in batts").thickness_m, 0.0889, 1e-12);
    EXPECT_NEAR(layer("1/2 in plasterboard").thickness_m, 0.0127, 1e-12);
    EXPECT_EQ(layer("1/2\" plasterboard").name, "plasterboard");
}

TEST(LayerText, SaysAGapAndHowItsAirMoves)
{
    EXPECT_EQ(layer("50 mm air gap").gap->ventilation, fabric::Ventilation::none);
    EXPECT_EQ(layer("50 mm well ventilated air gap").gap->ventilation, fabric::Ventilation::well);
    EXPECT_EQ(layer("50 mm slightly ventilated air gap").gap->ventilation, fabric::Ventilation::slight);
    EXPECT_LT(layer("50 mm foil-faced air gap").gap->emissivity_1, 0.1);
    EXPECT_DOUBLE_EQ(layer("50 mm air gap").gap->thickness_m, 0.05);
}

TEST(LayerText, SaysWhatBridgesIt)
{
    const LayerWords spaced = layer("140 mm mineral wool between 45 mm softwood every 600 mm");
    EXPECT_EQ(spaced.name, "mineral wool");
    EXPECT_EQ(spaced.bridge, "softwood");
    EXPECT_DOUBLE_EQ(spaced.bridge_share, 0.075);
    const LayerWords shared = layer("140 mm mineral wool with 12 % softwood");
    EXPECT_DOUBLE_EQ(shared.bridge_share, 0.12);
    EXPECT_EQ(layer("200 mm air gap with 9 % softwood").gap->thickness_m, 0.2);
    EXPECT_EQ(layer("10 mm board with holes").name, "board with holes"); // a name may hold the word
}

TEST(LayerText, TellsWhatIsWrong)
{
    EXPECT_THAT(problem("brick"), HasSubstr("is no layer; expected a thickness and a material"));
    EXPECT_THAT(problem("102 mm"), HasSubstr("is no layer"));
    EXPECT_THAT(problem("3.5 in air"), HasSubstr("is no layer"));
    const auto air = parse_layer("3.5 in air");
    EXPECT_EQ(std::get<LayerProblem>(air).hint, "air between layers is an air gap: \"3.5 in air gap\"");
    EXPECT_THAT(problem("102 kg brick"), HasSubstr("kg"));
    EXPECT_THAT(problem("0 mm brick"), HasSubstr("a layer of no thickness"));
    EXPECT_THAT(problem("-20 mm brick"), HasSubstr("a layer of no thickness"));
    EXPECT_THAT(problem("140 mm wool between 45 mm softwood at 600 mm"),
                HasSubstr("a width, a material and a spacing"));
    EXPECT_THAT(problem("140 mm wool between 600 mm softwood every 45 mm"), HasSubstr("a width, a material"));
    EXPECT_THAT(problem("140 mm wool with 12 softwood"), HasSubstr("a share of the area and a material"));
}

// --- walls in words

WallInWords wall(std::string_view text)
{
    auto read = wall_in_words(text);
    if (const auto* wrong = std::get_if<LayerProblem>(&read)) {
        ADD_FAILURE() << wrong->message;
        return {};
    }
    return std::get<WallInWords>(read);
}

std::string wrong_wall(std::string_view text)
{
    const auto read = wall_in_words(text);
    const auto* wrong = std::get_if<LayerProblem>(&read);
    return wrong != nullptr ? wrong->message + " | " + wrong->hint : "a wall";
}

TEST(WallInWords, OfAFrameIsCompletedToLayers)
{
    const WallInWords w =
        wall("brick cladding, timber frame 140 mm, studs at 600 mm, filled with mineral wool, plasterboard");
    EXPECT_THAT(w.layers, ElementsAre("102 mm facing brick", "50 mm air gap", "9 mm plywood",
                                      "140 mm mineral wool with 13.5 % softwood", "12.5 mm plasterboard"));
    EXPECT_THAT(w.assumed,
                ElementsAre("brick cladding: 102 mm thick", "behind brick cladding: 50 mm air gap",
                            "sheathing outside of the frame: 9 mm plywood", "studs 45 mm wide",
                            "plates and noggins: 6 % of the area more than the studs", "plasterboard: 12.5 mm thick"));
}

TEST(WallInWords, OfTwoLeavesFillsItsCavity)
{
    EXPECT_THAT(
        wall("brick outer leaf, cavity 100 mm, filled with glass wool, 100 mm block inner leaf, plaster").layers,
        ElementsAre("102 mm facing brick", "100 mm glass wool", "100 mm aerated concrete block",
                    "13 mm gypsum plaster"));
    EXPECT_THAT(wall("brick outer leaf 110 mm, cavity, brick inner leaf").layers,
                ElementsAre("110 mm facing brick", "50 mm air gap", "102 mm inner brick"));
}

TEST(WallInWords, OfSteelTellsThatItsStudsAreNotCounted)
{
    const WallInWords w = wall("two plasterboards, steel frame 75 mm, studs at 600 mm, filled with mineral wool, two "
                               "plasterboards");
    EXPECT_THAT(w.layers, ElementsAre("25 mm plasterboard", "75 mm mineral wool", "25 mm plasterboard"));
    EXPECT_THAT(w.assumed, testing::Contains(HasSubstr("steel studs are not in the U-value")));
}

TEST(WallInWords, MayHoldLayersAsTheyAre)
{
    EXPECT_THAT(wall("render, 120 mm expanded polystyrene, solid brick, plaster").layers,
                ElementsAre("15 mm cement render", "120 mm expanded polystyrene", "215 mm facing brick",
                            "13 mm gypsum plaster"));
}

TEST(WallInWords, TellsWhatIsNoPartOfAWall)
{
    EXPECT_THAT(wrong_wall("brick claddin, plaster"), HasSubstr("did you mean 'brick cladding'?"));
    EXPECT_THAT(wrong_wall("filled with wool"), HasSubstr("stands behind no cavity or frame"));
    EXPECT_THAT(wrong_wall("solid brick, studs at 600 mm"), HasSubstr("stands behind no frame"));
    EXPECT_THAT(wrong_wall("timber frame, studs every 600 mm"), HasSubstr("does not say how far apart"));
    EXPECT_THAT(wrong_wall(""), HasSubstr("described by no words"));
}

TEST(LayerText, TapersBetweenTwoThicknesses)
{
    for (const char* text : {"20 to 140 mm polystyrene", "140 to 20 mm polystyrene", "2 cm to 140 mm polystyrene",
                             "20 mm to 0.14 m polystyrene"}) {
        const auto parsed = parse_layer(text);
        const auto* words = std::get_if<LayerWords>(&parsed);
        ASSERT_TRUE(words) << text;
        EXPECT_EQ(words->name, "polystyrene");
        EXPECT_NEAR(words->thickness_m, 0.14, 1e-12) << text;
        EXPECT_NEAR(words->tapers_to_m.value_or(-1.0), 0.02, 1e-12) << text;
    }
    EXPECT_NEAR(std::get<LayerWords>(parse_layer("0 to 90 mm cork")).tapers_to_m.value_or(-1.0), 0.0, 1e-12);
    for (const char* text : {"20 to 20 mm cork", "20 to 30 to 40 mm cork", "20 to 50 mm air gap",
                             "20 to 90 mm wool with 10 % softwood", "0.1 to 0.2 m2K/W something", "-20 to 40 mm cork"})
        EXPECT_TRUE(std::holds_alternative<LayerProblem>(parse_layer(text))) << text;
}

} // namespace
} // namespace venture::input
