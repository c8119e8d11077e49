#pragma once
/// The ground under the building.

#include <venture/input/given.hpp>

namespace venture::input {

/// The ground under the building, for floors after ISO 13370.
struct GroundInput {
    Given<double> conductivity, wall_thickness, exposed_perimeter;
    Given<double> edge_width, edge_thickness, edge_conductivity;
    Given<std::string> edge_lies, note;
    Given<double> level;
    Given<std::string> under_floor, void_shelter;
    Given<double> void_vents, void_wall_u_value, void_wind;
    Given<double> outdoor_mean, outdoor_amplitude, coldest_month, indoor;
    /// Whether anything was said of it; without it floors lie on a stated ground temperature.
    [[nodiscard]] bool is_used() const
    {
        return conductivity || wall_thickness || exposed_perimeter || edge_width || edge_thickness || level ||
               under_floor || void_vents || outdoor_mean || outdoor_amplitude || coldest_month || indoor;
    }
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
