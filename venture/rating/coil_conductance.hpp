#pragma once
/// A water coil by two conductances, found from one rated point: counterflow; wet by enthalpy, else dry.
/// Source: effectiveness by number of transfer units for enthalpy, after Braun, Klein and Mitchell 1989 (ASHRAE Transactions
/// 95/2); apparatus dew point and bypass factor as in the ASHRAE Handbook. A partly wet coil is taken as wholly wet or
/// wholly dry, whichever takes more; the heat that the condensate carries off is left out. Air that would leave more than
/// saturated leaves saturated with the same enthalpy.

#include <variant>

#include <venture/air/moist_air.hpp>
#include <venture/rating/coil_columns.hpp>
#include <venture/rating/condition.hpp>

namespace venture::rating {

inline constexpr double specific_heat_of_water_J_per_kgK = 4186.0;

/// Air and water as they reach the coil.
struct CoilFlows {
    double air_C = 0.0, humidity_ratio = 0.0; ///< kg/kg dry air
    double dry_air_kg_per_s = 0.0;
    double water_in_C = 0.0, water_kg_per_s = 0.0;
    quantity::Pressure pressure = quantity::Pressure::pascal(101325.0);
};

/// What it does to both.
struct CoilOutput : CoilHeat {
    double air_out_C = 0.0, humidity_ratio_out = 0.0;
    double water_out_C = 0.0, water_kg_per_s = 0.0;
    double condensate_kg_per_s = 0.0;
    double apparatus_dew_point_C = 0.0, bypass_factor = 0.0; ///< of a wet coil
};

/// A rating of the coil alone, gross of fan heat.
struct CoilRating {
    CoilFlows flows{};
    double total_W = 0.0, sensible_W = 0.0;
};

/// How conductances follow the flows; of finned coils, where a maker says nothing else.
struct FlowExponents {
    double air = 0.6, water = 0.8;
};

/// How a coil's face is taken: as whichever takes more, or as it is known to be; wet only where it can be.
enum class CoilFace : std::uint8_t { whichever, wet, dry };

class CoilConductances {
public:
    /// From a wet or a dry rating.
    /// @throws quantity::Error  where no coil could do that: more than all heat to be had, an outlet colder than the water
    ///                          or more than saturated, sensible above total
    [[nodiscard]] static CoilConductances of(const CoilRating& rated, FlowExponents exponents = {});

    [[nodiscard]] double air_side_W_per_K() const { return air_W_per_K_; }     ///< at the rated flow
    [[nodiscard]] double water_side_W_per_K() const { return water_W_per_K_; } ///< the same
    /// Cooling. Dry where the dew point is not above the water, whatever a formula would say.
    [[nodiscard]] std::variant<CoilOutput, Refusal> cools(const CoilFlows& flows) const;
    /// The same with as much water as leaves at a temperature; the flow of `flows` is not read.
    /// @returns a refusal where no flow would: it lies outside a fiftieth to fifty times the rated one
    [[nodiscard]] std::variant<CoilOutput, Refusal> cools_to(CoilFlows flows, double water_out_C,
                                                             CoilFace face = CoilFace::whichever) const;
    /// Heating by the same coil: total_W and sensible_W are what it gives.
    [[nodiscard]] std::variant<CoilOutput, Refusal> heats(const CoilFlows& flows) const;

private:
    struct Sides {
        double air_W_per_K = 0.0, water_W_per_K = 0.0;
    };
    [[nodiscard]] Sides sides(const CoilFlows& flows) const;
    [[nodiscard]] double air_side(const CoilFlows& flows) const;
    [[nodiscard]] double water_side(double water_kg_per_s) const;
    /// Of a dry rating, which tells both conductances as one: the usual share of each, as far as it stays dry with it.
    void share_dry(double ua_W_per_K, const CoilFlows& rated);
    [[nodiscard]] CoilOutput dry(const CoilFlows& flows, const Sides& sides) const;
    [[nodiscard]] CoilOutput wet(const CoilFlows& flows, const Sides& sides) const;
    /// What the air becomes of which a wet coil takes so much.
    [[nodiscard]] static CoilOutput wetted(const CoilFlows& flows, double ntu_air, double total_W);
    [[nodiscard]] bool can_be_wet(const CoilFlows& flows) const;
    /// Flow at which a formula of the total meets the water's rise, kg/s.
    template <class Total>
    [[nodiscard]] std::optional<double> flow_meeting(CoilFlows flows, double rise_K, Total total_W) const;

    double air_W_per_K_ = 0.0, water_W_per_K_ = 0.0;
    double rated_air_kg_per_s_ = 0.0, rated_water_kg_per_s_ = 0.0;
    FlowExponents exponents_{};
};

/// A coil known by one heating rating alone: one conductance, of which a stated share of the resistance is the air's.
struct HeatingRating {
    double heating_W = 0.0, dry_air_kg_per_s = 0.0, water_kg_per_s = 0.0, air_in_C = 0.0, water_in_C = 0.0;
};
/// @param air_share  of the resistance, 0..1   @throws quantity::Error where no counterflow coil could do that
[[nodiscard]] CoilOutput heats_by_one_conductance(const HeatingRating& rated, double air_share, FlowExponents exponents,
                                                  const CoilFlows& flows);

/// Saturated air: enthalpy, and the temperature that has one. Per kg of dry air.
[[nodiscard]] double saturated_enthalpy_J_per_kg(double t_C, quantity::Pressure p);
[[nodiscard]] double saturation_temperature_C(double enthalpy_J_per_kg, quantity::Pressure p);

} // namespace venture::rating
