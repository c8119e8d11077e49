#include <venture/plan/boxes.hpp>

#include <algorithm>
#include <array>

namespace venture::plan {

namespace {

using Sides = std::array<Extent, 3>;

Sides sides_of(const Box& box) { return {Extent{box.low.x, box.high.x}, Extent{box.low.y, box.high.y}, box.z}; }

bool apart(const Extent& a, const Extent& b, std::int64_t gap) { return a.low - b.high > gap || b.low - a.high > gap; }

/// The axis along which the boxes are shortest beside the stretch that they take up together.
std::size_t longest_axis(const std::vector<Sides>& all)
{
    std::size_t best = 0;
    double most = 0.0;
    for (std::size_t axis = 0; axis < 3; ++axis) {
        double sum = 0.0;
        std::int64_t low = all.front()[axis].low, high = all.front()[axis].high;
        for (const Sides& s : all) {
            sum += static_cast<double>(s[axis].high - s[axis].low) + 1.0;
            low = std::min(low, s[axis].low);
            high = std::max(high, s[axis].high);
        }
        const double stretch = static_cast<double>(high - low) / sum;
        if (stretch <= most) continue;
        most = stretch;
        best = axis;
    }
    return best;
}

} // namespace

Box box_round(const Ring& ring, Extent z)
{
    Box box{ring.front(), ring.front(), z};
    for (const GridPoint p : ring) {
        box.low = {std::min(box.low.x, p.x), std::min(box.low.y, p.y)};
        box.high = {std::max(box.high.x, p.x), std::max(box.high.y, p.y)};
    }
    return box;
}

std::vector<std::vector<std::size_t>> boxes_nearby(const std::vector<std::optional<Box>>& boxes, std::int64_t gap)
{
    std::vector<std::vector<std::size_t>> nearby(boxes.size());
    std::vector<std::size_t> index;
    std::vector<Sides> sides;
    for (std::size_t i = 0; i < boxes.size(); ++i)
        if (boxes[i]) {
            index.push_back(i);
            sides.push_back(sides_of(*boxes[i]));
        }
    if (index.empty()) return nearby;
    const std::size_t along = longest_axis(sides);
    std::vector<std::size_t> order(index.size());
    for (std::size_t i = 0; i < order.size(); ++i) order[i] = i;
    std::ranges::sort(order, {}, [&](std::size_t i) { return sides[i][along].low; });
    for (std::size_t i = 0; i < order.size(); ++i)
        for (std::size_t j = i + 1; j < order.size(); ++j) {
            const Sides &p = sides[order[i]], &q = sides[order[j]];
            if (q[along].low - p[along].high > gap) break;
            if (apart(p[0], q[0], gap) || apart(p[1], q[1], gap) || apart(p[2], q[2], gap)) continue;
            nearby[index[order[i]]].push_back(index[order[j]]);
            nearby[index[order[j]]].push_back(index[order[i]]);
        }
    for (auto& others : nearby) std::ranges::sort(others);
    return nearby;
}

} // namespace venture::plan
