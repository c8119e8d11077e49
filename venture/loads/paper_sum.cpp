#include <venture/loads/paper_sum.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/air/moist_air.hpp>
#include <venture/air/room_density.hpp>
#include <venture/building/air_balance.hpp>
#include <venture/building/surface_names.hpp>
#include <venture/building/u_values.hpp>
#include <venture/loads/air_lines.hpp>
#include <venture/loads/compile.hpp>

namespace venture::loads::detail {

using building::Building;
using building::Neighbour;
using quantity::Ledger;
using quantity::LedgerInput;
using quantity::LedgerLine;
using quantity::LedgerOf;

namespace {

/// Steady loss of a room as one would add it up by hand: its set-point against outdoors, ground, stated temperatures
/// and the temperatures that neighbouring rooms have in winter design.
class PaperSum {
public:
    PaperSum(const Building& b, std::size_t room, const std::function<double(std::size_t)>& floating_C, Ledger* ledger)
        : b_{b},
          room_{room},
          floating_C_{floating_C},
          ledger_{ledger}
    {
    }

    std::vector<PaperTerm> run()
    {
        for (const building::Surface& s : b_.surfaces) {
            const bool behind = s.beyond.kind == Neighbour::Kind::room && s.beyond.room == room_;
            if (s.room != room_ && !behind) continue;
            if (s.beyond.kind == Neighbour::Kind::nothing) continue;
            const FarSide far = far_side(s, behind);
            const PaperTerm::Kind kind = s.beyond.kind == Neighbour::Kind::room
                                             ? towards(behind ? s.room : s.beyond.room)
                                             : PaperTerm::Kind::other;
            add_surface(s, far, kind);
            for (const building::Opening& o : s.openings) {
                if (o.kind == building::Opening::Kind::open) continue; // its air stands among that of other rooms
                add_opening(s, o, far, kind);
            }
        }
        for (const building::ThermalBridge& bridge : b_.thermal_bridges)
            if (bridge.room == room_) add_bridge(bridge);
        add_infiltration();
        add_air_drawn_in();
        if (!is_given_everything()) add_ventilation();
        for (const building::TransferAir& air : b_.transfer_air) {
            if (air.to == room_) add_transfer(air, air.from);
            if (air.from == room_ && air.both_ways) add_transfer(air, air.to);
        }
        return std::move(terms_);
    }

private:
    /// What lies behind, and who says how warm it is.
    struct FarSide {
        double at_C = 0.0;
        std::string from{};
    };

    [[nodiscard]] double own_C() const { return b_.rooms[room_].use.heating_setpoint_C->value; }
    [[nodiscard]] std::string said(quantity::OriginId origin) const
    {
        return ledger_ != nullptr ? b_.origins.describe(origin) : std::string{};
    }
    [[nodiscard]] FarSide outdoors() const { return {b_.site.winter.dry_bulb_C, "site/winter_dry_bulb"}; }

    [[nodiscard]] FarSide far_side(const building::Surface& s, bool behind) const
    {
        switch (s.beyond.kind) {
        case Neighbour::Kind::ground: {
            const auto& ground = b_.build_ups[s.build_up].ground;
            return ground ? FarSide{ground->design_ground_C, "the ground's year (ISO 13370)"}
                          : FarSide{b_.site.winter.ground_C, "site/winter_ground"};
        }
        case Neighbour::Kind::temperature:
            return {s.beyond.temperature_C, said(b_.rooms[s.room].origin)};
        case Neighbour::Kind::unheated:
            return unheated(s);
        case Neighbour::Kind::room:
            return room_side(behind ? s.room : s.beyond.room);
        case Neighbour::Kind::outdoors:
        case Neighbour::Kind::nothing:
            break;
        }
        if (s.beyond.warmer_in_winter_K == 0.0) return outdoors();
        return {b_.site.winter.dry_bulb_C + s.beyond.warmer_in_winter_K,
                fmt::format("site/winter_dry_bulb and {:g} K", s.beyond.warmer_in_winter_K)};
    }

