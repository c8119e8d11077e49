#pragma once
/// What a user has given of a building: optional values, each with its origin. Made from files, from code, or both;
/// resolve() turns it into a complete Building.

#include <string>
#include <vector>

#include <venture/quantity/key.hpp>

namespace venture::building {

using quantity::Given;
using quantity::PointList;
using quantity::QuantityList;
using quantity::TextList;

/// Who the job is for.
struct ProjectInput {
    Given<std::string> name, client, number, author, revision, region, phase, note;
    Given<double> year;
};

/// Units that outputs are printed in, one for each quantity::printed_quantities().
struct UnitsInput {
    Given<std::string> preset, note;
    Given<std::string> length, thickness, area, volume, velocity, temperature, temperature_difference, power,
        total_power, power_per_area, heat_transfer, heat_loss, resistance, conductivity, density, specific_heat,
        areal_mass, areal_capacity, air_flow, standard_air_flow, air_flow_per_area, water_flow, mass, moisture_flow,
        humidity_ratio, enthalpy, energy, irradiation, cloud_cover, wind, duration, pressure;
};

/// A file of materials, build-ups and the like that several projects share; read, never written.
struct LibraryInput {
    Given<std::string> name, file, note;
};

/// A CSV file with one record a line, and how it is written.
struct TableFileInput {
    Given<std::string> file, holds, separator, decimal_mark, encoding, note;
    Given<double> header_rows;
};

/// A finding that someone answers for.
struct AcceptedInput {
    Given<std::string> finding, reason, by, note;
};

/// One month's cooling design conditions.
struct MonthInput {
    Given<double> month, dry_bulb, wet_bulb, daily_range, wet_bulb_range, beam_depth, diffuse_depth, ground;
    Given<double> peak_wet_bulb, dry_bulb_at_peak_wet_bulb, peak_dew_point, dry_bulb_at_peak_dew_point, wind;
    Given<std::string> note;
};

struct SiteInput {
    Given<std::string> name, note;
    Given<double> latitude, longitude, time_zone, height, ground_reflectance, plan_bearing;
    Given<std::string> summer_time_first, summer_time_last;
    Given<double> summer_time_ahead, conditions_height;
    Given<double> winter_dry_bulb, winter_dew_point, winter_wind, winter_ground;
    std::vector<MonthInput> months{};
    static void for_each_nested(auto& self, auto visit) { visit("month", self.months); }
};

/// What a column of a weather file is.
struct WeatherColumnInput {
    Given<std::string> holds, column, unit, note;
};

/// A year of weather: a file and how it is written, or means to make one up from.
struct WeatherInput {
    Given<std::string> name, form, file, stamp, date_order, below_freezing, separator, decimal_mark, encoding, note;
    Given<TextList> missing;
    Given<double> latitude, longitude, time_zone, height, year, skip_lines, header_rows, longest_gap;
    Given<double> seed, day_to_day, wind_from;
    Given<double> winter_frequency, summer_frequency, heating_base, cooling_base;
    std::vector<WeatherColumnInput> columns{};
    static void for_each_nested(auto& self, auto visit) { visit("column", self.columns); }
    /// Whether the project has a weather year; without one its defaults say nothing.
    [[nodiscard]] bool is_used() const
    {
        return form || file || name || stamp || latitude || longitude || height || seed || !columns.empty();
    }
};

/// What a month's weather is like in the mean.
struct MonthlyMeanInput {
    Given<double> month, dry_bulb, daily_range, relative_humidity, sun, wind;
    Given<std::string> note;
};

struct MaterialInput {
    Given<std::string> name, source, note;
    Given<double> conductivity, density, specific_heat;
};

struct BuildupInput {
    Given<std::string> name, source, note;
    Given<TextList> layers; ///< outside to inside: "102 mm brick", or "0.18 m2K/W air gap"
    Given<std::string> made_of;
    Given<double> u_value, outside_film, inside_film;
    Given<std::string> weight, mass, heat_flow, air_gaps;
    Given<std::string> falls;
    Given<double> fasteners, fastener_diameter, fastener_conductivity, correction, absorptance;
};

/// A pane of glass as its maker states it.
struct PaneInput {
    Given<std::string> name, source, note;
    Given<double> thickness, solar_transmittance, solar_reflectance_outside, solar_reflectance_inside;
    Given<double> light_transmittance, light_reflectance_outside, light_reflectance_inside;
    Given<double> emissivity_outside, emissivity_inside;
};

/// A glazing by its values, or by its panes.
struct GlazingInput {
    Given<std::string> name, source, note;
    Given<TextList> panes; ///< outside to inside: panes by name, between them "16 mm argon"
    Given<double> u_value, g_value, direct_transmittance, light_transmittance, frame_share;
    Given<double> frame_u_value, spacer;
};

/// A blind, screen or shutter, and when it is used.
struct ShadeInput {
    Given<std::string> name, place, slats, use, profile, edges, source, note;
    Given<double> transmittance, reflectance, openness, above, resistance;
};

/// Heat that goes round a room's layers: a junction or fixing, to outdoors.
struct ThermalBridgeInput {
    Given<std::string> name, room, at, source, note;
    Given<double> psi, length, chi, count;
};

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
};

