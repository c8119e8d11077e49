#include <venture/resolve/ground.hpp>

#include <array>
#include <map>
#include <set>
#include <tuple>

#include <venture/resolve/pass.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using quantity::Kind;

namespace {

class Ground : Pass {
public:
    explicit Ground(Work& work) : Pass{work} {}
    void check_ground_is_whole();
    void add_ground();

private:
    struct OnGround;
    /// Floors at one level that lie on the same: height on the grid, and whether there is a void.
    using Level = std::pair<std::int64_t, bool>;
    using Levels = std::map<Level, OnGround>;
    [[nodiscard]] bool over_void(std::size_t room) const;
    [[nodiscard]] Level level_of_floor(std::size_t room) const;
    [[nodiscard]] Levels floors_on_ground();
    [[nodiscard]] OnGround& level_of(const Surface& surface, Levels& levels) const;
    [[nodiscard]] fabric::GroundYear ground_of(const Surface& surface, const OnGround& on) const;
    [[nodiscard]] bool add_with_ground(const Surface& surface, const OnGround& on);
    void set_coldest_month();
};

bool lies_on_ground(const Surface& s)
{
    return s.attitude == Attitude::floor && s.beyond.kind == Neighbour::Kind::ground;
}

bool stands_in_ground(const Surface& s)
{
    return s.attitude == Attitude::wall && s.beyond.kind == Neighbour::Kind::ground;
}

/// Length of a room's walls to outdoors or to the ground: what its floor loses heat along, m.
double exposed_perimeter(const Building& b, std::size_t room)
{
    double length = 0.0;
    for (const Surface& s : b.surfaces)
        if (s.room == room && s.attitude == Attitude::wall &&
            (s.beyond.kind == Neighbour::Kind::outdoors || s.beyond.kind == Neighbour::Kind::ground))
            length += s.gross_m2 / b.rooms[room].height_m;
    return length;
}

} // namespace

/// What of one level meets the ground.
struct Ground::OnGround {
    /// Area and mean resistance of surfaces.
    struct Mean {
        double area_m2 = 0.0, area_times_resistance = 0.0;
        void add(const Building& b, const Surface& s)
        {
            area_m2 += s.gross_m2;
            area_times_resistance += s.gross_m2 * fabric::resistance(b.build_ups[s.build_up].layers);
        }
        [[nodiscard]] double m2K_per_W() const { return area_m2 > 0.0 ? area_times_resistance / area_m2 : 0.0; }
    };
    std::set<std::size_t> rooms{};
    Mean floors{}, walls{};
    double perimeter_m = 0.0, depth_m = 0.0; ///< depth of the floors below the ground outside
    bool over_void = false;
};

fabric::GroundYear Ground::ground_of(const Surface& surface, const OnGround& on) const
{
    const GroundInput& given = input_.ground;
    const fabric::YearlyTemperatures year{value_of(given.outdoor_mean), value_of(given.outdoor_amplitude),
                                          value_of(given.coldest_month), value_of(given.indoor)};
    const fabric::GroundFloor floor{.area_m2 = on.floors.area_m2,
                                    .exposed_perimeter_m = on.perimeter_m,
                                    .wall_thickness_m = value_of(given.wall_thickness),
                                    .ground_conductivity_W_per_mK = value_of(given.conductivity),
                                    .floor_m2K_per_W = on.floors.m2K_per_W()};
    const fabric::Buildup& layers = building_.build_ups[surface.build_up].layers;
    if (on.over_void) {
        constexpr std::array shelter = {0.02, 0.05, 0.10}; // ISO 13370, in the order of the words
        fabric::SuspendedFloor suspended{.ground = floor,
                                         .height_m = -on.depth_m,
                                         .void_wall_W_per_m2K = value_of(given.void_wall_u_value),
                                         .vents_m2_per_m = value_of(given.void_vents),
                                         .wind_m_per_s = value_of(given.void_wind)};
        suspended.wind_shielding =
            shelter.at(static_cast<std::size_t>(given.void_shelter.which().value_or(VoidShelter::average)));
        suspended.ground.floor_m2K_per_W = 0.0; // bare ground below
        return suspended_floor_year(suspended, layers, year);
    }
    constexpr double no_basement_m = 0.05;
    if (on.depth_m < no_basement_m)
        return ground_year(floor, layers, year,
                           {given.edge_lies == EdgeLies::upright, value_of(given.edge_width),
                            value_of(given.edge_thickness), value_of(given.edge_conductivity)});
    const fabric::Basement basement{.floor = floor, .depth_m = on.depth_m, .wall_m2K_per_W = on.walls.m2K_per_W()};
    return surface.attitude == Attitude::wall ? basement_wall_year(basement, layers, year)
                                              : basement_floor_year(basement, layers, year);
}

