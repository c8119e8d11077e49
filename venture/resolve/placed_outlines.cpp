#include <venture/resolve/placed_outlines.hpp>

#include <map>

#include <venture/plan/boxes.hpp>
#include <venture/plan/placing.hpp>
#include <venture/resolve/pass.hpp>
#include <venture/resolve/surface_build_ups.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;

namespace {

class PlacedOutlines : Pass {
public:
    explicit PlacedOutlines(Work& work) : Pass{work} {}
    void place(std::vector<RoomOutline>& outlines);

private:
    struct Waiting {
        Placing place;
        std::size_t other;
    };
    [[nodiscard]] std::optional<Waiting> waits_for(std::size_t room, RoomOutline& outline);
    void shift_outline(RoomOutline& outline, const Placing& place, const RoomOutline& other) const;
};

/// Where a room's extent must begin along one axis.
/// @param low  high: of the other room; length: of this one
std::int64_t in_line(std::optional<PlanSide> which, PlanSide upper, std::int64_t low, std::int64_t high,
                     std::int64_t length)
{
    if (!which) return low + (high - low - length) / 2;
    return *which == upper ? high - length : low;
}

/// By how much a room is shifted to its place. @param gap  between walls that face each other
GridPoint shift_to(const Placing& place, const Box& own, const Box& other, std::int64_t gap)
{
    const std::int64_t width = own.high.x - own.low.x, depth = own.high.y - own.low.y,
                       apart = to_grid(place.apart_m) + gap;
    std::int64_t x = in_line(place.in_line, PlanSide::east, other.low.x, other.high.x, width);
    std::int64_t y = in_line(place.in_line, PlanSide::north, other.low.y, other.high.y, depth);
    if (place.side == PlanSide::east) x = other.high.x + apart;
    if (place.side == PlanSide::west) x = other.low.x - apart - width;
    if (place.side == PlanSide::north) y = other.high.y + apart;
    if (place.side == PlanSide::south) y = other.low.y - apart - depth;
    return {x - own.low.x + to_grid(place.further_m.x_m), y - own.low.y + to_grid(place.further_m.y_m)};
}

} // namespace

/// A room typed against another one, if that is there and both have a shape.
std::optional<PlacedOutlines::Waiting> PlacedOutlines::waits_for(std::size_t room, RoomOutline& outline)
{
    const RoomInput& given = input_.rooms[room];
    if (given.at || given.corners)
        problem(codes::contradiction, given.place.origin, "place: stands beside at or corners", "give one of them");
    const auto read = read_placing(*given.place);
    if (const auto* wrong = std::get_if<PlacingProblem>(&read)) {
        problem(codes::placing, given.place.origin, "place: " + wrong->message, wrong->hint);
        outline.ring.clear();
        return std::nullopt;
    }
    const Placing& place = std::get<Placing>(read);
    const auto other = work_.typed_room_called(place.room);
    if (!other) {
        std::vector<std::string> names;
        for (const RoomInput& one : input_.rooms) names.push_back(value_of(one.name));
        tell_unknown("room", {place.room, given.place.origin}, names);
        outline.ring.clear();
    }
    if (outline.ring.empty()) return std::nullopt;
    return Waiting{place, *other};
}

/// Rooms typed against others are shifted there, once those stand.
void PlacedOutlines::place(std::vector<RoomOutline>& outlines)
{
    std::map<std::size_t, Waiting> waiting;                    // by room
    std::vector<std::vector<std::size_t>> on(outlines.size()); // of each room: which rooms wait for it
    for (std::size_t r = 0; r < outlines.size(); ++r)
        if (input_.rooms[r].place)
            if (auto waits = waits_for(r, outlines[r])) {
                on[waits->other].push_back(r);
                waiting.emplace(r, std::move(*waits));
            }
    std::vector<std::size_t> stand;
    for (std::size_t r = 0; r < outlines.size(); ++r)
        if (!waiting.contains(r)) stand.push_back(r);
    for (std::size_t next = 0; next < stand.size(); ++next)
        for (const std::size_t r : on[stand[next]]) {
            shift_outline(outlines[r], waiting.at(r).place, outlines[stand[next]]);
            waiting.erase(r);
            stand.push_back(r);
        }
    for (const auto& [r, w] : waiting) {
        outlines[r].ring.clear();
        problem(codes::placing, input_.rooms[r].place.origin,
                fmt::format("place: '{}' stands against '{}', which in the end stands against it",
                            value_of(input_.rooms[r].name), w.place.room),
                "give one of them a place of its own: at = [x, y]");
    }
}

void PlacedOutlines::shift_outline(RoomOutline& outline, const Placing& place, const RoomOutline& other) const
{
    if (other.ring.empty()) return outline.ring.clear(); // told of the other one
    const bool inside = input_.plan.dimensions == PlanDimensions::inside_faces;
    const std::int64_t gap = inside ? to_grid(thickness_of(building_, input_.fabric.inner_wall)) : 0;
    const GridPoint shift = shift_to(place, box_round(outline.ring), box_round(other.ring), gap);
    for (GridPoint& p : outline.ring) p = {p.x + shift.x, p.y + shift.y};
}

void place_outlines(Work& work, std::vector<RoomOutline>& outlines) { PlacedOutlines{work}.place(outlines); }

} // namespace venture::resolve
