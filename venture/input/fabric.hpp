#pragma once
/// What walls, roofs and floors are made of.

#include <array>
#include <cstdint>
#include <string_view>

#include <venture/fabric/bridged.hpp>
#include <venture/fabric/junction.hpp>
#include <venture/fabric/typed_u_value.hpp>
#include <venture/input/given.hpp>

namespace venture::input {

/// Of outside faces.
enum class Colour : std::uint8_t { light, medium, dark };

} // namespace venture::input

namespace venture {

template <>
struct quantity::WordsOf<fabric::WeightClass> {
    static constexpr const auto& words = fabric::weight_class_words;
};

template <>
struct quantity::WordsOf<fabric::MassPlace> {
    static constexpr const auto& words = fabric::mass_place_words;
};

template <>
struct quantity::WordsOf<fabric::Junction> {
    static constexpr const auto& words = fabric::junction_words;
};

template <>
struct quantity::WordsOf<fabric::HeatFlow> {
    static constexpr std::array<std::string_view, 3> words = {"upwards", "horizontally", "downwards"};
};

template <>
struct quantity::WordsOf<fabric::AirGaps> {
    static constexpr std::array<std::string_view, 3> words = {"none", "bridging", "bridging, air moves"};
};

template <>
struct quantity::WordsOf<fabric::Taper> {
    static constexpr std::array<std::string_view, 3> words = {"rectangle", "triangle, thickest at the apex",
                                                              "triangle, thinnest at the apex"};
};

template <>
struct quantity::WordsOf<input::Colour> {
    static constexpr std::array<std::string_view, 3> words = {"light", "medium", "dark"};
};

} // namespace venture

namespace venture::input {

struct MaterialInput {
    Given<std::string> name, source, note;
    Given<double> conductivity, density, specific_heat;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

struct BuildupInput {
    Given<std::string> name, source, note;
    Given<TextList> layers; ///< outside to inside: "102 mm brick", or "0.18 m2K/W air gap"
    Given<std::string> made_of;
    Given<double> u_value, outside_film, inside_film;
    Given<double> fasteners, fastener_diameter, fastener_conductivity, correction, absorptance;
    Choice<fabric::WeightClass> weight;
    Choice<fabric::MassPlace> mass;
    Choice<fabric::HeatFlow> heat_flow;
    Choice<fabric::AirGaps> air_gaps;
    Choice<fabric::Taper> falls;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Heat that goes round a room's layers: a junction or fixing, to outdoors.
struct ThermalBridgeInput {
    Given<std::string> name, room, source, note;
    Given<double> psi, length, chi;
    Choice<fabric::Junction> at;
    Whole count;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Which build-up stands where, unless a room says otherwise.
struct FabricInput {
    Given<std::string> outside_wall, ground_wall, inner_wall, roof, ground_floor, inner_floor, exposed_floor,
        party_wall, glazing, shade, note;
    Given<double> door_u_value;
    Choice<Colour> wall_colour, roof_colour;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
