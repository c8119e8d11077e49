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
        const auto [share, from] = share_of(use.ventilation_profile);
        write("ventilation", line_of_ventilation(at_.b, room_, counts_, share, from));
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
