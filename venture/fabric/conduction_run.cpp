#include <venture/fabric/conduction_run.hpp>

#include <limits>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

namespace {

/// What is known of the fluxes before the face temperatures are: q = y T - known.
std::array<double, 2> known_fluxes(const WallStage& stage, const double* carried, const std::vector<double>& sources)
{
    std::array<double, 2> known = stage.history(carried);
    for (std::size_t p = 0; p < stage.planes.size(); ++p) {
        known[0] += stage.planes[p].w1 * sources[p];
        known[1] += stage.planes[p].w2 * sources[p];
    }
    return known;
}

} // namespace

ConductionRun::ConductionRun(WallModes modes, double step_s, const Films& films)
    : modes_{std::move(modes)},
      z_(modes_.size(), 0.0),
      carried_(modes_.size(), 0.0),
      after_(modes_.size(), 0.0),
      sources_(modes_.planes.size(), 0.0)
{
    quantity::check_range("conduction run", "step", step_s, {1e-3, 1e6}, "s");
    quantity::check_range("conduction run", "outside film", films.outside_m2K_per_W, {0.0, 1e3}, "m2K/W");
    quantity::check_range("conduction run", "inside film", films.inside_m2K_per_W, {0.0, 1e3}, "m2K/W");
    stage_ = wall_stage(modes_, two_stages::gamma * step_s);
    steady_ = wall_stage(modes_, std::numeric_limits<double>::infinity());
    if (films.outside_m2K_per_W > 0.0) film_W_per_m2K_[0] = 1.0 / films.outside_m2K_per_W;
    if (films.inside_m2K_per_W > 0.0) film_W_per_m2K_[1] = 1.0 / films.inside_m2K_per_W;
}

std::array<double, 2> ConductionRun::faces(const WallStage& stage, const std::array<double, 2>& air,
                                           const std::array<double, 2>& known) const
{
    const auto [h0, h1] = film_W_per_m2K_;
    if (h0 == 0.0 && h1 == 0.0) return air;
    const double in0 = h0 * air[0] + known[0], in1 = h1 * air[1] + known[1];
    if (h0 == 0.0) return {air[0], (in1 - stage.y12 * air[0]) / (h1 + stage.y22)};
    if (h1 == 0.0) return {(in0 - stage.y12 * air[1]) / (h0 + stage.y11), air[1]};
    const double a = h0 + stage.y11, b = h1 + stage.y22, determinant = a * b - stage.y12 * stage.y12;
    return {(b * in0 - stage.y12 * in1) / determinant, (a * in1 - stage.y12 * in0) / determinant};
}

void ConductionRun::start_steady(const WallDrive& drive)
{
    for (std::size_t p = 0; p < drive.sources_W_per_m2.size(); ++p) sources_.at(p) = drive.sources_W_per_m2[p];
    const auto t = faces(steady_, drive.temperature_C, known_fluxes(steady_, z_.data(), sources_));
    z_ = modes_.steady_states(t[0], t[1], sources_);
}

WallStep ConductionRun::step(const WallDrive& from, const WallDrive& to)
{
    WallStep out;
    carried_ = z_;
    const auto between = [](double a, double b, double share) { return a + share * (b - a); };
    for (std::size_t i = 0; i < 2; ++i) {
        const double share = two_stages::at[i], weight = two_stages::weight[i];
        std::array<double, 2> air{};
        for (std::size_t j = 0; j < 2; ++j) air[j] = between(from.temperature_C[j], to.temperature_C[j], share);
        for (std::size_t p = 0; p < from.sources_W_per_m2.size(); ++p) {
            sources_.at(p) = between(from.sources_W_per_m2[p], to.sources_W_per_m2.at(p), share);
            out.sources_W_per_m2 += weight * sources_[p];
        }
        const auto known = known_fluxes(stage_, carried_.data(), sources_);
        const auto t = faces(stage_, air, known);
        stage_.advance(carried_.data(), t[0], t[1], sources_.data(), after_.data());
        out.face_end_C = t;
        out.flux_end_W_per_m2 = {stage_.y11 * t[0] + stage_.y12 * t[1] - known[0],
                                 stage_.y12 * t[0] + stage_.y22 * t[1] - known[1]};
        for (std::size_t j = 0; j < 2; ++j) out.flux_W_per_m2[j] += weight * out.flux_end_W_per_m2[j];
        if (i == 0)
            for (std::size_t k = 0; k < z_.size(); ++k)
                carried_[k] = z_[k] + two_stages::carry_over * (after_[k] - z_[k]);
    }
    z_ = after_;
    for (std::size_t p = 0; p < modes_.planes.size(); ++p)
        out.plane_end_C.push_back(modes_.plane_temperature(p, z_, out.face_end_C[0], out.face_end_C[1], sources_));
    return out;
}

} // namespace venture::fabric
