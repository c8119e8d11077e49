#include <venture/resolve/outlines.hpp>

#include <algorithm>
#include <map>

#include <venture/plan/boxes.hpp>
#include <venture/plan/plan_lines.hpp>
#include <venture/plan/walk.hpp>
#include <venture/plan/walls.hpp>
#include <venture/resolve/pass.hpp>
#include <venture/resolve/placed_outlines.hpp>
#include <venture/resolve/solids.hpp>
#include <venture/resolve/surface_build_ups.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using quantity::Kind;
using quantity::Severity;

namespace {

class Outlines : Pass {
public:
    explicit Outlines(Work& work) : Pass{work} {}
    [[nodiscard]] std::vector<RoomOutline> find_outlines();
    void add_obstructions();

private:
    template <class Record>
    [[nodiscard]] Ring outline_of(std::string_view what, const Record& record);
    [[nodiscard]] Ring walked(const RoomInput& room);
    [[nodiscard]] Ring mended_points(const Ring& ring, quantity::OriginId where, const std::string& subject);
    void move_to_centre_lines(std::vector<PlanRoom>& rooms);
    void mend(std::vector<PlanRoom>& rooms);
    void cut_holes(const std::vector<PlanRoom>& rooms, std::vector<RoomOutline>& outlines) const;
};

} // namespace

/// Corners that stand twice, as nearly as the plan's tolerance tells.
Ring Outlines::mended_points(const Ring& ring, quantity::OriginId where, const std::string& subject)
{
    double doubled_m = 0.0;
    const double within = std::min(value_of(input_.plan.tolerance), 0.005); // a pier may be as thin as the tolerance
    Ring out = without_doubled_points(ring, within, doubled_m);
    if (out.size() != ring.size() && out.size() > 2)
        finding(Severity::note, codes::mended, where, subject,
                fmt::format("{} of the {} corners of '{}' stand{} twice, up to {:.1f} mm apart: taken once",
                            ring.size() - out.size(), ring.size(), subject.substr(subject.find('/') + 1),
                            ring.size() - out.size() == 1 ? "s" : "", 1000.0 * doubled_m),
                "leave them out");
    return out;
}

/// The outline of a room that was walked round, from its `at`.
Ring Outlines::walked(const RoomInput& room)
{
    if (room.corners || room.size) {
        problem(codes::contradiction, room.walk.origin, "walk: stands beside size or corners", "give one of them");
        return {};
    }
    const auto read = read_walk(*room.walk);
    if (const auto* wrong = std::get_if<WalkProblem>(&read)) {
        problem(codes::walk, room.walk.origin, "walk: " + wrong->message, wrong->hint);
        return {};
    }
    const Walk& walk = std::get<Walk>(read);
    const QuantityList at = room.at ? *room.at : QuantityList{0.0, 0.0};
    if (at.size() != 2) {
        problem(codes::outline, room.at.origin, "at: expected two lengths, along x and along y");
        return {};
    }
    Ring ring;
    for (const quantity::Point p : walk.corners_m)
        ring.push_back({to_grid(at.at(0) + p.x_m), to_grid(at.at(1) + p.y_m)});
    if (!is_simple(ring)) {
        problem(codes::outline, room.walk.origin,
                fmt::format("walk: the outline of '{}' crosses itself or encloses nothing", value_of(room.name)),
                "a turn or a length may be mistyped");
        return {};
    }
    constexpr double worth_saying_m = 0.0005;
    const auto tell = [&](Severity severity, std::string message, std::string hint) {
        finding(severity, codes::walk, room.walk.origin, "room/" + value_of(room.name), std::move(message),
                std::move(hint));
    };
    if (walk.missed_m > worth_saying_m)
        tell(Severity::note,
             fmt::format("the walk round '{}' misses its beginning by {:.0f} mm: shared out over its sides",
                         value_of(room.name), 1000.0 * walk.missed_m),
             "measure again if that is more than the tape's error");
    if (!walk.closes_square)
        tell(Severity::warning,
             fmt::format("the walk round '{}' is closed by a side of {:.3f} m that is not square to the others",
                         value_of(room.name), walk.closing_side_m),
             "a side is missing or mistyped, unless that wall does stand at an angle");
    return ring;
}

