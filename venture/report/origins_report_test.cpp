#include <venture/report/origins_report.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

#include <small_building.hpp>
#include <venture/report/as_json.hpp>
#include <venture/report/as_text.hpp>

namespace venture::report {
namespace {

using testing::HasSubstr;

struct Listed {
    resolve::Resolved resolved = resolve::resolve(testing_data::one_room());
    std::vector<resolve::EffectiveValue> values = resolve::effective_values(resolved.effective, &*resolved.building);

    [[nodiscard]] figure::Document document(std::string_view asked, const quantity::PreferredUnits& units = {}) const
    {
        const quantity::OriginPool& origins = resolved.effective.origins;
        return origins_document(resolve::asked_for(values, asked, origins), origins, units);
    }
};

TEST(Origins, HaveALineAValueAndAreCounted)
{
    const Listed l;
    const std::string text = as_text(l.document(""), {}).laid_out();
    EXPECT_THAT(text, HasSubstr("site/ground_reflectance"));
    EXPECT_THAT(text, HasSubstr("default: ASHRAE Handbook - Fundamentals, usual ground"));
    EXPECT_THAT(text, HasSubstr("computed: from its outline"));
    EXPECT_THAT(text, HasSubstr(std::to_string(l.values.size()) + " values: "));
}

TEST(Origins, ArePrintedInTheUnitsChosen)
{
    const quantity::PreferredUnits units{"inch-pound"};
    EXPECT_THAT(as_text(Listed{}.document("floor area", units), units).laid_out(), HasSubstr("215.3 ft2")); // 20 m2
}

TEST(Origins, GiveSiValuesWithTheirKindAsData)
{
    const auto doc = as_json(Listed{}.document("floor area"))["value"];
    ASSERT_EQ(doc.size(), 1u);
    EXPECT_NEAR(doc[0]["number"].get<double>(), 20.0, 1e-9);
    EXPECT_EQ(doc[0]["quantity"], "area");
    EXPECT_EQ(doc[0]["origin"], "computed");
}

} // namespace
} // namespace venture::report
