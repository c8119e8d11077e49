#pragma once
/// Power that brings a room back from a set-back within a stated time, from two capacities: the air and the fabric.

#include <optional>

namespace venture::loads {

struct TwoNodeRoom {
    double air_J_per_K = 0.0, fabric_J_per_K = 0.0; ///< above 0
    double air_to_fabric_W_per_K = 0.0;             ///< above 0
    double air_to_outdoors_W_per_K = 0.0, fabric_to_outdoors_W_per_K = 0.0;
    double outdoor_C = -10.0;
    double share_to_air = 1.0; ///< of the power, above 0; the rest goes into the fabric
};

/// What went before the heating-up.
enum class Before {
    held,          ///< at the set-back for long
    off,           ///< no heat for some hours, from long at the set-point
    off_then_held, ///< the same, but held at the set-back once that is reached
};

struct HeatingUpAsked {
    double set_point_C = 20.0, set_back_C = 16.0;
    Before before = Before::held;
    double hours_before_h = 0.0; ///< unless held
    double within_h = 2.0;       ///< above 0
};

struct TwoNodeSteady {
    double fabric_C = 0.0, power_W = 0.0;
};

struct HeatingUp {
    TwoNodeSteady at_set_point{}, at_set_back{};
    double slow_h = 0.0, fast_h = 0.0;                                    ///< time constants of the room
    std::optional<double> hours_until_set_back{}, fabric_at_set_back_C{}; ///< where it was reached while off
    double air_at_start_C = 0.0, fabric_at_start_C = 0.0;
    double air_without_heating_C = 0.0; ///< at the end, had nothing been done
    double rise_K_per_W = 0.0;          ///< of the air, from a constant power over that time
    double power_W = 0.0;               ///< constant; that reaches the set-point just in time
    double fabric_at_end_C = 0.0;
    double holding_after_W = 0.0; ///< just after the set-point is reached
    [[nodiscard]] double above_steady_W() const { return power_W - at_set_point.power_W; }
};

/// Exact, by the two natural modes of the room.
/// Source    the network that stands behind heating-up factors of EN 12831-1, annex on intermittently heated rooms; own statement
/// @throws   quantity::RangeError for capacities, conductances or times that are none
[[nodiscard]] HeatingUp heating_up(const TwoNodeRoom& room, const HeatingUpAsked& asked);

} // namespace venture::loads
