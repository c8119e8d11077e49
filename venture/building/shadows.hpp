#pragma once
/// Shadows that plane faces cast on a surface, exact: projected along the sun, united, cut out on the integer grid.

#include <span>
#include <vector>

#include <venture/building/polygon.hpp>
#include <venture/climate/sun.hpp>

namespace venture::building {

/// A point seen from a surface, m: along it to the right as seen from outside, up its slope, out of it.
struct PointBefore {
    double right_m = 0.0, up_m = 0.0, out_m = 0.0;
    friend bool operator==(const PointBefore&, const PointBefore&) = default;
};
/// A plane face that casts a shadow, corner by corner; it may stand before the surface or reach behind it.
using Caster = std::vector<PointBefore>;

/// A direction seen from a surface; a unit vector.
struct DirectionBefore {
    double right = 0.0, up = 0.0, out = 0.0;
};
/// Towards a sun, from a surface of this tilt (0 faces up, 90 a wall) and azimuth (of its outward normal).
[[nodiscard]] DirectionBefore towards(const climate::SunPosition& sun, climate::Angle tilt, climate::Angle azimuth);

/// Share of a surface that lies in the casters' shadow, each part counted once; 1 where light comes from behind it.
/// @param lit  the surface in its own plane, to the right and up
[[nodiscard]] double shaded_share(const Polygons& lit, std::span<const Caster> casters, const DirectionBefore& light);

/// What of the light of an evenly bright sky, and of evenly bright ground, gets past the casters; 0..1 each, 1 where
/// the surface sees none of it.
struct DiffuseLeft {
    double sky = 1.0, ground = 1.0;
};
/// By the shadows of 648 directions; within 0.5 % of the closed form of a long overhang.
[[nodiscard]] DiffuseLeft diffuse_left(const Polygons& lit, std::span<const Caster> casters, climate::Angle tilt);

/// A plate over an opening, perpendicular to its surface, of no thickness. m
struct Overhang {
    double depth_m = 0.0, above_m = 0.0;              ///< the opening's top edge
    double beyond_left_m = 0.0, beyond_right_m = 0.0; ///< its sides
};
/// A plate beside an opening, alike.
struct Fin {
    double depth_m = 0.0, beside_m = 0.0; ///< the opening's edge
    double above_m = 0.0, below_m = 0.0;  ///< its top and bottom
};
/// Plates round one opening; a depth of 0 is none.
struct Plates {
    Overhang overhang{};
    Fin left{}, right{};
    double reveal_m =
        0.0; ///< head and sides of the opening stand before the glass; overhang and fins stand before these
    [[nodiscard]] bool any() const
    {
        return overhang.depth_m > 0.0 || left.depth_m > 0.0 || right.depth_m > 0.0 || reveal_m > 0.0;
    }
};
/// @param width_m, height_m  of the opening, whose lower left corner (seen from outside) is the origin
[[nodiscard]] std::vector<Caster> casters_of(const Plates& plates, double width_m, double height_m);

} // namespace venture::building