    [[nodiscard]] FarSide unheated(const building::Surface& s) const
    {
        const double at_C = own_C() - s.beyond.reduction_factor * (own_C() - b_.site.winter.dry_bulb_C);
        write([&] {
            return LedgerLine{seen_from(b_, s, room_),
                              "temperature of the unheated space",
                              "t_far",
                              "t_room - b*(t_room - t_out)",
                              {own(),
                               {"b", s.beyond.reduction_factor, "1", said(b_.rooms[s.room].origin)},
                               input("t_out", outdoors())},
                              at_C,
                              "degC"};
        });
        return {at_C, "above"};
    }

    [[nodiscard]] PaperTerm::Kind towards(std::size_t room) const
    {
        return b_.rooms[room].use.heating_setpoint_C ? PaperTerm::Kind::between_heated_rooms : PaperTerm::Kind::other;
    }

    [[nodiscard]] FarSide room_side(std::size_t room) const
    {
        const auto& setpoint = b_.rooms[room].use.heating_setpoint_C;
        return setpoint ? FarSide{setpoint->value, said(setpoint->origin)}
                        : FarSide{floating_C_(room), "the heat balance: it floats in winter design"};
    }

    template <class Line>
    void write(const Line& line) const
    {
        if (ledger_ != nullptr) ledger_->push_back(line());
    }
    template <class Line>
    void write(const std::string& of, const Line& line) const
    {
        if (ledger_ != nullptr) LedgerOf{*ledger_, of}.write(line());
    }
    [[nodiscard]] LedgerInput own() const
    {
        return {"t_room", own_C(), "degC", said(b_.rooms[room_].use.heating_setpoint_C->origin)};
    }
    static LedgerInput input(const char* symbol, const FarSide& side) { return {symbol, side.at_C, "degC", side.from}; }

    void add_surface(const building::Surface& s, const FarSide& far, PaperTerm::Kind kind)
    {
        if (s.net_m2() <= least_m2) return;
        const std::string of = seen_from(b_, s, room_);
        const std::string shape = said(b_.rooms[s.room].origin);
        write([&] {
            return LedgerLine{of,
                              "area",
                              "A",
                              "gross - openings",
                              {{"gross", s.gross_m2, "m2", shape}, {"openings", s.openings_m2(), "m2", shape}},
                              s.net_m2(),
                              "m2"};
        });
        add(of, s.net_m2(), u_value(b_, s, ledger_, of), far, kind);
    }

    void add_opening(const building::Surface& s, const building::Opening& o, const FarSide& far, PaperTerm::Kind kind)
    {
        if (o.area_m2() <= least_m2) return;
        const std::string of = seen_from(b_, s, o, room_);
        const std::string shape = said(b_.rooms[s.room].origin);
        write([&] {
            return LedgerLine{of,
                              "area",
                              "A",
                              "w*h*n",
                              {{"w", o.width_m, "m", shape},
                               {"h", o.height_m, "m", shape},
                               {"n", static_cast<double>(o.from_left_m.size()), "1", shape}},
                              o.area_m2(),
                              "m2"};
        });
        add(of, o.area_m2(), u_value(b_, s, o, ledger_, of), far, kind);
    }

    void add(const std::string& of, double area, double u, const FarSide& far, PaperTerm::Kind kind)
    {
        const double loss_W = area * u * (own_C() - far.at_C);
        write([&] {
            return LedgerLine{of,
                              "loss",
                              "Q",
                              "A*U*(t_room - t_far)",
                              {{"A", area, "m2", "above"}, {"U", u, "W/m2K", "above"}, own(), input("t_far", far)},
                              loss_W,
                              "W"};
        });
        terms_.push_back({of, area, u, area * u, far.at_C, loss_W, kind});
    }

