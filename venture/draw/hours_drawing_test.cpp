#include <venture/draw/hours_drawing.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

namespace venture::draw {
namespace {

HoursDrawing two_days(std::size_t loads)
{
    HoursDrawing out{.title = "Room", .subtitle = "a test", .days = {"1 May", "2 May"}};
    for (const char* name : {"outdoors", "room"}) out.temperatures_C.push_back({name, std::vector<double>(48, 20.0)});
    for (std::size_t i = 0; i < loads; ++i) out.loads_W.push_back({"heating", std::vector<double>(48, 0.0)});
    return out;
}

TEST(HoursDrawing, IsTheSameBytesTwiceInEveryKind)
{
    for (const Picture kind : {Picture::svg, Picture::png, Picture::pdf})
        for (const std::size_t loads : {0U, 1U}) {
            const std::string once = draw_hours(two_days(loads), {.picture = kind});
            EXPECT_GT(once.size(), 1000u);
            EXPECT_EQ(once, draw_hours(two_days(loads), {.picture = kind}));
        }
}

TEST(HoursDrawing, BearsCurvesThatNeverMove) // nothing to scale by
{
    EXPECT_THAT(draw_hours(two_days(1)), testing::Not(testing::HasSubstr("nan")));
}

} // namespace
} // namespace venture::draw
