#pragma once
/// What serves the rooms, until it is told as a network.

#include <array>
#include <cstdint>
#include <string_view>

#include <venture/input/given.hpp>

namespace venture::input {

/// What a room, a circuit or a plant is for.
enum class Duty : std::uint8_t { heating, cooling };

/// Kinds of terminal unit that rooms can have.
enum class UnitKind : std::uint8_t { radiator, fan_coil };

enum class PlantKind : std::uint8_t { boiler, chiller };

} // namespace venture::input

namespace venture {

template <>
struct quantity::WordsOf<input::Duty> {
    static constexpr std::array<std::string_view, 2> words = {"heating", "cooling"};
};

template <>
struct quantity::WordsOf<input::UnitKind> {
    static constexpr std::array<std::string_view, 2> words = {"radiator", "fan coil"};
};

template <>
struct quantity::WordsOf<input::PlantKind> {
    static constexpr std::array<std::string_view, 2> words = {"boiler", "chiller"};
};

} // namespace venture

namespace venture::input {

/// Pipes between a plant and the terminal units of rooms.
struct CircuitInput {
    Given<std::string> name, plant, note;
    Choice<Duty> carries;
    Choice<UnitKind> unit;
    Given<double> supply, back, diversity;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// What makes heat or cold.
struct PlantInput {
    Given<std::string> name, note;
    Choice<PlantKind> kind;
    Given<double> margin, diversity;
    Whole units;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// A product that someone has settled on: rated, not chosen.
struct KeptInput {
    Given<std::string> serves, product, note;
    Choice<Duty> duty;
    Whole count;
    Given<double> chosen_for;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Loads typed in a table instead of, or beside, computed ones.
struct LoadsInput {
    Given<std::string> table, note;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
