#include <venture/report/room_report.hpp>

#include <cmath>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/report/loads_report.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

using loads::RoomLoad;
using quantity::PreferredUnits;

namespace {

std::string cause_in_words(balance::Forcing forcing)
{
    using balance::Forcing;
    switch (forcing) {
    case Forcing::outdoor_air:
        return "outdoor air, through fabric and as leakage and ventilation";
    case Forcing::set_point:
        return "set-points of other rooms, and own where it is not held, or is raised for layers of air";
    case Forcing::given_temperature:
        return "stated temperatures of neighbours";
    case Forcing::sky:
        return "sky, by long wave";
    case Forcing::stratification:
        return "warmer air under ceilings, cooler air at floors";
    case Forcing::limit:
        return "limits of supplies";
    default:
        return std::string{balance::forcing_names()[static_cast<std::size_t>(forcing)]};
    }
}

/// One row a cause; what all have in common is the room's set-point, from which they count.
Text causes_text(const std::vector<loads::LoadCause>& causes, const char* what, double set_point_C,
                 const PreferredUnits& units)
{
    if (causes.empty()) return {};
    TextTable table;
    table.add_column(fmt::format("{} by cause, counted from {}", what, units.text(set_point_C, "temperature")),
                     Align::left);
    add_column(table, "", "power", units);
    double sum = 0.0;
    for (const loads::LoadCause& c : causes) {
        table.add_row({cause_in_words(c.forcing), units.number(c.load_W, "power")});
        sum += c.load_W;
    }
    table.add_rule();
    table.add_row({"sum: the day replayed with one cause at a time", units.number(sum, "power")});
    return "\n" + Text{std::move(table)};
}

/// Areas times U-values times temperature differences: what anyone can check with a pocket calculator.
Text by_hand_text(const RoomLoad& r, const PreferredUnits& units)
{
    TextTable table;
    table.add_column("Steady loss by hand", Align::left);
    add_column(table, "Area", "area", units);
    add_column(table, "U", "heat_transfer", units);
    add_column(table, "H", "heat_loss", units);
    add_column(table, "far side", "temperature", units);
    add_column(table, "loss", "power", units);
    for (const loads::PaperTerm& t : r.paper)
        table.add_row({t.what, t.area_m2 > 0.0 ? units.number(t.area_m2, "area") : "",
                       t.area_m2 > 0.0 ? units.number(t.u_W_per_m2K, "heat_transfer") : "",
                       units.number(t.h_W_per_K, "heat_loss"), units.number(t.far_side_C, "temperature"),
                       units.number(t.loss_W, "power")});
    table.add_rule();
    table.add_row({fmt::format("sum, room at {}", units.text(r.heating_room_C, "temperature")), "", "", "", "",
                   units.number(r.paper_W(), "power")});
    return Text{std::move(table)} + "\nAreas run along wall centre lines and from floor to floor.\n";
}

Text air_balance_text(const RoomLoad& r, const PreferredUnits& units)
{
    const loads::AirBalance& b = r.cooling_balance;
    TextTable table;
    table.add_column("Into the air in that hour", Align::left);
    add_column(table, "", "power", units);
    const std::pair<const char*, double> parts[] = {
        {"windows (inside face, with sun taken up)", b.windows_W},
        {"outside walls", b.outside_walls_W},
        {"roof", b.roof_W},
        {"doors", b.doors_W},
        {"ground floor", b.ground_W},
        {"inner walls and floors (with sun and radiant gains stored there)", b.inner_W},
        {"thermal bridges", b.thermal_bridges_W},
        {"convective gains, and what shades inside give to the air", b.convective_gains_W},
        {"infiltration", b.infiltration_W},
        {"ventilation", b.ventilation_W},
        {"air from other rooms", b.transfer_air_W},
        {"released by air and furniture", b.released_by_air_W}};
    for (const auto& [what, w] : parts)
        if (std::abs(w) >= 0.5) table.add_row({what, units.number(w, "power")});
    table.add_rule();
    table.add_row({"sensible cooling that balances it", units.number(b.total_W(), "power")});
    return Text{std::move(table)};
}

} // namespace

