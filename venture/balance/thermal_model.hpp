#pragma once
/// The numeric form of a building on one design day: what the solver eats. It carries no names of the trade and no
/// origins beyond ids; it can be written by hand in a test or compiled from a building::Building (loads/compile.hpp).

#include <array>
#include <cstdint>
#include <optional>
#include <span>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

#include <venture/fabric/conduction.hpp>
#include <venture/fabric/convection.hpp>

namespace venture::balance {

/// What a signal is, so that a day can be replayed with one of them alone. Signals that are no forcing set how much
/// something counts: flows of air, films, conductances.
enum class Forcing : std::uint8_t {
    coefficient,
    outdoor_air,
    sun,
    sky, ///< its temperature, for long wave
    ground,
    people,
    lighting,
    equipment,
    moisture, ///< gains, humidity outdoors and its limits
    set_point,
    limit,
    given_temperature, ///< of what lies beyond a surface, of water
    stratification,    ///< what air under ceilings is warmer by; it stands in faces, not in signals
    other,
};
/// In the order above; "outdoor air", "set-point".
[[nodiscard]] std::span<const std::string_view> forcing_names();
/// Whether its unit is degC.
[[nodiscard]] bool is_temperature(Forcing forcing);

/// A forcing over the period: linear within each step, may jump between steps.
/// Holds one value per so many steps, or a single one that stands for every step.
struct Signal {
    std::vector<double> start{}; ///< at the beginning of each value's steps
    std::vector<double> end{};   ///< at their end; empty: linear to the next start, and from the last to the first
    bool level = false;          ///< each value stays as it is over its steps; there is no end then
    std::size_t steps_per_value = 1;
    Forcing forcing = Forcing::other;

