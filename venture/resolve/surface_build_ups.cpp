#include <venture/resolve/surface_build_ups.hpp>

#include <venture/resolve/face_names.hpp>
#include <venture/resolve/pass.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;

namespace {

class SurfaceBuildUps : Pass {
public:
    explicit SurfaceBuildUps(Work& work) : Pass{work} {}
    void set_build_up(Surface& surface);
};

/// Key of [fabric] that a surface takes its build-up from.
Given<std::string> FabricInput::*fabric_key(const Surface& s, const FabricInput& fabric)
{
    const bool in_ground = s.attitude == Attitude::wall && s.beyond.kind == Neighbour::Kind::ground;
    if (in_ground && fabric.ground_wall) return &FabricInput::ground_wall;
    if (s.beyond.kind == Neighbour::Kind::nothing && s.beyond.like_room && fabric.party_wall)
        return &FabricInput::party_wall;
    const bool to_room = s.beyond.kind == Neighbour::Kind::room;
    switch (s.attitude) {
    case Attitude::wall:
        return to_room ? &FabricInput::inner_wall : &FabricInput::outside_wall;
    case Attitude::ceiling:
        return &FabricInput::roof;
    case Attitude::floor:
        break;
    }
    if (to_room) return &FabricInput::inner_floor;
    return s.beyond.kind == Neighbour::Kind::outdoors ? &FabricInput::exposed_floor : &FabricInput::ground_floor;
}

} // namespace

void SurfaceBuildUps::set_build_up(Surface& surface)
{
    const auto field = fabric_key(surface, input_.fabric);
    const Given<std::string>& name = input_.fabric.*field;
    if (!name) {
        const KeySpec& spec = spec_of(field);
        const bool told = std::ranges::any_of(problems_.all(), [&](const quantity::Problem& p) {
            return p.code == codes::missing && p.message.starts_with(fmt::format("[fabric] has no '{}'", spec.name));
        });
        if (!told)
            problem(
                codes::missing, building_.rooms[surface.room].origin,
                fmt::format("[fabric] has no '{}', which room '{}' needs for its {}", spec.name,
                            building_.rooms[surface.room].name, surface.name),
                field == &FabricInput::exposed_floor
                    ? "name a build-up there; or, if this floor lies on the ground, say how high the ground outside is "
                      "([ground] level), or [[room.face]] on = \"floor\", beyond = \"ground\""
                    : "name a build-up there");
        return;
    }
    for (std::size_t i = 0; i < building_.build_ups.size(); ++i)
        if (building_.build_ups[i].layers.name == *name) surface.build_up = i;
}

double thickness_of(const Building& building, const Given<std::string>& name)
{
    for (const NamedBuildup& b : building.build_ups)
        if (name && b.layers.name == *name) return thickness_m(b);
    return 0.0;
}

double outside_wall_m(const Work& work, const RoomInput& given, const std::string& wall_name)
{
    for (const FaceInput& face : given.faces)
        if (face.on && face.build_up) {
            const std::string on = quantity::lower_case(side_of(given, *face.on));
            if (wall_name == on || wall_name.starts_with(on + " wall"))
                return thickness_of(work.building, face.build_up);
        }
    return thickness_of(work.building, work.input.fabric.outside_wall);
}

void set_build_up(Work& work, Surface& surface) { SurfaceBuildUps{work}.set_build_up(surface); }

} // namespace venture::resolve
