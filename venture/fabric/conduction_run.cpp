#include <venture/fabric/conduction_run.hpp>

#include <algorithm>
#include <limits>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

ConductionRun::ConductionRun(WallModes modes, double step_s, const Films& films)
    : modes_{std::move(modes)},
      z_(modes_.size(), 0.0)
{
    quantity::check_range("conduction run", "step", step_s, {1e-3, 1e6}, "s");
    quantity::check_range("conduction run", "outside film", films.outside_m2K_per_W, {0.0, 1e3}, "m2K/W");
    quantity::check_range("conduction run", "inside film", films.inside_m2K_per_W, {0.0, 1e3}, "m2K/W");
    stepper_ = wall_stepper(modes_, step_s);
    steady_ = wall_stepper(modes_, std::numeric_limits<double>::infinity());
    if (films.outside_m2K_per_W > 0.0) film_W_per_m2K_[0] = 1.0 / films.outside_m2K_per_W;
    if (films.inside_m2K_per_W > 0.0) film_W_per_m2K_[1] = 1.0 / films.inside_m2K_per_W;
}

std::array<double, 2> ConductionRun::faces(const WallStepper& stepper, const std::array<double, 2>& air,
                                           const std::array<double, 2>& known) const
{
    const auto [h0, h1] = film_W_per_m2K_;
    const double y12 = stepper.y(0, 1);
    if (h0 == 0.0 && h1 == 0.0) return air;
    const double in0 = h0 * air[0] + known[0], in1 = h1 * air[1] + known[1];
    if (h0 == 0.0) return {air[0], (in1 - y12 * air[0]) / (h1 + stepper.y(1, 1))};
    if (h1 == 0.0) return {(in0 - y12 * air[1]) / (h0 + stepper.y(0, 0)), air[1]};
    const double a = h0 + stepper.y(0, 0), b = h1 + stepper.y(1, 1), determinant = a * b - y12 * y12;
    return {(b * in0 - y12 * in1) / determinant, (a * in1 - y12 * in0) / determinant};
}

void ConductionRun::start_steady(const WallDrive& drive)
{
    std::vector<double> sources = drive.sources_W_per_m2;
    sources.resize(modes_.planes.size());
    std::array<double, 2> known{};
    for (std::size_t p = 0; p < sources.size(); ++p)
        for (std::size_t j = 0; j < 2; ++j) known[j] += steady_.w(j, p) * sources[p];
    const auto t = faces(steady_, drive.temperature_C, known);
    z_ = modes_.steady_states(t[0], t[1], sources);
}

WallStep ConductionRun::step(const WallDrive& from, const WallDrive& to)
{
    WallStep out;
    const std::size_t planes = modes_.planes.size();
    const auto between = [](double a, double b, double share) { return a + share * (b - a); };
    for (std::size_t stage = 0; stage < 2; ++stage) {
        const double share = two_stages::at[stage], weight = two_stages::weight[stage];
        std::vector<double>& u = drives_[stage];
        u.assign(2 + planes, 0.0);
        std::array<double, 2> air{}, known{};
        for (std::size_t p = 0; p < from.sources_W_per_m2.size(); ++p) {
            u.at(2 + p) = between(from.sources_W_per_m2[p], to.sources_W_per_m2.at(p), share);
            out.sources_W_per_m2 += weight * u[2 + p];
        }
        for (std::size_t j = 0; j < 2; ++j) {
            air[j] = between(from.temperature_C[j], to.temperature_C[j], share);
            known[j] = history_of(stepper_, z_.data(), 1, j, stage);
            for (std::size_t p = 0; p < planes; ++p) known[j] += stepper_.w(j, p) * u[2 + p];
            for (std::size_t i = 0; stage == 1 && i < 2 + planes; ++i) known[j] += stepper_.carry(j, i) * drives_[0][i];
        }
        out.face_end_C = faces(stepper_, air, known);
        std::ranges::copy(out.face_end_C, u.begin());
        for (std::size_t j = 0; j < 2; ++j) {
            out.flux_end_W_per_m2[j] = stepper_.y(j, 0) * u[0] + stepper_.y(j, 1) * u[1] - known[j];
            out.flux_W_per_m2[j] += weight * out.flux_end_W_per_m2[j];
        }
    }
    advance_wall(stepper_, z_.data(), 1, drives_[0].data(), drives_[1].data());
    const std::span sources{drives_[1].data() + 2, planes};
    for (std::size_t p = 0; p < planes; ++p)
        out.plane_end_C.push_back(modes_.plane_temperature(p, z_, out.face_end_C[0], out.face_end_C[1], sources));
    return out;
}

} // namespace venture::fabric
