#pragma once
/// What serves the rooms, until it is told as a network.

#include <venture/input/given.hpp>

namespace venture::input {

/// Pipes between a plant and the terminal units of rooms.
struct CircuitInput {
    Given<std::string> name, carries, unit, plant, note;
    Given<double> supply, back, diversity;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// What makes heat or cold.
struct PlantInput {
    Given<std::string> name, kind, note;
    Given<double> margin, units, diversity;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// A product that someone has settled on: rated, not chosen.
struct KeptInput {
    Given<std::string> serves, duty, product, note;
    Given<double> count, chosen_for;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Loads typed in a table instead of, or beside, computed ones.
struct LoadsInput {
    Given<std::string> table, note;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