    void add_bridge(const building::ThermalBridge& bridge)
    {
        const std::string of = "thermal bridge: " + bridge.name;
        const double loss_W = bridge.heat_loss_W_per_K * (own_C() - b_.site.winter.dry_bulb_C);
        write([&] {
            return LedgerLine{of,
                              "loss",
                              "Q",
                              "H*(t_room - t_far)",
                              {{"H", bridge.heat_loss_W_per_K, "W/K", "[[thermal_bridge]] of that name"},
                               own(),
                               input("t_far", outdoors())},
                              loss_W,
                              "W"};
        });
        terms_.push_back({of, 0.0, 0.0, bridge.heat_loss_W_per_K, b_.site.winter.dry_bulb_C, loss_W});
    }

    void add_infiltration()
    {
        const building::Room& room = b_.rooms[room_];
        const double counts = outdoor_flow_counts(b_.method, b_.site.winter.dry_bulb_C);
        const double flow = counts * room.use.infiltration_per_h.value * room.volume_m3 / 3600.0;
        if (flow <= 0.0) return;
        write_counts("infiltration", counts);
        write("infiltration", [&] { return line_of_infiltration(b_, room_, counts, room.use.infiltration_per_h); });
        add_air("infiltration", flow, outdoors(), PaperTerm::Kind::infiltration);
    }

    /// Colder air is denser, where the project has volume flows of outdoor air as they are outdoors.
    void write_counts(const char* of, double counts) const
    {
        if (b_.method.flows_as_outdoors)
            write(of, [&] { return line_of_counts(outdoors().at_C, outdoors().from, counts); });
    }

    /// Its outdoor air stands in the load of a coil.
    [[nodiscard]] bool is_given_everything() const
    {
        const auto& supply = b_.rooms[room_].use.air_supply;
        return supply && b_.air_supplies[*supply].gives_everything;
    }

    void add_ventilation()
    {
        const building::Room& room = b_.rooms[room_];
        const building::Use& u = room.use;
        const double counts = outdoor_flow_counts(b_.method, b_.site.winter.dry_bulb_C);
        const double most = b_.calendars[u.ventilation_profile].on_design_day(0).highest();
        const double flow = counts * room.outdoor_air_by_plan_m3_per_s() * most;
        if (flow <= 0.0) return;
        write_counts("ventilation", counts);
        write("ventilation", [&] {
            return line_of_ventilation(
                b_, room_, counts, most,
                fmt::format("largest hour of profile '{}'", b_.calendars[u.ventilation_profile].name));
        });
        add_air("ventilation", flow, u.air_supply ? behind_recovery() : outdoors());
    }

    /// At full recovery, as far as frost lets it; the air that leaves is as warm as the room, or the void that it leaves by.
    [[nodiscard]] FarSide behind_recovery() const
    {
        const building::AirSupply& supply = b_.air_supplies[*b_.rooms[room_].use.air_supply];
        const double out_C = outdoors().at_C, returned = building::air_balances(b_)[room_].returned_share();
        const FarSide back = supply.returns_through
                                 ? room_side(*supply.returns_through)
                                 : FarSide{own_C(), said(b_.rooms[room_].use.heating_setpoint_C->origin)};
        double recovered = supply.heat_recovery * returned;
        std::string from = fmt::format("air_supply/{}/heat_recovery", supply.name);
        if (returned < 1.0) from += fmt::format(", of the {:.3g} of its air that goes back", returned);
        if (supply.coldest_exhaust_C && back.at_C > out_C) {
            const double most = std::max(0.0, (back.at_C - *supply.coldest_exhaust_C) / (back.at_C - out_C));
            if (most < recovered) from = fmt::format("air_supply/{}/coldest_exhaust acts", supply.name);
            recovered = std::min(recovered, most);
        }
        const LedgerLine line = line_of_recovery(input("t_out", outdoors()), input("t_back", back), recovered, from);
        write("ventilation", [&] { return line; });
        return {line.value, "above"};
    }

