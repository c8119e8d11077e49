#pragma once
/// Supply air as a run had it: one stream at a temperature. Internal to loads.

#include <venture/balance/recording.hpp>
#include <venture/balance/thermal_model.hpp>

namespace venture::loads::detail {

/// It brings a room `W_per_K` for each kelvin by which `from_C` is warmer. What recovery gives from the room's own air comes
/// off the flow; what it gives from another one's counts in the temperature.
struct RecordedAir {
    double W_per_K = 0.0, from_C = 0.0;
    [[nodiscard]] double heat_W(double room_C) const { return W_per_K * (from_C - room_C); }
};

class RecordedSupply {
public:
    /// @pre the zone has supply air
    RecordedSupply(const balance::ThermalModel& model, const balance::Recording& recorded, std::size_t zone);
    [[nodiscard]] RecordedAir at(std::size_t stage) const;

private:
    const balance::ThermalModel& m_;
    const balance::Recording& r_;
    const balance::SupplyAir& air_;
    std::size_t supply_ = 0, stages_a_step_ = 2;
};

} // namespace venture::loads::detail
