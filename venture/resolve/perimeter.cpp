#include <venture/resolve/perimeter.hpp>

#include <algorithm>
#include <cmath>

#include <venture/plan/walls.hpp>
#include <venture/resolve/face_names.hpp>
#include <venture/resolve/faces.hpp>
#include <venture/resolve/pass.hpp>
#include <venture/resolve/slopes.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;

namespace {

class Perimeters : Pass {
public:
    explicit Perimeters(Work& work) : Pass{work} {}
    void cut_perimeters(std::vector<RoomOutline>& outlines);
    void open_between_parts();

private:
    [[nodiscard]] std::vector<CeilingSlope> distances_from(const RoomInput& room, const Ring& ring);
    void take_share(const Record& part, double share);
    [[nodiscard]] RoomInput part_of(const RoomInput& room, const std::string& name, const Ring& ring,
                                    const Ring& whole);
    using Parts = std::vector<std::pair<RoomInput, RoomOutline>>;
    [[nodiscard]] static std::size_t part_with(const Given<std::string>* wall, const RoomInput& room, const Ring& whole,
                                               const Parts& parts);
    static void share_out_lists(const RoomInput& room, const Ring& whole, Parts& parts);
};

/// Whether no corner of an anticlockwise ring turns inwards.
bool is_convex(const Ring& ring)
{
    for (std::size_t i = 0; i < ring.size(); ++i)
        if (side(ring[i], ring[(i + 1) % ring.size()], ring[(i + 2) % ring.size()]) < 0) return false;
    return true;
}

/// Whether an edge lies on the outline of the whole room.
bool lies_on(const Ring& whole, GridPoint a, GridPoint b)
{
    constexpr double rounding_m = 3.0 * grid_m;
    for (std::size_t i = 0; i < whole.size(); ++i) {
        const GridPoint p = whole[i], q = whole[(i + 1) % whole.size()];
        const double dx = to_metres(q.x - p.x), dy = to_metres(q.y - p.y), length = std::hypot(dx, dy);
        const auto off = [&](GridPoint c) {
            return std::abs(to_metres(c.x - p.x) * dy - to_metres(c.y - p.y) * dx) / length;
        };
        if (off(a) <= rounding_m && off(b) <= rounding_m) return true;
    }
    return false;
}

/// Whether a part has a piece of a face of the whole room so called: "south", "south wall", "floor".
bool has_face(const Ring& part, const Ring& whole, const std::string& name)
{
    const std::string on = quantity::lower_case(quantity::trimmed(name));
    if (on == "floor" || on == "roof") return true;
    const std::string wall = on.substr(0, on.find(' ')) + " wall";
    const std::vector<std::string> walls = wall_names({part, {}});
    for (std::size_t i = 0; i < part.size(); ++i)
        if (walls[i].starts_with(wall) && lies_on(whole, part[i], part[(i + 1) % part.size()])) return true;
    return false;
}

} // namespace

/// How far a point of the plan lies from each wall along which there is to be a zone, as a plane over the plan.
std::vector<CeilingSlope> Perimeters::distances_from(const RoomInput& room, const Ring& ring)
{
    const std::vector<std::string> walls = wall_names({ring, {}});
    std::vector<CeilingSlope> out;
    for (const quantity::PlacedText& typed : *room.perimeter_on) {
        const std::string side = quantity::lower_case(quantity::trimmed(typed.text));
        bool found = false;
        for (std::size_t i = 0; i < ring.size(); ++i) {
            if (walls[i] != side + " wall" && !walls[i].starts_with(side + " wall ")) continue;
            found = true;
            const GridPoint a = ring[i], b = ring[(i + 1) % ring.size()];
            const double ax = to_metres(a.x), ay = to_metres(a.y), dx = to_metres(b.x) - ax, dy = to_metres(b.y) - ay,
                         length = std::hypot(dx, dy);
            std::string name = side + walls[i].substr(side.size() + std::string_view{" wall"}.size());
            out.push_back({std::move(name), (ax * dy - ay * dx) / length, -dy / length, dx / length});
        }
        if (!found)
            problem(codes::no_face, typed.origin,
                    fmt::format("perimeter_on: room '{}' has no wall on the {}", value_of(room.name), typed.text),
                    fmt::format("it has: {}", quantity::listed(walls, 12)));
    }
    return out;
}

/// Of values that are of the room as a whole.
void Perimeters::take_share(const Record& part, double share)
{
    quantity::for_each_record_in(part, [&](const Record& record) {
        for (const Key& key : record.keys()) {
            if (key.spec.when_cut != quantity::WhenCut::by_floor_area) continue;
            if (Given<double>& given = record.at<double>(key); given && *given != 0.0)
                given = computed(*given * share, "its share of the room's floor", given.origin);
        }
    });
}

/// One part: what is stated for the whole room by its share of the floor, and what is stated for faces that it has.
RoomInput Perimeters::part_of(const RoomInput& room, const std::string& name, const Ring& ring, const Ring& whole)
{
    RoomInput part = room;
    part.name.value = name;
    part.at = part.size = {};
    part.place = part.walk = part.like = {};
    part.perimeter = {};
    part.perimeter_on = {};
    const double share = area_m2(ring) / area_m2(whole);
    PointList corners;
    for (const GridPoint p : ring) corners.push_back({to_metres(p.x), to_metres(p.y)});
    part.corners = Given<PointList>{std::move(corners), room.perimeter.origin};
    take_share(part, share);
    std::erase_if(part.faces,
                  [&](const FaceInput& face) { return face.on && !has_face(ring, whole, side_of(room, *face.on)); });
    return part;
}

