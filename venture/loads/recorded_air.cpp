#include <venture/loads/recorded_air.hpp>

#include <venture/fabric/wall_stepper.hpp>

namespace venture::loads::detail {

RecordedSupply::RecordedSupply(const balance::ThermalModel& model, const balance::Recording& recorded, std::size_t zone)
    : m_{model},
      r_{recorded},
      air_{*model.zones[zone].supply_air},
      stages_a_step_{recorded.stages / model.steps}
{
    for (std::size_t z = 0; z < zone; ++z) supply_ += model.zones[z].supply_air ? 1U : 0U;
}

RecordedAir RecordedSupply::at(std::size_t stage) const
{
    const std::size_t step = stage / stages_a_step_, within = stage % stages_a_step_;
    const double parts = static_cast<double>(stages_a_step_) / 2.0,
                 into = (static_cast<double>(within / 2) + fabric::two_stages::at[within % 2]) / parts;
    const balance::AirFlow& flow = r_.air_flows[stage * r_.supplies + supply_];
    const double outdoor_C = m_.value(air_.temperature_C, step, into),
                 exchanged =
                     flow.recovered * m_.air_specific_heat_J_per_kgK * m_.value(air_.least_kg_per_s, step, into);
    if (!air_.leaves_from) return {flow.W_per_K - exchanged, outdoor_C};
    if (flow.W_per_K <= 0.0) return {0.0, outdoor_C};
    const double other_C = r_.air_C[stage * r_.zones + *air_.leaves_from];
    return {flow.W_per_K, outdoor_C + exchanged / flow.W_per_K * (other_C - outdoor_C)};
}

} // namespace venture::loads::detail
