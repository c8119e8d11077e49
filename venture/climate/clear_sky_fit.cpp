#include <venture/climate/clear_sky_fit.hpp>

#include <algorithm>
#include <array>
#include <cmath>

namespace venture::climate::detail {

namespace {

constexpr double high_enough = 0.1;  // sine of 6 degrees: below it an hour's mean tells little of its air mass
constexpr double clear_enough = 0.3; // of the sun outside the atmosphere: less comes through clouds

/// The clearest three steps of a month at each time of day, where the sun is high: few days are clear all day long.
std::vector<std::size_t> clear_steps(const WeatherYear& year, const std::vector<StepSun>& suns, int month)
{
    constexpr std::size_t taken = 3;
    const std::size_t per_day = year.steps_per_day();
    const auto first = static_cast<std::size_t>(day_of_year({month, 1}, year.leap) - 1);
    const auto days = static_cast<std::size_t>(days_in_month(month, year.leap));
    const auto clearness = [&](std::size_t i) {
        return (year.beam_normal_W_per_m2[i] * suns[i].sine() + year.diffuse_horizontal_W_per_m2[i]) /
               (suns[i].beyond_W_per_m2 * suns[i].mean_sine);
    };
    std::vector<std::size_t> out;
    for (std::size_t slot = 0; slot < per_day; ++slot) {
        std::vector<std::size_t> steps;
        for (std::size_t d = first; d < first + days; ++d)
            if (const std::size_t i = d * per_day + slot; suns[i].sine() > high_enough && clearness(i) > clear_enough)
                steps.push_back(i);
        std::ranges::sort(steps, std::greater{}, clearness);
        steps.resize(std::min(steps.size(), taken));
        out.insert(out.end(), steps.begin(), steps.end());
    }
    return out;
}

} // namespace

std::optional<OpticalDepths> fit_optical_depths(const WeatherYear& year, const std::vector<StepSun>& suns, int month)
{
    const std::vector<std::size_t> steps = clear_steps(year, suns, month);
    if (steps.size() < 6U * static_cast<std::size_t>(year.steps_per_hour)) return std::nullopt;
    // Under a low sun many pairs fit alike: of those the one nearest to a usual clear sky is taken.
    constexpr double pull = 2e-4;
    double beyond = 0.0;
    for (const std::size_t i : steps)
        beyond += suns[i].beyond_W_per_m2 * suns[i].beyond_W_per_m2 * suns[i].sine() * suns[i].sine();
    const auto error = [&](const OpticalDepths& d) {
        double sum = 0.0;
        for (const std::size_t i : steps) {
            const ClearSky sky =
                clear_sky(Angle::degrees(suns[i].middle.elevation_deg()), suns[i].beyond_W_per_m2, d.beam, d.diffuse);
            const double beam = (sky.beam_normal_W_per_m2 - year.beam_normal_W_per_m2[i]) * suns[i].sine();
            const double diffuse = sky.diffuse_horizontal_W_per_m2 - year.diffuse_horizontal_W_per_m2[i];
            sum += beam * beam + diffuse * diffuse;
        }
        const double beam_off = (d.beam - usual.beam) / usual.beam;
        const double diffuse_off = (d.diffuse - usual.diffuse) / usual.diffuse;
        return sum / beyond + pull * (beam_off * beam_off + diffuse_off * diffuse_off);
    };
    // A pattern search: the valley is smooth, and 0.001 is finer than any table prints.
    OpticalDepths best = usual;
    double least = error(best);
    for (double step = 0.02; step > 2e-4;) {
        bool better = false;
        for (const auto& [sideways, up] : std::array<std::pair<double, double>, 8>{
                 {{1, 0}, {-1, 0}, {0, 1}, {0, -1}, {1, 4}, {-1, -4}, {1, -4}, {-1, 4}}}) {
            const OpticalDepths tried{best.beam + sideways * step, best.diffuse + up * step};
            if (tried.beam < 0.05 || tried.beam > 3.0 || tried.diffuse < 0.5 || tried.diffuse > 5.0) continue;
            const double wrong = error(tried);
            if (wrong >= least) continue;
            best = tried;
            least = wrong;
            better = true;
        }
        if (!better) step *= 0.5;
    }
    return best;
}

} // namespace venture::climate::detail
