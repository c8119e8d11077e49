#pragma once
/// From a printed cooling capacity to what the unit gives here: fan heat, factors, the dry bulb, air density.

#include <venture/rating/coil_columns.hpp>

namespace venture::rating {

/// One value of a table, at its own dry bulb.
struct PrintedCapacity {
    double total_W = 0.0, sensible_W = 0.0;
    double dry_bulb_C = 27.0;
    double fan_W = 0.0; ///< that a table net of its fan has taken off; nil where it is gross
};

/// What stands between the table and the place. Factors multiply: of another indoor unit, of altitude, of glycol, of flows.
struct Corrections {
    double total = 1.0, sensible = 1.0;
    double per_flow_J_per_m3K = 1206.0; ///< as in dry_bulb_correction_W(); not multiplied by the factors
    double air_flow_m3_per_s = 0.0;     ///< actual
    double density_ratio = 1.0;         ///< of the air here to that of the table
    double fan_W = 0.0;                 ///< that heats the air here
};

struct GrossAndNet {
    CoilHeat gross{}, net{}; ///< of fan heat
    bool capped = false;     ///< sensible would have passed total
};
/// In the order of the members above: gross, factors, dry bulb (total does not change with it), net. Where a whole row of
/// wet bulbs is printed, read_columns() tells better what a dry coil does.
[[nodiscard]] GrossAndNet corrected(const PrintedCapacity& printed, const Corrections& by, double entering_C);

/// Density of air at a height over that at sea level, both at the same temperature, of the standard atmosphere.
/// @throws quantity::RangeError as air::standard_pressure()
[[nodiscard]] double density_ratio_at(double height_m);

/// A wrong unit shows: coils take 5 to 30 kJ from each cubic metre of air.
/// @throws quantity::Error  of capacities less than a tenth or more than two and a half times that
void check_coil_units(double most_W, double air_flow_m3_per_s);

} // namespace venture::rating
