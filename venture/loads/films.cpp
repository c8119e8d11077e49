#include <venture/loads/films.hpp>

#include <algorithm>
#include <cmath>

namespace venture::loads::detail {

Films::Films(const ThermalModel& model, const SurfaceBank& bank)
{
    const std::size_t n = bank.count();
    std::vector<double> area(model.zones.size(), 0.0);
    for (std::size_t f = 0; f < 2 * n; ++f) {
        const Slot& slot = bank.slots[f % n];
        if (slot.area <= 0.0) continue;
        const Surface& s = model.surfaces[slot.surface];
        const auto at = static_cast<std::uint32_t>(f);
        const Face& face = f < n ? s.outside : s.inside;
        if (const auto* z = std::get_if<ZoneFace>(&face)) {
            area[z->zone] += slot.area;
            if (z->natural) {
                convective_.push_back({at, static_cast<std::uint32_t>(z->zone), z->air_warmer_K});
                curves_.add(*z->natural);
            }
        } else if (const auto* o = std::get_if<OutdoorFace>(&face)) {
            if (o->film_by_step) {
                const auto known = std::ranges::find(by_step_, *o->film_by_step, &ByStep::film);
                (known == by_step_.end() ? by_step_.emplace_back(ByStep{*o->film_by_step, {}}) : *known)
                    .faces.push_back(at);
            }
            if (const auto& l = o->long_wave)
                long_wave_.push_back(
                    {at,
                     {l->sky_C.index, l->ground_C.index, model.outdoor_air_C.index},
                     {l->emissivity * l->sky_share, l->emissivity * l->ground_share, l->emissivity * l->air_share()}});
        }
    }
    for (const double a : area) per_area_.push_back(a > 0.0 ? 1.0 / a : 0.0);
}

bool Films::set_step(const ThermalModel& model, std::size_t step, SurfaceBank& bank) const
{
    bool changed = false;
    for (const ByStep& b : by_step_) {
        const double film = model.value(b.film, step, 0.5);
        if (film == bank.outdoor[b.faces.front()]) continue;
        changed = true;
        for (const std::uint32_t face : b.faces) bank.outdoor[face] = film;
    }
    return changed;
}

void Films::find(const std::vector<double>& face_C, const std::vector<double>& air_C, const std::vector<double>& signal,
                 std::vector<double>& film)
{
    film.resize(values());
    difference_.resize(convective_.size());
    for (std::size_t i = 0; i < convective_.size(); ++i) {
        const Convective& c = convective_[i];
        difference_[i] = face_C[c.face] - air_C[c.zone] - c.air_warmer_K;
    }
    curves_.at(difference_.data(), film.data());
    double* h = film.data() + convective_.size();
    for (const LongWaveAt& l : long_wave_)
        for (std::size_t k = 0; k < 3; ++k, ++h)
            *h = l.emissivity_share[k] > 0.0
                     ? fabric::radiation_W_per_m2K(l.emissivity_share[k], face_C[l.face], signal[l.to[k]])
                     : 0.0;
}

void Films::put(const std::vector<double>& film, const std::vector<double>& signal, SurfaceBank& bank) const
{
    const double* h = film.data();
    for (const Convective& c : convective_) bank.convective[c.face] = *h++;
    for (const LongWaveAt& l : long_wave_) {
        bank.long_wave[l.face] = h[0] + h[1] + h[2];
        bank.long_wave_W[l.face] = h[0] * signal[l.to[0]] + h[1] * signal[l.to[1]] + h[2] * signal[l.to[2]];
        h += 3;
    }
}

FilmResidual Films::residual(const std::vector<double>& found, const std::vector<double>& used,
                             const std::vector<double>& face_C, const std::vector<double>& signal,
                             const SurfaceBank& bank, std::vector<double>& zone_W) const
{
    FilmResidual worst;
    zone_W.assign(per_area_.size(), 0.0);
    const std::size_t n = convective_.size();
    for (std::size_t i = 0; i < n; ++i) {
        const Convective& c = convective_[i];
        zone_W[c.zone] += bank.area[c.face] * std::abs((found[i] - used[i]) * difference_[i]);
    }
    for (std::size_t z = 0; z < per_area_.size(); ++z)
        worst.inside_W_per_m2 = std::max(worst.inside_W_per_m2, zone_W[z] * per_area_[z]);
    const double *f = found.data() + n, *u = used.data() + n;
    for (const LongWaveAt& l : long_wave_) {
        double q = 0.0;
        for (std::size_t k = 0; k < 3; ++k) q += (*f++ - *u++) * (signal[l.to[k]] - face_C[l.face]);
        worst.outside_W_per_m2 = std::max(worst.outside_W_per_m2, std::abs(q));
    }
    return worst;
}

} // namespace venture::loads::detail
