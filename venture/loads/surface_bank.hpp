#pragma once
/// All surfaces of a model in the order that their walls are stepped in, and the states of these walls. Internal to
/// loads.

#include <vector>

#include <venture/fabric/wall_stepper.hpp>
#include <venture/loads/thermal_model.hpp>

namespace venture::loads::detail {

/// What a face couples to, after its film.
struct StageFace {
    int zone = -1; ///< -1: no zone
    double convective = 0.0, radiative = 0.0;
    double film = 0.0;   ///< whole film, W/m2K
    bool fixed = false;  ///< temperature given, no film
    bool driven = false; ///< outdoors or at a given temperature
    SignalId environment{};
    const Drives* absorbed = nullptr; ///< sun that a face in a zone takes up; the model's own
};

/// A surface with its wall's instantaneous response eliminated: with known_j what drives face j and what its wall
/// answers of itself,  T_i = sum_j m[i][j] known_j.
struct StageSurface {
    double area = 0.0;
    StageFace face[2];
    double m[2][2] = {};
    double y[2][2] = {};     ///< of the wall, water in it included
    std::size_t surface = 0; ///< in the model
    std::size_t stepper = 0; ///< of its wall
    std::size_t first_state = 0, stride = 1;
    int water_plane = -1;         ///< -1: none
    double water_W_per_m2K = 0.0; ///< from the water, past the plane, into the wall at once
    int first_plane = -1;         ///< among all planes of the model; -1: none
};

/// Order of the slots: by wall, then by the surfaces' ids, so that the order of the model changes nothing.
class SurfaceBank {
public:
    /// @param step_s  of one part of a step; infinity for the steady state
    SurfaceBank(const ThermalModel& model, double step_s);

    std::vector<StageSurface> slots{};           ///< padded: slots of no area stand for nothing
    std::vector<fabric::WallStepper> steppers{}; ///< per wall of the model
    std::size_t plane_count = 0;
    [[nodiscard]] std::size_t state_count() const { return state_count_; }
    [[nodiscard]] std::size_t modes_of(const StageSurface& s) const { return steppers[s.stepper].modes(); }

    /// The water that flows during a step. @return whether any surface's coefficients changed
    bool set_water(const ThermalModel& model, std::size_t step);

    /// Histories of every slot from its states: four rows of slots, outside and inside at the first stage, then at the
    /// second. @param stored  per slot, J/m2
    void recall(const std::vector<double>& states, std::vector<double>& history, std::vector<double>& stored) const;
    /// A step of every wall, and the histories of the next. @param face_C  four rows alike
    /// @param planes  drives of all planes, first stage, then second
    void advance(std::vector<double>& states, const std::vector<double>& face_C, const std::vector<double>& planes,
                 std::vector<double>& history, std::vector<double>& stored) const;

private:
    struct Row {
        std::size_t wall = 0, first_slot = 0, count = 0, first_state = 0;
    };
    void add_row(const ThermalModel& model, std::size_t wall, const std::vector<std::size_t>& surfaces);

    std::vector<Row> rows_{};
    std::size_t state_count_ = 0;
};

} // namespace venture::loads::detail
