#include <venture/building/surface_names.hpp>
#include <venture/loads/paper_sum.hpp>

#include <algorithm>

#include <venture/air/moist_air.hpp>
#include <venture/loads/compile.hpp>

namespace venture::loads::detail {

using building::Building;
using building::Neighbour;

namespace {

/// Steady loss of a room as one would add it up by hand: its set-point against outdoors, ground, stated temperatures
/// and the temperatures that neighbouring rooms have in winter design.
class PaperSum {
public:
    PaperSum(const Building& b, std::size_t room, const std::function<double(std::size_t)>& floating_C)
        : b_{b},
          room_{room},
          floating_C_{floating_C}
    {
    }

    std::vector<PaperTerm> run()
    {
        for (const building::Surface& s : b_.surfaces) {
            const bool behind = s.beyond.kind == Neighbour::Kind::room && s.beyond.room == room_;
            if (s.room != room_ && !behind) continue;
            if (s.beyond.kind == Neighbour::Kind::nothing) continue;
            const double far = far_side_C(s, behind);
            const PaperTerm::Kind kind = s.beyond.kind == Neighbour::Kind::room
                                             ? towards(behind ? s.room : s.beyond.room)
                                             : PaperTerm::Kind::other;
            add(seen_from(b_, s, room_), s.net_m2(), building::u_value(b_, s), far, kind);
            for (const building::Opening& o : s.openings) {
                if (o.kind == building::Opening::Kind::open) continue; // its air stands among that of other rooms
                add(seen_from(b_, s, o, room_), o.area_m2(), building::u_value(b_, s, o), far, kind);
            }
        }
        for (const building::ThermalBridge& bridge : b_.thermal_bridges)
            if (bridge.room == room_)
                terms_.push_back({"thermal bridge: " + bridge.name, 0.0, 0.0, bridge.heat_loss_W_per_K,
                                  b_.site.winter.dry_bulb_C,
                                  bridge.heat_loss_W_per_K * (own_C() - b_.site.winter.dry_bulb_C)});
        const building::Room& room = b_.rooms[room_];
        const double outdoor_C = b_.site.winter.dry_bulb_C;
        const double counts = outdoor_flow_counts(b_.method, outdoor_C);
        add_air("infiltration", counts * room.use.infiltration_per_h.value * room.volume_m3 / 3600.0, outdoor_C,
                PaperTerm::Kind::infiltration);
        const double most = b_.calendars[room.use.ventilation_profile].on_design_day(0).highest();
        add_air("ventilation", counts * room.outdoor_air_by_plan_m3_per_s() * most, outdoor_C);
        for (const building::TransferAir& air : b_.transfer_air) {
            if (air.to == room_) add_transfer(air, air.from);
            if (air.from == room_ && air.both_ways) add_transfer(air, air.to);
        }
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
        case Neighbour::Kind::unheated:
            return own_C() - s.beyond.reduction_factor * (own_C() - b_.site.winter.dry_bulb_C);
        case Neighbour::Kind::room:
            return room_C(behind ? s.room : s.beyond.room);
        case Neighbour::Kind::outdoors:
        case Neighbour::Kind::nothing:
            break;
        }
        return b_.site.winter.dry_bulb_C + s.beyond.warmer_in_winter_K;
    }

    [[nodiscard]] PaperTerm::Kind towards(std::size_t room) const
    {
        return b_.rooms[room].use.heating_setpoint_C ? PaperTerm::Kind::between_heated_rooms : PaperTerm::Kind::other;
    }

    [[nodiscard]] double room_C(std::size_t room) const
    {
        const auto& setpoint = b_.rooms[room].use.heating_setpoint_C;
        return setpoint ? setpoint->value : floating_C_(room);
    }

    void add(std::string what, double area, double u, double far, PaperTerm::Kind kind)
    {
        if (area <= 1e-9) return;
        terms_.push_back({std::move(what), area, u, area * u, far, area * u * (own_C() - far), kind});
    }

    void add_transfer(const building::TransferAir& air, std::size_t from)
    {
        const double most = b_.calendars[air.profile].on_design_day(0).highest();
        // One way it is no exchange: the air that left the warmer room was heated once, and leaves from this one.
        add_air("air from " + b_.rooms[from].name, air.flow_m3_per_s * most, room_C(from),
                air.both_ways ? towards(from) : PaperTerm::Kind::other);
    }

    void add_air(std::string what, double flow_m3_per_s, double far_C, PaperTerm::Kind kind = PaperTerm::Kind::other)
    {
        if (flow_m3_per_s <= 0.0) return;
        const double h = flow_m3_per_s * room_air_density_kg_per_m3(air::standard_pressure(b_.site.place.height_m)) *
                         air_specific_heat_J_per_kgK(b_.method, climate::winter_design_day(b_.site).humidity_ratio[0]);
        terms_.push_back({std::move(what), 0.0, 0.0, h, far_C, h * (own_C() - far_C), kind});
    }

    const Building& b_;
    std::size_t room_;
    const std::function<double(std::size_t)>& floating_C_;
    std::vector<PaperTerm> terms_{};
};

} // namespace

std::vector<PaperTerm> paper_sum(const Building& building, std::size_t room,
                                 const std::function<double(std::size_t room)>& floating_C)
{
    return PaperSum{building, room, floating_C}.run();
}

} // namespace venture::loads::detail
