#include <venture/report/origins_report.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

#include <small_building.hpp>

namespace venture::report {
namespace {

using testing::HasSubstr;

struct Listed {
    resolve::Resolved resolved = resolve::resolve(testing_data::one_room());
    std::vector<resolve::EffectiveValue> values = resolve::effective_values(resolved.effective, &*resolved.building);
};

TEST(OriginsText, HasALineAValueAndCountsThem)
{
    const Listed l;
    const std::string text = origins_text(l.values, l.resolved.effective.origins).laid_out();
    EXPECT_THAT(text, HasSubstr("site/ground_reflectance"));
    EXPECT_THAT(text, HasSubstr("default: ASHRAE Handbook - Fundamentals, usual ground"));
    EXPECT_THAT(text, HasSubstr("computed: from its outline"));
    EXPECT_THAT(text, HasSubstr(std::to_string(l.values.size()) + " values: "));
}

TEST(OriginsText, PrintsInTheUnitsChosen)
{
    const Listed l;
    const auto area = resolve::asked_for(l.values, "floor area", l.resolved.effective.origins);
    EXPECT_THAT(origins_text(area, l.resolved.effective.origins, quantity::PreferredUnits{"inch-pound"}).laid_out(),
                HasSubstr("215.3 ft2")); // 20 m2
}

TEST(OriginsJson, GivesSiValuesWithTheirKind)
{
    const Listed l;
    const auto area = resolve::asked_for(l.values, "floor area", l.resolved.effective.origins);
    const auto doc = origins_json(area, l.resolved.effective.origins);
    ASSERT_EQ(doc.size(), 1u);
    EXPECT_NEAR(doc[0]["value"].get<double>(), 20.0, 1e-9);
    EXPECT_EQ(doc[0]["quantity"], "area");
    EXPECT_EQ(doc[0]["origin"], "computed");
}

} // namespace
} // namespace venture::report
