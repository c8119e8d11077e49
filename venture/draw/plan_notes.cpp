/// What is written on a plan: title, labels, marks, legend.

#include <venture/draw/plan_sheet.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

#include <fmt/format.h>

namespace venture::draw {

using namespace plan_look; // NOLINT(google-build-using-namespace): colours and measures of this one drawing

void PlanSheet::draw_title()
{
    c_.text({margin, 30}, b_.project.name, 18, true, false);
    std::string line = "Plan with design loads of rooms";
    if (!b_.project.number.empty()) line += ", job " + b_.project.number;
    if (!b_.project.revision.empty()) line += ", revision " + b_.project.revision;
    if (o_.older.building != nullptr) {
        const std::string& revision = o_.older.building->project.revision;
        line += ", against " + (revision.empty() ? "an older version" : "revision " + revision);
    }
    c_.text({margin, 50}, line + ": " + totals_line(b_, loads_, o_.units), 12, false, false);
    draw_north({o_.width - margin - 28, 46});
}

void PlanSheet::draw_north(Spot centre)
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

void PlanSheet::draw_mark(std::size_t m, std::size_t storey, const Placement& at)
{
    const auto room = b_.find_room(o_.marks[m].room);
    if (!room || !b_.rooms[*room].on_plan || b_.rooms[*room].storey != storey) return;
    std::size_t before = 0; // in the same room: side by side
    for (std::size_t k = 0; k < m; ++k) before += o_.marks[k].room == o_.marks[m].room ? 1U : 0U;
    const auto corners = spots(b_.rooms[*room].outline.outline, at);
    const Spot corner = *std::ranges::min_element(corners, {}, [](Spot s) { return s.x + s.y; });
    draw_number({corner.x + 13.0 + 20.0 * static_cast<double>(before), corner.y + 13.0}, m + 1);
}

void PlanSheet::draw_number(Spot middle, std::size_t number)
{
    std::vector<Spot> ring;
    for (int k = 0; k < 24; ++k)
        ring.push_back({middle.x + 9.0 * std::cos(0.2618 * k), middle.y + 9.0 * std::sin(0.2618 * k)});
    c_.fill(ring, {1.0, 1.0, 1.0});
    c_.outline(ring, {moved_red, 1.8});
    c_.text({middle.x, middle.y + 4.0}, std::to_string(number), 11, true);
}

void PlanSheet::draw_side()
{
    const double left = o_.width - side_width();
    double y = title_height + storey_title + 20.0;
    for (std::size_t m = 0; m < o_.marks.size() && y < o_.height - legend_height - 30.0; ++m) {
        draw_number({left + 12.0, y - 4.0}, m + 1);
        for (const std::string& line : wrapped(o_.marks[m].says, side_width() - 44.0, 10.5, false)) {
            if (y > o_.height - legend_height) break;
            c_.text({left + 28.0, y}, line, 10.5, false, false);
            y += 14.0;
        }
        y += 8.0;
    }
}

std::vector<std::string> PlanSheet::wrapped(const std::string& text, double width, double size, bool bold)
{
    std::vector<std::string> lines = {""};
    for (std::size_t at = 0; at < text.size();) {
        const auto end = std::min(text.find(' ', at), text.size());
        const std::string word = text.substr(at, end - at);
        if (!lines.back().empty() && c_.text_width(lines.back() + " " + word, size, bold) > width) lines.emplace_back();
        lines.back() += (lines.back().empty() ? "" : " ") + word;
        at = end + 1;
    }
    return lines;
}

void PlanSheet::draw_label(std::size_t r, std::size_t storey, const Placement& at)
{
    constexpr double largest = 12.0, smallest = 7.0, leading = 1.25;
    const building::Room& room = b_.rooms[r];
    const Spot centre = at.at(plan::label_point(room.outline));
    const double width = label_width(room, at), height = label_height(room, at);
    const bool named = std::ranges::find(o_.labels, PlanLabel::name) != o_.labels.end();
    std::vector<std::string> lines = named ? words_of(room.name, width) : std::vector<std::string>{};
    const std::size_t bold = lines.size();
    if (room.storey != storey)
        lines.emplace_back("(open below)");
    else
        for (std::string& line : label_lines(b_, loads_, r, o_)) lines.push_back(std::move(line));
    const auto fits = [&](double size, std::size_t count) {
        if (leading * size * static_cast<double>(count) > height) return false;
        for (std::size_t i = 0; i < count; ++i)
            if (c_.text_width(lines[i], size, i < bold) > width) return false;
        return true;
    };
    std::size_t count = lines.size();
    double size = largest;
    while (size > smallest && !fits(size, count)) size -= 0.5;
    while (count > 0 && !fits(size, count)) --count;
    if (count < bold) count = 0; // half a name is none
    double y = centre.y - 0.5 * leading * size * static_cast<double>(count) + size;
    for (std::size_t i = 0; i < count; ++i, y += leading * size) c_.text({centre.x, y}, lines[i], size, i < bold);
    if (count == 0 && named && fits_number(r, width, height))
        c_.text({centre.x, centre.y + 3.0}, number_of(r), smallest);
}

std::string PlanSheet::number_of(std::size_t r) const { return "(" + std::to_string(r + 1) + ")"; }

bool PlanSheet::fits_number(std::size_t r, double width, double height)
{
    constexpr double size = 7.0;
    if (c_.text_width(number_of(r), size) > width + 8.0 || size > height + 8.0) return false;
    numbered_.push_back(r);
    return true;
}

double PlanSheet::free_px(const building::Room& room, const Placement& at, bool along_x)
{
    const GridPoint p = plan::label_point(room.outline);
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
    return plan::to_metres(above - below) * at.scale - 12.0;
}

double PlanSheet::label_width(const building::Room& room, const Placement& at) { return free_px(room, at, true); }

double PlanSheet::label_height(const building::Room& room, const Placement& at) { return free_px(room, at, false); }

std::vector<std::string> PlanSheet::words_of(const std::string& name, double width)
{
    if (c_.text_width(name, 11.0, true) <= width) return {name};
    return wrapped(name, width, 9.0, true);
}

void PlanSheet::draw_legend(double scale)
{
    constexpr double longest_bar = 130.0;
    const double y = o_.height - 54;
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
    if (!o_.units_placed.empty()) {
        c_.outline({{x, y - 7}, {x + 34, y - 7}, {x + 34, y - 1}, {x, y - 1}}, {black, 1.1});
        const std::string words = numbers_alone_ ? "unit, with its tag or the number of it" : "unit, with its tag";
        c_.text({x + 40, y}, words, 11, false, false);
        x += 40 + c_.text_width(words, 11) + 20;
    }
    if (has(Neighbour::Kind::ground)) wall({black, 5.0, {2, 3}}, "to the ground");
    if (has(Neighbour::Kind::nothing)) wall({grey, 4.0, {6, 4}}, "no exchange");
    const bool open = std::ranges::any_of(b_.surfaces, [](const Surface& s) {
        return std::ranges::find(s.openings, building::Opening::Kind::open, &building::Opening::kind) !=
               s.openings.end();
    });
    if (open || !b_.open_boundaries.empty()) wall({grey, 1.2, {7, 5}}, "open boundary");
    if (has(Neighbour::Kind::unheated)) wall({black, 4.0, {12, 3, 2, 3}}, "unheated space");
    if (has(Neighbour::Kind::temperature)) wall({black, 4.0, {12, 3}}, "stated temperature");
    if (o_.older.building != nullptr) wall({moved_red, 2.0, {8, 4}}, "where a room was");
    x = margin;
    const double below = y + 38.0;
    constexpr const char* per_m2[] = {
        "", "", "heating for the floor area:", "cooling for the floor area:", "outdoor air for the floor area:"};
    if (const std::string_view what =
            o_.figure ? std::string_view{o_.figure->words} : per_m2[static_cast<std::size_t>(o_.fill)];
        !what.empty()) {
        c_.text({x, below}, std::string{what}, 11, false, false);
        x += c_.text_width(std::string{what}, 11) + 14;
    }
    for (const PlanKey& key : colours_.keys()) {
        const std::vector<Spot> corners = {{x, below - 12}, {x + 22, below - 12}, {x + 22, below + 2}, {x, below + 2}};
        c_.fill(corners, key.colour);
        c_.outline(corners, {grey, 0.8});
        c_.text({x + 28, below}, key.words, 11, false, false);
        x += 28 + c_.text_width(key.words, 11) + 20;
    }
    std::string numbers;
    for (const std::size_t r : numbered_)
        numbers += (numbers.empty() ? "" : "   ") + number_of(r) + " " + b_.rooms[r].name;
    if (!numbers.empty()) c_.text({margin, y - 16}, numbers, 8, false, false);
    const std::string note = fmt::format(
        "heat: winter design; cool: largest hour, sensible and latent; {} supply, no margins",
        std::ranges::any_of(b_.rooms, [](const building::Room& r) { return r.use.radiant_share.value > 0.0; })
            ? "stated"
            : "convective");
    c_.text({o_.width - margin - c_.text_width(note, 10), y + 18}, note, 10, false, false);
}

bool PlanSheet::has(Neighbour::Kind kind) const
{
    return std::ranges::any_of(b_.surfaces, [&](const Surface& s) { return is_drawn(s) && s.beyond.kind == kind; });
}

} // namespace venture::draw
