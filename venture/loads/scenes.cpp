#include <venture/loads/scenes.hpp>

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

#include <venture/loads/side_by_side.hpp>

namespace venture::loads {

using building::Attitude;
using building::Obstruction;
using climate::Angle;
using plan::Caster;
using plan::PointBefore;

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

/// An obstruction, and its outline in convex parts.
struct Standing {
    const Obstruction& what;
    plan::Polygons level;
};

std::vector<Standing> all_that_stands(const building::Building& b)
{
    std::vector<Standing> out;
    for (const Obstruction& o : b.obstructions) out.push_back({o, plan::convex_parts({o.outline, {}})});
    return out;
}

/// Sides, top and bottom of an obstruction, those that reach before the surface.
void add_casters(const Standing& stands, const Frame& frame, std::vector<Caster>& out)
{
    const Obstruction& o = stands.what;
    const auto at = [&](plan::GridPoint p, double height_m) {
        return frame.at({plan::to_metres(p.x), plan::to_metres(p.y), height_m});
    };
    for (std::size_t i = 0; i < o.outline.size(); ++i) {
        const plan::GridPoint a = o.outline[i], b = o.outline[(i + 1) % o.outline.size()];
        add_if_before({at(a, o.base_m), at(b, o.base_m), at(b, o.top_m), at(a, o.top_m)}, out);
    }
    for (const double height_m : {o.top_m, o.base_m})
        for (const plan::Polygon& part : stands.level) {
            Caster face;
            for (const plan::GridPoint p : part.outline) face.push_back(at(p, height_m));
            add_if_before(std::move(face), out);
        }
}

/// A point of a plane in space.
building::SurfacePlane::Way spot_of(const building::SurfacePlane& lies, plan::GridPoint p)
{
    building::SurfacePlane::Way out = lies.zero_m;
    for (std::size_t k = 0; k < 3; ++k)
        out[k] += plan::to_metres(p.x) * lies.along[k] + plan::to_metres(p.y) * lies.up[k];
    return out;
}

/// Lays a flat roof's own axes along its longest edge, so that directions of the sky lie to it as they would if the whole
/// plan were turned. @return by how much clockwise, degrees
double turn_along_longest_edge(building::SurfacePlane& lies, plan::Polygons& shape)
{
    double longest = 0.0, x = 1.0, y = 0.0;
    for (const plan::Polygon& p : shape)
        for (std::size_t i = 0; i < p.outline.size(); ++i) {
            const plan::GridPoint a = p.outline[i], b = p.outline[(i + 1) % p.outline.size()];
            const double dx = plan::to_metres(b.x - a.x), dy = plan::to_metres(b.y - a.y), length = std::hypot(dx, dy);
            if (length <= longest + nearly_m) continue;
            longest = length;
            x = dx / length;
            y = dy / length;
        }
    for (plan::Polygon& p : shape) {
        const auto turn = [&](plan::Ring& ring) {
            for (plan::GridPoint& q : ring) {
                const double qx = plan::to_metres(q.x), qy = plan::to_metres(q.y);
                q = {plan::to_grid(qx * x + qy * y), plan::to_grid(qy * x - qx * y)};
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
void add_openings(const building::Opening& o, std::vector<Caster>& casters, plan::Polygons& lit)
{
    for (const double from_left : o.from_left_m) {
        const double left = from_left - o.from_left_m.front();
        lit.push_back(
            plan::rectangle(plan::to_grid(left), 0, plan::to_grid(left + o.width_m), plan::to_grid(o.height_m)));
        for (Caster caster : casters_of(o.plates, o.width_m, o.height_m)) {
            for (PointBefore& p : caster) p.right_m += left;
            casters.push_back(std::move(caster));
        }
    }
}

/// A box along the axes of the project round points in space.
struct Box {
    building::SurfacePlane::Way low{1e300, 1e300, 1e300}, high{-1e300, -1e300, -1e300};
    void take(const building::SurfacePlane::Way& spot)
    {
        for (std::size_t k = 0; k < 3; ++k) {
            low[k] = std::min(low[k], spot[k]);
            high[k] = std::max(high[k], spot[k]);
        }
    }
    [[nodiscard]] double apart_m2(const Box& other) const
    {
        double sum = 0.0;
        for (std::size_t k = 0; k < 3; ++k) {
            const double gap = std::max({0.0, low[k] - other.high[k], other.low[k] - high[k]});
            sum += gap * gap;
        }
        return sum;
    }
};

/// A convex part of the building's own outside.
struct OwnPart {
    std::vector<building::SurfacePlane::Way> corners{};
    double area_m2 = 0.0;
    Box box{};
};

/// Whether a part can take a ten-thousandth of what a surface sees, whole as it is at the nearest point of both: no more
/// than its area over pi times the distance squared is seen of it.
bool may_matter(const OwnPart& part, const Box& seen_from)
{
    constexpr double least = 1e-4;
    return part.area_m2 > least * std::numbers::pi * part.box.apart_m2(seen_from);
}

/// Outer walls and roofs, as polygons in space; those in one plane that touch are one.
std::vector<OwnPart> own_parts_of(const building::Building& b)
{
    struct Plane {
        building::SurfacePlane lies{};
        plan::Polygons shape{};
    };
    std::map<std::array<long long, 5>, Plane> planes; // in an order that does not hang on the rooms'
    constexpr double same_direction = 1e-6, same_place_m = 1e-3;
    for (const building::Surface& s : b.surfaces) {
        if (s.beyond.kind == building::Neighbour::Kind::room || !b.rooms[s.room].on_plan) continue;
        const building::SurfacePlane lies = plane_of(s);
        const double away = lies.out[0] * lies.zero_m[0] + lies.out[1] * lies.zero_m[1] + lies.out[2] * lies.zero_m[2];
        std::array<long long, 5> key{};
        for (std::size_t k = 0; k < 3; ++k) key[k] = std::llround(lies.out[k] / same_direction);
        key[3] = std::llround(away / same_place_m);
        if (s.is_slope()) key[4] = static_cast<long long>(&s - b.surfaces.data()) + 1; // stays by itself
        Plane& plane = planes.try_emplace(key, Plane{lies, {}}).first->second;
        const Frame frame{plane.lies, {}};
        for (plan::Polygon p : s.shape) {
            for (plan::GridPoint& q : p.outline) {
                const PointBefore there = frame.at(spot_of(lies, q));
                q = {plan::to_grid(there.right_m), plan::to_grid(there.up_m)};
            }
            p.holes.clear();
            plane.shape.push_back(std::move(p));
        }
    }
    std::vector<OwnPart> out;
    for (const auto& [key, plane] : planes)
        for (const plan::Polygon& whole : plan::united(plane.shape))
            for (const plan::Polygon& p : plan::convex_parts({whole.outline, {}})) {
                OwnPart& part = out.emplace_back(OwnPart{.area_m2 = plan::area_m2(p)});
                for (const plan::GridPoint q : p.outline) {
                    part.corners.push_back(spot_of(plane.lies, q));
                    part.box.take(part.corners.back());
                }
            }
    return out;
}

/// @param opening  in it; none: the surface itself
/// @return nothing where nothing takes sun
std::optional<Scene::What> scene_of(const building::Building& b, const std::vector<OwnPart>& own_parts,
                                    const std::vector<Standing>& standing, const building::Surface& s,
                                    const building::Opening* opening)
{
    if (s.attitude == Attitude::floor) return std::nullopt;
    const bool flat = s.attitude == Attitude::ceiling && !s.is_slope();
    Scene::What scene{.tilt_deg = s.tilt_deg,
                      .azimuth_deg = flat ? b.plan_bearing_deg + 180.0 : s.azimuth_deg,
                      .no_beam = s.beyond.in_shade};
    building::SurfacePlane lies = plane_of(s);
    std::vector<Caster> solid;
    if (opening != nullptr) {
        add_openings(*opening, solid, scene.lit);
    } else {
        scene.lit = s.shape;
        if (flat) scene.azimuth_deg += turn_along_longest_edge(lies, scene.lit);
    }
    const Frame frame{lies, opening != nullptr ? corner_of(b, s, *opening) : PointBefore{}};
    Box box;
    const building::SurfacePlane in_space = plane_of(s);
    for (const plan::Polygon& p : s.shape)
        for (const plan::GridPoint q : p.outline) box.take(spot_of(in_space, q));
    for (const OwnPart& part : own_parts) {
        if (!may_matter(part, box)) continue;
        Caster face;
        for (const auto& corner : part.corners) face.push_back(frame.at(corner));
        add_if_before(std::move(face), solid);
    }
    for (const Standing& stands : standing) {
        const Obstruction& o = stands.what;
        Scene::Veil veil{o.with_leaves, o.bare, {}};
        add_casters(stands, frame, o.solid() ? solid : veil.casters);
        if (!veil.casters.empty()) scene.veils.push_back(std::move(veil));
    }
    if (!solid.empty()) scene.veils.push_back({0.0, 0.0, std::move(solid)});
    if (scene.veils.empty() && !scene.no_beam) return std::nullopt;
    if (scene.veils.empty()) scene.lit.clear(); // all that are alike in this are one
    return scene;
}

} // namespace

Scene::Scene(What what)
    : what_{std::move(what)},
      facing_{Angle::degrees(what_.tilt_deg), Angle::degrees(what_.azimuth_deg)}
{
    const auto is_always_alike = [](const Veil& v) { return v.with_leaves == v.bare; };
    const bool alike = std::ranges::all_of(what_.veils, is_always_alike);
    const Angle tilt = Angle::degrees(what_.tilt_deg);
    for (const bool bare : {false, true}) {
        if (bare && alike) {
            diffuse_[1] = diffuse_[0];
            continue;
        }
        layers_[bare ? 1 : 0] = layers_of(bare);
        std::vector<plan::DiffuseLeft> each;
        for (const Layer& layer : layers_[bare ? 1 : 0]) each.push_back(plan::diffuse_left(layer.shadows, tilt));
        diffuse_[bare ? 1 : 0] = {left(bare, [&](std::size_t k) { return 1.0 - each[k].sky; }),
                                  left(bare, [&](std::size_t k) { return 1.0 - each[k].ground; })};
    }
}

std::vector<Scene::Layer> Scene::layers_of(bool bare) const
{
    const auto passes = [&](const Veil* v) { return bare ? v->bare : v->with_leaves; };
    std::vector<const Veil*> order;
    for (const Veil& veil : what_.veils) order.push_back(&veil);
    std::ranges::stable_sort(order, {}, passes);
    std::vector<Layer> layers;
    std::vector<Caster> so_far;
    for (const Veil* veil : order) {
        so_far.insert(so_far.end(), veil->casters.begin(), veil->casters.end());
        layers.push_back({1.0 - passes(veil), plan::Shadows{what_.lit, so_far}});
    }
    return layers;
}

/// What is left of light that each layer weakens: where two stand one behind the other, the denser counts.
/// @param covered  share that lies behind a layer and all that are denser
template <class Covered>
double Scene::left(bool bare, Covered covered) const
{
    const std::vector<Layer>& layers = bare && !layers_[1].empty() ? layers_[1] : layers_[0];
    double left = 1.0, behind = 0.0;
    for (std::size_t k = 0; k < layers.size(); ++k) {
        const double now = covered(k);
        left -= layers[k].stops * (now - behind);
        behind = now;
    }
    return left;
}

double Scene::beam_left(const climate::SkyDirection& sun, bool bare) const
{
    if (what_.no_beam) return 0.0;
    const std::vector<Layer>& layers = bare && !layers_[1].empty() ? layers_[1] : layers_[0];
    const plan::DirectionBefore light = facing_.towards(sun);
    return left(bare, [&](std::size_t k) { return layers[k].shadows.share(light); });
}

Scenes::Scenes(const building::Building& b) : number_(b.surfaces.size())
{
    const std::vector<OwnPart> own_parts = own_parts_of(b);
    const std::vector<Standing> standing = all_that_stands(b);
    std::vector<Scene::What> found;
    const auto number_of = [&](std::optional<Scene::What> scene) -> std::size_t {
        if (!scene) return 0;
        const auto known = std::ranges::find(found, *scene);
        if (known != found.end()) return static_cast<std::size_t>(known - found.begin()) + 1;
        found.push_back(std::move(*scene));
        return found.size();
    };
    for (std::size_t i = 0; i < b.surfaces.size(); ++i) {
        const building::Surface& s = b.surfaces[i];
        if (s.beyond.kind != building::Neighbour::Kind::outdoors) continue;
        number_[i].push_back(number_of(scene_of(b, own_parts, standing, s, nullptr)));
        for (const building::Opening& o : s.openings)
            number_[i].push_back(number_of(scene_of(b, own_parts, standing, s, &o)));
    }
    std::vector<std::optional<Scene>> made(found.size());
    side_by_side(found.size(), [&](std::size_t i) { made[i].emplace(std::move(found[i])); });
    for (auto& scene : made) scenes_.push_back(std::move(*scene));
}

std::size_t Scenes::of(std::size_t surface, std::optional<std::size_t> opening) const
{
    const std::vector<std::size_t>& numbers = number_.at(surface);
    return numbers.empty() ? 0 : numbers.at(opening ? *opening + 1 : 0);
}

} // namespace venture::loads
