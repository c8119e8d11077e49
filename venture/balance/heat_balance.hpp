#pragma once
/// The coupled heat and moisture balance of all zones over one step.
///
/// Time: the two-stage, second-order, L-stable diagonally implicit Runge-Kutta method (gamma = 1 - 1/sqrt 2; Alexander,
/// SIAM J. Numer. Anal. 14, 1977), applied to walls, air and moisture together; massless faces, the radiant point and
/// the unknown loads are solved at every stage, not lagged. Means over a step are the method's own quadrature, so the
/// energy balance closes to rounding.
///
/// Inside: convection to one air node, long wave to one radiant point, sun and radiant gains on the faces. Zones are
/// solved together at every stage, with their thermostats and limits (zone_network.hpp). Films that follow from
/// temperatures are found anew in every stage until they are near enough to those of its own solution.

#include <memory>
#include <vector>

#include <venture/balance/recording.hpp>
#include <venture/balance/thermal_model.hpp>

namespace venture::balance {

/// Longest part of a step that is stepped in one go, s. Longer steps are carried out in equal parts of at most
/// `usual_part_s`, so that an hour is as exact as ten minutes are; their results are means over the step.
inline constexpr double longest_part_s = 900.0, usual_part_s = 600.0;
/// Parts that a step is carried out in.
[[nodiscard]] std::size_t parts_of_step(double step_s);
/// Length of one: what the modes of walls have to be made for.
[[nodiscard]] inline double part_of_step_s(double step_s)
{
    return step_s / static_cast<double>(parts_of_step(step_s));
}

/// Everything that lasts from one step to the next.
struct State {
    std::vector<double> wall_modes{};   ///< of all surfaces, in an order of the heat balance's own
    std::vector<double> wall_history{}; ///< what follows from them; HeatBalance::recall() after changing them by hand
    std::vector<double> stored_J_per_m2{};     ///< the same
    std::vector<double> air_C{};               ///< per zone
    std::vector<double> humidity_ratio{};      ///< per zone, kg/kg dry air
    std::vector<double> radiant_C{}, load_W{}; ///< per zone; the first guess of the next step
    std::vector<double> linked{};              ///< long wave by links; its first guess
    std::vector<double> films{}, film_trend{}; ///< those that vary, and their change; the first guess of the next step
};

/// One zone over one step. Heat flows in W are means over the step and positive into the zone's air.
struct ZoneStep {
    double heating_W = 0.0;     ///< delivered by the supply, never negative
    double cooling_W = 0.0;     ///< sensible, taken away by the supply, never negative
    double latent_W = 0.0;      ///< moisture taken away, as heat of vaporisation, never negative
    double humidifying_W = 0.0; ///< moisture added, likewise
    double air_C = 0.0;         ///< mean
    double radiant_C = 0.0;     ///< mean
    double humidity_ratio = 0.0;
    double air_end_C = 0.0, radiant_end_C = 0.0; ///< at the end of the step
    double humidity_ratio_end = 0.0;
    double load_end_W = 0.0;      ///< heating positive, cooling negative
    double film_residual_W = 0.0; ///< |q of films at the temperatures found - q used|, all faces, worst stage
    double supply_air_kg_per_s = 0.0, supply_air_W = 0.0; ///< its flow; what it brings, recovered heat too
    double supply_moisture_kg_per_s = 0.0;                ///< that it brings, less what leaves with as much air
    double recovered_W = 0.0;                             ///< of that: given by air that leaves; negative: taken

