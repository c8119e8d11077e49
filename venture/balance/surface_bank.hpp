#pragma once
/// All surfaces of a model in the order that their walls are stepped in, their films, and the states of their walls.
/// Internal to balance.
///
/// A slot is one surface. Its faces are elements i (outside) and slots + i (inside) of every row "per face". The wall's
/// instantaneous response and both films are eliminated slot by slot:  T = own known + across known of
/// the other face.

#include <array>
#include <cstdint>
#include <span>
#include <vector>

#include <venture/balance/face_loops.hpp>
#include <venture/balance/thermal_model.hpp>
#include <venture/fabric/wall_stepper.hpp>

namespace venture::balance {

/// What lasts of a slot and is not read in the loops over all of them.
struct Slot {
    double area = 0.0;       ///< 0: padding, stands for nothing
    std::size_t surface = 0; ///< in the model
    std::size_t stepper = 0; ///< of its wall
    std::size_t first_state = 0, stride = 1;
};

/// A slot whose wall has planes.
struct PlanedSlot {
    std::size_t slot = 0, first_plane = 0; ///< among all planes of the model
    int water_plane = -1;                  ///< -1: none
    double water_W_per_m2K = 0.0;          ///< from the water, past the plane, into the wall at once
};

/// Heat that a signal brings to a face, beyond what stands in the bank's rows.
struct FurtherTerm {
    std::uint32_t face = 0, signal = 0;
    double factor = 0.0; ///< per m2
};

/// Order of the slots: by blocks of zones, by wall, then by the surfaces' ids, so that the order of the model changes
/// nothing. A block is gone through together, so that what is found of it is still at hand when it is asked for next.
class SurfaceBank {
public:
    /// Signals behind those of the model: no lower limit, no upper limit, nothing.
    static constexpr std::size_t further_signals = 3;

    /// @param step_s  of one part of a step; infinity for the steady state
    SurfaceBank(const ThermalModel& model, double step_s);

    [[nodiscard]] std::size_t count() const { return slots.size(); }
    [[nodiscard]] std::size_t state_count() const { return state_count_; }
    /// Slots of a block with a face whose temperature is given.
    [[nodiscard]] std::span<const std::size_t> with_fixed(SlotRange block) const;
    [[nodiscard]] std::size_t modes_of(const Slot& s) const { return steppers[s.stepper].modes(); }

    std::vector<Slot> slots{};
    std::vector<fabric::WallStepper> steppers{}; ///< per wall of the model
    std::vector<PlanedSlot> planed{};
    std::size_t plane_count = 0;

    std::vector<SlotRange> blocks{}; ///< every slot in one

    // per slot
    std::array<std::vector<double>, 3> y{};     ///< 11, 12, 22 of the wall, water in it included
    std::array<std::vector<double>, 3> carry{}; ///< first stage's face temperatures in the second's histories; alike

    // per face
    std::vector<double> own{}, across{};      ///< what is known of it, and of the other face, in its temperature
    std::vector<std::uint32_t> zone{};        ///< of the model; their number for faces in none
    std::vector<double> area{};               ///< m2
    std::vector<double> in_zone{};            ///< 1 if it looks into a zone, else 0
    std::vector<double> film{};               ///< to the zone's air, or to a given temperature, W/m2K
    std::vector<double> radiative{};          ///< to the zone's radiant point, or by long wave outdoors, W/m2K
    std::vector<double> warmer{};             ///< the air there than the zone's mean, K
    std::vector<double> given_W{};            ///< by film and warmer air, or radiative times what it goes to, W/m2
    std::vector<std::uint32_t> environment{}; ///< signal of the given temperature; of nothing for faces in a zone
    std::vector<unsigned char> fixed{};       ///< temperature given, no film
    static constexpr std::size_t terms_in_rows = 2;
    std::array<std::vector<std::uint32_t>, terms_in_rows> sun{}; ///< signals of what is taken up
    std::array<std::vector<double>, terms_in_rows> sun_per_m2{}; ///< times this
    std::vector<FurtherTerm> further_terms{};                    ///< of faces that take up more
    bool every_inside_in_zone = true;                            ///< of faces that stand for something

    /// Eliminates the faces of every slot with its films as they are; of some slots.
    void eliminate();
    void eliminate(SlotRange block);
    /// The water that flows during a step. @return whether any coefficient changed; eliminate() is due then
    bool set_water(const ThermalModel& model, std::size_t step);

    /// Histories of every slot from its states: four rows of slots, outside and inside at the first stage, then at the
    /// second. @param stored  per slot, J/m2
    void recall(const std::vector<double>& states, std::vector<double>& history, std::vector<double>& stored) const;
    /// A step of every wall, and the histories of the next. @param face_C  per face, at both stages
    /// @param planes  drives of all planes, at both stages
    void advance(std::vector<double>& states, const std::array<const double*, 2>& face_C,
                 const std::array<const double*, 2>& planes, std::vector<double>& history,
                 std::vector<double>& stored) const;

private:
    struct Row {
        std::size_t wall = 0, first_slot = 0, count = 0, first_state = 0;
    };
    void add_row(const ThermalModel& model, std::size_t wall, const std::vector<std::size_t>& surfaces);
    void lay_out_faces(const ThermalModel& model);
    void lay_out_face(const ThermalModel& model, const Face& face, std::size_t at);
    void set_response(std::size_t slot, const PlanedSlot* planed);
    void eliminate_fixed(std::size_t slot);

    std::vector<Row> rows_{};
    std::vector<std::size_t> with_fixed_{};
    std::size_t state_count_ = 0;
};

} // namespace venture::balance