/// @param what  "room", as messages call it
template <class Record>
Ring Outlines::outline_of(std::string_view what, const Record& record)
{
    if constexpr (requires { record.walk; }) {
        if (record.walk) {
            Ring ring = walked(record);
            if (area_m2(ring) < 0.0) std::ranges::reverse(ring);
            return ring;
        }
    }
    if (record.corners && (record.size || record.at)) {
        problem(codes::contradiction, record.corners.origin, "corners: stands beside at or size",
                "give one or the other");
        return {};
    }
    Ring ring;
    if (record.corners) {
        for (const quantity::Point p : *record.corners) ring.push_back({to_grid(p.x_m), to_grid(p.y_m)});
        ring = mended_points(ring, record.corners.origin, fmt::format("{}/{}", what, value_of(record.name)));
        if (!is_simple(ring)) {
            problem(
                codes::outline, record.corners.origin,
                fmt::format("corners: the outline of '{}' crosses itself or encloses nothing", value_of(record.name)),
                fmt::format("list at least three corners in the order of a walk round the {}", what));
            return {};
        }
    } else if (record.size) {
        const QuantityList at = record.at ? *record.at : QuantityList{0.0, 0.0};
        if (at.size() != 2 || (*record.size).size() != 2 || (*record.size)[0] <= 0.0 || (*record.size)[1] <= 0.0) {
            problem(codes::outline, record.size.origin, "size: expected two lengths above 0, along x and along y");
            return {};
        }
        ring = rectangle(to_grid(at[0]), to_grid(at[1]), to_grid(at[0] + (*record.size)[0]),
                         to_grid(at[1] + (*record.size)[1]))
                   .outline;
    } else {
        problem(codes::outline, record.name.origin, fmt::format("{} '{}' has no shape", what, value_of(record.name)),
                "give size = [x, y] and at = [x, y], corners = [[x, y], ...], or a walk");
        return {};
    }
    if (area_m2(ring) < 0.0) std::ranges::reverse(ring);
    return ring;
}

void Outlines::add_obstructions()
{
    if (!work_.numbers_sound) return;
    for (const ObstructionInput& given : input_.obstructions) {
        Obstruction out{.name = value_of(given.name), .outline = outline_of("obstruction", given)};
        out.base_m = value_of(given.base);
        out.top_m = value_of(given.top);
        if (given.top && out.top_m <= out.base_m)
            problem(codes::contradiction, given.top.origin,
                    fmt::format("obstruction '{}' has its top at {} and its base at {}", out.name,
                                units_.text(out.top_m, Kind::length), units_.text(out.base_m, Kind::length)),
                    "both are heights above the project's zero");
        out.with_leaves = value_of(given.transmittance);
        out.bare = given.transmittance_bare ? *given.transmittance_bare : out.with_leaves;
        if (!out.outline.empty()) building_.obstructions.push_back(std::move(out));
    }
}

namespace {

/// Whether a box lies in another one, apart from its sides.
bool lies_within(const Box& a, const Box& b)
{
    return a.low.x > b.low.x && a.low.y > b.low.y && a.high.x < b.high.x && a.high.y < b.high.y;
}

} // namespace

