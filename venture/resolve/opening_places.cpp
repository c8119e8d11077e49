#include <venture/resolve/opening_places.hpp>

#include <algorithm>
#include <cmath>
#include <numeric>

#include <venture/resolve/pass.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using quantity::Kind;

namespace {

class OpeningPlaces : Pass {
public:
    explicit OpeningPlaces(Work& work) : Pass{work} {}
    void place(OpeningsBySurface& to_place);

private:
    void place_in(Surface& surface, std::vector<ToPlace>& openings);
    static void size_by_wall(const Surface& surface, std::vector<ToPlace>& openings);
    static void seat(const Surface& surface, double foot_m, ToPlace& one);
    static void spread(const Surface& surface, std::vector<ToPlace>& openings);
    [[nodiscard]] bool fits(const Surface& surface, const ToPlace& one, double free_m2);
    void tell_overlaps(const Surface& surface, const std::vector<ToPlace>& openings);
};

constexpr double rounding_m = 1e-6;

/// Extent of a surface's shape, along its first axis and up.
struct Extents {
    double left_m = 0.0, low_m = 0.0, width_m = 0.0, height_m = 0.0;
};

Extents extents_of(const Surface& s)
{
    std::int64_t x0 = INT64_MAX, x1 = INT64_MIN, y0 = INT64_MAX, y1 = INT64_MIN;
    for (const Polygon& p : s.shape)
        for (const GridPoint q : p.outline) {
            x0 = std::min(x0, q.x);
            x1 = std::max(x1, q.x);
            y0 = std::min(y0, q.y);
            y1 = std::max(y1, q.y);
        }
    return {to_metres(x0), to_metres(y0), to_metres(x1 - x0), to_metres(y1 - y0)};
}

/// A stretch along the wall, from its left end.
struct Stretch {
    double from_m = 0.0, to_m = 0.0;
    std::vector<std::pair<Opening*, std::size_t>> holds{}; ///< openings without a place: which, and which of its holes
    [[nodiscard]] double left_over_m() const
    {
        return std::accumulate(holds.begin(), holds.end(), to_m - from_m,
                               [](double left, const auto& hole) { return left - hole.first->width_m; });
    }
};

/// What typed places leave of a wall.
std::vector<Stretch> free_stretches(double width_m, std::vector<std::pair<double, double>> taken)
{
    std::ranges::sort(taken);
    std::vector<Stretch> out;
    double from = 0.0;
    for (const auto& [left, right] : taken) {
        if (left > from) out.push_back({from, left});
        from = std::max(from, right);
    }
    if (width_m > from) out.push_back({from, width_m});
    return out;
}

/// Even gaps between the openings of a stretch, half a gap at its ends.
void spread_evenly(const Stretch& stretch, double wall_begins_m)
{
    const double gap_m = stretch.left_over_m() / static_cast<double>(stretch.holds.size());
    double at_m = stretch.from_m + 0.5 * gap_m;
    for (const auto& [opening, hole] : stretch.holds) {
        opening->from_left_m[hole] = wall_begins_m + at_m;
        at_m += opening->width_m + gap_m;
    }
}

} // namespace

std::size_t ToPlace::count() const { return static_cast<std::size_t>(given->count ? *given->count : 1.0); }

double ToPlace::row_m() const { return opening.width_m * static_cast<double>(count()); }

/// Whether one opening lies within its surface; if not, that is told.
bool OpeningPlaces::fits(const Surface& surface, const ToPlace& one, double free_m2)
{
    const Extents e = extents_of(surface);
    const Opening& o = one.opening;
    const double foot = surface.is_upright() ? e.low_m - building_.rooms[surface.room].floor_m : 0.0;
    const bool across = std::ranges::all_of(o.from_left_m, [&](double left) {
        return left >= e.left_m - rounding_m && left + o.width_m <= e.left_m + e.width_m + rounding_m;
    });
    const bool up = o.sill_m >= foot - rounding_m && o.sill_m + o.height_m <= foot + e.height_m + rounding_m;
    if (across && up && o.area_m2() <= free_m2 + rounding_m) return true;
    problem(codes::opening, one.where,
            fmt::format("{}{}, sill {}: does not fit into the {} of '{}', which is {} x {}{} with {} still free",
                        one.label, one.count() > 1 ? fmt::format(", {} alike", one.count()) : "",
                        units_.text(o.sill_m, Kind::length), surface.name, building_.rooms[surface.room].name,
                        units_.text(e.width_m, Kind::length), units_.text(e.height_m, Kind::length),
                        foot > 0.0 ? fmt::format(", from {} up,", units_.text(foot, Kind::length)) : "",
                        units_.text(free_m2, Kind::area)),
            "make it smaller, or place it with from_left and sill");
    return false;
}

void OpeningPlaces::tell_overlaps(const Surface& surface, const std::vector<ToPlace>& openings)
{
    const auto beside = [](double a0, double a1, double b0, double b1) {
        return a1 <= b0 + rounding_m || b1 <= a0 + rounding_m;
    };
    for (std::size_t i = 0; i < openings.size(); ++i)
        for (std::size_t j = 0; j < i; ++j) {
            const Opening &a = openings[i].opening, &b = openings[j].opening;
            if (beside(a.sill_m, a.sill_m + a.height_m, b.sill_m, b.sill_m + b.height_m)) continue;
            const bool overlap = std::ranges::any_of(a.from_left_m, [&](double left) {
                return std::ranges::any_of(b.from_left_m, [&](double other) {
                    return !beside(left, left + a.width_m, other, other + b.width_m);
                });
            });
            if (!overlap) continue;
            problem(codes::opening, openings[i].where,
                    fmt::format("{} and {} stand one in the other in the {} of '{}'", openings[j].label,
                                openings[i].label, surface.name, building_.rooms[surface.room].name),
                    "give them places (from_left, sill) or sizes that leave room for both")
                .subject = "room/" + building_.rooms[surface.room].name;
        }
}

