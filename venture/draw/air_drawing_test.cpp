#include <venture/draw/air_drawing.hpp>

#include <gmock/gmock.h>

namespace venture::draw {
namespace {

using testing::HasSubstr;
using testing::StartsWith;

AirDrawing two_states()
{
    AirDrawing out{.title = "A room", .subtitle = "an hour"};
    out.states = {{"outdoor air", {30.0, 0.014}, 0.1}, {"air of the room", {24.0, 0.009}, {}}};
    out.ways = {{0, 1}};
    out.held = HeldAir{20.0, 26.0, [](double) { return 0.006; }, [](double air_C) { return 0.0004 * air_C; }};
    return out;
}

TEST(AirDrawing, ComesInEveryForm)
{
    EXPECT_THAT(draw_air(two_states(), {.picture = Picture::svg}), HasSubstr("<svg"));
    EXPECT_THAT(draw_air(two_states(), {.picture = Picture::png}), StartsWith("\x89PNG"));
    EXPECT_THAT(draw_air(two_states(), {.picture = Picture::pdf}), StartsWith("%PDF"));
}

TEST(AirDrawing, IsTheSameEachTime) { EXPECT_EQ(draw_air(two_states()), draw_air(two_states())); }

TEST(AirDrawing, TakesHoursColdPlacesAndHeights)
{
    AirDrawing year = two_states();
    year.pressure = air::standard_pressure(3600.0);
    for (int h = 0; h < 8760; ++h) {
        const double t = -38.0 + 0.008 * h;
        year.outdoor_hours.push_back(
            {t, 0.5 * air::saturation_humidity_ratio(quantity::Temperature::celsius(t), year.pressure)});
        year.room_hours.push_back({21.0, 0.004});
    }
    year.states.clear();
    year.ways.clear();
    const std::string svg = draw_air(year, {.units = quantity::PreferredUnits{"inch-pound"}});
    EXPECT_THAT(svg, HasSubstr("<svg"));
    EXPECT_LT(svg.size(), 3'000'000u);
}

} // namespace
} // namespace venture::draw
