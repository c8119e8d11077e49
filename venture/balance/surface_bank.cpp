#include <venture/balance/surface_bank.hpp>

#include <algorithm>
#include <numeric>

namespace venture::balance {

namespace {

/// Of every surface, by the first of its zones in the order of their ids; walls of many kinds make longer blocks, since
/// a kind's slots are filled up to whole lanes in each.
std::vector<std::size_t> blocks_of_surfaces(const ThermalModel& model)
{
    constexpr std::size_t zones_a_block = 256, slots_of_a_kind = 32;
    const std::size_t zones = model.zones.size(), surfaces = model.surfaces.size();
    const std::size_t most = surfaces / std::max<std::size_t>(1, slots_of_a_kind * model.walls.size()),
                      count = std::clamp<std::size_t>(zones / zones_a_block, 1, std::max<std::size_t>(1, most));
    std::vector<std::size_t> order(zones), block_of_zone(zones + 1, 0), out;
    std::iota(order.begin(), order.end(), std::size_t{0});
    std::ranges::stable_sort(order, {}, [&](std::size_t z) { return model.zones[z].id; });
    for (std::size_t k = 0; k < zones; ++k) block_of_zone[order[k]] = k * count / zones;
    block_of_zone[zones] = count - 1; // of a face in no zone
    for (const Surface& s : model.surfaces) {
        const auto zone = [&](const Face& face) {
            const auto* z = std::get_if<ZoneFace>(&face);
            return z != nullptr ? z->zone : zones;
        };
        out.push_back(std::min(block_of_zone[zone(s.outside)], block_of_zone[zone(s.inside)]));
    }
    return out;
}

} // namespace

SurfaceBank::SurfaceBank(const ThermalModel& model, double step_s)
{
    for (const fabric::WallModes& wall : model.walls) steppers.push_back(fabric::wall_stepper(wall, step_s));
    const std::vector<std::size_t> block_of = blocks_of_surfaces(model);
    const std::size_t block_count = block_of.empty() ? 1 : std::ranges::max(block_of) + 1;
    std::vector<std::vector<std::size_t>> of_wall(block_count * model.walls.size());
    for (std::size_t i = 0; i < model.surfaces.size(); ++i)
        of_wall[block_of[i] * model.walls.size() + model.surfaces[i].wall].push_back(i);
    for (std::size_t block = 0; block < block_count; ++block) {
        const std::size_t first = slots.size();
        for (std::size_t w = 0; w < model.walls.size(); ++w) {
            auto& surfaces = of_wall[block * model.walls.size() + w];
            std::ranges::stable_sort(surfaces, {}, [&](std::size_t i) { return model.surfaces[i].id; });
            if (!surfaces.empty()) add_row(model, w, surfaces);
        }
        blocks.push_back({first, slots.size()});
    }
    lay_out_faces(model);
    for (std::size_t i = 0; i < count(); ++i) set_response(i, nullptr);
    eliminate();
}

void SurfaceBank::add_row(const ThermalModel& model, std::size_t wall, const std::vector<std::size_t>& surfaces)
{
    constexpr std::size_t lanes = fabric::WallRow::lanes;
    const fabric::WallStepper& stepper = steppers[wall];
    const Row row{wall, slots.size(), (surfaces.size() + lanes - 1) / lanes * lanes, state_count_};
    for (std::size_t i = 0; i < row.count; ++i) {
        const std::size_t group = i / lanes * lanes * stepper.modes();
        Slot s{.stepper = wall, .first_state = row.first_state + group + i % lanes, .stride = lanes};
        s.surface = surfaces[std::min(i, surfaces.size() - 1)];
        if (i < surfaces.size()) {
            const Surface& given = model.surfaces[s.surface];
            s.area = given.area_m2;
            if (stepper.planes() > 0) {
                planed.push_back({slots.size(), plane_count, given.water ? static_cast<int>(given.water->plane) : -1});
                plane_count += stepper.planes();
            }
        }
        slots.push_back(s);
    }
    state_count_ += row.count * stepper.modes();
    rows_.push_back(row);
}

void SurfaceBank::lay_out_faces(const ThermalModel& model)
{
    const std::size_t n = count();
    for (auto* per_slot : {&y[0], &y[1], &y[2], &carry[0], &carry[1], &carry[2]}) per_slot->assign(n, 0.0);
    for (auto* per_face : {&own, &across, &area, &in_zone, &film, &radiative, &warmer, &given_W})
        per_face->assign(2 * n, 0.0);
    zone.assign(2 * n, static_cast<std::uint32_t>(model.zones.size()));
    environment.assign(2 * n, static_cast<std::uint32_t>(model.signals.size() + further_signals - 1));
    fixed.assign(2 * n, 0);
    for (std::size_t k = 0; k < terms_in_rows; ++k) {
        sun[k].assign(2 * n, 0);
        sun_per_m2[k].assign(2 * n, 0.0);
    }
    for (std::size_t f = 0; f < 2 * n; ++f) {
        const Slot& slot = slots[f % n];
        if (slot.area <= 0.0) continue;
        const Surface& given = model.surfaces[slot.surface];
        area[f] = slot.area;
        lay_out_face(model, f < n ? given.outside : given.inside, f);
        if (f >= n && (fixed[f] || fixed[f - n])) with_fixed_.push_back(f - n);
        if (f >= n && in_zone[f] == 0.0) every_inside_in_zone = false;
    }
}

void SurfaceBank::lay_out_face(const ThermalModel& model, const Face& face, std::size_t at)
{
    const auto takes_up = [&](const Drives& drives) {
        for (std::size_t k = 0; k < drives.size(); ++k) {
            const double per_m2 = drives[k].factor / area[at];
            if (k < terms_in_rows) {
                sun[k][at] = drives[k].signal.index;
                sun_per_m2[k][at] = per_m2;
            } else {
                further_terms.push_back({static_cast<std::uint32_t>(at), drives[k].signal.index, per_m2});
            }
        }
    };
    if (const auto* z = std::get_if<ZoneFace>(&face)) {
        zone[at] = static_cast<std::uint32_t>(z->zone);
        in_zone[at] = 1.0;
        warmer[at] = z->air_warmer_K;
        film[at] = z->convective_W_per_m2K;
        given_W[at] = film[at] * warmer[at];
        radiative[at] = z->radiative_W_per_m2K;
        takes_up(z->absorbed_W);
    } else if (const auto* o = std::get_if<OutdoorFace>(&face)) {
        film[at] = o->film_by_step ? model.value(*o->film_by_step, 0, 0.5) : o->film_W_per_m2K;
        environment[at] = o->environment_C.index;
        takes_up(o->absorbed_W);
    } else if (const auto* f = std::get_if<FixedFace>(&face)) {
        film[at] = f->film_W_per_m2K.value_or(1.0); // what is known is the temperature itself
        fixed[at] = f->film_W_per_m2K ? 0 : 1;
        environment[at] = f->temperature_C.index;
    }
}

void SurfaceBank::eliminate()
{
    for (const SlotRange block : blocks) eliminate(block);
}

void SurfaceBank::eliminate(SlotRange block)
{
    eliminate_faces(count(), block, {y[0].data(), y[1].data(), y[2].data()}, {film.data(), radiative.data()},
                    own.data(), across.data());
    for (const std::size_t slot : with_fixed(block)) eliminate_fixed(slot);
}

std::span<const std::size_t> SurfaceBank::with_fixed(SlotRange block) const
{
    return {std::ranges::lower_bound(with_fixed_, block.first), std::ranges::lower_bound(with_fixed_, block.last)};
}

/// A given temperature: what is known of it is the temperature itself.
void SurfaceBank::eliminate_fixed(std::size_t slot)
{
    const std::size_t n = count(), given = fixed[slot] ? 0 : 1, other = 1 - given;
    const std::size_t f = given * n + slot, g = other * n + slot;
    own[f] = own[g] = 1.0;
    across[f] = across[g] = 0.0;
    if (fixed[g]) return;
    const double all = film[g] + radiative[g] + y[2 * other][slot];
    own[g] = 1.0 / all;
    across[g] = -y[1][slot] / all;
}

/// The wall's own response, and what water in it adds.
void SurfaceBank::set_response(std::size_t slot, const PlanedSlot* with_water)
{
    const fabric::WallStepper& wall = steppers[slots[slot].stepper];
    for (std::size_t i = 0; i < 2; ++i)
        for (std::size_t j = i; j < 2; ++j) {
            y[i + j][slot] = wall.y(i, j);
            carry[i + j][slot] = wall.carry(i, j);
            if (with_water == nullptr || with_water->water_W_per_m2K <= 0.0) continue;
            const auto plane = static_cast<std::size_t>(with_water->water_plane);
            y[i + j][slot] += wall.w(i, plane) * wall.w(j, plane) * with_water->water_W_per_m2K;
        }
}

bool SurfaceBank::set_water(const ThermalModel& model, std::size_t step)
{
    bool changed = false;
    for (PlanedSlot& p : planed) {
        if (p.water_plane < 0) continue;
        const Slot& slot = slots[p.slot];
        const auto plane = static_cast<std::size_t>(p.water_plane);
        const double conductance = model.value(model.surfaces[slot.surface].water->conductance_W_per_m2K, step, 0.5),
                     past_the_plane = conductance > 0.0
                                          ? 1.0 / (1.0 / conductance + steppers[slot.stepper].w(2 + plane, plane))
                                          : 0.0;
        if (past_the_plane == p.water_W_per_m2K) continue;
        p.water_W_per_m2K = past_the_plane;
        set_response(p.slot, &p);
        changed = true;
    }
    return changed;
}

void SurfaceBank::recall(const std::vector<double>& states, std::vector<double>& history,
                         std::vector<double>& stored) const
{
    const std::size_t n = slots.size();
    history.resize(4 * n);
    stored.resize(n);
    for (std::size_t i = 0; i < n; ++i) {
        const fabric::WallStepper& stepper = steppers[slots[i].stepper];
        const double* modes = states.data() + slots[i].first_state;
        for (std::size_t row = 0; row < 4; ++row)
            history[row * n + i] = history_of(stepper, modes, slots[i].stride, row % 2, row / 2);
        stored[i] = stored_heat(stepper, modes, slots[i].stride);
    }
}

void SurfaceBank::advance(std::vector<double>& states, const std::array<const double*, 2>& face_C,
                          const std::array<const double*, 2>& planes, std::vector<double>& history,
                          std::vector<double>& stored) const
{
    const std::size_t n = slots.size();
    for (const Row& row : rows_) {
        const fabric::WallStepper& stepper = steppers[row.wall];
        if (stepper.planes() > 0) continue;
        fabric::WallRow w{.count = row.count,
                          .states = states.data() + row.first_state,
                          .stored_J_per_m2 = stored.data() + row.first_slot};
        for (std::size_t r = 0; r < 4; ++r) {
            w.face_C[r] = face_C[r / 2] + (r % 2) * n + row.first_slot;
            w.history[r] = history.data() + r * n + row.first_slot;
        }
        fabric::advance_walls(stepper, w);
    }
    for (const PlanedSlot& p : planed) {
        const Slot& slot = slots[p.slot];
        const fabric::WallStepper& stepper = steppers[slot.stepper];
        std::array<std::vector<double>, 2> drives{};
        for (std::size_t stage = 0; stage < 2; ++stage) {
            drives[stage] = {face_C[stage][p.slot], face_C[stage][n + p.slot]};
            for (std::size_t r = 0; r < stepper.planes(); ++r)
                drives[stage].push_back(planes[stage][p.first_plane + r]);
        }
        double* modes = states.data() + slot.first_state;
        advance_wall(stepper, modes, slot.stride, drives[0].data(), drives[1].data());
        for (std::size_t r = 0; r < 4; ++r)
            history[r * n + p.slot] = history_of(stepper, modes, slot.stride, r % 2, r / 2);
        stored[p.slot] = stored_heat(stepper, modes, slot.stride);
    }
}

} // namespace venture::balance
