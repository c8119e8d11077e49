#include <venture/loads/compile.hpp>

#include <algorithm>
#include <cmath>
#include <map>
#include <numeric>

#include <venture/air/moist_air.hpp>
#include <venture/fabric/glazing.hpp>
#include <venture/loads/heat_balance.hpp>
#include <venture/quantity/error.hpp>

namespace venture::loads {

using building::Attitude;
using building::Building;
using building::Neighbour;
using climate::Angle;
using climate::DesignDay;

double room_air_density_kg_per_m3(quantity::Pressure pressure) { return pressure.pascal() / (287.042 * 293.15); }

namespace {

using Points = std::array<double, DesignDay::points>;

SignalId add_points(ThermalModel& model, const Points& points)
{
    return model.add_hourly_points({points.begin(), points.end()});
}

ZoneFace zone_face(std::size_t zone, fabric::HeatFlow direction)
{
    const fabric::InsideFilm film = fabric::inside_film(direction);
    return {.zone = zone,
            .convective_W_per_m2K = film.convective_W_per_m2K,
            .radiative_W_per_m2K = film.radiative_W_per_m2K};
}

class Compiler {
public:
    Compiler(const Building& b, const DesignDay& day, double step_s, const std::vector<fabric::WallModes>& modes)
        : b_{b},
          day_{day}
    {
        m_.walls = modes;
        quantity::check_range("compile", "step", step_s, {60.0, 3600.0}, "s");
        m_.step_s = step_s;
        m_.steps = static_cast<std::size_t>(std::lround(86400.0 / step_s));
    }

    Compiled run()
    {
        m_.outdoor_air_C = add_points(m_, day_.dry_bulb_C);
        m_.outdoor_humidity_ratio = add_points(m_, day_.humidity_ratio);
        ground_ = m_.add_constant(day_.ground_C);
        add_zones();
        add_surfaces();
        share_out_sun();
        return {std::move(m_), std::move(zone_of_room_)};
    }

private:
    [[nodiscard]] bool winter() const { return day_.month == 0; }

    // --- zones: air, gains, control

    void add_zones()
    {
        std::vector<std::size_t> order(b_.rooms.size());
        std::iota(order.begin(), order.end(), std::size_t{0});
        std::ranges::sort(order, {}, [&](std::size_t r) { return b_.rooms[r].name; });
        zone_of_room_.resize(order.size());
        for (std::size_t z = 0; z < order.size(); ++z) {
            zone_of_room_[order[z]] = z;
            m_.zones.push_back(zone_of(b_.rooms[order[z]]));
            for (const building::ThermalBridge& bridge : b_.thermal_bridges)
                if (bridge.room == order[z]) m_.zones[z].thermal_bridges_W_per_K += bridge.heat_loss_W_per_K;
        }
        sun_.resize(order.size());
    }

    Zone zone_of(const building::Room& room)
    {
        const building::Use& use = room.use;
        const double density = room_air_density_kg_per_m3(day_.pressure), air_kg = room.volume_m3 * density;
        Zone zone{.id = room.name,
                  .air_capacity_J_per_K =
                      air_kg * m_.air_specific_heat_J_per_kgK + use.furniture_J_per_m2K.value * room.floor_area_m2,
                  .dry_air_kg = air_kg,
                  .radiant_weight = use.control_operative ? 0.5 : 0.0};
        zone.infiltration_kg_per_s = {{m_.add_constant(use.infiltration_per_h.value * air_kg / 3600.0)}};
        const double by_plan = room.outdoor_air_by_plan_m3_per_s() * density;
        if (by_plan > 0.0) zone.ventilation_kg_per_s = {{profile(use.ventilation_profile), by_plan}};
        if (use.heating_setpoint_C) zone.heat_below_C = m_.add_constant(use.heating_setpoint_C->value);
        if (winter()) return zone;
        if (use.cooling_setpoint_C) zone.cool_above_C = m_.add_constant(use.cooling_setpoint_C->value);
        add_gains(room, zone);
        if (use.humidity_limit && use.cooling_setpoint_C) {
            const auto limit =
                air::MoistAir::from_relative_humidity(quantity::Temperature::celsius(use.cooling_setpoint_C->value),
                                                      use.humidity_limit->value, day_.pressure);
            zone.dry_above_kg_per_kg = m_.add_constant(limit.humidity_ratio());
        }
        return zone;
    }

