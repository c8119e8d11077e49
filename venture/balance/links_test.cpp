/// Long wave face by face, beside that over one radiant point.

#include <algorithm>
#include <cmath>

#include <gtest/gtest.h>

#include <venture/balance/boxes_for_tests.hpp>
#include <venture/balance/periodic_day.hpp>
#include <venture/fabric/view_factors.hpp>
#include <venture/quantity/error.hpp>

namespace venture::balance {
namespace {

using namespace testing_boxes;

/// A room of 5 x 4 x 2.5 m held at 20 degC: a window for its front, all else insulated board.
ThermalModel glass_front(bool linked, double emissivity = 0.9)
{
    ThermalModel m = box({"glass", {{.resistance_m2K_per_W = 0.15}}});
    m.walls.push_back(fabric::wall_modes({"board", {{.resistance_m2K_per_W = 3.0}}}));
    const auto area = fabric::box_areas(5.0, 4.0, 2.5);
    for (std::size_t i = 0; i < 6; ++i) {
        m.surfaces[i].id = "face " + std::to_string(i);
        m.surfaces[i].area_m2 = area[i];
        m.surfaces[i].wall = i == 2 ? 0 : 1;
    }
    if (!linked) return m;
    std::vector<std::vector<double>> view;
    for (const auto& row : fabric::box_view_factors(5.0, 4.0, 2.5)) view.emplace_back(row.begin(), row.end());
    const auto g = fabric::grey_exchange_W_per_K({area.begin(), area.end()}, view, std::vector<double>(6, emissivity));
    for (std::size_t i = 0; i < 6; ++i)
        for (std::size_t j = 0; j < i; ++j) m.radiant_links.push_back({.surface = {i, j}, .W_per_K = g[i][j]});
    return m;
}

struct Faces {
    std::vector<SurfaceStep> faces{};
    PeriodicDay day{};
};

Faces run_of(const ThermalModel& m)
{
    Faces out;
    out.day = run_periodic_day(m, {}, [&](std::size_t, const StepResult& r) { out.faces = r.surfaces; });
    EXPECT_TRUE(out.day.converged);
    EXPECT_EQ(out.day.unsettled_steps, 0);
    EXPECT_LE(out.day.worst_closure, 1e-9);
    return out;
}

TEST(RadiantLinks, AreWhatFacesExchange)
{
    const ThermalModel m = glass_front(true);
    const Faces now = run_of(m);
    for (std::size_t i = 0; i < 6; ++i) {
        double into_W = m.surfaces[i].area_m2 * 2.5 * (set_C - now.faces[i].temperature_C[1]);
        for (const RadiantLink& link : m.radiant_links)
            for (const std::size_t k : {0U, 1U})
                if (link.surface[k] == i)
                    into_W += link.W_per_K *
                              (now.faces[link.surface[1 - k]].temperature_C[1] - now.faces[i].temperature_C[1]);
        EXPECT_NEAR(into_W / m.surfaces[i].area_m2, now.faces[i].flux_W_per_m2[1], 1e-6);
    }
}

TEST(RadiantLinks, ChillWhatLooksAtTheWindowMost)
{
    const Faces linked = run_of(glass_front(true)), star = run_of(glass_front(false));
    const auto inside = [](const Faces& f, std::size_t i) { return f.faces[i].temperature_C[1]; };
    EXPECT_NEAR(inside(star, 3), inside(star, 4), 1e-9); // over one point all boards are alike
    const auto view = fabric::box_view_factors(5.0, 4.0, 2.5);
    int pairs = 0;
    for (const std::size_t i : {0U, 1U, 3U, 4U, 5U})
        for (const std::size_t j : {0U, 1U, 3U, 4U, 5U}) {
            if (view[i][2] < view[j][2] + 0.002) continue;
            EXPECT_LT(inside(linked, i), inside(linked, j)) << i << " and " << j;
            ++pairs;
        }
    EXPECT_GE(pairs, 4);
    EXPECT_NEAR(linked.day.zones[0].heating_W[3], star.day.zones[0].heating_W[3],
                0.05 * star.day.zones[0].heating_W[3]);
}

TEST(RadiantLinks, ThatAreThoseOfTheRadiantPointChangeNothing)
{
    ThermalModel m = box(brick);
    m.outdoor_air_C = m.add_points(wave(5.0, 8.0, 15.0), Forcing::outdoor_air);
    for (std::size_t i = 0; i < 6; ++i) m.surfaces[i].outside = OutdoorFace{i % 2 == 0 ? 25.0 : 5.0, m.outdoor_air_C};
    const PeriodicDay star = run_periodic_day(m);
    for (std::size_t i = 0; i < 6; ++i) // star to mesh: h A h A / sum h A
        for (std::size_t j = 0; j < i; ++j)
            m.radiant_links.push_back({.surface = {i, j}, .W_per_K = 50.0 * 50.0 / 300.0});
    const PeriodicDay mesh = run_periodic_day(m);
    for (std::size_t h = 0; h < 24; ++h) EXPECT_NEAR(mesh.zones[0].heating_W[h], star.zones[0].heating_W[h], 1e-3);
}

TEST(RadiantLinks, ThatLeadNowhereAreRefused)
{
    ThermalModel m = glass_front(true);
    m.radiant_links[0].surface[0] = 17;
    EXPECT_THROW((void)run_periodic_day(m), quantity::RangeError);
    m.radiant_links[0] = {.surface = {0, 1}, .inside = {false, true}, .W_per_K = 1.0};
    EXPECT_THROW((void)run_periodic_day(m), quantity::RangeError);
    m.radiant_links[0] = {.surface = {0, 1}, .W_per_K = -1.0};
    EXPECT_THROW((void)run_periodic_day(m), quantity::RangeError);
}

TEST(EmbeddedSupply, IsSentOnceWhereFilmsVary) // several passes a stage used to add it each time
{
    ThermalModel m = box(brick);
    m.walls.push_back(
        fabric::wall_modes({"floor", {{{"screed", 1.4, 2000, 1000}, 0.03}, {{"screed", 1.4, 2000, 1000}, 0.05}}},
                           {.planes = {{.layer = 0, .share = 1.0}}}));
    m.surfaces[0].wall = 1;
    m.surfaces[0].outside = InsulatedFace{};
    m.outdoor_air_C = m.add_points(wave(0.0, 8.0, 15.0), Forcing::outdoor_air);
    for (std::size_t i = 0; i < 6; ++i) {
        if (i > 0) m.surfaces[i].outside = OutdoorFace{25.0, m.outdoor_air_C};
        std::get<ZoneFace>(m.surfaces[i].inside).natural = fabric::NaturalConvection{.cos_tilt = i == 0 ? 1.0 : 0.0};
    }
    m.zones[0].cool_above_C.reset();
    m.zones[0].convective_share = 0.4;
    m.zones[0].plane_shares = {{.surface = 0, .plane = 0, .share = 0.6}};
    const PeriodicDay day = run_periodic_day(m, {.films = {.inside_W_per_m2 = 1e-6, .most_passes = 40}});
    EXPECT_TRUE(day.converged);
    EXPECT_LE(day.worst_closure, 1e-9);
}

} // namespace
} // namespace venture::balance
