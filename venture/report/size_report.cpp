#include <venture/report/size_report.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/quantity/codes.hpp>
#include <venture/report/loads_report.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

using nlohmann::json;
using plant::PlantSelection;
using quantity::name_of;
using quantity::PreferredUnits;
using rating::Rated;
using terminal::RoomSelection;

namespace {

std::string called(const Rated& r) { return r.count == 1 ? r.product : fmt::format("{} x {}", r.count, r.product); }
std::string power(double w, const PreferredUnits& units) { return units.number(w, "total_power"); }
std::string percent(const Rated& r)
{
    return std::isfinite(r.fullness()) ? fmt::format("{:.0f} %", 100.0 * r.fullness()) : "-";
}

/// Capacity of every share: heating, or total and sensible cooling.
std::string capacity_of(const Rated& r, const PreferredUnits& units)
{
    std::string out;
    for (const rating::Share& s : r.shares) out += (out.empty() ? "" : " / ") + power(s.capacity_W, units);
    return out.empty() ? "-" : out;
}

bool all_alike(const Sizing& s)
{
    return std::ranges::all_of(s.loads.rooms, [&](const auto& r) { return r.typed == s.loads.rooms.front().typed; });
}

/// Cells shared by units and plants: chosen, how full, and the others with reasons.
template <class Selection>
std::vector<std::string> choice_cells(const Selection& s, const PreferredUnits& units)
{
    const auto& c = s.choice;
    if (s.kept) {
        if (s.kept_unknown) return {s.kept->product + " (kept)", "-", "-", "not in the catalogue", ""};
        return {called(*c.chosen) + " (kept)", capacity_of(*c.chosen, units), percent(*c.chosen), "",
                c.chosen->suffices() ? "" : c.chosen->in_words()};
    }
    if (!c.chosen) {
        const std::string reason = c.next_down     ? "largest: " + called(*c.next_down) + ", " + c.next_down->in_words()
                                   : c.all.empty() ? "the catalogue has none"
                                                   : c.all.front().in_words();
        return {"NOTHING SUFFICES", "-", "-", reason, ""};
    }
    return {called(*c.chosen), capacity_of(*c.chosen, units), percent(*c.chosen),
            c.runner_up ? called(*c.runner_up) + ": " + c.why_runner_up_lost : "none",
            c.next_down ? called(*c.next_down) + ": " + c.next_down->in_words() : ""};
}

void add_choice_columns(TextTable& table, const PreferredUnits& units)
{
    table.add_column("Product", Align::left);
    add_column(table, "can do", "total_power", units, 2);
    table.add_column("full");
    table.add_column("Runner-up: why it lost", Align::left, 3);
    table.add_column("Next down: why not", Align::left, 4);
}

Text units_text(const Sizing& s, const PreferredUnits& units)
{
    TextTable table;
    table.add_column("Room", Align::left);
    table.add_column("Duty", Align::left);
    const bool mixed = !all_alike(s);
    if (mixed) table.add_column("Loads", Align::left);
    add_column(table, "needs", "total_power", units);
    add_choice_columns(table, units);
    for (const RoomSelection& u : s.units) {
        const auto& load = s.loads.rooms[u.room];
        const bool cooling = u.duty == services::Duty::cooling;
        std::vector<std::string> row = {load.room, std::string{name_of(u.duty)}};
        if (mixed) row.emplace_back(load.typed ? "typed" : "computed");
        row.push_back(power(u.duty_W, units) + (cooling ? " / " + power(u.sensible_duty_W, units) : ""));
        for (auto& cell : choice_cells(u, units)) row.push_back(std::move(cell));
        table.add_row(std::move(row));
    }
    return Text{std::move(table)};
}

double diversity_of(const PlantSelection& p) { return p.circuits_diversity * p.plant_diversity; }

Text plants_text(const Sizing& s, const PreferredUnits& units)
{
    TextTable table;
    table.add_column("Plant", Align::left);
    table.add_column("Kind", Align::left);
    add_column(table, "rooms", "total_power", units);
    const bool diverse = std::ranges::any_of(s.plants, [](const PlantSelection& p) { return diversity_of(p) < 1.0; });
    if (diverse) table.add_column("diversity");
    table.add_column("margin");
    add_column(table, "needs", "total_power", units);
    add_choice_columns(table, units);
    for (const PlantSelection& p : s.plants) {
        const services::Plant& plant = s.services.plants[p.plant];
        if (p.duty_W <= 0.0) continue;
        std::vector<std::string> row = {plant.name, std::string{name_of(plant.kind)}, power(p.rooms_W, units)};
        if (diverse) row.push_back(fmt::format("{:.0f} %", 100.0 * diversity_of(p)));
        row.push_back(fmt::format("{:.0f} %", 100.0 * p.margin));
        row.push_back(power(p.duty_W, units));
        for (auto& cell : choice_cells(p, units)) row.push_back(std::move(cell));
        table.add_row(std::move(row));
    }
    return Text{std::move(table)};
}

std::string plant_notes(const Sizing& s, const PreferredUnits& units)
{
    std::string out;
    for (const PlantSelection& p : s.plants) {
        const services::Plant& plant = s.services.plants[p.plant];
        if (p.duty_W <= 0.0) {
            out += fmt::format("{}: nothing to do\n", plant.name);
            continue;
        }
        if (plant.kind == services::PlantKind::boiler) {
            const bool heats_up =
                std::ranges::any_of(p.rooms, [&](std::size_t r) { return s.loads.rooms[r].heating_up_W > 0.0; });
            out += fmt::format("{}: heating of {} rooms together in winter design ({} outdoors), water at {}; {}\n",
                               plant.name, p.rooms.size(), units.text(s.loads.outdoor_winter_C, "temperature"),
                               units.text(p.supply_C, quantity::Kind::temperature),
                               heats_up ? "heating-up after set-backs in it, no pipe losses or hot water"
                                        : "no heating-up, pipe losses or hot water in it");
            continue;
        }
        out += fmt::format("{}: largest hour of the sum of {} rooms{}; single peaks add up to {}; rated with "
                           "{} water and {} outdoors\n",
                           plant.name, p.rooms.size(),
                           p.coincident.when.day.empty() ? "" : ", " + when_in_words(p.coincident.when),
                           units.text(p.coincident.sum_of_peaks_W, "total_power"),
                           units.text(p.supply_C, quantity::Kind::temperature), units.text(p.outdoor_C, "temperature"));
        if (!p.coincident.by_hour) out += "  typed loads carry no hours and were added at their peak\n";
    }
    return out;
}

std::string circuits_text(const Sizing& s, const PreferredUnits& units)
{
    std::string out;
    for (const services::Circuit& c : s.services.circuits)
        out += fmt::format("{}: {} at {:g}/{:g} {}, {}s, fed by {}\n", c.name, name_of(c.carries),
                           quantity::from_si(c.supply_C, units.symbol("temperature"), quantity::Kind::temperature),
                           quantity::from_si(c.return_C, units.symbol("temperature"), quantity::Kind::temperature),
                           units.symbol("temperature"), name_of(c.unit), s.services.plants[c.plant].name);
    return out;
}

json rated_json(const Rated& r, const Sizing& sizing)
{
    json shares = json::array();
    for (const rating::Share& s : r.shares)
        shares.push_back({{"what", s.what}, {"duty_W", s.duty_W}, {"capacity_W", s.capacity_W}});
    json out = {{"product", r.product},
                {"count", r.count},
                {"shares", shares},
                {"suffices", r.suffices()},
                {"in_words", r.in_words()}};
    if (const auto from = sizing.products_from.find(r.product); from != sizing.products_from.end())
        out["from"] = from->second;
    if (std::isfinite(r.fullness())) out["fullness"] = r.fullness();
    return out;
}

template <class Selection>
json choice_json(const Selection& s, const Sizing& sizing)
{
    const auto& c = s.choice;
    json out = {{"how", s.kept ? "kept" : "chosen"}, {"met", s.met()}};
    if (c.chosen) out["product"] = rated_json(*c.chosen, sizing);
    if (c.runner_up)
        out["runner_up"] = {{"rated", rated_json(*c.runner_up, sizing)}, {"why_it_lost", c.why_runner_up_lost}};
    if (c.next_down) out["largest_that_falls_short"] = rated_json(*c.next_down, sizing);
    if (s.kept && s.kept->chosen_for_W) out["duty_moved"] = s.duty_moved;
    return out;
}

template <class Selection>
void add_findings(const Selection& s, const std::string& name, std::string_view duty, const PreferredUnits& units,
                  std::vector<quantity::Problem>& out)
{
    using quantity::Severity;
    constexpr double worth_saying = 0.01;
    const auto where = s.kept ? s.kept->origin : quantity::OriginId{};
    const std::string subject =
        fmt::format("{} {}", name, duty); // accepted for this product at this duty, to two digits
    const std::string inputs = fmt::format("{} at {:.2g} W", s.kept ? s.kept->product : "", s.duty_W);
    const auto say = [&](std::string message, std::string hint) {
        out.push_back({.severity = Severity::warning,
                       .code = quantity::codes::not_met,
                       .where = where,
                       .message = std::move(message),
                       .hint = std::move(hint),
                       .subject = subject,
                       .inputs = inputs});
    };
    if (s.kept_unknown)
        return say(fmt::format("{}, {}: the kept product '{}' is not in the catalogue", name, duty, s.kept->product),
                   "check its name");
    const std::string moved =
        std::abs(s.duty_moved) > worth_saying
            ? fmt::format("; the duty was {} when it was settled on and is {} now",
                          units.text(*s.kept->chosen_for_W, "total_power"), units.text(s.duty_W, "total_power"))
            : "";
    if (!s.met()) {
        const std::string what =
            s.choice.chosen ? called(*s.choice.chosen) + " is " + s.choice.chosen->in_words() : "no product suffices";
        say(fmt::format("{}, {}: {}{}", name, duty, what, moved),
            s.kept ? "choose again (remove the [[kept]] table) or split the load"
                   : "split the load (a plant may have several units), or change the water temperatures");
    } else if (!moved.empty()) {
        out.push_back({.severity = Severity::note,
                       .code = quantity::codes::not_met,
                       .where = where,
                       .message = fmt::format("{}, {}: {} still suffices ({}){}", name, duty, called(*s.choice.chosen),
                                              s.choice.chosen->in_words(), moved),
                       .subject = subject,
                       .inputs = inputs});
    }
}

} // namespace

