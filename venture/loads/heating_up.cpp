#include <venture/loads/heating_up.hpp>

#include <cmath>

#include <venture/quantity/error.hpp>

namespace venture::loads {

namespace {

constexpr double hour_s = 3600.0;

/// Temperatures above outdoors.
struct Nodes {
    double air = 0.0, fabric = 0.0;
};

/// The room's equations: C x' = -K x + power, x above outdoors.
class Room {
public:
    explicit Room(const TwoNodeRoom& r) : r_{r}
    {
        const double a = (r.air_to_fabric_W_per_K + r.air_to_outdoors_W_per_K) / r.air_J_per_K,
                     d = (r.air_to_fabric_W_per_K + r.fabric_to_outdoors_W_per_K) / r.fabric_J_per_K,
                     bc = r.air_to_fabric_W_per_K * r.air_to_fabric_W_per_K / (r.air_J_per_K * r.fabric_J_per_K),
                     half = 0.5 * (a + d), root = std::sqrt(0.25 * (a - d) * (a - d) + bc);
        fast_per_s_ = half + root;
        slow_per_s_ = (a * d - bc) / fast_per_s_; // their product; no cancellation
        a_ = a;
    }
    [[nodiscard]] double slow_s() const { return 1.0 / slow_per_s_; }
    [[nodiscard]] double fast_s() const { return 1.0 / fast_per_s_; }

    /// After some time without power.
    [[nodiscard]] Nodes decayed(const Nodes& from, double time_s) const
    {
        const auto [slow, fast] = modes(from);
        const double s = slow * std::exp(-slow_per_s_ * time_s), f = fast * std::exp(-fast_per_s_ * time_s);
        return {s + f, s * fabric_of(slow_per_s_) + f * fabric_of(fast_per_s_)};
    }
    /// For each watt, at rest.
    [[nodiscard]] Nodes steady_per_W() const
    {
        const double k12 = r_.air_to_fabric_W_per_K, k11 = k12 + r_.air_to_outdoors_W_per_K,
                     k22 = k12 + r_.fabric_to_outdoors_W_per_K, over = 1.0 / (k11 * k22 - k12 * k12),
                     to_air = r_.share_to_air, to_fabric = 1.0 - to_air;
        return {over * (k22 * to_air + k12 * to_fabric), over * (k12 * to_air + k11 * to_fabric)};
    }
    /// The fabric at rest with the air held, for each K of the air; and the power.
    [[nodiscard]] double steady_fabric() const
    {
        const Nodes per_W = steady_per_W();
        return per_W.fabric / per_W.air;
    }
    /// That holds the air now.
    [[nodiscard]] double holding_W(const Nodes& now) const
    {
        return (r_.air_to_outdoors_W_per_K * now.air + r_.air_to_fabric_W_per_K * (now.air - now.fabric)) /
               r_.share_to_air;
    }
    /// The fabric after some time with the air held.
    [[nodiscard]] Nodes held(const Nodes& from, double time_s) const
    {
        // with the holding power put in, the fabric goes towards steady_fabric() with a rate of its own
        const double to_fabric = (1.0 - r_.share_to_air) / r_.share_to_air,
                     rate = (r_.air_to_fabric_W_per_K * (1.0 + to_fabric) + r_.fabric_to_outdoors_W_per_K) /
                            r_.fabric_J_per_K,
                     rest = steady_fabric() * from.air;
        return {from.air, rest + (from.fabric - rest) * std::exp(-rate * time_s)};
    }

private:
    struct Modes {
        double slow, fast; ///< of the air
    };
    /// Of the fabric for each K of the air in a mode.
    [[nodiscard]] double fabric_of(double rate_per_s) const
    {
        return (a_ - rate_per_s) * r_.air_J_per_K / r_.air_to_fabric_W_per_K;
    }
    [[nodiscard]] Modes modes(const Nodes& from) const
    {
        const double fs = fabric_of(slow_per_s_), ff = fabric_of(fast_per_s_);
        const double slow = (from.fabric - ff * from.air) / (fs - ff);
        return {slow, from.air - slow};
    }

