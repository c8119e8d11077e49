#pragma once
/// Door air curtains: they shield a door with air that water heats.

#include <venture/terminal/unit_heater.hpp>

namespace venture::terminal {

/// An air curtain as a catalogue holds it: one rated point for each speed.
struct AirCurtainData : UnitHeaterData {
    quantity::Given<double> length, reach;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Heats as a unit heater does; its length and reach say which doors it shields.
class AirCurtain : public UnitHeater {
public:
    AirCurtain(const AirCurtainData& data, std::string from);
};

extern const rating::Kind air_curtain;

} // namespace venture::terminal
