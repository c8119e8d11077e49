#include <venture/loads/design_loads.hpp>

#include <algorithm>
#include <atomic>
#include <bit>
#include <cmath>
#include <exception>
#include <thread>

#include <venture/loads/compile.hpp>
#include <venture/loads/periodic_day.hpp>

namespace venture::loads {

using building::Building;
using building::Neighbour;
using climate::DesignDay;

namespace {

struct Run {
    DesignDay day{};
    bool setbacks = true;     ///< false: winter design once more, to tell what heating-up adds
    bool tell_memory = false; ///< of walls
    std::vector<std::size_t> zone_of_room{};
    PeriodicDay result{};
    std::uint64_t fingerprint = 0;
};

/// FNV-1a over the numbers of a model.
class Fingerprint {
public:
    void add(double value) { add_bits(std::bit_cast<std::uint64_t>(value)); }
    void add_bits(std::uint64_t bits)
    {
        for (int i = 0; i < 8; ++i) {
            hash_ = (hash_ ^ (bits & 0xffU)) * 1099511628211ULL;
            bits >>= 8U;
        }
    }
    [[nodiscard]] std::uint64_t value() const { return hash_; }

private:
    std::uint64_t hash_ = 1469598103934665603ULL;
};

void add_drives(Fingerprint& f, const Drives& drives)
{
    for (const Drive& d : drives) {
        f.add_bits(d.signal.index);
        f.add(d.factor);
    }
}

void add_face(Fingerprint& f, const Face& face)
{
    f.add_bits(face.index());
    if (const auto* z = std::get_if<ZoneFace>(&face)) {
        f.add_bits(z->zone);
        f.add_bits(z->natural ? 1U : 0U);
        f.add(z->air_warmer_K);
        f.add(z->convective_W_per_m2K);
        f.add(z->radiative_W_per_m2K);
        add_drives(f, z->absorbed_W);
    } else if (const auto* o = std::get_if<OutdoorFace>(&face)) {
        f.add_bits(o->environment_C.index);
        f.add(o->film_W_per_m2K);
        f.add_bits(o->film_by_step ? o->film_by_step->index : ~0ULL);
        add_drives(f, o->absorbed_W);
        if (o->long_wave)
            for (const double v : {o->long_wave->emissivity, o->long_wave->sky_share}) f.add(v);
    } else if (const auto* t = std::get_if<FixedFace>(&face)) {
        f.add_bits(t->temperature_C.index);
        f.add(t->film_W_per_m2K.value_or(-1.0));
    }
}

std::uint64_t fingerprint_of(const ThermalModel& m)
{
    Fingerprint f;
    f.add(m.step_s);
    for (const Signal& s : m.signals)
        for (const auto* values : {&s.start, &s.end})
            for (const double v : *values) f.add(v);
    for (const fabric::WallModes& w : m.walls) {
        for (const auto* values : {&w.rate_per_s, &w.b1, &w.b2})
            for (const double v : *values) f.add(v);
        for (const double d : {w.d11, w.d12, w.d22}) f.add(d);
    }
    for (const Surface& s : m.surfaces) {
        f.add(s.area_m2);
        f.add_bits(s.wall);
        add_face(f, s.outside);
        add_face(f, s.inside);
    }
    for (const Zone& z : m.zones) {
        for (const double v : {z.air_capacity_J_per_K, z.dry_air_kg, z.moisture_buffer, z.thermal_bridges_W_per_K,
                               z.radiant_weight, z.convective_share})
            f.add(v);
        for (const Drives* drives : {&z.infiltration_kg_per_s, &z.ventilation_kg_per_s, &z.convective_gain_W,
                                     &z.radiant_gain_W, &z.moisture_gain_kg_per_s})
            add_drives(f, *drives);
        for (const auto& setpoint : {z.heat_below_C, z.cool_above_C, z.dry_above_kg_per_kg})
            f.add_bits(setpoint ? setpoint->index : ~0ULL);
    }
    return f.value();
}

std::vector<DesignDay> design_days(const Building& b)
{
    std::vector<DesignDay> days = {climate::winter_design_day(b.site)};
    for (const climate::CoolingMonth& month : b.site.months) days.push_back(climate::cooling_design_day(b.site, month));
    return days;
}

/// Runs every design day; each is independent of the others, so threads change nothing but the time.
std::vector<Run> run_all(const Building& b, const DesignOptions& options)
{
    std::vector<Run> runs;
    for (DesignDay& day : design_days(b)) runs.push_back({.day = std::move(day)});
    if (runs.size() > 1) runs[1].tell_memory = true;
    if (std::ranges::any_of(b.rooms, [](const building::Room& r) { return r.use.heating_setback.has_value(); }))
        runs.push_back({.day = runs.front().day, .setbacks = false});
    std::atomic<std::size_t> next{0};
    std::vector<std::exception_ptr> failed(runs.size());
    const std::vector<fabric::WallModes> modes = build_up_modes(b, options.step_s);
    const auto work = [&] {
        for (std::size_t i = next++; i < runs.size(); i = next++) {
            try {
                Compiled compiled = compile(
                    b, runs[i].day, {.step_s = options.step_s, .setbacks = runs[i].setbacks, .build_up_modes = modes});
                runs[i].zone_of_room = std::move(compiled.zone_of_room);
                runs[i].result = run_periodic_day(compiled.model, {.tell_memory = runs[i].tell_memory});
                runs[i].fingerprint = fingerprint_of(compiled.model);
            } catch (...) {
                failed[i] = std::current_exception();
            }
        }
    };
    {
        std::vector<std::jthread> helpers;
        for (unsigned t = 1; t < options.threads; ++t) helpers.emplace_back(work);
        work();
    }
    for (const std::exception_ptr& problem : failed)
        if (problem) std::rethrow_exception(problem);
    return runs;
}

const ZoneDay& zone_day(const Run& run, std::size_t room) { return run.result.zones[run.zone_of_room[room]]; }

When at_hour(const DesignDay& day, std::size_t hour)
{
    const int clock = static_cast<int>(std::floor(static_cast<double>(hour) + day.clock_ahead_h)) % 24;
    return {day.name, day.month, clock};
}

AirBalance balance_of(const ZoneStep& h)
{
    const auto part = [&](Part p) { return h.from_faces_W[static_cast<std::size_t>(p)]; };
    return {.outside_walls_W = part(Part::outside_wall),
            .roof_W = part(Part::roof),
            .windows_W = part(Part::window),
            .doors_W = part(Part::door),
            .ground_W = part(Part::ground),
            .inner_W = part(Part::inner),
            .thermal_bridges_W = h.thermal_bridges_W,
            .convective_gains_W = h.convective_gain_W,
            .infiltration_W = h.infiltration_W,
            .ventilation_W = h.ventilation_W,
            .released_by_air_W = -h.into_air_capacity_W};
}

/// @param held  winter design without set-backs, if there are any
void add_heating(const Run& winter, const Run* held, std::size_t r, RoomLoad& out)
{
    const ZoneDay& day = zone_day(winter, r);
    const auto peak = std::ranges::max_element(day.heating_W);
    out.heating_W = *peak;
    out.heating_hours_W = day.heating_W;
    out.heating_when = {winter.day.name, 0, -1};
    if (held != nullptr) {
        out.heating_up_W = std::max(0.0, *peak - *std::ranges::max_element(zone_day(*held, r).heating_W));
        if (out.heating_up_W > 0.0) out.heating_when.clock_hour = static_cast<int>(peak - day.heating_W.begin());
    }
    out.lowest_air_C = *std::ranges::min_element(day.air_C);
}

void add_cooling(const Run& run, std::size_t r, RoomLoad& out)
{
    const ZoneDay& day = zone_day(run, r);
    out.cooling_days.push_back({run.day.name, run.day.month, run.day.clock_ahead_h, day.cooling_W, day.latent_W});
    out.highest_air_C = std::max(out.highest_air_C, *std::ranges::max_element(day.air_C));
    for (std::size_t h = 0; h < day.cooling_W.size(); ++h) {
        const double total = day.cooling_W[h] + day.latent_W[h];
        if (day.cooling_W[h] > out.cooling_sensible_peak_W) {
            out.cooling_sensible_peak_W = day.cooling_W[h];
            out.cooling_sensible_when = at_hour(run.day, h);
        }
        if (total <= out.cooling_W) continue;
        out.cooling_W = total;
        out.cooling_sensible_W = day.cooling_W[h];
        out.cooling_latent_W = day.latent_W[h];
        out.cooling_when = at_hour(run.day, h);
        out.cooling_air_C = day.air_C[h];
        out.cooling_humidity_ratio = day.humidity_ratio[h];
        out.cooling_outdoor_C = 0.5 * (run.day.dry_bulb_C[h] + run.day.dry_bulb_C[h + 1]);
        out.cooling_balance = balance_of(day.parts[h]);
    }
}

/// Steady loss of a room as one would add it up by hand: its set-point against outdoors, ground, stated temperatures
/// and the temperatures that neighbouring rooms have in winter design.
class PaperSum {
public:
    PaperSum(const Building& b, const Run& winter, std::size_t room) : b_{b}, winter_{winter}, room_{room} {}

