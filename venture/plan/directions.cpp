#include <venture/plan/directions.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace venture::plan {

namespace {

constexpr double degree = std::numbers::pi / 180.0;

} // namespace

Spot operator-(const Spot& a, const Spot& b) { return {a[0] - b[0], a[1] - b[1], a[2] - b[2]}; }
double dot(const Spot& a, const Spot& b) { return a[0] * b[0] + a[1] * b[1] + a[2] * b[2]; }
Spot cross(const Spot& a, const Spot& b)
{
    return {a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]};
}
double length(const Spot& a) { return std::sqrt(dot(a, a)); }

Spot area_vector(const Corners& corners)
{
    Spot sum{};
    for (std::size_t i = 1; i + 1 < corners.size(); ++i) {
        const Spot part = cross(corners[i] - corners[0], corners[i + 1] - corners[0]);
        for (std::size_t k = 0; k < 3; ++k) sum[k] += part[k];
    }
    return sum;
}

Spot unit(const Spot& a)
{
    const double l = length(a);
    return {a[0] / l, a[1] / l, a[2] / l};
}

Spot middle(const Corners& corners)
{
    Spot sum{};
    for (const Spot& c : corners)
        for (std::size_t k = 0; k < 3; ++k) sum[k] += c[k] / static_cast<double>(corners.size());
    return sum;
}

double tilt_deg(const Spot& normal)
{
    constexpr double as_good_as = 1e-3; // of a radian
    if (std::hypot(normal[0], normal[1]) < as_good_as) return normal[2] > 0.0 ? 0.0 : 180.0;
    if (std::abs(normal[2]) < as_good_as) return 90.0;
    return std::acos(std::clamp(normal[2], -1.0, 1.0)) / degree;
}

Attitude attitude_of(double tilt)
{
    constexpr double steep = 60.0;
    if (tilt <= steep) return Attitude::ceiling;
    return tilt < 180.0 - steep ? Attitude::wall : Attitude::floor;
}

double bearing_deg(const Spot& normal) { return std::fmod(std::atan2(normal[0], normal[1]) / degree + 720.0, 360.0); }

Ring in_own_plane(const Corners& corners)
{
    const Spot normal = unit(area_vector(corners));
    const double flat = std::hypot(normal[0], normal[1]);
    const Spot along = flat > 0.0 ? Spot{-normal[1] / flat, normal[0] / flat, 0.0} : Spot{1.0, 0.0, 0.0},
               up = cross(normal, along);
    Ring ring;
    for (const Spot& c : corners) {
        const Spot from = c - corners.front();
        ring.push_back({to_grid(dot(from, along)), to_grid(dot(from, up))});
    }
    return ring;
}

} // namespace venture::plan
