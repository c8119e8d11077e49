#pragma once
/// Air that nobody asked for, and air between rooms.

#include <array>
#include <cstdint>
#include <string_view>

#include <venture/input/given.hpp>

namespace venture::input {

/// Of an envelope that nobody measured.
enum class Tightness : std::uint8_t { very_tight, tight, usual, leaky };

/// From wind.
enum class Shielding : std::uint8_t { none, moderate, heavy };

/// Which way air goes between two rooms.
enum class AirWay : std::uint8_t { in, both };

} // namespace venture::input

namespace venture {

template <>
struct quantity::WordsOf<input::Tightness> {
    static constexpr std::array<std::string_view, 4> words = {"very tight", "tight", "usual", "leaky"};
};

template <>
struct quantity::WordsOf<input::Shielding> {
    static constexpr std::array<std::string_view, 3> words = {"none", "moderate", "heavy"};
};

template <>
struct quantity::WordsOf<input::AirWay> {
    static constexpr std::array<std::string_view, 2> words = {"in", "both"};
};

} // namespace venture

namespace venture::input {

/// How tight the building is; without it rooms state their infiltration.
struct AirtightnessInput {
    Given<double> permeability, air_changes, test_pressure, flow_exponent;
    Given<std::string> note;
    Choice<Tightness> tightness;
    Choice<Shielding> shielding;
    [[nodiscard]] bool is_used() const { return permeability || air_changes || tightness; }
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Air that comes into a room from another one.
struct TransferAirInput {
    Given<std::string> from, profile, note;
    Given<double> flow;
    Choice<AirWay> way;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
