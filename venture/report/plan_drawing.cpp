#include <venture/report/plan_drawing.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

#include <fmt/format.h>

namespace venture::report {

using building::Attitude;
using building::Building;
using building::GridPoint;
using building::Neighbour;
using building::Surface;

namespace {

constexpr Colour black{0.1, 0.1, 0.1}, grey{0.55, 0.55, 0.55};
// Pairs that stay apart for colour-blind eyes (after Okabe and Ito, lightened); the words say the same.
constexpr Colour heated{0.98, 0.93, 0.82}, heated_and_cooled{0.85, 0.92, 0.98}, cooled{0.90, 0.97, 0.95},
    neither{0.96, 0.96, 0.96};
constexpr double margin = 30.0, title_height = 58.0, legend_height = 64.0, storey_title = 26.0, longest_bar = 130.0;

/// Extent of the building on the plan, metres.
struct Extent {
    double x0 = 1e300, y0 = 1e300, x1 = -1e300, y1 = -1e300;
};

/// Places one storey on the sheet.
struct Placement {
    double left, top, scale; ///< px, px, px per metre
    Extent extent;
    [[nodiscard]] Spot at(double x_m, double y_m) const
    {
        return {left + (x_m - extent.x0) * scale, top + (extent.y1 - y_m) * scale};
    }
    [[nodiscard]] Spot at(GridPoint p) const { return at(building::to_metres(p.x), building::to_metres(p.y)); }
};

class PlanDrawing {
public:
    PlanDrawing(const Building& b, const loads::RoomLoads& loads, const PlanOptions& o)
        : b_{b},
          loads_{loads},
          o_{o},
          c_{o.picture, o.width, o.height}
    {
    }

    std::string run()
    {
        for (const building::Room& room : b_.rooms)
            for (const GridPoint p : room.outline.outline) {
                const double x = building::to_metres(p.x), y = building::to_metres(p.y);
                extent_ = {std::min(extent_.x0, x), std::min(extent_.y0, y), std::max(extent_.x1, x),
                           std::max(extent_.y1, y)};
            }
        draw_title();
        const auto places = placements();
        for (std::size_t s = 0; s < b_.storeys.size(); ++s) draw_storey(s, places[s]);
        draw_legend(places.front().scale);
        return c_.finish();
    }

private:
    /// Storeys in the grid that gives the largest scale.
    [[nodiscard]] std::vector<Placement> placements() const
    {
        const double w = extent_.x1 - extent_.x0, h = extent_.y1 - extent_.y0;
        const double sheet_w = o_.width - 2 * margin, sheet_h = o_.height - title_height - legend_height - margin;
        const std::size_t n = std::max<std::size_t>(1, b_.storeys.size());
        std::size_t best_columns = 1;
        double scale = 0.0;
        for (std::size_t columns = 1; columns <= n; ++columns) {
            const double rows = std::ceil(static_cast<double>(n) / static_cast<double>(columns));
            const double fits =
                std::min((sheet_w / static_cast<double>(columns) - margin) / w, (sheet_h / rows - storey_title) / h);
            if (fits <= scale) continue;
            scale = fits;
            best_columns = columns;
        }
        const double cell_w = sheet_w / static_cast<double>(best_columns);
        const double rows = std::ceil(static_cast<double>(n) / static_cast<double>(best_columns));
        std::vector<Placement> out;
        for (std::size_t s = 0; s < n; ++s) {
            const auto column = static_cast<double>(s % best_columns), row = static_cast<double>(s / best_columns);
            out.push_back(
                {margin + column * cell_w + 0.5 * (cell_w - w * scale),
                 title_height + row * sheet_h / rows + storey_title + 0.5 * (sheet_h / rows - storey_title - h * scale),
                 scale, extent_});
        }
        return out;
    }

    void draw_title()
    {
        c_.text({margin, 30}, b_.project.name, 18, true, false);
        std::string line = "Plan with design loads of rooms";
        if (!b_.project.number.empty()) line += ", job " + b_.project.number;
        if (!b_.project.revision.empty()) line += ", revision " + b_.project.revision;
        c_.text({margin, 50}, line, 12, false, false);
        draw_north({o_.width - margin - 28, 46});
    }

