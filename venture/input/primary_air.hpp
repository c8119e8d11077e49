#pragma once
/// Outdoor air, treated elsewhere, that comes to rooms through their units or beside them.

#include <array>
#include <cstdint>
#include <string_view>

#include <venture/input/given.hpp>

namespace venture::input {

/// Which way it comes into a room.
enum class PrimaryAirWay : std::uint8_t { through_units, beside_units };

/// A line of it; later lines stand over earlier ones.
struct PrimaryAirInput {
    Given<TextList> rooms;
    Given<std::string> type, storey, note;
    Choice<PrimaryAirWay> way;
    Given<double> flow, cooling_temperature, cooling_humidity, heating_temperature;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input

template <>
struct venture::quantity::WordsOf<venture::input::PrimaryAirWay> {
    static constexpr std::array<std::string_view, 2> words = {"through units", "beside units"};
};
