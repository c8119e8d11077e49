#include <venture/report/loads_report.hpp>

#include <algorithm>
#include <numeric>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/report/text_table.hpp>

namespace venture::report {

using loads::RoomLoad;
using nlohmann::json;

namespace {

std::string watts(double w) { return fmt::format("{:.0f}", w + 0.0); }
std::string watts_or_dash(bool there, double w) { return there ? watts(w) : "-"; }
std::string per_area(bool there, double w, double m2)
{
    return there && m2 > 0.0 ? fmt::format("{:.0f}", w / m2) : "-";
}

std::vector<std::size_t> rooms_where(const loads::RoomLoads& all, bool RoomLoad::*has)
{
    std::vector<std::size_t> out;
    for (std::size_t r = 0; r < all.rooms.size(); ++r)
        if (all.rooms[r].*has) out.push_back(r);
    return out;
}

double area_of(const loads::RoomLoads& all, const std::vector<std::size_t>& rooms)
{
    return std::accumulate(rooms.begin(), rooms.end(), 0.0,
                           [&](double sum, std::size_t r) { return sum + all.rooms[r].floor_area_m2; });
}

void add_room(TextTable& table, const RoomLoad& r, bool tell_typed)
{
    std::vector<std::string> row = {r.room, r.storey, fmt::format("{:.1f}", r.floor_area_m2)};
    if (tell_typed) row.emplace_back(r.typed ? "typed" : "computed");
    for (std::string& cell : std::vector<std::string>{
             watts_or_dash(r.heated, r.heating_W), per_area(r.heated, r.heating_W, r.floor_area_m2),
             watts_or_dash(r.heated && !r.paper.empty(), r.paper_W()), watts_or_dash(r.cooled, r.cooling_W),
             watts_or_dash(r.cooled, r.cooling_sensible_W), watts_or_dash(r.cooled, r.cooling_latent_W),
             per_area(r.cooled, r.cooling_W, r.floor_area_m2), r.cooled ? when_in_words(r.cooling_when) : "",
             r.typed ? "-" : fmt::format("{:.1f}", r.lowest_air_C),
             r.typed || r.cooling_days.empty() ? "-" : fmt::format("{:.1f}", r.highest_air_C)})
        row.push_back(std::move(cell));
    table.add_row(std::move(row));
}

std::string totals_text(const loads::RoomLoads& all)
{
    const auto heated = rooms_where(all, &RoomLoad::heated), cooled = rooms_where(all, &RoomLoad::cooled);
    const double heating = loads::heating_together_W(all, heated), heated_m2 = area_of(all, heated);
    std::string out = fmt::format(
        "Heating  {:6.2f} kW  {} of {} rooms, all together in winter design; no margins, no pipes, no heating-up",
        heating / 1000.0, heated.size(), all.rooms.size());
    if (heated_m2 > 0.0) out += fmt::format("; {:.0f} W/m2 of {:.0f} m2 heated", heating / heated_m2, heated_m2);
    out += "\n";
    if (cooled.empty()) return out + "Cooling       none   no room has a cooling set-point\n";
    const loads::Coincident c = loads::coincident_cooling(all, cooled);
    out += fmt::format("Cooling  {:6.2f} kW  {} of {} rooms, largest hour of their sum{} ({:.2f} kW sensible, {:.2f} "
                       "kW latent)\n                     the single peaks add up to {:.2f} kW",
                       c.total_W / 1000.0, cooled.size(), all.rooms.size(),
                       c.when.day.empty() ? "" : ": " + when_in_words(c.when), c.sensible_W / 1000.0,
                       c.latent_W / 1000.0, c.sum_of_peaks_W / 1000.0);
    const double cooled_m2 = area_of(all, cooled);
    if (cooled_m2 > 0.0) out += fmt::format("; {:.0f} W/m2 of {:.0f} m2 cooled", c.total_W / cooled_m2, cooled_m2);
    if (!c.by_hour) out += "\n         typed loads carry no hours and were added at their peak";
    return out + "\n";
}

std::string runs_text(const std::vector<loads::RunNote>& runs)
{
    const auto worst = [&](auto member) { return std::ranges::max(runs, {}, member).*member; };
    std::string out = fmt::format("Solved   {} design days, periodic within {:.0e} K after at most {} repetitions; "
                                  "heat balance closed to {:.0e} of throughput\n",
                                  runs.size(), worst(&loads::RunNote::residual_K), worst(&loads::RunNote::days),
                                  worst(&loads::RunNote::worst_closure));
    for (const loads::RunNote& run : runs) {
        if (!run.converged)
            out += fmt::format("DO NOT USE: {} did not become periodic ({:.1e} K after {} repetitions)\n", run.day,
                               run.residual_K, run.days);
        if (run.steps_with_unsettled_supply > 0)
            out += fmt::format("DO NOT USE: {}: a thermostat found no consistent state in {} steps\n", run.day,
                               run.steps_with_unsettled_supply);
    }
    return out;
}

json when_json(const loads::When& w) { return {{"day", w.day}, {"month", w.month}, {"clock_hour", w.clock_hour}}; }

json balance_json(const loads::AirBalance& b)
{
    return {{"outside_walls", b.outside_walls_W},
            {"roof", b.roof_W},
            {"windows", b.windows_W},
            {"doors", b.doors_W},
            {"ground", b.ground_W},
            {"inner_surfaces", b.inner_W},
            {"convective_gains", b.convective_gains_W},
            {"infiltration", b.infiltration_W},
            {"ventilation", b.ventilation_W},
            {"released_by_air", b.released_by_air_W}};
}

json room_json(const RoomLoad& r)
{
    json out = {{"room", r.room},
                {"storey", r.storey},
                {"floor_area_m2", r.floor_area_m2},
                {"origin", r.typed ? "typed" : "computed"}};
    if (r.heated) {
        out["heating"] = {{"load_W", r.heating_W}, {"room_C", r.heating_room_C}, {"when", when_json(r.heating_when)}};
        json terms = json::array();
        for (const loads::PaperTerm& t : r.paper)
            terms.push_back({{"what", t.what},
                             {"area_m2", t.area_m2},
                             {"u_W_per_m2K", t.u_W_per_m2K},
                             {"h_W_per_K", t.h_W_per_K},
                             {"far_side_C", t.far_side_C},
                             {"loss_W", t.loss_W}});
        if (!r.paper.empty()) out["heating"]["by_hand"] = {{"sum_W", r.paper_W()}, {"terms", terms}};
    }
    if (r.cooled)
        out["cooling"] = {{"load_W", r.cooling_W},
                          {"sensible_W", r.cooling_sensible_W},
                          {"latent_W", r.cooling_latent_W},
                          {"when", when_json(r.cooling_when)},
                          {"sensible_peak_W", r.cooling_sensible_peak_W},
                          {"sensible_peak_when", when_json(r.cooling_sensible_when)},
                          {"room_air_C", r.cooling_air_C},
                          {"humidity_ratio", r.cooling_humidity_ratio},
                          {"outdoor_C", r.cooling_outdoor_C}};
    if (r.cooled && !r.typed) out["cooling"]["air_balance_W"] = balance_json(r.cooling_balance);
    if (!r.typed) {
        out["lowest_air_C"] = r.lowest_air_C;
        if (!r.cooling_days.empty()) out["highest_air_C"] = r.highest_air_C;
    }
    return out;
}

} // namespace

std::string when_in_words(const loads::When& when)
{
    if (when.day.empty()) return "not known";
    if (when.clock_hour < 0) return when.day;
    return fmt::format("{} {:02}-{:02} h", when.day, when.clock_hour, when.clock_hour + 1);
}

std::string loads_heading(const building::Building& b)
{
    const auto& p = b.project;
    std::string out = p.name;
    if (!p.number.empty()) out += fmt::format(", job {}", p.number);
    if (!p.revision.empty()) out += fmt::format(", revision {}", p.revision);
    const auto& s = b.site;
    out +=
        fmt::format("\n{}: {:.2f} deg {}, {:.2f} deg {}, {:.0f} m above the sea; winter design {:.1f} degC",
                    s.name.empty() ? "Site" : s.name, std::abs(s.latitude_deg), s.latitude_deg < 0 ? "south" : "north",
                    std::abs(s.longitude_deg), s.longitude_deg < 0 ? "west" : "east", s.height_m, s.winter.dry_bulb_C);
    if (!s.months.empty())
        out += fmt::format("; cooling design days of {} month{}, hottest {:.1f} degC", s.months.size(),
                           s.months.size() == 1 ? "" : "s",
                           std::ranges::max(s.months, {}, &climate::CoolingMonth::dry_bulb_C).dry_bulb_C);
    return out + "\n";
}

std::string loads_text(const building::Building& b, const loads::DesignLoads& design)
{
    TextTable table;
    table.add_column("Room", Align::left);
    table.add_column("Storey", Align::left);
    table.add_column("Area\nm2");
    const bool mixed = std::ranges::any_of(design.loads.rooms, &RoomLoad::typed);
    if (mixed) table.add_column("Loads", Align::left);
    table.add_column("Heating\nW");
    table.add_column("\nW/m2");
    table.add_column("By hand\nW");
    table.add_column("Cooling\nW");
    table.add_column("sensible\nW");
    table.add_column("latent\nW");
    table.add_column("\nW/m2");
    table.add_column("at", Align::left);
    table.add_column("Coldest\ndegC");
    table.add_column("Warmest\ndegC");
    for (const RoomLoad& r : design.loads.rooms) add_room(table, r, mixed);
    std::string out = loads_heading(b) + "Largest hour means for a convective supply; hours are clock hours.\n\n" +
                      table.text() + "\n";
    out += totals_text(design.loads) + runs_text(design.runs);
    out += "By hand  U x A x K and air flows at steady state, for comparison; `venture loads PROJECT --room NAME` "
           "lists the terms\n";
    out += "Coldest, warmest: hour means of the air, in winter design and over all cooling design days\n";
    return out;
}

std::string room_text(const RoomLoad& r)
{
    std::string out =
        fmt::format("{}{}{:.2f} m2\n", r.room, r.storey.empty() ? ", " : ", " + r.storey + ", ", r.floor_area_m2);
    if (r.typed) return out + "Its loads were typed: there is nothing to take apart.\n";
    if (r.heated) {
        TextTable table;
        table.add_column("Steady loss by hand", Align::left);
        for (const char* heading : {"Area\nm2", "U\nW/m2K", "H\nW/K", "far side\ndegC", "loss\nW"})
            table.add_column(heading);
        for (const loads::PaperTerm& t : r.paper)
            table.add_row({t.what, t.area_m2 > 0.0 ? fmt::format("{:.2f}", t.area_m2) : "",
                           t.area_m2 > 0.0 ? fmt::format("{:.3f}", t.u_W_per_m2K) : "",
                           fmt::format("{:.2f}", t.h_W_per_K), fmt::format("{:.1f}", t.far_side_C), watts(t.loss_W)});
        table.add_rule();
        table.add_row({fmt::format("sum, room at {:.1f} degC", r.heating_room_C), "", "", "", "", watts(r.paper_W())});
        out += fmt::format("\nHeating {:.0f} W in winter design by the heat balance\n\n{}", r.heating_W, table.text());
        out += "\nThe heat balance differs: it has one air and one radiant temperature, so walls colder than the air "
               "draw heat by\n"
               "radiation from the others, and a set-point that holds the operative temperature needs warmer air.\n";
    }
    if (r.cooled) {
        const loads::AirBalance& b = r.cooling_balance;
        TextTable table;
        table.add_column("Into the air in that hour", Align::left);
        table.add_column("W");
        const std::pair<const char*, double> parts[] = {
            {"windows (inside face, with sun taken up)", b.windows_W},
            {"outside walls", b.outside_walls_W},
            {"roof", b.roof_W},
            {"doors", b.doors_W},
            {"ground floor", b.ground_W},
            {"inner walls and floors (with sun and radiant gains stored there)", b.inner_W},
            {"convective gains", b.convective_gains_W},
            {"infiltration", b.infiltration_W},
            {"ventilation", b.ventilation_W},
            {"released by air and furniture", b.released_by_air_W}};
        for (const auto& [what, w] : parts)
            if (std::abs(w) >= 0.5) table.add_row({what, watts(w)});
        table.add_rule();
        table.add_row({"sensible cooling that balances it", watts(b.total_W())});
        out += fmt::format("\nCooling {:.0f} W ({:.0f} sensible, {:.0f} latent) in {}, outdoors {:.1f} degC, room air "
                           "{:.1f} degC\n\n{}",
                           r.cooling_W, r.cooling_sensible_W, r.cooling_latent_W, when_in_words(r.cooling_when),
                           r.cooling_outdoor_C, r.cooling_air_C, table.text());
        out += fmt::format("\nSensible cooling by itself is largest in {}: {:.0f} W\n",
                           when_in_words(r.cooling_sensible_when), r.cooling_sensible_peak_W);
    }
    if (!r.heated && !r.cooled)
        out += fmt::format(
            "Neither heated nor cooled: its air floats between {:.1f} degC (winter design) and {:.1f} degC\n",
            r.lowest_air_C, r.highest_air_C);
    return out;
}

json loads_json(const building::Building& b, const loads::DesignLoads& design)
{
    const auto& all = design.loads;
    const auto heated = rooms_where(all, &RoomLoad::heated), cooled = rooms_where(all, &RoomLoad::cooled);
    const loads::Coincident c = loads::coincident_cooling(all, cooled);
    json rooms = json::array(), runs = json::array();
    for (const RoomLoad& r : all.rooms) rooms.push_back(room_json(r));
    for (const loads::RunNote& n : design.runs)
        runs.push_back({{"day", n.day},
                        {"repetitions", n.days},
                        {"residual_K", n.residual_K},
                        {"worst_closure", n.worst_closure},
                        {"converged", n.converged},
                        {"steps_with_unsettled_supply", n.steps_with_unsettled_supply}});
    return {{"project", {{"name", b.project.name}, {"number", b.project.number}, {"revision", b.project.revision}}},
            {"fingerprint", fmt::format("{:016x}", all.fingerprint)},
            {"rooms", rooms},
            {"runs", runs},
            {"totals",
             {{"heating_W", loads::heating_together_W(all, heated)},
              {"heated_area_m2", area_of(all, heated)},
              {"cooling_coincident_W", c.total_W},
              {"cooling_coincident_sensible_W", c.sensible_W},
              {"cooling_coincident_latent_W", c.latent_W},
              {"cooling_coincident_when", when_json(c.when)},
              {"cooling_sum_of_peaks_W", c.sum_of_peaks_W},
              {"cooled_area_m2", area_of(all, cooled)}}}};
}

} // namespace venture::report
