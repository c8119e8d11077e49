#include <venture/resolve/effective.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/input/chosen_units.hpp>
#include <venture/resolve/resolve.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {
namespace {

using namespace std::string_literals;

Input two_rooms()
{
    Input in = testing_data::one_room();
    in.rooms.push_back(testing_data::room("B/C", 5.0, 0.0, 3.0, 4.0)); // a name may hold a slash
    return in;
}

struct Listed {
    Resolved resolved = resolve(two_rooms());
    std::vector<EffectiveValue> all = effective_values(resolved.effective, &*resolved.building);

    [[nodiscard]] std::vector<std::string> paths(std::string_view what) const
    {
        std::vector<std::string> out;
        for (const EffectiveValue& v : asked_for(all, what, resolved.effective.origins)) out.push_back(v.path);
        return out;
    }
};

TEST(EffectiveValues, HoldWhatWasGivenWhatIsDefaultAndWhatIsComputed)
{
    const Listed l;
    const std::string room = "room/" + l.resolved.building->rooms[0].name;
    const auto mine = l.paths(room);
    for (const char* key : {"/size", "/height", "/infiltration", "/floor area", "/volume"})
        EXPECT_THAT(mine, testing::Contains(room + key));
    EXPECT_THAT(l.paths("computed"), testing::Contains(room + "/floor area"));
    EXPECT_THAT(l.paths("default"), testing::Contains(room + "/infiltration"));
    EXPECT_THAT(l.paths("default"), testing::Not(testing::Contains(room + "/size")));
}

TEST(EffectiveValues, HaveAnOriginEachUnlessGivenInCode)
{
    const Listed l;
    for (const EffectiveValue& v : l.all)
        EXPECT_FALSE(l.resolved.effective.origins.describe(v.origin).empty()) << v.path;
}

TEST(AskedFor, UnderstandsPathsStarsAndKeys)
{
    const Listed l;
    EXPECT_EQ(l.paths("").size(), l.all.size());
    EXPECT_THAT(l.paths("room/*/height"), testing::SizeIs(1)); // the star stands for a name without a slash
    for (const std::string& path : l.paths("site")) EXPECT_TRUE(path.starts_with("site/")) << path;
    for (const std::string& path : l.paths("people")) EXPECT_TRUE(path.ends_with("/people")) << path;
    EXPECT_FALSE(l.paths("room/B/C").empty());
    EXPECT_TRUE(l.paths("room/B").size() >= l.paths("room/B/C").size());
    EXPECT_TRUE(l.paths("roo").empty()); // no half names
    EXPECT_TRUE(l.paths("room/nobody").empty());
    EXPECT_FALSE(l.paths("room/*").empty());
}

TEST(ChosenUnits, LaySingleChoicesOverAPreset)
{
    UnitsInput input;
    EXPECT_EQ(chosen_units(input).symbol("area"), "m2");
    input.preset = "inch-pound"s;
    input.air_flow = "m3/h"s;
    EXPECT_EQ(chosen_units(input).symbol("area"), "ft2");
    EXPECT_EQ(chosen_units(input).symbol("air_flow"), "m3/h");
}

} // namespace
} // namespace venture::resolve
