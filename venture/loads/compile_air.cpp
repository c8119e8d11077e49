/// Compiler: outdoor air by leaks, by plan and by air supplies, air from other rooms.

#include <algorithm>
#include <cmath>

#include <venture/air/demand_control.hpp>
#include <venture/air/room_density.hpp>
#include <venture/building/air_balance.hpp>
#include <venture/loads/compiler.hpp>

namespace venture::loads::detail {

using balance::Drives;
using balance::Forcing;
using balance::SignalId;
using input::VentilationControl;

void Compiler::add_transfer_air()
{
    const double density = air::room_density_kg_per_m3(spell_.pressure);
    for (const building::TransferAir& air : b_.transfer_air) {
        const std::size_t from = zone_of_room_[air.from], to = zone_of_room_[air.to];
        const balance::Drives flow{{profile(air.profile, balance::Forcing::coefficient), air.flow_m3_per_s * density}};
        m_.zones[to].transfer_air.push_back({from, flow});
        if (air.both_ways) m_.zones[from].transfer_air.push_back({to, flow});
    }
}

/// Leakage in air changes an hour: winter design counts as winter, everything else goes by its month.
balance::SignalId Compiler::infiltration(const building::Use& use)
{
    const double winter_per_h = use.infiltration_per_h.value, summer_per_h = use.infiltration_summer_per_h.value;
    if (winter() || winter_per_h == summer_per_h) return m_.add_constant(winter_per_h, balance::Forcing::coefficient);
    const bool south = b_.site.place.latitude_deg < 0.0;
    std::vector<double> values;
    for (const int month : spell_.month)
        values.push_back(climate::is_summer_half(month, south) ? summer_per_h : winter_per_h);
    return m_.add_blocks(std::move(values), balance::Forcing::coefficient);
}

/// How much of a volume flow counts, step by step, where it is measured as outdoor air is.
balance::SignalId Compiler::of_outdoor_air(balance::SignalId share)
{
    if (!b_.method.flows_as_outdoors) return share;
    const auto [known, is_new] = of_outdoor_air_.try_emplace(share.index);
    if (is_new) {
        balance::Signal flow{.level = true, .forcing = balance::Forcing::coefficient};
        for (std::size_t i = 0; i < m_.steps; ++i)
            flow.start.push_back(m_.value(share, i, 0.5) *
                                 outdoor_flow_counts(b_.method, m_.value(m_.outdoor_air_C, i, 0.5)));
        known->second = m_.add(std::move(flow));
    }
    return known->second;
}

/// Flow by plan of every step, dry kg/s, where it goes by who is there; at its full in winter design.
std::vector<double> Compiler::controlled_air(const building::Room& room)
{
    const building::Use& use = room.use;
    const double step_h = m_.step_s / 3600.0, density = air::room_density_kg_per_m3(spell_.pressure);
    const std::size_t per_hour = m_.steps / spell_.hours;
    std::vector<double> present, on;
    std::vector<bool> running;
    for (std::size_t i = 0; i < m_.steps; ++i) {
        const double into_h = (static_cast<double>(i % per_hour) + 0.5) * step_h;
        present.push_back(fraction(use.people_profile, i / per_hour, into_h));
        on.push_back(fraction(use.ventilation_profile, i / per_hour, into_h));
        running.push_back(on.back() > 0.0);
    }
    const double least = use.least_ventilation_m_per_s.value * room.floor_area_m2,
                 full = room.outdoor_air_by_plan_m3_per_s(),
                 beside = full - room.outdoor_air_need().supply_m3_per_s(); // by volume, of the room as a whole
    std::vector<double> flow;
    if (use.ventilation_control == VentilationControl::head_count) {
        flow =
            air::flow_by_head_count(room.outdoor_air_need(), present, running, least, m_.step_s, use.ventilation_lag_s);
        for (std::size_t i = 0; i < flow.size(); ++i) flow[i] = std::min(full, flow[i] + on[i] * std::max(0.0, beside));
    } else {
        for (double& share : present) share *= use.people.value;
        flow =
            air::flow_by_carbon_dioxide({.volume_m3 = room.volume_m3,
                                         .given_off_per_person_m3_per_s = use.carbon_dioxide_per_person_m3_per_s.value,
                                         .limit = use.carbon_dioxide_limit->value,
                                         .least_m3_per_s = std::min(least, full),
                                         .most_m3_per_s = full},
                                        present, running, m_.step_s)
                .flow_m3_per_s;
    }
    for (double& f : flow) f *= density;
    return flow;
}

/// Of a room, dry air that comes by plan, whatever its way.
Drives Compiler::planned_air(const building::Room& room)
{
    const building::Use& use = room.use;
    const double by_plan = room.outdoor_air_by_plan_m3_per_s() * air::room_density_kg_per_m3(spell_.pressure);
    if (by_plan <= 0.0) return {};
    if (use.ventilation_control == VentilationControl::constant || winter())
        return {{of_outdoor_air(profile(use.ventilation_profile, Forcing::coefficient)), by_plan}};
    return {{of_outdoor_air(
        m_.add(balance::Signal{.start = controlled_air(room), .level = true, .forcing = Forcing::coefficient}))}};
}

/// Straight into rooms, or by air supplies.
void Compiler::add_planned_air()
{
    const auto balances =
        b_.air_supplies.empty() ? std::vector<building::RoomAirBalance>{} : building::air_balances(b_);
    for (std::size_t r = 0; r < b_.rooms.size(); ++r) {
        planned_.push_back(planned_air(b_.rooms[r]));
        if (planned_[r].empty()) continue;
        if (b_.rooms[r].use.air_supply)
            add_supply(r, balances[r].returned_share());
        else
            m_.zones[zone_of_room_[r]].ventilation_kg_per_s = planned_[r];
    }
}

/// On design days one that gives everything is no part of the load of a room that is held: it stands in that of the coil.
void Compiler::add_supply(std::size_t r, double returned)
{
    const building::Use& use = b_.rooms[r].use;
    const building::AirSupply& supply = b_.air_supplies[*use.air_supply];
    const bool held = winter() ? use.heating_setpoint_C.has_value() : use.cooling_setpoint_C.has_value();
    if (supply.returns_through && returned > 0.0) {
        Drives back = planned_[r];
        for (balance::Drive& d : back) d.factor *= returned;
        m_.zones[zone_of_room_[*supply.returns_through]].transfer_air.push_back({zone_of_room_[r], std::move(back)});
    }
    if (supply.gives_everything && spell_.for_design && held) return;
    balance::SupplyAir air{.least_kg_per_s = planned_[r],
                           .temperature_C = m_.outdoor_air_C,
                           .humidity_ratio = m_.outdoor_humidity_ratio,
                           .recovers_heat = supply.heat_recovery * returned,
                           .recovers_moisture = supply.moisture_recovery * returned,
                           .bypass = supply.bypass,
                           .coldest_exhaust_C = supply.coldest_exhaust_C};
    if (supply.returns_through) air.leaves_from = zone_of_room_[*supply.returns_through];
    if (supply.free_cooling != input::FreeCooling::none) {
        air.cooled_further = balance::SupplyAir::CooledFurther{supply.coldest_supply_C, supply.greatest_outdoor_share};
        air.more_by_enthalpy = supply.free_cooling == input::FreeCooling::enthalpy;
    }
    m_.zones[zone_of_room_[r]].supply_air = std::move(air);
}

/// What is taken out of rooms beyond what comes in by plan comes from outdoors through leaks, hour by hour.
void Compiler::add_air_drawn_in()
{
    const double density = air::room_density_kg_per_m3(spell_.pressure);
    std::vector<Drives> out(b_.rooms.size()), in = planned_;
    std::vector<bool> extracted(b_.rooms.size(), false);
    for (const building::Extract& extract : b_.extracts) {
        extracted[extract.room] = true;
        out[extract.room].push_back({profile(extract.profile, Forcing::coefficient), extract.flow_m3_per_s * density});
    }
    for (const building::TransferAir& air : b_.transfer_air) {
        if (air.both_ways) continue;
        const balance::Drive flow{profile(air.profile, Forcing::coefficient), air.flow_m3_per_s * density};
        out[air.from].push_back(flow);
        in[air.to].push_back(flow);
    }
    for (std::size_t r = 0; r < b_.rooms.size(); ++r) {
        if (!extracted[r]) continue;
        balance::Signal short_of{.level = true, .forcing = Forcing::coefficient};
        for (std::size_t i = 0; i < m_.steps; ++i)
            short_of.start.push_back(std::max(0.0, m_.value(out[r], i, 0.5) - m_.value(in[r], i, 0.5)));
        if (std::ranges::any_of(short_of.start, [](double f) { return f > 0.0; }))
            m_.zones[zone_of_room_[r]].infiltration_kg_per_s.push_back({m_.add(std::move(short_of))});
    }
}

} // namespace venture::loads::detail
