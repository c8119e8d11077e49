/// Columns of what was chosen.

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/study/choice_columns.hpp>
#include <venture/study/network_figures.hpp>
#include <venture/study/sizing.hpp>
#include <venture/study/unit_figures.hpp>

namespace venture::study {

using figure::Cell;
using figure::Show;
using figure::Sum;
using figure::Told;
using figure::where;
using quantity::name_of;
using namespace detail; // NOLINT(google-build-using-namespace): what units and plants are told alike

namespace {

struct PlantRow {
    const Sizing* sizing = nullptr;
    const plant::PlantSelection* selection = nullptr;
};
/// One share of the duty of a product that was considered.
struct CandidateRow {
    std::string whom{};    ///< room or plant
    std::string_view of{}; ///< duty, or kind of plant
    std::string_view role{};
    const rating::Rated* rated = nullptr;
    rating::Share share{};
};

using Sel = plant::PlantSelection;

std::optional<double> electricity_of(const Sel& s)
{
    const auto& chosen = s.choice.chosen;
    if (!chosen || chosen->refused || std::isnan(chosen->all().electric_W)) return std::nullopt;
    return chosen->all().electric_W;
}

/// From what units take by more than rounding.
bool differs(const PlantRow& r, double Sel::*what)
{
    constexpr double rounding = 1e-9;
    return std::abs(r.selection->*what - r.selection->units_W) > rounding * r.selection->units_W;
}

const services::Plant& plant_of(const PlantRow& r) { return r.sizing->services.plants[r.selection->plant]; }

const figure::TableOf<PlantRow>& plant_columns()
{
    using P = PlantRow;
    static const figure::TableOf<P> all = [] {
        figure::TableOf<P> out = {
            {"plant", "Plant", "What makes heat or cold for rooms together."},
            {
                {{"plant", "Plant", "", "its name, with the service where it gives several", 0},
                 [](const P& p) -> Cell {
                     const services::Plant& plant = plant_of(p);
                     return plant.kind->gives.size() == 1
                                ? plant.name
                                : fmt::format("{} ({})", plant.name, name_of(p.selection->service));
                 }},
                {{"kind", "Kind", "", "boiler or chiller"},
                 [](const P& p) -> Cell { return std::string{plant_of(p).kind->words}; }},
                {{"rooms_need", "rooms", "total_power", "what its rooms need in the largest hour of their sum"},
                 [](const P& p) -> Cell { return p.selection->rooms_W; }},
                {{"units_take", "units", "total_power",
                  "what their units take for that from its water, with the heat of fans and what condenses; and what "
                  "was typed for circuits or plant",
                  1, Sum::none, Show::if_any},
                 [](const P& p) -> Cell {
                     return where(p.selection->service == rating::Service::cooling || differs(p, &Sel::rooms_W),
                                  p.selection->units_W);
                 }},
                {{"circuits_ask", "circuits", "total_power", "that with diversity and losses of circuits", 1, Sum::none,
                  Show::if_any},
                 [](const P& p) -> Cell { return where(differs(p, &Sel::circuits_W), p.selection->circuits_W); }},
                {{"diversity", "diversity", "share", "of the plant: share of that which it meets at once", 1, Sum::none,
                  Show::if_any},
                 [](const P& p) -> Cell { return where(plant_of(p).diversity != 1.0, plant_of(p).diversity); }},
                {{"margin", "margin", "share", "that someone chose to add"},
                 [](const P& p) -> Cell { return plant_of(p).margin; }},
                {{"standby", "standby", "count", "of its units, without which the others suffice", 1, Sum::none,
                  Show::if_any},
                 [](const P& p) -> Cell { return where(plant_of(p).standby > 0, figure::whole(plant_of(p).standby)); }},
                {{"needs", "needs", "total_power", "with diversity, margin and standby"},
                 [](const P& p) -> Cell { return p.selection->duty.W; }},
            }};
        add_choice_columns(out.columns);
        const std::vector<figure::ColumnOf<P>> more = {
            {{"takes", "takes", "electric_power",
              "electricity that all of it takes at full output, where its maker says", 4, Sum::none, Show::if_any},
             [](const P& p) -> Cell {
                 const auto electric_W = electricity_of(*p.selection);
                 return electric_W ? Cell{*electric_W} : Cell{};
             }},
            {{"rejects", "rejects", "total_power",
              "heat that its condenser gives off while it meets the need: what it cools and what it takes for that", 5,
              Sum::none, Show::data},
             [](const P& p) -> Cell {
                 const auto electric_W = electricity_of(*p.selection);
                 if (!electric_W || p.selection->service != rating::Service::cooling) return {};
                 const Cell capacity = capacity_of(*p.selection, 0);
                 return p.selection->duty.W * (1.0 + *electric_W / std::get<double>(capacity));
             }},
            {{"rooms", "Rooms", "count", "that hang on it", 5, Sum::none, Show::data},
             [](const P& p) -> Cell { return figure::whole(p.selection->rooms.size()); }},
            {{"sum_of_peaks", "Sum of peaks", "total_power", "of units and typed circuits, each in its own hour", 5,
              Sum::none, Show::data},
             [](const P& p) -> Cell { return p.selection->sum_of_peaks_W; }},
            {{"basis", "Basis", "", "by hour; not coincident where something in it has no hours; typed", 5, Sum::none,
              Show::data},
             [](const P& p) -> Cell {
                 return std::string{p.selection->typed ? "typed" : p.selection->by_hour ? "by hour" : "not coincident"};
             }},
            {{"supply", "Water", "temperature", "hardest supply of its circuits", 5, Sum::none, Show::data},
             [](const P& p) -> Cell { return p.selection->supply_C; }},
            {{"outdoor", "Outdoors", "temperature", "that a chiller is rated at", 5, Sum::none, Show::data},
             [](const P& p) -> Cell {
                 return where(plant_of(p).kind->is_rated_at(rating::At::outdoor_dry_bulb), p.selection->outdoor_C);
             }},
        };
        out.columns.insert(out.columns.end(), more.begin(), more.end());
        return out;
    }();
    return all;
}

const figure::TableOf<CandidateRow>& candidate_columns()
{
    using C = CandidateRow;
    static const figure::TableOf<C> all = {
        {"candidate", "What was considered",
         "One part of the need of a product that was chosen or kept, came second, or nearly sufficed.", 5, Told::data},
        {
            {{"of", "For", "", "room or plant", 0}, [](const C& c) -> Cell { return c.whom; }},
            {{"duty", "Duty", "", "heating or cooling; of a plant its kind", 0},
             [](const C& c) -> Cell { return std::string{c.of}; }},
            {{"role", "Role", "", "chosen, runner-up, or next down", 0},
             [](const C& c) -> Cell { return std::string{c.role}; }},
            {{"product", "Product", "", "as the catalogue calls it", 0},
             [](const C& c) -> Cell { return c.rated->product().name(); }},
            {{"part", "Part", "", "of the need", 0}, [](const C& c) -> Cell { return std::string{c.share.what}; }},
            {{"count", "Number", "count", "how many of it"},
             [](const C& c) -> Cell { return figure::whole(c.rated->count()); }},
            {{"needs", "needs", "total_power", "what is asked"}, [](const C& c) -> Cell { return c.share.duty_W; }},
            {{"capacity", "can do", "total_power", "of all of it"},
             [](const C& c) -> Cell { return c.share.capacity_W; }},
            {{"full", "full", "share", "need over capacity, of the hardest of its parts"},
             [](const C& c) -> Cell { return where(std::isfinite(c.rated->fullness()), c.rated->fullness()); }},
            {{"suffices", "Suffices", "", "in all parts"}, [](const C& c) -> Cell { return c.rated->suffices(); }},
            {{"in_words", "In words", "", "how full it runs, or by how much it is short"},
             [](const C& c) -> Cell { return c.rated->in_words(); }},
            {{"from", "From", "", "where its data stand"},
             [](const C& c) -> Cell { return where(!c.rated->product().from().empty(), c.rated->product().from()); }},
        }};
    return all;
}

/// Of plants that have something to do.
std::vector<PlantRow> plant_rows(const Sizing& s)
{
    std::vector<PlantRow> out;
    for (const plant::PlantSelection& p : s.plants)
        if (p.duty.W > 0.0) out.push_back({&s, &p});
    return out;
}

/// What was chosen or kept, the runner-up and the next down, for every unit and plant.
std::vector<CandidateRow> candidate_rows(const Sizing& s)
{
    std::vector<CandidateRow> out;
    const auto add = [&](const std::string& whom, std::string_view of, const rating::Choice& choice) {
        const auto add_one = [&](std::string_view role, const std::optional<rating::Rated>& rated) {
            if (!rated) return;
            for (const rating::Share& share : rated->shares()) out.push_back({whom, of, role, &*rated, share});
        };
        add_one("chosen", choice.chosen);
        add_one("runner-up", choice.runner_up);
        add_one("next down", choice.next_down);
    };
    for (const UnitRow& u : unit_rows(s))
        add(s.loads.rooms[u.selection->room].room, name_of(u.selection->duty.service), u.selection->choice);
    for (const PlantRow& p : plant_rows(s)) add(plant_of(p).name, plant_of(p).kind->words, p.selection->choice);
    return out;
}

} // namespace

std::vector<UnitRow> unit_rows(const Sizing& s)
{
    std::vector<UnitRow> out;
    for (const terminal::RoomSelection& u : s.units) out.push_back({&s, &u});
    return out;
}

const figure::TablesOf<Sizing>& size_tables()
{
    static const figure::TablesOf<Sizing> all = [] {
        figure::TablesOf<Sizing> tables;
        tables.add(unit_columns(), unit_rows).add(plant_columns(), plant_rows);
        add_network_tables(tables);
        tables.add(candidate_columns(), candidate_rows);
        return tables;
    }();
    return all;
}

} // namespace venture::study
