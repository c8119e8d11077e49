// DEMONSTRATES  a room built in code, without any file, and its design loads
// SIMPLER       there is none: begin here

#include <cstdio>
#include <string>

#include <venture/loads/design_loads.hpp>
#include <venture/resolve/resolve.hpp>

using namespace venture;

namespace {

input::Input small_office()
{
    input::Input in;
    in.project.name = "One room";
    in.site.latitude = 51.0;
    in.site.longitude = 7.0;
    in.site.time_zone = 1.0;
    in.site.summer_time_first = "26 March";
    in.site.summer_time_last = "28 October";
    in.site.winter_dry_bulb = -9.0;
    in.site.winter_ground = 8.0;

    input::MonthInput july;
    july.month = 7.0;
    july.dry_bulb = 30.0;
    july.wet_bulb = 20.5;
    july.daily_range = 11.0;
    july.beam_depth = 0.41;
    july.diffuse_depth = 2.3;
    july.ground = 15.0;
    in.site.months = {july};

    input::MaterialInput brick, wool;
    brick.name = "brick";
    brick.conductivity = 0.8;
    brick.density = 1800.0;
    brick.specific_heat = 1000.0;
    wool.name = "wool";
    wool.conductivity = 0.036;
    wool.density = 30.0;
    wool.specific_heat = 1030.0;
    in.materials = {brick, wool};

    input::BuildupInput wall;
    wall.name = "wall";
    wall.layers = quantity::TextList{{"115 mm brick"}, {"140 mm wool"}, {"175 mm brick"}};
    in.build_ups = {wall};
    in.fabric.outside_wall = in.fabric.roof = in.fabric.ground_floor = wall.name;

    input::GlazingInput glass;
    glass.name = "glass";
    glass.u_value = 1.3;
    glass.g_value = 0.55;
    in.glazings = {glass};

    input::StoreyInput ground;
    ground.name = "ground";
    ground.level = 0.0;
    ground.height = 3.0;
    in.storeys = {ground};

    input::OpeningInput window;
    window.in = "south";
    window.glazing = "glass";
    window.width = 3.0;
    window.height = 1.5;

    input::RoomInput office; // site, build-ups and storey stand before this
    office.name = "Office";
    office.storey = "ground";
    office.at = quantity::QuantityList{0.0, 0.0};
    office.size = quantity::QuantityList{5.0, 4.0};
    office.use.heating_setpoint = 20.0;
    office.use.cooling_setpoint = 25.0;
    office.use.people = 2.0;
    office.use.ventilation_per_person = 0.010; // m3/s: SI inside
    office.openings = {window};
    in.rooms = {office};
    return in;
}

} // namespace

int main()
{
    const input::Input in = small_office();
    const resolve::Resolved resolved = resolve::resolve(in);
    if (!resolved.building) {
        for (const auto& problem : resolved.problems) std::printf("%s\n", problem.message.c_str());
        return 2;
    }
    const loads::DesignLoads design = loads::design_loads(*resolved.building);
    const loads::RoomLoad& needs = design.loads.rooms.front();
    std::printf("heating %.0f W\n", needs.heating_W);
    std::printf("cooling %.0f W at %d h in %s\n", needs.cooling_W, needs.cooling_when.clock_hour,
                needs.cooling_when.day.c_str());
    return design.converged() ? 0 : 3;
}
