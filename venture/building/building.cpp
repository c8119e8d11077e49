#include <venture/building/building.hpp>

#include <algorithm>
#include <cmath>
#include <limits>
#include <numbers>
#include <span>

#include <venture/air/carbon_dioxide.hpp>

namespace venture::building {

using plan::to_metres;

air::RoomNeed Room::outdoor_air_need() const
{
    return {use.people.value, use.ventilation_per_person_m3_per_s.value, floor_area_m2,
            use.ventilation_per_area_m_per_s.value, use.air_effectiveness.value};
}

double Room::outdoor_air_for_carbon_dioxide_m3_per_s() const
{
    if (!use.carbon_dioxide_limit || use.people.value <= 0.0) return 0.0;
    return air::flow_for_rise_m3_per_s(use.people.value * use.carbon_dioxide_per_person_m3_per_s.value,
                                       use.carbon_dioxide_limit->value - air::carbon_dioxide_outdoors) /
           use.air_effectiveness.value;
}

double Room::outdoor_air_as_typed_m3_per_s() const
{
    return outdoor_air_need().supply_m3_per_s() + volume_m3 * use.ventilation_per_h.value / 3600.0 +
           use.ventilation_m3_per_s.value;
}

double Room::outdoor_air_by_plan_m3_per_s() const
{
    return std::max(outdoor_air_as_typed_m3_per_s(), outdoor_air_for_carbon_dioxide_m3_per_s());
}

double Surface::openings_m2() const
{
    double sum = 0.0;
    for (const Opening& opening : openings) sum += opening.area_m2();
    return sum;
}

std::optional<std::size_t> Building::find_room(std::string_view name) const
{
    for (std::size_t i = 0; i < rooms.size(); ++i)
        if (rooms[i].name == name) return i;
    return std::nullopt;
}

double foot_of_sills_m(const Building& building, const Surface& surface)
{
    if (surface.is_upright()) return building.rooms[surface.room].floor_m;
    std::int64_t lowest = std::numeric_limits<std::int64_t>::max();
    for (const plan::Polygon& part : surface.shape)
        for (const plan::GridPoint p : part.outline) lowest = std::min(lowest, p.y);
    return to_metres(lowest);
}

SurfacePlane plane_of(const Surface& s)
{
    if (s.is_level())
        return {{0.0, 0.0, s.start_m},
                {1.0, 0.0, 0.0},
                {0.0, 1.0, 0.0},
                {0.0, 0.0, s.attitude == Attitude::floor ? -1.0 : 1.0}};
    const double dx = to_metres(s.plan_end.x - s.plan_start.x), dy = to_metres(s.plan_end.y - s.plan_start.y);
    const double length = std::hypot(dx, dy), x = dx / length, y = dy / length;
    const Spot zero = {to_metres(s.plan_start.x), to_metres(s.plan_start.y), s.start_m};
    const SurfacePlane::Way along = {x, y, 0.0};
    if (s.is_upright()) return {zero, along, {0.0, 0.0, 1.0}, {y, -x, 0.0}};
    const double flat = std::cos(s.tilt_deg * std::numbers::pi / 180.0),
                 steep = std::sin(s.tilt_deg * std::numbers::pi / 180.0);
    return {zero, along, {-y * flat, x * flat, steep}, {y * steep, -x * steep, flat}};
}

fabric::HeatFlow heat_flow(Attitude attitude)
{
    switch (attitude) {
    case Attitude::wall:
        return fabric::HeatFlow::horizontal;
    case Attitude::floor:
        return fabric::HeatFlow::downwards;
    case Attitude::ceiling:
        return fabric::HeatFlow::upwards;
    }
    return fabric::HeatFlow::horizontal;
}

fabric::HeatFlow heat_flow_behind(Attitude attitude)
{
    if (attitude == Attitude::floor) return fabric::HeatFlow::upwards; // seen from below, a floor is a ceiling
    if (attitude == Attitude::ceiling) return fabric::HeatFlow::downwards;
    return fabric::HeatFlow::horizontal;
}

/// Its own, without those of the ground under it.
static std::span<const fabric::Layer> own_layers(const NamedBuildup& build_up)
{
    return std::span{build_up.layers.layers}.subspan(build_up.ground ? build_up.ground->layers_of_ground : 0);
}

double thickness_m(const NamedBuildup& build_up)
{
    double sum = 0.0;
    for (const fabric::Layer& layer : own_layers(build_up)) sum += layer.thickness_m + layer.gap_m;
    return sum;
}

std::optional<double> known_thickness_m(const NamedBuildup& build_up)
{
    const bool known = !build_up.typed && std::ranges::none_of(own_layers(build_up), [](const fabric::Layer& layer) {
        return layer.thickness_m + layer.gap_m <= 0.0;
    });
    return known ? std::optional{thickness_m(build_up)} : std::nullopt;
}

std::optional<HumidityLimit> Room::dried_above(const Method& method, bool for_design) const
{
    if (use.humidity_limit || !for_design || !use.cooling_setpoint_C) return use.humidity_limit;
    HumidityLimit out{.value = assumed_design_humidity};
    if (!method.humidity_of_air) out.at_C = use.cooling_setpoint_C->value;
    return out;
}

std::string_view name_of(Opening::Kind kind)
{
    constexpr std::string_view words[] = {"window", "door", "open"};
    return words[static_cast<std::size_t>(kind)];
}

double glass_u_value(const NamedGlazing& g)
{
    return g.unit ? glazed_unit_properties(*g.unit).u_value_W_per_m2K : g.values.u_value_W_per_m2K;
}

fabric::ShadedGain gain_with_shade(const NamedGlazing& g, const fabric::Shade& shade)
{
    const bool inside = shade.place == fabric::ShadePlace::inside;
    return shaded_gain({.u_value_W_per_m2K = glass_u_value(g),
                        .g_value = g.values.g_value,
                        .direct_transmittance = g.values.direct_transmittance,
                        .reflectance = inside ? g.values.reflectance_inside : g.values.reflectance_outside},
                       shade);
}

} // namespace venture::building
