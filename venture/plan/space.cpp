#include <venture/plan/space.hpp>

#include <algorithm>
#include <cmath>
#include <limits>
#include <numbers>

#include <venture/plan/plan_words.hpp>
#include <venture/quantity/names.hpp>

namespace venture::plan {

namespace {

constexpr double degree = std::numbers::pi / 180.0;

} // namespace

PlanBox box_of(const Ring& ring)
{
    PlanBox box;
    for (const GridPoint p : ring)
        box = {std::min(box.x0, to_metres(p.x)), std::min(box.y0, to_metres(p.y)), std::max(box.x1, to_metres(p.x)),
               std::max(box.y1, to_metres(p.y))};
    return box;
}

std::optional<CeilingSlope> read_slope(std::string_view text, const Ring& outline)
{
    const auto side = plan_side(take_word(text));
    const auto comma = text.find(',');
    if (!side || comma == std::string_view::npos) return std::nullopt;
    const auto eaves = length_m(text.substr(0, comma));
    std::string_view rest = text.substr(comma + 1);
    const auto angle = take_angle_deg(rest);
    if (!eaves || !angle || !quantity::trimmed(rest).empty() || !(*angle > 0.0 && *angle <= 80.0)) return std::nullopt;
    const double rise = std::tan(*angle * degree);
    const quantity::Point out = one_metre(*side);
    const PlanBox box = box_of(outline);
    const double from_x = out.x_m > 0.0 ? box.x1 : box.x0, from_y = out.y_m > 0.0 ? box.y1 : box.y0;
    CeilingSlope slope{.name = std::string{word_of(*side)} + " slope", .at_zero_m = *eaves};
    slope.by_x = -rise * out.x_m;
    slope.by_y = -rise * out.y_m;
    slope.at_zero_m -= slope.by_x * from_x + slope.by_y * from_y;
    return slope;
}

} // namespace venture::plan
