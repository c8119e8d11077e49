/// Hours that rooms go by, as a table.

#include <algorithm>

#include <fmt/format.h>

#include <venture/report/room_table.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

using building::Building;

std::set<std::size_t> calendars_in_use(const Building& b)
{
    std::set<std::size_t> used;
    for (const building::Room& room : b.rooms) {
        for (const building::Gain& gain : room.use.gains) used.insert(gain.profile);
        for (const auto* setback : {&room.use.heating_setback, &room.use.cooling_setback})
            if (*setback) used.insert((*setback)->profile);
        if (room.outdoor_air_by_plan_m3_per_s() > 0.0) used.insert(room.use.ventilation_profile);
    }
    for (const building::TransferAir& air : b.transfer_air) used.insert(air.profile);
    for (const building::NamedShade& shade : b.shades)
        if (shade.use == fabric::ShadeUse::by_profile) used.insert(shade.profile);
    return used;
}

Text hours_text(const Building& b)
{
    TextTable table;
    table.add_column(fmt::format("Full-load hours in {}", b.project.year), Align::left);
    constexpr std::array months = {"Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"};
    for (std::size_t m = 0; m < months.size(); ++m) table.add_column(months[m], Align::right, m % 3 == 0 ? 2 : 3);
    table.add_column("year");
    table.add_column("busiest\nday h");
    bool any = false, calendars = false;
    for (const std::size_t index : calendars_in_use(b)) {
        const calendar::Calendar& c = b.calendars[index];
        if (c.name == "always" || c.name == "never") continue;
        any = true;
        calendars = calendars || !c.is_one_profile();
        std::vector<std::string> row = {c.is_one_profile() ? c.name : c.name + " *"};
        for (const int month : {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 0})
            row.push_back(fmt::format("{:.0f}", calendar::full_load_hours(c, month, b.project.year)));
        double busiest = 0.0;
        for (const calendar::Profile& p : c.profiles) busiest = std::max(busiest, p.full_load_hours());
        row.push_back(fmt::format("{:.1f}", busiest));
        table.add_row(std::move(row));
    }
    if (!any) return {};
    return Text{std::move(table)} +
           (calendars ? fmt::format("* a calendar; weekdays of {} ({}); `venture draw year` shows it day by hour\n",
                                    b.project.year, b.origins.describe(b.project.year_origin))
                      : std::string{}) +
           "\n";
}

} // namespace venture::report
