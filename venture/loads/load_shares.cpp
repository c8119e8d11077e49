#include <venture/loads/load_shares.hpp>

#include <algorithm>

namespace venture::loads {

using figure::Cell;
using figure::Show;
using figure::Sum;

namespace {

bool holds(const std::vector<std::size_t>& rooms, std::size_t room)
{
    return std::ranges::find(rooms, room) != rooms.end();
}

LoadShare share_of(const RoomLoads& loads, const GroupLoad& group, std::size_t r, std::optional<bool> cooling)
{
    const RoomLoad& room = loads.rooms[r];
    LoadShare out{.of = &group, .room = &room};
    if (holds(group.heated, r) && !cooling.value_or(false))
        out.heating_W = heating_in_W(loads, {r}, group.heating_hour);
    if (!holds(group.cooled, r) || !cooling.value_or(true)) return out;
    const bool by_hour = !room.cooling_days.empty(); // else as it was typed
    const LoadDay* day = by_hour ? &room.cooling_days[group.cooling.day] : nullptr;
    out.sensible_W = by_hour ? day->sensible_W[group.cooling.hour] : room.cooling_sensible_W;
    out.cooling_W = out.sensible_W + (by_hour ? day->latent_W[group.cooling.hour] : room.cooling_latent_W);
    return out;
}

Cell part_of(std::optional<double> part_W, double whole_W) { return part_W ? figure::ratio(*part_W, whole_W) : Cell{}; }

} // namespace

std::vector<LoadShare> load_shares(const RoomLoads& loads, const std::vector<GroupLoad>& groups,
                                   std::optional<bool> cooling)
{
    std::vector<LoadShare> out;
    for (const GroupLoad& group : groups) {
        const auto first = static_cast<std::ptrdiff_t>(out.size());
        for (std::size_t r = 0; r < loads.rooms.size(); ++r)
            if (LoadShare share = share_of(loads, group, r, cooling); share.heating_W || share.cooling_W)
                out.push_back(std::move(share));
        std::ranges::stable_sort(out.begin() + first, out.end(), std::greater{}, [](const LoadShare& s) {
            return std::max(s.heating_W.value_or(0.0), s.cooling_W.value_or(0.0));
        });
    }
    return out;
}

const figure::TableOf<LoadShare>& load_share_columns()
{
    using S = LoadShare;
    static const figure::TableOf<S> all = {
        {"load_share", "Rooms in the hour of the sum",
         "A room in the hour in which heating, and in that in which cooling, of some rooms together is largest.", 2},
        {
            {{"of", "Together", "", "all rooms, a storey, or a list that was asked for", 0, Sum::none, Show::if_varied},
             [](const S& s) -> Cell { return s.of->of; }},
            {{"room", "Room", "", "name of the room", 0}, [](const S& s) -> Cell { return s.room->room; }},
            {{"heating", "Heating", "power", "in the largest hour of their heating", 1, Sum::added, Show::if_any},
             [](const S& s) -> Cell { return figure::cell_of(s.heating_W); }},
            {{"heating_share", "of all", "share", "of that hour", 2, Sum::added, Show::if_any},
             [](const S& s) -> Cell { return part_of(s.heating_W, s.of->heating_W); }},
            {{"cooling", "Cooling", "power", "sensible and latent, in the largest hour of their cooling", 1, Sum::added,
              Show::if_any},
             [](const S& s) -> Cell { return figure::cell_of(s.cooling_W); }},
            {{"cooling_share", "of all", "share", "of that hour", 2, Sum::added, Show::if_any},
             [](const S& s) -> Cell { return part_of(s.cooling_W, s.of->cooling.total_W); }},
            {{"cooling_sensible", "sensible", "power", "of it", 3, Sum::added, Show::if_any},
             [](const S& s) -> Cell { return figure::where(s.cooling_W.has_value(), s.sensible_W); }},
            {{"own_peak", "own peak", "power", "its own largest cooling, in whichever hour", 4, Sum::added,
              Show::if_any},
             [](const S& s) -> Cell { return figure::where(s.cooling_W.has_value(), s.room->cooling_W); }},
        }};
    return all;
}

} // namespace venture::loads
