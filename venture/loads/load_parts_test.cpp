/// Days that are replayed with one forcing alone.

#include <cmath>

#include <gtest/gtest.h>

#include <venture/balance/boxes_for_tests.hpp>
#include <venture/loads/load_parts.hpp>

namespace venture::loads {
namespace {

using namespace balance::testing_boxes;

/// Two rooms with everything that varies: films, a dead band, limits, gains, sun.
balance::ThermalModel busy_rooms()
{
    balance::ThermalModel m = two_boxes();
    m.outdoor_air_C = m.add_points(wave(16.0, 9.0, 15.0), balance::Forcing::outdoor_air);
    const balance::SignalId sky = m.add_constant(5.0, balance::Forcing::sky);
    for (balance::Surface& s : m.surfaces) {
        if (std::holds_alternative<balance::OutdoorFace>(s.outside))
            s.outside = balance::OutdoorFace{
                .film_W_per_m2K = 12.0,
                .environment_C = m.outdoor_air_C,
                .absorbed_W = {{m.add_blocks(std::vector<double>(24, 100.0), balance::Forcing::sun), 5.0}},
                .long_wave = balance::LongWave{.sky_share = 0.5, .sky_C = sky, .ground_C = m.outdoor_air_C}};
        std::get<balance::ZoneFace>(s.inside).natural = fabric::NaturalConvection{};
    }
    std::vector<double> work(24, 0.0);
    for (std::size_t h = 8; h < 18; ++h) work[h] = 1.0;
    m.zones[0].convective_gain_W = {{m.add_blocks(work, balance::Forcing::people), 600.0}};
    m.zones[0].radiant_gain_W = {{m.add_blocks(work, balance::Forcing::equipment), 900.0}};
    m.zones[0].infiltration_kg_per_s = {{m.add_constant(0.02, balance::Forcing::coefficient)}};
    m.zones[0].heat_below_C = m.add_constant(20.0, balance::Forcing::set_point);
    m.zones[0].cool_above_C = m.add_constant(24.0, balance::Forcing::set_point);
    m.zones[0].most_cooling_W = m.add_constant(700.0, balance::Forcing::limit);
    m.zones[0].radiant_weight = 0.5;
    m.zones[0].convective_share = 0.7;
    return m;
}

TEST(LoadParts, AddUpToTheLoadsOfTheDay)
{
    const balance::ThermalModel m = busy_rooms();
    balance::Recording recorded;
    const balance::PeriodicOptions fine{.temperature_tolerance_K = 1e-9};
    balance::PeriodicOptions recording = fine;
    recording.record = &recorded;
    const balance::PeriodicDay day = run_periodic_day(m, recording);
    ASSERT_TRUE(day.converged);
    double heated = 0.0, cooled = 0.0;
    for (std::size_t h = 0; h < 24; ++h) {
        heated += day.zones[0].heating_W[h];
        cooled += day.zones[0].cooling_W[h];
    }
    ASSERT_GT(heated, 0.0); // both acted, and in between neither
    ASSERT_GT(cooled, 0.0);
    for (const double reference_C : {0.0, 22.0}) {
        const std::vector<LoadPart> parts = load_parts(m, recorded, reference_C, fine);
        EXPECT_EQ(parts.size(), 8u); // outdoor air, sun, sky, people, equipment, set-points, limits, the rest
        for (std::size_t z = 0; z < 2; ++z)
            for (std::size_t h = 0; h < 24; ++h) {
                double sum = 0.0;
                for (const LoadPart& part : parts) sum += part.load_W[z][h];
                EXPECT_NEAR(sum, day.zones[z].heating_W[h] - day.zones[z].cooling_W[h], 1e-3);
            }
    }
}

TEST(LoadParts, OfGainsAreNeverMoreThanTheyGive)
{
    const balance::ThermalModel m = busy_rooms();
    balance::Recording recorded;
    balance::PeriodicOptions options{.temperature_tolerance_K = 1e-9};
    options.record = &recorded;
    (void)run_periodic_day(m, options);
    options.record = nullptr;
    for (const LoadPart& part : load_parts(m, recorded, 22.0, options)) {
        if (part.forcing != balance::Forcing::people) continue;
        double taken_away = 0.0;
        for (const double load : part.load_W[0]) taken_away -= load;
        EXPECT_GT(taken_away, 0.0);
        EXPECT_LT(taken_away, 6000.0); // 600 W over ten hours
    }
}

TEST(Replay, OfEverythingIsTheDayItself)
{
    const balance::ThermalModel m = busy_rooms();
    balance::Recording recorded;
    balance::PeriodicOptions options{.temperature_tolerance_K = 1e-9};
    options.record = &recorded;
    const balance::PeriodicDay day = run_periodic_day(m, options);
    options.record = nullptr;
    options.replay = &recorded;
    const balance::PeriodicDay again = run_periodic_day(m, options);
    for (std::size_t h = 0; h < 24; ++h) {
        EXPECT_NEAR(again.zones[0].cooling_W[h], day.zones[0].cooling_W[h], 1e-4);
        EXPECT_NEAR(again.zones[1].air_C[h], day.zones[1].air_C[h], 1e-6);
    }
    EXPECT_EQ(recorded.actions.size(), 2u * 144u * 2u);
    EXPECT_EQ(recorded.zones, 2u);
}

} // namespace
} // namespace venture::loads
