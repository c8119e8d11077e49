#include <venture/input/rings.hpp>

#include <algorithm>

namespace venture::input {

std::vector<std::vector<std::size_t>> rings_of(const std::vector<std::optional<std::size_t>>& next)
{
    std::vector<std::vector<std::size_t>> rings;
    std::vector<std::size_t> walk_of(next.size(), next.size()); // by which walk each was reached first
    for (std::size_t start = 0; start < next.size(); ++start) {
        std::optional<std::size_t> at = start;
        while (at && walk_of[*at] == next.size()) {
            walk_of[*at] = start;
            at = next[*at];
        }
        if (!at || walk_of[*at] != start) continue; // it ends, or on what an earlier walk has seen
        std::vector<std::size_t> ring{*at};
        for (std::size_t one = *next[*at]; one != *at; one = *next[one]) ring.push_back(one);
        std::ranges::rotate(ring, std::ranges::min_element(ring));
        rings.push_back(std::move(ring));
    }
    std::ranges::sort(rings, {}, [](const std::vector<std::size_t>& ring) { return ring.front(); });
    return rings;
}

} // namespace venture::input
