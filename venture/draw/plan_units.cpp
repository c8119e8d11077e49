/// Units on the plan, where they stand.

#include <algorithm>
#include <cmath>

#include <venture/draw/plan_sheet.hpp>

namespace venture::draw {

using namespace plan_look; // NOLINT(google-build-using-namespace): what plans look like

void PlanSheet::draw_unit(const PlanUnit& unit, std::size_t storey, const Placement& at)
{
    if (b_.rooms[unit.room].storey != storey) return;
    const Surface& s = b_.surfaces[unit.surface];
    const auto [from, to] =
        stretch(s, unit.middle_m - 0.5 * unit.length_m, unit.middle_m + 0.5 * unit.length_m, storey, at);
    const double dx = to.x - from.x, dy = to.y - from.y, n = std::hypot(dx, dy);
    // Outwards of the room that the wall is of; who stands behind it sees the other side.
    const double side = unit.room == s.room ? -1.0 : 1.0;
    const Spot into{side * -dy / n, side * dx / n};
    constexpr double wall_px = 4.0, least_px = 3.5;
    const double depth = wall_px + std::max(least_px, unit.depth_m * at.scale);
    const auto off = [&](Spot spot, double by) { return Spot{spot.x + into.x * by, spot.y + into.y * by}; };
    const std::vector<Spot> body = {off(from, wall_px), off(to, wall_px), off(to, depth), off(from, depth)};
    c_.fill(body, {1, 1, 1});
    c_.outline(body, {black, 1.1});
    draw_tag(unit, {off({0.5 * (from.x + to.x), 0.5 * (from.y + to.y)}, depth), from, to, into}, storey, at);
}

namespace {

constexpr double tag_size = 7.5;

/// What may be said where there is no room for more: "RAD-0-07", else "07".
std::string number_in(const std::string& tag)
{
    const auto at = tag.find_last_not_of("0123456789");
    return at == std::string::npos || at + 1 == tag.size() ? tag : tag.substr(at + 1);
}

} // namespace

/// Where it hides nothing, as far as there is such a place; where there is none, its number alone.
void PlanSheet::draw_tag(const PlanUnit& unit, const DrawnBody& body, std::size_t storey, const Placement& at)
{
    constexpr double visible = 1.0; // of what it would hide, in square pixels
    auto [hides, middle] = place_for(unit.tag, unit.room, body, storey, at);
    std::string said = unit.tag;
    if (hides > visible && number_in(unit.tag) != unit.tag) {
        const auto shorter = place_for(number_in(unit.tag), unit.room, body, storey, at);
        if (shorter.first < hides) {
            middle = shorter.second;
            said = number_in(unit.tag);
            numbers_alone_ = true;
        }
    }
    tags_.push_back(tag_box(said, storey, middle));
    c_.text({middle.x, middle.y + 0.36 * tag_size}, said, tag_size);
}

PlanSheet::TextBox PlanSheet::tag_box(const std::string& tag, std::size_t storey, Spot middle)
{
    const double half = 0.5 * c_.text_width(tag, tag_size);
    return {storey, middle.x - half, middle.y - 0.5 * tag_size, middle.x + half, middle.y + 0.5 * tag_size};
}

/// Beside the body's middle, or over and under a body that stands along a wall that runs down the sheet.
std::pair<double, Spot> PlanSheet::place_for(const std::string& tag, std::size_t room, const DrawnBody& body,
                                             std::size_t storey, const Placement& at)
{
    constexpr double gap = 2.5, wall_px = 4.0;
    const double half = 0.5 * c_.text_width(tag, tag_size),
                 half_length = 0.5 * std::hypot(body.to.x - body.from.x, body.to.y - body.from.y);
    const bool down = std::abs(body.into.x) > std::abs(body.into.y);
    const double clear = gap + (down ? half : 0.5 * tag_size);
    const Spot beside{body.front.x + body.into.x * clear, body.front.y + body.into.y * clear};
    std::vector<Spot> places;
    if (down) {
        const double x = 0.5 * (body.from.x + body.to.x) + std::copysign(wall_px + half, body.into.x);
        const auto [upper, lower] = std::minmax(body.from.y, body.to.y);
        constexpr int steps = 5; // away from it, where a room's name stands beside it
        for (int i = 0; i < steps; ++i) {
            const double away = 0.5 * tag_size + gap + i * tag_size;
            places.insert(places.end(), {{x, upper - away}, {x, lower + away}});
            if (i == 0) places.push_back(beside);
        }
    } else {
        places = {beside, {beside.x - half_length - half, beside.y}, {beside.x + half_length + half, beside.y}};
    }
    const auto hides = [&](Spot middle) {
        const TextBox box = tag_box(tag, storey, middle);
        constexpr double outside = 1e4; // worse than any word
        double out = is_inside(box, room, at) ? 0.0 : outside;
        out += box.shared_with(name_box(room, storey, at));
        for (const TextBox& other : tags_) out += box.shared_with(other);
        return out;
    };
    const Spot best = *std::ranges::min_element(places, {}, hides);
    return {hides(best), best};
}

/// Within what the room reaches over.
bool PlanSheet::is_inside(const TextBox& box, std::size_t r, const Placement& at) const
{
    const plan::PlanBox room = plan::box_of(b_.rooms[r].outline.outline);
    const Spot low = at.at(room.x0, room.y1), high = at.at(room.x1, room.y0);
    return box.left > low.x && box.right < high.x && box.top > low.y && box.bottom < high.y;
}

/// What a room's name and its lines take, nearly.
PlanSheet::TextBox PlanSheet::name_box(std::size_t r, std::size_t storey, const Placement& at)
{
    constexpr double line_px = 15.0, name_size = 12.0;
    const Spot middle = at.at(plan::label_point(b_.rooms[r].outline));
    const double half_width = 0.5 * c_.text_width(b_.rooms[r].name, name_size, true);
    std::size_t lines = 1 + label_lines(b_, loads_, r, o_).size();
    const double half_height = 0.5 * line_px * static_cast<double>(lines);
    return {storey, middle.x - half_width, middle.y - half_height, middle.x + half_width, middle.y + half_height};
}

} // namespace venture::draw
