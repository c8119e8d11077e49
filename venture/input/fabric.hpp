#pragma once
/// What walls, roofs and floors are made of.

#include <venture/input/given.hpp>

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
    Given<std::string> weight, mass, heat_flow, air_gaps;
    Given<std::string> falls;
    Given<double> fasteners, fastener_diameter, fastener_conductivity, correction, absorptance;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Heat that goes round a room's layers: a junction or fixing, to outdoors.
struct ThermalBridgeInput {
    Given<std::string> name, room, at, source, note;
    Given<double> psi, length, chi, count;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Which build-up stands where, unless a room says otherwise.
struct FabricInput {
    Given<std::string> outside_wall, ground_wall, inner_wall, roof, ground_floor, inner_floor, exposed_floor,
        party_wall, glazing, shade, wall_colour, roof_colour, note;
    Given<double> door_u_value;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
