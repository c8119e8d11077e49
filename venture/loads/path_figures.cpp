/// Columns of loads by path.

#include <algorithm>
#include <cmath>

#include <venture/loads/load_figures.hpp>

namespace venture::loads {

using figure::Cell;
using figure::Show;
using figure::Sum;
using figure::where;

std::vector<PathRow> path_rows(const PeakParts& peak, std::string_view of)
{
    constexpr double least_W = 0.05, least_K = 0.005; // less is told as nothing
    const bool warmth = of == "warmth";
    std::vector<PathRow> rows;
    for (const LoadPath& path : peak.parts.paths) {
        const double counts = warmth ? path.temperature_K[peak.hour] / least_K : path.cooling_W[peak.hour] / least_W;
        const bool gives = path.gain_W && std::abs((*path.gain_W)[peak.hour]) >= least_W;
        if (std::abs(counts) >= 1.0 || gives)
            rows.push_back({peak.parts.room, of, &path, peak.hour, of == "heating" ? -1.0 : 1.0});
    }
    std::ranges::stable_sort(rows, std::greater{}, [&](const PathRow& r) {
        return warmth ? r.path->temperature_K[r.hour] : r.sign * r.path->cooling_W[r.hour];
    });
    return rows;
}

bool all_hours_alike(const RoomParts& parts)
{
    const auto [least, most] = std::ranges::minmax(parts.cooling_W);
    return parts.month == 0 && most - least < 0.5;
}

std::string moment_of(const PeakParts& peak)
{
    return all_hours_alike(peak.parts) ? peak.parts.day
                                       : in_words(figure::When{peak.parts.day, peak.parts.month,
                                                               clock_hour(peak.parts.clock_ahead_h, peak.hour)});
}

const figure::TableOf<PathRow>& load_path_columns()
{
    using P = PathRow;
    static const figure::TableOf<P> all = {
        {"load_path", "Loads by path",
         "What comes over the edge of a room, followed through its delay: the day of the peak replayed with one path "
         "at a "
         "time, rooms beside it as warm as they were. Together they are the load.",
         4},
        {
            {{"room", "Room", "", "name of the room", 0, Sum::none, Show::if_varied},
             [](const P& p) -> Cell { return p.room; }},
            {{"of", "Load", "", "heating, the sensible part of cooling, or the warmth of a room that floats", 0,
              Sum::none, Show::data},
             [](const P& p) -> Cell { return std::string{p.of}; }},
            {{"path", "By", "", "what acts", 0},
             [](const P& p) -> Cell { return std::string{in_words(p.path->kind)}; }},
            {{"through", "through", "", "surface, or whose air", 1, Sum::none, Show::if_any},
             [](const P& p) -> Cell { return where(!p.path->through.empty(), p.path->through); }},
            {{"gain", "comes in", "power", "in that hour, before any of it is stored", 3, Sum::none, Show::if_any},
             [](const P& p) -> Cell { return p.path->gain_W ? Cell{(*p.path->gain_W)[p.hour]} : Cell{}; }},
            {{"load", "load", "power", "of this path alone; negative: it lessens the load", 1, Sum::added,
              Show::if_any},
             [](const P& p) -> Cell { return where(p.of != "warmth", p.sign * p.path->cooling_W[p.hour]); }},
            {{"stored", "from store", "power",
              "load less what comes in: given off by walls and floors; negative: taken up there", 4, Sum::none,
              Show::if_any},
             [](const P& p) -> Cell {
                 return p.path->gain_W && p.of != "warmth"
                            ? Cell{p.sign * p.path->cooling_W[p.hour] - (*p.path->gain_W)[p.hour]}
                            : Cell{};
             }},
            {{"warmer", "warmer by", "temperature_difference", "operative temperature, by this path alone", 1,
              Sum::added, Show::if_any},
             [](const P& p) -> Cell { return where(p.of == "warmth", p.path->temperature_K[p.hour]); }},
        }};
    return all;
}

} // namespace venture::loads
