#include <venture/report/year_report.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/building/building_figures.hpp>
#include <venture/climate/date.hpp>
#include <venture/loads/year_figures.hpp>
#include <venture/report/loads_report.hpp>

namespace venture::report {

using figure::Document;
using loads::BuildingYear;
using quantity::PreferredUnits;

namespace {

std::string peaks_text(const BuildingYear& y, bool leap, const PreferredUnits& units)
{
    const auto line = [&](const char* what, double peak_W, std::size_t hour) {
        return peak_W > 0.0 ? fmt::format("{} of all rooms together is largest on {}: {}\n", what,
                                          in_words(loads::hour_of_year(hour, leap)), units.text(peak_W, "total_power"))
                            : std::string{};
    };
    return line("Heating", y.heating_peak_W, y.heating_peak_hour) +
           line("Cooling", y.cooling_peak_W, y.cooling_peak_hour);
}

std::string how_text(const BuildingYear& y)
{
    std::string out =
        fmt::format("Run in steps of {:g} min after {:g} days of run-in; heat balance closed to {:.0e} of throughput\n",
                    y.step_s / 60.0, y.run_in_days, y.worst_closure);
    if (y.film_residual > 0.0)
        out += fmt::format("Films follow from temperatures; what is left between the two is at most {:.2f} % of a "
                           "room's largest hour\n",
                           100.0 * y.film_residual);
    if (y.unsettled_steps > 0)
        out += fmt::format("DO NOT USE: zones did not come to rest in {} steps\n", y.unsettled_steps);
    return out + "Too cold, too warm: hours at whose end a set-point is missed by more than 0.1 K. Supplies are "
                 "unlimited where a room has no heating_limit or cooling_limit; times are local standard time; "
                 "coldest and warmest are hour means of what "
                 "each room's set-points refer to.\n";
}

/// Rooms whose faces get damp, or that none does.
std::string damp_text(const std::vector<loads::DampRow>& rows)
{
    std::vector<std::string> lines;
    for (const loads::DampRow& d : rows) {
        if (d.mould())
            lines.push_back(fmt::format("  {}: {} at its {} in {}, temperature factor {:.2f}; {}\n", d.room,
                                        d.face_humidity < 1.0 ? fmt::format("{:.0f} %", 100.0 * d.face_humidity)
                                                              : std::string{"water"},
                                        d.surface, climate::month_name(d.month), d.factor,
                                        d.needed_factor < 1.0 ? fmt::format("it takes {:.2f}", d.needed_factor)
                                                              : "no insulation helps, the room is too humid"));
        if (d.wet_opening_h > 0.0)
            lines.push_back(fmt::format("  {}: water on its {} for {}, temperature factor {:.2f}\n", d.room, d.opening,
                                        fmt::format("{:.0f} h", d.wet_opening_h), d.opening_factor));
    }
    constexpr std::size_t most = 12;
    std::string out;
    for (std::size_t i = 0; i < std::min(lines.size(), most); ++i) out += lines[i];
    if (lines.size() > most) out += fmt::format("  and {} more\n", lines.size() - most);
    if (rows.empty()) return {};
    if (out.empty())
        return "\nDamp: no wall or roof to outdoors above 80 % over a month's mean, no window or door below the dew "
               "point (ISO 13788; corners and thermal bridges are not looked at).\n";
    return "\nDamp at inside faces to outdoors: above 80 % over a month's mean mould can grow (ISO 13788; corners and "
           "thermal bridges are colder)\n\n" +
           out;
}

/// One room's, before those of all.
void add_room(Document& out, const loads::YearRow& told)
{
    const loads::RoomYearParts& room = *told.year->parts;
    const auto hours = [&](loads::Supply supply) { return room.hours[static_cast<std::size_t>(supply)]; };
    out.add(fmt::format("{}: heated for {:.0f} h, cooled for {:.0f} h, neither for {:.0f} h\n", room.room,
                        hours(loads::Supply::heats), hours(loads::Supply::cools), hours(loads::Supply::rests)));
    out.add(loads::year_tables().table("room_year_part", told));
    out.add(fmt::format("Sun and gains count as they come in, before any of it is stored. Walls, roofs, floors and "
                        "windows count by what flows through their inside faces, with the sun that falls on them "
                        "outside or warms their panes; what they take up and give back later is theirs. The sum is "
                        "closed to {:.0e} of the flows in each step.\n",
                        room.missing));
    out.add(loads::year_tables().table("room_year_month", told));
    out.add("\n");
}

} // namespace

Document year_document(const building::Building& b, const BuildingYear& y, bool leap, const PreferredUnits& units)
{
    const auto day = [&](int number) { return climate::in_words(climate::month_day(number, leap)); };
    Document out{job_title(b)};
    out.add(site_line(b, units) + fmt::format("{} to {} of the weather year '{}'{}\n", day(y.first_day),
                                              day(y.first_day + y.days - 1), y.weather,
                                              y.synthetic ? ", SYNTHETIC: made up, measured by nobody" : ""));
    const loads::YearRow told{&y, leap, &b};
    if (y.parts) add_room(out, told);
    out.add(loads::year_tables().table("room_year", told));
    out.add(loads::year_tables().table("month_year", told));
    out.add(loads::year_tables().table("room_air", told));
    out.add(loads::year_tables().table("month_air", told));
    out.add(loads::year_tables().table("duration", told));
    out.add(damp_text(loads::damp_rows(b, y)));
    const bool by_calendar =
        std::ranges::any_of(b.calendars, [](const calendar::Calendar& c) { return !c.is_one_profile(); });
    out.add("\n" + peaks_text(y, leap, units) + how_text(y) +
            (by_calendar ? fmt::format("Calendars count the weekdays and dates of {} ({})\n", b.project.year,
                                       b.origins.describe(b.project.year_origin))
                         : std::string{}));
    out.add(building::building_tables().table("project", b));
    loads::year_tables().add_rest(out, told);
    if (!y.series.empty()) out.add(loads::series_table(y, leap));
    return out;
}

} // namespace venture::report
