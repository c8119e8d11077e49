#pragma once
/// One stage of a step: prepared coefficients, forcing, and the solution of faces, zones and moisture. Internal to
/// loads.

#include <vector>

#include <venture/fabric/wall_stage.hpp>
#include <venture/loads/stage_system.hpp>

namespace venture::loads::detail {

/// Coefficients of one stage length.
/// @param stage_s  gamma times the step, or infinity for the steady state
struct StageKernel {
    StageKernel(const ThermalModel& model, double stage_s);
    StageKernel(const StageKernel&) = delete;
    StageKernel& operator=(const StageKernel&) = delete;

    const ThermalModel& model;
    double stage_s;
    std::vector<fabric::WallStage> walls; ///< per wall
    std::vector<double> zone_area_m2;     ///< of all faces that look into a zone
    std::vector<StageSurface> surfaces;
    StageSystem system;

    [[nodiscard]] std::size_t mode_count() const;
    /// Heat capacity over stage length, zero in the steady state.
    [[nodiscard]] double storage(double capacity) const;
};

/// Values of all forcings at one stage of one step.
struct StageForcing {
    std::vector<double> convective_W{}, radiant_W{}, infiltration_W_per_K{}, ventilation_W_per_K{},
        outdoor_W_per_K{}; ///< air and thermal bridges
    std::vector<double> moisture_kg_per_s{}, heat_below{}, cool_above{}, dry_above{};
    std::vector<double> drive{};    ///< W/m2 per face (2 per surface), without the zones' part; a temperature if fixed
    std::vector<double> absorbed{}; ///< W/m2 per face: sun and radiant gains
    std::vector<double> sources{};  ///< W/m2 in the planes of the walls, surface by surface
    double outdoor_C = 0.0, outdoor_w = 0.0;
};

/// Forcing at a share of a step.
[[nodiscard]] StageForcing forcing_at(const StageKernel& kernel, std::size_t step, double share_of_step);
/// Mean forcing over the whole period.
[[nodiscard]] StageForcing mean_forcing(const StageKernel& kernel);

/// Unknowns found at a stage.
struct StageSolution {
    std::vector<double> air_C{}, radiant_C{}, load_W{}, humidity_ratio{}, removed_kg_per_s{};
    std::vector<double> face_C{}, flux{}; ///< 2 per surface
    std::vector<Supply> supply{};
    int passes = 0;
    bool settled = true;
};

/// Solves a stage that starts from the given (carried) states.
[[nodiscard]] StageSolution solve_stage(StageKernel& kernel, const StageForcing& forcing,
                                        const std::vector<double>& modes_hat, const std::vector<double>& air_hat,
                                        const std::vector<double>& humidity_hat, const std::vector<Supply>& supply);

/// Wall modes at the end of a stage.
[[nodiscard]] std::vector<double> stage_modes(const StageKernel& kernel, const StageForcing& forcing,
                                              const std::vector<double>& modes_hat, const StageSolution& solution);

} // namespace venture::loads::detail
