#include <venture/airside/system_need.hpp>

#include <fmt/format.h>

#include <venture/quantity/error.hpp>

namespace venture::airside {

using quantity::check_range;

namespace {

/// Of the outdoor air that is taken in, the share that reaches the breathing zone of the ruling room as if it ruled.
double efficiency_of(const SystemRoom& room, double average_outdoor_share)
{
    const double need = room.need.supply_m3_per_s();
    if (room.discharge_m3_per_s <= 0.0) return 1.0 + average_outdoor_share - need / room.least_primary_m3_per_s;
    const double primary = room.least_primary_m3_per_s / room.discharge_m3_per_s,
                 secondary = room.secondary_from_system;
    const double of_system = primary + (1.0 - primary) * secondary,
                 of_zone = 1.0 - (1.0 - room.need.effectiveness) * (1.0 - secondary) * (1.0 - primary);
    return (of_system + average_outdoor_share * primary - need / room.discharge_m3_per_s * of_zone) / of_system;
}

} // namespace

SystemNeed system_need(std::span<const SystemRoom> rooms, double people_at_once, double primary_m3_per_s)
{
    constexpr const char* where = "outdoor air of a system";
    SystemNeed out;
    double people = 0.0, for_people = 0.0, for_floors = 0.0, least_primary = 0.0;
    for (const SystemRoom& room : rooms) {
        check_range(where, "least primary air", room.least_primary_m3_per_s, {1e-9, 1e6}, "m3/s");
        check_range(where, "share of secondary air from the system", room.secondary_from_system, {0.0, 1.0}, "");
        if (room.discharge_m3_per_s > 0.0)
            check_range(where, "discharge", room.discharge_m3_per_s, {room.least_primary_m3_per_s, 1e6}, "m3/s");
        people += room.need.people;
        for_people += room.need.people * room.need.per_person_m3_per_s;
        for_floors += room.need.area_m2 * room.need.per_area_m_per_s;
        least_primary += room.least_primary_m3_per_s;
    }
    check_range(where, "rooms", static_cast<double>(rooms.size()), {1.0, 1e6}, "");
    check_range(where, "people at once", people_at_once, {0.0, people}, "");
    constexpr double rounding = 1.0 - 1e-9;
    check_range(where, "primary air", primary_m3_per_s, {rounding * least_primary, 1e6}, "m3/s");
    out.occupant_diversity = people > 0.0 ? people_at_once / people : 1.0;
    out.uncorrected_m3_per_s = out.occupant_diversity * for_people + for_floors;
    out.average_outdoor_share = out.uncorrected_m3_per_s / primary_m3_per_s;
    for (std::size_t i = 0; i < rooms.size(); ++i) {
        out.efficiency_of_room.push_back(efficiency_of(rooms[i], out.average_outdoor_share));
        if (out.efficiency_of_room[i] < out.efficiency_of_room[out.ruling_room]) out.ruling_room = i;
    }
    out.efficiency = out.efficiency_of_room[out.ruling_room];
    if (!(out.efficiency > 0.0))
        throw quantity::Error{
            fmt::format("{}: room {} gets too little air from the handler for its {:.4g} m3/s of outdoor air", where,
                        out.ruling_room + 1, rooms[out.ruling_room].need.supply_m3_per_s())};
    out.outdoor_intake_m3_per_s = out.uncorrected_m3_per_s / out.efficiency;
    return out;
}

} // namespace venture::airside
