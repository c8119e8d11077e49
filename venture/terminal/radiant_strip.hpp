#pragma once
/// Radiant strips under ceilings of tall rooms, that water heats, rated after EN 14037.

#include <venture/terminal/radiator.hpp>

namespace venture::terminal {

/// A strip as a catalogue holds it.
struct RadiantStripData {
    quantity::Given<std::string> name, maker, family, note;
    quantity::Given<double> length, width, output, exponent, cost;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// The same law as a radiator's, with its nominal output at a mean of 55 K above the room.
class RadiantStrip : public Radiator {
public:
    RadiantStrip(const RadiantStripData& data, std::string from);
};

extern const rating::Kind radiant_strip;

} // namespace venture::terminal
