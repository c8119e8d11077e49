#include <venture/loads/design_loads.hpp>

#include <algorithm>
#include <array>
#include <cmath>
#include <exception>
#include <map>
#include <utility>

#include <venture/air/moist_air.hpp>
#include <venture/balance/fingerprint.hpp>
#include <venture/balance/periodic_day.hpp>
#include <venture/loads/day_models.hpp>
#include <venture/loads/design_day_run.hpp>
#include <venture/loads/hourly_day.hpp>
#include <venture/loads/paper_sum.hpp>
#include <venture/loads/side_by_side.hpp>
#include <venture/quantity/hash.hpp>

namespace venture::loads {

using building::Building;
using climate::DesignDay;
using namespace detail; // NOLINT(google-build-using-namespace): fingerprint and paper sum belong to this module

namespace {

struct Run {
    DesignDay day{};
    bool setbacks = true;     ///< false: winter design once more, to tell what heating-up adds
    bool tell_memory = false; ///< of walls
    std::vector<std::size_t> zone_of_room{};
    balance::PeriodicDay result{};
    std::vector<std::array<double, 24>> outdoor_air_kg_per_s{}; ///< by zone, in the middle of each hour
    std::vector<std::vector<double>> planned_kg_per_s{};        ///< by room that is given everything, alike; else empty
    std::uint64_t fingerprint = 0;
};

std::vector<std::array<double, 24>> outdoor_air_of(const balance::ThermalModel& m)
{
    std::vector<std::array<double, 24>> out(m.zones.size());
    for (std::size_t z = 0; z < m.zones.size(); ++z)
        for (std::size_t h = 0; h < out[z].size(); ++h) {
            const std::size_t step = (2 * h + 1) * m.steps / (2 * out[z].size());
            out[z][h] = m.value(m.zones[z].infiltration_kg_per_s, step, 0.0) +
                        m.value(m.zones[z].ventilation_kg_per_s, step, 0.0);
            if (const auto& air = m.zones[z].supply_air)
                out[z][h] += m.value(air->least_kg_per_s, step, 0.0) * (1.0 - air->recovers_moisture);
        }
    return out;
}

bool is_given_everything(const Building& b, std::size_t room)
{
    const auto& supply = b.rooms[room].use.air_supply;
    return supply && b.air_supplies[*supply].gives_everything;
}

/// In the middle of each hour, of rooms whose coil loads follow from it.
std::vector<std::vector<double>> planned_air_of(const Building& b, const Compiled& compiled)
{
    constexpr std::size_t hours = 24;
    std::vector<std::vector<double>> out(b.rooms.size());
    for (std::size_t r = 0; r < out.size(); ++r)
        for (std::size_t h = 0; is_given_everything(b, r) && h < hours; ++h)
            out[r].push_back(compiled.model.value(compiled.planned_kg_per_s[r],
                                                  (2 * h + 1) * compiled.model.steps / (2 * hours), 0.0));
    return out;
}

/// Design days of one building, side by side; each is independent of the others, so threads change nothing but the time.
class Days {
public:
    Days(const Building& b, const DesignOptions& options)
        : b_{b},
          threads_{options.threads},
          models_{std::make_shared<DayModels>(b, options.step_s)}
    {
    }

    void solve(std::vector<Run>& runs) const
    {
        std::vector<std::exception_ptr> failed(runs.size());
        const auto solve_one = [&](std::size_t i) {
            try {
                solve(runs[i]);
            } catch (...) {
                failed[i] = std::current_exception();
            }
        };
        side_by_side(runs.size(), solve_one, threads_);
        for (const std::exception_ptr& problem : failed)
            if (problem) std::rethrow_exception(problem);
        for (Run& run : runs)
            if (run.setbacks) models_->keep(run.day, std::move(run.result.begin));
    }
    [[nodiscard]] std::shared_ptr<const DayModels> models() const { return models_; }

private:
    void solve(Run& run) const
    {
        Compiled compiled = models_->compile(b_, run.day, run.setbacks);
        run.zone_of_room = std::move(compiled.zone_of_room);
        run.outdoor_air_kg_per_s = outdoor_air_of(compiled.model);
        run.planned_kg_per_s = planned_air_of(b_, compiled);
        run.result = run_with_films(compiled.model, {.tell_memory = run.tell_memory});
        run.fingerprint = fingerprint_of(compiled.model);
    }

