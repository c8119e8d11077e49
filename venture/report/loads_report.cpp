#include <venture/report/loads_report.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/airside/coil_figures.hpp>
#include <venture/building/building_figures.hpp>
#include <venture/loads/load_figures.hpp>
#include <venture/quantity/names.hpp>

namespace venture::report {

using figure::Document;
using loads::GroupLoad;
using loads::RoomLoad;
using quantity::PreferredUnits;

namespace {

std::string totals_text(const loads::RoomLoads& all, const GroupLoad& sum, const PreferredUnits& units)
{
    const bool sets_back = std::ranges::any_of(all.rooms, [](const RoomLoad& r) { return r.heating_up_W > 0.0; });
    std::string out =
        fmt::format("Heating  {:>10}  {} of {} rooms, {} of winter design; no margins, no pipes, {}",
                    units.text(sum.heating_W, "total_power"), sum.heated.size(), sum.rooms,
                    sets_back ? "largest hour of their sum in the periodic day" : "all together in the steady day",
                    sets_back ? "heating-up after set-backs in it" : "no heating-up");
    const auto each_area = [&](double w, double m2, const char* what) {
        return m2 > 0.0
                   ? fmt::format("; {} of {} {}", units.text(w / m2, "power_per_area"), units.text(m2, "area"), what)
                   : std::string{};
    };
    out += each_area(sum.heating_W, sum.heated_m2, "heated") + "\n";
    if (sum.cooled.empty()) return out + "Cooling        none  no room has a cooling set-point\n";
    const loads::Coincident& c = sum.cooling;
    out += fmt::format("Cooling  {:>10}  {} of {} rooms, largest hour of their sum{} ({} sensible, {} "
                       "latent); the single peaks add up to {}",
                       units.text(c.total_W, "total_power"), sum.cooled.size(), sum.rooms,
                       c.when.day.empty() ? "" : ": " + in_words(c.when), units.text(c.sensible_W, "total_power"),
                       units.text(c.latent_W, "total_power"), units.text(c.sum_of_peaks_W, "total_power"));
    out += each_area(c.total_W, sum.cooled_m2, "cooled");
    if (!c.by_hour) out += "\n         typed loads carry no hours and were added at their peak";
    return out + "\n";
}

/// Loads that were typed over computed ones, beside those.
std::string overruled_text(const std::vector<loads::TypedOverRow>& rows, const PreferredUnits& units)
{
    std::string out;
    for (const loads::TypedOverRow& r : rows)
        out += fmt::format("         {}: {} {} typed instead of {} computed ({})\n", r.room, r.of,
                           units.text(r.typed_W, "power"), units.text(r.over->computed_W, "power"),
                           r.over->reason.empty() ? "no reason given" : r.over->reason);
    return out.empty() ? out : "Typed    over computed loads, and counted in every sum above\n" + out;
}

/// Rooms whose set-backs make them larger, and by how much.
std::string coming_back_text(const loads::RoomLoads& all, const PreferredUnits& units)
{
    std::vector<std::string> heating, cooling;
    for (const RoomLoad& r : all.rooms) {
        if (r.heating_up_W > 0.0)
            heating.push_back(fmt::format("{} {}{}", r.room, units.text(r.heating_up_W, "power"),
                                          r.sets_back ? "" : " (its neighbours')"));
        if (r.pre_cooling_W > 0.0)
            cooling.push_back(fmt::format("{} {}", r.room, units.text(r.pre_cooling_W, "power")));
    }
    std::string out;
    if (!heating.empty())
        out += "Heating-up after set-backs, in the rooms' heating: " + quantity::listed(heating, 6) + "\n";
    if (!cooling.empty())
        out += "Pre-cooling after set-backs, in the rooms' cooling: " + quantity::listed(cooling, 6) + "\n";
    return out;
}

/// Heating after days off beside that after a night.
std::string after_days_off_text(const loads::AfterDaysOff& after, const GroupLoad& all, const PreferredUnits& units)
{
    if (!after.any_sets_back) return "Days off ask for nothing more: no room has a heating_setback.\n";
    const loads::DaysOff& asked = after.asked;
    std::string out = fmt::format(
        "Days off {:>10}  largest hour of all rooms together in a week of winter design with {} day{} at the "
        "set-back{}: {} more "
        "than after a night\n",
        units.text(after.together_W, "total_power"), asked.days, asked.days == 1 ? "" : "s",
        asked.come_back_in_h ? fmt::format(", come back from in {:g} h", *asked.come_back_in_h) : std::string{},
        units.text(after.together_W - all.heating_W, "total_power"));
    if (!after.converged) out += "DO NOT USE: the week with days off did not become periodic\n";
    return out;
}

/// Cooling over weeks beside that of the day repeated.
std::string weeks_text(const loads::CoolingWeeks& weeks, const GroupLoad& all, const PreferredUnits& units)
{
    if (weeks.together.cooling_W <= 0.0) return "A week asks for nothing: no room is cooled in any hour of it.\n";
    const double more_W = weeks.together.cooling_W - all.cooling.total_W;
    constexpr double alike = 1e-3; // of the load: what repeating until periodic leaves
    const std::string beside =
        std::abs(more_W) < alike * all.cooling.total_W
            ? "as on the day repeated"
            : fmt::format("{} {} than on the day repeated", units.text(std::abs(more_W), "total_power"),
                          more_W > 0.0 ? "more" : "less");
    std::string out =
        fmt::format("Own week {:>9}  of cooling, all rooms together: {} ({}), {}. The weather of each cooling design "
                    "day came seven "
                    "times in a row, with the hours of those seven days of its month that are used most{}\n",
                    units.text(weeks.together.cooling_W, "total_power"), in_words(weeks.together.when),
                    weeks.together.dates, beside, weeks.differs ? "" : "; no hours of use differ between those days");
    if (!weeks.converged) out += "DO NOT USE: a week did not become periodic\n";
    return out;
}

/// Whether cooling rests on some days and not on others.
bool cooling_rests_for_days(const building::Building& b)
{
    return std::ranges::any_of(b.rooms, [&](const building::Room& room) {
        const auto& setback = room.use.cooling_setback;
        return room.use.cooling_setpoint_C && setback && !b.calendars[setback->profile].is_one_profile();
    });
}

/// What a checker should know of how far to believe the days.
std::string remarks_text(const std::vector<loads::RunNote>& runs, const building::Building& b, bool cools)
{
    constexpr double much_kept = 0.5;
    std::string out;
    for (const loads::RunNote& run : runs)
        if (cools && run.share_kept > much_kept)
            out +=
                fmt::format("Memory   of warmth in the walls, rooms feel {:.0f} % still on the next day: {}\n",
                            100.0 * run.share_kept,
                            cooling_rests_for_days(b)
                                ? "where cooling rests for days, the day after them may ask for more than the day "
                                  "repeated; --week tells"
                                : "a hot spell may end before the repeated day is reached, so that cooling loads are "
                                  "on the safe side; --week tells those of the building's own week");
    const double residual = std::ranges::max(runs, {}, &loads::RunNote::film_residual).film_residual;
    if (residual > 0.0)
        out += fmt::format("Films    follow from temperatures; what is left between the two is at most {:.2f} % of a "
                           "room's peak\n",
                           100.0 * residual);
    return out;
}

/// "winter, 8 months by their highest dry bulb, 8 wet bulb, 7 dew point".
std::string days_in_words(const std::vector<loads::RunNote>& runs)
{
    std::string out;
    for (const auto& [made_for, words] : {std::pair{climate::DesignFor::dry_bulb, "dry bulb"},
                                          {climate::DesignFor::wet_bulb, "wet bulb"},
                                          {climate::DesignFor::dew_point, "dew point"}}) {
        const auto days = std::ranges::count_if(
            runs, [&](const loads::RunNote& run) { return run.month > 0 && run.made_for == made_for; });
        if (days > 0) out += fmt::format(", {} by highest {}", days, words);
    }
    return " (winter" + out + ")";
}

std::string runs_text(const std::vector<loads::RunNote>& runs)
{
    const auto worst = [&](auto member) { return std::ranges::max(runs, {}, member).*member; };
    std::string out = fmt::format("Solved   {} design days{}, periodic within {:.0e} K after at most {} repetitions; "
                                  "heat balance closed to {:.0e} of throughput\n",
                                  runs.size(), days_in_words(runs), worst(&loads::RunNote::residual_K),
                                  worst(&loads::RunNote::days), worst(&loads::RunNote::worst_closure));
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

/// What nobody should take for granted of the figures.
std::string reading_text(const building::Building& b)
{
    std::string out;
    if (const auto rooms = std::ranges::count_if(b.rooms, &building::Room::is_held_at_assumed_humidity); rooms > 0)
        out += fmt::format(
            "Latent   {} room{} without a humidity_limit, held at {:.0f} % (our assumption); what would be dried "
            "while such a room is not cooled does not count\n",
            rooms, rooms == 1 ? "" : "s", 100.0 * building::assumed_design_humidity);
    return out +
           "By hand  U x A x K and air flows at steady state, for comparison; `venture loads PROJECT --room NAME` "
           "lists the terms\n"
           "Coldest, warmest: hour means of the air, in winter design and over all cooling design days\n";
}

} // namespace

std::string job_title(const building::Building& b)
{
    const auto& p = b.project;
    std::string out = p.name;
    if (!p.number.empty()) out += fmt::format(", job {}", p.number);
    if (!p.revision.empty()) out += fmt::format(", revision {}", p.revision);
    return out;
}

std::string site_line(const building::Building& b, const PreferredUnits& units)
{
    const auto& s = b.site;
    std::string out = fmt::format(
        "{}: {:.2f} deg {}, {:.2f} deg {}, {} above the sea; winter design {}", s.name.empty() ? "Site" : s.name,
        std::abs(s.place.latitude_deg), s.place.latitude_deg < 0 ? "south" : "north", std::abs(s.place.longitude_deg),
        s.place.longitude_deg < 0 ? "west" : "east", units.text(s.place.height_m, quantity::Kind::length),
        units.text(s.winter.dry_bulb_C, "temperature"));
    if (!s.months.empty())
        out += fmt::format(
            "; cooling design days of {} month{}, hottest {}", s.months.size(), s.months.size() == 1 ? "" : "s",
            units.text(std::ranges::max(s.months, {}, &climate::CoolingMonth::dry_bulb_C).dry_bulb_C, "temperature"));
    return out + "\n";
}

namespace {

/// How the intake of each air handler follows.
std::string system_air_text(const airside::CoilLoads& coils, const PreferredUnits& units)
{
    if (coils.systems.empty()) return {};
    std::string out = "Coils above take in what each room asks for. ";
    const auto flow = [&](double m3_per_s) { return units.text(m3_per_s, quantity::Kind::air_flow); };
    for (const airside::SystemAir& air : coils.systems)
        out += arithmetic_of(air, flow(air.need.uncorrected_m3_per_s), flow(air.supply_m3_per_s),
                             flow(air.need.outdoor_intake_m3_per_s)) +
               ". ";
    out.back() = '\n';
    return out;
}

void add_coils(Document& out, const airside::CoilLoads& coils, const PreferredUnits& units)
{
    if (!coils.rooms.empty()) out.add("\n");
    out.add(airside::coil_tables().table("coil_load", coils));
    if (!coils.rooms.empty())
        out.add("The loads of these rooms above are without outdoor air by plan: it stands in the load of the coils, "
                "behind "
                "recovery. Humidifying is by steam; air that is dried leaves its coil at 95 % and is heated again; "
                "fans warm "
                "no air here.\n");
    if (coils.supplies.size() < coils.rooms.size()) out.add("\n");
    out.add(airside::coil_tables().table("supply_load", coils));
    if (!coils.systems.empty()) out.add("\n");
    out.add(airside::coil_tables().table("system_air", coils));
    out.add(system_air_text(coils, units));
}

} // namespace

Document loads_document(const building::Building& b, const loads::DesignLoads& design, const PreferredUnits& units,
                        const LoadsAsked& asked)
{
    const loads::RoomLoads& all = design.loads;
    const bool radiates =
        std::ranges::any_of(b.rooms, [](const building::Room& r) { return r.use.radiant_share.value > 0.0; });
    const loads::DesignTold told{.design = &design,
                                 .origins = &b.origins,
                                 .building = &b,
                                 .supply_K = asked.supply_K,
                                 .together = asked.together,
                                 .after = asked.after,
                                 .weeks = asked.weeks};
    const std::vector<GroupLoad> groups = loads::group_loads(all, asked.together);
    Document out{job_title(b)};
    out.add(site_line(b, units) +
            fmt::format("Largest hour means for a convective supply{}; hours are clock hours.\n",
                        radiates ? ", in part radiant where a room's radiant_share says so" : ""));
    out.add(loads::design_tables().table("room_load", told));
    if (asked.supply_K)
        out.add(fmt::format(
            "Supply air {} cooler than the room carries its largest sensible cooling; at the air's density here.\n",
            units.text(*asked.supply_K, "temperature_difference")));
    out.add("\n" + totals_text(all, groups.front(), units) + overruled_text(typed_over(all, b.origins), units) +
            coming_back_text(all, units) + runs_text(design.runs) +
            remarks_text(design.runs, b, std::ranges::any_of(all.rooms, &RoomLoad::cooled)) + reading_text(b));
    if (asked.coils != nullptr) add_coils(out, *asked.coils, units);
    if (asked.after) out.add(after_days_off_text(*asked.after, groups.front(), units));
    if (asked.weeks) out.add(weeks_text(*asked.weeks, groups.front(), units));
    for (const GroupLoad& group : groups)
        if (std::ranges::find(asked.together, group.of, &loads::RoomList::of) != asked.together.end())
            out.add("\nTogether: " + group.of + "\n" + totals_text(all, group, units));
    out.add(building::building_tables().table("project", b));
    loads::design_tables().add_rest(out, told);
    return out;
}

} // namespace venture::report
