#include <venture/balance/films.hpp>

#include <algorithm>
#include <cmath>

namespace venture::balance {

Films::Films(const ThermalModel& model, const SurfaceBank& bank) : bank_{bank}
{
    std::vector<double> area(model.zones.size(), 0.0);
    for (const SlotRange block : bank.blocks) {
        blocks_.emplace_back();
        for (const std::size_t side : {std::size_t{0}, bank.count()})
            for (std::size_t f = side + block.first; f < side + block.last; ++f) {
                const Slot& slot = bank.slots[f - side];
                if (slot.area <= 0.0) continue;
                const Surface& s = model.surfaces[slot.surface];
                const Face& face = side == 0 ? s.outside : s.inside;
                if (const auto* z = std::get_if<ZoneFace>(&face)) {
                    area[z->zone] += slot.area;
                    if (!z->natural) continue;
                    convective_.push_back({slot.surface, side != 0});
                    add_convective(f, *z->natural);
                } else if (const auto* o = std::get_if<OutdoorFace>(&face)) {
                    add_outdoor(f, *o, model.outdoor_air_C);
                }
            }
    }
    for (const double a : area) per_area_.push_back(a > 0.0 ? 1.0 / a : 0.0);
    difference_.resize(curves_.size());
}

void Films::add_convective(std::size_t face, const fabric::NaturalConvection& natural)
{
    std::vector<Stretch>& stretches = blocks_.back().convective;
    const std::size_t at = curves_.size();
    curves_.add(natural);
    if (!stretches.empty() && stretches.back().last == at &&
        stretches.back().face + at - stretches.back().first == face)
        ++stretches.back().last;
    else
        stretches.push_back({at, at + 1, face});
}

void Films::add_outdoor(std::size_t face, const OutdoorFace& o, SignalId air_C)
{
    const auto at = static_cast<std::uint32_t>(face);
    if (o.film_by_step) {
        const auto known = std::ranges::find(by_step_, *o.film_by_step, &ByStep::film);
        (known == by_step_.end() ? by_step_.emplace_back(ByStep{*o.film_by_step, {}}) : *known).faces.push_back(at);
    }
    const auto& l = o.long_wave;
    if (!l) return;
    blocks_.back().long_wave.push_back(long_wave_.size());
    long_wave_.push_back(
        {at,
         {l->sky_C.index, l->ground_C.index, air_C.index},
         {l->emissivity * l->sky_share, l->emissivity * l->ground_share, l->emissivity * l->air_share()}});
}

bool Films::set_step(const ThermalModel& model, std::size_t step, SurfaceBank& bank) const
{
    bool changed = false;
    for (const ByStep& b : by_step_) {
        const double film = model.value(b.film, step, 0.5);
        if (film == bank.film[b.faces.front()]) continue;
        changed = true;
        for (const std::uint32_t face : b.faces) bank.film[face] = film;
    }
    return changed;
}

void Films::find(const std::vector<double>& face_C, const std::vector<double>& air_C, const std::vector<double>& signal,
                 std::vector<double>& film)
{
    film.resize(values());
    for (std::size_t b = 0; b < blocks_.size(); ++b) find(b, face_C, air_C, signal, film);
}

void Films::find(std::size_t block, const std::vector<double>& face_C, const std::vector<double>& air_C,
                 const std::vector<double>& signal, std::vector<double>& film)
{
    for (const auto [first, last, face] : blocks_[block].convective) {
        const std::uint32_t* zone = bank_.zone.data() + face;
        const double *here = face_C.data() + face, *warmer = bank_.warmer.data() + face, *air = air_C.data();
        double* difference = difference_.data() + first;
        for (std::size_t i = 0; i < last - first; ++i) difference[i] = here[i] - air[zone[i]] - warmer[i];
        curves_.at(first, last, difference_.data(), film.data());
    }
    for (const std::size_t i : blocks_[block].long_wave) {
        const LongWaveAt& l = long_wave_[i];
        for (std::size_t k = 0; k < 3; ++k)
            film[curves_.size() + 3 * i + k] =
                l.emissivity_share[k] > 0.0
                    ? fabric::radiation_W_per_m2K(l.emissivity_share[k], face_C[l.face], signal[l.to[k]])
                    : 0.0;
    }
}

void Films::put(std::size_t block, const std::vector<double>& film, const std::vector<double>& signal,
                SurfaceBank& bank) const
{
    for (const auto [first, last, face] : blocks_[block].convective)
        for (std::size_t i = first; i < last; ++i) {
            const std::size_t f = face + i - first;
            bank.film[f] = film[i];
            bank.given_W[f] = film[i] * bank.warmer[f];
        }
    for (const std::size_t i : blocks_[block].long_wave) {
        const double* h = film.data() + curves_.size() + 3 * i;
        const LongWaveAt& l = long_wave_[i];
        bank.radiative[l.face] = h[0] + h[1] + h[2];
        bank.given_W[l.face] = h[0] * signal[l.to[0]] + h[1] * signal[l.to[1]] + h[2] * signal[l.to[2]];
    }
}

void Films::add_residual(std::size_t block, const std::vector<double>& found, const std::vector<double>& used,
                         const std::vector<double>& face_C, const std::vector<double>& signal,
                         std::vector<double>& zone_W, FilmResidual& worst) const
{
    for (const auto [first, last, face] : blocks_[block].convective)
        for (std::size_t i = first; i < last; ++i) {
            const std::size_t f = face + i - first;
            zone_W[bank_.zone[f]] += bank_.area[f] * std::abs((found[i] - used[i]) * difference_[i]);
        }
    for (const std::size_t i : blocks_[block].long_wave) {
        const LongWaveAt& l = long_wave_[i];
        const std::size_t at = curves_.size() + 3 * i;
        double q = 0.0;
        for (std::size_t k = 0; k < 3; ++k) q += (found[at + k] - used[at + k]) * (signal[l.to[k]] - face_C[l.face]);
        worst.outside_W_per_m2 = std::max(worst.outside_W_per_m2, std::abs(q));
    }
}

void Films::take_means(const std::vector<double>& zone_W, FilmResidual& worst) const
{
    for (std::size_t z = 0; z < per_area_.size(); ++z)
        worst.inside_W_per_m2 = std::max(worst.inside_W_per_m2, zone_W[z] * per_area_[z]);
}

} // namespace venture::balance
