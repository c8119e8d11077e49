#include <venture/loads/room_loads.hpp>

#include <algorithm>
#include <cmath>

#include <venture/loads/hourly_day.hpp>

namespace venture::loads {

bool is_a_room_at(double coldest_C, double warmest_C)
{
    constexpr double lowest_C = -100.0, highest_C = 150.0;
    return coldest_C >= lowest_C && warmest_C <= highest_C;
}

bool RoomLoad::can_be() const
{
    constexpr double wettest = 1.0;
    return is_a_room_at(lowest_air_C, highest_air_C) && wettest_kg_per_kg <= wettest;
}

double RoomLoad::paper_W() const
{
    double sum = 0.0;
    for (const PaperTerm& term : paper) sum += term.loss_W;
    return sum;
}

void overrule(RoomLoad& load, const std::optional<quantity::Sourced<double>>& heating_W,
              const std::optional<quantity::Sourced<double>>& sensible_W,
              const std::optional<quantity::Sourced<double>>& latent_W, const std::string& reason)
{
    if (heating_W) {
        load.heating_overruled = {load.heating_W, reason, heating_W->origin};
        load.heated = true;
        load.heating_W = heating_W->value;
        load.heating_up_W = 0.0;
        load.heating_hours_W.clear();
    }
    if (sensible_W) {
        load.cooling_overruled = {load.cooling_W, reason, sensible_W->origin};
        load.cooled = true;
        load.cooling_sensible_W = load.cooling_sensible_peak_W = sensible_W->value;
        load.cooling_latent_W = latent_W ? latent_W->value : 0.0;
        load.cooling_W = load.cooling_sensible_W + load.cooling_latent_W;
        load.pre_cooling_W = 0.0;
        load.cooling_days.clear();
        load.cooling_when = load.cooling_sensible_when = {};
    }
}

void lay_over(const RoomLoads& typed, RoomLoads& onto)
{
    for (const RoomLoad& load : typed.rooms) {
        const auto same = std::ranges::find(onto.rooms, load.room, &RoomLoad::room);
        if (same == onto.rooms.end()) {
            onto.rooms.push_back(load);
            continue;
        }
        const double area_m2 = load.floor_area_m2 > 0.0 ? load.floor_area_m2 : same->floor_area_m2;
        const std::string storey = load.storey.empty() ? same->storey : load.storey;
        *same = load;
        same->floor_area_m2 = area_m2;
        same->storey = storey;
    }
}

double heating_in_W(const RoomLoads& loads, const std::vector<std::size_t>& rooms, std::size_t hour)
{
    double sum = 0.0;
    for (const std::size_t r : rooms) {
        const RoomLoad& room = loads.rooms[r];
        sum += room.heating_hours_W.empty() ? room.heating_W : room.heating_hours_W[hour];
    }
    return sum;
}

std::size_t hour_of_heating(const RoomLoads& loads, const std::vector<std::size_t>& rooms)
{
    std::size_t at = 0;
    for (std::size_t h = 1; h < 24; ++h)
        if (heating_in_W(loads, rooms, h) > heating_in_W(loads, rooms, at)) at = h;
    return at;
}

namespace {

/// Room whose days stand for all computed rooms, if any.
const RoomLoad* with_days(const RoomLoads& loads, const std::vector<std::size_t>& rooms)
{
    for (const std::size_t r : rooms)
        if (!loads.rooms[r].cooling_days.empty()) return &loads.rooms[r];
    return nullptr;
}

/// Sum over the rooms in one hour of one design day; typed loads count at their peak.
Coincident in_hour(const RoomLoads& loads, const std::vector<std::size_t>& rooms, std::size_t day, std::size_t hour)
{
    Coincident c;
    for (const std::size_t r : rooms) {
        const RoomLoad& room = loads.rooms[r];
        const bool by_hour = !room.cooling_days.empty();
        c.sensible_W += by_hour ? room.cooling_days[day].sensible_W[hour] : room.cooling_sensible_W;
        c.latent_W += by_hour ? room.cooling_days[day].latent_W[hour] : room.cooling_latent_W;
        c.by_hour = c.by_hour && by_hour;
        c.sum_of_peaks_W += room.cooling_W;
    }
    c.total_W = c.sensible_W + c.latent_W;
    return c;
}

} // namespace

Coincident coincident_cooling(const RoomLoads& loads, const std::vector<std::size_t>& rooms)
{
    const RoomLoad* days = with_days(loads, rooms);
    if (days == nullptr) return in_hour(loads, rooms, 0, 0);
    Coincident most = in_hour(loads, rooms, 0, 0);
    most.total_W = -1.0;
    for (std::size_t d = 0; d < days->cooling_days.size(); ++d)
        for (std::size_t h = 0; h < 24; ++h) {
            Coincident now = in_hour(loads, rooms, d, h);
            if (now.total_W <= most.total_W) continue;
            const LoadDay& day = days->cooling_days[d];
            now.when = {day.day, day.month, clock_hour(day.clock_ahead_h, h)};
            now.day = d;
            now.hour = h;
            most = now;
        }
    return most;
}

} // namespace venture::loads