    std::vector<PaperTerm> run()
    {
        for (const building::Surface& s : b_.surfaces) {
            const bool behind = s.beyond.kind == Neighbour::Kind::room && s.beyond.room == room_;
            if (s.room != room_ && !behind) continue;
            if (s.beyond.kind == Neighbour::Kind::nothing) continue;
            const double far = far_side_C(s, behind);
            add(behind ? seen_from_behind(s) : s.name, s.net_m2(), building::u_value(b_, s), far);
            for (const building::Opening& o : s.openings) {
                const bool window = o.kind == building::Opening::Kind::window;
                const std::string where = behind ? "wall to " + b_.rooms[s.room].name : s.parent;
                add((window ? "window in " : "door in ") + where, o.area_m2(), building::u_value(b_, s, o), far);
            }
        }
        for (const building::ThermalBridge& bridge : b_.thermal_bridges)
            if (bridge.room == room_)
                terms_.push_back({"thermal bridge: " + bridge.name, 0.0, 0.0, bridge.heat_loss_W_per_K,
                                  b_.site.winter.dry_bulb_C,
                                  bridge.heat_loss_W_per_K * (own_C() - b_.site.winter.dry_bulb_C)});
        const building::Room& room = b_.rooms[room_];
        add_air("infiltration", room.use.infiltration_per_h.value * room.volume_m3 / 3600.0);
        const auto& when = b_.profiles[room.use.ventilation_profile].fraction;
        add_air("ventilation", room.outdoor_air_by_plan_m3_per_s() * *std::ranges::max_element(when));
        return std::move(terms_);
    }

private:
    [[nodiscard]] double own_C() const { return b_.rooms[room_].use.heating_setpoint_C->value; }

