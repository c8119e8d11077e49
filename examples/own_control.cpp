// DEMONSTRATES  a control of the caller's own, through the callback: a fan that brings in night air, and no thermostat
// SIMPLER       two_zones.cpp

#include <cmath>
#include <cstdio>

#include <venture/balance/run.hpp>

using namespace venture;

namespace {

/// A room with gains by day, over two weeks of warm weather.
balance::ThermalModel warm_room()
{
    constexpr std::size_t days = 14;
    balance::ThermalModel m{.step_s = 600.0, .steps = 144 * days};
    std::vector<double> outdoor, work;
    for (std::size_t h = 0; h < 24 * days; ++h) {
        const auto hour = static_cast<double>(h % 24);
        outdoor.push_back(19.0 + 6.0 * std::cos((hour - 15.0) * 0.2618));
        work.push_back(hour >= 8.0 && hour < 18.0 ? 1.0 : 0.0);
    }
    m.outdoor_air_C = m.add_points(outdoor, balance::Forcing::outdoor_air);
    m.outdoor_humidity_ratio = m.add_constant(0.009, balance::Forcing::moisture);
    m.walls = {fabric::wall_modes({"concrete", {{{"concrete", 1.7, 2300.0, 1000.0}, 0.15}}}),
               fabric::wall_modes(
                   {"outside", {{{"wool", 0.036, 30.0, 1030.0}, 0.12}, {{"brick", 0.8, 1800.0, 1000.0}, 0.115}}})};
    balance::Zone room{.id = "room", .air_capacity_J_per_K = 300e3, .dry_air_kg = 72.0};
    room.infiltration_kg_per_s = {{m.add_constant(0.01, balance::Forcing::coefficient)}};
    room.convective_gain_W = {{m.add_blocks(work, balance::Forcing::equipment), 400.0}};
    m.zones = {room};
    m.surfaces = {{.id = "floor and ceiling", .area_m2 = 40.0, .inside = balance::ZoneFace{0, 2.5, 5.1, {}}},
                  {.id = "outside wall",
                   .area_m2 = 25.0,
                   .wall = 1,
                   .outside = balance::OutdoorFace{25.0, m.outdoor_air_C},
                   .inside = balance::ZoneFace{0, 2.5, 5.1, {}}}};
    return m;
}

/// The fan runs at night while it is colder outside than in, and stops at 20 degC.
struct NightFan {
    const balance::ThermalModel& model;
    int steps_on = 0;
    bool operator()(const balance::Moment& now, balance::Orders& orders)
    {
        const double hour = std::fmod(now.hour, 24.0), inside_C = now.state.air_C[0],
                     outside_C = model.value(model.outdoor_air_C, now.step, 0.0);
        const bool night = hour >= 21.0 || hour < 7.0;
        if (night && inside_C > 20.0 && outside_C < inside_C - 1.0) {
            orders[0].ventilation_kg_per_s = 0.25;
            ++steps_on;
        }
        return true; // false would end the run
    }
};

} // namespace

int main()
{
    const balance::ThermalModel m = warm_room();
    NightFan fan{m};
    const balance::RunResult closed = run(m), aired = run(m, {.control = std::ref(fan)});
    std::printf("warmest without the fan  %.1f degC\n", closed.zones[0].warmest_C);
    std::printf("warmest with night air   %.1f degC\n", aired.zones[0].warmest_C);
    std::printf("the fan ran for          %.0f h of two weeks\n", fan.steps_on * m.step_s / 3600.0);
    return 0;
}
