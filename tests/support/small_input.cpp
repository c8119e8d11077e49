#include <small_input.hpp>

namespace venture::testing_data {

input::MaterialInput material(const char* name, double conductivity, double density)
{
    input::MaterialInput m;
    m.name = std::string{name};
    m.conductivity = conductivity;
    m.density = density;
    m.specific_heat = 1000.0;
    return m;
}

input::BuildupInput build_up(const char* name, std::initializer_list<const char*> layers)
{
    input::BuildupInput b;
    b.name = std::string{name};
    quantity::TextList texts;
    for (const char* layer : layers) texts.push_back({layer, {}});
    b.layers = texts;
    return b;
}

input::RoomInput room(const char* name, double x, double y, double along_x, double along_y, const char* storey)
{
    input::RoomInput r;
    r.name = std::string{name};
    r.storey = std::string{storey};
    r.at = quantity::QuantityList{x, y};
    r.size = quantity::QuantityList{along_x, along_y};
    r.use.heating_setpoint = 20.0;
    return r;
}

input::Input shell()
{
    input::Input in;
    in.project.name = "Test";
    in.site.latitude = 52.0;
    in.site.longitude = 0.0;
    in.site.time_zone = 0.0;
    in.site.winter_dry_bulb = -5.0;
    in.site.winter_ground = 8.0;
    input::MonthInput july;
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
    in.fabric.outside_wall = "wall";
    in.fabric.inner_wall = "partition";
    in.fabric.roof = "roof";
    in.fabric.ground_floor = "slab";
    in.fabric.inner_floor = "partition";
    in.fabric.exposed_floor = "slab";
    input::GlazingInput glass;
    glass.name = "glass";
    glass.u_value = 1.4;
    glass.g_value = 0.6;
    in.glazings = {glass};
    input::StoreyInput ground, upper;
    ground.name = "ground";
    ground.level = 0.0;
    ground.height = 3.0;
    upper.name = "upper";
    upper.level = 3.0;
    upper.height = 3.0;
    in.storeys = {ground, upper};
    return in;
}

input::OpeningInput window(const char* in, double width, double height)
{
    input::OpeningInput o;
    o.in = std::string{in};
    o.glazing = "glass";
    o.width = width;
    o.height = height;
    return o;
}

input::Input one_room()
{
    input::Input in = shell();
    in.rooms = {room("Room", 0, 0, 5, 4)};
    return in;
}

} // namespace venture::testing_data
