#include <venture/report/loads_report.hpp>

#include <algorithm>
#include <numeric>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/quantity/names.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

using loads::RoomLoad;
using nlohmann::json;
using quantity::PreferredUnits;

namespace {

std::string power_or_dash(bool there, double w, const PreferredUnits& units)
{
    return there ? units.number(w, "power") : "-";
}
std::string per_area(bool there, double w, double m2, const PreferredUnits& units)
{
    return there && m2 > 0.0 ? units.number(w / m2, "power_per_area") : "-";
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

/// Who says a room's loads: "computed", "typed", or which of the two was typed over.
std::string said_by(const RoomLoad& r)
{
    if (r.typed || (r.heating_overruled && r.cooling_overruled)) return "typed";
    if (r.heating_overruled) return "heating typed";
    return r.cooling_overruled ? "cooling typed" : "computed";
}

/// @param said  who says its loads; empty where that is the same of all rooms
void add_room(TextTable& table, const RoomLoad& r, const std::string& said, const PreferredUnits& units)
{
    std::vector<std::string> row = {r.room, r.storey, units.number(r.floor_area_m2, "area")};
    if (!said.empty()) row.push_back(said);
    for (std::string& cell : std::vector<std::string>{
             power_or_dash(r.heated, r.heating_W, units), per_area(r.heated, r.heating_W, r.floor_area_m2, units),
             power_or_dash(r.heated && !r.paper.empty(), r.paper_W(), units),
             power_or_dash(r.cooled, r.cooling_W, units), power_or_dash(r.cooled, r.cooling_sensible_W, units),
             power_or_dash(r.cooled, r.cooling_latent_W, units),
             per_area(r.cooled, r.cooling_W, r.floor_area_m2, units), r.cooled ? when_in_words(r.cooling_when) : "",
             r.typed ? "-" : units.number(r.lowest_air_C, "temperature"),
             r.typed || r.cooling_days.empty() ? "-" : units.number(r.highest_air_C, "temperature")})
        row.push_back(std::move(cell));
    table.add_row(std::move(row));
}

std::string totals_text(const loads::RoomLoads& all, const PreferredUnits& units)
{
    const auto heated = rooms_where(all, &RoomLoad::heated), cooled = rooms_where(all, &RoomLoad::cooled);
    const double heating = loads::heating_together_W(all, heated), heated_m2 = area_of(all, heated);
    const bool sets_back = std::ranges::any_of(all.rooms, [](const RoomLoad& r) { return r.heating_up_W > 0.0; });
    std::string out =
        fmt::format("Heating  {:>10}  {} of {} rooms, {} of winter design; no margins, no pipes, {}",
                    units.text(heating, "total_power"), heated.size(), all.rooms.size(),
                    sets_back ? "largest hour of their sum in the periodic day" : "all together in the steady day",
                    sets_back ? "heating-up after set-backs in it" : "no heating-up");
    if (heated_m2 > 0.0)
        out += fmt::format("; {} of {} heated", units.text(heating / heated_m2, "power_per_area"),
                           units.text(heated_m2, "area"));
    out += "\n";
    if (cooled.empty()) return out + "Cooling        none  no room has a cooling set-point\n";
    const loads::Coincident c = loads::coincident_cooling(all, cooled);
    out += fmt::format("Cooling  {:>10}  {} of {} rooms, largest hour of their sum{} ({} sensible, {} "
                       "latent); the single peaks add up to {}",
                       units.text(c.total_W, "total_power"), cooled.size(), all.rooms.size(),
                       c.when.day.empty() ? "" : ": " + when_in_words(c.when), units.text(c.sensible_W, "total_power"),
                       units.text(c.latent_W, "total_power"), units.text(c.sum_of_peaks_W, "total_power"));
    const double cooled_m2 = area_of(all, cooled);
    if (cooled_m2 > 0.0)
        out += fmt::format("; {} of {} cooled", units.text(c.total_W / cooled_m2, "power_per_area"),
                           units.text(cooled_m2, "area"));
    if (!c.by_hour) out += "\n         typed loads carry no hours and were added at their peak";
    return out + "\n";
}

/// Loads that were typed over computed ones, beside those.
std::string overruled_text(const loads::RoomLoads& all, const PreferredUnits& units)
{
    std::string out;
    for (const RoomLoad& r : all.rooms) {
        const auto tell = [&](const char* what, double typed_W, const std::optional<loads::Overruled>& over) {
            if (!over) return;
            out += fmt::format("         {}: {} {} typed instead of {} computed ({})\n", r.room, what,
                               units.text(typed_W, "power"), units.text(over->computed_W, "power"),
                               over->reason.empty() ? "no reason given" : over->reason);
        };
        tell("heating", r.heating_W, r.heating_overruled);
        tell("cooling", r.cooling_W, r.cooling_overruled);
    }
    return out.empty() ? out : "Typed    over computed loads, and counted in every sum above\n" + out;
}

/// Rooms whose set-back makes them larger, and by how much.
std::string heating_up_text(const loads::RoomLoads& all, const PreferredUnits& units)
{
    std::vector<std::string> rooms;
    for (const RoomLoad& r : all.rooms)
        if (r.heating_up_W > 0.0)
            rooms.push_back(fmt::format("{} {}{}", r.room, units.text(r.heating_up_W, "power"),
                                        r.sets_back ? "" : " (its neighbours')"));
    return rooms.empty() ? std::string{}
                         : "Heating-up after set-backs, in the rooms' heating: " + quantity::listed(rooms, 6) + "\n";
}

/// What a checker should know of how far to believe the days.
std::string remarks_text(const std::vector<loads::RunNote>& runs, bool cools)
{
    constexpr double much_kept = 0.5;
    std::string out;
    for (const loads::RunNote& run : runs)
        if (cools && run.share_kept > much_kept)
            out += fmt::format(
                "Memory   of warmth in the walls, rooms feel {:.0f} % still on the next day: a hot spell may "
                "end before the repeated day is reached, so that cooling loads are on the safe "
                "side\n",
                100.0 * run.share_kept);
    const double residual = std::ranges::max(runs, {}, &loads::RunNote::film_residual).film_residual;
    if (residual > 0.0)
        out += fmt::format("Films    follow from temperatures; what is left between the two is at most {:.2f} % of a "
                           "room's peak\n",
                           100.0 * residual);
    return out;
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
        if (run.unsettled_steps > 0)
            out += fmt::format("DO NOT USE: {}: a thermostat found no consistent state in {} steps\n", run.day,
                               run.unsettled_steps);
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
            {"thermal_bridges", b.thermal_bridges_W},
            {"convective_gains", b.convective_gains_W},
            {"infiltration", b.infiltration_W},
            {"ventilation", b.ventilation_W},
            {"transfer_air", b.transfer_air_W},
            {"released_by_air", b.released_by_air_W}};
}

json overruled_json(const loads::Overruled& over, const quantity::OriginPool& origins)
{
    return {{"computed_W", over.computed_W}, {"reason", over.reason}, {"from", origins.describe(over.origin)}};
}

} // namespace