    void add_gains(const building::Room& room, Zone& zone)
    {
        const building::Use& use = room.use;
        const auto add = [&](double watts, double radiant_share, std::size_t when) {
            if (watts <= 0.0) return;
            zone.convective_gain_W.push_back({profile(when), watts * (1.0 - radiant_share)});
            zone.radiant_gain_W.push_back({profile(when), watts * radiant_share});
        };
        add(use.people.value * use.sensible_per_person_W.value, radiant_share_people, use.people_profile);
        add(use.lighting_W_per_m2.value * room.floor_area_m2, radiant_share_lighting, use.lighting_profile);
        add(use.equipment_W_per_m2.value * room.floor_area_m2 + use.equipment_W.value, radiant_share_equipment,
            use.equipment_profile);
        const double from_people =
            use.people.value * use.latent_per_person_W.value / air::latent_heat_of_vaporisation_J_per_kg;
        if (from_people > 0.0) zone.moisture_gain_kg_per_s.push_back({profile(use.people_profile), from_people});
        if (use.moisture_kg_per_s.value > 0.0)
            zone.moisture_gain_kg_per_s.push_back({profile(use.moisture_profile), use.moisture_kg_per_s.value});
    }

    /// A profile of clock time in standard time; in winter design its largest value all day.
    SignalId profile(std::size_t index)
    {
        if (const auto known = profiles_.find(index); known != profiles_.end()) return known->second;
        const auto& fraction = b_.profiles[index].fraction;
        Signal signal;
        for (std::size_t i = 0; i < m_.steps; ++i) {
            const double clock_h = (static_cast<double>(i) + 0.5) * m_.step_s / 3600.0 + day_.clock_ahead_h;
            signal.start.push_back(fraction[static_cast<std::size_t>(clock_h) % 24]);
        }
        if (winter()) signal.start = {*std::ranges::max_element(fraction)};
        signal.end = signal.start;
        return profiles_[index] = m_.add(std::move(signal));
    }

    // --- walls and surfaces

    std::size_t massless_wall(double resistance_m2K_per_W)
    {
        const fabric::Buildup plain{"opening", {{.resistance_m2K_per_W = resistance_m2K_per_W}}};
        m_.walls.push_back(fabric::wall_modes(plain));
        return m_.walls.size() - 1;
    }

    void add_surfaces()
    {
        std::vector<const building::Surface*> order;
        for (const building::Surface& s : b_.surfaces) order.push_back(&s);
        std::ranges::sort(order, {}, [&](const building::Surface* s) {
            return std::pair{b_.rooms[s->room].name, s->name};
        });
        for (const building::Surface* s : order) {
            if (s->net_m2() > 1e-9) add_opaque(*s);
            for (const building::Opening& opening : s->openings)
                opening.kind == building::Opening::Kind::window ? add_window(*s, opening) : add_door(*s, opening);
        }
    }

    void add_opaque(const building::Surface& s)
    {
        const std::size_t zone = zone_of_room_[s.room];
        Surface out{.id = b_.rooms[s.room].name + " / " + s.name,
                    .area_m2 = s.net_m2(),
                    .wall = s.build_up,
                    .inside = zone_face(zone, building::heat_flow(s.attitude)),
                    .part = s.attitude == Attitude::ceiling ? Part::roof : Part::outside_wall};
        switch (s.beyond.kind) {
        case Neighbour::Kind::outdoors:
            out.outside = OutdoorFace{fabric::outside_film_W_per_m2K, sol_air(s, b_.build_ups[s.build_up].absorptance)};
            break;
        case Neighbour::Kind::ground:
            out.outside = FixedFace{.temperature_C = ground_under(b_.build_ups[s.build_up])};
            out.part = Part::ground;
            break;
        case Neighbour::Kind::temperature: {
            const fabric::InsideFilm film = fabric::inside_film(building::heat_flow_behind(s.attitude));
            out.outside = FixedFace{m_.add_constant(s.beyond.temperature_C),
                                    film.convective_W_per_m2K + film.radiative_W_per_m2K};
            break;
        }
        case Neighbour::Kind::room:
            out.outside = zone_face(zone_of_room_[s.beyond.room], building::heat_flow_behind(s.attitude));
            out.part = Part::inner;
            break;
        case Neighbour::Kind::nothing:
            out.part = Part::inner;
            break;
        }
        if (s.attitude == Attitude::floor) sun_[zone].floor_m2 += out.area_m2;
        sun_[zone].faces.push_back({m_.surfaces.size(), true, s.attitude == Attitude::floor});
        if (s.beyond.kind == Neighbour::Kind::room)
            sun_[zone_of_room_[s.beyond.room]].faces.push_back({m_.surfaces.size(), false, false});
        m_.surfaces.push_back(std::move(out));
    }

