#pragma once
/// One hour of an air supply that gives its room everything: outdoor air, recovery and its bypass, free cooling, coils.

#include <venture/airside/coil_process.hpp>
#include <venture/airside/unsized_supply.hpp>
#include <venture/building/building.hpp>

namespace venture::airside {

/// Bounds of a supply as they are typed; for moisture, where it is not, what coils and steam can do with air for a room.
/// @param zone  air of the room
/// @param fresh  outdoor air as it comes to the coils: what it brings by itself is within bounds
[[nodiscard]] SupplyBounds bounds_of(const building::AirSupply& supply, const air::Point& zone, const air::Point& fresh,
                                     quantity::Pressure pressure);

struct HourAsks {
    air::Point zone{}, outdoor{};
    air::Point leaves{};                              ///< air that meets outdoor air in the recovery
    double sensible_W = 0.0, moisture_kg_per_s = 0.0; ///< to be given to the zone; negative: taken away
    double outdoor_kg_per_s = 0.0;                    ///< dry air that the zone must get from outdoors
    bool humidified = true;                           ///< else the zone gets as dry as outdoor air makes it
    double returned_share = 1.0;                      ///< of it, for which as much air goes back through the recovery
    quantity::Pressure pressure = quantity::Pressure::pascal(101325.0);
};

struct HandledHour {
    double outdoor_kg_per_s = 0.0; ///< with what cools for free
    air::Point behind_recovery{};
    double recovered_share = 0.0; ///< of the difference to the air that leaves
    double recovered_W = 0.0;     ///< sensible and latent, given to the outdoor air
    double free_cooling_W = 0.0;  ///< that outdoor air beyond its least, and recovery passed by, take from the zone
    double fan_W = 0.0;
    UnsizedSupply supply{};
    CoilProcess coils{};
};

/// In the order of the heat balance over a year: recovery is passed by as far as it keeps the zone from its set-point, then
/// more outdoor air is taken where it may cool, then the coils do the rest.
/// @throws quantity::RangeError  bounds of the supply air within which nothing can be given
[[nodiscard]] HandledHour handled_hour(const building::AirSupply& supply, const HourAsks& asked);

} // namespace venture::airside