    // from Account::flows on
    double convective_gain_W = 0.0;
    double thermal_bridges_W = 0.0;
    double infiltration_W = 0.0;
    double ventilation_W = 0.0;
    double transfer_W = 0.0;              ///< air from other zones
    double from_faces_W[part_count] = {}; ///< by part
    double into_air_capacity_W = 0.0;
};

/// One surface over one step; [0] is its outside face, [1] its inside face.
struct SurfaceStep {
    double temperature_C[2] = {};
    double flux_W_per_m2[2] = {}; ///< into the wall
    double temperature_end_C[2] = {};
    double flux_end_W_per_m2[2] = {};
};

/// Result of one step.
struct StepResult {
    std::vector<ZoneStep> zones{};
    std::vector<SurfaceStep> surfaces{}; ///< with Account::faces
    std::vector<double>
        sensible_factors{};    ///< of ThermalModel::bodies, mean over the step: how much of their heat is sensible
    double closure_W = 0.0;    ///< heat in minus heat stored, all zones and walls together
    double throughput_W = 0.0; ///< sum of the magnitudes of all flows in
    int sweeps = 0;            ///< over the zones, most of any stage
    bool settled = true;       ///< false: the zones did not come to rest in some stage
    int film_passes = 1;       ///< most of any stage
};

/// How much is told of a step; each holds what stands before it.
enum class Account {
    loads, ///< loads and temperatures of zones, closure of the whole
    flows, ///< every flow into the zones' air
    faces, ///< temperatures and fluxes of all faces
};

/// What a caller wants of one zone during one step, in place of what the model says.
struct ZoneOrder {
    std::optional<double> heat_below_C{}, cool_above_C{};
    std::optional<double> most_heating_W{}, most_cooling_W{};
    std::optional<double> supply_W{}; ///< just this, heating positive, whatever the temperature
    std::optional<double> ventilation_kg_per_s{};
    std::optional<double> supply_air_kg_per_s{}; ///< just this flow
};
using Orders = std::vector<ZoneOrder>; ///< one per zone, or none

/// How a step is taken, and what is wanted of it.
struct StepOptions {
    Account account = Account::faces;
    const Orders* orders = nullptr;
    Recording* record = nullptr;       ///< what is decided is written here; made ready at the first step
    const Recording* replay = nullptr; ///< nothing is decided: supplies and films do what they did
};

/// How near films that vary must be to those that belong to the temperatures of the same stage.
struct FilmAccuracy {
    double inside_W_per_m2 = 0.05; ///< mean over the faces of any zone
    double outside_W_per_m2 = 0.5; ///< at any face
    int most_passes = 12;          ///< then the step goes on, and tells the residual
};

/// One face of a surface of a model.
struct FaceAt {
    std::size_t surface = 0;
    bool inside = true;
    friend bool operator==(const FaceAt&, const FaceAt&) = default;
};

/// Prepared coefficients for one model and step length. Advancing changes nothing but these and its workspace, so one
/// object serves one thread. The model must outlive it.
class HeatBalance {
public:
    /// @throws quantity::RangeError if an area, film, capacity or share is negative, or an index points nowhere
    /// @param part_s  what a step is carried out in; 0: part_of_step_s(). Longer parts are coarser, and as stable
    explicit HeatBalance(const ThermalModel& model, const FilmAccuracy& films = {}, double part_s = 0.0);
    ~HeatBalance();
    HeatBalance(HeatBalance&&) noexcept;
    HeatBalance& operator=(HeatBalance&&) noexcept;

    /// State under the mean of every forcing: where a run begins.
    [[nodiscard]] State steady_state() const;
    /// The same under the mean over some steps; they may go over the end of the period.
    [[nodiscard]] State steady_state(std::size_t first_step, std::size_t steps) const;
    /// Everything at one temperature, dry: where a run may begin as well.
    [[nodiscard]] State state_at(double temperature_C) const;
    /// Modes of one surface's wall, in the order of its WallModes.
    [[nodiscard]] std::vector<double> wall_modes_of(const State& state, std::size_t surface) const;
    /// Brings a state one step on, and tells what happened in between. `step` counts from 0 within the period.
    void advance(State& state, std::size_t step, StepResult& result, const StepOptions& options = {}) const;
    /// The same without any account: for days that are only repeated until they are periodic.
    void advance(State& state, std::size_t step, const Recording* replay = nullptr) const;
    /// What follows from a state's wall modes, found anew.
    void recall(State& state) const;
    /// From the states at the beginning and at the end of the model's period, a better guess of the one that comes back
    /// to itself: what walls took up is sent off through the steady network of walls, air and zones. Written over `end`.
    /// @param held  per zone, share of the period in which its supply held it, 0..1
    void extrapolate_period(const State& begin, const std::vector<double>& held, State& end) const;
    /// Zones in the order in which they are gone through: by id.
    [[nodiscard]] const std::vector<std::size_t>& zone_order() const;
    /// Faces whose convection follows from temperatures, in the order in which a recording begins with their films.
    [[nodiscard]] const std::vector<FaceAt>& convective_faces() const;
    /// Multiplies wall modes so that their squares are an energy-like measure; used to weigh a change of state.
    [[nodiscard]] const std::vector<double>& mode_weights() const;

private:
    struct Prepared;
    void advance_parts(State& state, std::size_t step, StepResult* result, const StepOptions& options) const;
    void solve_stage(const State& state, std::size_t stage, std::size_t at, const StepOptions& options) const;
    std::unique_ptr<Prepared> prepared_;
};

} // namespace venture::balance
