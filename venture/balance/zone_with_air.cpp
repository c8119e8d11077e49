/// Zones that are supplied with air, and zones whose limits follow their own air: solved exactly, with thermostats.

#include <venture/balance/zone_network.hpp>

#include <algorithm>
#include <cmath>

namespace venture::balance {

namespace {

/// Air and radiant temperature of a zone as straight functions of the supply, with its supply air as it is.
struct Answer {
    double air_C = 0.0, radiant_C = 0.0;         ///< without any supply
    double air_per_W = 0.0, radiant_per_W = 0.0; ///< of the supply
    double radiant_weight = 0.0;
    [[nodiscard]] double felt_C() const { return std::lerp(air_C, radiant_C, radiant_weight); }
    [[nodiscard]] double felt_per_W() const { return std::lerp(air_per_W, radiant_per_W, radiant_weight); }
};

/// Heat that supply air brings: a constant, and so much for each kelvin that the zone is colder than it.
struct Brought {
    double W_per_K = 0.0, constant_W = 0.0, temperature_C = 0.0;
    [[nodiscard]] double heat_W(double air_C) const { return W_per_K * (temperature_C - air_C) + constant_W; }
};

/// @param air_of  what heat into the air does to air and radiant temperature, K/W
Answer with(const Answer& bare, const Brought& brought, const double (&air_of)[2])
{
    const double damped = 1.0 + air_of[0] * brought.W_per_K;
    Answer out = bare;
    out.air_C = (bare.air_C + air_of[0] * (brought.W_per_K * brought.temperature_C + brought.constant_W)) / damped;
    out.air_per_W = bare.air_per_W / damped;
    out.radiant_C = bare.radiant_C + air_of[1] * brought.heat_W(out.air_C);
    out.radiant_per_W = bare.radiant_per_W - air_of[1] * brought.W_per_K * out.air_per_W;
    return out;
}

/// What the limits are, each by the air that comes of it.
struct Limits {
    double heating_W = 0.0, heating_W_per_K = 0.0, cooling_W = 0.0, cooling_W_per_K = 0.0;
    /// W, never negative.
    [[nodiscard]] double most_heating(const Answer& a) const
    {
        const double damped = 1.0 - heating_W_per_K * a.air_per_W;
        return std::max(0.0, heating_W_per_K == 0.0 ? heating_W : (heating_W + heating_W_per_K * a.air_C) / damped);
    }
    [[nodiscard]] double most_cooling(const Answer& a) const
    {
        const double damped = 1.0 + cooling_W_per_K * a.air_per_W;
        return std::max(0.0, cooling_W_per_K == 0.0 ? cooling_W : (cooling_W + cooling_W_per_K * a.air_C) / damped);
    }
};

Action act(const Answer& a, double heat_below, double cool_above, const Limits& limits)
{
    const double felt = a.felt_C(), per_W = a.felt_per_W();
    if (felt < heat_below)
        return (heat_below - felt) / per_W < limits.most_heating(a) ? Action::heating : Action::heating_at_limit;
    if (felt > cool_above)
        return (felt - cool_above) / per_W < limits.most_cooling(a) ? Action::cooling : Action::cooling_at_limit;
    return Action::off;
}

/// W, heating positive. A limit that is replayed is the straight line that it was, on either side of nil.
double supply(const Answer& a, Action action, double heat_below, double cool_above, const Limits& l, bool replayed)
{
    switch (action) {
    case Action::heating:
        return (heat_below - a.felt_C()) / a.felt_per_W();
    case Action::cooling:
        return (cool_above - a.felt_C()) / a.felt_per_W();
    case Action::heating_at_limit:
        return replayed && l.heating_W_per_K != 0.0
                   ? (l.heating_W + l.heating_W_per_K * a.air_C) / (1.0 - l.heating_W_per_K * a.air_per_W)
                   : l.most_heating(a);
    case Action::cooling_at_limit:
        return replayed && l.cooling_W_per_K != 0.0
                   ? -(l.cooling_W + l.cooling_W_per_K * a.air_C) / (1.0 + l.cooling_W_per_K * a.air_per_W)
                   : -l.most_cooling(a);
    case Action::off:
        break;
    }
    return 0.0;
}

/// Air that leaves meets the supply air: the zone's own, or that of another one.
struct Leaves {
    bool own = true;
    double other_C = 0.0;
    [[nodiscard]] double at(double air_C) const { return own ? air_C : other_C; }
};

Brought brought_by(const AirFlow& flow, const SupplyAirDrive& d, const Leaves& leaves)
{
    const double exchanged = d.least_W_per_K * flow.recovered;
    if (leaves.own) return {flow.W_per_K - exchanged, 0.0, d.temperature_C};
    return {flow.W_per_K, exchanged * (leaves.other_C - d.temperature_C), d.temperature_C};
}

/// The flow and recovery that hold a set-point by themselves, as nearly as their bounds let them.
/// @param bare  without supply air and supply   @param towards  1: heats, -1: cools
AirFlow flow_that_holds(const Answer& bare, const double (&air_of)[2], double set_point_C, const SupplyAir& model,
                        const SupplyAirDrive& d, const Leaves& leaves, double towards)
{
    const double needed_W = (set_point_C - bare.felt_C()) / std::lerp(air_of[0], air_of[1], bare.radiant_weight);
    const double air_C = bare.air_C + air_of[0] * needed_W, warmer_K = d.temperature_C - air_C,
                 exchange_K = leaves.at(air_C) - d.temperature_C;
    AirFlow out{d.least_W_per_K, d.recovers};
    if (model.bypass && d.least_W_per_K > 0.0 && exchange_K * towards < 0.0)
        out.recovered = std::clamp((needed_W / d.least_W_per_K - warmer_K) / exchange_K, 0.0, d.recovers);
    if (warmer_K * towards <= 0.0) return out;
    double most = d.most_W_per_K;
    if (model.cooled_further) {
        const double colder_K = air_C - model.cooled_further->to_C;
        const double all = towards < 0.0 && colder_K > 0.0 ? -needed_W / colder_K : 0.0;
        most = std::min(most, std::max(d.least_W_per_K, model.cooled_further->share * all));
    }
    const double wanted = (needed_W - d.least_W_per_K * out.recovered * exchange_K) / warmer_K;
    out.W_per_K = std::clamp(wanted, d.least_W_per_K, std::max(d.least_W_per_K, most));
    return out;
}

} // namespace

/// @return how far it moved, K
double ZoneNetwork::solve_special(const Bare& without, const ZoneDrives& d, const Action* replay,
                                  const AirFlow* air_replay, ZoneUnknowns& x) const
{
    const std::size_t zone = without.zone;
    const Inverse& inverse = inverse_[zone];
    const Control& control = control_[zone];
    const Zone& model = model_.zones[zone];
    const double air_of[2] = {inverse.to_air[0], inverse.to_radiant[0]};
    const Answer bare{without.air_C, without.radiant_C, inverse.air_per_W, inverse.radiant_per_W,
                      control.radiant_weight};
    const Limits limits{d.most_heating[zone], model.most_heating_W_per_K, d.most_cooling[zone],
                        model.most_cooling_W_per_K};
    Answer answer = bare;
    Brought brought;
    double air_moved_K = 0.0;
    if (control.supply_air != nobody) {
        const SupplyAirDrive& drive = d.supply_air[control.supply_air];
        const SupplyAir& air = *model.supply_air;
        const Leaves leaves{!air.leaves_from, air.leaves_from ? x.air_C[*air.leaves_from] : 0.0};
        AirFlow flow{drive.least_W_per_K, drive.recovers};
        if (air_replay != nullptr) {
            flow = air_replay[control.supply_air];
        } else if (control.follows == nobody) {
            const double felt = with(bare, brought_by(flow, drive, leaves), air_of).felt_C();
            if (felt > d.cool_above[zone])
                flow = flow_that_holds(bare, air_of, d.cool_above[zone], air, drive, leaves, -1.0);
            else if (felt < d.heat_below[zone])
                flow = flow_that_holds(bare, air_of, d.heat_below[zone], air, drive, leaves, 1.0);
        }
        brought = brought_by(flow, drive, leaves);
        answer = with(bare, brought, air_of);
        x.air_flow[control.supply_air] = flow;
    }
    double load = 0.0;
    if (control.follows != nobody) {
        load = control.ratio * x.load_W[control.follows];
    } else {
        // A flow that holds the set-point does so but for rounding, which is nothing to heat or cool for.
        constexpr double held_within_K = 1e-10;
        const double heat_below = d.heat_below[zone], cool_above = d.cool_above[zone], felt = answer.felt_C();
        Action& action = x.action[zone];
        if (replay != nullptr)
            action = replay[zone];
        else if (control.supply_air != nobody &&
                 std::min(std::abs(felt - heat_below), std::abs(felt - cool_above)) <= held_within_K)
            action = Action::off;
        else
            action = act(answer, heat_below, cool_above, limits);
        load = supply(answer, action, heat_below, cool_above, limits, replay != nullptr);
    }
    const double air_now = answer.air_C + load * answer.air_per_W,
                 radiant_now = answer.radiant_C + load * answer.radiant_per_W;
    if (control.supply_air != nobody) {
        double& heat_W = x.air_supply_W[control.supply_air];
        const double now_W = brought.heat_W(air_now);
        air_moved_K = std::abs(now_W - heat_W) * air_of[0];
        heat_W = now_W;
    }
    const double moved = std::max({std::abs(air_now - x.air_C[zone]), std::abs(radiant_now - x.radiant_C[zone]),
                                   std::abs((load - x.load_W[zone]) * inverse.control_per_W), air_moved_K});
    x.air_C[zone] = air_now;
    x.radiant_C[zone] = radiant_now;
    x.load_W[zone] = load;
    return moved;
}

} // namespace venture::balance
