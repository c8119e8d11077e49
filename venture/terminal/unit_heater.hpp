#pragma once
/// Unit heaters: a fan, and a coil that water heats, for halls.

#include <venture/quantity/record.hpp>
#include <venture/rating/heating_coil.hpp>
#include <venture/rating/kind.hpp>

namespace venture::terminal {

/// A unit heater as a catalogue holds it: one rated point for each speed.
struct UnitHeaterData {
    quantity::Given<std::string> name, maker, family, speed, note;
    quantity::Given<double> air_flow, heating, heating_air, heating_supply, heating_return, fan_power, sound, cost;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Heats as much air as its fan moves, of whatever density; the heat of the fan helps.
class UnitHeater : public rating::Product {
public:
    /// @throws quantity::Error for a rating that no coil could have
    UnitHeater(const UnitHeaterData& data, std::string from);
    [[nodiscard]] std::variant<rating::Output, rating::Refusal> rate(const rating::Conditions& at) const override;

private:
    double dry_air_kg_per_s_, fan_W_, sound_dBA_; ///< air at the sea
    rating::HeatingCoil coil_;
};

extern const rating::Kind unit_heater;

} // namespace venture::terminal
