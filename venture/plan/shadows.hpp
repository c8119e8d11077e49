#pragma once
/// Shadows that plane faces cast on a surface, exact: projected along the sun, and each part of the surface counted once.

#include <cstdint>
#include <optional>
#include <span>
#include <vector>

#include <venture/climate/sun.hpp>
#include <venture/plan/convex.hpp>
#include <venture/plan/plates.hpp>
#include <venture/plan/polygon.hpp>

namespace venture::plan {

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
/// How a surface lies to the sky.
class Facing {
public:
    /// @param tilt  0 faces up, 90 is a wall   @param azimuth  of its outward normal
    Facing(climate::Angle tilt, climate::Angle azimuth);
    /// A direction of the sky as the surface sees it.
    [[nodiscard]] DirectionBefore towards(const climate::SkyDirection& sky) const;

private:
    climate::SkyDirection right_{}, up_{}, out_{};
};

/// Shadows on one surface, of what stands before it, put in order once for any number of directions.
class Shadows {
public:
    /// @param lit  the surface in its own plane, to the right and up
    Shadows(Polygons lit, std::span<const Caster> casters);
    /// Share of the surface that lies in shadow, each part counted once; 1 where light comes from behind it.
    [[nodiscard]] double share(const DirectionBefore& light) const;

private:
    /// A caster's part before the surface, and the slopes of light (right and up for a metre out) by which its shadow can
    /// meet the surface at all.
    struct Before {
        double least_right = 0.0, most_right = 0.0, least_up = 0.0, most_up = 0.0;
        std::uint32_t first = 0, count = 0; ///< of corners_
        bool convex = false;
    };
    struct Slope;
    struct Workspace;
    void add(const Caster& caster);
    void lay_out_cells();
    void find_reached(const Slope& slope, std::vector<std::uint32_t>& reached) const;
    bool cast(const Before& caster, const Slope& slope, PlanePolygon& shadow) const;
    [[nodiscard]] std::optional<double> covered_by_convex_m2(Workspace& w) const;
    [[nodiscard]] double covered_on_the_grid_m2(const Workspace& w) const;

    Polygons lit_{};
    std::vector<PlanePolygon> convex_lit_{}; ///< the same in parts
    double area_m2_ = 0.0, left_m_ = 0.0, low_m_ = 0.0, right_m_ = 0.0, high_m_ = 0.0;
    std::vector<Before> before_{};
    /// Slopes of light in cells, so that a direction looks only at what can matter about there: row by row, where the casters
    /// of a cell begin in the list behind; empty while there are few.
    std::vector<std::uint32_t> first_in_cell_{}, in_cell_{};
    std::vector<PointBefore> corners_{};
};

/// What of the light of an evenly bright sky, and of evenly bright ground, gets past the casters; 0..1 each, 1 where
/// the surface sees none of it.
struct DiffuseLeft {
    double sky = 1.0, ground = 1.0;
};
/// By the shadows of 648 directions; within 0.5 % of the closed form of a long overhang.
[[nodiscard]] DiffuseLeft diffuse_left(const Shadows& shadows, climate::Angle tilt);

/// @param width_m, height_m  of the opening, whose lower left corner (seen from outside) is the origin
[[nodiscard]] std::vector<Caster> casters_of(const Plates& plates, double width_m, double height_m);

} // namespace venture::plan
