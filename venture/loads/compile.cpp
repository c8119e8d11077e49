#include <venture/loads/compile.hpp>

#include <algorithm>
#include <cmath>
#include <numeric>

#include <venture/air/point.hpp>
#include <venture/air/room_density.hpp>
#include <venture/balance/heat_balance.hpp>
#include <venture/building/activity.hpp>
#include <venture/fabric/convection.hpp>
#include <venture/loads/compiler.hpp>
#include <venture/quantity/error.hpp>

namespace venture::loads {

namespace {

constexpr double reference_K = air::volume_flow_C + 273.15;

} // namespace

double air_specific_heat_J_per_kgK(const building::Method& method, double outdoor_humidity_ratio)
{
    return air::heat_capacity_J_per_kgK(method.moist_air_heat ? outdoor_humidity_ratio : 0.0);
}

double outdoor_flow_counts(const building::Method& method, double outdoor_C)
{
    return method.flows_as_outdoors ? reference_K / (outdoor_C + 273.15) : 1.0;
}

namespace detail {

Compiler::Compiler(const building::Building& building, const Spell& spell, const CompileOptions& options)
    : b_{building},
      spell_{spell},
      options_{options},
      scenes_{options.scenes}
{
    quantity::check_range("compile", "step", options.step_s, {60.0, 3600.0}, "s");
    m_.walls = options.build_up_modes.empty() ? build_up_modes(building, options.step_s) : options.build_up_modes;
    m_.step_s = options.step_s;
    m_.steps = static_cast<std::size_t>(std::lround(static_cast<double>(spell.hours) * 3600.0 / options.step_s));
}

Compiled Compiler::run()
{
    m_.outdoor_air_C = samples(spell_.dry_bulb_C, balance::Forcing::outdoor_air);
    m_.pressure_Pa = spell_.pressure.pascal();
    m_.outdoor_humidity_ratio = samples(spell_.humidity_ratio, balance::Forcing::moisture);
    m_.air_specific_heat_J_per_kgK =
        air_specific_heat_J_per_kgK(b_.method, m_.signals[m_.outdoor_humidity_ratio.index].mean());
    site_ground_ = m_.add_blocks(spell_.site_ground_C, balance::Forcing::ground);
    if (b_.method.wind_and_sky) {
        sky_ = samples(spell_.sky_C, balance::Forcing::sky);
        std::vector<double> films;
        for (const double wind : spell_.wind_m_per_s)
            films.push_back(fabric::wind_convection_W_per_m2K(fabric::WindLaw::iso_6946, wind));
        wind_film_ = m_.add_blocks(films, balance::Forcing::coefficient);
    }
    add_zones();
    if (!winter()) shade_scenes();
    add_surfaces();
    share_out_sun();
    return {std::move(m_), std::move(zone_of_room_), std::move(surfaces_from_), std::move(planned_)};
}

void Compiler::add_zones()
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
    add_transfer_air();
    add_planned_air();
    add_air_drawn_in();
    add_gains_in_voids();
    if (options_.limits) add_limits();
    sun_.resize(order.size());
}

/// What stands in rooms as it is: limited, and governed by a thermostat that may be in another room.
void Compiler::add_limits()
{
    for (std::size_t r = 0; r < b_.rooms.size(); ++r) {
        const building::Room& room = b_.rooms[r];
        const building::Use& use = room.use;
        balance::Zone& zone = m_.zones[zone_of_room_[r]];
        if (use.heating_limit_W)
            zone.most_heating_W = m_.add_constant(use.heating_limit_W->value, balance::Forcing::coefficient);
        if (use.cooling_limit_W)
            zone.most_cooling_W = m_.add_constant(use.cooling_limit_W->value, balance::Forcing::coefficient);
        if (use.drying_limit_kg_per_s)
            zone.most_drying_kg_per_s =
                m_.add_constant(use.drying_limit_kg_per_s->value, balance::Forcing::coefficient);
        if (use.humidifying_limit_kg_per_s)
            zone.most_humidifying_kg_per_s =
                m_.add_constant(use.humidifying_limit_kg_per_s->value, balance::Forcing::coefficient);
        if (use.air_supply) limit_by_supply(room, b_.air_supplies[*use.air_supply], zone);
        if (!room.thermostat_in) continue;
        const building::Room& governing = b_.rooms[*room.thermostat_in];
        const auto &own = use.heating_limit_W, &theirs = governing.use.heating_limit_W;
        const double ratio = own && theirs && theirs->value > 0.0 ? own->value / theirs->value
                                                                  : room.floor_area_m2 / governing.floor_area_m2;
        zone.follows = balance::Follows{zone_of_room_[*room.thermostat_in], ratio};
    }
}

/// What its coils can do for the floor of the room, beside what is typed of the room itself.
void Compiler::limit_by_supply(const building::Room& room, const building::AirSupply& supply, balance::Zone& zone)
{
    if (supply.greatest_heating_W_per_m2) {
        const double most_W = supply.greatest_heating_W_per_m2->value * room.floor_area_m2;
        if (!room.use.heating_limit_W || most_W < room.use.heating_limit_W->value)
            zone.most_heating_W = m_.add_constant(most_W, balance::Forcing::coefficient);
    }
    if (supply.greatest_cooling_W_per_m2)
        zone.most_cooling_with_latent_W = m_.add_constant(supply.greatest_cooling_W_per_m2->value * room.floor_area_m2,
                                                          balance::Forcing::coefficient);
}

balance::Zone Compiler::zone_of(const building::Room& room)
{
    const building::Use& use = room.use;
    const double density = air::room_density_kg_per_m3(spell_.pressure), air_kg = room.volume_m3 * density;
    balance::Zone zone{.id = room.name,
                       .air_capacity_J_per_K =
                           air_kg * m_.air_specific_heat_J_per_kgK + use.furniture_J_per_m2K.value * room.floor_area_m2,
                       .dry_air_kg = air_kg,
                       .moisture_buffer = use.moisture_buffer,
                       .radiant_weight = use.control_operative ? 0.5 : 0.0,
                       .convective_share = 1.0 - use.radiant_share.value};
    zone.infiltration_kg_per_s = {{of_outdoor_air(infiltration(use)), air_kg / 3600.0}};
    if (!winter()) add_gains(room, zone);
    add_control(room, zone);
    return zone;
}

namespace {

balance::Forcing forcing_of(building::Gain::Kind kind)
{
    switch (kind) {
    case building::Gain::Kind::people:
        return balance::Forcing::people;
    case building::Gain::Kind::lighting:
        return balance::Forcing::lighting;
    default:
        return balance::Forcing::equipment;
    }
}

} // namespace

void Compiler::add_gains(const building::Room& room, balance::Zone& zone)
{
    for (const building::Gain& gain : room.use.gains) {
        const balance::Forcing forcing = forcing_of(gain.kind);
        if (gain.at_room_C && gain.sensible_W() > 0.0 && gain.moisture_kg_per_s > 0.0) {
            add_people(gain, zone);
            continue;
        }
        if (gain.sensible_W() > 0.0) {
            zone.convective_gain_W.push_back({profile(gain.profile, forcing), gain.convective_W});
            zone.radiant_gain_W.push_back({profile(gain.profile, forcing), gain.radiant_W});
        }
        if (gain.moisture_kg_per_s > 0.0)
            zone.moisture_gain_kg_per_s.push_back(
                {profile(gain.profile, balance::Forcing::moisture), gain.moisture_kg_per_s});
    }
}

/// People by what they do, in the zone that is being added: signals of their own, which go by its air.
void Compiler::add_people(const building::Gain& gain, balance::Zone& zone)
{
    const auto own_copy = [&](balance::Forcing forcing) {
        const balance::SignalId of_profile = profile(gain.profile, forcing);
        return m_.add(balance::Signal{m_.signals[of_profile.index]});
    };
    const balance::SignalId sensible = own_copy(balance::Forcing::people),
                            latent = own_copy(balance::Forcing::moisture);
    zone.convective_gain_W.push_back({sensible, gain.convective_W});
    zone.radiant_gain_W.push_back({sensible, gain.radiant_W});
    zone.moisture_gain_kg_per_s.push_back({latent, gain.moisture_kg_per_s});
    m_.bodies.push_back({.zone = m_.zones.size(),
                         .sensible = sensible,
                         .latent = latent,
                         .reference_C = *gain.at_room_C,
                         .none_at_C = building::no_sensible_heat_C,
                         .latent_per_sensible =
                             gain.moisture_kg_per_s * air::latent_heat_of_vaporisation_J_per_kg / gain.sensible_W()});
}

/// Heat that rooms send into the void over their ceilings, where that is a room.
void Compiler::add_gains_in_voids()
{
    if (winter()) return;
    for (const building::Room& room : b_.rooms)
        for (const building::Gain& gain : room.use.gains)
            if (room.void_room && gain.to_void_W > 0.0)
                m_.zones[zone_of_room_[*room.void_room]].convective_gain_W.push_back(
                    {profile(gain.profile, forcing_of(gain.kind)), gain.to_void_W});
}

void Compiler::add_control(const building::Room& room, balance::Zone& zone)
{
    constexpr double occupied_height_m = 1.1;
    const building::Use& use = room.use;
    // A set-point is felt where people sit; in a stratified room the mean of its air is warmer than that, and so is what
    // is held, by as much of it as is air.
    const double warmer_K =
        (1.0 - zone.radiant_weight) * use.stratification_K * (0.5 - std::min(0.5, occupied_height_m / room.height_m));
    const auto limit = [&](const building::HumidityLimit& of, auto& relative, auto& ratio) {
        const bool of_own_air = of.is_of_own_air();
        (of_own_air ? relative : ratio) = m_.add_constant(
            of_own_air ? of.value : of.humidity_ratio(0.0, spell_.pressure), balance::Forcing::moisture);
    };
    if (use.heating_setpoint_C && use.least_humidity)
        limit(*use.least_humidity, zone.wet_below_relative, zone.wet_below_kg_per_kg);
    if (use.heating_setpoint_C)
        zone.heat_below_C = set_point(use.heating_setpoint_C->value + warmer_K, use.heating_setback, -1.0);
    if (winter() || !use.cooling_setpoint_C) return;
    zone.cool_above_C = set_point(use.cooling_setpoint_C->value, use.cooling_setback, 1.0);
    if (const auto most = room.dried_above(b_.method, spell_.for_design))
        limit(*most, zone.dry_above_relative, zone.dry_above_kg_per_kg);
}

/// A set-point that comes back from its setback along a ramp before each hour that asks for more.
/// @param away  sign of the way in which the setback lies
balance::SignalId Compiler::set_point(double temperature_C, const std::optional<building::Setback>& setback,
                                      double away)
{
    if (!setback || !options_.setbacks) return m_.add_constant(temperature_C, balance::Forcing::set_point);
    const double back_C = setback->temperature_C.value;
    const auto key = std::tuple{temperature_C, back_C, setback->profile, setback->ramp_h, away};
    if (const auto known = set_points_.find(key); known != set_points_.end()) return known->second;
    const auto asked = [&](std::size_t hour) {
        return std::lerp(back_C, temperature_C, fraction(setback->profile, hour % spell_.hours));
    };
    const auto at = [&](std::size_t hour, double into_h) {
        double value = asked(hour);
        const auto reaches = static_cast<std::size_t>(std::ceil(into_h + setback->ramp_h));
        for (std::size_t ahead = 1; ahead <= reaches; ++ahead) {
            const double left_h = static_cast<double>(ahead) - into_h, then = asked(hour + ahead),
                         rise = then - asked(hour + ahead - 1);
            if (rise * away >= 0.0 || left_h > setback->ramp_h) continue;
            const double on_ramp = then - rise * left_h / setback->ramp_h;
            value = away < 0.0 ? std::max(value, on_ramp) : std::min(value, on_ramp);
        }
        return value;
    };
    balance::Signal signal{.forcing = balance::Forcing::set_point};
    const std::size_t per_hour = m_.steps / spell_.hours;
    for (std::size_t i = 0; i < m_.steps; ++i) {
        const double step_h = 1.0 / static_cast<double>(per_hour), into_h = static_cast<double>(i % per_hour) * step_h;
        signal.start.push_back(at(i / per_hour, into_h));
        signal.end.push_back(at(i / per_hour, into_h + step_h));
    }
    return set_points_[key] = m_.add(std::move(signal));
}

/// The profile of a day of the spell; on design days the one that the calendar has for them.
const calendar::Profile& Compiler::profile_at(std::size_t calendar, std::size_t hour)
{
    std::vector<const calendar::Profile*>& by_hour = profile_by_hour_[calendar];
    if (by_hour.empty()) {
        const calendar::Calendar& c = b_.calendars[calendar];
        for (std::size_t h = 0; h < spell_.hours; ++h)
            by_hour.push_back(on_design_day() ? &c.on_design_day(spell_.month[h]) : &c.on(spell_.clock_date[h]));
    }
    return *by_hour[hour];
}

/// What a calendar says by the clock, some way into an hour of the spell.
double Compiler::fraction(std::size_t calendar, std::size_t hour, double into_h)
{
    const double clock_h = spell_.clock_h[hour] + into_h;
    const std::size_t day_of = clock_h < 24.0 ? hour : (hour + 1) % spell_.hours; // clocks ahead by half an hour
    return profile_at(calendar, day_of).fraction[static_cast<std::size_t>(clock_h) % 24];
}

/// A calendar of clock time in standard time; in winter design its largest value all day.
balance::SignalId Compiler::profile(std::size_t index, balance::Forcing forcing)
{
    if (const auto known = profiles_.find({index, forcing}); known != profiles_.end()) return known->second;
    if (winter())
        return profiles_[{index, forcing}] = m_.add_constant(b_.calendars[index].on_design_day(0).highest(), forcing);
    const bool whole = std::ranges::all_of(spell_.clock_h, [](double h) { return h == std::floor(h); });
    const std::size_t per_hour = whole ? 1 : m_.steps / spell_.hours;
    std::vector<double> values;
    for (std::size_t h = 0; h < spell_.hours; ++h)
        for (std::size_t k = 0; k < per_hour; ++k)
            values.push_back(fraction(index, h, (static_cast<double>(k) + 0.5) / static_cast<double>(per_hour)));
    return profiles_[{index, forcing}] = m_.add_blocks(std::move(values), forcing);
}

} // namespace detail

std::vector<fabric::WallModes> build_up_modes(const building::Building& building, double step_s)
{
    std::vector<fabric::WallModes> modes;
    for (const building::NamedBuildup& build_up : building.build_ups)
        modes.push_back(fabric::wall_modes(build_up.layers, {.step_s = balance::part_of_step_s(step_s)}));
    return modes;
}

Compiled compile(const building::Building& building, const Spell& spell, const CompileOptions& options)
{
    return detail::Compiler{building, spell, options}.run();
}

Compiled compile(const building::Building& building, const climate::DesignDay& day, const CompileOptions& options)
{
    return compile(building, spell_of(building.site, day), options);
}

} // namespace venture::loads
