#pragma once
/// Who the job is for, how it is printed, and which files it is made of.

#include <array>
#include <cstdint>
#include <string_view>

#include <venture/input/delimited.hpp>
#include <venture/input/given.hpp>
#include <venture/input/region.hpp>
#include <venture/input/use.hpp>

namespace venture::input {

/// Of a project: what stands.
enum class Phase : std::uint8_t { existing, planned };

/// Convection inside.
enum class InsideFilms : std::uint8_t { fixed, by_difference };

/// Convection and long wave outside.
enum class OutsideFilms : std::uint8_t { fixed, wind_and_sky };

/// What volume flows of outdoor air are measured at.
enum class FlowsAt : std::uint8_t { room, outdoors };

/// Heat that air carries.
enum class AirHeat : std::uint8_t { dry, moist };

/// Temperature that relative humidities which limit a room are of.
enum class HumidityAt : std::uint8_t { set_points, air };

} // namespace venture::input

namespace venture {

template <>
struct quantity::WordsOf<input::Phase> {
    static constexpr std::array<std::string_view, 2> words = {"existing", "planned"};
};

template <>
struct quantity::WordsOf<input::InsideFilms> {
    static constexpr std::array<std::string_view, 2> words = {"fixed", "by difference"};
};

template <>
struct quantity::WordsOf<input::OutsideFilms> {
    static constexpr std::array<std::string_view, 2> words = {"fixed", "wind and sky"};
};

template <>
struct quantity::WordsOf<input::FlowsAt> {
    static constexpr std::array<std::string_view, 2> words = {"at 20 degC", "as outdoors"};
};

template <>
struct quantity::WordsOf<input::AirHeat> {
    static constexpr std::array<std::string_view, 2> words = {"dry", "moist"};
};

template <>
struct quantity::WordsOf<input::HumidityAt> {
    static constexpr std::array<std::string_view, 2> words = {"at set-points", "of the air"};
};

} // namespace venture

namespace venture::input {

/// Who the job is for.
struct ProjectInput {
    Given<std::string> name, client, number, author, revision, note;
    Choice<Region> region;
    Choice<Phase> phase;
    Whole year;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Units that outputs are printed in, one for each quantity::printed_quantities().
struct UnitsInput {
    Given<std::string> preset, typed, note;
    Given<std::string> length, thickness, area, volume, velocity, temperature, temperature_difference, power,
        total_power, electric_power, power_per_area, heat_transfer, heat_loss, resistance, conductivity, density,
        specific_heat, areal_mass, areal_capacity, air_flow, standard_air_flow, air_flow_per_area, area_per_power,
        air_flow_per_power, water_flow, mass, moisture_flow, humidity_ratio, concentration, enthalpy, energy,
        electricity, irradiation, cloud_cover, wind, duration, pressure;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// A file of materials, build-ups and the like that several projects share; read, never written.
struct LibraryInput {
    Given<std::string> name, file, note;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// A CSV file with one record a line, and how it is written.
struct TableFileInput {
    Given<std::string> file, holds, note;
    Choice<Separator> separator;
    Choice<DecimalMark> decimal_mark;
    Choice<Encoding> encoding;
    Whole header_rows;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// A finding that someone answers for.
struct AcceptedInput {
    Given<std::string> finding, reason, by, note;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// How the heat balance takes what can be taken in more than one way.
struct MethodInput {
    Given<std::string> note;
    Choice<InsideFilms> inside_films;
    Choice<OutsideFilms> outside_films;
    Choice<FlowsAt> outdoor_air_flows;
    Choice<AirHeat> air_heat;
    Choice<HumidityAt> relative_humidity;
    Choice<Control> control;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
