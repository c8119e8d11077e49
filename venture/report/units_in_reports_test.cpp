/// Reports in the units that were chosen: every number follows, and none is left in another unit.

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/report/as_text.hpp>
#include <venture/report/check_report.hpp>
#include <venture/report/loads_report.hpp>
#include <venture/report/room_report.hpp>

namespace venture::report {
namespace {

using quantity::PreferredUnits;
using testing::HasSubstr;
using testing::Not;

struct Case {
    building::Building building = testing_data::built(testing_data::one_room());
    loads::DesignLoads design = loads::design_loads(building);
    PreferredUnits inch_pound{"inch-pound"};
};

std::string text(const figure::Document& document, const PreferredUnits& units)
{
    return as_text(document, units).laid_out();
}

TEST(Reports, ComeInInchPoundUnits)
{
    const Case c;
    const std::string check = text(check_document(c.building, c.inch_pound), c.inch_pound),
                      loads = text(loads_document(c.building, c.design, c.inch_pound), c.inch_pound);
    EXPECT_THAT(check, HasSubstr("215.3")); // 20 m2
    for (const std::string& shown :
         {check, loads,
          text(room_document(c.design.loads.rooms[0], {}, c.building.origins, c.inch_pound), c.inch_pound)})
        for (const char* metric : {"degC", " m2", "W/m2", " kW", "L/s", " W\n"})
            EXPECT_THAT(shown, Not(HasSubstr(metric))) << shown;
    EXPECT_THAT(loads, HasSubstr("winter design 23.0 degF")); // -5 degC
    EXPECT_THAT(loads, HasSubstr("kBtu/h"));
}

TEST(Reports, ComeInSiUnlessAsked)
{
    const Case c;
    const std::string loads = text(loads_document(c.building, c.design, {}), {});
    EXPECT_THAT(loads, HasSubstr("winter design -5.0 degC"));
    EXPECT_THAT(loads, HasSubstr(PreferredUnits{}.number(c.design.loads.rooms[0].heating_W, "power")));
}

TEST(Reports, TakeAnyMix)
{
    Case c;
    c.inch_pound.choose("temperature", "degC");
    const std::string loads = text(loads_document(c.building, c.design, c.inch_pound), c.inch_pound);
    EXPECT_THAT(loads, HasSubstr("winter design -5.0 degC"));
    EXPECT_THAT(loads, HasSubstr("ft2"));
}

} // namespace
} // namespace venture::report