bool Sizing::met() const
{
    return std::ranges::all_of(units, &RoomSelection::met) && std::ranges::all_of(plants, &PlantSelection::met);
}

Text size_text(const Sizing& s, const PreferredUnits& units)
{
    const auto typed = std::ranges::count_if(s.loads.rooms, &loads::RoomLoad::typed);
    Text out;
    if (typed > 0)
        out += fmt::format("The loads of {} of {} rooms were TYPED, not computed.\n", typed, s.loads.rooms.size());
    out += circuits_text(s, units) + "\nTerminal units\n\n" + units_text(s, units) + "\nPlant\n\n" +
           plants_text(s, units) + "\n" + plant_notes(s, units);
    out += "Cooling: total / sensible, the sensible part at its own peak; \"full\" is the harder of the two.\n";
    out += "A choice is the product that runs fullest without being short; each further unit in a room counts as a "
           "tenth more capacity.\n";
    return out;
}

json size_json(const Sizing& s)
{
    json units = json::array(), plants = json::array();
    for (const RoomSelection& u : s.units) {
        const auto& load = s.loads.rooms[u.room];
        json unit = {{"room", load.room},
                     {"duty", name_of(u.duty)},
                     {"loads", load.typed ? "typed" : "computed"},
                     {"unit", name_of(u.kind)},
                     {"circuit", s.services.circuits[u.circuit].name},
                     {"duty_W", u.duty_W},
                     {"entering_C", u.entering_C}};
        if (u.duty == services::Duty::cooling) {
            unit["sensible_duty_W"] = u.sensible_duty_W;
            unit["entering_wet_bulb_C"] = u.entering_wet_bulb_C;
        }
        unit.update(choice_json(u, s));
        units.push_back(unit);
    }
    for (const PlantSelection& p : s.plants) {
        json rooms = json::array();
        for (const std::size_t r : p.rooms) rooms.push_back(s.loads.rooms[r].room);
        json plant = {{"plant", s.services.plants[p.plant].name},
                      {"kind", name_of(s.services.plants[p.plant].kind)},
                      {"rooms", rooms},
                      {"rooms_W", p.rooms_W},
                      {"circuits_diversity", p.circuits_diversity},
                      {"plant_diversity", p.plant_diversity},
                      {"margin", p.margin},
                      {"duty_W", p.duty_W},
                      {"supply_C", p.supply_C}};
        if (s.services.plants[p.plant].kind == services::PlantKind::chiller) plant["outdoor_C"] = p.outdoor_C;
        plant.update(choice_json(p, s));
        plants.push_back(plant);
    }
    return {{"fingerprint", fmt::format("{:016x}", s.loads.fingerprint)},
            {"units", units},
            {"plants", plants},
            {"met", s.met()}};
}

std::vector<quantity::Problem> size_findings(const Sizing& s, const PreferredUnits& units)
{
    std::vector<quantity::Problem> out;
    for (const RoomSelection& u : s.units) add_findings(u, s.loads.rooms[u.room].room, name_of(u.duty), units, out);
    for (const PlantSelection& p : s.plants)
        if (p.duty_W > 0.0)
            add_findings(p, s.services.plants[p.plant].name, name_of(s.services.plants[p.plant].kind), units, out);
    return out;
}

} // namespace venture::report
