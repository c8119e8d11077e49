// DEMONSTRATES  a room made in code of what ships with the program: build-ups, glass, a room type with its hours
// SIMPLER       one_room.cpp, which states everything itself

#include <cstdio>
#include <string>

#include <venture/catalogue/shipped_library.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/resolve/resolve.hpp>

using namespace venture;

namespace {

/// Only names: what they stand for is taken from the library.
input::Input office_of_the_library()
{
    input::Input in;
    in.project.name = "Of the library";
    in.project.region = "Europe";
    in.site.latitude = -41.3; // summer is in January
    in.site.longitude = 174.8;
    in.site.time_zone = 12.0;
    in.site.winter_dry_bulb = 3.0;
    in.site.winter_ground = 9.0;

    input::MonthInput january;
    january.month = 1.0;
    january.dry_bulb = 25.0;
    january.wet_bulb = 18.0;
    january.daily_range = 7.0;
    january.beam_depth = 0.38;
    january.diffuse_depth = 2.3;
    january.ground = 16.0;
    in.site.months = {january};

    in.fabric.outside_wall = "concrete wall, insulated outside";
    in.fabric.roof = "flat roof, warm, on concrete";
    in.fabric.ground_floor = "ground floor, insulated under the slab";
    in.fabric.glazing = "double, sun-protecting, argon";
    in.fabric.shade = "outside blind, light slats";

    input::StoreyInput ground;
    ground.name = "ground";
    ground.level = 0.0;
    ground.height = 3.0;
    in.storeys = {ground};

    input::OpeningInput window;
    window.in = "north";
    window.kind = input::OpeningKind::window;
    window.width = 3.0;
    window.height = 1.5;

    input::RoomInput office;
    office.name = "Office";
    office.storey = "ground";
    office.type = "single office";
    office.at = quantity::QuantityList{0.0, 0.0};
    office.size = quantity::QuantityList{5.0, 4.0};
    office.use.cooling_setpoint = 25.0;
    office.openings = {window};
    in.rooms = {office};
    return in;
}

} // namespace

int main()
{
    input::Input in = office_of_the_library();
    quantity::Problems problems;
    catalogue::take_from_shipped_library(in, problems);
    const resolve::Resolved resolved = resolve::resolve(in);
    problems.add_all(resolved.problems);
    for (const quantity::Problem& problem : problems) std::printf("%s\n", problem.message.c_str());
    if (!resolved.building) return 2;
    std::printf("taken: %zu materials, %zu build-ups, room type '%s'\n", in.materials.size(), in.build_ups.size(),
                in.room_types.front().name.value->c_str());
    const loads::DesignLoads design = loads::design_loads(*resolved.building);
    const loads::RoomLoad& needs = design.loads.rooms.front();
    std::printf("heating %.0f W, cooling %.0f W at %d h in %s\n", needs.heating_W, needs.cooling_W,
                needs.cooling_when.clock_hour, needs.cooling_when.day.c_str());
    return design.converged() ? 0 : 3;
}
