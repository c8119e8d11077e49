#include <venture/loads/room_parts.hpp>

#include <algorithm>

#include <venture/building/surface_names.hpp>

#include <venture/loads/day_models.hpp>
#include <venture/loads/room_at_edge.hpp>
#include <venture/quantity/error.hpp>

namespace venture::loads {

namespace {

/// How far the paths are from the load that they are to add up to.
double missing_of(const RoomParts& parts)
{
    double largest = 0.0, worst = 0.0;
    for (std::size_t h = 0; h < parts.cooling_W.size(); ++h) {
        double sum = 0.0;
        for (const LoadPath& path : parts.paths) sum += path.cooling_W[h];
        largest = std::max(largest, std::abs(parts.cooling_W[h]));
        worst = std::max(worst, std::abs(sum - parts.cooling_W[h]));
    }
    return largest > 0.0 ? worst / largest : 0.0;
}

} // namespace

double mean_outdoors_C(const climate::DesignDay& day)
{
    double mean = 0.0;
    for (std::size_t h = 0; h < 24; ++h) mean += 0.5 * (day.dry_bulb_C[h] + day.dry_bulb_C[h + 1]) / 24.0;
    return mean;
}

std::function<std::string(std::size_t)> naming(const building::Building& b, const Compiled& compiled, std::size_t room)
{
    return [&b, &compiled, room](std::size_t surface) {
        const SurfaceFrom& from = compiled.surfaces_from[surface];
        const building::Surface& s = b.surfaces[from.surface];
        return from.opening ? seen_from(b, s, s.openings[*from.opening], room) : seen_from(b, s, room);
    };
}

std::vector<RoomParts> parts_of_rooms(const building::Building& b, const climate::DesignDay& day,
                                      const std::vector<std::size_t>& rooms, const std::vector<double>& reference_C,
                                      const DesignOptions& options)
{
    VENTURE_ASSERT(rooms.size() == reference_C.size());
    const auto models = models_of(b, options);
    const Compiled compiled = models->compile(b, day);
    const detail::DayOfBuilding run = detail::run_for_parts(compiled.model, models->begin_of(day));
    std::vector<RoomParts> out;
    for (std::size_t i = 0; i < rooms.size(); ++i) {
        const std::size_t zone = compiled.zone_of_room[rooms[i]];
        const balance::ZoneDay& of = run.day.zones[zone];
        RoomParts& parts = out.emplace_back(RoomParts{.room = b.rooms[rooms[i]].name,
                                                      .day = day.name,
                                                      .month = day.month,
                                                      .clock_ahead_h = day.clock_ahead_h,
                                                      .reference_C = reference_C[i]});
        for (std::size_t h = 0; h < parts.cooling_W.size(); ++h) {
            parts.cooling_W[h] = of.cooling_W[h] - of.heating_W[h];
            parts.operative_C[h] = of.operative_C[h];
        }
        parts.paths = detail::RoomAtEdge{run, zone, reference_C[i], naming(b, compiled, rooms[i])}.paths();
        parts.missing = missing_of(parts);
    }
    return out;
}

std::optional<PeakParts> parts_of_heating(const building::Building& b, std::size_t room, const RoomLoad& load,
                                          const DesignOptions& options)
{
    if (!load.heated || load.typed || load.heating_hours_W.empty()) return std::nullopt;
    const auto peak = std::ranges::max_element(load.heating_hours_W);
    if (*peak <= 0.0) return std::nullopt;
    return PeakParts{parts_of_room(b, climate::winter_design_day(b.site), room, load.heating_room_C, options),
                     static_cast<std::size_t>(peak - load.heating_hours_W.begin())};
}

std::optional<PeakParts> parts_of_cooling(const building::Building& b, std::size_t room, const RoomLoad& load,
                                          const DesignOptions& options)
{
    if (!load.cooled || load.typed) return std::nullopt;
    const LoadDay* worst = nullptr;
    std::size_t hour = 0;
    double largest = 0.0;
    for (const LoadDay& day : load.cooling_days)
        for (std::size_t h = 0; h < day.sensible_W.size(); ++h)
            if (const double total = day.sensible_W[h] + day.latent_W[h]; total > largest) {
                largest = total;
                worst = &day;
                hour = h;
            }
    if (worst == nullptr) return std::nullopt;
    const auto day = climate::design_day_called(b.site, worst->day);
    VENTURE_ASSERT(day.has_value());
    return PeakParts{parts_of_room(b, *day, room, load.cooling_setpoint_C, options), hour};
}

std::optional<PeakParts> parts_of_warmth(const building::Building& b, std::size_t room, const RoomLoad& load,
                                         const DesignOptions& options)
{
    if (load.heated || load.cooled || load.typed || b.site.months.empty()) return std::nullopt;
    const auto hottest =
        std::ranges::max_element(b.site.months, {}, [](const climate::CoolingMonth& m) { return m.dry_bulb_C; });
    const climate::DesignDay day = climate::cooling_design_day(b.site, *hottest);
    PeakParts out{parts_of_room(b, day, room, mean_outdoors_C(day), options)};
    out.hour = hour_of_peak(out.parts.operative_C);
    return out;
}

RoomParts parts_of_room(const building::Building& b, const climate::DesignDay& day, std::size_t room,
                        double reference_C, const DesignOptions& options)
{
    return parts_of_rooms(b, day, {room}, {reference_C}, options).front();
}

} // namespace venture::loads