    const TwoNodeRoom& r_;
    double fast_per_s_ = 0.0, slow_per_s_ = 0.0, a_ = 0.0;
};

void check(const TwoNodeRoom& r, const HeatingUpAsked& asked)
{
    constexpr const char* where = "heating_up";
    using quantity::check_range;
    for (const double c : {r.air_J_per_K, r.fabric_J_per_K}) check_range(where, "capacity", c, {1.0, 1e13}, "J/K");
    check_range(where, "air to fabric", r.air_to_fabric_W_per_K, {1e-6, 1e9}, "W/K");
    for (const double h : {r.air_to_outdoors_W_per_K, r.fabric_to_outdoors_W_per_K})
        check_range(where, "to outdoors", h, {0.0, 1e9}, "W/K");
    check_range(where, "to outdoors in all", r.air_to_outdoors_W_per_K + r.fabric_to_outdoors_W_per_K, {1e-6, 1e9},
                "W/K");
    check_range(where, "share into the air", r.share_to_air, {0.01, 1.0}, "");
    check_range(where, "time of heating up", asked.within_h, {0.01, 1000.0}, "h");
    check_range(where, "hours before", asked.hours_before_h, {0.0, 10000.0}, "h");
    check_range(where, "set-point above set-back", asked.set_point_C - asked.set_back_C, {0.0, 150.0}, "K");
    check_range(where, "set-back above outdoors", asked.set_back_C - r.outdoor_C, {0.0, 150.0}, "K");
}

/// When the air of a room left alone reaches the set-back; nothing if not within that time.
std::optional<double> time_to(const Room& room, const Nodes& from, double set_back_K, double most_s)
{
    if (room.decayed(from, most_s).air >= set_back_K) return std::nullopt;
    double early = 0.0, late = most_s; // the air falls all the time
    for (int i = 0; i < 200 && late - early > 1e-9 * most_s; ++i) {
        const double middle = 0.5 * (early + late);
        (room.decayed(from, middle).air >= set_back_K ? early : late) = middle;
    }
    return 0.5 * (early + late);
}

} // namespace

HeatingUp heating_up(const TwoNodeRoom& given, const HeatingUpAsked& asked)
{
    check(given, asked);
    const Room room{given};
    const double out_C = given.outdoor_C, set_K = asked.set_point_C - out_C, back_K = asked.set_back_C - out_C;
    const auto steady = [&](double air_K) {
        const Nodes now{air_K, room.steady_fabric() * air_K};
        return TwoNodeSteady{out_C + now.fabric, room.holding_W(now)};
    };
    HeatingUp out{.at_set_point = steady(set_K),
                  .at_set_back = steady(back_K),
                  .slow_h = room.slow_s() / hour_s,
                  .fast_h = room.fast_s() / hour_s};
    Nodes now{back_K, room.steady_fabric() * back_K};
    if (asked.before != Before::held) {
        const Nodes from{set_K, room.steady_fabric() * set_K};
        const double off_s = asked.hours_before_h * hour_s;
        const auto reached = asked.before == Before::off_then_held ? time_to(room, from, back_K, off_s) : std::nullopt;
        now = room.decayed(from, reached.value_or(off_s));
        if (reached) {
            now.air = back_K;
            out.hours_until_set_back = *reached / hour_s;
            out.fabric_at_set_back_C = out_C + now.fabric;
            now = room.held(now, off_s - *reached);
        }
    }
    out.air_at_start_C = out_C + now.air;
    out.fabric_at_start_C = out_C + now.fabric;
    const double time_s = asked.within_h * hour_s;
    const Nodes left = room.decayed(now, time_s), full = room.steady_per_W(), lost = room.decayed(full, time_s);
    const Nodes risen{full.air - lost.air, full.fabric - lost.fabric}; // for each watt
    out.air_without_heating_C = out_C + left.air;
    out.rise_K_per_W = risen.air;
    out.power_W = (set_K - left.air) / risen.air;
    const Nodes end{set_K, left.fabric + risen.fabric * out.power_W};
    out.fabric_at_end_C = out_C + end.fabric;
    out.holding_after_W = room.holding_W(end);
    return out;
}

} // namespace venture::loads
