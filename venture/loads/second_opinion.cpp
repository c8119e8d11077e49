#include <venture/loads/second_opinion.hpp>

#include <algorithm>
#include <cmath>
#include <map>

#include <venture/fabric/periodic.hpp>
#include <venture/fabric/wall_stepper.hpp>
#include <venture/loads/admittance_method.hpp>
#include <venture/loads/day_models.hpp>
#include <venture/loads/path_in_model.hpp>
#include <venture/loads/recorded_air.hpp>
#include <venture/loads/response_terms.hpp>
#include <venture/loads/room_at_edge.hpp>
#include <venture/loads/series_method.hpp>
#include <venture/quantity/error.hpp>

namespace venture::loads {

using balance::Drives;
using balance::ZoneFace;

namespace {

constexpr std::size_t hours = 24;

/// Radiant share of conduction as the method is usually run with, from hand tables of the radiant time series method.
double usual_radiant_share(balance::Part part)
{
    switch (part) {
    case balance::Part::roof:
        return 0.60;
    case balance::Part::window:
        return 0.33;
    default:
        return 0.46;
    }
}

/// A room of the run, as the simpler methods see it.
class Simplified {
public:
    Simplified(const building::Building& b, const Compiled& compiled, const detail::DayOfBuilding& run,
               std::size_t room, double set_point_C)
        : b_{b},
          m_{compiled.model},
          from_{compiled.surfaces_from},
          run_{run},
          zone_{compiled.zone_of_room[room]},
          set_point_C_{set_point_C},
          edge_{run, zone_, set_point_C, [](std::size_t) { return std::string{}; }}
    {
    }

    void take(SecondOpinion& out)
    {
        SeriesRoom room = series_room();
        take_series(room, Losses::none);
        out.series = peak_of(series_load(room).load_W);
        take_series(room, Losses::as_they_are);
        out.comes_back = std::accumulate(room.by_area.begin(), room.by_area.end(), 0.0);
        for (std::size_t i = 0; i < room.surfaces.size(); ++i) room.surfaces[i].radiant_share = film_shares_[i];
        out.series_with_losses = peak_of(series_load(room).load_W);
        out.admittance = peak_of(AdmittanceMethod{admittance_room()}.air_held_W(set_point_C_));
        out.at_once = peak_of(at_once());
    }

private:
    static MethodPeak peak_of(const HourlyDay& load_W)
    {
        const std::size_t at = hour_of_peak(load_W);
        return {load_W[at], at};
    }

    /// Means over the hours.
    template <class Value>
    HourlyDay hourly(const Value& at_stage) const
    {
        HourlyDay out{};
        const std::size_t stages = run_.recorded.stages, per_hour = stages / hours;
        for (std::size_t s = 0; s < stages; ++s) {
            const double weight = fabric::two_stages::weight[s % 2] * 2.0 / static_cast<double>(per_hour);
            out[s / per_hour] += weight * at_stage(s);
        }
        return out;
    }
    HourlyDay hourly(const Drives& drives) const
    {
        HourlyDay out{};
        const std::size_t per_hour = m_.steps / hours;
        for (std::size_t i = 0; i < m_.steps; ++i)
            out[i / per_hour] +=
                0.5 * (m_.value(drives, i, 0.0) + m_.value(drives, i, 1.0)) / static_cast<double>(per_hour);
        return out;
    }

    fabric::Buildup layers_of(const balance::Surface& s) const
    {
        if (s.wall < b_.build_ups.size()) return b_.build_ups[s.wall].layers;
        fabric::Buildup out;
        out.layers.push_back({.resistance_m2K_per_W = 1.0 / std::abs(m_.walls[s.wall].d12)});
        return out;
    }

