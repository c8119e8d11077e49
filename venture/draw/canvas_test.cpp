#include <venture/draw/canvas.hpp>

#include <gtest/gtest.h>

namespace venture::draw {
namespace {

std::string drawn(Picture picture)
{
    Canvas c{picture, 200, 100};
    c.fill({{10, 10}, {90, 10}, {90, 60}}, {0.9, 0.8, 0.2});
    c.hatch({{10, 10}, {90, 10}, {90, 60}}, {{0.5, 0.5, 0.5}, 1.0}, 5.0);
    c.line({0, 0}, {200, 100}, {{0, 0, 0}, 2.0, {4, 2}});
    c.text({100, 50}, "Boat hall", 12, true);
    return c.finish();
}

TEST(Canvas, WritesEachKindOfPicture)
{
    EXPECT_TRUE(drawn(Picture::png).starts_with("\x89PNG"));
    EXPECT_TRUE(drawn(Picture::pdf).starts_with("%PDF"));
    EXPECT_NE(drawn(Picture::svg).find("<svg"), std::string::npos);
}

TEST(Canvas, WritesTheSameBytesEveryTime)
{
    for (const Picture p : {Picture::svg, Picture::png, Picture::pdf}) EXPECT_EQ(drawn(p), drawn(p));
}

TEST(Canvas, DatesAPdfByNoClock) { EXPECT_NE(drawn(Picture::pdf).find("CreationDate (20000101"), std::string::npos); }

TEST(Canvas, MeasuresBoldTextWider)
{
    Canvas c{Picture::png, 10, 10};
    EXPECT_GT(c.text_width("Operations", 12, true), c.text_width("Operations", 12, false));
}

} // namespace
} // namespace venture::draw
