#include <venture/plan/boxes.hpp>

#include <algorithm>
#include <random>

#include <gtest/gtest.h>

namespace venture::plan {
namespace {

TEST(BoxesNearby, AreThoseThatOneFindsBySetsOfTwo)
{
    std::mt19937 random{7};
    const auto pick = [&](std::int64_t most) {
        return static_cast<std::int64_t>(random() % static_cast<unsigned>(most));
    };
    for (int round = 0; round < 30; ++round) {
        std::vector<std::optional<Box>> boxes(40);
        for (auto& box : boxes) {
            if (pick(10) == 0) continue; // has none
            const GridPoint low{pick(200), pick(round % 3 == 0 ? 2 : 200)};
            const std::int64_t floor = pick(round % 2 == 0 ? 400 : 2);
            box = Box{low, {low.x + pick(30), low.y + pick(30)}, {floor, floor + pick(20)}};
        }
        const std::int64_t gap = pick(10);
        const auto found = boxes_nearby(boxes, gap);
        for (std::size_t a = 0; a < boxes.size(); ++a)
            for (std::size_t b = 0; b < boxes.size(); ++b) {
                const auto near = [&](std::int64_t p, std::int64_t q, std::int64_t r, std::int64_t s) {
                    return p - s <= gap && r - q <= gap;
                };
                const auto &p = boxes[a], &q = boxes[b];
                const bool expected = a != b && p && q && near(p->low.x, p->high.x, q->low.x, q->high.x) &&
                                      near(p->low.y, p->high.y, q->low.y, q->high.y) &&
                                      near(p->z.low, p->z.high, q->z.low, q->z.high);
                EXPECT_EQ(std::ranges::count(found[a], b), expected ? 1 : 0) << a << " and " << b;
            }
    }
    EXPECT_TRUE(boxes_nearby({}, 3).empty());
}

} // namespace
} // namespace venture::plan
