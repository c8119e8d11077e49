#include <venture/loads/glass_loads.hpp>

#include <algorithm>
#include <cmath>
#include <map>

#include <venture/loads/day_models.hpp>
#include <venture/loads/load_parts.hpp>
#include <venture/quantity/error.hpp>

namespace venture::loads {

namespace {

/// Without what falls on walls, roofs and doors outside.
balance::ThermalModel sun_through_glass_alone(const balance::ThermalModel& model)
{
    balance::ThermalModel out = with_only(model, balance::Forcing::sun, 0.0);
    for (balance::Surface& s : out.surfaces)
        for (balance::Face* face : {&s.outside, &s.inside})
            if (auto* outdoors = std::get_if<balance::OutdoorFace>(face);
                outdoors != nullptr && s.part != balance::Part::window)
                outdoors->absorbed_W.clear();
    return out;
}

} // namespace

std::vector<HourlyDay> glass_loads(const building::Building& b, const climate::DesignDay& day,
                                   const DesignOptions& options)
{
    const auto models = models_of(b, options);
    const Compiled compiled = models->compile(b, day);
    balance::Recording recorded;
    balance::PeriodicOptions recording;
    recording.record = &recorded;
    recording.near = models->begin_of(day);
    (void)run_periodic_day(compiled.model, recording);
    for (std::size_t s = 0; s < recorded.stages;
         ++s) // as if it were held all day: what glass brings is asked of every hour
        for (std::size_t r = 0; r < b.rooms.size(); ++r)
            if (b.rooms[r].use.cooling_setpoint_C)
                recorded.actions[s * recorded.zones + compiled.zone_of_room[r]] = balance::Action::cooling;
    balance::PeriodicOptions replayed;
    replayed.replay = &recorded;
    const balance::PeriodicDay sun = run_periodic_day(sun_through_glass_alone(compiled.model), replayed);
    std::vector<HourlyDay> out(b.rooms.size());
    for (std::size_t r = 0; r < b.rooms.size(); ++r) {
        if (!b.rooms[r].use.cooling_setpoint_C || b.rooms[r].left_out) continue;
        const balance::ZoneDay& zone = sun.zones[compiled.zone_of_room[r]];
        for (std::size_t h = 0; h < out[r].size(); ++h) out[r][h] = zone.cooling_W[h] - zone.heating_W[h];
    }
    return out;
}

std::vector<SwingOf> glass_swings(const building::Building& b, const RoomLoads& loads, const DesignOptions& asked)
{
    DesignOptions options = asked;
    options.known = models_of(b, asked); // one for all days
    constexpr double least_W = 1.0;
    std::map<std::string, std::pair<climate::DesignDay, std::vector<HourlyDay>>> by_day;
    const auto of_day = [&](const std::string& name) -> const auto& {
        const auto [at, is_new] = by_day.try_emplace(name);
        if (is_new) {
            const auto called = climate::design_day_called(b.site, name);
            VENTURE_ASSERT(called.has_value());
            at->second.first = *called;
            at->second.second = glass_loads(b, at->second.first, options);
        }
        return at->second;
    };
    std::vector<SwingOf> out;
    const auto add = [&](std::string of, const std::vector<std::size_t>& rooms) {
        std::vector<std::size_t> cooled; // in the loads' order
        for (const std::size_t r : rooms)
            if (loads.rooms[r].cooled && !loads.rooms[r].typed && loads.rooms[r].cooling_W > 0.0) cooled.push_back(r);
        const std::string name = cooled.empty() ? std::string{} : coincident_cooling(loads, cooled).when.day;
        if (name.empty()) return;
        const auto& [day, glass] = of_day(name);
        SwingOf one{.of = std::move(of), .day = day.name, .month = day.month, .clock_ahead_h = day.clock_ahead_h};
        HourlyDay sum{};
        for (const std::size_t r : cooled) {
            const auto room = b.find_room(loads.rooms[r].room);
            if (!room) continue;
            one.rooms += *std::ranges::max_element(glass[*room]) > least_W ? 1U : 0U;
            for (std::size_t h = 0; h < sum.size(); ++h) sum[h] += std::max(0.0, glass[*room][h]);
        }
        one.swing = glass_swing(sum);
        if (one.rooms > 0) out.push_back(std::move(one));
    };
    std::vector<std::size_t> all(loads.rooms.size());
    std::iota(all.begin(), all.end(), std::size_t{0});
    if (all.size() > 1) add("all rooms", all);
    for (const building::Storey& storey : b.storeys) {
        std::vector<std::size_t> of_storey;
        for (const std::size_t r : all)
            if (loads.rooms[r].storey == storey.name) of_storey.push_back(r);
        if (b.storeys.size() > 1 && of_storey.size() > 1) add("storey " + storey.name, of_storey);
    }
    for (const std::size_t r : all) add(loads.rooms[r].room, {r});
    return out;
}

const figure::TableOf<SwingOf>& glass_swing_columns()
{
    using figure::Cell;
    using S = SwingOf;
    static const figure::TableOf<S> all = {
        {"glass_swing", "Swing of the glass load",
         "Sun through glass as it becomes load, from 8 to 20 h standard time: above 1.3 of its mean one zone of "
         "constant "
         "capacity will not do."},
        {
            {{"of", "Glass load of", "", "rooms together, or one", 0}, [](const S& s) -> Cell { return s.of; }},
            {{"rooms", "rooms", "count", "with glass load", 3},
             [](const S& s) -> Cell { return figure::whole(s.rooms); }},
            {{"mean", "mean", "power", "of the twelve hours"}, [](const S& s) -> Cell { return s.swing.mean_W; }},
            {{"peak", "peak", "power", "of the same"}, [](const S& s) -> Cell { return s.swing.peak_W; }},
            {{"when", "at", "", "day and clock hour of the peak"},
             [](const S& s) -> Cell {
                 if (!s.swing.peak_hour) return {};
                 const auto clock =
                     static_cast<int>(std::floor(static_cast<double>(*s.swing.peak_hour) + s.clock_ahead_h)) % 24;
                 return figure::When{s.day, s.month, clock};
             }},
            {{"swing", "swing", "ratio", "peak over mean"},
             [](const S& s) -> Cell { return figure::cell_of(s.swing.peak_over_mean()); }},
            {{"excess", "above 1.3", "power", "of the peak", 1, figure::Sum::none, figure::Show::always, true},
             [](const S& s) -> Cell { return s.swing.excess_W(); }},
            {{"asks", "asks for", "", "what the swing asks of zoning and capacity", 2},
             [](const S& s) -> Cell {
                 return std::string{s.swing.is_above() ? "zones of their own, or variable capacity"
                                                       : "one zone will do"};
             }},
        }};
    return all;
}

} // namespace venture::loads