    struct Wall {
        const balance::Surface* surface = nullptr;
        std::size_t index = 0; ///< in the model
        bool turned = false, both = false;
        fabric::Films films{}; ///< beyond, and in the room
        double near_convective = 0.0, near_film = 0.0;
        HourlyDay beyond_C{};
    };
    /// Surfaces with something of a temperature beyond them; those with both faces in the room, or nothing, are left out.
    std::vector<Wall> walls(bool with_inner_mass) const
    {
        std::vector<Wall> out;
        for (std::size_t i = 0; i < m_.surfaces.size(); ++i) {
            const balance::Surface& s = m_.surfaces[i];
            const ZoneFace *in = detail::face_in(s.inside, zone_), *opposite = detail::face_in(s.outside, zone_);
            if (in == nullptr && opposite == nullptr) continue;
            const bool turned = in == nullptr;
            const ZoneFace& near = turned ? *opposite : *in;
            Wall wall{.surface = &s, .index = i, .turned = turned, .both = in != nullptr && opposite != nullptr};
            wall.near_convective = near.convective_W_per_m2K;
            wall.near_film = near.convective_W_per_m2K + near.radiative_W_per_m2K;
            const balance::Face& far = turned ? s.inside : s.outside;
            const bool nothing = wall.both || std::holds_alternative<balance::InsulatedFace>(far);
            if ((nothing && !with_inner_mass) || wall.near_film <= 0.0) continue;
            double film = 0.0;
            if (const auto* o = std::get_if<balance::OutdoorFace>(&far))
                film = o->long_wave ? 0.0 : o->film_by_step ? m_.value(*o->film_by_step, 0, 0.5) : o->film_W_per_m2K;
            else if (const auto* f = std::get_if<balance::FixedFace>(&far))
                film = f->film_W_per_m2K.value_or(0.0);
            else if (const auto* z = std::get_if<ZoneFace>(&far))
                film = z->convective_W_per_m2K + z->radiative_W_per_m2K;
            wall.films = {film > 0.0 ? 1.0 / film : 0.0, 1.0 / wall.near_film};
            const std::size_t surfaces = m_.surfaces.size(), side = turned ? 1 : 0;
            wall.beyond_C = hourly([&](std::size_t stage) { // the temperature that its far face shows
                const std::size_t at = 2 * (stage * surfaces + i) + side;
                return run_.recorded.face_C[at] + (film > 0.0 ? run_.recorded.flux_W_per_m2[at] / film : 0.0);
            });
            out.push_back(std::move(wall));
        }
        return out;
    }

    /// Heat that streams of air bring, by hours.
    HourlyDay air_W() const
    {
        HourlyDay out{};
        const balance::Zone& z = m_.zones[zone_];
        const HourlyDay outdoors = hourly(Drives{{m_.outdoor_air_C, 1.0}}),
                        infiltration = hourly(z.infiltration_kg_per_s), ventilation = hourly(z.ventilation_kg_per_s);
        const double cp = m_.air_specific_heat_J_per_kgK;
        for (std::size_t h = 0; h < hours; ++h)
            out[h] =
                ((infiltration[h] + ventilation[h]) * cp + z.thermal_bridges_W_per_K) * (outdoors[h] - set_point_C_);
        if (z.supply_air) {
            const detail::RecordedSupply air{m_, run_.recorded, zone_};
            const HourlyDay brought = hourly([&](std::size_t stage) { return air.at(stage).heat_W(set_point_C_); });
            for (std::size_t h = 0; h < hours; ++h) out[h] += brought[h];
        }
        for (const balance::TransferAir& air : z.transfer_air) {
            const HourlyDay flow = hourly(air.kg_per_s),
                            from = hourly([&](std::size_t stage) {
                                return run_.recorded.air_C[stage * run_.recorded.zones + air.from];
                            });
            for (std::size_t h = 0; h < hours; ++h) out[h] += flow[h] * cp * (from[h] - set_point_C_);
        }
        return out;
    }

    SeriesRoom series_room()
    {
        const balance::Zone& z = m_.zones[zone_];
        SeriesRoom out{.set_point_C = set_point_C_, .beam_W = hourly(z.sun.beam), .diffuse_W = hourly(z.sun.diffuse)};
        for (const Wall& w : walls(false)) {
            out.surfaces.push_back({w.surface->id, w.surface->area_m2,
                                    daily_response_factors(layers_of(*w.surface), w.films), w.beyond_C,
                                    usual_radiant_share(w.surface->part)});
            film_shares_.push_back(1.0 - w.near_convective / w.near_film);
        }
        constexpr double radiant_share_of_panes = 0.33;
        out.gains.push_back({"radiant", hourly(z.radiant_gain_W), 1.0});
        out.gains.push_back({"convective", hourly(z.convective_gain_W), 0.0});
        out.gains.push_back({"panes", hourly(in_panes()), radiant_share_of_panes});
        out.gains.push_back({"air", air_W(), 0.0});
        return out;
    }
    /// Sun taken up on the inner faces of panes; what shades give off is among the gains.
    Drives in_panes() const
    {
        Drives out;
        for (const balance::Surface& s : m_.surfaces)
            for (const balance::Face* face : {&s.inside, &s.outside})
                if (const ZoneFace* in = detail::face_in(*face, zone_);
                    in != nullptr && s.part == balance::Part::window)
                    for (const balance::Drive& d : in->absorbed_W)
                        if (std::ranges::any_of(m_.zones[zone_].sun.taken_up,
                                                [&](const balance::Drive& t) { return t.signal == d.signal; }))
                            out.push_back(d);
        return out;
    }

