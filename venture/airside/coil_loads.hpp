#pragma once
/// Loads of the coils of air supplies that give their rooms everything, on design days: rooms and outdoor air together.

#include <string>
#include <vector>

#include <venture/air/point.hpp>
#include <venture/airside/supply_load.hpp>
#include <venture/airside/system_air.hpp>
#include <venture/building/building.hpp>
#include <venture/loads/room_loads.hpp>
#include <venture/quantity/problem.hpp>

namespace venture::quantity {
class PreferredUnits;
}

namespace venture::airside {

/// What air goes through in one hour.
struct AirStates {
    air::Point outdoor{}, behind_recovery{}, mixed{}, off_coil{}, supply{}, room{};
    double outdoor_kg_per_s = 0.0, supply_kg_per_s = 0.0;
};

/// Its air over the hours of one design day: of air at 20 degC, without free cooling; electric power.
struct AirDay {
    std::vector<double> supply_m3_per_s{}, outdoor_m3_per_s{}, fan_W{};
};

/// Of one room. W, largest hour means unless said otherwise; within what the supply can give.
struct CoilLoad {
    std::string room{}, supply{};
    double heating_W = 0.0;                              ///< sensible, in winter design
    double heating_short_W = 0.0, cooling_short_W = 0.0; ///< asked for beside it, and not given, in the same hours
    figure::When heating_when{};
    double recovered_W = 0.0; ///< in that hour, beside it
    double room_heating_W = 0.0;
    double humidifying_kg_per_s = 0.0, humidifying_W = 0.0; ///< of any design day
    double cooling_W = 0.0, cooling_sensible_W = 0.0;       ///< sensible and latent; of it, sensible in that hour
    figure::When cooling_when{};
    double room_cooling_W = 0.0;
    double reheat_W = 0.0;                                ///< of air that was cooled to be dried, largest
    double outdoor_m3_per_s = 0.0, supply_m3_per_s = 0.0; ///< largest, of air at 20 degC; without free cooling
    double fan_W = 0.0;
    AirStates in_winter{}, in_summer{};         ///< in the hours of heating and of cooling
    std::vector<double> heating_hours_W{};      ///< of winter design
    std::vector<loads::LoadDay> cooling_days{}; ///< heating on them is reheat, too
    std::vector<AirDay> air_days{};             ///< winter design, then those
};

struct CoilLoads {
    std::vector<CoilLoad> rooms{};
    std::vector<SupplyLoad> supplies{};
    std::vector<SystemAir> systems{};          ///< of supplies that serve several of them
    std::vector<quantity::Problem> problems{}; ///< rooms that their supply cannot serve, or not in full
};

/// That a supply's bounds let it give a room nothing of what it asks for. @param why  what was found
[[nodiscard]] quantity::Problem supply_serves_no_room(const building::AirSupply& supply, const std::string& room,
                                                      std::string_view why);

/// In the order of the rooms; those of other rooms are their own.
[[nodiscard]] CoilLoads coil_loads(const building::Building& building, const loads::RoomLoads& loads,
                                   const quantity::PreferredUnits& units = {});

/// A room's load as that of its coils.
void take_coil(loads::RoomLoad& room, const CoilLoad& coil);

/// Loads as circuits and plants see them: where a supply gives a room everything, those of its coils.
[[nodiscard]] loads::RoomLoads with_coils(loads::RoomLoads loads, const CoilLoads& coils);

} // namespace venture::airside
