#include <venture/resolve/face_names.hpp>

#include <algorithm>
#include <set>

#include <venture/resolve/faces.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;

std::vector<Surface*> FaceNames::faces_called(std::string_view name, std::size_t room, quantity::OriginId where)
{
    const std::string wanted = quantity::lower_case(quantity::trimmed(name));
    const auto blank = std::min(wanted.find(' '), wanted.size());
    const std::string as_wall = wanted.substr(0, blank) + " wall" + wanted.substr(blank); // "north 2": "north wall 2"
    const auto is_called = [&](const std::string& face) { // a bare side means all walls that look that way
        return face == wanted || face == as_wall || face.starts_with(as_wall + " ");
    };
    const auto named = called_.find({room, wanted});
    const auto is_meant = [&](const std::string& face) {
        const std::string small = quantity::lower_case(face);
        return named != called_.end() ? small == quantity::lower_case(named->second) : is_called(small);
    };
    std::vector<Surface*> found;
    for (const std::size_t i : surfaces_of(room)) {
        Surface& s = building_.surfaces[i];
        if (is_meant(s.room == room ? s.plain_name() : s.face_beyond)) found.push_back(&s);
    }
    if (!found.empty()) return found;
    std::vector<std::string> there = face_names(building_.rooms[room]);
    const std::string& room_name = building_.rooms[room].name;
    if (std::ranges::any_of(there, is_meant)) {
        problem(codes::no_face, where,
                fmt::format("the {} of '{}' is open to other parts of its room", name, room_name),
                "openings and overrules need a part that is not");
        return {};
    }
    for (const auto& [called, face] : called_)
        if (called.first == room) there.push_back(called.second);
    std::vector<std::string> sayable = there; // "south" for "south wall", too
    for (const std::string& face : face_names(building_.rooms[room])) sayable.push_back(face.substr(0, face.find(' ')));
    const auto near = quantity::nearest_name(wanted, sayable);
    problem(codes::no_face, where,
            fmt::format("room '{}' has no face called '{}'; it has: {}", room_name, name, quantity::listed(there, 12)),
            near ? fmt::format("did you mean '{}'?", *near) : hint_of_room(name, room));
    return {};
}

/// What was called a face may be the room behind one.
std::string FaceNames::hint_of_room(std::string_view name, std::size_t room)
{
    const auto other = building_.find_room(name);
    if (!other) return "sides are those of the plan, whose upward direction is north";
    std::vector<std::string> faces;
    for (const std::size_t i : surfaces_of(room)) {
        const Surface& s = building_.surfaces[i];
        if (s.beyond.kind != Neighbour::Kind::room || (s.room == room ? s.beyond.room : s.room) != *other) continue;
        std::string face = s.room == room ? s.plain_name() : s.face_beyond;
        if (std::ranges::find(faces, face) == faces.end()) faces.push_back(std::move(face));
    }
    return faces.empty() ? fmt::format("'{}' is a room, and none of its faces touches it", name)
                         : fmt::format("'{}' is a room; it lies behind: {}; what leads to a room says so with `to`",
                                       name, quantity::listed(faces));
}

/// In their order: its own, and those of other rooms that it lies behind.
const std::vector<std::size_t>& FaceNames::surfaces_of(std::size_t room)
{
    if (by_room_.empty()) {
        by_room_.resize(building_.rooms.size());
        for (std::size_t i = 0; i < building_.surfaces.size(); ++i) {
            const Surface& s = building_.surfaces[i];
            by_room_[s.room].push_back(i);
            if (s.beyond.kind == Neighbour::Kind::room && s.beyond.room != s.room) by_room_[s.beyond.room].push_back(i);
        }
    }
    return by_room_[room];
}

/// Names of faces, before anything refers to them. Names of walls by their side stay good beside them.
void FaceNames::take_names()
{
    for (std::size_t r = 0; r < input_.rooms.size(); ++r)
        for (const FaceInput& face : input_.rooms[r].faces)
            if (face.on && face.name) name_face(face, r);
}

void FaceNames::name_face(const FaceInput& face, std::size_t room)
{
    const std::string small = quantity::lower_case(quantity::trimmed(*face.name));
    const std::string& room_name = building_.rooms[room].name;
    std::set<std::string> meant;
    std::vector<Surface*> own;
    for (Surface* s : faces_called(*face.on, room, face.on.origin)) {
        meant.insert(s->room == room ? s->plain_name() : s->face_beyond);
        if (s->room == room) own.push_back(s);
    }
    if (meant.empty()) return; // told
    if (meant.size() > 1)
        problem(codes::contradiction, face.name.origin,
                fmt::format("name: '{}' are several faces of '{}': {}", *face.on, room_name,
                            quantity::listed(std::vector<std::string>(meant.begin(), meant.end()), 8)),
                "name one of them");
    std::vector<std::string> there = face_names(building_.rooms[room]);
    for (const std::string& face_name : face_names(building_.rooms[room]))
        there.push_back(face_name.substr(0, face_name.find(' ')));
    const bool is_a_side =
        std::ranges::any_of(there, [&](const std::string& n) { return quantity::lower_case(n) == small; });
    if (is_a_side || !called_.emplace(std::pair{room, small}, *meant.begin()).second)
        problem(codes::twice, face.name.origin,
                fmt::format("another face of '{}' is called '{}' already", room_name, *face.name),
                "give it another name");
    for (Surface* s : own) {
        s->found_as = s->plain_name();
        s->name = *face.name + s->name.substr(s->parent.size());
        s->parent = *face.name;
    }
}

/// The side that a face was named on; what is no name stands as it is.
std::string side_of(const RoomInput& room, const std::string& face)
{
    for (const FaceInput& f : room.faces)
        if (f.on && f.name &&
            quantity::lower_case(quantity::trimmed(*f.name)) == quantity::lower_case(quantity::trimmed(face)))
            return *f.on;
    return face;
}

/// What a face that was given by its corners is called.
std::string FaceNames::of_corners(const FaceInput& face, std::size_t room) const
{
    std::size_t at = 0;
    for (const FaceInput& other : input_.rooms[room].faces) {
        if (&other == &face) break;
        if (other.corners) ++at;
    }
    return building_.rooms[room].faces.at(at).name;
}

} // namespace venture::resolve
