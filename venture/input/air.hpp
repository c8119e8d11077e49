#pragma once
/// Air that nobody asked for, and air between rooms.

#include <venture/input/given.hpp>

namespace venture::input {

/// How tight the building is; without it rooms state their infiltration.
struct AirtightnessInput {
    Given<double> permeability, air_changes, test_pressure, flow_exponent;
    Given<std::string> tightness, shielding, note;
    [[nodiscard]] bool is_used() const { return permeability || air_changes || tightness; }
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Air that comes into a room from another one.
struct TransferAirInput {
    Given<std::string> from, way, profile, note;
    Given<double> flow;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
