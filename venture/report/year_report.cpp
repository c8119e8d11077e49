#include <venture/report/year_report.hpp>

#include <algorithm>
#include <numeric>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/climate/date.hpp>
#include <venture/report/loads_report.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

using loads::BuildingYear;
using loads::MonthHeat;
using loads::RoomYear;
using nlohmann::json;
using quantity::PreferredUnits;

namespace {

std::string or_dash(bool has, const std::string& text) { return has ? text : "-"; }

MonthHeat sum_of(const RoomYear& room)
{
    MonthHeat sum;
    for (const MonthHeat& m : room.months) {
        sum.heating_J += m.heating_J;
        sum.cooling_J += m.cooling_J;
        sum.latent_J += m.latent_J;
    }
    return sum;
}

bool cools(const BuildingYear& y) { return std::ranges::any_of(y.rooms, &RoomYear::cooled); }

Text rooms_table(const BuildingYear& y, bool leap, const PreferredUnits& units)
{
    TextTable table;
    table.add_column("Room", Align::left);
    add_column(table, "Heating", "energy", units);
    add_column(table, "largest", "power", units, 2);
    table.add_column("on", Align::left, 5);
    if (cools(y)) {
        add_column(table, "Cooling", "energy", units);
        add_column(table, "latent", "energy", units, 4);
        add_column(table, "largest", "power", units, 2);
        table.add_column("on", Align::left, 5);
    }
    table.add_column("too cold\nh", Align::right, 2);
    table.add_column("too warm\nh", Align::right, 2);
    add_column(table, "Coldest", "temperature", units, 3);
    add_column(table, "Warmest", "temperature", units, 3);
    for (const RoomYear& r : y.rooms) {
        const MonthHeat heat = sum_of(r);
        const bool heated = r.heated && r.run.heating_peak_W > 0.0, cooled = r.cooled && r.run.cooling_peak_W > 0.0;
        std::vector<std::string> row = {r.room, or_dash(r.heated, units.number(heat.heating_J, "energy")),
                                        or_dash(heated, units.number(r.run.heating_peak_W, "power")),
                                        heated ? hour_of_year_in_words(r.run.heating_peak_hour, leap) : ""};
        if (cools(y))
            row.insert(row.end(), {or_dash(r.cooled, units.number(heat.cooling_J, "energy")),
                                   or_dash(r.cooled, units.number(heat.latent_J, "energy")),
                                   or_dash(cooled, units.number(r.run.cooling_peak_W, "power")),
                                   cooled ? hour_of_year_in_words(r.run.cooling_peak_hour, leap) : ""});
        row.insert(row.end(),
                   {or_dash(r.heated, fmt::format("{:.0f}", r.run.too_cold_h)),
                    or_dash(r.cooled, fmt::format("{:.0f}", r.run.too_warm_h)),
                    units.number(r.run.coldest_C, "temperature"), units.number(r.run.warmest_C, "temperature")});
        table.add_row(std::move(row));
    }
    return Text{std::move(table)};
}

Text months_table(const BuildingYear& y, const PreferredUnits& units)
{
    TextTable table;
    table.add_column("All rooms", Align::left);
    add_column(table, "Heating", "energy", units);
    if (cools(y)) {
        add_column(table, "Cooling", "energy", units);
        add_column(table, "latent", "energy", units);
    }
    MonthHeat all;
    const auto add = [&](const std::string& name, const MonthHeat& m) {
        std::vector<std::string> row = {name, units.number(m.heating_J, "energy")};
        if (cools(y)) row.insert(row.end(), {units.number(m.cooling_J, "energy"), units.number(m.latent_J, "energy")});
        table.add_row(std::move(row));
    };
    for (std::size_t month = 0; month < 12; ++month) {
        MonthHeat sum;
        for (const RoomYear& r : y.rooms) {
            sum.heating_J += r.months.at(month).heating_J;
            sum.cooling_J += r.months.at(month).cooling_J;
            sum.latent_J += r.months.at(month).latent_J;
        }
        add(climate::month_name(static_cast<int>(month) + 1), sum);
        all.heating_J += sum.heating_J;
        all.cooling_J += sum.cooling_J;
        all.latent_J += sum.latent_J;
    }
    table.add_rule();
    add("sum", all);
    return Text{std::move(table)};
}

std::string peaks_text(const BuildingYear& y, bool leap, const PreferredUnits& units)
{
    const auto line = [&](const char* what, double peak_W, std::size_t hour) {
        return peak_W > 0.0 ? fmt::format("{} of all rooms together is largest on {}: {}\n", what,
                                          hour_of_year_in_words(hour, leap), units.text(peak_W, "total_power"))
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

} // namespace

std::string hour_of_year_in_words(std::size_t hour, bool leap)
{
    const auto day = static_cast<int>(hour / 24) + 1;
    return fmt::format("{} {}-{} h", climate::in_words(climate::month_day(day, leap)), hour % 24, hour % 24 + 1);
}

Text year_text(const building::Building& b, const BuildingYear& y, const PreferredUnits& units)
{
    const bool leap = y.first_day + y.days > 366;
    const auto day = [&](int number) { return climate::in_words(climate::month_day(number, leap)); };
    Text out = loads_heading(b, units) + fmt::format("{} to {} of the weather year '{}'{}\n\n", day(y.first_day),
                                                     day(y.first_day + y.days - 1), y.weather,
                                                     y.synthetic ? ", SYNTHETIC: made up, measured by nobody" : "");
    out += rooms_table(y, leap, units) + "\n";
    if (y.days > 31) out += months_table(y, units) + "\n";
    const bool by_calendar =
        std::ranges::any_of(b.calendars, [](const calendar::Calendar& c) { return !c.is_one_profile(); });
    return out + peaks_text(y, leap, units) + how_text(y) +
           (by_calendar ? fmt::format("Calendars count the weekdays and dates of {} ({})\n", b.project.year,
                                      b.origins.describe(b.project.year_origin))
                        : std::string{});
}

json year_json(const building::Building& b, const BuildingYear& y)
{
    json rooms = json::array(), series = json::array();
    for (const RoomYear& r : y.rooms) {
        json months = json::array();
        for (const MonthHeat& m : r.months)
            months.push_back({{"heating_J", m.heating_J}, {"cooling_J", m.cooling_J}, {"latent_J", m.latent_J}});
        rooms.push_back({{"room", r.room},
                         {"storey", r.storey},
                         {"floor_area_m2", r.floor_area_m2},
                         {"heating_peak_W", r.run.heating_peak_W},
                         {"heating_peak_hour", r.run.heating_peak_hour},
                         {"cooling_peak_W", r.run.cooling_peak_W},
                         {"cooling_peak_hour", r.run.cooling_peak_hour},
                         {"heated_h", r.run.heated_h},
                         {"cooled_h", r.run.cooled_h},
                         {"too_cold_h", r.run.too_cold_h},
                         {"too_warm_h", r.run.too_warm_h},
                         {"coldest_C", r.run.coldest_C},
                         {"warmest_C", r.run.warmest_C},
                         {"months", months}});
    }
    for (const balance::Series& s : y.series)
        series.push_back({{"kind", s.kind}, {"unit", s.unit}, {"of", s.id}, {"values", s.values}});
    return {{"project", {{"name", b.project.name}, {"number", b.project.number}, {"revision", b.project.revision}}},
            {"weather", {{"name", y.weather}, {"synthetic", y.synthetic}}},
            {"first_day", y.first_day},
            {"days", y.days},
            {"step_s", y.step_s},
            {"run_in_days", y.run_in_days},
            {"worst_closure", y.worst_closure},
            {"unsettled_steps", y.unsettled_steps},
            {"film_residual", y.film_residual},
            {"heating_peak_W", y.heating_peak_W},
            {"heating_peak_hour", y.heating_peak_hour},
            {"cooling_peak_W", y.cooling_peak_W},
            {"cooling_peak_hour", y.cooling_peak_hour},
            {"rooms", rooms},
            {"series", series}};
}

std::string year_csv(const BuildingYear& y, bool leap)
{
    std::string out = "day,hour";
    for (const balance::Series& s : y.series) {
        const std::string heading = fmt::format("{}{} [{}]", s.id.empty() ? "" : s.id + ": ", s.kind, s.unit);
        std::string quoted;
        for (const char c : heading) quoted += c == '"' ? std::string{"\"\""} : std::string{c};
        out += ",\"" + quoted + "\"";
    }
    out += "\n";
    const std::size_t hours = 24 * static_cast<std::size_t>(y.days);
    for (std::size_t h = 0; h < hours; ++h) {
        const int day = y.first_day + static_cast<int>(h / 24);
        out += fmt::format("{},{}", climate::in_words(climate::month_day(day, leap)), h % 24);
        for (const balance::Series& s : y.series) out += fmt::format(",{:.6g}", s.values[h]);
        out += "\n";
    }
    return out;
}

} // namespace venture::report