    void draw_north(Spot centre)
    {
        const double turn = -b_.plan_bearing_deg * std::numbers::pi / 180.0; // north as seen on the plan
        const auto point = [&](double along, double across) {
            return Spot{centre.x + along * std::sin(turn) + across * std::cos(turn),
                        centre.y - along * std::cos(turn) + across * std::sin(turn)};
        };
        c_.fill({point(22, 0), point(-12, 8), point(-6, 0)}, black);
        c_.outline({point(22, 0), point(-12, -8), point(-6, 0)}, {black, 1.0});
        const Spot letter = point(34, 0);
        c_.text({letter.x, letter.y + 4}, "N", 12, true);
    }

    void draw_storey(std::size_t storey, const Placement& at)
    {
        c_.text({at.left, at.top - 9},
                fmt::format("{} storey, level {}", b_.storeys[storey].name,
                            o_.units.text(b_.storeys[storey].level_m, "length")),
                13, true, false);
        for (std::size_t r = 0; r < b_.rooms.size(); ++r)
            if (stands_on(r, storey)) draw_room(r, storey, at);
        for (const Surface& s : b_.surfaces)
            if (s.attitude == Attitude::wall && reaches(s, storey)) draw_wall(s, at);
        for (const Surface& s : b_.surfaces)
            if (s.attitude == Attitude::wall) draw_openings(s, storey, at);
        for (std::size_t r = 0; r < b_.rooms.size(); ++r)
            if (stands_on(r, storey)) draw_label(r, storey, at);
    }

    /// Whether a room is cut by a plane a metre above the storey's floor.
    [[nodiscard]] bool stands_on(std::size_t r, std::size_t storey) const
    {
        const double cut = b_.storeys[storey].level_m + 1.0;
        return b_.rooms[r].floor_m < cut && cut < b_.rooms[r].floor_m + b_.rooms[r].height_m;
    }

    [[nodiscard]] bool reaches(const Surface& s, std::size_t storey) const
    {
        const auto cut = building::to_grid(b_.storeys[storey].level_m + 1.0);
        return std::ranges::any_of(s.shape, [&](const building::Polygon& p) {
            const auto [low, high] = std::ranges::minmax(p.outline, {}, &GridPoint::y);
            return low.y < cut && cut < high.y;
        });
    }

    std::vector<Spot> spots(const building::Ring& ring, const Placement& at) const
    {
        std::vector<Spot> out;
        for (const GridPoint p : ring) out.push_back(at.at(p));
        return out;
    }

    void draw_room(std::size_t r, std::size_t storey, const Placement& at)
    {
        const auto& use = b_.rooms[r].use;
        const bool heats = use.heating_setpoint_C.has_value(), cools = use.cooling_setpoint_C.has_value();
        const auto outline = spots(b_.rooms[r].outline.outline, at);
        c_.fill(outline, heats && cools ? heated_and_cooled : heats ? heated : cools ? cooled : neither);
        if (b_.rooms[r].storey != storey) c_.hatch(outline, {{0.80, 0.80, 0.80}, 0.6}, 14.0);
    }

    /// Spots at two distances along a wall from the left end seen from outside.
    std::pair<Spot, Spot> stretch(const Surface& s, double from_m, double to_m, const Placement& at) const
    {
        const Spot a = at.at(s.plan_start), b = at.at(s.plan_end);
        const double length = std::hypot(b.x - a.x, b.y - a.y) / at.scale;
        const auto between = [&](double d) {
            return Spot{a.x + (b.x - a.x) * d / length, a.y + (b.y - a.y) * d / length};
        };
        return {between(from_m), between(to_m)};
    }

    static Pen pen_of(const Surface& s)
    {
        switch (s.beyond.kind) {
        case Neighbour::Kind::outdoors:
            return {black, 5.0};
        case Neighbour::Kind::room:
            return {black, 1.6};
        case Neighbour::Kind::ground:
            return {black, 5.0, {2, 3}};
        case Neighbour::Kind::temperature:
            return {black, 4.0, {12, 3}};
        case Neighbour::Kind::unheated:
            return {black, 4.0, {12, 3, 2, 3}};
        case Neighbour::Kind::nothing:
            return {grey, 4.0, {6, 4}};
        }
        return {};
    }