json room_json(const RoomLoad& r, const quantity::OriginPool& origins)
{
    json out = {{"room", r.room}, {"storey", r.storey}, {"floor_area_m2", r.floor_area_m2}, {"origin", said_by(r)}};
    if (r.typed) out["from"] = origins.describe(r.origin);
    if (r.heated) {
        out["heating"] = {{"load_W", r.heating_W}, {"room_C", r.heating_room_C}, {"when", when_json(r.heating_when)}};
        if (r.heating_up_W > 0.0) out["heating"]["heating_up_W"] = r.heating_up_W;
        if (r.heating_overruled) out["heating"]["typed_over"] = overruled_json(*r.heating_overruled, origins);
        if (!r.typed) out["heating"]["set_point_from"] = origins.describe(r.heating_setpoint_origin);
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
    if (r.cooling_overruled) out["cooling"]["typed_over"] = overruled_json(*r.cooling_overruled, origins);
    if (r.cooled && !r.typed) out["cooling"]["set_point_from"] = origins.describe(r.cooling_setpoint_origin);
    if (r.cooled && !r.typed) out["cooling"]["air_balance_W"] = balance_json(r.cooling_balance);
    if (!r.typed) {
        out["lowest_air_C"] = r.lowest_air_C;
        if (!r.cooling_days.empty()) out["highest_air_C"] = r.highest_air_C;
    }
    return out;
}

std::string when_in_words(const loads::When& when)
{
    if (when.day.empty()) return "not known";
    if (when.clock_hour < 0) return when.day;
    return fmt::format("{} {:02}-{:02} h", when.day, when.clock_hour, when.clock_hour + 1);
}

std::string loads_heading(const building::Building& b, const PreferredUnits& units)
{
    const auto& p = b.project;
    std::string out = p.name;
    if (!p.number.empty()) out += fmt::format(", job {}", p.number);
    if (!p.revision.empty()) out += fmt::format(", revision {}", p.revision);
    const auto& s = b.site;
    out += fmt::format(
        "\n{}: {:.2f} deg {}, {:.2f} deg {}, {} above the sea; winter design {}", s.name.empty() ? "Site" : s.name,
        std::abs(s.place.latitude_deg), s.place.latitude_deg < 0 ? "south" : "north", std::abs(s.place.longitude_deg),
        s.place.longitude_deg < 0 ? "west" : "east", units.text(s.place.height_m, quantity::Kind::length),
        units.text(s.winter.dry_bulb_C, "temperature"));
    if (!s.months.empty())
        out += fmt::format(
            "; cooling design days of {} month{}, hottest {}", s.months.size(), s.months.size() == 1 ? "" : "s",
            units.text(std::ranges::max(s.months, {}, &climate::CoolingMonth::dry_bulb_C).dry_bulb_C, "temperature"));
    return out + "\n";
}

Text loads_text(const building::Building& b, const loads::DesignLoads& design, const PreferredUnits& units)
{
    TextTable table;
    table.add_column("Room", Align::left);
    table.add_column("Storey", Align::left, 6);
    add_column(table, "Area", "area", units, 4);
    const auto said = [&](const RoomLoad& r) {
        const auto index = b.find_room(r.room);
        return index && b.rooms[*index].left_out ? std::string{"left out"} : said_by(r);
    };
    const bool mixed =
        std::ranges::any_of(design.loads.rooms, [&](const RoomLoad& r) { return said(r) != "computed"; });
    if (mixed) table.add_column("Loads", Align::left, 2);
    add_column(table, "Heating", "power", units);
    add_column(table, "Heating", "power_per_area", units, 3);
    add_column(table, "By hand", "power", units, 7);
    add_column(table, "Cooling", "power", units);
    add_column(table, "sensible", "power", units, 2);
    add_column(table, "latent", "power", units, 2);
    add_column(table, "Cooling", "power_per_area", units, 3);
    table.add_column("at", Align::left, 2);
    add_column(table, "Coldest", "temperature", units, 5);
    add_column(table, "Warmest", "temperature", units, 5);
    for (const RoomLoad& r : design.loads.rooms) add_room(table, r, mixed ? said(r) : std::string{}, units);
    const bool radiates =
        std::ranges::any_of(b.rooms, [](const building::Room& r) { return r.use.radiant_share.value > 0.0; });
    Text out = loads_heading(b, units) +
               fmt::format("Largest hour means for a convective supply{}; hours are clock hours.\n\n",
                           radiates ? ", in part radiant where a room's radiant_share says so" : "") +
               Text{std::move(table)} + "\n";
    out += totals_text(design.loads, units) + overruled_text(design.loads, units) +
           heating_up_text(design.loads, units) + runs_text(design.runs) +
           remarks_text(design.runs, std::ranges::any_of(design.loads.rooms, &RoomLoad::cooled));
    if (const auto rooms = std::ranges::count_if(b.rooms, &building::Room::is_held_at_assumed_humidity); rooms > 0)
        out += fmt::format(
            "Latent   {} room{} without a humidity_limit, held at {:.0f} % (our assumption); what would be dried "
            "while such a room is not cooled does not count\n",
            rooms, rooms == 1 ? "" : "s", 100.0 * building::assumed_design_humidity);
    out += "By hand  U x A x K and air flows at steady state, for comparison; `venture loads PROJECT --room NAME` "
           "lists the terms\n";
    out += "Coldest, warmest: hour means of the air, in winter design and over all cooling design days\n";
    return out;
}

json loads_json(const building::Building& b, const loads::DesignLoads& design)
{
    const auto& all = design.loads;
    const auto heated = rooms_where(all, &RoomLoad::heated), cooled = rooms_where(all, &RoomLoad::cooled);
    const loads::Coincident c = loads::coincident_cooling(all, cooled);
    json rooms = json::array(), runs = json::array();
    for (const RoomLoad& r : all.rooms) rooms.push_back(room_json(r, b.origins));
    for (const loads::RunNote& n : design.runs)
        runs.push_back({{"day", n.day},
                        {"repetitions", n.days},
                        {"residual_K", n.residual_K},
                        {"worst_closure", n.worst_closure},
                        {"converged", n.converged},
                        {"unsettled_steps", n.unsettled_steps},
                        {"film_residual", n.film_residual},
                        {"share_kept", n.share_kept}});
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
