#include <venture/loads/air_ledger.hpp>

#include <fmt/format.h>

#include <venture/loads/air_lines.hpp>
#include <venture/loads/hourly_day.hpp>

namespace venture::loads::detail {

using quantity::LedgerInput;
using quantity::LedgerLine;
using quantity::LedgerOf;

namespace {

class AirLedger {
public:
    AirLedger(const HourOfRun& at, std::size_t room, quantity::Ledger& ledger)
        : at_{at},
          room_{room},
          ledger_{ledger},
          outdoor_C_{0.5 * (at.day.dry_bulb_C[at.hour] + at.day.dry_bulb_C[at.hour + 1])},
          counts_{outdoor_flow_counts(at.b.method, outdoor_C_)}
    {
    }

    void run()
    {
        const building::Room& room = at_.b.rooms[room_];
        const building::Use& use = room.use;
        const bool summer =
            at_.day.month > 0 && climate::is_summer_half(at_.day.month, at_.b.site.place.latitude_deg < 0.0);
        write("infiltration", line_of_infiltration(at_.b, room_, counts_,
                                                   summer ? use.infiltration_summer_per_h : use.infiltration_per_h));
        write_air_drawn_in();
        write_ventilation();
        for (const building::TransferAir& air : at_.b.transfer_air) {
            if (air.to == room_) write_transfer(air, air.from);
            if (air.both_ways && air.from == room_) write_transfer(air, air.to);
        }
        const double bridges = at_.compiled.model.zones[zone(room_)].thermal_bridges_W_per_K;
        if (bridges > 0.0)
            LedgerOf{ledger_, "thermal bridges"}.write(
                {.what = "into the air",
                 .symbol = "Q",
                 .formula = "H*(t_far - t_air)",
                 .inputs = {{"H", bridges, "W/K", "[[thermal_bridge]] of this room"}, outdoors(), air_of_room()},
                 .value = bridges * (outdoor_C_ - air_C(room_)),
                 .unit = "W"});
    }

private:
    [[nodiscard]] std::size_t zone(std::size_t room) const { return at_.compiled.zone_of_room[room]; }
    [[nodiscard]] double air_C(std::size_t room) const { return at_.run.zones[zone(room)].air_C[at_.hour]; }
    [[nodiscard]] LedgerInput outdoors() const
    {
        return {"t_far", outdoor_C_, "degC", fmt::format("dry bulb of {}, mean of the hour", at_.day.name)};
    }
    [[nodiscard]] LedgerInput air_of_room() const
    {
        return {"t_air", air_C(room_), "degC", "air of the room, mean of the hour, as the run had it"};
    }
    /// Of a flow that goes by a profile; in winter design its largest.
    [[nodiscard]] std::pair<double, std::string> share_of(std::size_t profile) const
    {
        const calendar::Calendar& c = at_.b.calendars[profile];
        if (at_.day.month == 0)
            return {c.on_design_day(0).highest(), fmt::format("largest hour of profile '{}'", c.name)};
        const auto clock = static_cast<std::size_t>(clock_hour(at_.day.clock_ahead_h, at_.hour));
        return {c.on_design_day(at_.day.month).fraction[clock],
                fmt::format("profile '{}', {}-{} h", c.name, clock, clock + 1)};
    }

    /// Mean of the hour, kg/s. @param first  of the terms that count
    [[nodiscard]] double mean_kg_per_s(const balance::Drives& drives, std::size_t first = 0) const
    {
        const balance::ThermalModel& m = at_.compiled.model;
        const std::size_t per_hour = m.steps / 24;
        double sum = 0.0;
        for (std::size_t i = 0; i < per_hour; ++i)
            for (std::size_t k = first; k < drives.size(); ++k)
                sum += drives[k].factor * m.value(drives[k].signal, at_.hour * per_hour + i, 0.5);
        return sum / static_cast<double>(per_hour);
    }

    void write_air_drawn_in()
    {
        const balance::Drives& leaks = at_.compiled.model.zones[zone(room_)].infiltration_kg_per_s;
        if (leaks.size() < 2) return;
        const double drawn_m3_per_s = mean_kg_per_s(leaks, 1) / lines_of_density(at_.b).back().value;
        for (const building::Extract& e : at_.b.extracts) {
            if (e.room != room_) continue;
            const double out = share_of(e.profile).first * e.flow_m3_per_s;
            write("air drawn in", line_of_air_drawn_in(out, out - drawn_m3_per_s, at_.b.origins.describe(e.origin)));
            return;
        }
    }

