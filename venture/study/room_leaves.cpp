#include <venture/study/room_leaves.hpp>

#include <algorithm>

#include <venture/loads/hourly_day.hpp>

namespace venture::study {

using loads::LoadDay;
using loads::RoomLoad;
using services::Demand;
using services::Service;

namespace {

constexpr std::size_t hours_of_a_day = 24;

/// Hour by hour over all days.
Demand of_days(const std::vector<LoadDay>& days)
{
    Demand out;
    for (const LoadDay& day : days) {
        out.sensible_W.insert(out.sensible_W.end(), day.sensible_W.begin(), day.sensible_W.end());
        out.latent_W.insert(out.latent_W.end(), day.latent_W.begin(), day.latent_W.end());
    }
    out.sum_of_peaks_W = out.peak_W();
    return out;
}

Demand heating_of_days(const std::vector<LoadDay>& days)
{
    Demand out;
    for (const LoadDay& day : days)
        out.sensible_W.insert(out.sensible_W.end(), day.heating_W.begin(), day.heating_W.end());
    return out;
}

Demand of_winter(const RoomLoad& room)
{
    return {.sensible_W = room.heating_hours_W, .sum_of_peaks_W = room.heating_W};
}

} // namespace

figure::When RoomLeaves::when(Service service, std::size_t hour) const
{
    if (service == Service::heating) return {winter_day, 0, winter_day.empty() ? -1 : static_cast<int>(hour)};
    if (cooling_days.empty()) return {};
    const LoadDay& day = cooling_days[hour / hours_of_a_day];
    return {day.day, day.month, loads::clock_hour(day.clock_ahead_h, hour % hours_of_a_day)};
}

figure::When RoomLeaves::when_largest(Service service, const Demand& demand) const
{
    if (demand.hours() <= 1 || demand.typed || demand.peak_W() <= 0.0) return {};
    figure::When out = when(service, demand.hour_of_peak());
    constexpr double alike = 1e-6;
    double least_W = demand.peak_W();
    for (std::size_t h = 0; h < demand.hours(); ++h) least_W = std::min(least_W, demand.total_W(h));
    if (service == Service::heating && least_W >= (1.0 - alike) * demand.peak_W()) out.clock_hour = -1;
    return out;
}

RoomLeaves leaves_of(const loads::RoomLoads& loads, const services::Services& services)
{
    RoomLeaves out;
    std::size_t heating_hours = 1;
    for (const RoomLoad& room : loads.rooms) {
        if (!room.heating_hours_W.empty()) {
            heating_hours = room.heating_hours_W.size();
            out.winter_day = room.heating_when.day;
        }
        if (!room.cooling_days.empty() && out.cooling_days.empty())
            for (const LoadDay& day : room.cooling_days)
                out.cooling_days.push_back({day.day, day.month, day.clock_ahead_h, {}, {}, {}});
    }
    const std::size_t cooling_hours = out.cooling_days.empty() ? 1 : hours_of_a_day * out.cooling_days.size();
    for (std::size_t r = 0; r < loads.rooms.size(); ++r) {
        const RoomLoad& room = loads.rooms[r];
        const services::NodeId node = services.places.rooms[r];
        if (room.heated)
            out.needs.push_back(
                {node, Service::heating,
                 room.heating_hours_W.empty() ? Demand::of_peak(room.heating_W, 0.0, heating_hours) : of_winter(room)});
        if (room.cooled)
            out.needs.push_back({node, Service::cooling,
                                 room.cooling_days.empty()
                                     ? Demand::of_peak(room.cooling_sensible_W, room.cooling_latent_W, cooling_hours)
                                     : of_days(room.cooling_days)});
        if (room.heated && !room.cooling_days.empty())
            out.heating_on_cooling_days.push_back({node, Service::heating, heating_of_days(room.cooling_days)});
    }
    return out;
}

} // namespace venture::study