    void draw_wall(const Surface& s, const Placement& at)
    {
        for (const building::Polygon& p : s.shape) {
            const auto [left, right] = std::ranges::minmax(p.outline, {}, &GridPoint::x);
            const auto [from, to] = stretch(s, building::to_metres(left.x), building::to_metres(right.x), at);
            c_.line(from, to, pen_of(s));
        }
    }

    void draw_openings(const Surface& s, std::size_t storey, const Placement& at)
    {
        const double low = b_.storeys[storey].level_m, high = low + b_.storeys[storey].height_m;
        for (const building::Opening& o : s.openings) {
            const double foot = b_.rooms[s.room].floor_m + o.sill_m;
            if (foot >= high - 0.2 || foot + o.height_m <= low + 0.2) continue;
            for (const double left : o.from_left_m) {
                const auto [from, to] = stretch(s, left, left + o.width_m, at);
                c_.line(from, to, {{1, 1, 1}, 5.6});
                if (o.kind == building::Opening::Kind::window)
                    draw_window(from, to);
                else
                    c_.line(from, to, {black, 2.4, {4, 3}});
            }
        }
    }

    /// Three thin lines across the gap in a wall.
    void draw_window(Spot from, Spot to)
    {
        const double dx = to.x - from.x, dy = to.y - from.y, n = std::hypot(dx, dy);
        const Spot side{-dy / n * 2.4, dx / n * 2.4};
        c_.line(from, to, {black, 1.0});
        c_.outline({{from.x + side.x, from.y + side.y},
                    {to.x + side.x, to.y + side.y},
                    {to.x - side.x, to.y - side.y},
                    {from.x - side.x, from.y - side.y}},
                   {black, 0.8});
    }

    /// Largest size at which all lines fit into the room's free width around the label.
    void draw_label(std::size_t r, std::size_t storey, const Placement& at)
    {
        const building::Room& room = b_.rooms[r];
        const Spot centre = at.at(building::label_point(room.outline));
        std::vector<std::string> lines = words_of(room.name, label_width(room, at));
        const std::size_t bold = lines.size();
        if (room.storey != storey) {
            lines.emplace_back("(open below)");
        } else {
            lines.push_back(with_superscript(o_.units.text(room.floor_area_m2, "area")));
            const loads::RoomLoad& load = loads_.rooms[r];
            if (load.heated) lines.push_back("heat " + o_.units.text(load.heating_W, "power"));
            if (load.cooled) lines.push_back("cool " + o_.units.text(load.cooling_W, "power"));
            if (!load.heated && !load.cooled) lines.emplace_back("unheated");
        }
        double size = 12.0;
        for (std::size_t i = 0; i < lines.size(); ++i)
            while (size > 6.0 && c_.text_width(lines[i], size, i < bold) > label_width(room, at)) size -= 0.5;
        while (size > 6.0 && 1.25 * size * static_cast<double>(lines.size()) > label_height(room, at)) size -= 0.5;
        double y = centre.y - 0.5 * 1.25 * size * static_cast<double>(lines.size()) + size;
        for (std::size_t i = 0; i < lines.size(); ++i, y += 1.25 * size)
            c_.text({centre.x, y}, lines[i], size, i < bold);
    }

    /// Free extent through the label point inside the outline, along x or y, metres to px, less a little air.
    static double free_px(const building::Room& room, const Placement& at, bool along_x)
    {
        const GridPoint p = building::label_point(room.outline);
        std::int64_t below = INT64_MIN, above = INT64_MAX;
        const auto& ring = room.outline.outline;
        for (std::size_t i = 0; i < ring.size(); ++i) {
            const GridPoint a = ring[i], b = ring[(i + 1) % ring.size()];
            const std::int64_t a1 = along_x ? a.y : a.x, b1 = along_x ? b.y : b.x, p1 = along_x ? p.y : p.x;
            if ((a1 > p1) == (b1 > p1)) continue;
            const double share = static_cast<double>(p1 - a1) / static_cast<double>(b1 - a1);
            const std::int64_t a0 = along_x ? a.x : a.y, b0 = along_x ? b.x : b.y;
            const std::int64_t hit = a0 + std::llround(share * static_cast<double>(b0 - a0));
            const std::int64_t p0 = along_x ? p.x : p.y;
            if (hit <= p0)
                below = std::max(below, hit);
            else
                above = std::min(above, hit);
        }
        return building::to_metres(above - below) * at.scale - 12.0;
    }
    static double label_width(const building::Room& room, const Placement& at) { return free_px(room, at, true); }
    static double label_height(const building::Room& room, const Placement& at) { return free_px(room, at, false); }