    /// The ground that a floor's own layers lie on, or what the site states.
    SignalId ground_under(const building::NamedBuildup& floor)
    {
        if (!floor.ground) return ground_;
        return m_.add_constant(winter() ? floor.ground->design_ground_C
                                        : floor.ground->virtual_ground_C[static_cast<std::size_t>(day_.month - 1)]);
    }

    void add_door(const building::Surface& s, const building::Opening& door)
    {
        const std::size_t zone = zone_of_room_[s.room];
        const fabric::Glazing as_stated{.name = "door", .u_value_W_per_m2K = door.u_value_W_per_m2K};
        sun_[zone].faces.push_back({m_.surfaces.size(), true, false});
        m_.surfaces.push_back({.id = b_.rooms[s.room].name + " / " + s.name + " / door",
                               .area_m2 = door.area_m2(),
                               .wall = massless_wall(fabric::face_to_face_resistance(as_stated)),
                               .outside = other_face(s, [&] { return sol_air(s, door_solar_absorptance); }),
                               .inside = zone_face(zone, building::heat_flow(s.attitude)),
                               .part = inner(s) ? Part::inner : Part::door});
    }

    [[nodiscard]] static bool inner(const building::Surface& s) { return s.beyond.kind == Neighbour::Kind::room; }

    /// Of an opening: outdoors, or the room behind.
    template <class Environment>
    Face other_face(const building::Surface& s, Environment environment)
    {
        if (inner(s)) return zone_face(zone_of_room_[s.beyond.room], building::heat_flow_behind(s.attitude));
        return OutdoorFace{fabric::outside_film_W_per_m2K, environment()};
    }

    /// Share of a window's shade that is down at every point of the day.
    Points shade_down(const building::Surface& s, const building::Opening& window)
    {
        Points down{};
        if (!window.shade) return down;
        const building::NamedShade& shade = b_.shades[*window.shade];
        const bool by_people = shade.use == fabric::ShadeUse::while_occupied;
        const auto& fraction = b_.profiles[by_people ? b_.rooms[s.room].use.people_profile : shade.profile].fraction;
        const auto& sun = irradiance(s);
        for (std::size_t h = 0; h < down.size(); ++h) {
            const auto clock_h = static_cast<std::size_t>(static_cast<double>(h) + day_.clock_ahead_h) % 24;
            const bool is_up = day_.sun[h].elevation_deg() > 0.0;
            down[h] = share_down(shade.use, sun[h].total_W_per_m2(), shade.above_W_per_m2, fraction[clock_h], is_up);
        }
        return down;
    }

