#include <venture/loads/path_terms.hpp>

#include <cmath>

#include <fmt/format.h>

#include <venture/building/surface_names.hpp>
#include <venture/loads/day_models.hpp>
#include <venture/loads/load_figures.hpp>
#include <venture/loads/room_at_edge.hpp>

namespace venture::loads {

double PathTerms::felt() const
{
    double sum = 0.0;
    for (const PathTerm& term : terms) sum += term.felt;
    return sum;
}

std::optional<PathTerms> terms_of_path(const building::Building& b, std::size_t room, const climate::DesignDay& day,
                                       std::size_t hour, double reference_C, PathKind kind, const std::string& through,
                                       const DesignOptions& options)
{
    const auto models = models_of(b, options);
    const Compiled compiled = models->compile(b, day);
    const detail::DayOfBuilding run = detail::run_for_parts(compiled.model, models->begin_of(day));
    const std::size_t zone = compiled.zone_of_room[room];
    const detail::RoomAtEdge at_edge{run, zone, reference_C, naming(b, compiled, room)};
    const auto terms = at_edge.terms(kind, through, hour);
    if (!terms) return std::nullopt;
    const balance::ZoneDay& of = run.day.zones[zone];
    PathTerms out{.room = b.rooms[room].name,
                  .kind = kind,
                  .through = through,
                  .when = {day.name, day.month, clock_hour(day.clock_ahead_h, hour)},
                  .clock_ahead_h = day.clock_ahead_h,
                  .hour = hour,
                  .heat = at_edge.is_heat(kind, through),
                  .floats = of.heating_W[hour] <= 0.0 && of.cooling_W[hour] <= 0.0,
                  .sign = of.heating_W[hour] > of.cooling_W[hour] ? -1.0 : 1.0};
    for (std::size_t h = 0; h < out.terms.size(); ++h)
        out.terms[h] = {(*terms)[h].acted, out.floats ? (*terms)[h].operative_K : out.sign * (*terms)[h].cooling_W};
    return out;
}

std::vector<TermRow> term_rows(const PathTerms& terms)
{
    std::vector<TermRow> out;
    for (std::size_t ago = terms.terms.size(); ago-- > 0;) out.push_back({&terms, ago});
    return out;
}

namespace {

/// What is felt over what acted; nothing where nothing acted, or the table tells another ratio.
figure::Cell ratio_of(const TermRow& t, bool heat, bool floats)
{
    const PathTerm& term = t.term();
    return figure::where(t.of->heat == heat && t.of->floats == floats && term.acted != 0.0, term.felt / term.acted);
}

} // namespace

const figure::TableOf<TermRow>& path_term_columns()
{
    using figure::Cell;
    using figure::finer;
    using figure::Show;
    using figure::Sum;
    using figure::where;
    using T = TermRow;
    static const figure::TableOf<T> all = {
        {"path_term", "The hours that a load adds up from",
         "What acted by one path in one of the 24 hours before, and what of it is felt in the hour asked for: what "
         "acted times the share of it. Together they are the load by that path.",
         4},
        {
            {{"room", "Room", "", "name of the room", 0, Sum::none, Show::data},
             [](const T& t) -> Cell { return t.of->room; }},
            {{"path", "By", "", "what acts", 0, Sum::none, Show::data},
             [](const T& t) -> Cell { return std::string{in_words(t.of->kind)}; }},
            {{"through", "through", "", "surface, or whose air", 0, Sum::none, Show::data},
             [](const T& t) -> Cell { return where(!t.of->through.empty(), t.of->through); }},
            {{"when", "Hour", "",
              "in which it acted, by the clock; those after the hour asked for are of the day before", 0},
             [](const T& t) -> Cell {
                 const int clock = clock_hour(t.of->clock_ahead_h, (t.of->hour + 24 - t.hours_ago) % 24);
                 return fmt::format("{:02}-{:02} h", clock, clock + 1);
             }},
            {{"hours_before", "before", "count", "hours before the one asked for", 2},
             [](const T& t) -> Cell { return figure::whole(t.hours_ago); }},
            {finer({"heat", "acted", "power", "heat that came in, mean of the hour", 1, Sum::none, Show::if_any}, 1),
             [](const T& t) -> Cell { return where(t.of->heat, t.term().acted); }},
            {finer({"warmer", "acted", "temperature_difference",
                    "by what it was warmer than the reference, mean of the hour", 1, Sum::none, Show::if_any},
                   2),
             [](const T& t) -> Cell { return where(!t.of->heat, t.term().acted); }},
            {finer({"share", "felt", "fine_ratio", "load over the heat that acted", 1, Sum::none, Show::if_any}, 2),
             [](const T& t) -> Cell { return ratio_of(t, true, false); }},
            {finer({"per_degree", "felt", "heat_loss", "load for each degree that acted", 1, Sum::none, Show::if_any},
                   3),
             [](const T& t) -> Cell { return ratio_of(t, false, false); }},
            {{"warmth_by_power", "felt", "warmth_by_power", "warmth of a room that floats, for the heat that acted", 1,
              Sum::none, Show::if_any},
             [](const T& t) -> Cell { return ratio_of(t, true, true); }},
            {finer({"warmth_by_warmth", "felt", "fine_ratio",
                    "warmth of a room that floats, for each degree that acted", 1, Sum::none, Show::if_any},
                   2),
             [](const T& t) -> Cell { return ratio_of(t, false, true); }},
            {finer({"load", "load", "power", "acted times felt", 1, Sum::added, Show::if_any}, 2),
             [](const T& t) -> Cell { return where(!t.of->floats, t.term().felt); }},
            {finer(
                 {"warmer_by", "warmer by", "temperature_difference", "acted times felt", 1, Sum::added, Show::if_any},
                 3),
             [](const T& t) -> Cell { return where(t.of->floats, t.term().felt); }},
        }};
    return all;
}

} // namespace venture::loads
