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
            if (z->natural)
                convective_.push_back(
                    {at, static_cast<std::uint32_t>(z->zone), z->air_warmer_K, fabric::ConvectionCurve{*z->natural}});
        } else if (const auto* o = std::get_if<OutdoorFace>(&face)) {
            if (o->film_by_step) by_step_.push_back({at, *o->film_by_step});
            if (o->long_wave)
                long_wave_.push_back(
                    {at,
                     o->long_wave->emissivity,
                     {o->long_wave->sky_C.index, o->long_wave->ground_C.index, model.outdoor_air_C.index},
                     {o->long_wave->sky_share, o->long_wave->ground_share, o->long_wave->air_share()}});
        }
    }
    for (const double a : area) per_area_.push_back(a > 0.0 ? 1.0 / a : 0.0);
}

bool Films::set_step(const ThermalModel& model, std::size_t step, SurfaceBank& bank) const
{
    bool changed = false;
    for (const ByStep& b : by_step_) {
        const double film = model.value(b.film, step, 0.5);
        changed |= film != bank.outdoor[b.face];
        bank.outdoor[b.face] = film;
    }
    return changed;
}

void Films::find(const std::vector<double>& from, const std::vector<double>& signal, std::vector<double>& film) const
{
    film.resize(values());
    const double* d = from.data();
    double* h = film.data();
    for (const Convective& c : convective_) *h++ = c.curve.at(*d++);
    for (const LongWaveAt& l : long_wave_) {
        const double face_C = *d++;
        for (std::size_t k = 0; k < 3; ++k)
            *h++ = fabric::radiation_W_per_m2K(l.emissivity * l.share[k], face_C, signal[l.to[k]]);
    }
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

void Films::read(const std::vector<double>& face_C, const std::vector<double>& air_C, std::vector<double>& from) const
{
    from.resize(count());
    double* d = from.data();
    for (const Convective& c : convective_) *d++ = face_C[c.face] - air_C[c.zone] - c.air_warmer_K;
    for (const LongWaveAt& l : long_wave_) *d++ = face_C[l.face];
}

FilmResidual Films::residual(const std::vector<double>& found, const std::vector<double>& signal,
                             const SurfaceBank& bank, std::vector<double>& zone_W) const
{
    FilmResidual worst;
    zone_W.assign(per_area_.size(), 0.0);
    const double* d = found.data();
    for (const Convective& c : convective_) {
        const double difference = *d++;
        zone_W[c.zone] += bank.area[c.face] * std::abs((c.curve.at(difference) - bank.convective[c.face]) * difference);
    }
    for (std::size_t z = 0; z < per_area_.size(); ++z)
        worst.inside_W_per_m2 = std::max(worst.inside_W_per_m2, zone_W[z] * per_area_[z]);
    for (const LongWaveAt& l : long_wave_) {
        const double face_C = *d++;
        double q = bank.long_wave_W[l.face] - bank.long_wave[l.face] * face_C;
        for (std::size_t k = 0; k < 3; ++k) {
            const double to_C = signal[l.to[k]];
            q -= fabric::radiation_W_per_m2K(l.emissivity * l.share[k], face_C, to_C) * (to_C - face_C);
        }
        worst.outside_W_per_m2 = std::max(worst.outside_W_per_m2, std::abs(q));
    }
    return worst;
}

} // namespace venture::loads::detail
