#include <venture/draw/plan_sheet.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

#include <fmt/format.h>

namespace venture::draw {

using building::Attitude;
using namespace plan_look; // NOLINT(google-build-using-namespace): colours and measures of this one drawing

PlanSheet::PlanSheet(const Building& b, const loads::RoomLoads& loads, const PlanOptions& o)
    : b_{b},
      loads_{loads},
      o_{o},
      c_{o.picture, o.width, o.height},
      colours_{b, loads, o}
{
    for (std::size_t s = 0; s < b.storeys.size(); ++s)
        if (!o.storey || *o.storey == s) storeys_.push_back(s);
    for (std::size_t r = 0; r < b.rooms.size(); ++r)
        if (b.rooms[r].on_plan) order_.push_back(r);
    std::ranges::stable_sort(order_, std::ranges::greater{},
                             [&](std::size_t r) { // a room within another comes later
                                 return plan::area_m2(b.rooms[r].outline.outline);
                             });
}

std::string PlanSheet::run()
{
    for (const std::size_t r : order_) take_in(b_.rooms[r].outline.outline);
    if (order_.empty()) extent_ = {0.0, 0.0, 1.0, 1.0};
    const double reach = 0.25 * std::max(extent_.x1 - extent_.x0, extent_.y1 - extent_.y0);
    const Extent rooms = extent_;
    for (const building::Obstruction& o : b_.obstructions) take_in(o.outline);
    extent_ = {std::max(extent_.x0, rooms.x0 - reach), std::max(extent_.y0, rooms.y0 - reach),
               std::min(extent_.x1, rooms.x1 + reach), std::min(extent_.y1, rooms.y1 + reach)};
    draw_title();
    const auto places = placements();
    for (std::size_t s = 0; s < storeys_.size(); ++s) draw_storey(storeys_[s], places[s]);
    draw_side();
    draw_legend(places.front().scale);
    return c_.finish();
}

void PlanSheet::take_in(const plan::Ring& ring)
{
    for (const GridPoint p : ring) {
        const double x = plan::to_metres(p.x), y = plan::to_metres(p.y);
        extent_ = {std::min(extent_.x0, x), std::min(extent_.y0, y), std::max(extent_.x1, x), std::max(extent_.y1, y)};
    }
}

double PlanSheet::side_width() const { return o_.marks.empty() ? 0.0 : 250.0; }

std::vector<Placement> PlanSheet::placements() const
{
    const double w = extent_.x1 - extent_.x0, h = extent_.y1 - extent_.y0;
    const double sheet_w = o_.width - 2 * margin - side_width(),
                 sheet_h = o_.height - title_height - legend_height - margin;
    const std::size_t n = std::max<std::size_t>(1, storeys_.size());
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

void PlanSheet::draw_storey(std::size_t storey, const Placement& at)
{
    c_.text({at.left, at.top - 9},
            fmt::format("{} storey, level {}", b_.storeys[storey].name,
                        o_.units.text(b_.storeys[storey].level_m, "length")),
            13, true, false);
    if (o_.paper) {
        const Spot to[2] = {at.at(o_.paper->lies[0].x_m, o_.paper->lies[0].y_m),
                            at.at(o_.paper->lies[1].x_m, o_.paper->lies[1].y_m)};
        constexpr double round_px = 14.0;
        const Spot low = at.at(extent_.x0, extent_.y1), high = at.at(extent_.x1, extent_.y0);
        c_.underlay(o_.paper->png, o_.paper->seen, to, {low.x - round_px, low.y - 0.5 * round_px},
                    {high.x + round_px, high.y + round_px});
    }
    for (const building::Obstruction& o : b_.obstructions) draw_obstruction(o, storey, at);
    for (const std::size_t r : order_)
        if (stands_on(r, storey)) draw_room(r, storey, at);
    for (const Surface& s : b_.surfaces)
        if (is_drawn(s) && reaches(s, storey)) draw_wall(s, storey, at);
    for (const Surface& s : b_.surfaces)
        if (is_drawn(s)) draw_openings(s, storey, at);
    for (const building::OpenBoundary& open : b_.open_boundaries)
        if (stands_on(open.first, storey)) c_.line(at.at(open.from), at.at(open.to), {grey, 1.2, {7, 5}});
    for (const PlanUnit& unit : o_.units_placed) draw_unit(unit, storey, at);
    draw_older(storey, at);
    for (const std::size_t r : order_)
        if (stands_on(r, storey)) draw_label(r, storey, at);
    for (std::size_t m = 0; m < o_.marks.size(); ++m) draw_mark(m, storey, at);
}

bool PlanSheet::is_drawn(const Surface& s) const { return s.attitude == Attitude::wall && b_.rooms[s.room].on_plan; }

void PlanSheet::draw_obstruction(const building::Obstruction& o, std::size_t storey, const Placement& at)
{
    const double cut = b_.storeys[storey].level_m + 1.0;
    if (o.top_m <= cut && storey != storeys_.front()) return;
    const plan::Polygon sheet = plan::rectangle(plan::to_grid(extent_.x0), plan::to_grid(extent_.y0),
                                                plan::to_grid(extent_.x1), plan::to_grid(extent_.y1));
    for (const plan::Polygon& p : plan::intersection({{o.outline, {}}}, {sheet})) {
        const auto outline = spots(p.outline, at);
        c_.hatch(outline, {o.solid() ? grey : tree_green, 0.7}, o.solid() ? 7.0 : 11.0);
        c_.outline(outline, {o.solid() ? grey : tree_green, 1.2, {5, 3}});
        const Spot middle = at.at(plan::label_point(p));
        const auto [low, high] = std::ranges::minmax(outline, {}, &Spot::x);
        if (c_.text_width(o.name, 10) < high.x - low.x - 6.0) c_.text({middle.x, middle.y + 4}, o.name, 10);
    }
}

void PlanSheet::draw_older(std::size_t storey, const Placement& at)
{
    if (o_.older.building == nullptr) return;
    const building::Building& was = *o_.older.building;
    const double cut = b_.storeys[storey].level_m + 1.0;
    for (const building::Room& room : was.rooms) {
        if (!room.on_plan || !(room.floor_m < cut && cut < room.floor_m + room.height_m)) continue;
        const auto now = b_.find_room(room.name);
        if (now && b_.rooms[*now].outline == room.outline) continue;
        c_.outline(spots(room.outline.outline, at), {moved_red, 2.0, {8, 4}});
        if (now) continue;
        const Spot middle = at.at(plan::label_point(room.outline));
        c_.text({middle.x, middle.y - 16}, "was " + room.name, 10, true);
    }
}

bool PlanSheet::stands_on(std::size_t r, std::size_t storey) const
{
    const double cut = b_.storeys[storey].level_m + 1.0;
    return b_.rooms[r].floor_m < cut && cut < b_.rooms[r].floor_m + b_.rooms[r].height_m;
}

/// Of a place in a wall's own plane, above the project's zero.
double PlanSheet::height_m(const Surface& s, double up_m)
{
    return s.is_upright() ? up_m : s.start_m + up_m * std::sin(s.tilt_deg * std::numbers::pi / 180.0);
}

bool PlanSheet::reaches(const Surface& s, std::size_t storey) const
{
    const double cut = b_.storeys[storey].level_m + 1.0;
    const building::Room& room = b_.rooms[s.room];
    const bool slopes = (!room.slopes.empty() || !room.faces.empty()) && room.storey == storey;
    return std::ranges::any_of(s.shape, [&](const plan::Polygon& p) {
        const auto [low, high] = std::ranges::minmax(p.outline, {}, &GridPoint::y);
        return height_m(s, plan::to_metres(low.y)) < cut &&
               (cut < height_m(s, plan::to_metres(high.y)) || slopes); // eaves may be lower than the cut
    });
}

std::vector<Spot> PlanSheet::spots(const plan::Ring& ring, const Placement& at) const
{
    std::vector<Spot> out;
    for (const GridPoint p : ring) out.push_back(at.at(p));
    return out;
}

void PlanSheet::draw_room(std::size_t r, std::size_t storey, const Placement& at)
{
    const auto outline = spots(b_.rooms[r].outline.outline, at);
    c_.fill(outline, colours_.of(r), o_.paper ? 0.45 : 1.0);
    if (!b_.rooms[r].slopes.empty() || !b_.rooms[r].faces.empty()) // where no wall may stand
        c_.outline(outline, {grey, 0.8});
    if (b_.rooms[r].storey != storey) c_.hatch(outline, {{0.80, 0.80, 0.80}, 0.6}, 14.0);
}

std::pair<Spot, Spot> PlanSheet::stretch(const Surface& s, double from_m, double to_m, std::size_t storey,
                                         const Placement& at) const
{
    const Spot a = at.at(s.plan_start), b = at.at(s.plan_end);
    const double length = std::hypot(b.x - a.x, b.y - a.y) / at.scale;
    double out_m = 0.0; // of its foot, where a leaning wall is cut
    if (!s.is_upright()) {
        const double cut = b_.storeys[storey].level_m + 1.0;
        out_m = -std::max(0.0, cut - s.start_m) / std::tan(s.tilt_deg * std::numbers::pi / 180.0);
    }
    const auto between = [&](double d) { // outwards is to the right of the way along, which the sheet shows upside down
        return Spot{a.x + ((b.x - a.x) * d - (b.y - a.y) * out_m) / length,
                    a.y + ((b.y - a.y) * d + (b.x - a.x) * out_m) / length};
    };
    return {between(from_m), between(to_m)};
}

Pen PlanSheet::pen_of(const Surface& s)
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

/// What of a wall stands where the storey is cut; all of it where it ends below.
plan::Polygons PlanSheet::at_cut(const Surface& s, std::size_t storey) const
{
    constexpr std::int64_t thin = 1000; // a millimetre
    const double rise = height_m(s, 1.0) - height_m(s, 0.0), cut_m = b_.storeys[storey].level_m + 1.0;
    const std::int64_t cut = plan::to_grid((cut_m - height_m(s, 0.0)) / rise);
    plan::Polygons out;
    for (const plan::Polygon& p : s.shape) {
        const auto [left, right] = std::ranges::minmax(p.outline, {}, &GridPoint::x);
        const plan::Polygons parts = plan::intersection({p}, {plan::rectangle(left.x, cut, right.x, cut + thin)});
        if (parts.empty() && std::ranges::max(p.outline, {}, &GridPoint::y).y <= cut)
            out.push_back(p);
        else
            out.insert(out.end(), parts.begin(), parts.end());
    }
    return out;
}

void PlanSheet::draw_wall(const Surface& s, std::size_t storey, const Placement& at)
{
    for (const plan::Polygon& p : at_cut(s, storey)) {
        const auto [left, right] = std::ranges::minmax(p.outline, {}, &GridPoint::x);
        const auto [from, to] = stretch(s, plan::to_metres(left.x), plan::to_metres(right.x), storey, at);
        c_.line(from, to, pen_of(s));
    }
}

void PlanSheet::draw_openings(const Surface& s, std::size_t storey, const Placement& at)
{
    const double low = b_.storeys[storey].level_m, high = low + b_.storeys[storey].height_m;
    for (const building::Opening& o : s.openings) {
        const double sill_m = building::foot_of_sills_m(b_, s) + o.sill_m, foot = height_m(s, sill_m);
        if (foot >= high - 0.2 || height_m(s, sill_m + o.height_m) <= low + 0.2) continue;
        for (const double left : o.from_left_m) {
            const auto [from, to] = stretch(s, left, left + o.width_m, storey, at);
            c_.line(from, to, {{1, 1, 1}, 5.6});
            if (o.kind == building::Opening::Kind::window)
                draw_window(from, to);
            else if (o.kind == building::Opening::Kind::open)
                c_.line(from, to, {grey, 1.2, {7, 5}});
            else
                c_.line(from, to, {black, 2.4, {4, 3}});
        }
    }
}

void PlanSheet::draw_window(Spot from, Spot to)
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

} // namespace venture::draw

namespace venture::draw {

std::string draw_plan(const building::Building& building, const loads::RoomLoads& loads, const PlanOptions& options)
{
    return PlanSheet{building, loads, options}.run();
}

} // namespace venture::draw
