#include <venture/plan/walls.hpp>

#include <algorithm>
#include <array>
#include <cmath>
#include <map>
#include <numbers>

namespace venture::plan {

std::vector<Wall> walls_of(const Polygon& outline)
{
    std::vector<Wall> out;
    const auto add = [&](const Ring& ring) {
        for (std::size_t i = 0; i < ring.size(); ++i) out.push_back({ring[i], ring[(i + 1) % ring.size()]});
    };
    add(outline.outline);
    std::ranges::for_each(outline.holes, add);
    return out;
}

double outward_bearing_deg(GridPoint from, GridPoint to)
{
    const double dx = static_cast<double>(to.x - from.x), dy = static_cast<double>(to.y - from.y);
    const double bearing = std::atan2(dy, -dx) * 180.0 / std::numbers::pi; // normal (dy, -dx): east dy, north -dx
    return bearing < -1e-9 ? bearing + 360.0 : std::abs(bearing);
}

std::string compass_word(double bearing_deg)
{
    constexpr std::array words = {"north", "north-east", "east", "south-east",
                                  "south", "south-west", "west", "north-west"};
    const double turned = std::fmod(bearing_deg + 22.5 + 720.0, 360.0);
    return words[static_cast<std::size_t>(turned / 45.0) % 8];
}

std::vector<std::string> wall_names(const Polygon& outline)
{
    std::map<std::string, int> seen;
    std::vector<std::string> names;
    for (const auto& [a, b] : walls_of(outline)) {
        const std::string name = compass_word(outward_bearing_deg(a, b)) + " wall";
        const int nth = ++seen[name];
        names.push_back(nth == 1 ? name : name + " " + std::to_string(nth));
    }
    return names;
}

} // namespace venture::plan