/// Lines typed to faces become centre lines: across a gap to another room by half of it, else by half of the wall.
void Outlines::move_to_centre_lines(std::vector<PlanRoom>& rooms)
{
    if (input_.plan.dimensions == PlanDimensions::centre_lines) return;
    const bool inside = input_.plan.dimensions == PlanDimensions::inside_faces;
    constexpr double widest_m = 0.6;
    std::vector<Box> extents;
    for (const PlanRoom& room : rooms) extents.push_back(room.ring.empty() ? Box{} : box_round(room.ring));
    const auto is_near = [&, most = to_grid(widest_m)](std::size_t a, std::size_t b) {
        const Box &p = extents[a], &q = extents[b];
        return p.low.x - q.high.x <= most && q.low.x - p.high.x <= most && p.low.y - q.high.y <= most &&
               q.low.y - p.high.y <= most;
    };
    const auto is_within_another = [&](std::size_t r) {
        for (std::size_t n = 0; n < rooms.size(); ++n)
            if (n != r && !rooms[n].ring.empty() && rooms[n].is_beside(rooms[r]) && lies_within(extents[r], extents[n]))
                return true;
        return false;
    };
    const double inner_m = thickness_of(building_, input_.fabric.inner_wall),
                 tolerance_m = value_of(input_.plan.tolerance);
    std::vector<Ring> out;
    for (std::size_t r = 0; r < rooms.size(); ++r) {
        const Ring& ring = rooms[r].ring;
        const std::vector<std::string> names = ring.empty() ? std::vector<std::string>{} : wall_names({ring, {}});
        std::vector<double> by_m(ring.size());
        for (std::size_t i = 0; i < ring.size(); ++i) {
            const GridPoint a = ring[i], b = ring[(i + 1) % ring.size()];
            std::optional<double> gap;
            std::size_t across = 0;
            for (std::size_t n = 0; n < rooms.size(); ++n) {
                if (n == r || !is_near(r, n) || !rooms[n].is_beside(rooms[r])) continue;
                const Ring& other = rooms[n].ring;
                for (std::size_t j = 0; j < other.size(); ++j) {
                    const auto found = gap_between(a, b, other[j], other[(j + 1) % other.size()]);
                    if (!found || *found > widest_m || (gap && *found >= *gap)) continue;
                    gap = found;
                    across = n;
                }
            }
            if (!gap && is_within_another(r))
                by_m[i] = inside ? 0.5 * inner_m : 0.0;
            else if (!gap)
                by_m[i] = (inside ? 0.5 : -0.5) * outside_wall_m(work_, input_.rooms[r], names[i]);
            else if (inside)
                by_m[i] = 0.5 * *gap;
            if (gap && inside && r < across && std::abs(*gap - inner_m) > tolerance_m)
                finding(Severity::warning, codes::near_miss, input_.rooms[across].name.origin,
                        fmt::format("room/{} and room/{}", rooms[r].name, rooms[across].name),
                        fmt::format(
                            "the plan leaves {:.0f} mm for the wall between '{}' and '{}', whose build-up is {:.0f} "
                            "mm thick",
                            1000.0 * *gap, rooms[r].name, rooms[across].name, 1000.0 * inner_m),
                        "mend the plan, or the build-up");
        }
        const auto moved = ring.empty() ? std::optional<Ring>{Ring{}} : moved_outwards(ring, by_m);
        if (!moved)
            problem(codes::outline, input_.rooms[r].name.origin,
                    fmt::format("the walls of '{}' leave no room between their centre lines", rooms[r].name),
                    "check [plan] dimensions, and the room's lengths");
        out.push_back(moved.value_or(Ring{}));
    }
    for (std::size_t r = 0; r < rooms.size(); ++r) rooms[r].ring = std::move(out[r]);
}

/// Walls nearly in line are brought into line, and told.
void Outlines::mend(std::vector<PlanRoom>& rooms)
{
    std::vector<std::vector<std::string>> names;
    for (const PlanRoom& room : rooms)
        names.push_back(room.ring.empty() ? std::vector<std::string>{} : wall_names({room.ring, {}}));
    for (const Moved& moved : straighten(rooms, value_of(input_.plan.tolerance)))
        finding(Severity::note, codes::mended, input_.rooms[moved.room].name.origin, "room/" + rooms[moved.room].name,
                fmt::format("the {} of '{}' was moved by up to {:.1f} mm, into the line of {}",
                            names[moved.room][moved.wall], rooms[moved.room].name, 1000.0 * moved.by_m,
                            moved.to_room == moved.room ? "its other wall" : "'" + rooms[moved.to_room].name + "'"),
                "[plan] tolerance says up to where that is done");
}

