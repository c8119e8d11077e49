#include <venture/plan/walk.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>
#include <optional>

#include <fmt/format.h>

#include <venture/plan/plan_words.hpp>
#include <venture/quantity/names.hpp>

namespace venture::plan {

using quantity::Point;
using quantity::trimmed;

namespace {

/// One side: which way it goes, anticlockwise from east, and how far.
struct Side {
    double heading_deg = 0.0, length_m = 0.0;
    bool square = true;
};

constexpr std::string_view an_example =
    "a walk is like \"east 5.2, left 3, left 2.4, right 0.8, left 2.8\": where to or how to turn, "
    "then how far";

/// @param before  the side before it, if there is one
std::variant<Side, WalkProblem> read_side(std::string_view text, const Side* before)
{
    const std::string whole{trimmed(text)};
    const auto wrong = [&](std::string what) {
        return WalkProblem{fmt::format("'{}' is no side: {}", whole.substr(0, 60), what), std::string{an_example}};
    };
    const std::string way = quantity::lower_case(take_word(text));
    Side side;
    if (const auto to = plan_side(way)) {
        const double heading = heading_deg(*to);
        side.heading_deg = heading;
        if (before != nullptr) {
            const double turn = std::abs(std::remainder(heading - before->heading_deg, 360.0));
            if (turn < 1e-9 || turn > 180.0 - 1e-9)
                return wrong(turn < 1e-9 ? "it goes on the way of the side before it; join the two"
                                         : "it goes back along the side before it");
            side.square = std::abs(turn - 90.0) < 1e-9;
        }
    } else if (way == "left" || way == "right") {
        if (before == nullptr) return wrong("the first side says where it goes: north, east, south or west");
        const double angle = take_angle_deg(text).value_or(90.0);
        if (!(angle > 0.0 && angle < 180.0)) return wrong("a turn is between 0 and 180 deg");
        side.heading_deg = before->heading_deg + (way == "left" ? angle : -angle);
        side.square = angle == 90.0;
    } else {
        return wrong("it begins with north, east, south, west, left or right");
    }
    const auto length = length_m(text);
    if (!length || *length <= 0.0)
        return wrong(fmt::format("'{}' is no length above 0", std::string{trimmed(text)}.substr(0, 40)));
    side.length_m = *length;
    return side;
}

std::variant<std::vector<Side>, WalkProblem> read_sides(std::string_view text)
{
    std::vector<Side> sides;
    while (!trimmed(text).empty()) {
        const auto comma = text.find(',');
        auto side = read_side(text.substr(0, comma), sides.empty() ? nullptr : &sides.back());
        if (const auto* problem = std::get_if<WalkProblem>(&side)) return *problem;
        sides.push_back(std::get<Side>(side));
        text.remove_prefix(comma == std::string_view::npos ? text.size() : comma + 1);
    }
    if (sides.size() < 2)
        return WalkProblem{"a walk round a room has at least two sides before it closes", std::string{an_example}};
    return sides;
}

Point step(const Side& side)
{
    const double turns = side.heading_deg / 90.0;
    // right angles exactly: no cosine of 90 degrees that is not nil
    if (turns == std::floor(turns)) {
        constexpr double east[] = {1.0, 0.0, -1.0, 0.0}, north[] = {0.0, 1.0, 0.0, -1.0};
        const auto quarter = static_cast<std::size_t>(std::lround(turns - 4.0 * std::floor(turns / 4.0))) % 4;
        return {side.length_m * east[quarter], side.length_m * north[quarter]};
    }
    const double rad = side.heading_deg * std::numbers::pi / 180.0;
    return {side.length_m * std::cos(rad), side.length_m * std::sin(rad)};
}

/// Shares out what the end missed, each way in proportion to how far a side goes that way.
void share_out(std::vector<Point>& steps, Point miss)
{
    double east = 0.0, north = 0.0;
    for (const Point p : steps) {
        east += std::abs(p.x_m);
        north += std::abs(p.y_m);
    }
    for (Point& p : steps) {
        if (east > 0.0) p.x_m -= miss.x_m * std::abs(p.x_m) / east;
        if (north > 0.0) p.y_m -= miss.y_m * std::abs(p.y_m) / north;
    }
}

} // namespace

std::variant<Walk, WalkProblem> read_walk(std::string_view text)
{
    auto read = read_sides(text);
    if (const auto* problem = std::get_if<WalkProblem>(&read)) return *problem;
    const auto& sides = std::get<std::vector<Side>>(read);
    Walk out;
    std::vector<Point> steps;
    Point end{};
    for (const Side& side : sides) {
        steps.push_back(step(side));
        end.x_m += steps.back().x_m;
        end.y_m += steps.back().y_m;
        out.square = out.square && side.square;
    }
    const double gap = std::hypot(end.x_m, end.y_m), aside = std::min(std::abs(end.x_m), std::abs(end.y_m));
    const bool closes = gap <= walk_closes_within_m;
    const bool leaves_out_a_square_side = !closes && out.square && aside <= walk_closes_within_m;
    if (closes) {
        share_out(steps, end);
        out.missed_m = gap;
    } else {
        if (leaves_out_a_square_side) {
            share_out(steps, std::abs(end.x_m) < std::abs(end.y_m) ? Point{end.x_m, 0.0} : Point{0.0, end.y_m});
            out.missed_m = aside;
        }
        out.closing_side_m = gap;
        out.closes_square = leaves_out_a_square_side;
    }
    Point at{};
    out.corners_m.push_back(at);
    for (std::size_t i = 0; i + (closes ? 1 : 0) < steps.size(); ++i) {
        at = {at.x_m + steps[i].x_m, at.y_m + steps[i].y_m};
        out.corners_m.push_back(at);
    }
    return out;
}

} // namespace venture::plan
