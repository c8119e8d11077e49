/// Columns of what was chosen.

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/study/sizing.hpp>

namespace venture::study {

using figure::Cell;
using figure::Show;
using figure::Sum;
using figure::Told;
using figure::where;
using quantity::name_of;

namespace {

struct PlantRow {
    const Sizing* sizing = nullptr;
    const plant::PlantSelection* selection = nullptr;
};
/// One share of the duty of a product that was considered.
struct CandidateRow {
    const Sizing* sizing = nullptr;
    std::string whom{};    ///< room or plant
    std::string_view of{}; ///< duty, or kind of plant
    std::string_view role{};
    const rating::Rated* rated = nullptr;
    const rating::Share* share = nullptr;
};

/// "Foxmill Lean 600/1400", with what makes it no plain choice.
template <class Selection>
std::string product_in_words(const Selection& s)
{
    if (s.kept) return (s.kept_unknown ? s.kept->product : called(*s.choice.chosen)) + " (kept)";
    return s.choice.chosen ? called(*s.choice.chosen) : "NOTHING SUFFICES";
}

/// The next best that suffices and why it lost; where nothing does, how near anything comes.
template <class Selection>
Cell runner_up_in_words(const Selection& s)
{
    const rating::Choice& c = s.choice;
    if (s.kept_unknown) return "not in the catalogue";
    if (s.kept) return {};
    if (!c.chosen)
        return c.next_down     ? "largest: " + called(*c.next_down) + ", " + c.next_down->in_words()
               : c.all.empty() ? std::string{"the catalogue has none"}
                               : c.all.front().in_words();
    return c.runner_up ? called(*c.runner_up) + ": " + c.why_runner_up_lost : std::string{"none"};
}

template <class Selection>
Cell next_down_in_words(const Selection& s)
{
    const rating::Choice& c = s.choice;
    if (s.kept && c.chosen) return where(!c.chosen->suffices(), c.chosen->in_words());
    return c.chosen && c.next_down ? Cell{called(*c.next_down) + ": " + c.next_down->in_words()} : Cell{};
}

template <class Selection>
Cell capacity_of(const Selection& s, std::size_t share)
{
    const auto& chosen = s.choice.chosen;
    return chosen && share < chosen->shares.size() ? Cell{chosen->shares[share].capacity_W} : Cell{};
}

/// What units and plants have alike.
template <class Row>
void add_choice_columns(std::vector<figure::ColumnOf<Row>>& columns)
{
    const std::vector<figure::ColumnOf<Row>> more = {
        {{"chosen", "Product", "", "what was chosen or kept, with how many of it"},
         [](const Row& r) -> Cell { return product_in_words(*r.selection); }},
        {{"capacity", "can do", "total_power", "of all of it, at the job's temperatures", 2},
         [](const Row& r) -> Cell { return capacity_of(*r.selection, 0); }},
        {{"sensible_capacity", "sensible", "total_power", "of it, without drying", 5, Sum::none, Show::if_any},
         [](const Row& r) -> Cell { return capacity_of(*r.selection, 1); }},
        {{"full", "full", "share", "need over capacity, of the harder of total and sensible"},
         [](const Row& r) -> Cell {
             const auto& chosen = r.selection->choice.chosen;
             return chosen && std::isfinite(chosen->fullness()) ? Cell{chosen->fullness()} : Cell{};
         }},
        {{"runner_up", "Runner-up: why it lost", "", "next best product that suffices", 3},
         [](const Row& r) -> Cell { return runner_up_in_words(*r.selection); }},
        {{"next_down", "Next down: why not", "", "largest product that does not suffice", 4},
         [](const Row& r) -> Cell { return next_down_in_words(*r.selection); }},
        {{"product", "Product name", "", "as the catalogue calls it", 5, Sum::none, Show::data},
         [](const Row& r) -> Cell {
             const auto& chosen = r.selection->choice.chosen;
             return chosen ? Cell{chosen->product} : Cell{};
         }},
        {{"count", "Number", "count", "how many of it", 5, Sum::none, Show::data},
         [](const Row& r) -> Cell {
             const auto& chosen = r.selection->choice.chosen;
             return chosen ? figure::whole(chosen->count) : Cell{};
         }},
        {{"kept", "Kept", "", "settled on before: rated, not chosen", 5, Sum::none, Show::data},
         [](const Row& r) -> Cell { return r.selection->kept.has_value(); }},
        {{"duty_moved", "Duty moved", "fine_share",
          "of a kept product: need now over the need it was chosen for, less 1", 5, Sum::none, Show::data},
         [](const Row& r) -> Cell {
             return where(r.selection->kept && r.selection->kept->chosen_for_W, r.selection->duty_moved);
         }},
        {{"met", "Met", "", "whether it suffices", 5, Sum::none, Show::data},
         [](const Row& r) -> Cell { return r.selection->met(); }},
    };
    columns.insert(columns.end(), more.begin(), more.end());
}

double diversity_of(const plant::PlantSelection& p) { return p.circuits_diversity * p.plant_diversity; }

const services::Plant& plant_of(const PlantRow& r) { return r.sizing->services.plants[r.selection->plant]; }

const figure::TableOf<UnitRow>& unit_columns()
{
    using U = UnitRow;
    static const figure::TableOf<U> all = [] {
        figure::TableOf<U> out = {
            {"unit", "Terminal units", "What stands in a room for heating or cooling.", 2},
            {
                {{"room", "Room", "", "that it stands in", 0},
                 [](const U& u) -> Cell { return u.sizing->loads.rooms[u.selection->room].room; }},
                {{"duty", "Duty", "", "heating or cooling", 0},
                 [](const U& u) -> Cell { return std::string{name_of(u.selection->duty)}; }},
                {{"loads", "Loads", "", "computed, or typed", 1, Sum::none, Show::if_varied},
                 [](const U& u) -> Cell {
                     return std::string{u.sizing->loads.rooms[u.selection->room].typed ? "typed" : "computed"};
                 }},
                {{"needs", "needs", "total_power", "heating, or sensible and latent cooling together", 1, Sum::added},
                 [](const U& u) -> Cell { return u.selection->duty_W; }},
                {{"sensible", "sensible", "total_power", "sensible part of cooling, at its own peak", 2, Sum::added,
                  Show::if_any},
                 [](const U& u) -> Cell {
                     return where(u.selection->duty == services::Duty::cooling, u.selection->sensible_duty_W);
                 }},
            }};
        add_choice_columns(out.columns);
        const std::vector<figure::ColumnOf<U>> more = {
            {{"kind", "Kind", "", "of unit", 5, Sum::none, Show::data},
             [](const U& u) -> Cell { return std::string{name_of(u.selection->kind)}; }},
            {{"circuit", "Circuit", "", "that it hangs on", 5, Sum::none, Show::data},
             [](const U& u) -> Cell { return u.sizing->services.circuits[u.selection->circuit].name; }},
            {{"entering", "Entering air", "temperature", "room air", 5, Sum::none, Show::data},
             [](const U& u) -> Cell { return u.selection->entering_C; }},
            {{"entering_wet_bulb", "Entering wet bulb", "temperature", "of it, in cooling", 5, Sum::none, Show::data},
             [](const U& u) -> Cell {
                 return where(u.selection->duty == services::Duty::cooling, u.selection->entering_wet_bulb_C);
             }},
        };
        out.columns.insert(out.columns.end(), more.begin(), more.end());
        return out;
    }();
    return all;
}

const figure::TableOf<PlantRow>& plant_columns()
{
    using P = PlantRow;
    static const figure::TableOf<P> all = [] {
        figure::TableOf<P> out = {
            {"plant", "Plant", "What makes heat or cold for rooms together."},
            {
                {{"plant", "Plant", "", "its name", 0}, [](const P& p) -> Cell { return plant_of(p).name; }},
                {{"kind", "Kind", "", "boiler or chiller"},
                 [](const P& p) -> Cell { return std::string{name_of(plant_of(p).kind)}; }},
                {{"rooms_need", "rooms", "total_power", "what its rooms need in the largest hour of their sum"},
                 [](const P& p) -> Cell { return p.selection->rooms_W; }},
                {{"diversity", "diversity", "share", "of circuits and plant: what does not happen at once", 1,
                  Sum::none, Show::if_any},
                 [](const P& p) -> Cell {
                     return where(diversity_of(*p.selection) < 1.0, diversity_of(*p.selection));
                 }},
                {{"margin", "margin", "share", "that someone chose to add"},
                 [](const P& p) -> Cell { return p.selection->margin; }},
                {{"needs", "needs", "total_power", "with diversity and margin"},
                 [](const P& p) -> Cell { return p.selection->duty_W; }},
            }};
        add_choice_columns(out.columns);
        const std::vector<figure::ColumnOf<P>> more = {
            {{"rooms", "Rooms", "count", "that hang on it", 5, Sum::none, Show::data},
             [](const P& p) -> Cell { return figure::whole(p.selection->rooms.size()); }},
            {{"circuits_diversity", "Circuits' diversity", "fine_ratio", "weighted by what their rooms need", 5,
              Sum::none, Show::data},
             [](const P& p) -> Cell { return p.selection->circuits_diversity; }},
            {{"plant_diversity", "Own diversity", "fine_ratio", "of the plant", 5, Sum::none, Show::data},
             [](const P& p) -> Cell { return p.selection->plant_diversity; }},
            {{"supply", "Water", "temperature", "hardest supply of its circuits", 5, Sum::none, Show::data},
             [](const P& p) -> Cell { return p.selection->supply_C; }},
            {{"outdoor", "Outdoors", "temperature", "that a chiller is rated at", 5, Sum::none, Show::data},
             [](const P& p) -> Cell {
                 return where(plant_of(p).kind == services::PlantKind::chiller, p.selection->outdoor_C);
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
             [](const C& c) -> Cell { return c.rated->product; }},
            {{"part", "Part", "", "of the need", 0}, [](const C& c) -> Cell { return c.share->what; }},
            {{"count", "Number", "count", "how many of it"},
             [](const C& c) -> Cell { return figure::whole(c.rated->count); }},
            {{"needs", "needs", "total_power", "what is asked"}, [](const C& c) -> Cell { return c.share->duty_W; }},
            {{"capacity", "can do", "total_power", "of all of it"},
             [](const C& c) -> Cell { return c.share->capacity_W; }},
            {{"full", "full", "share", "need over capacity, of the harder of its parts"},
             [](const C& c) -> Cell { return where(std::isfinite(c.rated->fullness()), c.rated->fullness()); }},
            {{"suffices", "Suffices", "", "in all parts"}, [](const C& c) -> Cell { return c.rated->suffices(); }},
            {{"in_words", "In words", "", "how full it runs, or by how much it is short"},
             [](const C& c) -> Cell { return c.rated->in_words(); }},
            {{"from", "From", "", "where its data stand"},
             [](const C& c) -> Cell {
                 const auto from = c.sizing->products_from.find(c.rated->product);
                 return from == c.sizing->products_from.end() ? Cell{} : Cell{from->second};
             }},
        }};
    return all;
}

/// Of plants that have something to do.
std::vector<PlantRow> plant_rows(const Sizing& s)
{
    std::vector<PlantRow> out;
    for (const plant::PlantSelection& p : s.plants)
        if (p.duty_W > 0.0) out.push_back({&s, &p});
    return out;
}

/// What was chosen or kept, the runner-up and the next down, for every unit and plant.
std::vector<CandidateRow> candidate_rows(const Sizing& s)
{
    std::vector<CandidateRow> out;
    const auto add = [&](const std::string& whom, std::string_view of, const rating::Choice& choice) {
        const auto add_one = [&](std::string_view role, const std::optional<rating::Rated>& rated) {
            if (!rated) return;
            for (const rating::Share& share : rated->shares) out.push_back({&s, whom, of, role, &*rated, &share});
        };
        add_one("chosen", choice.chosen);
        add_one("runner-up", choice.runner_up);
        add_one("next down", choice.next_down);
    };
    for (const UnitRow& u : unit_rows(s))
        add(s.loads.rooms[u.selection->room].room, name_of(u.selection->duty), u.selection->choice);
    for (const PlantRow& p : plant_rows(s)) add(plant_of(p).name, name_of(plant_of(p).kind), p.selection->choice);
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
        tables.add(unit_columns(), unit_rows).add(plant_columns(), plant_rows).add(candidate_columns(), candidate_rows);
        return tables;
    }();
    return all;
}

} // namespace venture::study
