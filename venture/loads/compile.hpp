#pragma once
/// The one visible step from what an engineer talks about to what the solver eats.

#include <vector>

#include <venture/building/building.hpp>
#include <venture/climate/design_day.hpp>
#include <venture/loads/thermal_model.hpp>

namespace venture::loads {

/// Shares of what gains give off as radiation; the rest is convection.
/// Source    ASHRAE Handbook - Fundamentals, nonresidential cooling load chapter, typical splits, rounded.
inline constexpr double radiant_share_people = 0.6, radiant_share_lighting = 0.5, radiant_share_equipment = 0.3;
/// Share of sunlight that a face inside takes up at each strike; our assumption for mid-coloured rooms.
inline constexpr double inside_solar_absorptance = 0.6;
/// Absorptance of doors; our assumption.
inline constexpr double door_solar_absorptance = 0.6;

struct Compiled {
    ThermalModel model{};
    std::vector<std::size_t> zone_of_room{}; ///< rooms in the building's order
};

/// One zone a room, in the order of the rooms' names, so that the order of the input does not matter.
/// A winter day (month 0) has no gains, and ventilation at its full flow all day; only heating acts.
/// On other days heating and cooling act as the set-points say.
/// @param step_s  60 to 3600, a divisor of an hour
[[nodiscard]] Compiled compile(const building::Building& building, const climate::DesignDay& day,
                               double step_s = 600.0);
/// The same with the modes of the building's build-ups already at hand: they are the same on every day.
[[nodiscard]] Compiled compile(const building::Building& building, const climate::DesignDay& day, double step_s,
                               const std::vector<fabric::WallModes>& build_up_modes);
/// Modes of every build-up, in the building's order, as many as the step needs.
[[nodiscard]] std::vector<fabric::WallModes> build_up_modes(const building::Building& building, double step_s);

/// Density of room air at 20 degC and the site's pressure, kg/m3: what volume flows are turned into mass flows with.
[[nodiscard]] double room_air_density_kg_per_m3(quantity::Pressure pressure);

} // namespace venture::loads
