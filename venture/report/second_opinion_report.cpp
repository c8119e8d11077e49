#include <venture/report/second_opinion_report.hpp>

#include <fmt/format.h>

#include <venture/loads/check_figures.hpp>
#include <venture/loads/heating_by_hand.hpp>

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

/// Sums by hand, of the rooms and of the building, beside the balance.
std::string heating_lines(const loads::HeatingByHand& h, const PreferredUnits& units)
{
    if (h.rooms.empty()) return {};
    const auto kW = [&](double watts) { return units.text(watts, "total_power"); };
    std::string out = fmt::format("\nHeating of {} room{}\n", h.rooms.size(), h.rooms.size() == 1 ? "" : "s");
    if (h.between_rooms_W >= 0.5)
        out += fmt::format("  {} by hand, each room by itself: U x A x K and air; what it gives colder heated rooms "
                           "counts, what warmer ones give it does not\n"
                           "  {} by hand, of the building: without the {} that pass between heated rooms\n",
                           kW(h.rooms_alone_W()), kW(h.building_W), kW(h.between_rooms_W));
    else
        out += fmt::format("  {} by hand, of rooms and building alike: U x A x K and air\n", kW(h.building_W));
    if (h.infiltration_W >= 0.5)
        out += fmt::format(
            "  {} by hand, of the building with half of its rooms' infiltration ({}): wind blows in on "
            "one side at a time (EN 12831:2003, 7.2.2); right where rates are those of a windward side, as rates "
            "that follow from airtightness are\n",
            kW(h.one_side_W()), kW(h.infiltration_W));
    out += fmt::format("  {} by the heat balance, all together\n", kW(h.balance_W));
    if (h.heating_up_W > 0.0)
        out += fmt::format(
            "  Of the balance, room by room, {} is for coming back from set-backs, which sums by hand leave out.\n",
            kW(h.heating_up_W));
    return out + "  The balance asks for more where walls colder than the air need warmer air to hold what the "
                 "set-point refers "
                 "to: ventilation carries that off, too.\n";
}

} // namespace

Document second_opinion_document(const loads::RoomLoads& all, const std::vector<loads::SecondOpinion>& cooling,
                                 const std::vector<loads::SwingOf>& swings, const PreferredUnits& units,
                                 double supply_K)
{
    Document out;
    if (!cooling.empty()) {
        Table table = figure::table_of(loads::second_opinion_columns(), cooling);
        table.add_total("sum of peaks");
        out.add(std::move(table));
        out.add(what_methods_leave_out);
    }
    if (const auto whole = loads::proportions(all, supply_K); !whole.empty()) {
        out.add(figure::table_of(loads::proportion_columns(), whole));
        out.add(figure::table_of(loads::usual_cooling_columns(), loads::usual_cooling()));
        out.add("Usual: check figures of the ASHRAE Pocket Guide, of lights brighter than today's and with the plant's "
                "outdoor air: a "
                "building below its use's least is not wrong, one above its most wants a reason.\n");
    }
    out.add(heating_lines(heating_by_hand(all), units));
    if (!swings.empty()) {
        out.add("\nSwing of the glass load: its peak over its mean, 8 to 20 h standard time\n");
        out.add(figure::table_of(loads::glass_swing_columns(), swings));
    }
    return out;
}

} // namespace venture::report