    void write_ventilation()
    {
        const building::Room& room = at_.b.rooms[room_];
        const balance::Zone& z = at_.compiled.model.zones[zone(room_)];
        auto [share, from] = share_of(room.use.ventilation_profile);
        const balance::Drives& flow = z.supply_air ? z.supply_air->least_kg_per_s : z.ventilation_kg_per_s;
        if (flow.empty()) return;
        if (room.use.ventilation_control != input::VentilationControl::constant && at_.day.month > 0) {
            const double full = counts_ * room.outdoor_air_by_plan_m3_per_s() * lines_of_density(at_.b).back().value;
            share = mean_kg_per_s(flow) / full;
            from = fmt::format("of the full flow, by {}, mean of the hour",
                               quantity::name_of(room.use.ventilation_control));
        }
        LedgerLine line = line_of_ventilation(at_.b, room_, counts_, share, from);
        if (!z.supply_air) return write("ventilation", std::move(line));
        const balance::ZoneStep& hour = at_.run.zones[zone(room_)].parts[at_.hour];
        const double back_C = z.supply_air->leaves_from ? at_.run.zones[*z.supply_air->leaves_from].air_C[at_.hour]
                                                        : air_C(room_),
                     exchange_W = hour.supply_air_kg_per_s * at_.compiled.model.air_specific_heat_J_per_kgK *
                                  (back_C - outdoor_C_),
                     recovered = exchange_W != 0.0 ? hour.recovered_W / exchange_W : 0.0;
        const LedgerLine behind =
            line_of_recovery(outdoors(), {"t_back", back_C, "degC", "air that leaves, mean of the hour"}, recovered,
                             "as the run had it: recovery, less what went past it");
        if (line.value > 0.0) LedgerOf{ledger_, "ventilation"}.write(behind);
        write("ventilation", std::move(line), LedgerInput{"t_far", behind.value, "degC", "above"});
    }

    void write_transfer(const building::TransferAir& air, std::size_t from)
    {
        const auto [share, share_from] = share_of(air.profile);
        write("air from " + at_.b.rooms[from].name, line_of_transfer(at_.b, air, share, share_from),
              LedgerInput{"t_far", air_C(from), "degC",
                          fmt::format("air of {}, mean of the hour, as the run had it", at_.b.rooms[from].name)});
    }
    void write(const std::string& of, LedgerLine flow) { write(of, std::move(flow), outdoors()); }
    void write(const std::string& of, LedgerLine flow, const LedgerInput& far)
    {
        const double flow_m3_per_s = flow.value;
        if (flow_m3_per_s <= 0.0) return;
        const LedgerOf told{ledger_, of};
        if (at_.b.method.flows_as_outdoors && far.from == outdoors().from)
            told.write(line_of_counts(outdoor_C_, far.from, counts_));
        told.write(std::move(flow));
        std::vector<LedgerLine> density = lines_of_density(at_.b);
        const double rho = density.back().value, heat = at_.compiled.model.air_specific_heat_J_per_kgK;
        for (LedgerLine& line : density) told.write(std::move(line));
        told.write({.what = "into the air",
                    .symbol = "Q",
                    .formula = "V_air*rho*c*(t_far - t_air)",
                    .inputs = {{"V_air", flow_m3_per_s, "m3/s", "above"},
                               {"rho", rho, "kg/m3", "above"},
                               {"c", heat, "J/kgK",
                                at_.b.method.moist_air_heat ? "of moist air, mean of the day" : "of dry air"},
                               far,
                               air_of_room()},
                    .value = flow_m3_per_s * rho * heat * (far.value - air_C(room_)),
                    .unit = "W"});
    }

    const HourOfRun& at_;
    std::size_t room_;
    quantity::Ledger& ledger_;
    double outdoor_C_, counts_;
};

} // namespace

void write_people(const HourOfRun& at, std::size_t room, const std::vector<double>& sensible_factors,
                  quantity::Ledger& ledger)
{
    const balance::ThermalModel& model = at.compiled.model;
    const auto clock = static_cast<std::size_t>(clock_hour(at.day.clock_ahead_h, at.hour));
    std::size_t body = 0;
    const auto next_of_room = [&] { // in the order of its gains
        while (body < model.bodies.size() && model.bodies[body].zone != at.compiled.zone_of_room[room]) ++body;
    };
    next_of_room();
    for (const building::Gain& gain : at.b.rooms[room].use.gains) {
        if (!gain.at_room_C || gain.sensible_W() <= 0.0 || gain.moisture_kg_per_s <= 0.0) continue;
        const balance::BodyHeat& heat = model.bodies.at(body);
        const double factor = sensible_factors.at(body),
                     as_if_C = heat.none_at_C - factor * (heat.none_at_C - heat.reference_C);
        ++body;
        next_of_room();
        const calendar::Calendar& c = at.b.calendars[gain.profile];
        const double share = c.on_design_day(at.day.month).fraction[clock];
        if (share <= 0.0) continue;
        const LedgerOf told{ledger, gain.name};
        told.write(
            {.what = "sensible heat as warm as the room is, over that at the temperature above",
             .symbol = "f",
             .formula = "(t_none - t_air)/(t_none - t_ref)",
             .inputs = {{"t_none", heat.none_at_C, "degC", "people give none to air as warm as this"},
                        {"t_air", as_if_C, "degC", "air of the room at the beginnings of steps, as the run had it"},
                        {"t_ref", heat.reference_C, "degC", at.b.origins.describe(gain.origin)}},
             .value = factor,
             .unit = "1"});
        told.write({.what = "sensible heat in that hour",
                    .symbol = "Q_now",
                    .formula = "(convective + radiant)*share*f",
                    .inputs = {{"convective", gain.convective_W, "W", at.b.origins.describe(gain.origin)},
                               {"radiant", gain.radiant_W, "W", at.b.origins.describe(gain.origin)},
                               {"share", share, "1", fmt::format("profile '{}', {}-{} h", c.name, clock, clock + 1)},
                               {"f", factor, "1", "above"}},
                    .value = gain.sensible_W() * share * factor,
                    .unit = "W"});
    }
}

void write_air(const HourOfRun& at, std::size_t room, quantity::Ledger& ledger) { AirLedger{at, room, ledger}.run(); }

} // namespace venture::loads::detail
