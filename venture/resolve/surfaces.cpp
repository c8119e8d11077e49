#include <venture/resolve/surfaces.hpp>

#include <algorithm>
#include <set>

#include <venture/resolve/face_names.hpp>
#include <venture/resolve/faces.hpp>
#include <venture/resolve/finishes.hpp>
#include <venture/resolve/glass.hpp>
#include <venture/resolve/openings.hpp>
#include <venture/resolve/partitions.hpp>
#include <venture/resolve/pass.hpp>
#include <venture/resolve/perimeter.hpp>
#include <venture/resolve/surface_build_ups.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;

namespace {

class Surfaces : Pass {
public:
    explicit Surfaces(Work& work) : Pass{work} {}
    void add_surfaces();

private:
    void apply_faces();
    void apply_build_up(const FaceInput& face, std::size_t room, Surface& surface);
    void tell_bridged(const NearMiss& gap);
    void join_alike();
    void apply_face(const FaceInput& face, std::size_t room);
    void check_face(const FaceInput& face);
    [[nodiscard]] std::optional<Neighbour> stated_neighbour(const FaceInput& face, std::size_t room);
    [[nodiscard]] std::optional<Neighbour> stated_room(const FaceInput& face, std::size_t room);
    void check_stated();

    FaceNames names_{work_};
    Partitions partitions_{work_};
    std::set<std::size_t> stated_{}; ///< surfaces of which the input says what lies beyond
};

} // namespace

/// Keys of a face that go together with what lies beyond.
void Surfaces::check_face(const FaceInput& face)
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
std::optional<Neighbour> Surfaces::stated_room(const FaceInput& face, std::size_t room)
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
std::optional<Neighbour> Surfaces::stated_neighbour(const FaceInput& face, std::size_t room)
{
    if (!face.beyond) return std::nullopt;
    const auto word = face.beyond.which();
    if (word == input::Beyond::room) return stated_room(face, room);
    if (word == input::Beyond::temperature)
        return Neighbour{.kind = Neighbour::Kind::temperature, .temperature_C = value_of(face.temperature)};
    const Use& use = building_.rooms[room].use;
    if (word == input::Beyond::unheated_space && !use.heating_setpoint_C && !use.cooling_setpoint_C)
        problem(codes::contradiction, face.beyond.origin,
                fmt::format("'{}' has no set-point, so that no factor tells how warm the space behind it is",
                            building_.rooms[room].name),
                "state a temperature instead");
    if (word == input::Beyond::unheated_space)
        return Neighbour{.kind = Neighbour::Kind::unheated, .reduction_factor = value_of(face.reduction_factor)};
    if (word == input::Beyond::ground) return Neighbour{.kind = Neighbour::Kind::ground};
    if (word == input::Beyond::outdoors) return Neighbour{.kind = Neighbour::Kind::outdoors};
    return Neighbour{.kind = Neighbour::Kind::nothing, .like_room = word == input::Beyond::party_wall};
}

void Surfaces::apply_face(const FaceInput& face, std::size_t room)
{
    const Given<std::string> on = face.on     ? face.on
                                  : face.name ? face.name
                                              : Given<std::string>{names_.of_corners(face, room), face.corners.origin};
    check_face(face);
    const std::vector<Surface*> called = names_.faces_called(*on, room, on.origin);
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
                names_.look_again();
            }
            if (face.warmer_in_winter) s->beyond.warmer_in_winter_K = *face.warmer_in_winter;
            if (face.warmer_in_summer) s->beyond.warmer_in_summer_K = *face.warmer_in_summer;
            if (face.sun) s->beyond.in_shade = true;
        }
        if (face.build_up) apply_build_up(face, room, *s);
    }
}

/// A wall between two rooms is one wall, whichever of them says what it is made of.
void Surfaces::apply_build_up(const FaceInput& face, std::size_t room, Surface& surface)
{
    const auto index = find_build_up(face.build_up);
    if (index) partitions_.set_build_up_as_seen_from(room, *index, surface, face.build_up);
}

/// Rooms without a place on the plan: whatever is not said of their faces is told.
void Surfaces::check_stated()
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

void Surfaces::apply_faces()
{
    for (std::size_t r = 0; r < input_.rooms.size(); ++r)
        for (const FaceInput& face : input_.rooms[r].faces)
            if (face.on || face.corners) apply_face(face, r);
}

/// Parts of a face that came to have the same behind them become one again.
void Surfaces::join_alike()
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

void Surfaces::tell_bridged(const NearMiss& gap)
{
    const std::string &first = building_.rooms[gap.first].name, &second = building_.rooms[gap.second].name;
    finding(quantity::Severity::note, codes::mended, building_.rooms[gap.second].origin,
            fmt::format("room/{} and room/{}", first, second),
            fmt::format("faces of '{}' and '{}' that lie {:.1f} mm apart were taken for one", first, second,
                        1000.0 * gap.gap_m),
            "[plan] tolerance says up to where that is done");
}

void Surfaces::add_surfaces()
{
    FoundSurfaces found = find_surfaces(building_.rooms, building_.plan_bearing_deg, input_.ground.level.value,
                                        value_of(input_.plan.tolerance));
    building_.surfaces = std::move(found.surfaces);
    for (const NearMiss& gap : found.bridged) tell_bridged(gap);
    open_between_parts(work_);
    for (Surface& s : building_.surfaces) s.build_up = no_build_up;
    names_.take_names();
    apply_faces();
    check_stated();
    partitions_.join_stated_pairs();
    join_alike();
    names_.look_again();
    partitions_.give_both_ways();
    partitions_.end_party_walls_in_the_middle();
    add_finishes(work_);
    set_colours(work_, names_);
    add_openings(work_, names_);
}

void add_surfaces(Work& work) { Surfaces{work}.add_surfaces(); }

} // namespace venture::resolve