    void take_series(SeriesRoom& room, Losses losses) const
    {
        balance::ThermalModel m = edge_.silent();
        for (balance::Surface& s : m.surfaces)
            for (balance::Face* face : {&s.outside, &s.inside})
                if (auto* in = std::get_if<ZoneFace>(face)) in->natural = std::nullopt;
        room.by_area = response_terms(m, 0, {Source::Kind::by_area, 0}, losses).equal_kind;
        room.by_beam = {};
        double floor_m2 = 0.0;
        for (std::size_t i = 0; i < m.surfaces.size(); ++i) {
            if (!is_floor(i)) continue;
            const HourlyDay of_face = response_terms(m, 0, {Source::Kind::face, i}, losses).equal_kind;
            for (std::size_t h = 0; h < hours; ++h) room.by_beam[h] += m.surfaces[i].area_m2 * of_face[h];
            floor_m2 += m.surfaces[i].area_m2;
        }
        if (floor_m2 <= 0.0)
            room.by_beam = room.by_area; // a room without a floor
        else
            for (double& share : room.by_beam) share /= floor_m2;
    }
    /// Of the room's own model.
    bool is_floor(std::size_t surface) const
    {
        const std::size_t there = edge_.surface_of(surface);
        const SurfaceFrom& from = from_[there];
        const building::Attitude seen = b_.surfaces[from.surface].attitude;
        const bool own = detail::face_in(m_.surfaces[there].inside, zone_) != nullptr;
        return !from.opening && seen == (own ? building::Attitude::floor : building::Attitude::ceiling);
    }

    AdmittanceRoom admittance_room() const
    {
        const balance::Zone& z = m_.zones[zone_];
        AdmittanceRoom out{.outdoor_C = hourly(Drives{{m_.outdoor_air_C, 1.0}}),
                           .radiant_W = hourly(z.radiant_gain_W),
                           .convective_W = hourly(z.convective_gain_W)};
        for (const Wall& w : walls(true)) {
            AdmittanceSurface& s = out.surfaces.emplace_back();
            s = {.id = w.surface->id,
                 .area_m2 = w.both ? 2.0 * w.surface->area_m2 : w.surface->area_m2,
                 .layers = layers_of(*w.surface),
                 .inside_m2K_per_W = w.films.inside_m2K_per_W,
                 .beyond_C = w.beyond_C,
                 .sun_falls_on = w.surface->part != balance::Part::window};
            const balance::Face& far = w.turned ? w.surface->inside : w.surface->outside;
            if (w.turned) std::ranges::reverse(s.layers.layers);
            if (!w.both && !std::holds_alternative<balance::InsulatedFace>(far))
                s.outside_m2K_per_W = std::max(1e-4, w.films.outside_m2K_per_W);
        }
        const HourlyDay beam = hourly(z.sun.beam), diffuse = hourly(z.sun.diffuse), panes = hourly(in_panes()),
                        air = air_W();
        for (std::size_t h = 0; h < hours; ++h) {
            out.sun_W[h] = beam[h] + diffuse[h];
            out.radiant_W[h] += panes[h];
            out.convective_W[h] += air[h]; // counted from the set-point, as the room's air is held there
        }
        return out;
    }

    HourlyDay at_once()
    {
        const SeriesRoom room = series_room();
        HourlyDay out{};
        for (const SeriesSurface& s : room.surfaces) {
            const double per_K =
                s.area_m2 * std::accumulate(s.factors_W_per_m2K.begin(), s.factors_W_per_m2K.end(), 0.0);
            for (std::size_t h = 0; h < hours; ++h) out[h] += per_K * (s.beyond_C[h] - set_point_C_);
        }
        for (const SeriesGain& g : room.gains)
            for (std::size_t h = 0; h < hours; ++h) out[h] += g.gain_W[h];
        for (std::size_t h = 0; h < hours; ++h) out[h] += room.beam_W[h] + room.diffuse_W[h];
        return out;
    }

