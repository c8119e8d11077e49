#pragma once
/// Who the job is for, how it is printed, and which files it is made of.

#include <venture/input/given.hpp>

namespace venture::input {

/// Who the job is for.
struct ProjectInput {
    Given<std::string> name, client, number, author, revision, region, phase, note;
    Given<double> year;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Units that outputs are printed in, one for each quantity::printed_quantities().
struct UnitsInput {
    Given<std::string> preset, note;
    Given<std::string> length, thickness, area, volume, velocity, temperature, temperature_difference, power,
        total_power, power_per_area, heat_transfer, heat_loss, resistance, conductivity, density, specific_heat,
        areal_mass, areal_capacity, air_flow, standard_air_flow, air_flow_per_area, water_flow, mass, moisture_flow,
        humidity_ratio, enthalpy, energy, irradiation, cloud_cover, wind, duration, pressure;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// A file of materials, build-ups and the like that several projects share; read, never written.
struct LibraryInput {
    Given<std::string> name, file, note;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// A CSV file with one record a line, and how it is written.
struct TableFileInput {
    Given<std::string> file, holds, separator, decimal_mark, encoding, note;
    Given<double> header_rows;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// A finding that someone answers for.
struct AcceptedInput {
    Given<std::string> finding, reason, by, note;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// How the heat balance takes what can be taken in more than one way.
struct MethodInput {
    Given<std::string> inside_films, outside_films, outdoor_air_flows, air_heat, note;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
