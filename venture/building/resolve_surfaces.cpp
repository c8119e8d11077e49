#include <algorithm>
#include <cmath>

#include <venture/building/faces.hpp>
#include <venture/building/resolver.hpp>

namespace venture::building::detail {

namespace codes = quantity::codes;

namespace {

/// Key of [fabric] that a surface takes its build-up from.
Given<std::string> FabricInput::*fabric_key(const Surface& s, const FabricInput& fabric)
{
    const bool in_ground = s.attitude == Attitude::wall && s.beyond.kind == Neighbour::Kind::ground;
    if (in_ground && fabric.ground_wall) return &FabricInput::ground_wall;
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

/// Low and high end of a surface's shape along its first axis and up.
struct Box {
    std::int64_t x0, x1, y0, y1;
};

Box box_of(const Polygons& shape)
{
    Box box{INT64_MAX, INT64_MIN, INT64_MAX, INT64_MIN};
    for (const Polygon& p : shape)
        for (const GridPoint q : p.outline)
            box = {std::min(box.x0, q.x), std::max(box.x1, q.x), std::min(box.y0, q.y), std::max(box.y1, q.y)};
    return box;
}

std::string lower(std::string_view text)
{
    std::string out{text};
    std::ranges::transform(out, out.begin(), [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
    return out;
}

} // namespace

std::vector<Surface*> Resolver::faces_called(std::string_view name, std::size_t room, quantity::OriginId where)
{
    const std::string wanted = lower(quantity::trimmed(name));
    const auto blank = std::min(wanted.find(' '), wanted.size());
    const std::string as_wall = wanted.substr(0, blank) + " wall" + wanted.substr(blank); // "north 2": "north wall 2"
    const auto is_called = [&](const std::string& face) { // a bare side means all walls that look that way
        return face == wanted || face == as_wall || face.starts_with(as_wall + " ");
    };
    std::vector<Surface*> found;
    for (Surface& s : building_.surfaces)
        if (s.room == room && is_called(s.parent)) found.push_back(&s);
    if (!found.empty()) return found;
    std::vector<std::string> there = wall_names(building_.rooms[room]);
    there.insert(there.end(), {"floor", "roof"});
    const std::string& room_name = building_.rooms[room].name;
    if (std::ranges::any_of(there, is_called)) {
        problem(codes::no_face, where, fmt::format("the {} of '{}' adjoins other rooms only", name, room_name),
                "openings and overrules need a part that does not");
        return {};
    }
    std::vector<std::string> sayable = there; // "south" for "south wall", too
    for (const std::string& face : wall_names(building_.rooms[room])) sayable.push_back(face.substr(0, face.find(' ')));
    const auto near = quantity::nearest_name(wanted, sayable);
    problem(codes::no_face, where,
            fmt::format("room '{}' has no face called '{}'; it has: {}", room_name, name, quantity::listed(there, 12)),
            near ? fmt::format("did you mean '{}'?", *near)
                 : std::string{"sides are those of the plan, whose upward direction is north"});
    return {};
}

void Resolver::apply_face(const FaceInput& face, std::size_t room)
{
    if (!face.on) return;
    const bool at_temperature = face.beyond && *face.beyond == "a temperature";
    if (at_temperature != static_cast<bool>(face.temperature))
        problem(codes::contradiction, face.on.origin, "beyond = \"a temperature\" and temperature = ... go together");
    const std::vector<Surface*> called = faces_called(*face.on, room, face.on.origin);
    const auto faces_a_room = [](const Surface* s) { return s->beyond.kind == Neighbour::Kind::room; };
    if (face.beyond && !called.empty() && std::ranges::all_of(called, faces_a_room))
        problem(codes::no_face, face.on.origin,
                fmt::format("the {} of '{}' adjoins other rooms only; what lies beyond cannot be overruled", *face.on,
                            building_.rooms[room].name));
    for (Surface* s : called) {
        if (face.beyond && s->beyond.kind != Neighbour::Kind::room) {
            if (*face.beyond == "outdoors") s->beyond.kind = Neighbour::Kind::outdoors;
            if (*face.beyond == "ground") s->beyond.kind = Neighbour::Kind::ground;
            if (*face.beyond == "no exchange") s->beyond.kind = Neighbour::Kind::nothing;
            if (at_temperature)
                s->beyond = {Neighbour::Kind::temperature, 0, face.temperature ? *face.temperature : 0.0};
            s->name = s->parent + " to " + *face.beyond;
        }
        if (!face.build_up) continue;
        if (const auto index = find("build-up", face.build_up, building_.build_ups,
                                    [](const NamedBuildup& b) { return b.layers.name; }))
            s->build_up = *index;
    }
}

void Resolver::set_build_up(Surface& surface)
{
    const auto field = fabric_key(surface, input_.fabric);
    const Given<std::string>& name = input_.fabric.*field;
    if (!name) {
        const KeySpec& spec = spec_of(field);
        const bool told = std::ranges::any_of(problems_, [&](const quantity::Problem& p) {
            return p.code == codes::missing && p.message.starts_with(fmt::format("[fabric] has no '{}'", spec.name));
        });
        if (!told)
            problem(codes::missing, building_.rooms[surface.room].origin,
                    fmt::format("[fabric] has no '{}', which room '{}' needs for its {}", spec.name,
                                building_.rooms[surface.room].name, surface.name),
                    "name a build-up there");
        return;
    }
    for (std::size_t i = 0; i < building_.build_ups.size(); ++i)
        if (building_.build_ups[i].layers.name == *name) surface.build_up = i;
}

/// The surface that an opening stands in; nothing, and a complaint, if there is none.
Surface* Resolver::surface_for(const OpeningInput& given, std::size_t room, const std::string& label)
{
    const auto larger = [](Surface* best, Surface& s) {
        return best == nullptr || s.gross_m2 > best->gross_m2 ? &s : best;
    };
    const std::string& room_name = building_.rooms[room].name;
    Surface* best = nullptr;
    if (given.to) {
        const auto other = find("room", given.to, building_.rooms, [](const Room& r) { return r.name; });
        if (!other) return nullptr;
        for (Surface& s : building_.surfaces)
            if (s.attitude == Attitude::wall && s.beyond.kind == Neighbour::Kind::room &&
                (std::pair{s.room, s.beyond.room} == std::pair{room, *other} ||
                 std::pair{s.room, s.beyond.room} == std::pair{*other, room}))
                best = larger(best, s);
        if (best == nullptr)
            problem(codes::opening, given.to.origin,
                    fmt::format("{} from '{}' to '{}': these rooms share no wall", label, room_name, *given.to));
        return best;
    }
    const auto candidates = faces_called(*given.in, room, given.in.origin);
    for (Surface* s : candidates)
        if (s->beyond.kind == Neighbour::Kind::outdoors) best = larger(best, *s);
    if (best == nullptr && !candidates.empty())
        problem(codes::opening, given.in.origin,
                fmt::format("{} in the {} of '{}': that face has no part to outdoors", label, *given.in, room_name));
    return best;
}

/// A reveal shades as a plate of its depth over the opening and on either side would.
Plates Resolver::plates_of(const OpeningInput& given)
{
    Plates out;
    out.overhang.depth_m = value_of(given.overhang);
    out.overhang.above_m = value_of(given.overhang_above);
    out.overhang.beyond_left_m = out.overhang.beyond_right_m = value_of(given.overhang_beyond);
    out.left.depth_m = value_of(given.fins);
    out.left.beside_m = value_of(given.fins_beside);
    out.right = out.left;
    out.reveal_m = value_of(given.reveal);
    return out;
}

/// Offsets of plates that are not there.
void Resolver::check_plates(const OpeningInput& given, const std::string& label)
{
    const auto needs = [&](const Given<double>& offset, std::string_view key, const Given<double>& depth,
                           std::string_view of) {
        if (!offset || depth) return;
        problem(codes::contradiction, offset.origin, fmt::format("{}: {} stands without {}", label, key, of),
                fmt::format("type {}, the plate's depth, or leave {} out", of, key));
    };
    needs(given.overhang_above, "overhang_above", given.overhang, "overhang");
    needs(given.overhang_beyond, "overhang_beyond", given.overhang, "overhang");
    needs(given.fins_beside, "fins_beside", given.fins, "fins");
    if (given.to && (given.reveal || given.overhang || given.fins))
        problem(codes::contradiction, given.to.origin,
                fmt::format("{}: nothing shades what lies between two rooms", label),
                "leave reveal, overhang and fins out");
}

/// What fills an opening: glazing and shade of a window, U-value of a door.
void Resolver::fill_opening(const OpeningInput& given, quantity::OriginId where, const std::string& label, Opening& out)
{
    const bool door = out.kind == Opening::Kind::door;
    if (door != static_cast<bool>(given.u_value) || door == static_cast<bool>(given.glazing))
        problem(codes::contradiction, where,
                fmt::format("{}: {}", label,
                            door ? "a door needs a u_value and has no glazing"
                                 : "a window needs a glazing and has no u_value"));
    if (given.u_value) out.u_value_W_per_m2K = *given.u_value;
    if (given.glazing)
        out.glazing = find("glazing", given.glazing, building_.glazings, [](const NamedGlazing& g) {
                          return g.values.name;
                      }).value_or(0);
    if (!door && !given.to) out.shade = shade_of(given);
    if ((door || given.to) && given.shade)
        problem(codes::contradiction, given.shade.origin,
                fmt::format("{}: a {} has no shade", label, door ? "door" : "window between rooms"));
}

void Resolver::add_opening(const OpeningInput& given, std::size_t room)
{
    if (!given.width || !given.height) return; // said already: a missing key
    Opening out{.name = given.name ? *given.name : "", .width_m = *given.width, .height_m = *given.height};
    const std::string label =
        fmt::format("{} of {:g} x {:g} m", given.kind ? *given.kind : "window", out.width_m, out.height_m);
    if (static_cast<bool>(given.in) == static_cast<bool>(given.to)) {
        if (given.in.refused || given.to.refused) return;
        problem(codes::contradiction, given.width.origin,
                fmt::format("{} of '{}' says {} where it is", label, building_.rooms[room].name,
                            given.in ? "twice" : "nowhere"),
                "an opening has `in` (a face to outdoors), or `to` (another room)");
        return;
    }
    if (given.kind && *given.kind == "door") out.kind = Opening::Kind::door;
    fill_opening(given, given.width.origin, label, out);
    check_plates(given, label);
    out.plates = plates_of(given);
    if (Surface* surface = surface_for(given, room, label)) place_opening(given, label, std::move(out), *surface);
}

void Resolver::place_opening(const OpeningInput& given, const std::string& label, Opening out, Surface& surface)
{
    const bool upright = surface.attitude == Attitude::wall;
    const Box box = box_of(surface.shape);
    const Room& room = building_.rooms[surface.room];
    const double width = to_metres(box.x1 - box.x0), height = to_metres(box.y1 - box.y0);
    const double foot = upright ? to_metres(box.y0) - room.floor_m : 0.0; // of the part, above the room's floor
    const int count = static_cast<int>(given.count ? *given.count : 1.0);
    // a roof window stands in the middle of its roof
    const double usual_sill = !upright                          ? 0.5 * std::max(0.0, height - out.height_m)
                              : out.kind == Opening::Kind::door ? 0.0
                                                                : 0.9;
    out.sill_m = given.sill ? *given.sill
                            : foot + std::min(std::max(0.0, usual_sill - foot), std::max(0.0, height - out.height_m));
    const double first = given.from_left ? *given.from_left : (width / count - out.width_m) / 2.0;
    const double pitch = given.from_left ? out.width_m : width / count;
    for (int i = 0; i < count; ++i) out.from_left_m.push_back(to_metres(box.x0) + first + i * pitch);
    constexpr double rounding_m = 1e-6;
    const bool fits_across = first >= -rounding_m && first + (count - 1) * pitch + out.width_m <= width + rounding_m;
    const bool fits_up = out.sill_m >= foot - rounding_m && out.sill_m + out.height_m <= foot + height + rounding_m;
    if (!fits_across || !fits_up || surface.openings_m2() + out.area_m2() > surface.gross_m2 + rounding_m) {
        problem(codes::opening, given.width.origin,
                fmt::format("{}{}, sill {:g} m: does not fit into the {} of '{}', which is {:.3f} x {:.3f} m{} "
                            "with {:.2f} m2 still free",
                            label, count > 1 ? fmt::format(", {} alike", count) : "", out.sill_m, surface.name,
                            room.name, width, height, foot > 0.0 ? fmt::format(", from {:.3f} m up,", foot) : "",
                            surface.gross_m2 - surface.openings_m2()),
                "make it smaller, or place it with from_left and sill");
        return;
    }
    surface.openings.push_back(std::move(out));
}

void Resolver::apply_faces()
{
    for (std::size_t r = 0; r < input_.rooms.size(); ++r)
        for (const FaceInput& face : input_.rooms[r].faces) apply_face(face, r);
}

void Resolver::add_openings()
{
    for (std::size_t r = 0; r < input_.rooms.size(); ++r)
        for (const OpeningInput& opening : input_.rooms[r].openings) add_opening(opening, r);
}

void Resolver::check_fabric_names()
{
    for (const auto& key : keys<FabricInput>()) {
        if (key.spec.name == "note") continue;
        if (key.spec.name == "shade") {
            if (input_.fabric.shade) (void)shade_of({});
            continue;
        }
        const auto& name = input_.fabric.*std::get<Given<std::string> FabricInput::*>(key.field);
        if (name)
            (void)find("build-up", name, building_.build_ups, [](const NamedBuildup& b) { return b.layers.name; });
    }
}

/// Parts of a face that came to have the same behind them become one again.
void Resolver::join_alike()
{
    std::vector<Surface> joined;
    for (Surface& s : building_.surfaces) {
        const auto same = std::ranges::find_if(joined, [&](const Surface& other) {
            return other.room == s.room && other.name == s.name && other.beyond.kind != Neighbour::Kind::room;
        });
        if (same == joined.end()) {
            joined.push_back(std::move(s));
            continue;
        }
        same->shape.insert(same->shape.end(), s.shape.begin(), s.shape.end());
        same->gross_m2 += s.gross_m2;
    }
    building_.surfaces = std::move(joined);
}

void Resolver::add_surfaces()
{
    building_.surfaces = find_surfaces(building_.rooms, building_.plan_bearing_deg, input_.ground.level.value);
    constexpr std::size_t not_set = SIZE_MAX;
    for (Surface& s : building_.surfaces) s.build_up = not_set;
    apply_faces();
    join_alike();
    for (Surface& s : building_.surfaces)
        if (s.build_up == not_set) set_build_up(s);
    add_openings();
}

} // namespace venture::building::detail