    void add_air_drawn_in()
    {
        const bool extracted = std::ranges::any_of(b_.extracts, [&](const auto& e) { return e.room == room_; });
        if (!extracted) return;
        const auto most = [&](std::size_t profile) { return b_.calendars[profile].on_design_day(0).highest(); };
        const building::Room& room = b_.rooms[room_];
        double out = 0.0, in = room.outdoor_air_by_plan_m3_per_s() * most(room.use.ventilation_profile) *
                               outdoor_flow_counts(b_.method, b_.site.winter.dry_bulb_C);
        std::string from;
        for (const building::Extract& e : b_.extracts)
            if (e.room == room_) {
                out += e.flow_m3_per_s * most(e.profile);
                if (from.empty()) from = said(e.origin);
            }
        for (const building::TransferAir& air : b_.transfer_air)
            if (!air.both_ways && air.from == room_)
                out += air.flow_m3_per_s * most(air.profile);
            else if (!air.both_ways && air.to == room_)
                in += air.flow_m3_per_s * most(air.profile);
        if (out <= in) return;
        write("air drawn in", [&] { return line_of_air_drawn_in(out, in, from); });
        add_air("air drawn in", out - in, outdoors(), PaperTerm::Kind::infiltration);
    }

    void add_transfer(const building::TransferAir& air, std::size_t from)
    {
        const double most = b_.calendars[air.profile].on_design_day(0).highest();
        const std::string of = "air from " + b_.rooms[from].name;
        if (air.flow_m3_per_s * most <= 0.0) return;
        write(of, [&] {
            return line_of_transfer(b_, air, most,
                                    fmt::format("largest hour of profile '{}'", b_.calendars[air.profile].name));
        });
        // One way it is no exchange: the air that left the warmer room was heated once, and leaves from this one.
        add_air(of, air.flow_m3_per_s * most, room_side(from), air.both_ways ? towards(from) : PaperTerm::Kind::other);
    }

    void add_air(const std::string& of, double flow_m3_per_s, const FarSide& far,
                 PaperTerm::Kind kind = PaperTerm::Kind::other)
    {
        const quantity::Pressure pressure = air::standard_pressure(b_.site.place.height_m);
        const double density = air::room_density_kg_per_m3(pressure);
        const double heat =
            air_specific_heat_J_per_kgK(b_.method, climate::winter_design_day(b_.site).humidity_ratio[0]);
        const double h = flow_m3_per_s * density * heat, loss_W = h * (own_C() - far.at_C);
        if (ledger_ != nullptr)
            for (LedgerLine& line : lines_of_density(b_)) write(of, [&] { return std::move(line); });
        write([&] {
            return LedgerLine{of,
                              "loss",
                              "Q",
                              "V_air*rho*c*(t_room - t_far)",
                              {{"V_air", flow_m3_per_s, "m3/s", "above"},
                               {"rho", density, "kg/m3", "above"},
                               {"c", heat, "J/kgK", b_.method.moist_air_heat ? "of moist air" : "of dry air"},
                               own(),
                               input("t_far", far)},
                              loss_W,
                              "W"};
        });
        terms_.push_back({of, 0.0, 0.0, h, far.at_C, loss_W, kind});
    }

    static constexpr double least_m2 = 1e-9;
    const Building& b_;
    std::size_t room_;
    const std::function<double(std::size_t)>& floating_C_;
    Ledger* ledger_ = nullptr; ///< written to, unless null
    std::vector<PaperTerm> terms_{};
};

} // namespace

std::vector<PaperTerm> paper_sum(const Building& building, std::size_t room,
                                 const std::function<double(std::size_t room)>& floating_C, Ledger* ledger)
{
    return PaperSum{building, room, floating_C, ledger}.run();
}

} // namespace venture::loads::detail