    [[nodiscard]] double far_side_C(const building::Surface& s, bool behind) const
    {
        switch (s.beyond.kind) {
        case Neighbour::Kind::ground: {
            const auto& ground = b_.build_ups[s.build_up].ground;
            return ground ? ground->design_ground_C : b_.site.winter.ground_C;
        }
        case Neighbour::Kind::temperature:
            return s.beyond.temperature_C;
        case Neighbour::Kind::room: {
            const std::size_t other = behind ? s.room : s.beyond.room;
            const auto& setpoint = b_.rooms[other].use.heating_setpoint_C;
            return setpoint ? setpoint->value : zone_day(winter_, other).air_C.front();
        }
        case Neighbour::Kind::outdoors:
        case Neighbour::Kind::nothing:
            break;
        }
        return b_.site.winter.dry_bulb_C;
    }

    [[nodiscard]] std::string seen_from_behind(const building::Surface& s) const
    {
        return (s.attitude == building::Attitude::wall ? "wall to " : "ceiling to ") + b_.rooms[s.room].name;
    }

    void add(std::string what, double area, double u, double far)
    {
        if (area <= 1e-9) return;
        terms_.push_back({std::move(what), area, u, area * u, far, area * u * (own_C() - far)});
    }

    void add_air(std::string what, double flow_m3_per_s)
    {
        if (flow_m3_per_s <= 0.0) return;
        const double h = flow_m3_per_s * room_air_density_kg_per_m3(winter_.day.pressure) * 1006.0;
        terms_.push_back(
            {std::move(what), 0.0, 0.0, h, b_.site.winter.dry_bulb_C, h * (own_C() - b_.site.winter.dry_bulb_C)});
    }

