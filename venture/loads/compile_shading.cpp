/// What stands before surfaces and openings, over the spell: what it leaves of beam, sky and ground.

#include <algorithm>

#include <venture/loads/compiler.hpp>
#include <venture/loads/side_by_side.hpp>

namespace venture::loads::detail {

/// @param opening  in it; none: the surface itself
/// @return number of the scene, from 1; 0 where nothing takes sun, and where there is none
std::size_t Compiler::scene_of(const building::Surface& s, const building::Opening* opening) const
{
    if (winter()) return 0;
    const auto surface = static_cast<std::size_t>(&s - b_.surfaces.data());
    if (opening == nullptr) return scenes_->of(surface);
    return scenes_->of(surface, static_cast<std::size_t>(opening - s.openings.data()));
}

/// Sun on a surface with what a scene leaves of it: beam where no shadow falls, sky and ground as far as they are seen.
Compiler::Irradiance Compiler::irradiance(const building::Surface& s, std::size_t scene)
{
    Irradiance sun = irradiance(s);
    if (scene == 0) return sun;
    const std::vector<double>& left = beam_left_.at(scene - 1);
    for (std::size_t k = 0; k < sun.size(); ++k) {
        const plan::DiffuseLeft& seen = (*scenes_)[scene].diffuse_left(bare(k));
        sun[k].sky_diffuse_W_per_m2 *= seen.sky;
        sun[k].ground_reflected_W_per_m2 *= seen.ground;
        sun[k].beam_W_per_m2 *= left[k];
    }
    return sun;
}

/// What scenes leave of the beam, side by side.
void Compiler::shade_scenes()
{
    if (options_.scenes == nullptr) scenes_ = &own_scenes_.emplace(b_);
    std::vector<const Irradiance*> open(scenes_->size()); // of each scene: with nothing before it
    for (const building::Surface& s : b_.surfaces) {
        if (const std::size_t number = scene_of(s, nullptr); number > 0) open[number - 1] = &irradiance(s);
        for (const building::Opening& o : s.openings)
            if (const std::size_t number = scene_of(s, &o); number > 0) open[number - 1] = &irradiance(s);
    }
    std::vector<climate::SkyDirection> suns;
    std::ranges::transform(spell_.sun, std::back_inserter(suns), climate::direction_of);
    beam_left_.resize(open.size());
    side_by_side(open.size(), [&](std::size_t i) { beam_left_[i] = beam_left((*scenes_)[i + 1], *open[i], suns); });
}

/// @return 1 where there is no beam anyway
std::vector<double> Compiler::beam_left(const Scene& scene, const Irradiance& open,
                                        const std::vector<climate::SkyDirection>& suns) const
{
    std::vector<double> left(open.size(), 1.0);
    for (std::size_t k = 0; k < open.size(); ++k)
        if (open[k].beam_W_per_m2 > 0.0) left[k] = scene.beam_left(suns[k], bare(k));
    return left;
}

/// Whether trees are without leaves.
bool Compiler::bare(std::size_t sample) const
{
    const int month = spell_.month[std::min(sample / spell_.samples_per_hour, spell_.month.size() - 1)];
    return (month >= 5 && month <= 10) == (b_.site.place.latitude_deg < 0.0);
}

} // namespace venture::loads::detail
