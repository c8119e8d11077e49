#pragma once
/// One wall stepped through time by itself, with the very stages that the heat balance uses.

#include <array>
#include <span>

#include <venture/fabric/wall_stepper.hpp>

namespace venture::fabric {

/// What drives a wall at one instant. Index 0 is outside, 1 inside.
struct WallDrive {
    std::array<double, 2> temperature_C{};  ///< of the air behind each film, or of a face without film
    std::vector<double> sources_W_per_m2{}; ///< one per plane, or none
};

/// What a step did.
struct WallStep {
    std::array<double, 2> flux_W_per_m2{};     ///< into the wall, mean over the step
    std::array<double, 2> flux_end_W_per_m2{}; ///< into the wall, at the end
    std::array<double, 2> face_end_C{};
    std::vector<double> plane_end_C{};
    double sources_W_per_m2 = 0.0; ///< all planes, mean over the step
};

/// Drives are linear within a step and may jump between steps: a step is given its value just after its start and just
/// before its end.
class ConductionRun {
public:
    /// @param films  none at a face whose temperature is given
    /// @throws quantity::RangeError for a step that is not above 0, or a negative film
    ConductionRun(WallModes modes, double step_s, const Films& films = {});

    /// Everything at rest under this drive.
    void start_steady(const WallDrive& drive);
    WallStep step(const WallDrive& from, const WallDrive& to);
    /// Heat stored above 0 degC, J/m2.
    [[nodiscard]] double stored_heat() const { return modes_.stored_heat(z_); }
    [[nodiscard]] const WallModes& modes() const { return modes_; }

private:
    /// Temperatures of both faces from what drives them: film times air, and what the wall answers of itself.
    [[nodiscard]] std::array<double, 2> faces(const WallStepper& stepper, const std::array<double, 2>& air,
                                              const std::array<double, 2>& known) const;

    WallModes modes_;
    WallStepper stepper_, steady_;
    std::array<double, 2> film_W_per_m2K_{}; ///< 0 for a given face temperature
    std::vector<double> z_{};
    std::array<std::vector<double>, 2> drives_{}; ///< of every port at both stages of a step
};

} // namespace venture::fabric
