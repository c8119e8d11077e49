#pragma once
/// What a periodic day's loads are made of, forcing by forcing.

#include <vector>

#include <venture/balance/periodic_day.hpp>

namespace venture::loads {

/// Loads of all zones for one forcing alone, everything else at the reference temperature and without gains.
struct LoadPart {
    balance::Forcing forcing = balance::Forcing::other;
    /// Per zone, hour means, W; heating positive, cooling negative. Nil in hours in which the supply was off.
    std::vector<std::vector<double>> load_W{};
};

/// The model with one forcing alone; coefficients stay.
/// @param reference_C  from which its temperatures count
[[nodiscard]] balance::ThermalModel with_only(const balance::ThermalModel& model, balance::Forcing forcing,
                                              double reference_C);

/// The recorded day replayed with each of its forcings: the parts add up to the loads of the day, since with films and
/// supplies as recorded the balance is linear. Latent loads are not taken apart.
/// @param recorded     of this model
/// @param reference_C  any temperature; near the set-points it makes for parts of a sensible size
/// @returns one part for each forcing that the model has
[[nodiscard]] std::vector<LoadPart> load_parts(const balance::ThermalModel& model, const balance::Recording& recorded,
                                               double reference_C, const balance::PeriodicOptions& options = {});

} // namespace venture::loads
