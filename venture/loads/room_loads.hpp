#pragma once
/// What rooms need: plain data below terminal units, computed or typed. Choosing from a table needs no solver.

#include <cstdint>
#include <optional>
#include <string>
#include <vector>

#include <venture/figure/cell.hpp>
#include <venture/quantity/origin.hpp>

namespace venture::loads {

using figure::When;

/// Hour means of a room whose air supply gives it everything, on one design day, 24 values each: what its coil load follows
/// from. Empty for other rooms.
struct RoomStates {
    std::vector<double> air_C{}, humidity_ratio{};
    std::vector<double> humidifying_W{};    ///< of the room itself
    std::vector<double> planned_kg_per_s{}; ///< dry outdoor air by plan
    std::vector<double> outdoor_C{}, outdoor_humidity_ratio{};
    std::vector<double> leaves_C{}, leaves_humidity_ratio{}; ///< of the air that goes back
};

/// Hour means of one design day, W, 24 values from 0 h standard time.
struct LoadDay {
    std::string day{};
    int month = 0;
    double clock_ahead_h = 0.0;
    std::vector<double> sensible_W{}, latent_W{};
    std::vector<double> heating_W{}; ///< on that same day, where a room needs it
    RoomStates states{};
};

/// One line of a sum that can be done on paper: area * U * difference, or flow * capacity * difference.
struct PaperTerm {
    /// What sums of a building treat apart: what passes between heated rooms is no loss of theirs all together, and wind
    /// blows in on one side at a time.
    enum class Kind : std::uint8_t { other, between_heated_rooms, infiltration };
    std::string what{};
    double area_m2 = 0.0;     ///< 0 for air
    double u_W_per_m2K = 0.0; ///< 0 for air
    double h_W_per_K = 0.0;   ///< area * U, or flow * rho * cp
    double far_side_C = 0.0;
    double loss_W = 0.0;
    Kind kind = Kind::other;
};

/// Flows into a room's air in one hour, W; together with the supply they balance.
struct AirBalance {
    double outside_walls_W = 0.0, roof_W = 0.0, windows_W = 0.0, doors_W = 0.0, ground_W = 0.0, inner_W = 0.0;
    double thermal_bridges_W = 0.0;
    double convective_gains_W = 0.0, infiltration_W = 0.0, ventilation_W = 0.0, transfer_air_W = 0.0,
           released_by_air_W = 0.0;
    [[nodiscard]] double total_W() const
    {
        return outside_walls_W + roof_W + windows_W + doors_W + ground_W + inner_W + thermal_bridges_W +
               convective_gains_W + infiltration_W + ventilation_W + transfer_air_W + released_by_air_W;
    }
};

/// A computed load that somebody typed another one over.
struct Overruled {
    double computed_W = 0.0; ///< sensible and latent together, of cooling
    std::string reason{};    ///< empty if not said
    quantity::OriginId origin{};
};

/// Whether anything that is called a room can stand at such temperatures of its air: -100 to 150 degC, our bounds.
[[nodiscard]] bool is_a_room_at(double coldest_C, double warmest_C);

/// Needs of one room for a convective supply.
struct RoomLoad {
    std::string room{};
    std::string storey{};
    double floor_area_m2 = 0.0; ///< 0 if not known
    double volume_m3 = 0.0;     ///< alike
    bool typed = false;         ///< someone typed it; else computed by the heat balance
    quantity::OriginId origin{};
    std::optional<Overruled> heating_overruled{}, cooling_overruled{}; ///< by single values; `typed` then stays false
    bool heated = false, cooled = false;
    quantity::OriginId heating_setpoint_origin{}, cooling_setpoint_origin{}; ///< who said what is held

    double heating_W = 0.0; ///< largest hour mean
    /// Where it was computed for units that radiate: what it would be if all their heat went into the air.
    std::optional<double> heating_convective_W{};
    double heating_up_W = 0.0; ///< of it, what coming back from set-backs adds to holding set-points all day
    bool sets_back = false;    ///< itself; else heating_up_W is for rooms beside it that do
    double winter_air_C = 0.0; ///< of its air in winter design, as that day begins
    std::vector<double> heating_hours_W{}; ///< of winter design, 24 from 0 h; empty for typed loads
    double heating_room_C = 20.0;
    When heating_when{};
    RoomStates winter_states{};
    std::string
        supplied_by{}; ///< air supply whose coils these loads are, so that nothing stands in the room; empty: its own
    bool humidified = false;    ///< has a lower limit of humidity
    double humidifying_W = 0.0; ///< largest hour mean of any design day, as heat of vaporisation
    When humidifying_when{};

