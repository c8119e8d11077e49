#include <venture/resolve/openings.hpp>

#include <venture/resolve/glass.hpp>
#include <venture/resolve/opening_places.hpp>
#include <venture/resolve/pass.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using quantity::Kind;

namespace {

class Openings : Pass {
public:
    Openings(Work& work, FaceNames& names) : Pass{work}, names_{names} {}
    void add_all();

private:
    void add_opening(const OpeningInput& opening, std::size_t room);
    [[nodiscard]] Surface* surface_for(const OpeningInput& opening, std::size_t room, const std::string& label);
    [[nodiscard]] static Plates plates_of(const OpeningInput& opening);
    void check_plates(const OpeningInput& opening, const std::string& label);
    void set_open_share(const OpeningInput& given, const std::string& label, Opening& out);
    void fill_opening(const OpeningInput& opening, quantity::OriginId where, const std::string& label, Opening& out);
    void check_open(const OpeningInput& given, quantity::OriginId where, const std::string& label);
    [[nodiscard]] std::optional<quantity::OriginId> size_of_opening(const OpeningInput& opening, std::size_t room);

    FaceNames& names_;
    OpeningsBySurface to_place_{};
};

} // namespace

/// The surface that an opening stands in; nothing, and a complaint, if there is none.
Surface* Openings::surface_for(const OpeningInput& given, std::size_t room, const std::string& label)
{
    const auto larger = [](Surface* best, Surface& s) {
        return best == nullptr || s.gross_m2 > best->gross_m2 ? &s : best;
    };
    const std::string& room_name = building_.rooms[room].name;
    Surface* best = nullptr;
    if (given.to) {
        const auto other = find_room(given.to);
        if (!other) return nullptr;
        for (const std::size_t i : names_.surfaces_of(room)) {
            Surface& s = building_.surfaces[i];
            if (s.attitude == Attitude::wall && s.beyond.kind == Neighbour::Kind::room &&
                (s.room == room ? s.beyond.room : s.room) == *other)
                best = larger(best, s);
        }
        if (best == nullptr)
            problem(codes::opening, given.to.origin,
                    fmt::format("{} from '{}' to '{}': these rooms share no wall", label, room_name, *given.to));
        return best;
    }
    const auto candidates = names_.faces_called(*given.in, room, given.in.origin);
    for (Surface* s : candidates)
        if (s->beyond.kind == Neighbour::Kind::outdoors) best = larger(best, *s);
    if (best == nullptr && !candidates.empty())
        problem(codes::opening, given.in.origin,
                fmt::format("{} in the {} of '{}': that face has no part to outdoors", label, *given.in, room_name));
    return best;
}

/// A reveal shades as a plate of its depth over the opening and on either side would.
Plates Openings::plates_of(const OpeningInput& given)
{
    Plates out;
    out.overhang.depth_m = value_of(given.overhang);
    out.overhang.above_m = value_of(given.overhang_above);
    out.overhang.beyond_left_m = out.overhang.beyond_right_m = value_of(given.overhang_beyond);
    out.left.depth_m = value_of(given.fins);
    out.left.beside_m = value_of(given.fins_beside);
    out.right = out.left;
    out.reveal_m = value_of(given.reveal);
    return out;
}

/// Offsets of plates that are not there.
void Openings::check_plates(const OpeningInput& given, const std::string& label)
{
    const auto needs = [&](const Given<double>& offset, std::string_view key, const Given<double>& depth,
                           std::string_view of) {
        if (!offset || depth) return;
        problem(codes::contradiction, offset.origin, fmt::format("{}: {} stands without {}", label, key, of),
                fmt::format("type {}, the plate's depth, or leave {} out", of, key));
    };
    needs(given.overhang_above, "overhang_above", given.overhang, "overhang");
    needs(given.overhang_beyond, "overhang_beyond", given.overhang, "overhang");
    needs(given.fins_beside, "fins_beside", given.fins, "fins");
    if (given.to && (given.reveal || given.overhang || given.fins))
        problem(codes::contradiction, given.to.origin,
                fmt::format("{}: nothing shades what lies between two rooms", label),
                "leave reveal, overhang and fins out");
}

/// What fills an opening: glazing and shade of a window, U-value of a door.
void Openings::fill_opening(const OpeningInput& given, quantity::OriginId where, const std::string& label, Opening& out)
{
    if (out.kind == Opening::Kind::open) return check_open(given, where, label);
    if (given.air_flow)
        problem(codes::contradiction, given.air_flow.origin, fmt::format("{}: air_flow is of what is open", label),
                "say kind = \"open\"; other air between rooms is transfer_air");
    const bool door = out.kind == Opening::Kind::door;
    if (door != static_cast<bool>(given.u_value) || door == static_cast<bool>(given.glazing))
        problem(
            codes::contradiction, where,
            fmt::format("{}: {}", label,
                        door ? "a door needs a u_value and has no glazing"
                             : "a window needs a glazing and has no u_value"),
            door ? "type its U-value, as in u_value = 1.8"
                 : "name one, as in glazing = \"double, low-emissivity, argon\" (`venture library double` lists some "
                   "that ship), or say kind = \"door\"");
    if (given.u_value) out.u_value_W_per_m2K = *given.u_value;
    if (given.glazing)
        out.glazing = find("glazing", given.glazing, building_.glazings, [](const NamedGlazing& g) {
                          return g.values.name;
                      }).value_or(0);
    if (!door && !given.to) out.shade = shade_of(work_, given);
    set_open_share(given, label, out);
    if ((door || given.to) && given.shade)
        problem(codes::contradiction, given.shade.origin,
                fmt::format("{}: a {} has no shade", label, door ? "door" : "window between rooms"));
}