    /// A shutter that is down adds its resistance to its share of the window. Winter design counts on those alone that
    /// are always down: its steady day is also that on which a shutter was left open.
    void add_shutter(const building::Surface& s, const building::Opening& window, const fabric::Glazing& g,
                     OutdoorFace& face)
    {
        if (!window.shade) return;
        const building::NamedShade& shade = b_.shades[*window.shade];
        const double adds = shade.added_resistance_m2K_per_W, film = face.film_W_per_m2K;
        if (adds <= 0.0 || (winter() && shade.use != fabric::ShadeUse::always)) return;
        const double open = g.u_value_W_per_m2K, shut = 1.0 / (1.0 / open + adds);
        Points down{};
        down.fill(1.0);
        if (!winter()) down = shade_down(s, window);
        Signal films;
        for (std::size_t i = 0; i < m_.steps; ++i) {
            const double hour = (static_cast<double>(i) + 0.5) * m_.step_s / 3600.0;
            const auto h = static_cast<std::size_t>(hour);
            const double share = std::lerp(down[h], down[h + 1], hour - static_cast<double>(h));
            films.start.push_back(1.0 / (1.0 / std::lerp(open, shut, share) - 1.0 / open + 1.0 / film));
        }
        films.end = films.start;
        face.film_by_step = m_.add(std::move(films));
    }

    /// What the shade of a window leaves of the direct part of its gain, and of the whole.
    [[nodiscard]] std::pair<double, double> left_by_shade(const building::Opening& window) const
    {
        if (!window.shade) return {1.0, 1.0};
        const building::NamedGlazing& g = b_.glazings[window.glazing];
        const double glass_u = g.unit ? glazed_unit_properties(*g.unit).u_value_W_per_m2K : g.values.u_value_W_per_m2K;
        const auto left = shaded_gain({.u_value_W_per_m2K = glass_u,
                                       .g_value = g.values.g_value,
                                       .direct_transmittance = g.values.direct_transmittance},
                                      b_.shades[*window.shade].layer);
        return {g.values.direct_transmittance > 0.0 ? left.direct_transmittance / g.values.direct_transmittance : 0.0,
                left.g_value / g.values.g_value};
    }

    void add_window(const building::Surface& s, const building::Opening& window)
    {
        const fabric::Glazing& g = b_.glazings[window.glazing].values;
        const std::size_t zone = zone_of_room_[s.room];
        const double glass_m2 = window.area_m2() * (1.0 - g.frame_share);
        ZoneFace inside = zone_face(zone, building::heat_flow(s.attitude));
        if (!winter() && !inner(s)) {
            const auto& sun = irradiance(s);
            const Points down = shade_down(s, window);
            const auto [direct_left, all_left] = left_by_shade(window);
            Points beam{}, diffuse{}, heat{};
            for (std::size_t h = 0; h < beam.size(); ++h) {
                const double cosine =
                    climate::cos_incidence(day_.sun[h], Angle::degrees(s.tilt_deg), Angle::degrees(s.azimuth_deg));
                const double on_beam = glass_m2 * sun[h].beam_W_per_m2,
                             on_diffuse = glass_m2 * (sun[h].sky_diffuse_W_per_m2 + sun[h].ground_reflected_W_per_m2);
                const double through_beam = on_beam * g.by_angle.direct_at(cosine),
                             through_diffuse = on_diffuse * g.by_angle.diffuse_direct;
                const double all = through_beam + through_diffuse + on_beam * g.by_angle.flows_in_at(cosine) +
                                   on_diffuse * g.by_angle.diffuse_flows_in;
                const double keeps = 1.0 - down[h] * (1.0 - direct_left);
                beam[h] = through_beam * keeps;
                diffuse[h] = through_diffuse * keeps;
                heat[h] = all * (1.0 - down[h] * (1.0 - all_left)) - beam[h] - diffuse[h];
            }
            sun_[zone].beam.push_back({add_points(m_, beam), 1.0});
            sun_[zone].diffuse.push_back({add_points(m_, diffuse), 1.0});
            inside.absorbed_W = {{add_points(m_, heat), 1.0}};
        }
        if (!inner(s)) sun_[zone].lets_out_m2 += glass_m2 * g.by_angle.diffuse_direct;
        Face outside = other_face(s, [&] { return m_.outdoor_air_C; });
        if (auto* outdoors = std::get_if<OutdoorFace>(&outside)) add_shutter(s, window, g, *outdoors);
        m_.surfaces.push_back({.id = b_.rooms[s.room].name + " / " + s.name + " / window",
                               .area_m2 = window.area_m2(),
                               .wall = massless_wall(fabric::face_to_face_resistance(g)),
                               .outside = std::move(outside),
                               .inside = std::move(inside),
                               .part = inner(s) ? Part::inner : Part::window});
    }

