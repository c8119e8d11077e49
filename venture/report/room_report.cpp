#include <venture/report/room_report.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/loads/load_figures.hpp>

namespace venture::report {

using figure::Document;
using figure::Table;
using loads::RoomLoad;
using quantity::PreferredUnits;

namespace {

/// One row a cause; what all have in common is the room's set-point, from which they count.
void add_causes(Document& out, const std::string& room, const std::vector<loads::LoadCause>& causes, const char* of,
                const char* heading, double set_point_C, const PreferredUnits& units)
{
    if (causes.empty()) return;
    std::vector<loads::CauseRow> rows;
    for (const loads::LoadCause& c : causes) rows.push_back({room, of, loads::in_words(c.forcing), c.load_W});
    Table table = figure::table_of(loads::load_cause_columns(), rows);
    table.columns[table.column("cause")].heading =
        fmt::format("{} by cause, counted from {}", heading, units.text(set_point_C, "temperature"));
    table.add_total("sum: the day replayed with one cause at a time");
    out.add(std::move(table));
}

void add_paths(Document& out, const std::optional<loads::PeakParts>& peak, std::string_view of, const char* heading,
               const PreferredUnits& units)
{
    if (!peak) return;
    out.add(fmt::format("\n{} by path over its edge, {}, counted from {}\n", heading, moment_of(*peak),
                        units.text(peak->parts.reference_C, "temperature")));
    Table table = figure::table_of(loads::load_path_columns(), loads::path_rows(*peak, of));
    table.add_total("sum of all paths");
    out.add(std::move(table));
}

/// Areas times U-values times temperature differences: what anyone can check with a pocket calculator.
Table by_hand(const RoomLoad& r, const PreferredUnits& units)
{
    std::vector<loads::PaperRow> rows;
    for (const loads::PaperTerm& t : r.paper) rows.push_back({&r, &t});
    Table table = figure::table_of(loads::steady_loss_columns(), rows);
    table.add_total(fmt::format("sum, room at {}", units.text(r.heating_room_C, "temperature")));
    return table;
}

/// What flows; what does not is left out.
Table air_balance(const std::string& room, const loads::AirBalance& balance)
{
    std::vector<loads::AirBalanceRow> rows = loads::parts_of(room, balance);
    std::erase_if(rows, [](const loads::AirBalanceRow& part) { return part.flow_W == 0.0; });
    Table table = figure::table_of(loads::air_balance_columns(), rows);
    table.add_total("sensible cooling that balances it");
    return table;
}

/// Who said what the room's loads follow from.
std::string said_text(const RoomLoad& r, const quantity::OriginPool& origins, const PreferredUnits& units)
{
    std::string out;
    for (const auto& [what, over] : {std::pair{"heating", &r.heating_overruled}, {"cooling", &r.cooling_overruled}})
        if (*over)
            out +=
                fmt::format("Its {} was typed ({}; {}) instead of the {} computed; what follows takes apart what was "
                            "computed.\n",
                            what, (*over)->reason.empty() ? "no reason given" : (*over)->reason,
                            origins.describe((*over)->origin), units.text((*over)->computed_W, "power"));
    if (r.heated) out += fmt::format("Heating set-point: {}\n", origins.describe(r.heating_setpoint_origin));
    if (r.cooled) out += fmt::format("Cooling set-point: {}\n", origins.describe(r.cooling_setpoint_origin));
    return out;
}

void add_heating(Document& out, const RoomLoad& r, const RoomCauses& causes, const PreferredUnits& units)
{
    out.add(fmt::format("\nHeating {} in winter design by the heat balance\n",
                        units.text(r.heating_overruled ? r.heating_overruled->computed_W : r.heating_W, "power")));
    out.add(by_hand(r, units));
    std::string after = "Areas run along wall centre lines and from floor to floor.\n";
    if (r.heating_up_W > 0.0)
        after += fmt::format("\nOf it {} is for {}; the peak is at {}-{} h\n", units.text(r.heating_up_W, "power"),
                             r.sets_back ? "coming back from the set-back"
                                         : "rooms beside it that set back and come back: it has no set-back itself",
                             r.heating_when.clock_hour, r.heating_when.clock_hour + 1);
    out.add(std::move(after));
    add_paths(out, causes.heating_parts, "heating", "Heating", units);
    add_causes(out, r.room, causes.heating, "heating", "Heating", r.heating_room_C, units);
    out.add("\nThe heat balance differs from the sum by hand: it has one air and one radiant temperature, so walls "
            "colder than the air draw heat by "
            "radiation from the others, and a set-point that holds the operative temperature needs warmer air.\n");
}

void add_cooling(Document& out, const RoomLoad& r, const RoomCauses& causes, const PreferredUnits& units)
{
    out.add(fmt::format("\nCooling {} ({} sensible, {} latent) in {}, outdoors {}, room air {}\n",
                        units.text(r.cooling_W, "power"), units.number(r.cooling_sensible_W, "power"),
                        units.number(r.cooling_latent_W, "power"), in_words(r.cooling_when),
                        units.text(r.cooling_outdoor_C, "temperature"), units.text(r.cooling_air_C, "temperature")));
    out.add(air_balance(r.room, r.cooling_balance));
    add_paths(out, causes.cooling_parts, "sensible cooling", "Sensible cooling", units);
    add_causes(out, r.room, causes.cooling, "sensible cooling", "Sensible cooling", r.cooling_setpoint_C, units);
    out.add(fmt::format("\nSensible cooling by itself is largest in {}: {}\n", in_words(r.cooling_sensible_when),
                        units.text(r.cooling_sensible_peak_W, "power")));
}

} // namespace

Document room_document(const RoomLoad& r, const RoomCauses& causes, const quantity::OriginPool& origins,
                       const PreferredUnits& units)
{
    Document out{fmt::format("{}{}{}", r.room, r.storey.empty() ? ", " : ", " + r.storey + ", ",
                             units.text(r.floor_area_m2, "area"))};
    Table figures =
        figure::table_of(loads::room_load_columns(), std::vector{loads::RoomLoadRow{.load = &r, .origins = &origins}});
    figures.told = figure::Told::data;
    if (r.typed) {
        out.add(
            fmt::format("Its loads were typed ({}): there is nothing to take apart.\n", origins.describe(r.origin)));
        out.add(std::move(figures));
        return out;
    }
    out.add(said_text(r, origins, units));
    out.add(std::move(figures));
    if (r.heated) add_heating(out, r, causes, units);
    if (r.cooled) add_cooling(out, r, causes, units);
    if (!r.heated && !r.cooled)
        out.add(fmt::format("Neither heated nor cooled: its air floats between {} (winter design) and {}\n",
                            units.text(r.lowest_air_C, "temperature"), units.text(r.highest_air_C, "temperature")));
    add_paths(out, causes.warmth_parts, "warmth", "Warmth", units);
    return out;
}

Document room_hour_document(const loads::RoomHour& hour, const building::Room& room, const PreferredUnits& units)
{
    const auto watts = [&](double w) { return units.text(w, "power"); };
    Document out{fmt::format("{}, {}, {}", room.name, units.text(room.floor_area_m2, "area"), in_words(hour.when))};
    std::string needs = hour.heating_W > 0.0 ? "heating " + watts(hour.heating_W) : std::string{};
    if (hour.cooling_W + hour.latent_W > 0.0)
        needs += fmt::format("{}cooling {} ({} sensible, {} latent)", needs.empty() ? "" : ", ",
                             watts(hour.cooling_W + hour.latent_W), units.number(hour.cooling_W, "power"),
                             units.number(hour.latent_W, "power"));
    out.add(fmt::format("{}; outdoors {}, room air {}, operative {}\n",
                        needs.empty() ? "neither heating nor cooling" : needs,
                        units.text(hour.outdoor_C, "temperature"), units.text(hour.air_C, "temperature"),
                        units.text(hour.operative_C, "temperature")));
    Table balance = air_balance(room.name, hour.balance);
    balance.totals.front().what = "what the room's plant takes out";
    out.add(std::move(balance));
    const std::string of{hour.of()};
    add_paths(out, hour.parts, of, of == "heating" ? "Heating" : of == "warmth" ? "Warmth" : "Sensible cooling", units);
    return out;
}

Document terms_document(const loads::PathTerms& terms, double reference_C, const PreferredUnits& units)
{
    Document out;
    out.add(
        fmt::format("\nBy {}: what is felt of it in {}\n", in_words(terms.kind, terms.through), in_words(terms.when)));
    Table table = figure::table_of(loads::path_term_columns(), loads::term_rows(terms));
    table.add_total(terms.floats ? "warmer by this path" : "load by this path");
    out.add(std::move(table));
    out.add(fmt::format(
        "{}; hours later than that are of the day before. Acted x felt is what each hour gives: walls, films, "
        "rooms beside it and the plant's hours as they were.\n",
        terms.heat ? "Acted: heat that came in, mean of the hour"
                   : fmt::format("Acted: by what it was warmer than {}, mean of the hour",
                                 units.text(reference_C, "temperature"))));
    return out;
}

} // namespace venture::report
