#include <algorithm>
#include <cmath>

#include <venture/building/faces.hpp>
#include <venture/building/resolver.hpp>

namespace venture::building::detail {

namespace codes = quantity::codes;

namespace {

/// Key of [fabric] that a surface takes its build-up from.
Given<std::string> FabricInput::*fabric_key(const Surface& s)
{
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
    const auto field = fabric_key(surface);
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

void Resolver::add_opening(const OpeningInput& given, std::size_t room)
{
    if (!given.in || !given.width || !given.height) return; // said already: a missing key
    Opening out{.name = given.name ? *given.name : "", .width_m = *given.width, .height_m = *given.height};
    const bool door = given.kind && *given.kind == "door";
    const std::string label =
        fmt::format("{} of {:g} x {:g} m", given.kind ? *given.kind : "window", out.width_m, out.height_m);
    out.kind = door ? Opening::Kind::door : Opening::Kind::window;
    if (door != static_cast<bool>(given.u_value) || door == static_cast<bool>(given.glazing))
        problem(codes::contradiction, given.in.origin,
                fmt::format("{}: {}", label,
                            door ? "a door needs a u_value and has no glazing"
                                 : "a window needs a glazing and has no u_value"));
    if (given.u_value) out.u_value_W_per_m2K = *given.u_value;
    if (given.glazing)
        out.glazing = find("glazing", given.glazing, building_.glazings, [](const NamedGlazing& g) {
                          return g.values.name;
                      }).value_or(0);
    if (!door) out.shade = shade_of(given);
    if (door && given.shade)
        problem(codes::contradiction, given.shade.origin, fmt::format("{}: a door has no shade", label));
    Surface* best = nullptr;
    const auto candidates = faces_called(*given.in, room, given.in.origin);
    for (Surface* s : candidates)
        if (s->beyond.kind == Neighbour::Kind::outdoors && (best == nullptr || s->gross_m2 > best->gross_m2)) best = s;
    if (best == nullptr) {
        if (!candidates.empty())
            problem(codes::opening, given.in.origin,
                    fmt::format("{} in the {} of '{}': that face has no part to outdoors", label, *given.in,
                                building_.rooms[room].name));
        return;
    }
    const Box box = box_of(best->shape);
    const double width = to_metres(box.x1 - box.x0), height = to_metres(box.y1 - box.y0);
    const int count = static_cast<int>(given.count ? *given.count : 1.0);
    out.sill_m =
        given.sill
            ? *given.sill
            : (door || best->attitude != Attitude::wall ? 0.0 : std::min(0.9, std::max(0.0, height - out.height_m)));
    const double first = given.from_left ? *given.from_left : (width / count - out.width_m) / 2.0;
    const double pitch = given.from_left ? out.width_m : width / count;
    for (int i = 0; i < count; ++i) out.from_left_m.push_back(to_metres(box.x0) + first + i * pitch);
    constexpr double rounding_m = 1e-6;
    const bool fits_across = first >= -rounding_m && first + (count - 1) * pitch + out.width_m <= width + rounding_m;
    const bool fits_up = out.sill_m + out.height_m <= height + rounding_m;
    if (!fits_across || !fits_up || best->openings_m2() + out.area_m2() > best->gross_m2 + rounding_m) {
        problem(codes::opening, given.width.origin,
                fmt::format("{}{}, sill {:g} m: does not fit into the {} of '{}', which is {:.3f} x {:.3f} m "
                            "with {:.2f} m2 still free",
                            label, count > 1 ? fmt::format(", {} alike", count) : "", out.sill_m, best->name,
                            building_.rooms[room].name, width, height, best->gross_m2 - best->openings_m2()),
                "make it smaller, or place it with from_left and sill");
        return;
    }
    best->openings.push_back(std::move(out));
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

void Resolver::add_surfaces()
{
    building_.surfaces = find_surfaces(building_.rooms, building_.plan_bearing_deg);
    constexpr std::size_t not_set = SIZE_MAX;
    for (Surface& s : building_.surfaces) s.build_up = not_set;
    apply_faces();
    for (Surface& s : building_.surfaces)
        if (s.build_up == not_set) set_build_up(s);
    add_openings();
}

} // namespace venture::building::detail