    const Building& b_;
    unsigned threads_;
    std::shared_ptr<DayModels> models_;
};

/// Winter design, the cooling days, and winter design once more without set-backs where there are some.
std::vector<Run> run_all(const Building& b, const Days& days)
{
    std::vector<Run> runs;
    runs.push_back({.day = climate::winter_design_day(b.site)});
    for (DesignDay& day : climate::cooling_design_days(b.site)) runs.push_back({.day = std::move(day)});
    if (runs.size() > 1) runs[1].tell_memory = true;
    if (std::ranges::any_of(b.rooms, [](const building::Room& r) { return r.use.heating_setback.has_value(); }))
        runs.push_back({.day = runs.front().day, .setbacks = false});
    days.solve(runs);
    return runs;
}

const balance::ZoneDay& zone_day(const Run& run, std::size_t room) { return run.result.zones[run.zone_of_room[room]]; }

When at_hour(const DesignDay& day, std::size_t hour)
{
    return {day.name, day.month, clock_hour(day.clock_ahead_h, hour)};
}

std::vector<double> humidifying_of(const balance::ZoneDay& day)
{
    std::vector<double> out;
    for (const balance::ZoneStep& hour : day.parts) out.push_back(hour.humidifying_W);
    return out;
}

RoomStates states_of(const Building& b, const Run& run, std::size_t r)
{
    if (!is_given_everything(b, r)) return {};
    const balance::ZoneDay& day = zone_day(run, r);
    const auto& through = b.air_supplies[*b.rooms[r].use.air_supply].returns_through;
    const balance::ZoneDay& leaves = through ? zone_day(run, *through) : day;
    RoomStates out{day.air_C, day.humidity_ratio, humidifying_of(day),  run.planned_kg_per_s[r], {},
                   {},        leaves.air_C,       leaves.humidity_ratio};
    const auto mean = [](const auto& values, std::size_t hour) { return 0.5 * (values[hour] + values[hour + 1]); };
    for (std::size_t h = 0; h < day.air_C.size(); ++h) {
        out.outdoor_C.push_back(mean(run.day.dry_bulb_C, h));
        out.outdoor_humidity_ratio.push_back(mean(run.day.humidity_ratio, h));
    }
    return out;
}

void add_humidifying(const Run& run, std::size_t r, RoomLoad& out)
{
    if (!out.humidified) return;
    const std::vector<double> hours = humidifying_of(zone_day(run, r));
    const auto most = std::ranges::max_element(hours);
    if (*most <= out.humidifying_W) return;
    out.humidifying_W = *most;
    out.humidifying_when = at_hour(run.day, static_cast<std::size_t>(most - hours.begin()));
    if (run.day.month == 0 && *std::ranges::min_element(hours) > (1.0 - 1e-6) * *most)
        out.humidifying_when.clock_hour = -1;
}

/// @param held  winter design without set-backs, if there are any
void add_heating(const Run& winter, const Run* held, std::size_t r, RoomLoad& out)
{
    const balance::ZoneDay& day = zone_day(winter, r);
    const auto peak = std::ranges::max_element(day.heating_W);
    out.heating_W = *peak;
    out.heating_hours_W = day.heating_W;
    out.heating_when = {winter.day.name, 0, -1};
    if (held != nullptr) {
        out.heating_up_W = std::max(0.0, *peak - *std::ranges::max_element(zone_day(*held, r).heating_W));
        if (out.heating_up_W > 0.0) out.heating_when.clock_hour = static_cast<int>(peak - day.heating_W.begin());
    }
    out.lowest_air_C = *std::ranges::min_element(day.air_C);
    out.winter_air_C = day.air_C.front();
}

/// The most humid hour in which it matters.
void find_most_humid(const Building& b, const Run& run, std::size_t r, RoomLoad& out)
{
    const balance::ZoneDay& day = zone_day(run, r);
    const building::Use& use = b.rooms[r].use;
    out.wettest_kg_per_kg = std::max(out.wettest_kg_per_kg, *std::ranges::max_element(day.humidity_ratio));
    if (!out.can_be()) return;
    const auto people = b.calendars[use.people_profile].on_design_day(run.day.month).fraction;
    for (std::size_t h = 0; h < day.air_C.size(); ++h) {
        const auto clock = static_cast<std::size_t>(at_hour(run.day, h).clock_hour);
        const bool usual = run.day.made_for == climate::DesignFor::dry_bulb; // others are rarer than comfort asks for
        const bool matters = day.cooling_W[h] > 0.0 || (usual && use.people.value > 0.0 && people[clock] > 0.0);
        if (!matters) continue;
        const double humid = air::relative_humidity(quantity::Temperature::celsius(day.air_C[h]), day.humidity_ratio[h],
                                                    run.day.pressure);
        if (humid <= out.most_humid) continue;
        out.most_humid = humid;
        out.most_humid_day = run.day.name;
    }
}

void add_cooling(const Building& b, const Run& run, std::size_t r, RoomLoad& out)
{
    const balance::ZoneDay& day = zone_day(run, r);
    const std::vector<double> latent_W = asked_latent_W(b.rooms[r], day);
    out.cooling_days.push_back({run.day.name, run.day.month, run.day.clock_ahead_h, day.cooling_W, latent_W,
                                day.heating_W, states_of(b, run, r)});
    add_humidifying(run, r, out);
    const auto [coldest, warmest] = std::ranges::minmax(day.air_C);
    out.highest_air_C = std::max(out.highest_air_C, warmest);
    const double in_winter_C = std::exchange(out.lowest_air_C, std::min(out.lowest_air_C, coldest));
    find_most_humid(b, run, r, out);
    if (out.can_be()) out.lowest_air_C = in_winter_C; // the coldest that is told is that of winter design
    for (std::size_t h = 0; h < day.cooling_W.size(); ++h) {
        const double total = day.cooling_W[h] + latent_W[h];
        if (day.cooling_W[h] > out.cooling_sensible_peak_W) {
            out.cooling_sensible_peak_W = day.cooling_W[h];
            out.cooling_sensible_when = at_hour(run.day, h);
        }
        if (total <= out.cooling_W) continue;
        out.cooling_W = total;
        out.cooling_sensible_W = day.cooling_W[h];
        out.cooling_latent_W = latent_W[h];
        out.cooling_when = at_hour(run.day, h);
        out.cooling_air_C = day.air_C[h];
        out.cooling_humidity_ratio = day.humidity_ratio[h];
        out.cooling_outdoor_C = 0.5 * (run.day.dry_bulb_C[h] + run.day.dry_bulb_C[h + 1]);
        out.cooling_outdoor_air_kg_per_s = run.outdoor_air_kg_per_s[run.zone_of_room[r]][h];
        out.cooling_balance = balance_of(day.parts[h]);
    }
}

/// What coming back from set-backs adds to cooling: the days on which rooms that set back are largest, run once more without.
void add_pre_cooling(const Building& b, const Days& days, RoomLoads& loads)
{
    std::map<std::string, std::vector<std::size_t>> by_day;
    for (std::size_t r = 0; r < b.rooms.size(); ++r)
        if (b.rooms[r].use.cooling_setback && !loads.rooms[r].cooling_days.empty() && loads.rooms[r].cooling_W > 0.0)
            by_day[loads.rooms[r].cooling_when.day].push_back(r);
    std::vector<Run> held;
    for (const auto& [day, rooms] : by_day)
        held.push_back({.day = *climate::design_day_called(b.site, day), .setbacks = false});
    days.solve(held);
    for (const Run& run : held)
        for (const std::size_t r : by_day[run.day.name]) {
            const balance::ZoneDay& zone = zone_day(run, r);
            const std::vector<double> latent_W = asked_latent_W(b.rooms[r], zone);
            double most_W = 0.0;
            for (std::size_t h = 0; h < zone.cooling_W.size(); ++h)
                most_W = std::max(most_W, zone.cooling_W[h] + latent_W[h]);
            loads.rooms[r].pre_cooling_W = std::max(0.0, loads.rooms[r].cooling_W - most_W);
        }
}

RoomLoad load_of(const Building& b, const std::vector<Run>& runs, std::size_t r)
{
    const building::Room& room = b.rooms[r];
    RoomLoad out{.room = room.name,
                 .storey = b.storeys[room.storey].name,
                 .floor_area_m2 = room.floor_area_m2,
                 .volume_m3 = room.volume_m3,
                 .origin = room.origin};
    out.heated = room.use.heating_setpoint_C.has_value();
    out.cooled = room.use.cooling_setpoint_C.has_value();
    out.sets_back = room.use.heating_setback.has_value();
    out.humidity_held = room.use.humidity_limit.has_value();
    out.humidified = room.use.least_humidity.has_value();
    if (out.heated) {
        out.heating_room_C = room.use.heating_setpoint_C->value;
        out.heating_setpoint_origin = room.use.heating_setpoint_C->origin;
    }
    if (out.cooled) {
        out.cooling_air_C = out.cooling_setpoint_C = room.use.cooling_setpoint_C->value;
        out.cooling_setpoint_origin = room.use.cooling_setpoint_C->origin;
    }
    const Run* held = runs.back().setbacks ? nullptr : &runs.back();
    add_heating(runs.front(), held, r, out);
    out.winter_states = states_of(b, runs.front(), r);
    add_humidifying(runs.front(), r, out);
    const auto floating_C = [&](std::size_t other) { return zone_day(runs.front(), other).air_C.front(); };
    if (out.heated) out.paper = paper_sum(b, r, floating_C);
    for (std::size_t i = 1; i < runs.size() && runs[i].setbacks; ++i) add_cooling(b, runs[i], r, out);
    overrule(out, room.heating_load_W, room.sensible_load_W, room.latent_load_W, room.load_reason);
    return out;
}

} // namespace

bool DesignLoads::converged() const
{
    return std::ranges::all_of(runs, [](const RunNote& n) { return n.converged && n.unsettled_steps == 0; });
}

DesignLoads design_loads(const Building& building, const DesignOptions& options)
{
    const Days days{building, options};
    const std::vector<Run> runs = run_all(building, days);
    DesignLoads out;
    quantity::Hash all;
    all.add_bits(building.fingerprint);
    for (const Run& run : runs) {
        const balance::PeriodicDay& d = run.result;
        out.runs.push_back({.day = run.setbacks ? run.day.name : run.day.name + " without set-backs",
                            .month = run.day.month,
                            .made_for = run.day.made_for,
                            .days = d.days,
                            .residual_K = d.residual_K,
                            .worst_closure = d.worst_closure,
                            .converged = d.converged,
                            .unsettled_steps = d.unsettled_steps,
                            .humidity_capped_at_saturation = run.day.humidity_capped_at_saturation,
                            .film_residual = film_residual(d),
                            .share_kept = d.share_kept});
        all.add_bits(run.fingerprint);
    }
    for (std::size_t r = 0; r < building.rooms.size(); ++r) out.loads.rooms.push_back(load_of(building, runs, r));
    add_pre_cooling(building, days, out.loads);
    for (const building::Room& room : building.rooms)
        for (const auto* typed : {&room.heating_load_W, &room.sensible_load_W, &room.latent_load_W})
            if (*typed) all.add((*typed)->value);
    out.models = days.models();
    out.loads.fingerprint = all.value();
    out.loads.outdoor_winter_C = building.site.winter.dry_bulb_C;
    out.loads.pressure_Pa = runs.front().day.pressure.pascal();
    return out;
}

} // namespace venture::loads
