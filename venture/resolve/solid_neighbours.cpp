#include <venture/resolve/solid_neighbours.hpp>

#include <algorithm>
#include <cmath>
#include <limits>
#include <numbers>

#include <venture/resolve/laid_faces.hpp>

namespace venture::resolve {

namespace {

using Kind = Neighbour::Kind;

Spot in_space(const SurfacePlane& plane, GridPoint p)
{
    Spot out = plane.zero_m;
    for (std::size_t k = 0; k < 3; ++k) out[k] += plane.along[k] * to_metres(p.x) + plane.up[k] * to_metres(p.y);
    return out;
}

double dot(const Spot& a, const Spot& b) { return a[0] * b[0] + a[1] * b[1] + a[2] * b[2]; }

/// The place in a plane's own coordinates, and how far it lies off.
struct Seen {
    GridPoint at{};
    double off_m = 0.0;
};

Seen seen_in(const SurfacePlane& plane, const Spot& place)
{
    const Spot from = {place[0] - plane.zero_m[0], place[1] - plane.zero_m[1], place[2] - plane.zero_m[2]};
    return {{to_grid(dot(from, plane.along)), to_grid(dot(from, plane.up))}, std::abs(dot(from, plane.out))};
}

/// A shape of one plane as it lies in another one. @param off_m  how far its farthest corner is off that plane
Polygons moved_into(const SurfacePlane& to, const SurfacePlane& from, const Polygons& shape, double& off_m)
{
    Polygons out;
    off_m = 0.0;
    const auto moved = [&](const Ring& ring, bool hole) {
        Ring there;
        for (const GridPoint p : ring) {
            const Seen seen = seen_in(to, in_space(from, p));
            off_m = std::max(off_m, seen.off_m);
            there.push_back(seen.at);
        }
        if ((area_m2(there) < 0.0) != hole) std::ranges::reverse(there);
        return there;
    };
    for (const Polygon& p : shape) {
        Polygon& polygon = out.emplace_back(Polygon{moved(p.outline, false), {}});
        for (const Ring& hole : p.holes) polygon.holes.push_back(moved(hole, true));
    }
    return out;
}

struct Box {
    Spot low{}, high{};
};

Box box_of(const Surface& s)
{
    constexpr double far = std::numeric_limits<double>::max();
    Box box{{far, far, far}, {-far, -far, -far}};
    const SurfacePlane plane = plane_of(s);
    for (const Polygon& polygon : s.shape)
        for (const GridPoint p : polygon.outline) {
            const Spot at = in_space(plane, p);
            for (std::size_t k = 0; k < 3; ++k) {
                box.low[k] = std::min(box.low[k], at[k]);
                box.high[k] = std::max(box.high[k], at[k]);
            }
        }
    return box;
}

class Matcher {
public:
    Matcher(const std::vector<Room>& rooms, const Lie& lie, std::vector<Surface>& surfaces,
            std::vector<NearMiss>& bridged)
        : rooms_{rooms},
          lie_{lie},
          all_{surfaces},
          bridged_{bridged}
    {
    }

    void run()
    {
        const std::size_t others = all_.size();
        for (std::size_t r = 0; r < rooms_.size(); ++r)
            for (const RoomFace& face : rooms_[r].faces) all_.push_back(laid(face, r, lie_.plan_bearing_deg));
        match_all(others);
        const std::size_t end = all_.size();
        for (std::size_t i = others; i < end; ++i) add_in_ground(i);
        for (Surface& s : shared_) all_.push_back(std::move(s));
        std::erase_if(all_, [](const Surface& s) { return s.shape.empty(); });
        for (Surface& s : all_) {
            s.gross_m2 = area_m2(s.shape);
            if (s.name.empty()) s.name = s.parent + " to " + (s.beyond.kind == Kind::ground ? "ground" : "outdoors");
        }
        std::ranges::stable_sort(all_, {}, &Surface::room);
    }

private:
    /// Pairs whose boxes touch, found from left to right.
    void match_all(std::size_t others)
    {
        std::vector<Box> boxes;
        std::vector<std::size_t> order;
        for (std::size_t i = 0; i < all_.size(); ++i) {
            boxes.push_back(box_of(all_[i]));
            const Kind kind = all_[i].beyond.kind;
            if (rooms_[all_[i].room].on_plan && (kind == Kind::outdoors || kind == Kind::ground)) order.push_back(i);
        }
        std::ranges::stable_sort(order, {}, [&](std::size_t i) { return boxes[i].low[0]; });
        for (std::size_t i = 0; i < order.size(); ++i)
            for (std::size_t j = i + 1; j < order.size(); ++j) {
                const std::size_t a = order[i], b = order[j];
                if (boxes[b].low[0] > boxes[a].high[0] + lie_.tolerance_m) break;
                if ((a < others && b < others) || all_[a].room == all_[b].room || are_apart(boxes[a], boxes[b]))
                    continue;
                match(all_[std::min(a, b)], all_[std::max(a, b)]);
            }
    }

