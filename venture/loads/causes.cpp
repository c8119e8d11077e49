/// What makes a room's peak, in the words of who would change it.

#include <algorithm>
#include <cmath>

#include <venture/loads/day_models.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/loads/load_parts.hpp>

namespace venture::loads {

using building::Building;

namespace {

/// @param hour  of standard time; of the largest load if none is given   @param sign  1 for heating, -1 for cooling
std::vector<LoadCause> causes(const Building& b, const climate::DesignDay& day, std::size_t room, double set_point_C,
                              std::optional<std::size_t> hour, double sign, const DesignOptions& design)
{
    const auto models = models_of(b, design);
    const Compiled compiled = models->compile(b, day);
    const std::size_t zone = compiled.zone_of_room[room];
    balance::Recording recorded;
    balance::PeriodicOptions options{};
    options.record = &recorded;
    options.near = models->begin_of(day);
    const balance::PeriodicDay all = run_periodic_day(compiled.model, options);
    const std::vector<double>& load = sign > 0.0 ? all.zones[zone].heating_W : all.zones[zone].cooling_W;
    if (!hour) hour = static_cast<std::size_t>(std::ranges::max_element(load) - load.begin());
    std::vector<LoadCause> out;
    for (const LoadPart& part : load_parts(compiled.model, recorded, set_point_C))
        if (const double watts = sign * part.load_W[zone][*hour]; std::abs(watts) >= 1.0)
            out.push_back({part.forcing, watts});
    std::ranges::stable_sort(out, std::greater{}, [](const LoadCause& c) { return std::abs(c.load_W); });
    return out;
}

} // namespace

std::vector<LoadCause> causes_of_heating(const Building& b, std::size_t room, const RoomLoad& load,
                                         const DesignOptions& options)
{
    if (!load.heated || load.typed || load.heating_overruled || load.heating_W <= 0.0) return {};
    return causes(b, climate::winter_design_day(b.site), room, load.heating_room_C, {}, 1.0, options);
}

std::vector<LoadCause> causes_of_cooling(const Building& b, std::size_t room, const RoomLoad& load,
                                         const DesignOptions& options)
{
    if (!load.cooled || load.typed || load.cooling_overruled || load.cooling_sensible_W <= 0.0) return {};
    const auto day = climate::design_day_called(b.site, load.cooling_when.day);
    const auto& setpoint = b.rooms[room].use.cooling_setpoint_C;
    if (!day || !setpoint) return {};
    const double standard_h = std::fmod(load.cooling_when.clock_hour - std::floor(day->clock_ahead_h) + 24.0, 24.0);
    return causes(b, *day, room, setpoint->value, static_cast<std::size_t>(standard_h), -1.0, options);
}

} // namespace venture::loads
