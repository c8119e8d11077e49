#include <venture/report/size_report.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/loads/load_figures.hpp>
#include <venture/quantity/units.hpp>
#include <venture/terminal/valve.hpp>

namespace venture::report {

using figure::Document;
using plant::PlantSelection;
using quantity::name_of;
using quantity::PreferredUnits;
using study::Sizing;

namespace {

std::string rooms_in_words(const PlantSelection& p)
{
    return fmt::format("{} room{}", p.rooms.size(), p.rooms.size() == 1 ? "" : "s");
}

/// Where several plants share it.
std::string part_in_words(const Sizing& s, const PlantSelection& p)
{
    const auto circuits = s.services.circuits_of_plant(p.plant, p.service);
    const bool shares =
        std::ranges::any_of(circuits, [&](std::size_t c) { return s.services.circuits[c].plants.size() > 1; });
    return shares ? "its part of the " : "";
}

/// ", July 15-16 h"
std::string in_the_hour(const Sizing& s, const PlantSelection& p)
{
    const figure::When when = s.leaves.when(p.service, p.hour);
    return when.day.empty() ? "" : ", " + in_words(when);
}

/// What is in a plant's heating, and what is not.
std::string contents_of(const Sizing& s, const PlantSelection& p)
{
    const bool heats_up =
        std::ranges::any_of(p.rooms, [&](std::size_t r) { return s.loads.rooms[r].heating_up_W > 0.0; });
    const bool loses =
        std::ranges::any_of(s.services.circuits, [](const services::Circuit& c) { return c.loss > 0.0; });
    std::vector<std::string> in, out;
    (heats_up ? in : out).emplace_back("heating-up");
    (loses ? in : out).emplace_back("pipe losses");
    const std::string without = out.empty() ? "hot water" : fmt::format("{} or hot water", fmt::join(out, ", "));
    return in.empty() ? fmt::format("no {} in it", without)
                      : fmt::format("{} in it, no {}", fmt::join(in, " and "), without);
}

std::string plant_notes(const Sizing& s, const PreferredUnits& units)
{
    std::string out;
    for (const PlantSelection& p : s.plants) {
        const services::Plant& plant = s.services.plants[p.plant];
        if (p.duty.W <= 0.0) {
            out += fmt::format("{}: nothing to do\n", plant.name);
            continue;
        }
        const bool heats = p.service == rating::Service::heating;
        const std::string water = units.text(p.supply_C, quantity::Kind::temperature);
        if (p.typed)
            out += fmt::format("{}: what it must give was typed, in place of the sum of its circuits", plant.name);
        else if (heats)
            out += fmt::format("{}: {}heating of {} together in winter design ({} outdoors)", plant.name,
                               part_in_words(s, p), rooms_in_words(p),
                               units.text(s.loads.outdoor_winter_C, "temperature"));
        else
            out += fmt::format("{}: {}largest hour of what the units of {} take together{}; their single peaks "
                               "add up to {}",
                               plant.name, part_in_words(s, p), rooms_in_words(p), in_the_hour(s, p),
                               units.text(p.sum_of_peaks_W, "total_power"));
        if (heats)
            out += fmt::format(", water at {}; {}\n", water, contents_of(s, p));
        else
            out += fmt::format("; rated with {} water and air at {}\n", water, units.text(p.outdoor_C, "temperature"));
        if (!p.by_hour && !p.typed)
            out += "  not coincident: what was typed carries no hours and was added at its peak\n";
    }
    return out;
}

/// Heat that radiates asks for another output than heat that goes into the air alone.
std::string emission_notes(const Sizing& s, const PreferredUnits& units)
{
    double W = 0.0, convective_W = 0.0;
    std::vector<std::string> without;
    for (const loads::RoomLoad& load : s.loads.rooms) {
        if (!load.heating_convective_W) continue;
        W += load.heating_W;
        convective_W += *load.heating_convective_W;
        if (load.heating_W <= 0.0 && *load.heating_convective_W > 0.0)
            without.push_back(
                fmt::format("{} ({} if convective)", load.room, units.text(*load.heating_convective_W, "total_power")));
    }
    if (convective_W <= 0.0) return {};
    std::string out =
        fmt::format("Heating: rooms whose units radiate need {} so, each at its peak; {} if all of it went "
                    "into the air, as loads are stated.\n",
                    units.text(W, "total_power"), units.text(convective_W, "total_power"));
    if (!without.empty())
        out += fmt::format("Nothing of their own, since walls to their neighbours are warmer then: {}.\n",
                           fmt::join(without, ", "));
    return out;
}

} // namespace

std::string invented_text(const Sizing& s)
{
    std::vector<std::string> kinds;
    const auto add = [&](const rating::Kind& kind) {
        const std::string words = fmt::format("{}s", kind.words);
        if (s.stocks && s.stocks->are_invented(kind) && std::ranges::find(kinds, words) == kinds.end())
            kinds.push_back(words);
    };
    for (const terminal::RoomSelection& u : s.units) add(*s.services.circuits[u.circuit].unit); // rooms have units
    for (const PlantSelection& p : s.plants) add(*s.services.plants[p.plant].kind);
    if (std::ranges::any_of(s.services.circuits, [](const services::Circuit& c) { return !c.valve.empty(); }))
        add(terminal::valve);
    if (kinds.empty()) return {};
    std::string all = fmt::format("{}", fmt::join(kinds, ", "));
    if (const auto last = all.rfind(", "); last != std::string::npos) all.replace(last, 2, " and ");
    return fmt::format(
        "The {} are those that ship with Venture: invented, of makers that do not exist. A [[catalogue]] names "
        "real ones.\n",
        all);
}

Document size_document(const Sizing& s, const PreferredUnits& units)
{
    const auto typed = std::ranges::count_if(s.loads.rooms, &loads::RoomLoad::typed);
    Document out;
    if (typed > 0)
        out.add(fmt::format("The loads of {} of {} rooms were TYPED, not computed.\n", typed, s.loads.rooms.size()));
    const auto& tables = study::size_tables();
    out.add("Circuits\n");
    out.add(tables.table("circuit", s));
    out.add("\nTerminal units\n");
    out.add(tables.table("unit", s));
    out.add("\nPlant\n");
    out.add(tables.table("plant", s));
    out.add("\nFrom rooms to plant\n");
    out.add(tables.table("allowance", s));
    out.add("\n" + plant_notes(s, units) + emission_notes(s, units) +
            "Cooling: the sensible part at its own peak; \"full\" is the hardest of total, sensible and, where "
            "humidity is limited, latent.\n"
            "A choice is the product that runs fullest without being short, each further unit in a room counting as a "
            "tenth more capacity, unless [[choosing]] lines aim at something else; radiators stand under windows where "
            "there is a plan (`venture schedule`).\n" +
            invented_text(s));
    out.add(figure::table_of(loads::building_load_columns(), loads::group_loads(s.loads)));
    tables.add_rest(out, s);
    return out;
}

} // namespace venture::report
