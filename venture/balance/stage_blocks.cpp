/// Stages block by block: base temperatures, zones, faces, films.

#include <venture/balance/stage.hpp>

#include <algorithm>
#include <cmath>

#include <venture/balance/face_loops.hpp>

namespace venture::balance {

void StageSolver::solve_with_films(SurfaceBank& bank, ZoneNetwork& network, Films& films, const StageStart& start,
                                   Stage& s) const
{
    constexpr double still_W_per_m2 = 1e-7;
    constexpr int most_rounds = 500;
    s.linked.resize(links_.any() ? 2 * bank.count() : 0, 0.0);
    if (films.vary()) {
        s.film_found.resize(films.values());
        s.film_residual_W.assign(model_.zones.size(), 0.0);
        s.film_residual = {};
    }
    Films* that_vary = films.vary() ? &films : nullptr;
    for (int round = 1;; ++round) {
        prepare_zones(bank, network, films, films.vary() && round == 1, s);
        s.solved = network.solve(s.drives, start.actions, start.air_flows, s.x);
        find_all_faces(bank, network, links_.any() ? nullptr : that_vary, start, s);
        if (!links_.any()) break;
        links_.find(bank, s.face_C, s.x.radiant_C, s.linked_found);
        double moved = 0.0;
        for (std::size_t f = 0; f < s.linked.size(); ++f)
            moved = std::max(moved, std::abs(s.linked_found[f] - s.linked[f]));
        if (moved <= still_W_per_m2 || round == most_rounds) {
            s.solved.settled = s.solved.settled && moved <= still_W_per_m2;
            for (std::size_t b = 0; that_vary != nullptr && b < bank.blocks.size(); ++b) find_films(films, b, start, s);
            break;
        }
        s.linked = s.linked_found;
    }
    if (films.vary()) films.take_means(s.film_residual_W, s.film_residual);
}

void StageSolver::prepare_zones(SurfaceBank& bank, ZoneNetwork& network, const Films& films, bool films_are_new,
                                Stage& s)
{
    for (auto* row : {&s.known, &s.base}) row->resize(2 * bank.count());
    for (std::size_t b = 0; b < bank.blocks.size(); ++b) {
        if (films_are_new) {
            films.put(b, s.film, s.signal, bank);
            bank.eliminate(bank.blocks[b]);
            network.refresh(bank, b);
        }
        find_bases(bank, bank.blocks[b], s);
        network.find_drives(b, s.base, s.storing_W, s.drives);
    }
    if (films_are_new) network.refresh_rest(bank);
}

/// @param films  that follow from the faces; nothing: none do, or not yet
void StageSolver::find_all_faces(const SurfaceBank& bank, const ZoneNetwork& network, Films* films,
                                 const StageStart& start, Stage& s)
{
    s.face_C.resize(2 * bank.count());
    for (std::size_t b = 0; b < bank.blocks.size(); ++b) {
        find_faces(bank, network, bank.blocks[b], s);
        if (films != nullptr) find_films(*films, b, start, s);
    }
}

void StageSolver::find_films(Films& films, std::size_t block, const StageStart& start, Stage& s)
{
    films.find(block, s.face_C, s.x.air_C, s.signal, s.film_found);
    if (start.film == nullptr)
        films.add_residual(block, s.film_found, s.film, s.face_C, s.signal, s.film_residual_W, s.film_residual);
}

/// Face temperatures as far as they do not depend on the zones' unknowns.
void StageSolver::find_bases(const SurfaceBank& bank, SlotRange block, Stage& s)
{
    const std::size_t n = bank.count();
    const double *signal = s.signal.data(), *answer = s.answer.data(), *absorbed = s.absorbed.data(),
                 *film = bank.film.data(), *given = bank.given_W.data();
    const std::uint32_t* environment = bank.environment.data();
    double* known = s.known.data();
    for (const std::size_t side : {std::size_t{0}, n}) {
        const std::size_t first = side + block.first, last = side + block.last;
        for (std::size_t f = first; f < last; ++f)
            known[f] = answer[f] + absorbed[f] + film[f] * signal[environment[f]] + given[f];
        for (std::size_t f = first; !s.linked.empty() && f < last; ++f) known[f] += s.linked[f];
    }
    for (const std::size_t slot : bank.with_fixed(block))
        for (const std::size_t f : {slot, n + slot})
            if (bank.fixed[f]) known[f] = signal[environment[f]];
    eliminate_known(n, block, bank.own.data(), bank.across.data(), known, nullptr, s.base.data());
}

/// Face temperatures from the zones' unknowns.
void StageSolver::find_faces(const SurfaceBank& bank, const ZoneNetwork& network, SlotRange block, Stage& s)
{
    const std::size_t n = bank.count();
    const double *air = s.x.air_C.data(), *radiant = s.x.radiant_C.data(), *load = s.x.load_W.data(),
                 *per_W = network.radiant_per_m2().data(), *film = bank.film.data(), *radiative = bank.radiative.data();
    const std::uint32_t* zone = bank.zone.data();
    double* known = s.known.data();
    for (const std::size_t side : {std::size_t{0}, n}) {
        const std::size_t first = side + block.first, last = side + block.last;
        if (network.radiates())
            for (std::size_t f = first; f < last; ++f) {
                const std::uint32_t z = zone[f];
                known[f] = film[f] * air[z] + radiative[f] * radiant[z] + per_W[z] * load[z];
            }
        else
            for (std::size_t f = first; f < last; ++f)
                known[f] = film[f] * air[zone[f]] + radiative[f] * radiant[zone[f]];
    }
    for (const ZoneNetwork::SupplyToFace& to : network.supply_to_faces_of(block))
        if (const std::size_t f = to.side * n + to.slot; !bank.fixed[f]) known[f] += to.per_W * load[to.zone];
    eliminate_known(n, block, bank.own.data(), bank.across.data(), known, s.base.data(), s.face_C.data());
}

} // namespace venture::balance
