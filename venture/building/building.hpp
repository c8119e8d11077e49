#pragma once
/// A complete, checked building: what an engineer talks about. Made by resolve(); never changed afterwards.

#include <array>
#include <cstdint>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include <venture/air/room_need.hpp>
#include <venture/building/humidity_limit.hpp>
#include <venture/calendar/calendar.hpp>
#include <venture/climate/design_day.hpp>
#include <venture/fabric/glazed_unit.hpp>
#include <venture/fabric/ground_year.hpp>
#include <venture/fabric/shade.hpp>
#include <venture/fabric/stated_buildup.hpp>
#include <venture/fabric/typed_u_value.hpp>
#include <venture/input/air_supply.hpp>
#include <venture/input/shapes.hpp>
#include <venture/input/use.hpp>
#include <venture/plan/plates.hpp>
#include <venture/plan/polygon.hpp>
#include <venture/plan/space.hpp>
#include <venture/quantity/origin.hpp>

namespace venture::building {

using plan::Attitude;
using plan::CeilingSlope;
using plan::GridPoint;
using plan::Plates;
using plan::Polygon;
using plan::Polygons;
using plan::Ring;
using plan::RoomFace;
using plan::Spot;
using quantity::Sourced;

struct Project {
    std::string name{}, client{}, number{}, author{}, revision{};
    int year = 2029; ///< whose weekdays and dates calendars count
    quantity::OriginId year_origin{};
};

struct Storey {
    std::string name{};
    double level_m = 0.0, height_m = 0.0; ///< floor to floor
};

/// Heat and moisture from something inside, at full, with when. What is lost on the way is not in it.
struct Gain {
    enum class Kind { people, lighting, equipment, cooking, moisture };
    std::string name{};
    Kind kind = Kind::equipment;
    double convective_W = 0.0, radiant_W = 0.0; ///< sensible heat into the room
    double moisture_kg_per_s = 0.0;
    double to_void_W = 0.0;  ///< sensible heat into the void over the ceiling
    double lost_W = 0.0;     ///< that leaves at once, as through a hood
    std::size_t profile = 0; ///< index into Building::calendars
    /// Room temperature that these are for: people by what they do, whose sensible heat turns into moisture as the air
    /// gets warmer (heat_of_person()). Nothing: the same at any.
    std::optional<double> at_room_C{};
    quantity::OriginId origin{};
    [[nodiscard]] double sensible_W() const { return convective_W + radiant_W; }
};

/// What is held outside the hours of a set-point, and how it comes back.
struct Setback {
    Sourced<double> temperature_C{};
    std::size_t profile = 0;      ///< when the set-point holds; index into Building::calendars
    double ramp_h = usual_ramp_h; ///< before it does
    static constexpr double usual_ramp_h = 2.0;
};

/// Relative humidity that cooled rooms without a limit are held at on design days, as if it were typed: what a cooling
/// coil leaves, nearly; our assumption.
inline constexpr double assumed_design_humidity = 0.5;

/// How the heat balance takes what can be taken in more than one way.
struct Method {
    bool films_by_difference = false; ///< inside; else fixed after ISO 6946
    bool wind_and_sky = false;        ///< outside; else 25 W/m2K to the air
    bool flows_as_outdoors = false;   ///< volume flows of outdoor air are of its own density; else of 20 degC
    bool moist_air_heat = false;      ///< vapour carries heat; else dry air alone does
    bool humidity_of_air = false;     ///< limits by relative humidity are of the room's own air; else at set-points
};

/// Use of a room, complete.
struct Use {
    std::optional<Sourced<double>> heating_setpoint_C{}; ///< nothing: unheated
    std::optional<Sourced<double>> cooling_setpoint_C{}; ///< nothing: not cooled
    std::optional<HumidityLimit> humidity_limit{};       ///< nothing: floats, but on cooling design days
    std::optional<HumidityLimit> least_humidity{};       ///< nothing: floats
    std::optional<Setback> heating_setback{}, cooling_setback{};
    double stratification_K = 0.0; ///< air under the ceiling warmer than at the floor, while heated
    double moisture_buffer = 1.0;  ///< multiple of the air's own
    bool control_operative = true; ///< set-points hold the operative, else the air temperature
    Sourced<double> people{}, sensible_per_person_W{}, latent_per_person_W{};
    std::optional<double> person_at_C{}; ///< room temperature that these are for; nothing: the same at any
    Sourced<double> lighting_W_per_m2{}, equipment_W_per_m2{}, equipment_W{}, moisture_kg_per_s{};
    std::vector<Gain> gains{}; ///< what all of these come to, and what was given by itself; with diversity
    Sourced<double> infiltration_per_h{}, infiltration_summer_per_h{}, ventilation_per_person_m3_per_s{},
        ventilation_per_area_m_per_s{}, ventilation_per_h{}, ventilation_m3_per_s{}; ///< all of them are added up
    Sourced<double> air_effectiveness{1.0};                ///< what is by person and by area is divided by it
    std::optional<Sourced<double>> carbon_dioxide_limit{}; ///< share of volume
    Sourced<double> carbon_dioxide_per_person_m3_per_s{};
    input::VentilationControl ventilation_control = input::VentilationControl::constant;
    Sourced<double> least_ventilation_m_per_s{}; ///< for the floor area, while it is on
    double ventilation_lag_s = 0.0;
    std::optional<std::size_t> air_supply{}; ///< index into Building::air_supplies; nothing: straight into the room
    Sourced<double> furniture_J_per_m2K{};
    std::optional<Sourced<double>> heating_limit_W{}, cooling_limit_W{}; ///< of what stands in the room, in a year
    std::optional<Sourced<double>> drying_limit_kg_per_s{}, humidifying_limit_kg_per_s{}; ///< the same
    Sourced<double> radiant_share{};                                                      ///< of what heats or cools
    std::optional<Sourced<double>> warmest_surface_C{}; ///< of what heats there; nothing: any
    std::size_t people_profile = 0, lighting_profile = 0, equipment_profile = 0, moisture_profile = 0,
                ventilation_profile = 0;
    Sourced<std::string> heated_by{}, cooled_by{}; ///< circuit; empty if not said
};

/// A value that a room has instead of its type's, both as text.
struct OverruledValue {
    std::string key{}, own{}, of_type{};
};

struct Room {
    std::string name{};
    std::size_t storey = 0;
    std::string type{};              ///< empty if none
    Polygon outline{};               ///< plan, grid points, to wall centre lines; holes where other rooms stand within
    bool on_plan = true;             ///< else its neighbours are stated, every one
    std::optional<bool> over_void{}; ///< its lowest floor, else on soil; nothing: as the building's
    double floor_m = 0.0, height_m = 0.0;        ///< of the flat ceiling, if there are slopes as well
    std::vector<CeilingSlope> slopes{};          ///< the ceiling is the lowest of them and of the height
    std::vector<RoomFace> faces{};               ///< that enclose it, if it was given by them; all else follows
    double floor_area_m2 = 0.0, volume_m3 = 0.0; ///< as typed: between inside faces if that is what lengths run to
    Use use{};
    /// That stand instead of the computed loads, and why.
    std::optional<Sourced<double>> heating_load_W{}, sensible_load_W{}, latent_load_W{};
    std::string load_reason{};
    bool left_out = false;                      ///< stands, but is not conditioned, not used, and counts in no sum
    std::optional<std::size_t> void_room{};     ///< that takes heat sent into the void over its ceiling
    std::optional<std::size_t> thermostat_in{}; ///< room whose thermostat governs this one's supply, in a year
    quantity::OriginId origin{};
    std::vector<OverruledValue> overruled{};
    int values_given = 0, values_by_type = 0, values_by_default = 0; ///< of its use: who said them
    [[nodiscard]] double outdoor_air_by_plan_m3_per_s() const;       ///< ventilation at full: the larger of both needs
    [[nodiscard]] air::RoomNeed outdoor_air_need() const;            ///< by person and by area
    [[nodiscard]] double outdoor_air_as_typed_m3_per_s() const;      ///< that, by volume, and of the room as a whole
    [[nodiscard]] double outdoor_air_for_carbon_dioxide_m3_per_s() const; ///< what keeps to its limit; 0 without one
    /// Above which it is dried while it is cooled; nothing: it floats.
    [[nodiscard]] std::optional<HumidityLimit> dried_above(const Method& method, bool for_design) const;
    /// Cooled without a limit of humidity: held at `assumed_design_humidity` on cooling design days.
    [[nodiscard]] bool is_held_at_assumed_humidity() const
    {
        return use.cooling_setpoint_C && !use.humidity_limit && !left_out;
    }
};

/// What lies behind a surface.
struct Neighbour {
    enum class Kind { outdoors, ground, room, nothing, temperature, unheated };
    Kind kind = Kind::outdoors;
    std::size_t room = 0;          ///< for a room
    double temperature_C = 0.0;    ///< for a stated temperature
    double reduction_factor = 1.0; ///< of an unheated space: how far it lies from the room's temperature to outdoors
    double warmer_in_winter_K = 0.0, warmer_in_summer_K = 0.0; ///< than outdoors
    bool in_shade = false;                                     ///< for ever
    bool like_room = false; ///< nothing is exchanged since a like room lies behind, as behind a party wall
};

/// A window or door, or several alike in one surface.
struct Opening {
    enum class Kind {
        window,
        door,
        open
    }; ///< open: between rooms, with nothing in it; its air is among Building::transfer_air
    std::string name{};
    Kind kind = Kind::window;
    double width_m = 0.0, height_m = 0.0, sill_m = 0.0;
    std::vector<double> from_left_m{};  ///< left edge of each, along the wall seen from outside
    std::size_t glazing = 0;            ///< of a window
    std::optional<std::size_t> shade{}; ///< of a window; index into Building::shades
    double u_value_W_per_m2K = 0.0;     ///< of a door
    Plates plates{};                    ///< round each of them
    double open_share = 0.0;            ///< of a door to outdoors: of the time that each stands open
    [[nodiscard]] double area_m2() const { return width_m * height_m * static_cast<double>(from_left_m.size()); }
};

/// A plane part of a room's boundary with one neighbour. Splitting keeps room and parent.
struct Surface {
    std::string name{};        ///< "south wall to outdoors"; unique in the room
    std::string parent{};      ///< the face it is a part of: "south wall", "floor", "roof", or as someone called it
    std::string found_as{};    ///< of a face that someone gave a name: what it is called without
    std::string face_beyond{}; ///< of the room behind it: the face that it is a part of there
    std::size_t room = 0;
    Attitude attitude = Attitude::wall;
    Neighbour beyond{};
    double tilt_deg = 90.0;
    double azimuth_deg = 0.0;           ///< true bearing of the outward normal
    Polygons shape{};                   ///< in its own plane: walls along the plan line and up, others as on the plan
    GridPoint plan_start{}, plan_end{}; ///< of the whole face, for walls; anticlockwise round the room. Of slopes: the
                                        ///< shape's zero, and one metre along its first axis
    double start_m = 0.0;               ///< height of the shape's zero above the project's
    double gross_m2 = 0.0;              ///< openings not taken off
    std::size_t build_up = 0;           ///< index into Building::build_ups; outside to inside as this room sees it
    /// The same layers the other way round, of half the area: a wall between rooms that differs from side to side, and
    /// of which nobody said which way it faces.
    std::optional<std::size_t> other_half{};
    std::optional<double> absorptance{}; ///< of its outside face, where that is not its build-up's
    std::vector<Opening> openings{};
    [[nodiscard]] double openings_m2() const;
    [[nodiscard]] double net_m2() const { return gross_m2 - openings_m2(); }
    [[nodiscard]] const std::string& plain_name() const { return found_as.empty() ? parent : found_as; }
    [[nodiscard]] bool is_upright() const { return tilt_deg == 90.0; }
    [[nodiscard]] bool is_level() const { return tilt_deg == 0.0 || tilt_deg == 180.0; }
    [[nodiscard]] bool is_slope() const { return !is_upright() && !is_level(); }
};

/// A build-up, how its outside takes up the sun, and how its layers were found.
struct NamedBuildup {
    fabric::Buildup layers{};
    double absorptance = 0.6;
    quantity::OriginId origin{}; ///< of its layers, words or U-value
    fabric::HeatFlow direction = fabric::HeatFlow::horizontal;
    fabric::PlainBuildup made{};                ///< of stated layers; its `layers` are those above
    std::optional<fabric::TypedUValue> typed{}; ///< of a U-value
    std::string described{}, assumed{};         ///< in words, if it was, and what was assumed; the layers follow
    std::string source{};
    std::optional<fabric::GroundYear> ground{}; ///< of a floor with the ground's layers under it
};

/// A glazing, and its panes if they are known.
struct NamedGlazing {
    fabric::Glazing values{};
    std::optional<fabric::GlazedUnit> unit{};
    std::optional<fabric::Frame> frame{};
    std::string source{};
};

/// A shade and when it is down.
struct NamedShade {
    fabric::Shade layer{};
    fabric::ShadeUse use = fabric::ShadeUse::above_irradiance;
    double above_W_per_m2 = 200.0;
    std::size_t profile = 0;                 ///< of its own rule
    double added_resistance_m2K_per_W = 0.0; ///< to the window, while it is down
};

/// "window", "door", "open".
[[nodiscard]] std::string_view name_of(Opening::Kind kind);

/// U of the glass alone; of the window where panes are not known.
[[nodiscard]] double glass_u_value(const NamedGlazing& glazing);
/// What is left of the sun behind a glazing with a shade down: fabric::shaded_gain().
[[nodiscard]] fabric::ShadedGain gain_with_shade(const NamedGlazing& glazing, const fabric::Shade& shade);

/// Heat that goes round a room's layers to outdoors.
struct ThermalBridge {
    std::string name{};
    std::size_t room = 0;
    double heat_loss_W_per_K = 0.0; ///< all alike together
    double length_m = 0.0;          ///< of one junction; of a fixing 0
};

/// What stands near the building and takes sun from it.
struct Obstruction {
    std::string name{};
    Ring outline{};                       ///< plan, grid points, anticlockwise
    double base_m = 0.0, top_m = 0.0;     ///< above the project's zero
    double with_leaves = 0.0, bare = 0.0; ///< share of sun that passes
    [[nodiscard]] bool solid() const { return with_leaves <= 0.0 && bare <= 0.0; }
};

/// Where two parts of one room meet without a wall: air goes both ways (among Building::transfer_air), long wave does not.
struct OpenBoundary {
    std::size_t first = 0, second = 0; ///< rooms
    GridPoint from{}, to{};            ///< on the plan
    double area_m2 = 0.0;
};

/// Air that goes from one room into another.
struct TransferAir {
    std::size_t from = 0, to = 0; ///< rooms
    double flow_m3_per_s = 0.0;   ///< at full
    std::size_t profile = 0;      ///< index into Building::calendars
    bool both_ways = false;       ///< as much goes back
    quantity::OriginId origin{};
};

/// Outdoor air that comes to rooms by an air handler of which nothing is drawn.
struct AirSupply {
    std::string name{};
    bool gives_everything = false; ///< exactly what its rooms ask for; else outdoor air as recovery leaves it
    input::FreeCooling free_cooling = input::FreeCooling::none;
    double greatest_outdoor_share = 1.0;
    double fan_pressure_Pa = 0.0, fan_efficiency = 1.0; ///< all fans together
    double heat_recovery = 0.0, moisture_recovery = 0.0;
    bool bypass = true;
    std::optional<double> coldest_exhaust_C{};
    std::optional<std::size_t> returns_through{}; ///< room
    double coldest_supply_C = 14.0, warmest_supply_C = 40.0;
    std::optional<double> driest_supply{}, wettest_supply{}; ///< kg/kg; nothing: what coils and steam can do
    /// Of a room's floor, without reheat; cooling with latent heat.
    std::optional<Sourced<double>> greatest_heating_W_per_m2{}, greatest_cooling_W_per_m2{};
    quantity::OriginId origin{};
    /// W for each m3/s of outdoor or supply air.
    [[nodiscard]] double fan_power_W_per_m3_per_s() const { return fan_pressure_Pa / fan_efficiency; }
};

/// Air that is taken out of a room to outdoors.
struct Extract {
    std::string name{};
    std::size_t room = 0;
    double flow_m3_per_s = 0.0; ///< all alike, at full
    std::size_t profile = 0;    ///< index into Building::calendars
    quantity::OriginId origin{};
};

/// What lengths on the plan were typed to. Surfaces always run along wall centre lines; floor areas and volumes are
/// those between inside faces where that is what was typed.
using input::PlanDimensions;

struct Building {
    Project project{};
    PlanDimensions dimensions = PlanDimensions::centre_lines;
    climate::Site site{};
    Method method{};
    double plan_bearing_deg = 0.0;
    std::vector<NamedBuildup> build_ups{};
    std::vector<NamedGlazing> glazings{};
    std::vector<NamedShade> shades{};
    std::vector<ThermalBridge> thermal_bridges{};
    std::vector<TransferAir> transfer_air{};
    std::vector<AirSupply> air_supplies{};
    std::vector<Extract> extracts{};
    std::vector<Obstruction> obstructions{};
    std::vector<calendar::Calendar> calendars{}; ///< profiles too; [0] is "always", [1] is "never"
    std::vector<Storey> storeys{};
    std::vector<Room> rooms{};       ///< in the order of the input
    std::vector<Surface> surfaces{}; ///< a wall between two rooms stands once
    std::vector<OpenBoundary> open_boundaries{};
    quantity::OriginPool origins{};
    std::uint64_t fingerprint = 0; ///< of all that it follows from; 0 of one that was not resolved
    [[nodiscard]] std::optional<std::size_t> find_room(std::string_view name) const;
};

/// Where the plane of a surface's shape lies in space: along the plan's x and y, and up.
struct SurfacePlane {
    using Way = std::array<double, 3>;
    Spot zero_m{};            ///< where both coordinates of the shape are 0
    Way along{}, up{}, out{}; ///< its axes, and out of the room
};
[[nodiscard]] SurfacePlane plane_of(const Surface& surface);
/// What sills of a surface's openings are counted from, in the coordinates of its shape: the room's floor, or the lower
/// edge of a roof. m
[[nodiscard]] double foot_of_sills_m(const Building& building, const Surface& surface);
/// Where heat flows on its way out of the room through this surface.
[[nodiscard]] fabric::HeatFlow heat_flow(Attitude attitude);
/// The same for whoever stands behind it: a floor is the ceiling of the room below.
[[nodiscard]] fabric::HeatFlow heat_flow_behind(Attitude attitude);
/// Of its own layers, air gaps too; the ground under a floor is not part of it. m
[[nodiscard]] double thickness_m(const NamedBuildup& build_up);
/// Nothing where it is not known: of layers that were found for a typed U-value, and where a layer is a bare resistance. m
[[nodiscard]] std::optional<double> known_thickness_m(const NamedBuildup& build_up);
/// U-value air to air with the surface's own films, W/m2K: outdoors 0.04, another room the film on its side,
/// else 0.
[[nodiscard]] double u_value(const Building& building, const Surface& surface);
/// The same of an opening in it: as stated, with the film of the other room where it stands between two, and with a
/// shutter that is always down.
[[nodiscard]] double u_value(const Building& building, const Surface& surface, const Opening& opening);

} // namespace venture::building