/// Nothing is in it, and a stated flow goes through it.
void Openings::check_open(const OpeningInput& given, quantity::OriginId where, const std::string& label)
{
    if (!given.to && !given.in.refused)
        problem(codes::contradiction, where, fmt::format("{}: what is open lies between two rooms", label),
                "say the other room with `to`; a door to outdoors that stands open has opened_per_hour");
    if (!given.air_flow && !given.air_flow.refused)
        problem(codes::missing, where, fmt::format("{} has no air_flow", label),
                "say how much air goes through it, as much each way: it is what joins the rooms");
    for (const auto* filled : {&given.glazing, &given.shade})
        if (*filled)
            problem(codes::contradiction, filled->origin, fmt::format("{}: nothing is in what is open", label),
                    "leave glazing and shade out");
    for (const auto* filled : {&given.u_value, &given.opened_per_hour})
        if (*filled)
            problem(codes::contradiction, filled->origin, fmt::format("{}: nothing is in what is open", label),
                    "leave u_value and opened_per_hour out");
}

/// How much of the time a door to outdoors stands open.
void Openings::set_open_share(const OpeningInput& given, const std::string& label, Opening& out)
{
    if (!given.opened_per_hour && !given.open_for) return;
    const quantity::OriginId where = given.opened_per_hour ? given.opened_per_hour.origin : given.open_for.origin;
    if (out.kind != Opening::Kind::door || given.to || !given.opened_per_hour)
        problem(codes::contradiction, where,
                fmt::format("{}: {}", label,
                            !given.opened_per_hour ? "open_for stands without opened_per_hour"
                                                   : "only doors to outdoors are opened by the hour"),
                "say both of a door to outdoors; air between rooms is transfer_air");
    out.open_share = value_of(given.opened_per_hour) * value_of(given.open_for);
    if (out.open_share > 1.0)
        problem(codes::contradiction, where,
                fmt::format("{}: it would stand open for {:.0f} minutes in every hour", label, 60.0 * out.open_share),
                "mend opened_per_hour or open_for");
}

/// Where the size of an opening is said, if it is, in one of three ways.
std::optional<quantity::OriginId> Openings::size_of_opening(const OpeningInput& given, std::size_t room)
{
    const bool by_sides = given.width || given.height;
    const int ways = (by_sides ? 1 : 0) + (given.area ? 1 : 0) + (given.share ? 1 : 0);
    if (given.width.refused || given.height.refused || given.area.refused || given.share.refused) return std::nullopt;
    const quantity::OriginId where = given.width    ? given.width.origin
                                     : given.height ? given.height.origin
                                     : given.area   ? given.area.origin
                                     : given.share  ? given.share.origin
                                     : given.in     ? given.in.origin
                                     : given.to     ? given.to.origin
                                                    : building_.rooms[room].origin;
    if (ways == 1 && (!by_sides || (given.width && given.height))) return where;
    problem(ways == 0 ? codes::missing : codes::contradiction, where,
            fmt::format("{} of '{}' has {}", value_of(given.kind), building_.rooms[room].name,
                        ways == 0   ? "no area"
                        : ways == 1 ? "a width or a height alone"
                                    : "its size in more than one way"),
            "type width and height, or area, or share of the wall");
    return std::nullopt;
}

void Openings::add_opening(const OpeningInput& given, std::size_t room)
{
    const auto where = size_of_opening(given, room);
    if (!where) return;
    Opening out{.name = value_of(given.name), .width_m = value_of(given.width), .height_m = value_of(given.height)};
    const std::string_view kind = given.kind ? std::string_view{*given.kind} : "window";
    const std::string label = given.width  ? fmt::format("{} of {} x {}", kind, units_.text(out.width_m, Kind::length),
                                                         units_.text(out.height_m, Kind::length))
                              : given.area ? fmt::format("{} of {}", kind, units_.text(*given.area, Kind::area))
                                           : fmt::format("{} of {:g} % of its wall", kind, 100.0 * *given.share);
    if (static_cast<bool>(given.in) == static_cast<bool>(given.to)) {
        if (given.in.refused || given.to.refused) return;
        problem(codes::contradiction, *where,
                fmt::format("{} of '{}' says {} where it is", label, building_.rooms[room].name,
                            given.in ? "twice" : "nowhere"),
                "an opening has `in` (a face to outdoors), or `to` (another room)");
        return;
    }
    if (given.kind == OpeningKind::door) out.kind = Opening::Kind::door;
    if (given.kind == OpeningKind::open) out.kind = Opening::Kind::open;
    fill_opening(given, *where, label, out);
    check_plates(given, label);
    out.plates = plates_of(given);
    Surface* surface = surface_for(given, room, label);
    if (surface == nullptr) return;
    if (out.kind == Opening::Kind::open && given.air_flow)
        building_.transfer_air.push_back({.from = surface->room == room ? surface->beyond.room : surface->room,
                                          .to = room,
                                          .flow_m3_per_s = *given.air_flow,
                                          .both_ways = true,
                                          .origin = given.air_flow.origin});
    to_place_[static_cast<std::size_t>(surface - building_.surfaces.data())].push_back(
        {&given, *where, label, std::move(out)});
}

void Openings::add_all()
{
    for (std::size_t r = 0; r < input_.rooms.size(); ++r)
        for (const OpeningInput& opening : input_.rooms[r].openings) add_opening(opening, r);
    place_openings(work_, to_place_);
}

void add_openings(Work& work, FaceNames& names) { Openings{work, names}.add_all(); }

} // namespace venture::resolve
