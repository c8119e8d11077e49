#include <venture/building/surface_names.hpp>

namespace venture::building {

std::string seen_from(const Building& b, const Surface& s, std::size_t room)
{
    if (s.room == room) return s.name;
    std::string face = s.attitude == Attitude::floor ? "ceiling" : "floor";
    if (s.attitude == Attitude::wall) face = s.face_beyond.empty() ? "wall" : s.face_beyond;
    return face + " to " + b.rooms[s.room].name;
}

std::string seen_from(const Building& b, const Surface& s, const Opening& opening, std::size_t room)
{
    const std::string where = s.beyond.kind == Neighbour::Kind::room ? seen_from(b, s, room) : s.parent;
    return std::string{name_of(opening.kind)} + " in " + where;
}

} // namespace venture::building