void Perimeters::cut_perimeters(std::vector<RoomOutline>& outlines)
{
    std::vector<RoomInput> rooms;
    std::vector<RoomOutline> cut;
    for (const RoomInput& room : input_.rooms) work_.typed_names.push_back(value_of(room.name));
    for (std::size_t r = 0; r < outlines.size(); ++r) {
        const RoomInput& room = input_.rooms[r];
        const RoomOutline& outline = outlines[r];
        const auto keep = [&] {
            rooms.push_back(room);
            cut.push_back(outline);
            work_.cut_from.push_back(r);
        };
        if (static_cast<bool>(room.perimeter) != static_cast<bool>(room.perimeter_on))
            problem(codes::contradiction, room.perimeter ? room.perimeter.origin : room.name.origin,
                    fmt::format("room '{}': perimeter and perimeter_on go together", value_of(room.name)),
                    "say how deep the zones are, and on which sides");
        if (!room.perimeter || !room.perimeter_on || outline.ring.empty()) {
            keep();
            continue;
        }
        if (!is_convex(outline.ring) || !outline.holes.empty() || room.slopes) {
            problem(codes::outline, room.perimeter.origin,
                    fmt::format(
                        "perimeter: room '{}' has corners that turn inwards, a hole or slopes: where its zones part "
                        "is not plain",
                        value_of(room.name)),
                    "type its parts as rooms");
            keep();
            continue;
        }
        const Room by_distance{
            .outline = {outline.ring, {}}, .height_m = *room.perimeter, .slopes = distances_from(room, outline.ring)};
        const double whole_m2 = area_m2(outline.ring);
        Parts parts;
        for (const UnderSlope& zone : under_slopes(by_distance))
            for (const Polygon& p : zone.plan) {
                const double share = area_m2(p.outline) / whole_m2;
                const std::string name =
                    value_of(room.name) + " " + (zone.slope != nullptr ? zone.slope->name : "core");
                parts.emplace_back(part_of(room, name, p.outline, outline.ring),
                                   RoomOutline{p.outline, {}, outline.typed_m2 * share, outline.on_plan});
            }
        share_out_lists(room, outline.ring, parts);
        for (auto& [part, its_outline] : parts) {
            rooms.push_back(std::move(part));
            cut.push_back(std::move(its_outline));
            work_.cut_from.push_back(r);
        }
    }
    work_.input.rooms = std::move(rooms);
    outlines = std::move(cut);
}

/// The part that a thing in a wall belongs to: the zone along it before the ends of others; the largest for what is in no
/// wall, leads to other rooms, comes from them or looks up.
std::size_t Perimeters::part_with(const Given<std::string>* wall, const RoomInput& room, const Ring& whole,
                                  const Parts& parts)
{
    const auto number_of = [&](auto at) { return static_cast<std::size_t>(at - parts.begin()); };
    const auto largest = std::ranges::max_element(parts, {}, [](const auto& p) { return p.second.typed_m2; });
    if (wall == nullptr || !*wall || quantity::lower_case(**wall) == "roof") return number_of(largest);
    const std::string on = quantity::lower_case(side_of(room, **wall)), side = on.substr(0, on.find(' '));
    const auto has_it = [&](const auto& p) { return has_face(p.second.ring, whole, on); };
    const auto along = std::ranges::find_if(
        parts, [&](const auto& p) { return value_of(p.first.name) == value_of(room.name) + " " + side; });
    if (along != parts.end()) return number_of(along);
    const auto any = std::ranges::find_if(parts, has_it);
    return number_of(has_it(*largest) || any == parts.end() ? largest : any);
}

void Perimeters::share_out_lists(const RoomInput& room, const Ring& whole, Parts& parts)
{
    for (const Nested& nested : RoomInput::spec().nested()) {
        if (nested.when_cut != quantity::WhenCut::one_part) continue;
        for (auto& part : parts) Record{part.first}.records(nested).clear();
        const ConstRecords of_room = ConstRecord{room}.records(nested);
        for (std::size_t i = 0; !parts.empty() && i < of_room.size(); ++i) {
            const std::size_t at = part_with(of_room[i].find<std::string>("in"), room, whole, parts);
            Record{parts[at].first}.records(nested).append_copy(of_room[i]);
        }
    }
}

/// Walls between parts of one room are none: air goes through them both ways.
void Perimeters::open_between_parts()
{
    constexpr double air_m3_per_s_m2 = 0.05; // our assumption: 0.1 m/s through half of the boundary, out and in
    std::erase_if(building_.surfaces, [&](const Surface& s) {
        if (s.beyond.kind != Neighbour::Kind::room || work_.cut_from[s.room] != work_.cut_from[s.beyond.room])
            return false;
        building_.open_boundaries.push_back({s.room, s.beyond.room, s.plan_start, s.plan_end, s.gross_m2});
        building_.transfer_air.push_back({.from = s.beyond.room,
                                          .to = s.room,
                                          .flow_m3_per_s = air_m3_per_s_m2 * s.gross_m2,
                                          .both_ways = true,
                                          .origin = building_.rooms[s.room].origin});
        return true;
    });
}

void cut_perimeters(Work& work, std::vector<RoomOutline>& outlines) { Perimeters{work}.cut_perimeters(outlines); }

void open_between_parts(Work& work) { Perimeters{work}.open_between_parts(); }

} // namespace venture::resolve
