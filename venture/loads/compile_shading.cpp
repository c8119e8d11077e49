/// What takes sun from surfaces and openings: reveals, plates, and what stands near the building.

#include <algorithm>
#include <cmath>
#include <numbers>

#include <venture/loads/compiler.hpp>

namespace venture::loads::detail {

using building::Attitude;
using building::Caster;
using building::Obstruction;
using building::PointBefore;
using climate::Angle;

namespace {

/// From the project's coordinates to those before a surface whose shape lies along its plan line and up, or on the plan.
class Frame {
public:
    /// @param origin  on the surface
    Frame(const building::Building& b, const building::Surface& s, const PointBefore& origin)
        : upright_{s.attitude == Attitude::wall},
          origin_{origin},
          x0_m_{upright_ ? building::to_metres(s.plan_start.x) : 0.0},
          y0_m_{upright_ ? building::to_metres(s.plan_start.y) : 0.0}
    {
        const building::Room& room = b.rooms[s.room];
        level_m_ = room.floor_m + room.height_m;
        if (!upright_) return;
        const double dx = building::to_metres(s.plan_end.x - s.plan_start.x),
                     dy = building::to_metres(s.plan_end.y - s.plan_start.y), length = std::hypot(dx, dy);
        along_x_ = dx / length;
        along_y_ = dy / length;
    }
    [[nodiscard]] PointBefore at(double x_m, double y_m, double z_m) const
    {
        const double dx = x_m - x0_m_, dy = y_m - y0_m_;
        if (!upright_) return {dx - origin_.right_m, dy - origin_.up_m, z_m - level_m_};
        return {dx * along_x_ + dy * along_y_ - origin_.right_m, z_m - origin_.up_m, dx * along_y_ - dy * along_x_};
    }

private:
    bool upright_;
    PointBefore origin_;
    double x0_m_, y0_m_, level_m_ = 0.0, along_x_ = 1.0, along_y_ = 0.0;
};

/// Sides, top and bottom of an obstruction, those that reach before the surface.
void add_casters(const Obstruction& o, const Frame& frame, std::vector<Caster>& out)
{
    std::vector<Caster> faces(2);
    for (std::size_t i = 0; i < o.outline.size(); ++i) {
        const building::GridPoint a = o.outline[i], b = o.outline[(i + 1) % o.outline.size()];
        const double ax = building::to_metres(a.x), ay = building::to_metres(a.y), bx = building::to_metres(b.x),
                     by = building::to_metres(b.y);
        faces[0].push_back(frame.at(ax, ay, o.top_m));
        faces[1].push_back(frame.at(ax, ay, o.base_m));
        faces.push_back({frame.at(ax, ay, o.base_m), frame.at(bx, by, o.base_m), frame.at(bx, by, o.top_m),
                         frame.at(ax, ay, o.top_m)});
    }
    constexpr double nearly_m = 0.001;
    for (Caster& face : faces)
        if (std::ranges::any_of(face, [](const PointBefore& p) { return p.out_m > nearly_m; }))
            out.push_back(std::move(face));
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

/// @param opening  in it; none: the surface itself
/// @return number of the scene, from 1; 0 where nothing takes sun
std::size_t Compiler::scene_of(const building::Surface& s, const building::Opening* opening)
{
    const bool plates = opening != nullptr && opening->plates.any();
    if (s.attitude == Attitude::floor || (!plates && b_.obstructions.empty())) return 0;
    Scene scene{.tilt_deg = s.tilt_deg,
                .azimuth_deg = s.attitude == Attitude::wall ? s.azimuth_deg : b_.plan_bearing_deg + 180.0};
    std::vector<Caster> solid;
    if (opening != nullptr)
        add_openings(*opening, solid, scene.lit);
    else
        scene.lit = s.shape;
    const Frame frame{b_, s, opening != nullptr ? corner_of(b_, s, *opening) : PointBefore{}};
    for (const Obstruction& o : b_.obstructions) {
        Veil veil{o.with_leaves, o.bare, {}};
        add_casters(o, frame, o.solid() ? solid : veil.casters);
        if (!veil.casters.empty()) scene.veils.push_back(std::move(veil));
    }
    if (!solid.empty()) scene.veils.push_back({0.0, 0.0, std::move(solid)});
    if (scene.veils.empty()) return 0;
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
    const auto known = in_scene_.find(scene_number);
    if (known != in_scene_.end()) return known->second;
    const Scene& scene = scenes_[scene_number - 1];
    const Angle tilt = Angle::degrees(scene.tilt_deg), azimuth = Angle::degrees(scene.azimuth_deg);
    Irradiance out = irradiance(s);
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
    for (std::size_t k = 0; k < out.size(); ++k) {
        const int month = spell_.month[std::min(k / spell_.samples_per_hour, spell_.month.size() - 1)];
        const bool bare = (month >= 5 && month <= 10) == south;
        out[k].sky_diffuse_W_per_m2 *= seen[bare ? 1 : 0].sky;
        out[k].ground_reflected_W_per_m2 *= seen[bare ? 1 : 0].ground;
        if (out[k].beam_W_per_m2 <= 0.0) continue;
        const building::DirectionBefore light = building::towards(spell_.sun[k], tilt, azimuth);
        out[k].beam_W_per_m2 *= left_of(scene, bare, [&](const std::vector<Caster>& casters) {
            return building::shaded_share(scene.lit, casters, light);
        });
    }
    return in_scene_[scene_number] = std::move(out);
}

} // namespace venture::loads::detail
