#include <venture/study/considered_figures.hpp>

#include <algorithm>
#include <map>

#include <fmt/format.h>

#include <venture/figure/tables_of.hpp>
#include <venture/terminal/considered.hpp>

namespace venture::study {

using figure::Cell;
using figure::Show;
using figure::Sum;
using quantity::name_of;
using rating::Fails;
using terminal::RoomSelection;

namespace {

struct ConsideredRow {
    const RoomSelection* of = nullptr;
    terminal::Considered one{};
};
struct StaysRow {
    const RoomSelection* of = nullptr;
    terminal::StaysChosen stays{};
};

const rating::Kind& kind_of(const Sizing& s, const RoomSelection& u) { return *s.services.circuits[u.circuit].unit; }

const terminal::RoomPlaces* places_of(const Sizing& s, const RoomSelection& u)
{
    return u.room < s.places.size() ? &s.places[u.room] : nullptr;
}

std::optional<rating::Asked> also(const Sizing& s, const RoomSelection& u)
{
    for (const RoomSelection& other : s.units)
        if (other.node == u.node && other.duty.service != u.duty.service) return rating::Asked{other.at, other.duty};
    return std::nullopt;
}

std::vector<terminal::Considered> considered_for(const Sizing& s, const RoomSelection& u)
{
    return terminal::considered(u, kind_of(s, u), *s.stocks, places_of(s, u), also(s, u));
}

const figure::TableOf<ConsideredRow>& considered_columns()
{
    using C = ConsideredRow;
    static const figure::TableOf<C> all = {
        {"considered", "All that was considered", "A product, or a body in the row that it would make.", 2},
        {
            {{"duty", "Duty", "", "heating or cooling", 0, Sum::none, Show::if_varied},
             [](const C& c) -> Cell { return std::string{name_of(c.of->duty.service)}; }},
            {{"what", "Product", "", "with how many of it", 0}, [](const C& c) -> Cell { return c.one.called; }},
            {{"full", "full", "share", "need over capacity of so many", 1},
             [](const C& c) -> Cell {
                 const double full = c.one.verdict.fullness;
                 return figure::where(full > 0.0 && std::isfinite(full), full);
             }},
            {{"fails", "Fails in", "", "the first criterion; nothing where it suffices", 1},
             [](const C& c) -> Cell {
                 return figure::where(c.one.verdict.fails != Fails::nothing, std::string{name_of(c.one.verdict.fails)});
             }},
            {{"by", "By how much", "", "what it has, and what is asked", 1},
             [](const C& c) -> Cell {
                 return figure::where(c.one.verdict.fails != Fails::nothing, in_words(c.one.verdict));
             }},
        }};
    return all;
}

const figure::TableOf<StaysRow>& stays_columns()
{
    using T = StaysRow;
    static const figure::TableOf<T> all = {
        {"stays", "How far the need may move", "A unit that was chosen."},
        {
            {{"duty", "Duty", "", "heating or cooling", 0},
             [](const T& t) -> Cell { return std::string{name_of(t.of->duty.service)}; }},
            {{"chosen", "Chosen", "", "with how many of it", 0},
             [](const T& t) -> Cell { return t.of->choice.chosen->called(); }},
            {{"needs", "for", "total_power", "what is needed"}, [](const T& t) -> Cell { return t.of->duty.W; }},
            {{"from", "down to", "total_power", "least need for which it is chosen"},
             [](const T& t) -> Cell { return t.of->duty.W * t.stays.down_to; }},
            {{"below", "below that", "", "what is chosen then"},
             [](const T& t) -> Cell { return figure::where(!t.stays.below.empty(), t.stays.below); }},
            {{"to", "up to", "total_power", "largest need for which it is chosen"},
             [](const T& t) -> Cell {
                 return figure::where(t.stays.up_to < rating::no_limit, t.of->duty.W * t.stays.up_to);
             }},
            {{"above", "above that", "", "what is chosen then"},
             [](const T& t) -> Cell { return t.stays.above.empty() ? Cell{"nothing suffices"} : Cell{t.stays.above}; }},
        }};
    return all;
}

} // namespace

std::string failures_in_words(const Sizing& sizing, const RoomSelection& selection)
{
    std::map<Fails, std::pair<std::size_t, std::string>> by_cause; // how many, and the nearest
    std::map<Fails, double> nearest;
    const auto all = considered_for(sizing, selection);
    for (const terminal::Considered& c : all) {
        const rating::Verdict& v = c.verdict;
        if (v.fails == Fails::nothing) continue;
        auto& [count, example] = by_cause[v.fails];
        ++count;
        const bool of_capacity = v.fails == Fails::total || v.fails == Fails::sensible || v.fails == Fails::latent;
        const double off = of_capacity ? v.limit / v.value : v.value / v.limit;
        if (const auto [known, is_first] = nearest.try_emplace(v.fails, off); is_first || off < known->second) {
            known->second = off;
            example = fmt::format("{}: {}", c.called, in_words(v));
        }
    }
    std::vector<std::string> parts;
    for (const auto& [cause, told] : by_cause)
        parts.push_back(fmt::format("{} by {} ({})", told.first, name_of(cause), told.second));
    return fmt::format("{}", fmt::join(parts, "; "));
}

figure::Table considered_table(const Sizing& sizing, const std::string& room)
{
    std::vector<ConsideredRow> rows;
    for (const RoomSelection& u : sizing.units) {
        if (sizing.loads.rooms[u.room].room != room) continue;
        const std::size_t first = rows.size();
        for (terminal::Considered& c : considered_for(sizing, u)) rows.push_back({&u, std::move(c)});
        std::ranges::stable_sort(rows.begin() + static_cast<std::ptrdiff_t>(first), rows.end(),
                                 [](const auto& a, const auto& b) {
                                     const rating::Verdict &x = a.one.verdict, &y = b.one.verdict;
                                     const bool of_x = x.fails == Fails::nothing, of_y = y.fails == Fails::nothing;
                                     if (of_x != of_y) return of_x;
                                     return of_x ? x.fullness > y.fullness : x.fails < y.fails;
                                 });
    }
    return figure::table_of(considered_columns(), rows);
}

figure::Table stays_table(const Sizing& sizing, const std::string& room)
{
    std::vector<StaysRow> rows;
    for (const RoomSelection& u : sizing.units)
        if (sizing.loads.rooms[u.room].room == room && !u.kept && u.choice.chosen)
            rows.push_back({&u, terminal::how_long_it_stays(u, kind_of(sizing, u), *sizing.stocks, places_of(sizing, u),
                                                            also(sizing, u))});
    return figure::table_of(stays_columns(), rows);
}

std::vector<figure::Declaration> considered_declarations()
{
    return {considered_columns().declaration(), stays_columns().declaration()};
}

} // namespace venture::study
