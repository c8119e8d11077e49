/// What takes sun from surfaces and openings: reveals, plates, and what stands near the building.

#include <algorithm>
#include <cmath>
#include <numbers>

#include <tbb/parallel_for.h>

#include <venture/loads/compiler.hpp>

namespace venture::loads::detail {

using building::Attitude;
using building::Caster;
using building::Obstruction;
using building::PointBefore;
using climate::Angle;

namespace {

/// From the project's coordinates to those before a surface.
class Frame {
public:
    /// @param origin  on the surface
    Frame(const building::SurfacePlane& plane, const PointBefore& origin) : plane_{plane}, origin_{origin} {}
    [[nodiscard]] PointBefore at(const building::SurfacePlane::Way& spot_m) const
    {
        const auto along = [&](const building::SurfacePlane::Way& way) {
            double sum = 0.0;
            for (std::size_t k = 0; k < 3; ++k) sum += (spot_m[k] - plane_.zero_m[k]) * way[k];
            return sum;
        };
        return {along(plane_.along) - origin_.right_m, along(plane_.up) - origin_.up_m, along(plane_.out)};
    }

private:
    building::SurfacePlane plane_;
    PointBefore origin_;
};

constexpr double nearly_m = 0.001; ///< what does not reach farther before a surface takes no sun from it

void add_if_before(Caster face, std::vector<Caster>& out)
{
    if (std::ranges::any_of(face, [](const PointBefore& p) { return p.out_m > nearly_m; }))
        out.push_back(std::move(face));
}

/// Sides, top and bottom of an obstruction, those that reach before the surface.
void add_casters(const Obstruction& o, const Frame& frame, std::vector<Caster>& out)
{
    Caster top, bottom;
    for (std::size_t i = 0; i < o.outline.size(); ++i) {
        const building::GridPoint a = o.outline[i], b = o.outline[(i + 1) % o.outline.size()];
        const double ax = building::to_metres(a.x), ay = building::to_metres(a.y), bx = building::to_metres(b.x),
                     by = building::to_metres(b.y);
        top.push_back(frame.at({ax, ay, o.top_m}));
        bottom.push_back(frame.at({ax, ay, o.base_m}));
        add_if_before({frame.at({ax, ay, o.base_m}), frame.at({bx, by, o.base_m}), frame.at({bx, by, o.top_m}),
                       frame.at({ax, ay, o.top_m})},
                      out);
    }
    add_if_before(std::move(top), out);
    add_if_before(std::move(bottom), out);
}

/// A point of a plane in space.
building::SurfacePlane::Way spot_of(const building::SurfacePlane& lies, building::GridPoint p)
{
    building::SurfacePlane::Way out = lies.zero_m;
    for (std::size_t k = 0; k < 3; ++k)
        out[k] += building::to_metres(p.x) * lies.along[k] + building::to_metres(p.y) * lies.up[k];
    return out;
}

/// Lays a flat roof's own axes along its longest edge, so that directions of the sky lie to it as they would if the whole
/// plan were turned. @return by how much clockwise, degrees
double turn_along_longest_edge(building::SurfacePlane& lies, building::Polygons& shape)
{
    double longest = 0.0, x = 1.0, y = 0.0;
    for (const building::Polygon& p : shape)
        for (std::size_t i = 0; i < p.outline.size(); ++i) {
            const building::GridPoint a = p.outline[i], b = p.outline[(i + 1) % p.outline.size()];
            const double dx = building::to_metres(b.x - a.x), dy = building::to_metres(b.y - a.y),
                         length = std::hypot(dx, dy);
            if (length <= longest + nearly_m) continue;
            longest = length;
            x = dx / length;
            y = dy / length;
        }
    for (building::Polygon& p : shape) {
        const auto turn = [&](building::Ring& ring) {
            for (building::GridPoint& q : ring) {
                const double qx = building::to_metres(q.x), qy = building::to_metres(q.y);
                q = {building::to_grid(qx * x + qy * y), building::to_grid(qy * x - qx * y)};
            }
        };
        turn(p.outline);
        std::ranges::for_each(p.holes, turn);
    }
    lies.along = {x, y, 0.0};
    lies.up = {-y, x, 0.0};
    return std::atan2(-y, x) * 180.0 / std::numbers::pi;
}

/// Lower left corner of an opening, or of the first of several alike: where its scene has its origin, so that openings
/// alike are shaded alike wherever they are.
PointBefore corner_of(const building::Building& b, const building::Surface& s, const building::Opening& o)
{
    return {o.from_left_m.front(), o.sill_m + foot_of_sills_m(b, s), 0.0};
}

/// Plates round every one of an opening's holes, and the holes.
void add_openings(const building::Opening& o, std::vector<Caster>& casters, building::Polygons& lit)
{
    for (const double from_left : o.from_left_m) {
        const double left = from_left - o.from_left_m.front();
        lit.push_back(building::rectangle(building::to_grid(left), 0, building::to_grid(left + o.width_m),
                                          building::to_grid(o.height_m)));
        for (Caster caster : casters_of(o.plates, o.width_m, o.height_m)) {
            for (PointBefore& p : caster) p.right_m += left;
            casters.push_back(std::move(caster));
        }
    }
}

} // namespace

/// Outer walls and roofs, as polygons in space; those in one plane that touch are one.
const std::vector<Compiler::OwnPart>& Compiler::own_parts()
{
    if (own_parts_) return *own_parts_;
    struct Plane {
        building::SurfacePlane lies{};
        building::Polygons shape{};
    };
    std::map<std::array<long long, 5>, Plane> planes; // in an order that does not hang on the rooms'
    constexpr double same_direction = 1e-6, same_place_m = 1e-3;
    for (const building::Surface& s : b_.surfaces) {
        if (s.beyond.kind == building::Neighbour::Kind::room || !b_.rooms[s.room].on_plan) continue;
        const building::SurfacePlane lies = plane_of(s);
        const double away = lies.out[0] * lies.zero_m[0] + lies.out[1] * lies.zero_m[1] + lies.out[2] * lies.zero_m[2];
        std::array<long long, 5> key{};
        for (std::size_t k = 0; k < 3; ++k) key[k] = std::llround(lies.out[k] / same_direction);
        key[3] = std::llround(away / same_place_m);
        if (s.is_slope()) key[4] = static_cast<long long>(&s - b_.surfaces.data()) + 1; // stays by itself
        Plane& plane = planes.try_emplace(key, Plane{lies, {}}).first->second;
        const Frame frame{plane.lies, {}};
        for (building::Polygon p : s.shape) {
            for (building::GridPoint& q : p.outline) {
                const PointBefore there = frame.at(spot_of(lies, q));
                q = {building::to_grid(there.right_m), building::to_grid(there.up_m)};
            }
            p.holes.clear();
            plane.shape.push_back(std::move(p));
        }
    }
    own_parts_.emplace();
    for (const auto& [key, plane] : planes)
        for (const building::Polygon& p : building::united(plane.shape)) {
            OwnPart& part = own_parts_->emplace_back();
            for (const building::GridPoint q : p.outline) part.push_back(spot_of(plane.lies, q));
        }
    return *own_parts_;
}

/// @param opening  in it; none: the surface itself
/// @return number of the scene, from 1; 0 where nothing takes sun
std::size_t Compiler::scene_of(const building::Surface& s, const building::Opening* opening)
{
    if (s.attitude == Attitude::floor) return 0;
    const bool flat = s.attitude == Attitude::ceiling && !s.is_slope();
    Scene scene{.tilt_deg = s.tilt_deg,
                .azimuth_deg = flat ? b_.plan_bearing_deg + 180.0 : s.azimuth_deg,
                .no_beam = s.beyond.in_shade};
    building::SurfacePlane lies = plane_of(s);
    std::vector<Caster> solid;
    if (opening != nullptr) {
        add_openings(*opening, solid, scene.lit);
    } else {
        scene.lit = s.shape;
        if (flat) scene.azimuth_deg += turn_along_longest_edge(lies, scene.lit);
    }
    const Frame frame{lies, opening != nullptr ? corner_of(b_, s, *opening) : PointBefore{}};
    for (const OwnPart& part : own_parts()) {
        Caster face;
        for (const auto& corner : part) face.push_back(frame.at(corner));
        add_if_before(std::move(face), solid);
    }
    for (const Obstruction& o : b_.obstructions) {
        Veil veil{o.with_leaves, o.bare, {}};
        add_casters(o, frame, o.solid() ? solid : veil.casters);
        if (!veil.casters.empty()) scene.veils.push_back(std::move(veil));
    }
    if (!solid.empty()) scene.veils.push_back({0.0, 0.0, std::move(solid)});
    if (scene.veils.empty() && !scene.no_beam) return 0;
    if (scene.veils.empty()) scene.lit.clear(); // all that are alike in this are one
    const auto known = std::ranges::find(scenes_, scene);
    if (known != scenes_.end()) return static_cast<std::size_t>(known - scenes_.begin()) + 1;
    scenes_.push_back(std::move(scene));
    return scenes_.size();
}

/// What is left of light that each set of casters weakens: where two stand one behind the other, the denser counts.
/// @param covered  share that lies behind all of a list of casters together
template <class Covered>
double Compiler::left_of(const Scene& scene, bool bare, Covered covered)
{
    const auto passes = [&](const Veil* v) { return bare ? v->bare : v->with_leaves; };
    std::vector<const Veil*> order;
    for (const Veil& veil : scene.veils) order.push_back(&veil);
    std::ranges::stable_sort(order, {}, passes);
    std::vector<Caster> so_far;
    double left = 1.0, behind = 0.0;
    for (const Veil* veil : order) {
        so_far.insert(so_far.end(), veil->casters.begin(), veil->casters.end());
        const double now = covered(so_far);
        left -= (1.0 - passes(veil)) * (now - behind);
        behind = now;
    }
    return left;
}

/// Sun on a surface with what a scene leaves of it: beam where no shadow falls, sky and ground as far as they are seen.
const Compiler::Irradiance& Compiler::irradiance(const building::Surface& s, std::size_t scene_number)
{
    if (scene_number == 0) return irradiance(s);
    return in_scene_.at(scene_number);
}

/// What scenes leave of the sun, side by side.
void Compiler::shade_scenes()
{
    std::vector<const Irradiance*> open; // of each scene: with nothing before it
    std::vector<std::size_t> numbers;
    const auto add = [&](const building::Surface& s, const building::Opening* opening) {
        const std::size_t number = scene_of(s, opening);
        if (number == 0 || std::ranges::find(numbers, number) != numbers.end()) return;
        numbers.push_back(number);
        open.push_back(&irradiance(s));
    };
    for (const building::Surface& s : b_.surfaces) {
        if (s.beyond.kind != building::Neighbour::Kind::outdoors) continue;
        add(s, nullptr);
        for (const building::Opening& o : s.openings) add(s, &o);
    }
    std::vector<Irradiance> shaded(numbers.size());
    tbb::parallel_for(std::size_t{0}, numbers.size(),
                      [&](std::size_t i) { shaded[i] = shaded_by(scenes_[numbers[i] - 1], *open[i]); });
    for (std::size_t i = 0; i < numbers.size(); ++i) in_scene_[numbers[i]] = std::move(shaded[i]);
}

Compiler::Irradiance Compiler::shaded_by(const Scene& scene, Irradiance sun) const
{
    const Angle tilt = Angle::degrees(scene.tilt_deg), azimuth = Angle::degrees(scene.azimuth_deg);
    const bool south = b_.site.place.latitude_deg < 0.0;
    building::DiffuseLeft seen[2]; // with leaves, bare
    for (const bool bare : {false, true}) {
        const auto part = [&](double building::DiffuseLeft::*of) {
            return left_of(scene, bare, [&](const std::vector<Caster>& casters) {
                return 1.0 - diffuse_left(scene.lit, casters, tilt).*of;
            });
        };
        seen[bare ? 1 : 0] = {part(&building::DiffuseLeft::sky), part(&building::DiffuseLeft::ground)};
    }
    for (std::size_t k = 0; k < sun.size(); ++k) {
        const int month = spell_.month[std::min(k / spell_.samples_per_hour, spell_.month.size() - 1)];
        const bool bare = (month >= 5 && month <= 10) == south;
        sun[k].sky_diffuse_W_per_m2 *= seen[bare ? 1 : 0].sky;
        sun[k].ground_reflected_W_per_m2 *= seen[bare ? 1 : 0].ground;
        if (scene.no_beam) sun[k].beam_W_per_m2 = 0.0;
        if (sun[k].beam_W_per_m2 <= 0.0) continue;
        const building::DirectionBefore light = building::towards(spell_.sun[k], tilt, azimuth);
        sun[k].beam_W_per_m2 *= left_of(scene, bare, [&](const std::vector<Caster>& casters) {
            return building::shaded_share(scene.lit, casters, light);
        });
    }
    return sun;
}

} // namespace venture::loads::detail
