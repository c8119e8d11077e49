#include <venture/loads/path_in_model.hpp>

#include <algorithm>

namespace venture::loads::detail {

using balance::Drive;
using balance::Drives;
using balance::Face;
using balance::Forcing;
using balance::SignalId;
using balance::Surface;
using balance::ZoneFace;

namespace {

bool holds(const Drives& drives, SignalId signal)
{
    return std::ranges::any_of(drives, [&](const Drive& d) { return d.signal == signal; });
}

} // namespace

PathKind kind_of(const Surface& s, const Face& far)
{
    switch (s.part) {
    case balance::Part::outside_wall:
        return PathKind::outside_wall;
    case balance::Part::roof:
        return PathKind::roof;
    case balance::Part::window:
        return PathKind::window;
    case balance::Part::door:
        return PathKind::door;
    case balance::Part::ground:
        return PathKind::floor;
    case balance::Part::inner:
        break;
    }
    return std::holds_alternative<ZoneFace>(far) ? PathKind::partition : PathKind::floor;
}

PathKind kind_of_gain(Forcing forcing)
{
    switch (forcing) {
    case Forcing::people:
        return PathKind::people;
    case Forcing::lighting:
        return PathKind::lighting;
    case Forcing::equipment:
        return PathKind::equipment;
    case Forcing::sun:
        return PathKind::sun_in_panes; // of shades inside
    default:
        return PathKind::other;
    }
}

PathKind kind_of_light(const balance::Zone& zone, SignalId signal)
{
    const balance::SunThroughGlass& sun = zone.sun;
    if (holds(sun.beam, signal)) return PathKind::sun_beam;
    if (holds(sun.diffuse, signal)) return PathKind::sun_diffuse;
    return holds(sun.taken_up, signal) ? PathKind::sun_in_panes : PathKind::sun_from_rooms;
}

} // namespace venture::loads::detail
