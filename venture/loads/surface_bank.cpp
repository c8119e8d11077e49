#include <venture/loads/surface_bank.hpp>

#include <algorithm>

#include <venture/loads/face_loops.hpp>

namespace venture::loads::detail {

SurfaceBank::SurfaceBank(const ThermalModel& model, double step_s)
{
    for (const fabric::WallModes& wall : model.walls) steppers.push_back(fabric::wall_stepper(wall, step_s));
    std::vector<std::vector<std::size_t>> of_wall(model.walls.size());
    for (std::size_t i = 0; i < model.surfaces.size(); ++i) of_wall[model.surfaces[i].wall].push_back(i);
    for (std::size_t w = 0; w < of_wall.size(); ++w) {
        std::ranges::stable_sort(of_wall[w], {}, [&](std::size_t i) { return model.surfaces[i].id; });
        if (!of_wall[w].empty()) add_row(model, w, of_wall[w]);
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
    for (auto* per_face : {&own, &across, &area, &in_zone, &warmer, &convective, &radiative, &outdoor, &long_wave,
                           &long_wave_W, &given_W})
        per_face->assign(2 * n, 0.0);
    zone.assign(2 * n, static_cast<std::uint32_t>(model.zones.size()));
    environment.assign(2 * n, 0);
    fixed.assign(2 * n, 0);
    answers.assign(2 * n, 1.0);
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
        convective[at] = z->convective_W_per_m2K;
        radiative[at] = z->radiative_W_per_m2K;
        takes_up(z->absorbed_W);
    } else if (const auto* o = std::get_if<OutdoorFace>(&face)) {
        outdoor[at] = o->film_by_step ? model.value(*o->film_by_step, 0, 0.5) : o->film_W_per_m2K;
        environment[at] = o->environment_C.index;
        takes_up(o->absorbed_W);
    } else if (const auto* f = std::get_if<FixedFace>(&face)) {
        outdoor[at] = f->film_W_per_m2K.value_or(1.0); // what is known is the temperature itself
        fixed[at] = f->film_W_per_m2K ? 0 : 1;
        answers[at] = f->film_W_per_m2K ? 1.0 : 0.0;
        environment[at] = f->temperature_C.index;
    }
}

void SurfaceBank::eliminate()
{
    const std::size_t n = count();
    for (std::size_t f = 0; f < 2 * n; ++f) given_W[f] = long_wave_W[f] + convective[f] * warmer[f];
    eliminate_faces(n, {y[0].data(), y[1].data(), y[2].data()},
                    {convective.data(), radiative.data(), outdoor.data(), long_wave.data()}, own.data(), across.data());
    for (const std::size_t slot : with_fixed_) eliminate_fixed(slot);
}

/// A given temperature: what is known of it is the temperature itself.
void SurfaceBank::eliminate_fixed(std::size_t slot)
{
    const std::size_t n = count(), given = fixed[slot] ? 0 : 1, other = 1 - given;
    const std::size_t f = given * n + slot, g = other * n + slot;
    own[f] = own[g] = 1.0;
    across[f] = across[g] = 0.0;
    if (fixed[g]) return;
    const double all = convective[g] + radiative[g] + outdoor[g] + long_wave[g] + y[2 * other][slot];
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

} // namespace venture::loads::detail
