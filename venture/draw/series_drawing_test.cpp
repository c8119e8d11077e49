#include <venture/draw/series_drawing.hpp>

#include <cmath>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

namespace venture::draw {
namespace {

using testing::AllOf;
using testing::HasSubstr;
using testing::Not;

SeriesDrawing some_days(SeriesForm form, std::size_t series, double swing = 5.0)
{
    SeriesDrawing out{.title = "House", .quantity = "temperature", .scale = "air temperature", .first_day = 200};
    out.form = form;
    for (int h = 0; h < 240; ++h) out.outdoor_C.push_back(10.0 + swing * std::sin(h / 7.0));
    for (std::size_t s = 0; s < series; ++s) {
        DrawnSeries& one = out.series.emplace_back();
        one.name = "Room " + std::to_string(s + 1);
        for (int h = 0; h < 240; ++h) one.hours.push_back(20.0 + static_cast<double>(s) + swing * std::sin(h / 24.0));
    }
    return out;
}

TEST(SeriesDrawing, IsTheSameBytesTwiceInEveryForm)
{
    for (std::size_t form = 0; form < series_form_words.size(); ++form)
        for (const std::size_t series : {1U, 4U}) {
            const SeriesDrawing what = some_days(static_cast<SeriesForm>(form), series);
            const std::string once = draw_series(what);
            EXPECT_EQ(once, draw_series(what)) << series_form_words.at(form);
            EXPECT_THAT(once, AllOf(HasSubstr("Room 1"), HasSubstr("air temperature"), Not(HasSubstr("nan"))));
        }
}

TEST(SeriesDrawing, BearsSeriesThatNeverMove) // nothing to scale by
{
    for (std::size_t form = 0; form < series_form_words.size(); ++form)
        EXPECT_THAT(draw_series(some_days(static_cast<SeriesForm>(form), 2, 0.0)), Not(HasSubstr("nan")));
}

TEST(SeriesDrawing, ShowsTheUnitsAskedFor)
{
    EXPECT_THAT(draw_series(some_days(SeriesForm::duration, 1), {.units = quantity::PreferredUnits{"inch-pound"}}),
                HasSubstr("degF"));
    SeriesDrawing as_it_is = some_days(SeriesForm::profile, 1);
    as_it_is.quantity.clear();
    as_it_is.unit = "1/h";
    EXPECT_THAT(draw_series(as_it_is), HasSubstr("1/h"));
}

TEST(SeriesDrawing, HasRoomForSixCarpetsAndFourCurves)
{
    EXPECT_EQ(SeriesDrawing{.form = SeriesForm::carpet}.most(), 6u);
    EXPECT_GT(draw_series(some_days(SeriesForm::carpet, 6)).size(), 1000u);
    EXPECT_EQ(SeriesDrawing{.form = SeriesForm::outdoors}.most(), 4u);
}

} // namespace
} // namespace venture::draw