    const building::Building& b_;
    const balance::ThermalModel& m_;
    const std::vector<SurfaceFrom>& from_;
    const detail::DayOfBuilding& run_;
    std::size_t zone_;
    double set_point_C_;
    detail::RoomAtEdge edge_;
    std::vector<double> film_shares_{}; ///< radiant, of surfaces in the series' order
};

/// The day on which a room's sensible load is largest; nothing if none is.
const LoadDay* sensible_day(const RoomLoad& load, MethodPeak& peak)
{
    const LoadDay* out = nullptr;
    for (const LoadDay& day : load.cooling_days)
        for (std::size_t h = 0; h < day.sensible_W.size(); ++h)
            if (day.sensible_W[h] > peak.load_W) {
                peak = {day.sensible_W[h], h};
                out = &day;
            }
    return out;
}

} // namespace

std::vector<SecondOpinion> second_opinions(const building::Building& b, const RoomLoads& loads,
                                           const DesignOptions& options)
{
    std::vector<SecondOpinion> out;
    std::map<std::string, std::vector<std::pair<std::size_t, std::size_t>>>
        by_day; // rooms, and where they stand in what comes out
    for (std::size_t r = 0; r < b.rooms.size(); ++r) {
        const auto load = std::ranges::find(loads.rooms, b.rooms[r].name, &RoomLoad::room);
        if (load == loads.rooms.end() || !load->cooled || load->typed || b.rooms[r].left_out) continue;
        SecondOpinion one{.room = load->room, .floor_area_m2 = load->floor_area_m2};
        const LoadDay* day = sensible_day(*load, one.balance);
        if (day == nullptr) continue;
        one.day = day->day;
        one.month = day->month;
        one.clock_ahead_h = day->clock_ahead_h;
        by_day[day->day].emplace_back(r, out.size());
        out.push_back(std::move(one));
    }
    const auto models = models_of(b, options);
    for (const auto& [name, rooms] : by_day) {
        const auto day = climate::design_day_called(b.site, name);
        VENTURE_ASSERT(day.has_value());
        const Compiled compiled = models->compile(b, *day);
        const detail::DayOfBuilding run = detail::run_for_parts(compiled.model, models->begin_of(*day));
        for (const auto& [room, at] : rooms) {
            out[at].air_C = run.day.zones[compiled.zone_of_room[room]].air_C[out[at].balance.hour];
            Simplified{b, compiled, run, room, out[at].air_C}.take(out[at]);
        }
    }
    return out;
}

namespace {

using figure::Cell;
using figure::Show;
using figure::Sum;

/// More than the balance, as a share of it.
template <MethodPeak SecondOpinion::*method>
Cell more_of(const SecondOpinion& s)
{
    return (s.*method).load_W / s.balance.load_W - 1.0;
}
template <MethodPeak SecondOpinion::*method>
Cell load_of(const SecondOpinion& s)
{
    return (s.*method).load_W;
}
template <MethodPeak SecondOpinion::*method>
Cell hour_of(const SecondOpinion& s)
{
    const auto clock = static_cast<int>(std::floor(static_cast<double>((s.*method).hour) + s.clock_ahead_h)) % 24;
    return figure::When{s.day, s.month, clock};
}

} // namespace

const figure::TableOf<SecondOpinion>& second_opinion_columns()
{
    using S = SecondOpinion;
    static const figure::TableOf<S> all = {
        {"second_opinion", "Second opinion on cooling",
         "Sensible cooling of a room by the heat balance, and what simpler methods make of the same day."},
        {
            {{"room", "Room", "", "name of the room", 0}, [](const S& s) -> Cell { return s.room; }},
            {{"balance", "Heat\nbalance", "power", "largest hour mean", 0, Sum::added}, load_of<&S::balance>},
            {{"balance_when", "at", "", "day and clock hour", 2}, hour_of<&S::balance>},
            {{"air", "air at", "temperature", "in that hour: what the simpler methods hold all day", 2},
             [](const S& s) -> Cell { return s.air_C; }},
            {{"per_area", "Heat\nbalance", "power_per_area", "for each square metre of floor", 2},
             [](const S& s) -> Cell { return s.balance.load_W / s.floor_area_m2; }},
            {{"series", "Time\nseries", "power", "radiant time series that sum to one", 1, Sum::added},
             load_of<&S::series>},
            {{"series_more", "Time\nmore", "fine_share", "than the heat balance", 1}, more_of<&S::series>},
            {{"series_when", "at", "", "day and clock hour", 5}, hour_of<&S::series>},
            {{"with_losses", "With\nlosses", "power",
              "radiant time series with their losses, conduction parted by films", 3, Sum::added},
             load_of<&S::series_with_losses>},
            {{"with_losses_more", "With\nmore", "fine_share", "than the heat balance", 3},
             more_of<&S::series_with_losses>},
            {{"admittance", "Admit-\ntance", "power", "admittance method, air held at the set-point", 2, Sum::added},
             load_of<&S::admittance>},
            {{"admittance_more", "Admit-\nmore", "fine_share", "than the heat balance", 2}, more_of<&S::admittance>},
            {{"admittance_when", "at", "", "day and clock hour", 5, Sum::none, Show::data}, hour_of<&S::admittance>},
            {{"at_once", "Nothing\nstored", "power", "every gain is load in its own hour", 1, Sum::added},
             load_of<&S::at_once>},
            {{"at_once_more", "Nothing\nmore", "fine_share", "than the heat balance", 1}, more_of<&S::at_once>},
            {{"comes_back", "comes\nback", "share", "of radiation shared by area: the rest leaves outwards", 4},
             [](const S& s) -> Cell { return s.comes_back; }},
        }};
    return all;
}

} // namespace venture::loads
