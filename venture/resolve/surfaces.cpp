#include <algorithm>
#include <cmath>

#include <venture/resolve/faces.hpp>
#include <venture/resolve/resolver.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;

namespace {

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

/// Keys of a face that go together with what lies beyond.
void Resolver::check_face(const FaceInput& face)
{
    const auto beyond = value_of(face.beyond);
    const auto goes_with = [&](bool typed, std::string_view key, std::string_view word) {
        if (typed != (beyond == word))
            problem(codes::contradiction, face.on.origin,
                    fmt::format("beyond = \"{}\" and {} = ... go together", word, key));
    };
    goes_with(static_cast<bool>(face.temperature), "temperature", "a temperature");
    goes_with(static_cast<bool>(face.reduction_factor), "reduction_factor", "unheated space");
    goes_with(static_cast<bool>(face.room), "room", "a room");
    if ((face.warmer_in_winter || face.warmer_in_summer || face.sun) && face.beyond && beyond != "outdoors")
        problem(codes::contradiction, face.on.origin,
                fmt::format("warmer_in_winter, warmer_in_summer and sun are of faces to outdoors, not to {}", beyond),
                "leave them, or beyond, out");
}

/// The room behind a face that says so; only where no plan tells.
std::optional<Neighbour> Resolver::stated_room(const FaceInput& face, std::size_t room)
{
    if (!face.room) return std::nullopt;
    const auto other = other_room("room", face.room, room);
    if (!other) return std::nullopt;
    for (const std::size_t r : {room, *other}) {
        if (!building_.rooms[r].on_plan) continue;
        problem(codes::contradiction, face.room.origin,
                fmt::format("room: '{}' stands on the plan, where its neighbours are found", building_.rooms[r].name),
                "state rooms as neighbours only between rooms without at, corners and place");
        return std::nullopt;
    }
    return Neighbour{.kind = Neighbour::Kind::room, .room = *other};
}

/// What a face says of what lies beyond; nothing: what was found stands.
std::optional<Neighbour> Resolver::stated_neighbour(const FaceInput& face, std::size_t room)
{
    if (!face.beyond) return std::nullopt;
    using Kind = Neighbour::Kind;
    const std::string& word = *face.beyond;
    if (word == "a room") return stated_room(face, room);
    if (word == "a temperature")
        return Neighbour{.kind = Kind::temperature, .temperature_C = value_of(face.temperature)};
    const Use& use = building_.rooms[room].use;
    if (word == "unheated space" && !use.heating_setpoint_C && !use.cooling_setpoint_C)
        problem(codes::contradiction, face.beyond.origin,
                fmt::format("'{}' has no set-point, so that no factor tells how warm the space behind it is",
                            building_.rooms[room].name),
                "state a temperature instead");
    if (word == "unheated space")
        return Neighbour{.kind = Kind::unheated, .reduction_factor = value_of(face.reduction_factor)};
    if (word == "ground") return Neighbour{.kind = Kind::ground};
    if (word == "outdoors") return Neighbour{.kind = Kind::outdoors};
    return Neighbour{.kind = Kind::nothing, .like_room = word == "party wall"};
}

void Resolver::apply_face(const FaceInput& face, std::size_t room)
{
    const Given<std::string> on = face.on     ? face.on
                                  : face.name ? face.name
                                              : Given<std::string>{face_of_corners(face, room), face.corners.origin};
    check_face(face);
    const std::vector<Surface*> called = faces_called(*on, room, on.origin);
    const auto faces_a_room = [](const Surface* s) { return s->beyond.kind == Neighbour::Kind::room; };
    if (face.beyond && !called.empty() && std::ranges::all_of(called, faces_a_room))
        problem(codes::no_face, on.origin,
                fmt::format("the {} of '{}' adjoins other rooms only; what lies beyond cannot be overruled", *on,
                            building_.rooms[room].name));
    const std::optional<Neighbour> stated = stated_neighbour(face, room);
    for (Surface* s : called) {
        if (!faces_a_room(s)) {
            if (stated) {
                s->beyond = *stated;
                s->name = s->parent + " to " + (face.room ? *face.room : *face.beyond);
                stated_.insert(static_cast<std::size_t>(s - building_.surfaces.data()));
            }
            if (face.warmer_in_winter) s->beyond.warmer_in_winter_K = *face.warmer_in_winter;
            if (face.warmer_in_summer) s->beyond.warmer_in_summer_K = *face.warmer_in_summer;
            if (face.sun) s->beyond.in_shade = true;
        }
        if (face.build_up) apply_build_up(face, room, *s);
    }
}

/// A wall between two rooms is one wall, whichever of them says what it is made of.
void Resolver::apply_build_up(const FaceInput& face, std::size_t room, Surface& surface)
{
    const auto index =
        find("build-up", face.build_up, building_.build_ups, [](const NamedBuildup& b) { return b.layers.name; });
    if (index) set_build_up_as_seen_from(room, *index, surface, face.build_up);
}

/// Rooms without a place on the plan: whatever is not said of their faces is told.
void Resolver::check_stated()
{
    std::vector<std::string> missing(building_.rooms.size());
    for (std::size_t i = 0; i < building_.surfaces.size(); ++i) {
        const Surface& s = building_.surfaces[i];
        if (building_.rooms[s.room].on_plan || stated_.contains(i)) continue;
        std::string& list = missing[s.room];
        list += (list.empty() ? "" : ", ") + s.parent;
    }
    for (std::size_t r = 0; r < missing.size(); ++r)
        if (!missing[r].empty())
            problem(codes::unstated, building_.rooms[r].origin,
                    fmt::format("room '{}' has no place on the plan, and nothing says what lies beyond its {}",
                                building_.rooms[r].name, missing[r]),
                    "give it a place (at, or place), or a [[room.face]] with beyond for each");
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

/// Of a build-up that [fabric] names; 0 if there is none, which is told elsewhere.
double Resolver::thickness_of(const Given<std::string>& name) const
{
    for (const NamedBuildup& b : building_.build_ups)
        if (name && b.layers.name == *name) return thickness_m(b);
    return 0.0;
}

/// Of a wall to outdoors: its build-up may be typed for the face.
double Resolver::outside_wall_m(const RoomInput& given, const std::string& wall_name) const
{
    for (const FaceInput& face : given.faces)
        if (face.on && face.build_up) {
            const std::string on = quantity::lower_case(side_of(given, *face.on));
            if (wall_name == on || wall_name.starts_with(on + " wall")) return thickness_of(face.build_up);
        }
    return thickness_of(input_.fabric.outside_wall);
}

void Resolver::apply_faces()
{
    for (std::size_t r = 0; r < input_.rooms.size(); ++r)
        for (const FaceInput& face : input_.rooms[r].faces)
            if (face.on || face.corners) apply_face(face, r);
}

void Resolver::check_fabric_names()
{
    const auto glazings = [](const NamedGlazing& g) { return g.values.name; };
    const auto build_ups = [](const NamedBuildup& b) { return b.layers.name; };
    if (input_.fabric.shade) (void)shade_of({});
    if (input_.fabric.glazing) (void)find("glazing", input_.fabric.glazing, building_.glazings, glazings);
    const ConstRecord fabric{input_.fabric};
    for (const Key& key : fabric.keys())
        if (std::ranges::find(key.spec.names, "build_up") != key.spec.names.end() && fabric.is_given(key))
            (void)find("build-up", fabric.at<std::string>(key), building_.build_ups, build_ups);
}

/// Parts of a face that came to have the same behind them become one again.
void Resolver::join_alike()
{
    std::vector<Surface> joined;
    for (Surface& s : building_.surfaces) {
        const auto first = std::find_if(joined.rbegin(), joined.rend(), [&](const Surface& other) {
                               return other.room != s.room; // a room's surfaces stand together
                           }).base();
        const auto same = std::find_if(first, joined.end(), [&](const Surface& other) {
            return other.name == s.name && other.beyond.kind != Neighbour::Kind::room;
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

void Resolver::tell_bridged(const NearMiss& gap)
{
    const std::string &first = building_.rooms[gap.first].name, &second = building_.rooms[gap.second].name;
    finding(quantity::Severity::note, codes::mended, building_.rooms[gap.second].origin,
            fmt::format("room/{} and room/{}", first, second),
            fmt::format("faces of '{}' and '{}' that lie {:.1f} mm apart were taken for one", first, second,
                        1000.0 * gap.gap_m),
            "[plan] tolerance says up to where that is done");
}

void Resolver::add_surfaces()
{
    FoundSurfaces found = find_surfaces(building_.rooms, building_.plan_bearing_deg, input_.ground.level.value,
                                        value_of(input_.plan.tolerance));
    building_.surfaces = std::move(found.surfaces);
    for (const NearMiss& gap : found.bridged) tell_bridged(gap);
    open_between_parts();
    for (Surface& s : building_.surfaces) s.build_up = no_build_up;
    name_faces();
    apply_faces();
    check_stated();
    join_stated_pairs();
    join_alike();
    give_both_ways();
    end_party_walls_in_the_middle();
    add_finishes();
    set_colours();
    add_openings();
}

} // namespace venture::resolve
