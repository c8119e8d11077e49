#include <venture/resolve/partitions.hpp>

#include <algorithm>
#include <set>

#include <venture/resolve/surface_build_ups.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using quantity::Kind;
using quantity::Severity;

namespace {

Attitude opposite(Attitude attitude)
{
    if (attitude == Attitude::wall) return attitude;
    return attitude == Attitude::floor ? Attitude::ceiling : Attitude::floor;
}

bool adjoins_room(const Surface& s) { return s.beyond.kind == Neighbour::Kind::room; }

} // namespace

/// The same layers the other way round, as one more build-up; itself where that makes no difference.
std::size_t Partitions::turned_round(std::size_t build_up)
{
    if (is_symmetric(building_.build_ups[build_up].layers)) return build_up;
    const auto [known, is_new] = turned_.try_emplace(build_up, building_.build_ups.size());
    if (!is_new) return known->second;
    NamedBuildup turned = building_.build_ups[build_up];
    turned.layers = fabric::turned_round(std::move(turned.layers));
    turned.layers.name += ", turned round";
    turned_[known->second] = build_up;
    building_.build_ups.push_back(std::move(turned));
    return known->second;
}

/// Layers run from outside to inside of the room that names the build-up, whichever of the two the surface stands in.
void Partitions::set_build_up_as_seen_from(std::size_t room, std::size_t build_up, Surface& surface,
                                           const Given<std::string>& typed)
{
    const std::size_t seen = room == surface.room ? build_up : turned_round(build_up);
    if (surface.build_up != no_build_up && surface.build_up != seen) {
        const bool same_layers = turned_round(surface.build_up) == seen;
        problem(codes::contradiction, typed.origin,
                same_layers
                    ? fmt::format("build_up: both rooms beside the {} of '{}' call it '{}', whose layers run from "
                                  "outside to inside: of one room or of the other",
                                  surface.name, building_.rooms[surface.room].name, *typed)
                    : fmt::format("build_up: the {} of '{}' is '{}' here and '{}' elsewhere", surface.name,
                                  building_.rooms[surface.room].name, *typed,
                                  building_.build_ups[surface.build_up].layers.name),
                "a wall between two rooms is one wall: say it once");
    }
    surface.build_up = seen;
}

/// Whether two faces of rooms without a place are the two sides of one wall.
bool Partitions::name_each_other(const Surface& a, const Surface& b) const
{
    return adjoins_room(a) && adjoins_room(b) && !building_.rooms[a.room].on_plan && a.room == b.beyond.room &&
           b.room == a.beyond.room && b.attitude == opposite(a.attitude);
}

/// What the side that goes says of the wall goes over to the one that stays, which is the smaller.
void Partitions::join_sides(Surface& stays, const Surface& goes)
{
    const Room &other = building_.rooms[goes.room], &own = building_.rooms[stays.room];
    if (goes.build_up != no_build_up)
        set_build_up_as_seen_from(goes.room, goes.build_up, stays,
                                  {building_.build_ups[goes.build_up].layers.name, other.origin});
    constexpr double alike = 1.01;
    if (goes.gross_m2 <= alike * stays.gross_m2) return;
    finding(Severity::warning, codes::near_miss, other.origin, "room/" + other.name,
            fmt::format("'{}' and '{}' name each other, but the {} of one has {} and the {} of the other {}: the "
                        "smaller counts, and what is left of the larger nowhere",
                        other.name, own.name, goes.parent, units_.text(goes.gross_m2, Kind::area), stays.parent,
                        units_.text(stays.gross_m2, Kind::area)),
            "give both faces the size of what they share");
}

/// Two rooms without a place that name each other share one wall.
void Partitions::join_stated_pairs()
{
    std::vector<Surface>& all = building_.surfaces;
    std::set<std::size_t> gone;
    const auto rank = [&](std::size_t k) { return std::pair{all[k].gross_m2, building_.rooms[all[k].room].name}; };
    for (std::size_t i = 0; i < all.size(); ++i) {
        if (!adjoins_room(all[i]) || building_.rooms[all[i].room].on_plan || gone.contains(i)) continue;
        for (std::size_t j = i + 1; j < all.size(); ++j) {
            if (gone.contains(j) || !name_each_other(all[i], all[j])) continue;
            const std::size_t stays = rank(i) <= rank(j) ? i : j, goes = stays == i ? j : i;
            join_sides(all[stays], all[goes]);
            gone.insert(goes);
            break;
        }
    }
    std::size_t index = 0;
    std::erase_if(all, [&](const Surface&) { return gone.contains(index++); });
}

/// Build-ups that [fabric] names. A wall between two rooms that differs from side to side and of which nobody said which
/// way it faces has one half of its area each way, so that nothing hangs on which room is looked at first.
void Partitions::give_both_ways()
{
    std::map<std::size_t, std::vector<std::string>> open; // by build-up: walls
    for (Surface& s : building_.surfaces) {
        if (s.build_up != no_build_up) continue;
        set_build_up(work_, s);
        if (!adjoins_room(s) || s.attitude != Attitude::wall || s.build_up == no_build_up) continue;
        const std::size_t turned = turned_round(s.build_up);
        if (turned == s.build_up) continue;
        s.other_half = turned;
        const auto [first, second] = std::minmax(building_.rooms[s.room].name, building_.rooms[s.beyond.room].name);
        open[s.build_up].push_back(fmt::format("'{}' and '{}'", first, second));
    }
    for (auto& [build_up, walls] : open) {
        std::ranges::sort(walls);
        walls.erase(std::ranges::unique(walls).begin(), walls.end());
        const std::string& name = building_.build_ups[build_up].layers.name;
        finding(Severity::warning, codes::either_way, input_.fabric.inner_wall.origin, "build_up/" + name,
                fmt::format("'{}' differs from side to side, and nothing says which way it faces between {}: half of "
                            "each wall is taken one way, half the other",
                            name, quantity::listed(walls, 3)),
                "name it as build_up of a [[room.face]]: its layers then run from outside to inside of that room; or "
                "give inner walls a build-up that is the same from both sides");
    }
}

/// Behind a party wall stands a room like this one: nothing flows through its middle, and each side counts its half.
void Partitions::end_party_walls_in_the_middle()
{
    std::map<std::size_t, std::size_t> halves;
    for (Surface& s : building_.surfaces) {
        if (s.beyond.kind != Neighbour::Kind::nothing || !s.beyond.like_room || s.build_up == no_build_up) continue;
        const auto [known, is_new] = halves.try_emplace(s.build_up, building_.build_ups.size());
        if (is_new) {
            NamedBuildup half = building_.build_ups[s.build_up];
            half.layers = inner_half(half.layers);
            half.layers.name += ", to its middle";
            building_.build_ups.push_back(std::move(half));
        }
        s.build_up = known->second;
    }
}

} // namespace venture::resolve
