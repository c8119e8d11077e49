#pragma once
/// One room in code, for tests: 5 x 4 x 3 m on the ground, everything stated, hand sums easy.

#include <gtest/gtest.h>

#include <venture/building/resolve.hpp>

namespace venture::testing_data {

inline building::MaterialInput material(const char* name, double conductivity, double density)
{
    building::MaterialInput m;
    m.name = std::string{name};
    m.conductivity = conductivity;
    m.density = density;
    m.specific_heat = 1000.0;
    return m;
}

inline building::BuildupInput build_up(const char* name, std::initializer_list<const char*> layers)
{
    building::BuildupInput b;
    b.name = std::string{name};
    quantity::TextList texts;
    for (const char* layer : layers) texts.push_back({layer, {}});
    b.layers = texts;
    return b;
}

inline building::RoomInput room(const char* name, double x, double y, double along_x, double along_y,
                                const char* storey = "ground")
{
    building::RoomInput r;
    r.name = std::string{name};
    r.storey = std::string{storey};
    r.at = quantity::QuantityList{x, y};
    r.size = quantity::QuantityList{along_x, along_y};
    r.use.heating_setpoint = 20.0;
    return r;
}

/// Site, materials, build-ups and two storeys, without rooms.
inline building::Input shell()
{
    building::Input in;
    in.project.name = std::string{"Test"};
    in.site.latitude = 52.0;
    in.site.longitude = 0.0;
    in.site.time_zone = 0.0;
    in.site.winter_dry_bulb = -5.0;
    in.site.winter_ground = 8.0;
    building::MonthInput july;
    july.month = 7.0;
    july.dry_bulb = 28.0;
    july.wet_bulb = 19.0;
    july.daily_range = 10.0;
    july.beam_depth = 0.4;
    july.diffuse_depth = 2.3;
    july.ground = 14.0;
    in.site.months = {july};
    in.materials = {material("brick", 0.8, 1800.0), material("wool", 0.04, 30.0), material("concrete", 2.0, 2300.0)};
    in.build_ups = {build_up("wall", {"100 mm brick", "100 mm wool", "100 mm brick"}),
                    build_up("partition", {"100 mm brick"}), build_up("roof", {"200 mm wool", "150 mm concrete"}),
                    build_up("slab", {"100 mm wool", "150 mm concrete"})};
    in.fabric.outside_wall = std::string{"wall"};
    in.fabric.inner_wall = std::string{"partition"};
    in.fabric.roof = std::string{"roof"};
    in.fabric.ground_floor = std::string{"slab"};
    in.fabric.inner_floor = std::string{"partition"};
    in.fabric.exposed_floor = std::string{"slab"};
    building::GlazingInput glass;
    glass.name = std::string{"glass"};
    glass.u_value = 1.4;
    glass.g_value = 0.6;
    in.glazings = {glass};
    building::StoreyInput ground, upper;
    ground.name = std::string{"ground"};
    ground.level = 0.0;
    ground.height = 3.0;
    upper.name = std::string{"upper"};
    upper.level = 3.0;
    upper.height = 3.0;
    in.storeys = {ground, upper};
    return in;
}

inline building::OpeningInput window(const char* in, double width, double height)
{
    building::OpeningInput o;
    o.in = std::string{in};
    o.glazing = std::string{"glass"};
    o.width = width;
    o.height = height;
    return o;
}

inline building::Input one_room()
{
    building::Input in = shell();
    in.rooms = {room("Room", 0, 0, 5, 4)};
    return in;
}

/// Resolves, and fails the test with everything that is wrong if it does not.
inline building::Building built(const building::Input& in)
{
    building::Resolved r = building::resolve(in);
    for (const auto& p : r.problems)
        if (p.severity == quantity::Severity::error) ADD_FAILURE() << p.code << " " << p.message;
    return r.building ? std::move(*r.building) : building::Building{};
}

/// The one problem with a code, or a failure.
inline quantity::Problem problem_of(const building::Input& in, std::string_view code)
{
    const building::Resolved r = building::resolve(in);
    for (const auto& p : r.problems)
        if (p.code == code) return p;
    std::string all;
    for (const auto& p : r.problems) all += std::string{p.code} + " " + p.message + "\n";
    ADD_FAILURE() << "no problem " << code << " among:\n" << all;
    return {};
}

} // namespace venture::testing_data
