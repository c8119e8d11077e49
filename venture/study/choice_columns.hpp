#pragma once
/// What is told alike of what was chosen for rooms and plants. Internal to study.

#include <cmath>
#include <string>
#include <vector>

#include <venture/figure/table.hpp>
#include <venture/rating/choice.hpp>

namespace venture::study::detail {

using figure::Cell;
using figure::Show;
using figure::Sum;
using figure::where;

/// "Foxmill Lean 600/1400", with what makes it no plain choice.
template <class Selection>
std::string product_in_words(const Selection& s)
{
    if (s.kept) return (s.kept_unknown ? s.kept->product : s.choice.chosen->called()) + " (kept)";
    return s.choice.chosen ? s.choice.chosen->called() : "NOTHING SUFFICES";
}

/// The next best that suffices and why it lost; where nothing does, how near anything comes.
template <class Selection>
Cell runner_up_in_words(const Selection& s)
{
    const rating::Choice& c = s.choice;
    if (s.kept_unknown) return "not in the catalogue";
    if (s.kept) return {};
    if (!c.chosen)
        return c.next_down ? "largest: " + c.next_down->called() + ", " + c.next_down->in_words()
               : c.refused ? c.refused->called() + ": " + c.refused->in_words()
                           : std::string{"the catalogue has none"};
    return c.runner_up ? c.runner_up->called() + ": " + c.why_runner_up_lost() : std::string{"none"};
}

template <class Selection>
Cell next_down_in_words(const Selection& s)
{
    const rating::Choice& c = s.choice;
    if (s.kept && c.chosen) return where(!c.chosen->suffices(), c.chosen->in_words());
    return c.chosen && c.next_down ? Cell{c.next_down->called() + ": " + c.next_down->in_words()} : Cell{};
}

template <class Selection>
Cell capacity_of(const Selection& s, std::size_t share)
{
    const auto shares = s.choice.chosen ? s.choice.chosen->shares() : std::vector<rating::Share>{};
    return share < shares.size() ? Cell{shares[share].capacity_W} : Cell{};
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
        {{"full", "full", "share", "need over capacity, of the hardest of total, sensible and latent"},
         [](const Row& r) -> Cell {
             const auto& chosen = r.selection->choice.chosen;
             return chosen && std::isfinite(chosen->fullness()) ? Cell{chosen->fullness()} : Cell{};
         }},
        {{"runner_up", "Runner-up: why it lost", "", "next best product that suffices", 3},
         [](const Row& r) -> Cell { return runner_up_in_words(*r.selection); }},
        {{"next_down", "Next down: why not", "", "largest product that does not suffice", 4},
         [](const Row& r) -> Cell { return next_down_in_words(*r.selection); }},
        {{"product", "Product name", "", "as the catalogue calls it; of a row the longest", 5, Sum::none, Show::data},
         [](const Row& r) -> Cell {
             const auto& chosen = r.selection->choice.chosen;
             return chosen ? Cell{chosen->product().name()} : Cell{};
         }},
        {{"count", "Number", "count", "how many of it", 5, Sum::none, Show::data},
         [](const Row& r) -> Cell {
             const auto& chosen = r.selection->choice.chosen;
             return chosen ? figure::whole(chosen->count()) : Cell{};
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

} // namespace venture::study::detail