Text room_text(const RoomLoad& r, const RoomCauses& causes, const quantity::OriginPool& origins,
               const PreferredUnits& units)
{
    Text out = fmt::format("{}{}{}\n", r.room, r.storey.empty() ? ", " : ", " + r.storey + ", ",
                           units.text(r.floor_area_m2, "area"));
    if (r.typed)
        return out +
               fmt::format("Its loads were typed ({}): there is nothing to take apart.\n", origins.describe(r.origin));
    for (const auto& [what, over] : {std::pair{"heating", &r.heating_overruled}, {"cooling", &r.cooling_overruled}})
        if (*over)
            out +=
                fmt::format("Its {} was typed ({}; {}) instead of the {} computed; what follows takes apart what was "
                            "computed.\n",
                            what, (*over)->reason.empty() ? "no reason given" : (*over)->reason,
                            origins.describe((*over)->origin), units.text((*over)->computed_W, "power"));
    if (r.heated) out += fmt::format("Heating set-point: {}\n", origins.describe(r.heating_setpoint_origin));
    if (r.cooled) out += fmt::format("Cooling set-point: {}\n", origins.describe(r.cooling_setpoint_origin));
    if (r.heated) {
        out += fmt::format("\nHeating {} in winter design by the heat balance\n\n",
                           units.text(r.heating_overruled ? r.heating_overruled->computed_W : r.heating_W, "power")) +
               by_hand_text(r, units);
        if (r.heating_up_W > 0.0)
            out += fmt::format("\nOf it {} is for {}; the peak is at {}-{} h\n", units.text(r.heating_up_W, "power"),
                               r.sets_back ? "coming back from the set-back"
                                           : "rooms beside it that set back and come back: it has no set-back itself",
                               r.heating_when.clock_hour, r.heating_when.clock_hour + 1);
        out += causes_text(causes.heating, "Heating", r.heating_room_C, units);
        out += "\nThe heat balance differs from the sum by hand: it has one air and one radiant temperature, so walls "
               "colder than the air draw heat by "
               "radiation from the others, and a set-point that holds the operative temperature needs warmer air.\n";
    }
    if (r.cooled) {
        out += fmt::format("\nCooling {} ({} sensible, {} latent) in {}, outdoors {}, room air {}\n\n",
                           units.text(r.cooling_W, "power"), units.number(r.cooling_sensible_W, "power"),
                           units.number(r.cooling_latent_W, "power"), when_in_words(r.cooling_when),
                           units.text(r.cooling_outdoor_C, "temperature"), units.text(r.cooling_air_C, "temperature")) +
               air_balance_text(r, units);
        out += causes_text(causes.cooling, "Sensible cooling", r.cooling_setpoint_C, units);
        out += fmt::format("\nSensible cooling by itself is largest in {}: {}\n",
                           when_in_words(r.cooling_sensible_when), units.text(r.cooling_sensible_peak_W, "power"));
    }
    if (!r.heated && !r.cooled)
        out += fmt::format("Neither heated nor cooled: its air floats between {} (winter design) and {}\n",
                           units.text(r.lowest_air_C, "temperature"), units.text(r.highest_air_C, "temperature"));
    return out;
}

nlohmann::json room_json(const RoomLoad& r, const RoomCauses& causes, const quantity::OriginPool& origins)
{
    nlohmann::json out = room_json(r, origins);
    const auto add = [&](const char* what, const std::vector<loads::LoadCause>& list) {
        for (const loads::LoadCause& c : list)
            out[what]["by_cause"].push_back({{"cause", cause_in_words(c.forcing)}, {"load_W", c.load_W}});
    };
    add("heating", causes.heating);
    add("cooling", causes.cooling);
    return out;
}

} // namespace venture::report
