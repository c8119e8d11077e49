#include <venture/loads/stage.hpp>

#include <algorithm>
#include <cmath>
#include <limits>

namespace venture::loads::detail {

namespace {

constexpr double infinity = std::numeric_limits<double>::infinity();

std::vector<fabric::WallStage> stages_of(const std::vector<fabric::WallModes>& walls, double stage_s)
{
    std::vector<fabric::WallStage> out;
    for (const fabric::WallModes& wall : walls) out.push_back(fabric::wall_stage(wall, stage_s));
    return out;
}

std::vector<double> zone_areas(const ThermalModel& model)
{
    std::vector<double> area_m2(model.zones.size(), 0.0);
    for (const Surface& s : model.surfaces)
        for (const Face* face : {&s.outside, &s.inside})
            if (const auto* z = std::get_if<ZoneFace>(face)) area_m2[z->zone] += s.area_m2;
    return area_m2;
}

StageFace stage_face(const Face& face, const std::vector<double>& zone_area_m2, const ThermalModel& model)
{
    StageFace out;
    if (const auto* z = std::get_if<ZoneFace>(&face)) {
        out.zone = static_cast<int>(z->zone);
        out.convective = z->convective_W_per_m2K;
        out.radiative = z->radiative_W_per_m2K;
        out.film = out.convective + out.radiative;
        out.radiant_share_per_m2 = (1.0 - model.zones[z->zone].convective_share) / zone_area_m2[z->zone];
    } else if (const auto* o = std::get_if<OutdoorFace>(&face)) {
        out.film = o->film_W_per_m2K;
        out.environment = o->environment_C;
        out.has_environment = true;
    } else if (const auto* f = std::get_if<FixedFace>(&face)) {
        out.film = f->film_W_per_m2K.value_or(0.0);
        out.fixed = !f->film_W_per_m2K.has_value();
        out.environment = f->temperature_C;
        out.has_environment = true;
    }
    return out;
}

/// Eliminates the faces of one surface: temperatures from drives and wall history.
void eliminate_faces(StageSurface& s)
{
    const double a = s.face[0].film + s.y11, b = s.face[1].film + s.y22;
    if (s.face[0].fixed || s.face[1].fixed) { // a given temperature: its "drive" is the temperature itself
        const bool both = s.face[0].fixed && s.face[1].fixed;
        const int given = s.face[0].fixed ? 0 : 1, other = 1 - given;
        s.m[given][given] = 1.0;
        if (both) {
            s.m[other][other] = 1.0;
        } else {
            const double d = other == 0 ? a : b;
            s.m[other][other] = 1.0 / d;
            s.m[other][given] = -s.y12 / d;
        }
        return;
    }
    const double determinant = a * b - s.y12 * s.y12;
    if (!(determinant > 0.0)) { // both faces insulated and no capacity: nothing can be said, nothing flows
        s.m[0][0] = s.m[1][1] = 1.0 / std::max(a, 1e-12);
        return;
    }
    s.m[0][0] = b / determinant;
    s.m[1][1] = a / determinant;
    s.m[0][1] = s.m[1][0] = -s.y12 / determinant;
}

std::vector<StageSurface> stage_surfaces(const ThermalModel& model, const std::vector<fabric::WallStage>& walls,
                                         const std::vector<double>& zone_area_m2)
{
    std::vector<StageSurface> all;
    std::size_t first = 0, first_source = 0;
    for (const Surface& s : model.surfaces) {
        const fabric::WallStage& f = walls[s.wall];
        StageSurface out{.area = s.area_m2,
                         .y11 = f.y11,
                         .y12 = f.y12,
                         .y22 = f.y22,
                         .first_mode = first,
                         .modes = f.modes(),
                         .first_source = first_source,
                         .wall = s.wall};
        out.face[0] = stage_face(s.outside, zone_area_m2, model);
        out.face[1] = stage_face(s.inside, zone_area_m2, model);
        first += out.modes;
        first_source += f.planes.size();
        eliminate_faces(out);
        all.push_back(out);
    }
    return all;
}

/// Reads every signal through `value(drives or id)`.
template <class Value>
StageForcing forcing_of(const StageKernel& k, Value value)
{
    const ThermalModel& m = k.model;
    StageForcing f;
    f.outdoor_C = value(m.outdoor_air_C);
    f.outdoor_w = value(m.outdoor_humidity_ratio);
    for (const Zone& z : m.zones) {
        f.convective_W.push_back(value(z.convective_gain_W));
        f.radiant_W.push_back(value(z.radiant_gain_W));
        f.infiltration_W_per_K.push_back(value(z.infiltration_kg_per_s) * m.air_specific_heat_J_per_kgK);
        f.ventilation_W_per_K.push_back(value(z.ventilation_kg_per_s) * m.air_specific_heat_J_per_kgK);
        f.outdoor_W_per_K.push_back(f.infiltration_W_per_K.back() + f.ventilation_W_per_K.back() +
                                    z.thermal_bridges_W_per_K);
        f.moisture_kg_per_s.push_back(value(z.moisture_gain_kg_per_s));
        f.heat_below.push_back(z.heat_below_C ? value(*z.heat_below_C) : -infinity);
        f.cool_above.push_back(z.cool_above_C ? value(*z.cool_above_C) : infinity);
        f.dry_above.push_back(z.dry_above_kg_per_kg ? value(*z.dry_above_kg_per_kg) : infinity);
    }
    for (std::size_t i = 0; i < m.surfaces.size(); ++i) {
        const StageSurface& s = k.surfaces[i];
        const Face* faces[2] = {&m.surfaces[i].outside, &m.surfaces[i].inside};
        for (int j = 0; j < 2; ++j) {
            const StageFace& face = s.face[j];
            double absorbed = 0.0, drive = 0.0;
            if (const auto* z = std::get_if<ZoneFace>(faces[j])) {
                if (!z->absorbed_W.empty()) absorbed = value(z->absorbed_W) / s.area;
                absorbed += f.radiant_W[z->zone] / k.zone_area_m2[z->zone];
                drive = absorbed;
            } else if (face.has_environment) {
                drive = value(face.environment) * (face.fixed ? 1.0 : face.film);
            }
            f.absorbed.push_back(absorbed);
            f.drive.push_back(drive);
        }
        for (std::size_t p = 0; p < k.walls[s.wall].planes.size(); ++p) {
            const auto& given = m.surfaces[i].sources_W;
            f.sources.push_back(p < given.size() ? value(given[p]) / s.area : 0.0);
        }
    }
    return f;
}

Supply wanted_supply(Supply now, double load_W, double control_C, double heat_below_C, double cool_above_C)
{
    constexpr double tolerance_K = 1e-9, tolerance_W = 1e-9;
    if (now == Supply::holds) return now;
    if (now == Supply::heats && load_W < -tolerance_W) return Supply::none;
    if (now == Supply::cools && load_W > tolerance_W) return Supply::none;
    if (now == Supply::none && control_C < heat_below_C - tolerance_K) return Supply::heats;
    if (now == Supply::none && control_C > cool_above_C + tolerance_K) return Supply::cools;
    return now;
}

} // namespace

StageKernel::StageKernel(const ThermalModel& m, double stage)
    : model{m},
      stage_s{stage},
      walls{stages_of(m.walls, stage)},
      zone_area_m2{zone_areas(m)},
      surfaces{stage_surfaces(m, walls, zone_area_m2)},
      system{m, surfaces, stage}
{
}

std::size_t StageKernel::mode_count() const
{
    return surfaces.empty() ? 0 : surfaces.back().first_mode + surfaces.back().modes;
}

double StageKernel::storage(double capacity) const { return std::isinf(stage_s) ? 0.0 : capacity / stage_s; }

StageForcing forcing_at(const StageKernel& kernel, std::size_t step, double share_of_step)
{
    return forcing_of(kernel, [&](const auto& source) { return kernel.model.value(source, step, share_of_step); });
}

StageForcing mean_forcing(const StageKernel& kernel)
{
    struct Mean {
        const ThermalModel& model;
        double operator()(SignalId id) const { return model.signals[id.index].mean(); }
        double operator()(const Drives& drives) const
        {
            double sum = 0.0;
            for (const Drive& d : drives) sum += d.factor * (*this)(d.signal);
            return sum;
        }
    };
    return forcing_of(kernel, Mean{kernel.model});
}

namespace {

/// What the walls send to their faces of themselves: their history, and the sources in them.
std::vector<double> histories(const StageKernel& k, const StageForcing& f, const std::vector<double>& zhat)
{
    std::vector<double> out;
    out.reserve(2 * k.surfaces.size());
    for (const StageSurface& s : k.surfaces) {
        const fabric::WallStage& wall = k.walls[s.wall];
        auto [h1, h2] = wall.history(zhat.data() + s.first_mode);
        for (std::size_t p = 0; p < wall.planes.size(); ++p) {
            h1 += wall.planes[p].w1 * f.sources[s.first_source + p];
            h2 += wall.planes[p].w2 * f.sources[s.first_source + p];
        }
        out.push_back(h1);
        out.push_back(h2);
    }
    return out;
}

/// Face temperatures as far as they do not depend on the zones' unknowns.
std::vector<double> base_temperatures(const StageKernel& k, const StageForcing& f, const std::vector<double>& history)
{
    std::vector<double> out(2 * k.surfaces.size());
    for (std::size_t i = 0; i < k.surfaces.size(); ++i) {
        const StageSurface& s = k.surfaces[i];
        double known[2];
        for (std::size_t j = 0; j < 2; ++j)
            known[j] = f.drive[2 * i + j] + (s.face[j].fixed ? 0.0 : history[2 * i + j]);
        out[2 * i] = s.m[0][0] * known[0] + s.m[0][1] * known[1];
        out[2 * i + 1] = s.m[1][0] * known[0] + s.m[1][1] * known[1];
    }
    return out;
}

Eigen::VectorXd right_hand_side(const StageKernel& k, const StageForcing& f, const std::vector<double>& base,
                                const std::vector<double>& air_hat)
{
    Eigen::VectorXd rhs = Eigen::VectorXd::Zero(3 * static_cast<Eigen::Index>(k.model.zones.size()));
    for (std::size_t z = 0; z < k.model.zones.size(); ++z) {
        const double storage = k.storage(k.model.zones[z].air_capacity_J_per_K);
        rhs(3 * static_cast<Eigen::Index>(z)) =
            storage * air_hat[z] + f.outdoor_W_per_K[z] * f.outdoor_C + f.convective_W[z];
    }
    for (std::size_t i = 0; i < k.surfaces.size(); ++i) {
        const StageSurface& s = k.surfaces[i];
        for (std::size_t j = 0; j < 2; ++j) {
            const StageFace& face = s.face[j];
            if (face.zone < 0) continue;
            const Eigen::Index air = 3 * static_cast<Eigen::Index>(face.zone);
            rhs(air) += s.area * face.convective * base[2 * i + j];
            rhs(air + 1) += s.area * face.radiative * base[2 * i + j];
        }
    }
    return rhs;
}

/// Solves the zones, changing supplies until each is consistent with its thermostat.
StageSolution solve_zones(StageKernel& k, const StageForcing& f, const std::vector<double>& base,
                          const std::vector<double>& air_hat, std::vector<Supply> supply)
{
    constexpr int most_passes = 30;
    Eigen::VectorXd rhs = right_hand_side(k, f, base, air_hat), x;
    StageSolution out;
    const std::size_t n = k.model.zones.size();
    for (bool changed = true; changed;) {
        for (std::size_t z = 0; z < n; ++z) {
            const bool cools = supply[z] == Supply::cools;
            rhs(3 * static_cast<Eigen::Index>(z) + 2) =
                supply[z] == Supply::none ? 0.0 : (cools ? f.cool_above[z] : f.heat_below[z]);
        }
        x = k.system.solve(supply, f.outdoor_W_per_K, rhs);
        changed = false;
        if (++out.passes > most_passes) {
            out.settled = false;
            break;
        }
        for (std::size_t z = 0; z < n; ++z) {
            const auto at = 3 * static_cast<Eigen::Index>(z);
            const double weight = k.model.zones[z].radiant_weight;
            const double control = (1.0 - weight) * x(at) + weight * x(at + 1);
            const Supply wanted = wanted_supply(supply[z], x(at + 2), control, f.heat_below[z], f.cool_above[z]);
            changed |= wanted != supply[z];
            supply[z] = wanted;
        }
    }
    for (std::size_t z = 0; z < n; ++z) {
        const auto at = 3 * static_cast<Eigen::Index>(z);
        out.air_C.push_back(x(at));
        out.radiant_C.push_back(x(at + 1));
        out.load_W.push_back(x(at + 2));
    }
    out.supply = std::move(supply);
    return out;
}

/// Face temperatures and fluxes from the zones' unknowns.
void find_faces(const StageKernel& k, const std::vector<double>& base, const std::vector<double>& history,
                StageSolution& x)
{
    x.face_C = base;
    x.flux.resize(base.size());
    for (std::size_t i = 0; i < k.surfaces.size(); ++i) {
        const StageSurface& s = k.surfaces[i];
        for (std::size_t j = 0; j < 2; ++j) {
            const StageFace& face = s.face[j];
            if (face.zone < 0) continue;
            const auto z = static_cast<std::size_t>(face.zone);
            const double drive = face.convective * x.air_C[z] + face.radiative * x.radiant_C[z] +
                                 face.radiant_share_per_m2 * x.load_W[z];
            x.face_C[2 * i] += s.m[0][j] * drive;
            x.face_C[2 * i + 1] += s.m[1][j] * drive;
        }
        const double t1 = x.face_C[2 * i], t2 = x.face_C[2 * i + 1];
        x.flux[2 * i] = s.y11 * t1 + s.y12 * t2 - history[2 * i];
        x.flux[2 * i + 1] = s.y12 * t1 + s.y22 * t2 - history[2 * i + 1];
    }
}

/// Moisture of every zone; removed above the limit where one is set.
void find_moisture(const StageKernel& k, const StageForcing& f, const std::vector<double>& w_hat, StageSolution& x)
{
    for (std::size_t z = 0; z < k.model.zones.size(); ++z) {
        const double storage = k.storage(k.model.zones[z].dry_air_kg);
        const double outdoor_air =
            (f.infiltration_W_per_K[z] + f.ventilation_W_per_K[z]) / k.model.air_specific_heat_J_per_kgK;
        const double in = storage * w_hat[z] + outdoor_air * f.outdoor_w + f.moisture_kg_per_s[z];
        const double out = storage + outdoor_air;
        double w = out > 0.0 ? in / out : f.outdoor_w;
        double removed = 0.0;
        if (w > f.dry_above[z]) {
            w = f.dry_above[z];
            removed = in - out * w;
        }
        x.humidity_ratio.push_back(w);
        x.removed_kg_per_s.push_back(removed);
    }
}

} // namespace

StageSolution solve_stage(StageKernel& k, const StageForcing& f, const std::vector<double>& zhat,
                          const std::vector<double>& air_hat, const std::vector<double>& w_hat,
                          const std::vector<Supply>& supply)
{
    const auto history = histories(k, f, zhat);
    const auto base = base_temperatures(k, f, history);
    StageSolution x = solve_zones(k, f, base, air_hat, supply);
    find_faces(k, base, history, x);
    find_moisture(k, f, w_hat, x);
    return x;
}

std::vector<double> stage_modes(const StageKernel& k, const StageForcing& f, const std::vector<double>& zhat,
                                const StageSolution& x)
{
    std::vector<double> out(zhat.size());
    for (std::size_t i = 0; i < k.surfaces.size(); ++i) {
        const StageSurface& s = k.surfaces[i];
        k.walls[s.wall].advance(zhat.data() + s.first_mode, x.face_C[2 * i], x.face_C[2 * i + 1],
                                f.sources.data() + s.first_source, out.data() + s.first_mode);
    }
    return out;
}

} // namespace venture::loads::detail