/// Openings by area or by share of the wall, in its proportions; narrower and higher where they do not fit side by side.
void OpeningPlaces::size_by_wall(const Surface& surface, std::vector<ToPlace>& openings)
{
    const Extents e = extents_of(surface);
    double all_m = 0.0, by_wall_m = 0.0;
    for (ToPlace& one : openings) {
        const OpeningInput& given = *one.given;
        const auto count = static_cast<double>(one.count());
        if (!given.width) {
            const double area = given.area ? *given.area : *given.share * surface.gross_m2,
                         scale = std::sqrt(area / (e.width_m * e.height_m));
            one.opening.width_m = scale * e.width_m / count;
            one.opening.height_m = scale * e.height_m;
            by_wall_m += one.opening.width_m * count;
        }
        all_m += one.opening.width_m * count;
    }
    const double too_wide_m = all_m - e.width_m;
    if (too_wide_m <= 0.0 || by_wall_m <= too_wide_m) return;
    const double narrower = (by_wall_m - too_wide_m) / by_wall_m;
    for (ToPlace& one : openings) {
        if (one.given->width) continue;
        one.opening.width_m *= narrower;
        one.opening.height_m /= narrower;
    }
}

/// Sill and left edges as typed; where they are not, the usual sill, and any left edge.
/// @param foot_m  of the surface, above the room's floor
void OpeningPlaces::seat(const Surface& surface, double foot_m, ToPlace& one)
{
    const Extents e = extents_of(surface);
    Opening& o = one.opening;
    const OpeningInput& given = *one.given;
    constexpr double usual_sill_m = 0.9;
    const double spare_m = std::max(0.0, e.height_m - o.height_m);
    // a roof window stands in the middle of its roof, and so does what is sized by its wall
    const bool in_the_middle = !surface.is_upright() || !given.width;
    const double usual_m = in_the_middle ? 0.5 * spare_m : o.kind != Opening::Kind::window ? 0.0 : usual_sill_m;
    o.sill_m = given.sill ? *given.sill : foot_m + std::min(std::max(0.0, usual_m - foot_m), spare_m);
    const double first_m = given.from_left ? *given.from_left : e.width_m - value_of(given.from_right) - one.row_m();
    for (std::size_t i = 0; i < one.count(); ++i)
        o.from_left_m.push_back(e.left_m + first_m + static_cast<double>(i) * o.width_m);
}

/// Openings without a place, as typed from left to right, over the widest stretches that the others leave.
void OpeningPlaces::spread(const Surface& surface, std::vector<ToPlace>& openings)
{
    const Extents e = extents_of(surface);
    std::vector<std::pair<double, double>> taken;
    for (const ToPlace& one : openings) {
        const double first_m = one.opening.from_left_m.front() - e.left_m;
        if (one.has_place()) taken.emplace_back(first_m, first_m + one.row_m());
    }
    std::vector<Stretch> free = free_stretches(e.width_m, std::move(taken));
    for (ToPlace& one : openings)
        for (std::size_t i = 0; !one.has_place() && i < one.count(); ++i) {
            Opening& o = one.opening;
            const auto widest = std::ranges::max_element(free, {}, &Stretch::left_over_m);
            if (widest == free.end() || widest->left_over_m() < o.width_m - rounding_m)
                o.from_left_m[i] = e.left_m + 0.5 * (e.width_m - o.width_m); // told if it stands in another
            else
                widest->holds.emplace_back(&o, i);
        }
    for (const Stretch& stretch : free)
        if (!stretch.holds.empty()) spread_evenly(stretch, e.left_m);
}

void OpeningPlaces::place_in(Surface& surface, std::vector<ToPlace>& openings)
{
    const double foot_m =
        surface.is_upright() ? extents_of(surface).low_m - building_.rooms[surface.room].floor_m : 0.0;
    size_by_wall(surface, openings);
    for (ToPlace& one : openings) seat(surface, foot_m, one);
    spread(surface, openings);
    bool all_fit = true;
    double free_m2 = surface.gross_m2;
    for (const ToPlace& one : openings) {
        all_fit = fits(surface, one, free_m2) && all_fit;
        free_m2 -= one.opening.area_m2();
    }
    if (!all_fit) return;
    tell_overlaps(surface, openings);
    for (ToPlace& one : openings) surface.openings.push_back(std::move(one.opening));
}

void OpeningPlaces::place(OpeningsBySurface& to_place)
{
    for (auto& [surface, openings] : to_place) {
        for (const ToPlace& one : openings)
            if (one.given->from_left && one.given->from_right)
                problem(codes::contradiction, one.given->from_right.origin,
                        fmt::format("{}: from_right stands beside from_left", one.label), "give one of them");
        place_in(building_.surfaces[surface], openings);
    }
}

void place_openings(Work& work, OpeningsBySurface& openings) { OpeningPlaces{work}.place(openings); }

} // namespace venture::resolve
