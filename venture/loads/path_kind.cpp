#include <venture/loads/path_kind.hpp>

#include <venture/quantity/error.hpp>

namespace venture::loads {

std::string_view in_words(PathKind kind)
{
    switch (kind) {
    case PathKind::outside_wall:
        return "outside wall";
    case PathKind::roof:
        return "roof";
    case PathKind::floor:
        return "floor";
    case PathKind::window:
        return "window, without sun";
    case PathKind::door:
        return "door";
    case PathKind::partition:
        return "room beside it";
    case PathKind::sun_on_outside:
        return "sun on the outside";
    case PathKind::sun_beam:
        return "sun through glass, beam";
    case PathKind::sun_diffuse:
        return "sun through glass, diffuse";
    case PathKind::sun_in_panes:
        return "sun taken up at windows";
    case PathKind::sun_from_rooms:
        return "sun by way of other rooms";
    case PathKind::people:
        return "people";
    case PathKind::lighting:
        return "lighting";
    case PathKind::equipment:
        return "equipment";
    case PathKind::infiltration:
        return "infiltration";
    case PathKind::ventilation:
        return "ventilation";
    case PathKind::transfer_air:
        return "air from another room";
    case PathKind::thermal_bridges:
        return "thermal bridges";
    case PathKind::set_point:
        return "departure of the set-point";
    case PathKind::warm_ceiling:
        return "warmer air under the ceiling";
    case PathKind::other:
        return "other";
    }
    VENTURE_UNREACHABLE("a path of no kind");
}

std::string in_words(PathKind kind, const std::string& through)
{
    const std::string own{in_words(kind)};
    if (through.empty()) return own;
    return through.starts_with(own) ? through : own + ", " + through;
}

PathGroup group_of(PathKind kind)
{
    using K = PathKind;
    switch (kind) {
    case K::sun_beam:
    case K::sun_diffuse:
    case K::sun_in_panes:
    case K::sun_from_rooms:
        return PathGroup::sun;
    case K::people:
    case K::lighting:
    case K::equipment:
        return PathGroup::gains;
    case K::infiltration:
    case K::ventilation:
    case K::transfer_air:
        return PathGroup::air;
    case K::partition:
        return PathGroup::neighbours;
    case K::set_point:
    case K::warm_ceiling:
    case K::other:
        return PathGroup::control;
    case K::outside_wall:
    case K::roof:
    case K::floor:
    case K::window:
    case K::door:
    case K::sun_on_outside:
    case K::thermal_bridges:
        return PathGroup::envelope;
    }
    VENTURE_UNREACHABLE("a kind of path that is none");
}

std::string_view in_words(PathGroup group)
{
    switch (group) {
    case PathGroup::sun:
        return "sun through glass";
    case PathGroup::gains:
        return "people, lighting, equipment";
    case PathGroup::air:
        return "air";
    case PathGroup::neighbours:
        return "rooms beside it";
    case PathGroup::envelope:
        return "walls, roofs, floors, windows";
    case PathGroup::control:
        return "set-point and others";
    }
    VENTURE_UNREACHABLE("a group of paths that is none");
}

} // namespace venture::loads
