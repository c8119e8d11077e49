// DEMONSTRATES  two zones written as numbers, without any building: one held, one floating behind a partition
// SIMPLER       one_room.cpp, which begins with a building

#include <algorithm>
#include <cmath>
#include <cstdio>

#include <venture/balance/periodic_day.hpp>

using namespace venture;

int main()
{
    balance::ThermalModel m; // steps of ten minutes over a day, unless said otherwise
    std::vector<double> outdoor;
    for (int h = 0; h < 24; ++h) outdoor.push_back(4.0 + 5.0 * std::cos((h - 15) * 0.2618));
    m.outdoor_air_C = m.add_points(outdoor, balance::Forcing::outdoor_air);
    m.outdoor_humidity_ratio = m.add_constant(0.004, balance::Forcing::moisture);

    const fabric::Material brick{"brick", 0.8, 1800.0, 1000.0}, wool{"wool", 0.036, 30.0, 1030.0};
    m.walls = {fabric::wall_modes({"outside", {{brick, 0.115}, {wool, 0.1}, {brick, 0.175}}}),
               fabric::wall_modes({"partition", {{brick, 0.115}}})};

    balance::Zone office{.id = "office", .air_capacity_J_per_K = 300e3, .dry_air_kg = 72.0};
    office.heat_below_C = m.add_constant(20.0, balance::Forcing::set_point);
    office.infiltration_kg_per_s = {{m.add_constant(0.01, balance::Forcing::coefficient)}};
    balance::Zone store{.id = "store", .air_capacity_J_per_K = 200e3, .dry_air_kg = 48.0};
    store.infiltration_kg_per_s = {{m.add_constant(0.005, balance::Forcing::coefficient)}};
    m.zones = {office, store};

    const auto face = [](std::size_t zone) { return balance::ZoneFace{zone, 2.5, 5.1, {}}; };
    const balance::OutdoorFace outdoors{25.0, m.outdoor_air_C};
    m.surfaces = {
        {.id = "office, outside walls", .area_m2 = 40.0, .wall = 0, .outside = outdoors, .inside = face(0)},
        {.id = "store, outside walls", .area_m2 = 30.0, .wall = 0, .outside = outdoors, .inside = face(1)},
        {.id = "partition", .area_m2 = 12.0, .wall = 1, .outside = face(1), .inside = face(0)},
    };

    const balance::PeriodicDay day = balance::run_periodic_day(m);
    if (!day.converged || day.unsettled_steps > 0) return 1; // never believe such a day
    std::printf("hour  office heating  store air\n");
    for (std::size_t h = 0; h < 24; h += 4)
        std::printf("%4zu  %12.0f W  %6.2f degC\n", h, day.zones[0].heating_W[h], day.zones[1].air_C[h]);
    std::printf("heat balance closes: %s\n", day.worst_closure < 1e-9 ? "yes" : "no");
    return 0;
}
