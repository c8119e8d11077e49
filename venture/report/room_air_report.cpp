#include <venture/report/room_air_report.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/air/moist_air.hpp>
#include <venture/airside/coil_ledger.hpp>
#include <venture/quantity/names.hpp>
#include <venture/report/ledger_report.hpp>

namespace venture::report {

using building::Building;
using building::Room;
using quantity::Kind;
using quantity::PreferredUnits;

namespace {

/// What asks for outdoor air, each with what it asks for.
std::string needs_text(const Room& room, const PreferredUnits& units)
{
    const building::Use& use = room.use;
    const auto flow = [&](double m3_per_s) { return units.text(m3_per_s, Kind::air_flow); };
    std::vector<std::string> asks;
    const auto add = [&](double m3_per_s, const std::string& what) {
        if (m3_per_s > 0.0) asks.push_back(fmt::format("{} for {}", flow(m3_per_s), what));
    };
    const double spread = use.air_effectiveness.value;
    add(use.people.value * use.ventilation_per_person_m3_per_s.value / spread,
        fmt::format("{:g} people", use.people.value));
    add(room.floor_area_m2 * use.ventilation_per_area_m_per_s.value / spread, "the floor");
    add(room.volume_m3 * use.ventilation_per_h.value / 3600.0,
        fmt::format("{:g} air changes", use.ventilation_per_h.value));
    add(use.ventilation_m3_per_s.value, "the room as a whole");
    std::string out = quantity::listed(asks);
    if (spread != 1.0) out += fmt::format(", by an effectiveness of {:g}", spread);
    const double gas = room.outdoor_air_for_carbon_dioxide_m3_per_s();
    if (gas <= 0.0) return out;
    const bool governs = gas > room.outdoor_air_as_typed_m3_per_s();
    return fmt::format("{}{} keep carbon dioxide below {}{}", out,
                       asks.empty() ? flow(gas)
                                    : (governs ? "; more than that, " : "; less than that, ") + flow(gas) + ",",
                       units.text(use.carbon_dioxide_limit->value, Kind::concentration),
                       asks.empty() ? ""
                       : governs    ? ", and govern"
                                    : "");
}

std::string outdoor_air_text(const Building& b, const Room& room, const PreferredUnits& units)
{
    const double by_plan = room.outdoor_air_by_plan_m3_per_s();
    if (by_plan <= 0.0) return {};
    const auto& supply = room.use.air_supply;
    std::string out = fmt::format("Outdoor air by plan {}, by {}: {}", units.text(by_plan, Kind::air_flow),
                                  supply ? fmt::format("'{}'", b.air_supplies[*supply].name) : std::string{"windows"},
                                  needs_text(room, units));
    switch (room.use.ventilation_control) {
    case input::VentilationControl::constant:
        break;
    case input::VentilationControl::head_count:
        out += "; over a day it follows the people who are there";
        break;
    case input::VentilationControl::carbon_dioxide:
        out += "; over a day it follows the carbon dioxide in the room";
        break;
    }
    return out + "\n";
}

std::string humidity_text(const Building& b, const Room& room, const PreferredUnits& units)
{
    std::vector<std::string> limits;
    const auto add = [&](const char* word, const auto& limit) {
        if (limit)
            limits.push_back(
                fmt::format("{} {} ({})", word, building::in_words(*limit, units), b.origins.describe(limit->origin)));
    };
    add("at least", room.use.least_humidity);
    add("at most", room.use.humidity_limit);
    if (limits.empty() && room.is_held_at_assumed_humidity())
        limits.push_back(fmt::format("{:.0f} % on cooling design days, our assumption; nobody limits it otherwise",
                                     100.0 * building::assumed_design_humidity));
    return limits.empty() ? std::string{} : fmt::format("Humidity: {}\n", quantity::listed(limits));
}

} // namespace

figure::Document room_air_document(const Building& b, const Room& room, const airside::CoilLoads& coils,
                                   const PreferredUnits& units, bool arithmetic)
{
    figure::Document out;
    const std::string told = outdoor_air_text(b, room, units) + humidity_text(b, room, units);
    if (!told.empty()) out.add("\n" + told);
    const auto load = std::ranges::find(coils.rooms, room.name, &airside::CoilLoad::room);
    if (load == coils.rooms.end()) return out;
    out.add(figure::table_of(airside::state_columns(),
                             airside::state_rows(*load, air::standard_pressure(b.site.place.height_m))));
    if (!arithmetic) return out;
    out.add("\nArithmetic of its coils, in SI\n");
    return out.add(ledger_document(airside::ledger_of_coils(*load)));
}

} // namespace venture::report