/// Which build-up stands where, unless a room says otherwise.
struct FabricInput {
    Given<std::string> outside_wall, ground_wall, inner_wall, roof, ground_floor, inner_floor, exposed_floor,
        party_wall, glazing, shade, wall_colour, roof_colour, note;
    Given<double> door_u_value;
};

/// What stands near the building and takes sun from it: another building, a wall, a tree.
struct ObstructionInput {
    Given<std::string> name, note;
    Given<QuantityList> at, size;
    Given<PointList> corners;
    Given<double> base, top, transmittance, transmittance_bare;
};

struct ProfileInput {
    Given<std::string> name, purpose, note;
    Given<TextList> hours;      ///< "08-18 100 %"; hours not named are 0
    Given<QuantityList> values; ///< instead: 24 fractions
};

/// Days of the year under one name: typed, and out of an iCalendar file.
struct DaysInput {
    Given<std::string> name, file, events, note;
    Given<TextList> dates;
};

/// Which profile applies on which day.
struct CalendarInput {
    Given<std::string> name, purpose, design_day, note;
    Given<TextList> rules; ///< "Monday to Friday: office hours"; later ones win
};

/// How tight the building is; without it rooms state their infiltration.
struct AirtightnessInput {
    Given<double> permeability, air_changes, test_pressure, flow_exponent;
    Given<std::string> tightness, shielding, note;
    [[nodiscard]] bool is_used() const { return permeability || air_changes || tightness; }
};

/// A dwelling's people, appliances and plants, in short.
struct DwellingInput {
    Given<double> bedrooms, people, plants;
    Given<std::string> appliances, note;
    Given<TextList> rooms;
    [[nodiscard]] bool is_used() const { return bedrooms || people || plants || appliances || rooms; }
};

/// Heat and moisture from something in a room.
struct GainInput {
    Given<std::string> name, kind, profile, note;
    Given<double> power, power_per_area, count, moisture, radiant, latent, lost, to_void;
};

/// What a room can have by its use; a room type holds the same.
struct UseInput {
    Given<double> heating_setpoint, cooling_setpoint, humidity_limit;
    Given<std::string> control;
    Given<double> heating_setback, preheating, cooling_setback, precooling;
    Given<std::string> heating_profile, cooling_profile;
    Given<double> stratification, moisture_buffer;
    Given<double> people, area_per_person, people_expected, sensible_per_person, latent_per_person;
    Given<std::string> activity;
    Given<double> lighting, lighting_power, equipment, equipment_power, moisture;
    Given<double> people_radiant, lighting_radiant, equipment_radiant, lighting_to_void, gain_diversity;
    Given<std::string> hours; ///< of people, lighting and equipment that have none of their own
    Given<std::string> people_profile, lighting_profile, equipment_profile, moisture_profile, ventilation_profile;
    Given<double> infiltration, infiltration_summer, ventilation_per_person, ventilation_per_area, ventilation_rate,
        ventilation_flow;
    Given<double> vents, flues, chimneys;
    Given<std::string> floor_finish, ceiling_finish;
    Given<double> furniture;
    Given<double> heating_limit, cooling_limit, radiant_share;
    Given<std::string> heated_by, cooled_by;
};

struct RoomTypeInput {
    Given<std::string> name, like, region, purpose, source, note;
    UseInput use{};
    std::vector<GainInput> gains{};
    static void for_each_part(auto& self, auto visit) { visit(self.use); }
    static void for_each_nested(auto& self, auto visit) { visit("gain", self.gains); }
};

/// How the plan was drawn.
struct PlanInput {
    Given<std::string> dimensions, note;
    Given<double> tolerance;
};

struct StoreyInput {
    Given<std::string> name, repeats, note;
    Given<double> level, height;
    Given<TextList> without;
};

