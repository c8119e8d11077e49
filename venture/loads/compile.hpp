#pragma once
/// The one visible step from what an engineer talks about to what the solver eats.

#include <vector>

#include <venture/balance/thermal_model.hpp>
#include <venture/building/building.hpp>
#include <venture/loads/spell.hpp>

namespace venture::loads {

/// Share of sunlight that a face inside takes up at each strike; our assumption for mid-coloured rooms.
inline constexpr double inside_solar_absorptance = 0.6;
/// Absorptance of doors, and of the frames of windows; our assumption for mid-coloured ones.
inline constexpr double door_solar_absorptance = 0.6, frame_solar_absorptance = 0.6;
/// Of the heat that a shade inside gives off, what goes into the air: both of its faces are in it, one radiates into the
/// room. Our assumption.
inline constexpr double shade_convective_share = 0.6;
/// Emissivity of faces outdoors, for long wave: building materials; glass (EN 12898).
inline constexpr double outside_emissivity = 0.9, glass_emissivity = 0.837;

class Scenes;

/// What a surface of the model was made from.
struct SurfaceFrom {
    std::size_t surface = 0;              ///< of the building
    std::optional<std::size_t> opening{}; ///< in it, if it is one
};

struct Compiled {
    balance::ThermalModel model{};
    std::vector<std::size_t> zone_of_room{}; ///< rooms in the building's order
    std::vector<SurfaceFrom>
        surfaces_from{}; ///< of the model's surfaces, for whoever wants to know where numbers come from
    /// Dry outdoor air by plan, room by room, whatever its way; signals of the model.
    std::vector<balance::Drives> planned_kg_per_s{};
};

struct CompileOptions {
    double step_s = 600.0; ///< 60 to 3600, a divisor of an hour
    bool limits = false;   ///< supplies give no more than their limits, and follow the thermostat that governs them
    bool setbacks = true;  ///< false: set-points hold all day, to tell what heating-up adds
    /// Modes of the building's build-ups if they are at hand: they are the same on every day. Made anew if empty.
    std::vector<fabric::WallModes> build_up_modes{};
    /// What stands before its surfaces, alike; not used in winter design. Found anew if null.
    const Scenes* scenes = nullptr;
};

/// One zone a room, in the order of the rooms' names, so that the order of the input does not matter.
/// In winter design there are no gains, ventilation is at its full flow all day, and only heating acts; otherwise
/// heating and cooling act as the set-points say.
[[nodiscard]] Compiled compile(const building::Building& building, const Spell& spell,
                               const CompileOptions& options = {});
/// The same for a design day.
[[nodiscard]] Compiled compile(const building::Building& building, const climate::DesignDay& day,
                               const CompileOptions& options = {});
/// Modes of every build-up, in the building's order, as many as the step needs.
[[nodiscard]] std::vector<fabric::WallModes> build_up_modes(const building::Building& building, double step_s);

/// Heat that air carries, J/kgK for each kilogram of dry air: 1,006, or 1,006 + 1,860 w with the vapour in it.
/// @param outdoor_humidity_ratio  mean over the spell
[[nodiscard]] double air_specific_heat_J_per_kgK(const building::Method& method, double outdoor_humidity_ratio);
/// What a volume flow of outdoor air counts as beside one of 20 degC: 1, or 293.15 K over its own temperature.
[[nodiscard]] double outdoor_flow_counts(const building::Method& method, double outdoor_C);

} // namespace venture::loads
