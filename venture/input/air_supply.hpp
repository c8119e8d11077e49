#pragma once
/// Outdoor air that comes to rooms by an air handler of which nothing is drawn yet, and air that is taken out of rooms.

#include <array>
#include <cstdint>
#include <string_view>

#include <venture/input/given.hpp>

namespace venture::input {

/// What an air supply gives to its rooms.
enum class SupplyGives : std::uint8_t { outdoor_air, everything };

/// More outdoor air than is needed, where that cools: never; while it is colder than the air that comes back; while it
/// holds less heat.
enum class FreeCooling : std::uint8_t { none, dry_bulb, enthalpy };

/// Whether heat recovery can be passed by.
enum class Bypass : std::uint8_t { yes, no };

/// What air is taken out at.
enum class Fixture : std::uint8_t { other, wc, urinal, shower, bath, kitchenette, drying, hood };

/// By name; rooms and room types say which of them their outdoor air comes by.
struct AirSupplyInput {
    AirSupplyInput();
    AirSupplyInput(const AirSupplyInput&);
    AirSupplyInput(AirSupplyInput&&) noexcept;
    AirSupplyInput& operator=(const AirSupplyInput&);
    AirSupplyInput& operator=(AirSupplyInput&&) noexcept;
    ~AirSupplyInput();

    Given<std::string> name, source, note;
    Choice<SupplyGives> gives;
    // air
    Choice<FreeCooling> free_cooling;
    Given<double> greatest_outdoor_share, fan_pressure, fan_efficiency;
    // recovery
    Given<double> heat_recovery, moisture_recovery, coldest_exhaust;
    Choice<Bypass> bypass;
    Given<std::string> returns_through;
    // bounds
    Given<double> coldest_supply, warmest_supply, driest_supply, wettest_supply, greatest_heating, greatest_cooling;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Air that is taken out of a room to outdoors.
struct ExtractInput {
    Given<std::string> name, room, profile, note;
    Choice<Fixture> fixture;
    Given<double> flow, count;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input

namespace venture {

template <>
struct quantity::WordsOf<input::SupplyGives> {
    static constexpr std::array<std::string_view, 2> words = {"outdoor air", "everything"};
};

template <>
struct quantity::WordsOf<input::FreeCooling> {
    static constexpr std::array<std::string_view, 3> words = {"none", "dry bulb", "enthalpy"};
};

template <>
struct quantity::WordsOf<input::Bypass> {
    static constexpr std::array<std::string_view, 2> words = {"yes", "no"};
};

template <>
struct quantity::WordsOf<input::Fixture> {
    static constexpr std::array<std::string_view, 8> words = {"other", "wc",          "urinal", "shower",
                                                              "bath",  "kitchenette", "drying", "hood"};
};

} // namespace venture
