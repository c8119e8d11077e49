#pragma once
/// Plates round an opening: overhang, fins and reveal.

namespace venture::plan {

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

} // namespace venture::plan