bool Ground::over_void(std::size_t room) const
{
    return building_.rooms[room].over_void.value_or(input_.ground.under_floor == UnderFloor::ventilated_void);
}

Ground::Level Ground::level_of_floor(std::size_t room) const
{
    return {to_grid(building_.rooms[room].floor_m), over_void(room)};
}

/// Floors on the ground by their level, lowest first.
Ground::Levels Ground::floors_on_ground()
{
    GroundInput& given = work_.input.ground;
    Levels levels;
    for (const Surface& s : building_.surfaces) {
        if (!lies_on_ground(s)) continue;
        OnGround& on = levels[level_of_floor(s.room)];
        on.over_void = over_void(s.room);
        on.floors.add(building_, s);
        on.rooms.insert(s.room);
    }
    if (levels.empty()) return levels;
    if (!given.level)
        given.level = computed(to_metres(levels.begin()->first.first), "the lowest floor", given.outdoor_mean.origin);
    for (const Surface& s : building_.surfaces)
        if (stands_in_ground(s)) level_of(s, levels).walls.add(building_, s);
    for (auto& [floor, on] : levels) {
        on.depth_m = *given.level - to_metres(floor.first);
        for (const std::size_t r : on.rooms) on.perimeter_m += exposed_perimeter(building_, r);
    }
    if (levels.size() > 1 && given.exposed_perimeter)
        problem(
            codes::contradiction, given.exposed_perimeter.origin,
            "floors lie on the ground at more than one level, or in part over a void: one exposed perimeter cannot be "
            "that of all",
            "leave it out, and it is measured for each");
    if (levels.size() > 1) return levels;
    if (!given.exposed_perimeter)
        given.exposed_perimeter = computed(levels.begin()->second.perimeter_m,
                                           "walls to outdoors of the rooms on the ground", given.outdoor_mean.origin);
    levels.begin()->second.perimeter_m = *given.exposed_perimeter;
    return levels;
}

/// The level that a surface belongs to: its own, or for walls over the rooms of a lower one the lowest.
Ground::OnGround& Ground::level_of(const Surface& s, Levels& levels) const
{
    const auto own = levels.find(level_of_floor(s.room));
    return own == levels.end() ? levels.begin()->second : own->second;
}

/// The height of the ground outside may stand alone; all else of [ground] asks for the year outdoors.
void Ground::check_ground_is_whole()
{
    const GroundInput& given = input_.ground;
    bool more = false;
    quantity::OriginId where{};
    const ConstRecord record{given};
    for (const Key& key : record.keys()) {
        const bool alone = key.spec.name == "level" || key.spec.name == "note";
        if (alone || !record.is_given(key)) continue;
        const auto kind = input_.origins.at(record.origin(key)).kind;
        if (kind == quantity::OriginKind::default_value || kind == quantity::OriginKind::computed) continue;
        more = true;
        where = record.origin(key);
    }
    if (!more) return;
    for (const auto field : {&GroundInput::outdoor_mean, &GroundInput::outdoor_amplitude})
        if (!(given.*field) && !(given.*field).refused)
            problem(codes::missing, where,
                    fmt::format("[ground] has no '{}', without which nothing but its `level` can be used",
                                spec_of(field).name),
                    fmt::format("`venture explain ground/{}` tells more", spec_of(field).name));
}

