#pragma once
/// What happened over a step, gathered stage by stage. Internal to balance.

#include <venture/balance/heat_balance.hpp>
#include <venture/balance/stage.hpp>

namespace venture::balance {

/// Adds the loads and states of all zones.
void add_loads(const Stage& s, double weight, StepResult& result);
/// Adds supply air, and the heat that it brings into the whole model.
void add_supply_air(const ThermalModel& m, const StageSolver& solver, const Stage& s, double weight,
                    StepResult& result);
/// Adds the flows into every zone's air, by their kind.
void add_flows(const ThermalModel& m, const SurfaceBank& bank, const ZoneNetwork& network, const Stage& s,
               double weight, StepResult& result);
/// Adds temperatures and fluxes of every face.
void add_faces(const SurfaceBank& bank, Stage& s, double weight, StepResult& result);
/// Adds the heat that enters the whole model: through faces without a zone, by sun, gains, air and supply.
void add_throughput(const ThermalModel& m, const SurfaceBank& bank, Stage& s, double weight, StepResult& result);
/// Heat stored in all walls, J.
[[nodiscard]] double stored_in_walls_J(const SurfaceBank& bank, const State& state);

} // namespace venture::balance