    // --- sun

    const std::array<climate::PlaneIrradiance, DesignDay::points>& irradiance(const building::Surface& s)
    {
        const auto key = std::pair{s.tilt_deg, s.azimuth_deg};
        const auto known = irradiance_.find(key);
        if (known != irradiance_.end()) return known->second;
        return irradiance_[key] =
                   climate::irradiance_on_plane(day_, Angle::degrees(s.tilt_deg), Angle::degrees(s.azimuth_deg));
    }

    SignalId sol_air(const building::Surface& s, double absorptance)
    {
        if (winter()) return m_.outdoor_air_C;
        const auto key = std::tuple{s.tilt_deg, s.azimuth_deg, absorptance};
        if (const auto known = sol_air_.find(key); known != sol_air_.end()) return known->second;
        Points t{};
        const auto& sun = irradiance(s);
        for (std::size_t h = 0; h < t.size(); ++h)
            t[h] = day_.dry_bulb_C[h] + absorptance * sun[h].total_W_per_m2() / fabric::outside_film_W_per_m2K;
        return sol_air_[key] = add_points(m_, t);
    }

    /// Sun that came through glass: beam falls on the floor; what the floor throws back, and all diffuse light, is
    /// taken up by the opaque faces by area and absorptance, or leaves again through the glass.
    void share_out_sun()
    {
        for (const ZoneSun& sun : sun_) {
            if (sun.beam.empty()) continue;
            double taking_up = sun.lets_out_m2;
            for (const SunFace& f : sun.faces) taking_up += m_.surfaces[f.surface].area_m2 * inside_solar_absorptance;
            for (const SunFace& f : sun.faces) {
                Surface& s = m_.surfaces[f.surface];
                auto& face = std::get<ZoneFace>(f.inside ? s.inside : s.outside);
                const double of_spread = s.area_m2 * inside_solar_absorptance / taking_up;
                const double at_once = f.floor ? inside_solar_absorptance * s.area_m2 / sun.floor_m2 : 0.0;
                const double thrown_back = sun.floor_m2 > 0.0 ? 1.0 - inside_solar_absorptance : 1.0;
                for (const Drive& d : sun.beam)
                    face.absorbed_W.push_back({d.signal, d.factor * (at_once + thrown_back * of_spread)});
                for (const Drive& d : sun.diffuse) face.absorbed_W.push_back({d.signal, d.factor * of_spread});
            }
        }
    }

    struct SunFace {
        std::size_t surface;
        bool inside; ///< the inside face of the surface, else its outside one
        bool floor;
    };
    struct ZoneSun {
        std::vector<SunFace> faces{};
        Drives beam{}, diffuse{}; ///< through glass, W
        double floor_m2 = 0.0;
        double lets_out_m2 = 0.0; ///< glass, by its transmittance for diffuse light
    };

    const Building& b_;
    const DesignDay& day_;
    ThermalModel m_{};
    std::vector<std::size_t> zone_of_room_{};
    std::vector<ZoneSun> sun_{};
    SignalId ground_{};
    std::map<std::size_t, SignalId> profiles_{};
    std::map<std::pair<double, double>, std::array<climate::PlaneIrradiance, DesignDay::points>> irradiance_{};
    std::map<std::tuple<double, double, double>, SignalId> sol_air_{};
};

} // namespace

std::vector<fabric::WallModes> build_up_modes(const Building& building, double step_s)
{
    std::vector<fabric::WallModes> modes;
    for (const building::NamedBuildup& build_up : building.build_ups)
        modes.push_back(fabric::wall_modes(build_up.layers, {.step_s = part_of_step_s(step_s)}));
    return modes;
}

Compiled compile(const Building& building, const DesignDay& day, double step_s,
                 const std::vector<fabric::WallModes>& build_up_modes)
{
    return Compiler{building, day, step_s, build_up_modes}.run();
}

Compiled compile(const Building& building, const DesignDay& day, double step_s)
{
    return compile(building, day, step_s, build_up_modes(building, step_s));
}

} // namespace venture::loads