/// Where nobody said when it is coldest: the coldest of the monthly means, else midwinter of the hemisphere.
void Ground::set_coldest_month()
{
    GroundInput& given = work_.input.ground;
    if (given.coldest_month) return;
    const MonthlyMeanInput* coldest = nullptr;
    for (const MonthlyMeanInput& mean : input_.monthly_means)
        if (mean.month && mean.dry_bulb && (coldest == nullptr || *mean.dry_bulb < *coldest->dry_bulb)) coldest = &mean;
    if (coldest != nullptr && input_.monthly_means.size() == 12)
        given.coldest_month = computed(*coldest->month, "coldest of the monthly means", coldest->month.origin);
    else
        given.coldest_month = building_.site.place.latitude_deg < 0.0
                                  ? computed(7.0, "July, south of the equator", input_.site.latitude.origin)
                                  : computed(1.0, "January, north of the equator", input_.site.latitude.origin);
}

void Ground::add_ground()
{
    const GroundInput& given = input_.ground;
    if (!given.is_used() || !given.outdoor_mean || !given.outdoor_amplitude || !is_sound(given)) return;
    set_coldest_month();
    auto levels = floors_on_ground();
    if (levels.empty() || problems_.has_error()) return;
    std::map<std::tuple<std::size_t, const OnGround*, Attitude>, std::size_t> made; // build-up with the ground
    for (Surface& s : building_.surfaces) {
        if (!lies_on_ground(s) && !stands_in_ground(s)) continue;
        const OnGround& on = level_of(s, levels);
        const auto [known, is_new] =
            made.try_emplace(std::tuple{s.build_up, &on, s.attitude}, building_.build_ups.size());
        if (is_new && !add_with_ground(s, on)) return;
        s.build_up = known->second;
    }
}

/// The surface's build-up with the ground behind it, as one more build-up. @return whether there is one
bool Ground::add_with_ground(const Surface& s, const OnGround& on)
{
    const GroundInput& given = input_.ground;
    NamedBuildup with_ground = building_.build_ups[s.build_up];
    const auto refuse = [&](quantity::OriginId where, std::string what, std::string hint) {
        problem(codes::contradiction, where, std::move(what), std::move(hint));
        return false;
    };
    if (with_ground.typed)
        return refuse(with_ground.origin,
                      fmt::format("'{}' is known by its U-value, in which the ground is counted already; [ground] "
                                  "would count it twice",
                                  with_ground.layers.name),
                      "give its layers, or leave [ground] out");
    if (stands_in_ground(s) && on.depth_m <= 0.0)
        return refuse(given.outdoor_mean.origin,
                      fmt::format("the {} of '{}' stands in the ground, but the ground outside is not above its floor",
                                  s.parent, building_.rooms[s.room].name),
                      "type the height of the ground outside: [ground] level");
    if (on.over_void && on.depth_m > 0.0)
        return refuse(given.under_floor.origin,
                      fmt::format("a floor over a ventilated void lies {} below the ground outside",
                                  units_.text(on.depth_m, Kind::length)),
                      "[ground] level is the height of the ground outside; a basement lies on soil");
    try {
        with_ground.ground = ground_of(s, on);
        with_ground.layers = with_ground.ground->layers;
    } catch (const quantity::RangeError& wrong) {
        problem(codes::physics, given.outdoor_mean.origin, wrong.what());
        return false;
    }
    building_.build_ups.push_back(std::move(with_ground));
    return true;
}

void check_ground_is_whole(Work& work) { Ground{work}.check_ground_is_whole(); }

void add_ground(Work& work) { Ground{work}.add_ground(); }

} // namespace venture::resolve
