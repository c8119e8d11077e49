#include <venture/loads/surface_bank.hpp>

#include <algorithm>

namespace venture::loads::detail {

namespace {

StageFace stage_face(const Face& face)
{
    StageFace out;
    if (const auto* z = std::get_if<ZoneFace>(&face)) {
        out.zone = static_cast<int>(z->zone);
        out.convective = z->convective_W_per_m2K;
        out.radiative = z->radiative_W_per_m2K;
        out.film = out.convective + out.radiative;
        out.absorbed = &z->absorbed_W;
    } else if (const auto* o = std::get_if<OutdoorFace>(&face)) {
        out.film = o->film_W_per_m2K;
        out.environment = o->environment_C;
        out.driven = true;
    } else if (const auto* f = std::get_if<FixedFace>(&face)) {
        out.film = f->film_W_per_m2K.value_or(0.0);
        out.fixed = !f->film_W_per_m2K.has_value();
        out.environment = f->temperature_C;
        out.driven = true;
    }
    return out;
}

/// Eliminates the faces of one surface: temperatures from drives and wall history.
void eliminate_faces(StageSurface& s)
{
    for (auto& row : s.m) row[0] = row[1] = 0.0;
    const double a = s.face[0].film + s.y[0][0], b = s.face[1].film + s.y[1][1], y12 = s.y[0][1];
    if (s.face[0].fixed || s.face[1].fixed) { // a given temperature: its "drive" is the temperature itself
        const bool both = s.face[0].fixed && s.face[1].fixed;
        const int given = s.face[0].fixed ? 0 : 1, other = 1 - given;
        s.m[given][given] = 1.0;
        if (both) {
            s.m[other][other] = 1.0;
        } else {
            const double d = other == 0 ? a : b;
            s.m[other][other] = 1.0 / d;
            s.m[other][given] = -y12 / d;
        }
        return;
    }
    const double determinant = a * b - y12 * y12;
    if (!(determinant > 0.0)) { // both faces insulated and no capacity: nothing can be said, nothing flows
        s.m[0][0] = s.m[1][1] = 1.0 / std::max(a, 1e-12);
        return;
    }
    s.m[0][0] = b / determinant;
    s.m[1][1] = a / determinant;
    s.m[0][1] = s.m[1][0] = -y12 / determinant;
}

/// The wall's own response, and what water in it adds.
void set_response(StageSurface& s, const fabric::WallStepper& wall, double water_W_per_m2K)
{
    const auto plane = static_cast<std::size_t>(std::max(0, s.water_plane));
    s.water_W_per_m2K = water_W_per_m2K > 0.0 ? 1.0 / (1.0 / water_W_per_m2K + wall.w(2 + plane, plane)) : 0.0;
    for (std::size_t i = 0; i < 2; ++i)
        for (std::size_t j = 0; j < 2; ++j) {
            s.y[i][j] = wall.y(i, j);
            if (s.water_W_per_m2K > 0.0) s.y[i][j] += wall.w(i, plane) * wall.w(j, plane) * s.water_W_per_m2K;
        }
    eliminate_faces(s);
}

} // namespace

SurfaceBank::SurfaceBank(const ThermalModel& model, double step_s)
{
    for (const fabric::WallModes& wall : model.walls) steppers.push_back(fabric::wall_stepper(wall, step_s));
    std::vector<std::vector<std::size_t>> of_wall(model.walls.size());
    for (std::size_t i = 0; i < model.surfaces.size(); ++i) of_wall[model.surfaces[i].wall].push_back(i);
    for (std::size_t w = 0; w < of_wall.size(); ++w) {
        std::ranges::stable_sort(of_wall[w], {}, [&](std::size_t i) { return model.surfaces[i].id; });
        if (!of_wall[w].empty()) add_row(model, w, of_wall[w]);
    }
}

void SurfaceBank::add_row(const ThermalModel& model, std::size_t wall, const std::vector<std::size_t>& surfaces)
{
    constexpr std::size_t lanes = fabric::WallRow::lanes;
    const fabric::WallStepper& stepper = steppers[wall];
    const Row row{wall, slots.size(), (surfaces.size() + lanes - 1) / lanes * lanes, state_count_};
    for (std::size_t i = 0; i < row.count; ++i) {
        StageSurface s{.stepper = wall, .first_state = row.first_state + i, .stride = row.count};
        s.surface = surfaces[std::min(i, surfaces.size() - 1)];
        if (i < surfaces.size()) {
            const Surface& given = model.surfaces[s.surface];
            s.area = given.area_m2;
            s.face[0] = stage_face(given.outside);
            s.face[1] = stage_face(given.inside);
            if (given.water) s.water_plane = static_cast<int>(given.water->plane);
            if (stepper.planes() > 0) {
                s.first_plane = static_cast<int>(plane_count);
                plane_count += stepper.planes();
            }
            set_response(s, stepper, 0.0);
        }
        slots.push_back(s);
    }
    state_count_ += row.count * stepper.modes();
    rows_.push_back(row);
}

bool SurfaceBank::set_water(const ThermalModel& model, std::size_t step)
{
    bool changed = false;
    for (StageSurface& s : slots) {
        if (s.water_plane < 0) continue;
        const double conductance = model.value(model.surfaces[s.surface].water->conductance_W_per_m2K, step, 0.5);
        const double before = s.water_W_per_m2K;
        set_response(s, steppers[s.stepper], conductance);
        changed |= before != s.water_W_per_m2K;
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
        const double* own = states.data() + slots[i].first_state;
        for (std::size_t row = 0; row < 4; ++row)
            history[row * n + i] = history_of(stepper, own, slots[i].stride, row % 2, row / 2);
        stored[i] = stored_heat(stepper, own, slots[i].stride);
    }
}

void SurfaceBank::advance(std::vector<double>& states, const std::vector<double>& face_C,
                          const std::vector<double>& planes, std::vector<double>& history,
                          std::vector<double>& stored) const
{
    const std::size_t n = slots.size();
    for (const Row& row : rows_) {
        const fabric::WallStepper& stepper = steppers[row.wall];
        if (stepper.planes() == 0) {
            fabric::WallRow w{.count = row.count,
                              .states = states.data() + row.first_state,
                              .stored_J_per_m2 = stored.data() + row.first_slot};
            for (std::size_t r = 0; r < 4; ++r) {
                w.face_C[r] = face_C.data() + r * n + row.first_slot;
                w.history[r] = history.data() + r * n + row.first_slot;
            }
            fabric::advance_walls(stepper, w);
            continue;
        }
        std::vector<double> first(stepper.ports.size()), second(stepper.ports.size());
        for (std::size_t i = row.first_slot; i < row.first_slot + row.count; ++i) {
            const StageSurface& s = slots[i];
            if (s.first_plane < 0) continue; // padding
            first = {face_C[i], face_C[n + i]};
            second = {face_C[2 * n + i], face_C[3 * n + i]};
            const auto at = static_cast<std::size_t>(s.first_plane);
            for (std::size_t p = 0; p < stepper.planes(); ++p) {
                first.push_back(planes[at + p]);
                second.push_back(planes[plane_count + at + p]);
            }
            double* own = states.data() + s.first_state;
            advance_wall(stepper, own, s.stride, first.data(), second.data());
            for (std::size_t r = 0; r < 4; ++r) history[r * n + i] = history_of(stepper, own, s.stride, r % 2, r / 2);
            stored[i] = stored_heat(stepper, own, s.stride);
        }
    }
}

} // namespace venture::loads::detail