    double cooling_W = 0.0;     ///< sensible and latent together, largest hour mean
    double pre_cooling_W = 0.0; ///< of it, what coming back from set-backs adds to holding set-points on that day
    double cooling_sensible_W = 0.0, cooling_latent_W = 0.0; ///< in that same hour
    double cooling_sensible_peak_W = 0.0;                    ///< largest hour mean of the sensible part by itself
    double cooling_setpoint_C = 24.0;
    double cooling_air_C = 24.0, cooling_humidity_ratio = 0.0; ///< room air in the hour of the peak
    double cooling_outdoor_C = 0.0;                            ///< outdoor air in that hour
    double cooling_outdoor_air_kg_per_s = 0.0; ///< that comes into the room in that hour, by leaks and by plan
    When cooling_when{}, cooling_sensible_when{};

    bool humidity_held = false;                     ///< somebody limits it: what cools must take the moisture, too
    std::vector<LoadDay> cooling_days{};            ///< one per design month; empty for typed loads
    std::vector<PaperTerm> paper{};                 ///< steady heat loss, line by line; empty for typed loads
    AirBalance cooling_balance{};                   ///< in the hour of the peak
    double highest_air_C = 0.0, lowest_air_C = 0.0; ///< over all cooling design days and the winter design
    double wettest_kg_per_kg = 0.0;                 ///< highest humidity ratio over all cooling design days
    /// Whether rooms are like this somewhere on earth, saunas and cold stores among them: -100 to 150 degC, at most 1 kg of
    /// water for each kg of air. Where not, what was typed cannot be meant, and no other number of the room is any good.
    [[nodiscard]] bool can_be() const;
    /// Relative humidity, 0..1 and beyond, in the most humid hour of cooling design days in which people are in or the
    /// room is cooled; the day of that hour.
    double most_humid = 0.0;
    std::string most_humid_day{};
    [[nodiscard]] double paper_W() const;
};

/// Puts typed loads over the computed ones of a room, which then carry no hours.
/// @param latent_W  with the sensible load; nothing: 0
void overrule(RoomLoad& load, const std::optional<quantity::Sourced<double>>& heating_W,
              const std::optional<quantity::Sourced<double>>& sensible_W,
              const std::optional<quantity::Sourced<double>>& latent_W, const std::string& reason);

/// Loads of all rooms, and what they were computed from.
struct RoomLoads {
    std::vector<RoomLoad> rooms{};
    std::uint64_t fingerprint = 0; ///< of everything that the loads follow from
    double outdoor_winter_C = 0.0;
    double pressure_Pa = 101325.0;
};

/// Puts typed loads over computed ones, room by room; rooms that are only typed are added at the end.
void lay_over(const RoomLoads& typed, RoomLoads& onto);

/// Largest hour mean of the sum over some rooms.
struct Coincident {
    double total_W = 0.0, sensible_W = 0.0, latent_W = 0.0;
    double sum_of_peaks_W = 0.0; ///< of the same rooms, each at its own hour
    bool by_hour = true;         ///< false: some loads are typed, without hours, and were added at their peak
    When when{};
    std::size_t day = 0, hour = 0; ///< the same: of RoomLoad::cooling_days, of standard time
};
[[nodiscard]] Coincident coincident_cooling(const RoomLoads& loads, const std::vector<std::size_t>& rooms);

/// What some rooms need of heating in an hour of winter design; typed loads count as they are.
[[nodiscard]] double heating_in_W(const RoomLoads& loads, const std::vector<std::size_t>& rooms, std::size_t hour);
/// The hour in which that is largest, the first of equals.
[[nodiscard]] std::size_t hour_of_heating(const RoomLoads& loads, const std::vector<std::size_t>& rooms);
/// What they need in that hour.
[[nodiscard]] inline double heating_together_W(const RoomLoads& loads, const std::vector<std::size_t>& rooms)
{
    return heating_in_W(loads, rooms, hour_of_heating(loads, rooms));
}

} // namespace venture::loads