    const Building& b_;
    const Run& winter_;
    std::size_t room_;
    std::vector<PaperTerm> terms_{};
};

/// Worst of any zone that is heated or cooled, as a share of its peak.
double film_residual(const PeriodicDay& day)
{
    double worst = 0.0;
    for (const ZoneDay& zone : day.zones) {
        const double peak =
            std::max(*std::ranges::max_element(zone.heating_W), *std::ranges::max_element(zone.cooling_W));
        if (peak > 0.0) worst = std::max(worst, zone.film_residual_W / peak);
    }
    return worst;
}

RoomLoad load_of(const Building& b, const std::vector<Run>& runs, std::size_t r)
{
    const building::Room& room = b.rooms[r];
    RoomLoad out{.room = room.name,
                 .storey = b.storeys[room.storey].name,
                 .floor_area_m2 = room.floor_area_m2,
                 .origin = room.origin};
    out.heated = room.use.heating_setpoint_C.has_value();
    out.cooled = room.use.cooling_setpoint_C.has_value();
    if (out.heated) {
        out.heating_room_C = room.use.heating_setpoint_C->value;
        out.heating_setpoint_origin = room.use.heating_setpoint_C->origin;
    }
    if (out.cooled) {
        out.cooling_air_C = room.use.cooling_setpoint_C->value;
        out.cooling_setpoint_origin = room.use.cooling_setpoint_C->origin;
    }
    const Run* held = runs.back().setbacks ? nullptr : &runs.back();
    add_heating(runs.front(), held, r, out);
    if (out.heated) out.paper = PaperSum{b, runs.front(), r}.run();
    for (std::size_t i = 1; i < runs.size() && runs[i].setbacks; ++i) add_cooling(runs[i], r, out);
    return out;
}

} // namespace

bool DesignLoads::converged() const
{
    return std::ranges::all_of(runs, [](const RunNote& n) { return n.converged && n.unsettled_steps == 0; });
}

DesignLoads design_loads(const Building& building, const DesignOptions& options)
{
    const std::vector<Run> runs = run_all(building, options);
    DesignLoads out;
    Fingerprint all;
    for (const Run& run : runs) {
        const PeriodicDay& d = run.result;
        out.runs.push_back({run.setbacks ? run.day.name : run.day.name + " without set-backs", d.days, d.residual_K,
                            d.worst_closure, d.converged, d.unsettled_steps, run.day.humidity_capped_at_saturation,
                            film_residual(d), d.share_kept});
        all.add_bits(run.fingerprint);
    }
    for (std::size_t r = 0; r < building.rooms.size(); ++r) out.loads.rooms.push_back(load_of(building, runs, r));
    out.loads.fingerprint = all.value();
    out.loads.outdoor_winter_C = building.site.winter.dry_bulb_C;
    out.loads.pressure_Pa = runs.front().day.pressure.pascal();
    return out;
}

} // namespace venture::loads
