#pragma once
/// A cooling coil read from printed columns over the entering wet bulb: wet along the lines of its wet columns, dry below
/// the wet bulb where they meet.

#include <span>
#include <variant>

#include <venture/rating/condition.hpp>

namespace venture::rating {

/// What a coil takes from air; total is sensible and latent.
struct CoilHeat {
    double total_W = 0.0, sensible_W = 0.0;
    bool dry = false;
    [[nodiscard]] double latent_W() const { return total_W - sensible_W; }
};

/// Columns of one row of a table, or between two, at the dry bulb that is asked for.
struct CoilColumns {
    std::span<const double> wet_bulb_C{};            ///< rising, at least two
    std::span<const double> total_W{}, sensible_W{}; ///< sensible corrected for the dry bulb, not capped
    std::span<const bool> wet{}; ///< printed with less sensible than total; others are not used for the lines
};

/// Total and sensible are broken lines through the wet columns; below the lowest of these the line of the lowest two goes
/// on. Below the wet bulb in which they meet the coil is dry: what it takes is what it takes there, whatever the wet bulb,
/// since nothing condenses. A table's own dry columns are not used: their total is what they were rounded to.
/// @param wet_bulb_C  entering; may lie below the lowest column if the coil is dry there
[[nodiscard]] std::variant<CoilHeat, Refusal> read_columns(const CoilColumns& columns, double wet_bulb_C);

/// What sensible capacity gains with the entering dry bulb, W: k flow (t - t_table) density ratio.
/// @param per_flow_J_per_m3K  k: 1,206 (1 - bypass factor) where nothing else is given
[[nodiscard]] double dry_bulb_correction_W(double per_flow_J_per_m3K, double air_flow_m3_per_s, double entering_C,
                                           double table_C, double density_ratio);

} // namespace venture::rating
