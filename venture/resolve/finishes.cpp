#include <venture/resolve/finishes.hpp>

#include <algorithm>
#include <array>
#include <map>
#include <set>

#include <venture/resolve/pass.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;

namespace {

class Finishes : Pass {
public:
    explicit Finishes(Work& work) : Pass{work} {}
    void add_finishes();
    void set_colours(FaceNames& names);

private:
    [[nodiscard]] std::optional<std::size_t> finish_of(std::size_t room, Attitude attitude);
};

constexpr std::array<double, 3> colour_absorptance = {0.4, 0.6, 0.8}; ///< light, medium, dark

} // namespace

/// The finish on a room's floors or under its ceilings.
std::optional<std::size_t> Finishes::finish_of(std::size_t room, Attitude attitude)
{
    if (attitude == Attitude::wall) return std::nullopt;
    const UseInput& use = input_.rooms[room].use;
    const Given<std::string>& name = attitude == Attitude::floor ? use.floor_finish : use.ceiling_finish;
    if (!name) return std::nullopt;
    const auto at = std::ranges::find(building_.build_ups, *name, [](const NamedBuildup& b) { return b.layers.name; });
    return at == building_.build_ups.end() ? std::nullopt
                                           : std::optional{static_cast<std::size_t>(at - building_.build_ups.begin())};
}

/// Build-ups of floors and ceilings with what their rooms have on them, each once.
void Finishes::add_finishes()
{
    std::set<std::uint32_t> told;
    for (const RoomInput& room : input_.rooms)
        for (const Given<std::string>* name : {&room.use.floor_finish, &room.use.ceiling_finish}) {
            if (!*name || !told.insert(name->origin.index).second) continue;
            const auto at = find_build_up(*name);
            if (at && building_.build_ups[*at].typed)
                problem(codes::contradiction, name->origin,
                        fmt::format("'{}' is known by its U-value, which has films in it", **name),
                        "a finish is given by its layers");
        }
    if (problems_.has_error()) return;
    std::map<std::tuple<std::size_t, std::optional<std::size_t>, std::optional<std::size_t>>, std::size_t> made;
    for (Surface& s : building_.surfaces) {
        const Attitude behind = s.attitude == Attitude::floor ? Attitude::ceiling : Attitude::floor;
        const auto inside = finish_of(s.room, s.attitude);
        const auto outside = s.beyond.kind == Neighbour::Kind::room && s.attitude != Attitude::wall
                                 ? finish_of(s.beyond.room, behind)
                                 : std::nullopt;
        if (!inside && !outside) continue;
        const auto [known, is_new] =
            made.try_emplace(std::tuple{s.build_up, outside, inside}, building_.build_ups.size());
        if (is_new) {
            NamedBuildup with = building_.build_ups[s.build_up];
            auto& layers = with.layers.layers;
            if (inside) {
                const NamedBuildup& finish = building_.build_ups[*inside];
                layers.insert(layers.end(), finish.layers.layers.begin(), finish.layers.layers.end());
                with.layers.name += " with " + finish.layers.name;
            }
            if (outside) {
                const NamedBuildup& finish = building_.build_ups[*outside];
                layers.insert(layers.begin(), finish.layers.layers.rbegin(), finish.layers.layers.rend());
                with.layers.name += " over " + finish.layers.name;
            }
            building_.build_ups.push_back(std::move(with));
        }
        s.build_up = known->second;
    }
}

/// Outside faces whose colour is said: for all walls or roofs, or for one face.
void Finishes::set_colours(FaceNames& names)
{
    const auto of_colour = [](const Choice<Colour>& said) -> std::optional<double> {
        const auto colour = said.which();
        if (!colour) return std::nullopt;
        return colour_absorptance[static_cast<std::size_t>(*colour)];
    };
    for (Surface& s : building_.surfaces) {
        if (s.beyond.kind != Neighbour::Kind::outdoors) continue;
        if (s.attitude == Attitude::wall) s.absorptance = of_colour(input_.fabric.wall_colour);
        if (s.attitude == Attitude::ceiling) s.absorptance = of_colour(input_.fabric.roof_colour);
    }
    for (std::size_t r = 0; r < input_.rooms.size(); ++r)
        for (const FaceInput& face : input_.rooms[r].faces) {
            if (!face.colour && !face.absorptance) continue;
            if (face.colour && face.absorptance)
                problem(codes::contradiction, face.absorptance.origin, "a face has a colour and an absorptance",
                        "keep one of them");
            const Given<std::string>& where = face.on ? face.on : face.name;
            if (!where) continue; // told already
            for (Surface* s : names.faces_called(*where, r, where.origin))
                s->absorptance = face.absorptance ? *face.absorptance : of_colour(face.colour);
        }
}

void add_finishes(Work& work) { Finishes{work}.add_finishes(); }

void set_colours(Work& work, FaceNames& names) { Finishes{work}.set_colours(names); }

} // namespace venture::resolve
