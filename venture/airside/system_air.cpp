#include <venture/airside/system_air.hpp>

#include <algorithm>

#include <fmt/format.h>

namespace venture::airside {

namespace {

/// All that a room asks for at its largest, as a need by person and by area: what is not by person is there whoever is.
air::RoomNeed whole_need_of(const building::Room& room, double largest_m3_per_s)
{
    air::RoomNeed out = room.outdoor_air_need();
    const double by_plan = room.outdoor_air_by_plan_m3_per_s(), beside = by_plan - out.supply_m3_per_s(),
                 share = by_plan > 0.0 ? largest_m3_per_s / by_plan : 0.0; // hours and control never ask for all of it
    if (beside > 0.0) out.per_area_m_per_s += beside * out.effectiveness / out.area_m2;
    out.per_area_m_per_s *= share;
    out.per_person_m3_per_s *= share;
    return out;
}

/// Months whose design days are told of; winter's alone where there are none.
std::vector<int> months_of(const building::Building& b)
{
    std::vector<int> out;
    for (const climate::CoolingMonth& month : b.site.months) out.push_back(month.month);
    if (out.empty()) out.push_back(0);
    return out;
}

/// People who are there at once, over the sum of each room's most.
double diversity_of(const building::Building& b, std::span<const RoomSupply> rooms)
{
    double together = 0.0, apart = 0.0;
    for (const int month : months_of(b)) {
        std::array<double, 24> by_hour{};
        double most = 0.0;
        for (const RoomSupply& r : rooms) {
            const building::Use& use = b.rooms[r.room].use;
            const calendar::Profile& profile = b.calendars[use.people_profile].on_design_day(month);
            for (std::size_t h = 0; h < by_hour.size(); ++h) by_hour[h] += use.people.value * profile.fraction[h];
            most += use.people.value * profile.highest();
        }
        together = std::max(together, std::ranges::max(by_hour));
        apart = std::max(apart, most);
    }
    return apart > 0.0 ? std::min(1.0, together / apart) : 1.0;
}

SystemAir air_of(const building::Building& b, const building::AirSupply& supply, std::span<const RoomSupply> rooms)
{
    SystemAir out{.supply = supply.name, .rooms = rooms.size()};
    std::vector<SystemRoom> asked;
    double people = 0.0;
    for (const RoomSupply& r : rooms) {
        const building::Room& room = b.rooms[r.room];
        asked.push_back({.need = whole_need_of(room, r.outdoor_m3_per_s), .least_primary_m3_per_s = r.supply_m3_per_s});
        people += asked.back().need.people;
        out.asked_m3_per_s += r.outdoor_m3_per_s;
        out.supply_m3_per_s += r.supply_m3_per_s;
    }
    out.need = system_need(asked, diversity_of(b, rooms) * people, out.supply_m3_per_s);
    const SystemRoom& ruling = asked[out.need.ruling_room];
    out.ruling_room = b.rooms[rooms[out.need.ruling_room].room].name;
    out.ruling_share = ruling.need.supply_m3_per_s() / ruling.least_primary_m3_per_s;
    return out;
}

} // namespace

std::vector<SystemAir> system_air(const building::Building& b, std::span<const RoomSupply> rooms)
{
    std::vector<std::vector<RoomSupply>> by_supply(b.air_supplies.size());
    constexpr double no_flow_m3_per_s = 1e-9;
    for (const RoomSupply& r : rooms)
        if (r.supply_m3_per_s > no_flow_m3_per_s) by_supply[*b.rooms[r.room].use.air_supply].push_back(r);
    std::vector<SystemAir> out;
    for (std::size_t s = 0; s < by_supply.size(); ++s) {
        if (!b.air_supplies[s].gives_everything || by_supply[s].size() < 2) continue;
        SystemAir air = air_of(b, b.air_supplies[s], by_supply[s]);
        if (air.asked_m3_per_s > no_flow_m3_per_s) out.push_back(std::move(air));
    }
    return out;
}

std::string arithmetic_of(const SystemAir& air, const std::string& uncorrected, const std::string& supplied,
                          const std::string& intake)
{
    const SystemNeed& need = air.need;
    std::string out = fmt::format("'{}': {} outdoor air of {} supplied are {:.1f} %", air.supply, uncorrected, supplied,
                                  100.0 * need.average_outdoor_share);
    if (need.occupant_diversity < 1.0)
        out += fmt::format(", with {:.0f} % of its people at once", 100.0 * need.occupant_diversity);
    return out + fmt::format("; '{}' needs {:.1f} %, so that 1 + {:.3f} - {:.3f} = {:.3f} of the intake serves; {} / "
                             "{:.3f} = {}",
                             air.ruling_room, 100.0 * air.ruling_share, need.average_outdoor_share, air.ruling_share,
                             need.efficiency, uncorrected, need.efficiency, intake);
}

} // namespace venture::airside
