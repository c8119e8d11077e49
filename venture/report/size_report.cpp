#include <venture/report/size_report.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/loads/load_figures.hpp>
#include <venture/quantity/units.hpp>

namespace venture::report {

using figure::Document;
using plant::PlantSelection;
using quantity::name_of;
using quantity::PreferredUnits;
using study::Sizing;

namespace {

std::string plant_notes(const Sizing& s, const PreferredUnits& units)
{
    std::string out;
    for (const PlantSelection& p : s.plants) {
        const services::Plant& plant = s.services.plants[p.plant];
        if (p.duty.W <= 0.0) {
            out += fmt::format("{}: nothing to do\n", plant.name);
            continue;
        }
        if (p.duty.service == rating::Service::heating) {
            const bool heats_up =
                std::ranges::any_of(p.rooms, [&](std::size_t r) { return s.loads.rooms[r].heating_up_W > 0.0; });
            out += fmt::format("{}: heating of {} rooms together in winter design ({} outdoors), water at {}; {}\n",
                               plant.name, p.rooms.size(), units.text(s.loads.outdoor_winter_C, "temperature"),
                               units.text(p.supply_C, quantity::Kind::temperature),
                               heats_up ? "heating-up after set-backs in it, no pipe losses or hot water"
                                        : "no heating-up, pipe losses or hot water in it");
            continue;
        }
        out += fmt::format(
            "{}: largest hour of what the units of {} rooms take together{}; their single peaks add up to "
            "{}; rated with {} water and air at {}\n",
            plant.name, p.rooms.size(), p.coincident.when.day.empty() ? "" : ", " + in_words(p.coincident.when),
            units.text(p.coincident.sum_of_peaks_W, "total_power"), units.text(p.supply_C, quantity::Kind::temperature),
            units.text(p.outdoor_C, "temperature"));
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
                           units.symbol("temperature"), c.unit->words, s.services.plants[c.plant].name);
    return out;
}

/// Of whom products are, where they were made up.
std::string invented_text(const Sizing& s)
{
    std::vector<std::string> kinds;
    const auto add = [&](const rating::Kind& kind) {
        const std::string words = fmt::format("{}s", kind.words);
        if (s.stocks && s.stocks->are_invented(kind) && std::ranges::find(kinds, words) == kinds.end())
            kinds.push_back(words);
    };
    for (const terminal::RoomSelection& u : s.units) add(*s.services.circuits[u.circuit].unit);
    for (const PlantSelection& p : s.plants) add(*s.services.plants[p.plant].kind);
    if (kinds.empty()) return {};
    std::string all = fmt::format("{}", fmt::join(kinds, ", "));
    if (const auto last = all.rfind(", "); last != std::string::npos) all.replace(last, 2, " and ");
    return fmt::format(
        "The {} are those that ship with Venture: invented, of makers that do not exist. A [[catalogue]] names "
        "real ones.\n",
        all);
}

} // namespace

Document size_document(const Sizing& s, const PreferredUnits& units)
{
    const auto typed = std::ranges::count_if(s.loads.rooms, &loads::RoomLoad::typed);
    Document out;
    if (typed > 0)
        out.add(fmt::format("The loads of {} of {} rooms were TYPED, not computed.\n", typed, s.loads.rooms.size()));
    out.add(circuits_text(s, units) + "\nTerminal units\n");
    const auto& tables = study::size_tables();
    out.add(tables.table("unit", s));
    out.add("\nPlant\n");
    out.add(tables.table("plant", s));
    out.add("\n" + plant_notes(s, units) +
            "Cooling: the sensible part at its own peak; \"full\" is the hardest of total, sensible and, where "
            "humidity is limited, latent.\n"
            "A choice is the product that runs fullest without being short; each further unit in a room counts as a "
            "tenth more capacity.\n" +
            invented_text(s));
    out.add(figure::table_of(loads::building_load_columns(), loads::group_loads(s.loads)));
    tables.add_rest(out, s);
    return out;
}

} // namespace venture::report