    /// A name on one line, or on one line a word if it is too wide.
    std::vector<std::string> words_of(const std::string& name, double width)
    {
        if (c_.text_width(name, 11.0, true) <= width) return {name};
        std::vector<std::string> words;
        std::size_t start = 0;
        while (start <= name.size()) {
            const auto end = std::min(name.find(' ', start), name.size());
            words.push_back(name.substr(start, end - start));
            start = end + 1;
        }
        return words;
    }

    void draw_legend(double scale)
    {
        const double y = o_.height - 34;
        const std::string_view unit = o_.units.symbol("length");
        const double unit_m = std::get<double>(quantity::to_si(1.0, unit, quantity::Kind::length));
        double number = 0.5; // 0.5, 1, 2, 5, 10, 20 ... metres or feet, as long as fits
        for (const double next : {1.0, 2.0, 5.0, 10.0, 20.0, 50.0, 100.0, 200.0, 500.0})
            if (next * unit_m * scale <= longest_bar) number = next;
        const double length_m = number * unit_m;
        c_.line({margin, y}, {margin + length_m * scale, y}, {black, 3.0});
        c_.text({margin, y + 18}, fmt::format("{:g} {}", number, unit), 11, false, false);
        double x = std::max(margin + length_m * scale + 40.0, 170.0);
        const auto wall = [&](const Pen& pen, const std::string& words) {
            c_.line({x, y - 4}, {x + 34, y - 4}, pen);
            c_.text({x + 40, y}, words, 11, false, false);
            x += 40 + c_.text_width(words, 11) + 20;
        };
        wall({black, 5.0}, "to outdoors");
        wall({black, 1.6}, "between rooms");
        wall({black, 2.4, {4, 3}}, "door");
        draw_window({x, y - 4}, {x + 34, y - 4});
        c_.text({x + 40, y}, "window", 11, false, false);
        x += 40 + c_.text_width("window", 11) + 20;
        if (has(Neighbour::Kind::nothing)) wall({grey, 4.0, {6, 4}}, "no exchange");
        if (has(Neighbour::Kind::unheated)) wall({black, 4.0, {12, 3, 2, 3}}, "unheated space");
        if (has(Neighbour::Kind::temperature)) wall({black, 4.0, {12, 3}}, "stated temperature");
        const auto box = [&](Colour colour, const std::string& words) {
            const std::vector<Spot> corners = {{x, y - 12}, {x + 22, y - 12}, {x + 22, y + 2}, {x, y + 2}};
            c_.fill(corners, colour);
            c_.outline(corners, {grey, 0.8});
            c_.text({x + 28, y}, words, 11, false, false);
            x += 28 + c_.text_width(words, 11) + 20;
        };
        const auto any = [&](bool heats, bool cools) {
            return std::ranges::any_of(b_.rooms, [&](const building::Room& r) {
                return r.use.heating_setpoint_C.has_value() == heats && r.use.cooling_setpoint_C.has_value() == cools;
            });
        };
        if (any(true, false)) box(heated, "heated");
        if (any(true, true)) box(heated_and_cooled, "heated and cooled");
        if (any(false, true)) box(cooled, "cooled");
        if (any(false, false)) box(neither, "neither");
        const std::string note =
            "heat: winter design; cool: largest hour, sensible and latent; convective supply, no margins";
        c_.text({o_.width - margin - c_.text_width(note, 11), y + 20}, note, 11, false, false);
    }

    [[nodiscard]] bool has(Neighbour::Kind kind) const
    {
        return std::ranges::any_of(
            b_.surfaces, [&](const Surface& s) { return s.attitude == Attitude::wall && s.beyond.kind == kind; });
    }

    const Building& b_;
    const loads::RoomLoads& loads_;
    PlanOptions o_;
    Canvas c_;
    Extent extent_{};
};

} // namespace

std::string draw_plan(const Building& building, const loads::RoomLoads& loads, const PlanOptions& options)
{
    return PlanDrawing{building, loads, options}.run();
}

} // namespace venture::report
