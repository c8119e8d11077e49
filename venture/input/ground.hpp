#pragma once
/// The ground under the building.

#include <array>
#include <cstdint>
#include <string_view>

#include <venture/input/given.hpp>

namespace venture::input {

/// How insulation along the edge of a slab lies.
enum class EdgeLies : std::uint8_t { level, upright };

/// What the lowest floors lie on.
enum class UnderFloor : std::uint8_t { soil, ventilated_void };

/// Of a void under the floor from wind.
enum class VoidShelter : std::uint8_t { sheltered, average, exposed };

} // namespace venture::input

namespace venture {

template <>
struct quantity::WordsOf<input::EdgeLies> {
    static constexpr std::array<std::string_view, 2> words = {"level", "upright"};
};

template <>
struct quantity::WordsOf<input::UnderFloor> {
    static constexpr std::array<std::string_view, 2> words = {"soil", "a ventilated void"};
};

template <>
struct quantity::WordsOf<input::VoidShelter> {
    static constexpr std::array<std::string_view, 3> words = {"sheltered", "average", "exposed"};
};

} // namespace venture

namespace venture::input {

/// The ground under the building, for floors after ISO 13370.
struct GroundInput {
    Given<double> conductivity, wall_thickness, exposed_perimeter;
    Given<double> edge_width, edge_thickness, edge_conductivity;
    Given<std::string> note;
    Given<double> level;
    Given<double> void_vents, void_wall_u_value, void_wind;
    Given<double> outdoor_mean, outdoor_amplitude, coldest_month, indoor;
    Choice<EdgeLies> edge_lies;
    Choice<UnderFloor> under_floor;
    Choice<VoidShelter> void_shelter;
    /// Whether anything was said of it; without it floors lie on a stated ground temperature.
    [[nodiscard]] bool is_used() const
    {
        return conductivity || wall_thickness || exposed_perimeter || edge_width || edge_thickness || level ||
               under_floor || void_vents || outdoor_mean || outdoor_amplitude || coldest_month || indoor;
    }
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
