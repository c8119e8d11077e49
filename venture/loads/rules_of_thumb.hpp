#pragma once
/// What a capacity is for its floor area and its air, to be held against what is usual.

namespace venture::loads {

/// A cooling plant and the air that it cools, for so much floor.
struct Proportions {
    double area_m2 = 0.0, capacity_W = 0.0, air_m3_per_s = 0.0;
    [[nodiscard]] double area_per_capacity_m2_per_W() const { return area_m2 / capacity_W; }
    [[nodiscard]] double capacity_per_area_W_per_m2() const { return capacity_W / area_m2; }
    [[nodiscard]] double air_per_capacity_m3_per_s_W() const { return air_m3_per_s / capacity_W; }
    [[nodiscard]] double air_per_area_m3_per_s_m2() const { return air_m3_per_s / area_m2; }
};

/// By how much the air must be cooler than the room.
/// @param sensible_share  of the capacity   @param heat_J_per_m3K  of the air, density times specific heat
[[nodiscard]] inline double air_difference_K(const Proportions& of, double sensible_share, double heat_J_per_m3K)
{
    return sensible_share * of.capacity_W / (heat_J_per_m3K * of.air_m3_per_s);
}

/// From a rule: so much capacity for the floor, so much air for the capacity.
[[nodiscard]] inline Proportions by_rule(double area_m2, double capacity_W_per_m2, double air_m3_per_s_W)
{
    const double capacity = area_m2 * capacity_W_per_m2;
    return {area_m2, capacity, capacity * air_m3_per_s_W};
}

} // namespace venture::loads