/// A room that stands within another one from its floor to its ceiling is a hole in that one.
void Outlines::cut_holes(const std::vector<PlanRoom>& rooms, std::vector<RoomOutline>& outlines) const
{
    const bool inside = input_.plan.dimensions == PlanDimensions::inside_faces;
    const double inner_m = thickness_of(building_, input_.fabric.inner_wall);
    std::vector<std::optional<Box>> boxes(rooms.size());
    for (std::size_t r = 0; r < rooms.size(); ++r)
        if (outlines[r].on_plan && !rooms[r].ring.empty())
            boxes[r] = box_round(rooms[r].ring, {rooms[r].low, rooms[r].high});
    const auto nearby = boxes_nearby(boxes, 0);
    for (std::size_t inner = 0; inner < rooms.size(); ++inner)
        for (const std::size_t outer : nearby[inner]) {
            const PlanRoom &a = rooms[inner], &b = rooms[outer];
            if (!lies_within(*boxes[inner], *boxes[outer]) || a.low > b.low || a.high < b.high) continue;
            const double inner_m2 = area_m2(a.ring);
            if (area_m2(intersection({{a.ring, {}}}, {{b.ring, {}}})) < inner_m2 - 1e-6) continue;
            Ring hole = a.ring;
            std::ranges::reverse(hole);
            outlines[outer].holes.push_back(std::move(hole));
            // between inside faces the inner room's walls take floor from the outer one as well
            const auto outer_face =
                moved_outwards(a.ring, std::vector<double>(a.ring.size(), inside ? 0.5 * inner_m : 0.0));
            outlines[outer].typed_m2 -= outer_face ? area_m2(*outer_face) : inner_m2;
        }
}

std::vector<RoomOutline> Outlines::find_outlines()
{
    std::vector<RoomOutline> outlines(input_.rooms.size());
    if (!work_.numbers_sound) return outlines;
    std::map<std::string, const StoreyInput*> storeys;
    for (const StoreyInput& storey : input_.storeys) storeys[value_of(storey.name)] = &storey;
    for (std::size_t r = 0; r < outlines.size(); ++r) {
        const RoomInput& given = input_.rooms[r];
        if (is_given_by_faces(given)) {
            const auto storey = storeys.find(value_of(given.storey));
            outlines[r] = enclosed(work_, given, storey == storeys.end() ? 0.0 : value_of(storey->second->level));
            continue;
        }
        outlines[r].ring = outline_of("room", given);
        outlines[r].on_plan = given.at || given.corners || given.place;
    }
    place_outlines(work_, outlines);
    std::vector<PlanRoom> rooms;
    for (std::size_t r = 0; r < outlines.size(); ++r) {
        const RoomInput& given = input_.rooms[r];
        const auto storey = storeys.find(value_of(given.storey));
        const double floor = storey == storeys.end() ? 0.0 : value_of(storey->second->level);
        const bool by_plan = outlines[r].faces.empty();
        if (by_plan) outlines[r].typed_m2 = outlines[r].ring.empty() ? 0.0 : area_m2(outlines[r].ring);
        rooms.push_back({value_of(given.name), outlines[r].on_plan && by_plan ? outlines[r].ring : Ring{},
                         to_grid(floor), to_grid(floor + value_of(given.height))});
    }
    move_to_centre_lines(rooms);
    mend(rooms);
    for (std::size_t r = 0; r < outlines.size(); ++r)
        if (outlines[r].on_plan && outlines[r].faces.empty()) outlines[r].ring = rooms[r].ring;
    if (input_.plan.dimensions != PlanDimensions::inside_faces)
        for (RoomOutline& outline : outlines)
            if (outline.faces.empty()) outline.typed_m2 = outline.ring.empty() ? 0.0 : area_m2(outline.ring);
    cut_holes(rooms, outlines);
    return outlines;
}

std::vector<RoomOutline> find_outlines(Work& work) { return Outlines{work}.find_outlines(); }

void add_obstructions(Work& work) { Outlines{work}.add_obstructions(); }

} // namespace venture::resolve
