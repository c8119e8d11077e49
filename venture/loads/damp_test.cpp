/// Temperature factors of inside faces, and what a year's humidity does to them.

#include <gmock/gmock.h>

#include <building_questions.hpp>
#include <venture/air/moist_air.hpp>
#include <venture/building/cold_faces.hpp>
#include <venture/climate/climates_for_tests.hpp>
#include <venture/loads/building_year.hpp>
#include <venture/loads/damp.hpp>

namespace venture::loads {
namespace {

using namespace testing_data;
using quantity::Temperature;

input::Input with_window()
{
    input::Input in = one_room();
    in.rooms[0].openings = {window("south", 1.2, 1.2)};
    return in;
}

double vapour_Pa(double t_C, double humidity)
{
    return humidity * air::saturation_pressure(Temperature::celsius(t_C)).pascal();
}

/// A year whose months all have one state.
BuildingYear steady(const building::Building& b, double air_C, double humidity, double outdoor_C)
{
    BuildingYear out;
    RoomYear room{.room = b.rooms[0].name};
    room.damp.fill({730.0, air_C, vapour_Pa(air_C, humidity), outdoor_C, 10.0});
    out.rooms = {room};
    return out;
}

TEST(ColdFaces, AreAsColdAsTheHeatThroughThemMakesThem)
{
    const building::Building b = built(with_window());
    std::size_t seen = 0;
    for (const building::ColdFace& face : building::cold_faces(b))
        for (const building::Surface& s : b.surfaces) {
            if (s.name != face.face) continue;
            ++seen;
            const double layers = fabric::resistance(b.build_ups[s.build_up].layers),
                         W_per_m2 = 30.0 / (0.25 + layers + 1.0 / fabric::outside_film_W_per_m2K);
            EXPECT_NEAR(face.temperature_C(20.0, -10.0), 20.0 - 0.25 * W_per_m2, 1e-9) << s.name;
        }
    EXPECT_GE(seen, 4u);
    const building::ColdestFaces coldest = building::coldest_faces(b)[0];
    ASSERT_TRUE(coldest.opening);
    const building::Surface& south = surface_called(b, "south wall to outdoors");
    EXPECT_NEAR(1.0 - coldest.opening->temperature_factor, 0.13 * building::u_value(b, south, south.openings[0]),
                1e-12);
    EXPECT_LT(coldest.opening->temperature_factor, coldest.surface->temperature_factor);
}

TEST(ColdFaces, AreNoneOnTheGroundNorWithoutOutdoors)
{
    const building::Building b = built(with_window());
    for (const building::ColdFace& face : building::cold_faces(b))
        EXPECT_THAT(face.face, testing::Not(testing::HasSubstr("ground")));
    input::Input in = with_window();
    in.rooms[0].leave_out = input::LeaveOut::yes;
    in.rooms.push_back(room("Next", 5, 0, 5, 4));
    for (const building::ColdFace& face : building::cold_faces(built(in))) EXPECT_EQ(face.room, 1u);
}

TEST(Damp, TheNeededFactorLeavesEightyPercent)
{
    const building::Building b = built(with_window());
    const DampRow row = damp_rows(b, steady(b, 20.0, 0.65, -5.0)).at(0);
    const double face_C = -5.0 + row.needed_factor * 25.0;
    EXPECT_NEAR(vapour_Pa(20.0, 0.65) / air::saturation_pressure(Temperature::celsius(face_C)).pascal(), 0.8, 1e-9);
    const double own_C = -5.0 + row.factor * 25.0;
    EXPECT_NEAR(row.face_humidity,
                vapour_Pa(20.0, 0.65) / air::saturation_pressure(Temperature::celsius(own_C)).pascal(), 1e-12);
    EXPECT_EQ(row.mould(), row.factor < row.needed_factor);
    EXPECT_EQ(row.wet_opening_h, 120.0);
}

TEST(Damp, GrowsWithMoistureAndCold)
{
    const building::Building b = built(with_window());
    const auto humidity = [&](double inside, double outdoor_C) {
        return damp_rows(b, steady(b, 20.0, inside, outdoor_C)).at(0).face_humidity;
    };
    EXPECT_LT(humidity(0.4, 0.0), humidity(0.6, 0.0));
    EXPECT_LT(humidity(0.5, 5.0), humidity(0.5, -10.0));
    EXPECT_EQ(humidity(0.6, 25.0), 0.0); // warmer outdoors: no face is colder
    EXPECT_NEAR(humidity(0.6, 17.9), 0.6, 0.05);
}

TEST(Damp, ARoomThatIsNeverAiredGetsWetWindows)
{
    const climate::WeatherYear weather = climate::synthetic_year(climate::temperate_climate());
    const auto january = [&](double moisture_kg_per_s) {
        input::Input in = with_window();
        in.rooms[0].use.moisture = moisture_kg_per_s;
        const building::Building b = built(in);
        return damp_rows(b, run_year(b, weather, {.step_s = 3600.0, .days = 20, .run_in_days = 5.0})).at(0);
    };
    const DampRow dry = january(0.0), wet = january(2e-4);
    EXPECT_EQ(dry.wet_opening_h, 0.0);
    EXPECT_LT(dry.face_humidity, most_humid_face);
    EXPECT_GT(wet.wet_opening_h, 100.0);
    EXPECT_TRUE(wet.mould());
    EXPECT_EQ(wet.month, 1);
}

TEST(Duration, FallsFromThePeakAndAddsUpToNothingMore)
{
    const climate::WeatherYear weather = climate::synthetic_year(climate::temperate_climate());
    const BuildingYear year = run_year(built(with_window()), weather, {.step_s = 3600.0, .days = 60});
    ASSERT_GT(year.duration.size(), 4u);
    EXPECT_EQ(year.duration.front().heating_W, year.heating_peak_W);
    EXPECT_EQ(year.duration.back().hours, 24.0 * 60.0);
    for (std::size_t i = 1; i < year.duration.size(); ++i) {
        EXPECT_LE(year.duration[i].heating_W, year.duration[i - 1].heating_W);
        EXPECT_GT(year.duration[i].hours, year.duration[i - 1].hours);
    }
}

} // namespace
} // namespace venture::loads
