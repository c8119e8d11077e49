#pragma once
/// Fan coils that cool with water, known by a printed table or by one rated point, and heat with it, known by another.

#include <optional>

#include <venture/quantity/record.hpp>
#include <venture/rating/coil_conductance.hpp>
#include <venture/rating/factor_table.hpp>
#include <venture/rating/grid_table.hpp>
#include <venture/rating/heating_coil.hpp>
#include <venture/rating/kind.hpp>

namespace venture::terminal {

/// One chilled water supply of a table.
struct FanCoilRow {
    quantity::Given<double> supply;
    quantity::Given<quantity::QuantityList> total, sensible;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// A fan coil as a catalogue holds it: with rows, or one rated point.
struct FanCoilData {
    quantity::Given<std::string> name, maker, family, speed, mounting, note;
    quantity::Given<double> height, length, depth, cost;
    quantity::Given<double> air_flow, entering_dry_bulb, bypass_factor, water_rise, fan_power, sound, pressure_drop,
        external_pressure;
    quantity::Given<double> total, sensible, entering_wet_bulb, supply; ///< the one point
    quantity::Given<double> heating, heating_air, heating_supply, heating_return, electric_heating;
    quantity::Given<quantity::QuantityList> wet_bulbs, glycol, glycol_factors;
    std::vector<FanCoilRow> at_water{};
    [[nodiscard]] static const quantity::RecordSpec& spec();
    /// Points of the same name become rows of one table; a point that is not there is not a number.
    [[nodiscard]] static std::vector<FanCoilData> joined(const std::vector<FanCoilData>& points);
};

/// Capacities are those of the coil; what the room gets is less by the heat of the fan. In air and water as the table was
/// printed for, a table is read as it stands: wet along its wet columns, dry below the wet bulb where these meet, sensible
/// moved with the entering dry bulb by the bypass factor. At another rise of the water or in thinner air (the fan moves the
/// same volume) what the table says is taken times what two conductances, found from one of its points, say of the change.
/// Water warmer than the room heats, where the maker rates that: with a coil of its own, or the same one changed over. Where
/// no water comes, its electric heater does, if it has one.
class FanCoil : public rating::Product {
public:
    /// @throws quantity::Error for a table of the wrong shape, or one that no coil could follow
    FanCoil(const FanCoilData& data, std::string from);
    [[nodiscard]] std::variant<rating::Output, rating::Refusal> rate(const rating::Conditions& at) const override;
    /// Of the coil, found from a printed point unless the maker tells it.
    [[nodiscard]] double bypass_factor() const { return bypass_factor_; }

private:
    struct Point {
        double supply_C = 0.0, wet_bulb_C = 0.0, total_W = 0.0, sensible_W = 0.0;
    };
    void take_table(const FanCoilData& data);
    void check_slopes() const;
    /// A wet one in the middle of the table, else the middle.
    [[nodiscard]] Point middle() const;
    void find_conductances(const Point& point);
    /// Without a water flow.
    [[nodiscard]] rating::CoilFlows flows_at(double supply_C, double dry_bulb_C, double wet_bulb_C,
                                             double pressure_Pa) const;
    void take_water(const rating::Conditions& at, double coil_W, rating::Output& out) const;
    [[nodiscard]] rating::CoilFlows flows_at(const rating::Conditions& at, double pressure_Pa) const;
    /// At the rise and in the air of `at` what was read for printed ones.
    [[nodiscard]] std::variant<rating::CoilHeat, rating::Refusal> moved_from_print(rating::CoilHeat heat,
                                                                                   const rating::Conditions& at) const;
    /// As printed but for the dry bulb.
    [[nodiscard]] std::variant<rating::CoilHeat, rating::Refusal> read(const rating::Conditions& at) const;
    [[nodiscard]] std::variant<rating::Conditions, rating::Refusal> mixed(const rating::Conditions& at) const;
    [[nodiscard]] std::variant<rating::Output, rating::Refusal> rate_in(const rating::Conditions& at) const;
    [[nodiscard]] std::variant<rating::Output, rating::Refusal> cools(const rating::Conditions& at) const;
    [[nodiscard]] std::variant<rating::Output, rating::Refusal> heats(const rating::Conditions& at) const;
    [[nodiscard]] std::variant<rating::Output, rating::Refusal>
    heats_with_electricity(const rating::Conditions& at) const;
    [[nodiscard]] std::variant<rating::CoilHeat, rating::Refusal> coil_heat(const rating::Conditions& at) const;

    double air_flow_m3_per_s_, dry_bulb_C_, rise_K_, fan_W_, sound_dBA_, pressure_drop_Pa_;
    double electric_heating_W_; ///< 0: none
    double bypass_factor_;
    std::vector<double> supplies_C_{}, wet_bulbs_C_{};
    std::vector<double> total_W_{}, sensible_W_{}; ///< supply by supply
    double printed_water_kg_per_s_ = 0.0;          ///< of the point that the conductances are from
    std::optional<rating::CoilConductances> coil_{};
    std::optional<rating::HeatingCoil> heating_{};
    rating::FactorTable with_glycol_;
};

extern const rating::Kind fan_coil;

} // namespace venture::terminal