    [[nodiscard]] double at(std::size_t step, double share_of_step) const
    {
        if (start.size() == 1) return end.empty() ? start[0] : start[0] + share_of_step * (end[0] - start[0]);
        const std::size_t i = step / steps_per_value;
        if (level) return start[i];
        const double into = (static_cast<double>(step % steps_per_value) + share_of_step) /
                            static_cast<double>(steps_per_value),
                     from = start[i];
        return from + into * (value_at_end(i) - from);
    }
    [[nodiscard]] double value_at_end(std::size_t value) const
    {
        if (level) return start[value];
        return end.empty() ? start[value + 1 < start.size() ? value + 1 : 0] : end[value];
    }
    [[nodiscard]] bool is_constant() const { return start.size() == 1 && (end.empty() || end == start); }
    /// Mean over the whole period.
    [[nodiscard]] double mean() const;
};

/// Index into ThermalModel::signals.
struct SignalId {
    std::uint32_t index = 0;
    friend bool operator==(SignalId, SignalId) = default;
};

/// A signal times a constant.
struct Drive {
    SignalId signal{};
    double factor = 1.0;
};
using Drives = std::vector<Drive>;

/// The face of a wall that looks into a zone.
struct ZoneFace {
    std::size_t zone = 0;
    double convective_W_per_m2K = 0.0;
    double radiative_W_per_m2K = 0.0;
    Drives absorbed_W{}; ///< sun that this face takes up, W
    /// Convection by the difference between face and air; the convective film above is then its first guess.
    std::optional<fabric::NaturalConvection> natural{};
    double air_warmer_K = 0.0; ///< at the face than the mean of the zone: tall rooms
};
/// Long-wave exchange of a face outdoors, apart from its film: with the sky, the ground, and things at the temperature
/// of outdoor air, each black.
struct LongWave {
    double emissivity = 0.9;
    double sky_share = 0.0, ground_share = 0.0; ///< view factors; the rest goes to the air's temperature
    SignalId sky_C{}, ground_C{};
    [[nodiscard]] double air_share() const { return 1.0 - sky_share - ground_share; }
};
/// A face outdoors: one film to an environment temperature (outdoor air; or sol-air, with no sun of its own).
struct OutdoorFace {
    double film_W_per_m2K = 0.0;
    SignalId environment_C{};
    std::optional<SignalId> film_by_step{}; ///< in place of the film: wind, shutters; constant over each step
    Drives absorbed_W{};                    ///< sun that this face takes up, W
    std::optional<LongWave> long_wave{};    ///< beside the film, which is then convection alone
};
/// A face at a given temperature, through a film or directly.
struct FixedFace {
    SignalId temperature_C{};
    std::optional<double> film_W_per_m2K{};
};
/// A face that exchanges nothing.
struct InsulatedFace {};
using Face = std::variant<ZoneFace, OutdoorFace, FixedFace, InsulatedFace>;

/// What a surface is counted as when a load is taken apart.
enum class Part { outside_wall, roof, window, door, ground, inner };
inline constexpr std::size_t part_count = 6;

/// Water that passes through a plane of a wall.
struct Water {
    std::size_t plane = 0;
    SignalId temperature_C{};
    SignalId conductance_W_per_m2K{}; ///< between water and plane, constant over each step; 0 while it stands still
};

/// A wall, roof, floor, window or partition.
struct Surface {
    std::string id{};
    double area_m2 = 0.0;
    std::size_t wall = 0; ///< index into ThermalModel::walls
    Face outside = InsulatedFace{};
    Face inside = InsulatedFace{};
    Part part = Part::outside_wall;
    std::vector<Drives> sources_W{}; ///< heat put into the planes of its wall, W; as many as planes, or fewer
    std::optional<Water> water{};
    std::optional<SignalId> shade_down{}; ///< share of its shade that is down; what it does stands in other signals
};

/// Air that comes into a zone from another one and displaces as much of its own.
struct TransferAir {
    std::size_t from = 0;
    Drives kg_per_s{}; ///< constant over each step
};

/// Air that a zone is supplied with, solved together with the zone; as much leaves it again. Bounds that coincide are
/// given values. Between them the flow is what holds a set-point, as far as this air is on the right side of it.
struct SupplyAir {
    Drives least_kg_per_s{}; ///< dry air; constant over each step, as are all flows
    /// At most. Nothing: the least, or, where it is cooled further, without limit.
    std::optional<Drives> most_kg_per_s{};
    SignalId temperature_C{}, humidity_ratio{}; ///< before it meets air that leaves
    /// Of the least flow, brought towards as much air that leaves: share of their difference, 0..1.
    double recovers_heat = 0.0, recovers_moisture = 0.0;
    bool bypass = true; ///< recovery is given up where it keeps the zone from its set-point, before more air is taken
    std::optional<double>
        coldest_exhaust_C{}; ///< recovers less, so that what leaves gets no colder; as the air is before
    std::optional<std::size_t> leaves_from{}; ///< zone whose air it meets; nothing: its own
    bool more_by_enthalpy = false; ///< more than the least only while it holds less heat than the zone's air before
    /// It is cooled further before it comes: all that is supplied is then so cold, and more than the least of this air is at
    /// most a share of what would hold the set-point alone.
    struct CooledFurther {
        double to_C = 14.0, share = 1.0;
    };
    std::optional<CooledFurther> cooled_further{};
};

/// Share of a zone's supply that goes evenly into a plane of some surface.
struct PlaneShare {
    std::size_t surface = 0, plane = 0;
    double share = 0.0;
};

/// A zone whose supply is that of another one, times a ratio: its own thermostat is not asked.
struct Follows {
    std::size_t zone = 0;
    double ratio = 1.0;
};

/// What the sun brings a zone through glass to outdoors, W. It tells, and does nothing: where it falls stands in faces and gains.
struct SunThroughGlass {
    Drives beam{}, diffuse{}; ///< light that comes through
    Drives taken_up{};        ///< heat that sun sets free in panes, on their inner faces, and in shades inside
};

/// Air of one zone, what heats, wets and ventilates it, and how it is controlled.
struct Zone {
    std::string id{};
    double air_capacity_J_per_K = 0.0;    ///< air and furniture
    double dry_air_kg = 0.0;              ///< holds the moisture
    double moisture_buffer = 1.0;         ///< what holds moisture, as a multiple of the air
    Drives infiltration_kg_per_s{};       ///< outdoor air by leakage; constant over each step
    Drives ventilation_kg_per_s{};        ///< outdoor air by plan, straight into the room; constant over each step
    double thermal_bridges_W_per_K = 0.0; ///< from the air straight to outdoors
    Drives convective_gain_W{};
    Drives radiant_gain_W{}; ///< shared by area among the faces of the zone
    Drives moisture_gain_kg_per_s{};
    std::optional<SignalId> heat_below_C{};        ///< heated when the control temperature would fall below
    std::optional<SignalId> cool_above_C{};        ///< cooled when it would rise above; the same signal for both: held
    std::optional<SignalId> dry_above_kg_per_kg{}; ///< moisture is removed above this humidity ratio
    std::optional<SignalId> wet_below_kg_per_kg{}; ///< and added below this one, never above the other
    std::optional<SignalId> dry_above_relative{};  ///< also above this relative humidity of its own air, 0..1
    std::optional<SignalId> wet_below_relative{};  ///< and added below this one, never above the others
    double radiant_weight = 0.0; ///< share of the radiant temperature in the control temperature (0 air, 0.5 operative)
    double convective_share = 1.0; ///< of what heats or cools; what planes do not get radiates to the faces by area
    std::vector<PlaneShare> plane_shares{};
    std::optional<SignalId> most_heating_W{}, most_cooling_W{}; ///< what the supply can give; unlimited if nothing
    /// Of that, by the zone's own air, W/K of its temperature in degC: a coil or a surface gives less the warmer the air.
    double most_heating_W_per_K = 0.0, most_cooling_W_per_K = 0.0;
    /// Of sensible and latent heat together; temperature goes first, and what is left dries.
    std::optional<SignalId> most_cooling_with_latent_W{};
    std::optional<SignalId> most_drying_kg_per_s{}, most_humidifying_kg_per_s{}; ///< unlimited if nothing
    [[nodiscard]] bool has_limited_moisture() const
    {
        return most_cooling_with_latent_W || most_drying_kg_per_s || most_humidifying_kg_per_s;
    }
    std::optional<SupplyAir> supply_air{};
    std::optional<Follows> follows{};
    std::vector<TransferAir> transfer_air{};
    SunThroughGlass sun{};
    [[nodiscard]] double radiant_share() const;
};

/// Heat of people by what they do: the warmer the air of their zone, the less of it is sensible and the more is moisture.
/// It goes by the air at the beginning of each step (of each part, where a step is carried out in parts).
struct BodyHeat {
    std::size_t zone = 0;
    SignalId sensible{}, latent{};               ///< of this alone, as they are at `reference_C`
    double reference_C = 24.0, none_at_C = 39.0; ///< sensible heat as in its signal; nil; linear, and on below
    double latent_per_sensible = 1.0;            ///< at the reference; above 0
    /// What the sensible signal is multiplied by: at least nil, at most all of the heat.
    [[nodiscard]] double sensible_factor(double air_C) const;
    /// What the latent one is multiplied by then, so that their sum stays.
    [[nodiscard]] double latent_factor(double sensible_factor) const;
};

/// Long wave between two faces inside, face by face.
struct RadiantLink {
    std::array<std::size_t, 2> surface{};
    std::array<bool, 2> inside{true, true}; ///< their inside faces, else their outside ones
    double W_per_K = 0.0;
};

/// Zones, surfaces and forcings over a period of equal steps.
struct ThermalModel {
    double step_s = 600.0;
    std::size_t steps = 144; ///< in the period
    double air_specific_heat_J_per_kgK = 1006.0;
    double pressure_Pa = 101325.0; ///< that relative humidities are of
    SignalId outdoor_air_C{};
    SignalId outdoor_humidity_ratio{};
    std::vector<Signal> signals{};
    std::vector<fabric::WallModes> walls{}; ///< each build-up once
    std::vector<Surface> surfaces{};
    std::vector<Zone> zones{};
    std::vector<BodyHeat> bodies{};
    /// The detailed choice of long wave inside, e.g. from fabric::grey_exchange_W_per_K(). Faces of one zone that are
    /// linked exchange by their links alone: their radiative films are then only where the search for it starts, and
    /// must not be nil. The radiant temperature is the mean of the faces weighted with these films.
    std::vector<RadiantLink> radiant_links{};

    SignalId add_constant(double value, Forcing forcing = Forcing::other);
    /// A signal whose values fill the period.
    SignalId add(Signal signal);
    /// Values at equal intervals that fill the period, linear in between and from the last to the first; one more value
    /// than intervals ends on that instead. Intervals are whole numbers of steps.
    SignalId add_points(std::vector<double> values, Forcing forcing = Forcing::other);
    /// Values that are constant over equal intervals that fill the period.
    SignalId add_blocks(std::vector<double> values, Forcing forcing = Forcing::other);

    [[nodiscard]] double value(const Drives& drives, std::size_t step, double share_of_step) const;
    [[nodiscard]] double value(SignalId id, std::size_t step, double share_of_step) const
    {
        return signals[id.index].at(step, share_of_step);
    }
};

} // namespace venture::balance