    [[nodiscard]] bool are_apart(const Box& a, const Box& b) const
    {
        for (std::size_t k = 0; k < 3; ++k)
            if (a.low[k] > b.high[k] + lie_.tolerance_m || b.low[k] > a.high[k] + lie_.tolerance_m) return true;
        return false;
    }

    void match(Surface& a, Surface& b)
    {
        const SurfacePlane in_a = plane_of(a), in_b = plane_of(b);
        if (dot(in_a.out, in_b.out) > -0.9) return;
        double off = 0.0, unused = 0.0;
        const Polygons other = moved_into(in_a, in_b, b.shape, off);
        if (off > lie_.tolerance_m) return;
        Polygons common = intersection(a.shape, other);
        std::erase_if(common, is_sliver);
        if (common.empty()) return;
        const Polygons there = moved_into(in_b, in_a, common, unused);
        cut(a, common);
        cut(b, there);
        constexpr double worth_saying_m = 0.0005;
        if (off > worth_saying_m) bridged_.push_back({a.room, b.room, off, false});
        // floors stand with the room above, walls with the room whose name comes first
        const bool with_a =
            a.attitude == b.attitude ? rooms_[a.room].name < rooms_[b.room].name : a.attitude == Attitude::floor;
        with_a ? share(a, b, common) : share(b, a, there);
    }

    static void cut(Surface& s, const Polygons& away)
    {
        s.shape = difference(s.shape, away);
        std::erase_if(s.shape, is_sliver);
    }

    void share(const Surface& of, const Surface& with, const Polygons& shape)
    {
        Surface s = of;
        s.beyond = {.kind = Kind::room, .room = with.room};
        s.name = of.parent + " to " + rooms_[with.room].name;
        s.face_beyond = with.parent;
        s.shape = shape;
        const auto same = std::ranges::find_if(
            shared_, [&](const Surface& known) { return known.room == s.room && known.name == s.name; });
        if (same == shared_.end())
            shared_.push_back(std::move(s));
        else
            same->shape.insert(same->shape.end(), shape.begin(), shape.end());
    }

    /// What of a face lies below the ground outside becomes a surface by itself; floors at its level lie on it.
    void add_in_ground(std::size_t index)
    {
        Surface below = all_[index];
        const double ground_m = to_metres(std::max(lie_.ground, lie_.lowest));
        if (below.shape.empty()) return;
        below.beyond = {.kind = Kind::ground};
        if (below.is_level()) {
            if (below.attitude == Attitude::floor && to_grid(below.start_m) <= to_grid(ground_m + deepest_fill_m))
                all_[index].beyond = below.beyond;
            return;
        }
        const double steep = below.is_upright() ? 1.0 : std::sin(below.tilt_deg * std::numbers::pi / 180.0);
        const std::int64_t up_to = to_grid((ground_m - below.start_m) / steep);
        GridPoint low{INT64_MAX, INT64_MAX}, high{INT64_MIN, INT64_MIN};
        for (const Polygon& polygon : below.shape)
            for (const GridPoint p : polygon.outline) {
                low = {std::min(low.x, p.x), std::min(low.y, p.y)};
                high = {std::max(high.x, p.x), std::max(high.y, p.y)};
            }
        if (up_to <= low.y) return;
        const Polygons under = {rectangle(low.x, low.y, high.x, std::min(up_to, high.y))};
        below.shape = intersection(below.shape, under);
        std::erase_if(below.shape, is_sliver);
        cut(all_[index], under);
        all_.push_back(std::move(below));
    }

    const std::vector<Room>& rooms_;
    const Lie& lie_;
    std::vector<Surface>& all_;
    std::vector<NearMiss>& bridged_;
    std::vector<Surface> shared_{};
};

} // namespace

void add_solid_surfaces(const std::vector<Room>& rooms, const Lie& lie, std::vector<Surface>& surfaces,
                        std::vector<NearMiss>& bridged)
{
    Matcher{rooms, lie, surfaces, bridged}.run();
}

} // namespace venture::resolve
