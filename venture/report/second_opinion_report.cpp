#include <venture/report/second_opinion_report.hpp>

#include <numeric>

#include <fmt/format.h>

namespace venture::report {

using figure::Document;
using figure::Table;
using quantity::PreferredUnits;

namespace {

/// A line a method: text is parted where the page ends.
constexpr const char* what_methods_leave_out =
    "\nWhy they differ\n"
    "  Time series: radiant time series made from this room's own heat balance, but so that they add up to one: "
    "radiation that "
    "leaves through walls, floors and glass is given back as load (\"comes back\" tells how much really does), and "
    "conduction is "
    "parted by usual shares (46 % radiant from walls, 60 % from roofs, 33 % from windows).\n"
    "  With losses: the same with series as they are, and conduction parted by its films; what follows for all is "
    "left.\n"
    "  Admittance: the day as its mean and one wave of 24 hours; peaks narrower than that are spread out.\n"
    "  Nothing stored: every gain is load at once; what walls and floors hold back until later is left out.\n"
    "  All of them hold the air all day as it was in the hour of the balance's peak, and take gains, air and what lies "
    "beyond walls as "
    "the balance had them; the balance holds what the set-point refers to, and lets the room float in between.\n";

/// Rooms by hand, with and without what they give one another, beside the balance.
std::string heating_lines(const loads::RoomLoads& all, const PreferredUnits& units)
{
    double by_hand = 0.0, between = 0.0, heating_up = 0.0;
    std::vector<std::size_t> heated;
    for (std::size_t r = 0; r < all.rooms.size(); ++r) {
        const loads::RoomLoad& room = all.rooms[r];
        if (!room.heated || room.typed) continue;
        heated.push_back(r);
        by_hand += room.paper_W();
        heating_up += room.heating_up_W;
        for (const loads::PaperTerm& t : room.paper)
            if (t.to_room) between += t.loss_W;
    }
    if (heated.empty()) return {};
    const auto kW = [&](double watts) { return units.text(watts, "total_power"); };
    std::string out =
        fmt::format("\nHeating of {} room{}\n"
                    "  {} by hand, room by room: U x A x K and air, each room beside neighbours at their set-points\n"
                    "  {} by hand, of the building: without the {} that its rooms give one another\n"
                    "  {} by the heat balance, all together\n",
                    heated.size(), heated.size() == 1 ? "" : "s", kW(by_hand), kW(by_hand - between), kW(between),
                    kW(heating_together_W(all, heated)));
    if (heating_up > 0.0)
        out += fmt::format(
            "  Of the balance, room by room, {} is for coming back from set-backs, which sums by hand leave out.\n",
            kW(heating_up));
    return out + "  The balance asks for more where walls colder than the air need warmer air to hold what the "
                 "set-point refers "
                 "to: ventilation carries that off, too.\n";
}

} // namespace

Document second_opinion_document(const loads::RoomLoads& all, const std::vector<loads::SecondOpinion>& cooling,
                                 const std::vector<loads::SwingOf>& swings, const PreferredUnits& units)
{
    Document out;
    if (!cooling.empty()) {
        Table table = figure::table_of(loads::second_opinion_columns(), cooling);
        table.add_total("sum of peaks");
        out.add(std::move(table));
        out.add(what_methods_leave_out);
    }
    out.add(heating_lines(all, units));
    if (!swings.empty()) {
        out.add("\nSwing of the glass load: its peak over its mean, 8 to 20 h standard time\n");
        out.add(figure::table_of(loads::glass_swing_columns(), swings));
    }
    return out;
}

} // namespace venture::report