/// Rooms that stand on the plan once more, shifted or mirrored.
struct RepeatInput {
    Given<std::string> name, storey, note;
    Given<TextList> rooms;
    Given<QuantityList> shift;
    Given<double> times, count_on, mirror_x, mirror_y;
};

struct OpeningInput {
    Given<std::string> name, in, to, kind, glazing, shade, note;
    Given<double> width, height, area, share, sill, from_left, from_right, count, u_value;
    Given<double> opened_per_hour, open_for;
    Given<double> reveal, overhang, overhang_above, overhang_beyond, fins, fins_beside;
};

/// What is said of one face of a room instead of being found; or a face that the room is enclosed by.
struct FaceInput {
    Given<std::string> name, on, beyond, room, sun, build_up, colour, note;
    Given<PointList> corners; ///< in space, above the storey's floor
    Given<double> temperature, reduction_factor, warmer_in_winter, warmer_in_summer, absorptance;
};

/// Air that comes into a room from another one.
struct TransferAirInput {
    Given<std::string> from, way, profile, note;
    Given<double> flow;
};

struct RoomInput {
    Given<std::string> name, storey, type, like, walk, place, thermostat_in, status, leave_out, void_room, note;
    Given<QuantityList> at, size;
    Given<PointList> corners;
    Given<double> height, ceiling_void, floor_void, perimeter;
    Given<double> heating_load, sensible_load, latent_load; ///< that stand instead of the computed ones
    Given<std::string> load_reason;
    Given<TextList> slopes, perimeter_on;
    UseInput use{};
    std::vector<OpeningInput> openings{};
    std::vector<FaceInput> faces{};
    std::vector<TransferAirInput> transfer_air{};
    std::vector<GainInput> gains{};
    static void for_each_part(auto& self, auto visit) { visit(self.use); }
    static void for_each_nested(auto& self, auto visit)
    {
        visit("opening", self.openings);
        visit("face", self.faces);
        visit("transfer_air", self.transfer_air);
        visit("gain", self.gains);
    }
};

/// A record of a room that stands in a table by itself, a line each.
template <class Record>
struct OfRoom {
    Given<std::string> room;
    Record record{};
    static void for_each_part(auto& self, auto visit) { visit(self.record); }
};

/// Pipes between a plant and the terminal units of rooms.
struct CircuitInput {
    Given<std::string> name, carries, unit, plant, note;
    Given<double> supply, back, diversity;
};

/// What makes heat or cold.
struct PlantInput {
    Given<std::string> name, kind, note;
    Given<double> margin, units, diversity;
};

/// A product that someone has settled on: rated, not chosen.
struct KeptInput {
    Given<std::string> serves, duty, product, note;
    Given<double> count, chosen_for;
};

/// Loads typed in a table instead of, or beside, computed ones.
struct LoadsInput {
    Given<std::string> table, note;
};

/// How the heat balance takes what can be taken in more than one way.
struct MethodInput {
    Given<std::string> inside_films, outside_films, outdoor_air_flows, air_heat, note;
};

/// Everything given of a building and its site.
struct Input {
    ProjectInput project{};
    UnitsInput units{};
    std::vector<LibraryInput> libraries{};
    std::vector<TableFileInput> tables{};
    std::vector<AcceptedInput> accepted{};
    SiteInput site{};
    WeatherInput weather{};
    std::vector<MonthlyMeanInput> monthly_means{};
    FabricInput fabric{};
    std::vector<MaterialInput> materials{};
    std::vector<BuildupInput> build_ups{};
    std::vector<PaneInput> panes{};
    std::vector<GlazingInput> glazings{};
    std::vector<ShadeInput> shades{};
    GroundInput ground{};
    std::vector<ThermalBridgeInput> thermal_bridges{};
    std::vector<ObstructionInput> obstructions{};
    std::vector<ProfileInput> profiles{};
    std::vector<DaysInput> days{};
    std::vector<CalendarInput> calendars{};
    AirtightnessInput airtightness{};
    DwellingInput dwelling{};
    std::vector<RoomTypeInput> room_types{};
    PlanInput plan{};
    std::vector<StoreyInput> storeys{};
    std::vector<RoomInput> rooms{};
    std::vector<RepeatInput> repeats{};
    std::vector<CircuitInput> circuits{};
    std::vector<PlantInput> plants{};
    std::vector<KeptInput> kept{};
    LoadsInput loads{};
    MethodInput method{};
    std::vector<std::string> offered{}; ///< names that a library has beside these, for whoever misspells one
    quantity::OriginPool origins{};
};

} // namespace venture::building
