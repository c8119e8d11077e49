#include <venture/balance/thermal_model.hpp>

#include <algorithm>
#include <cmath>
#include <numeric>

#include <venture/quantity/error.hpp>

namespace venture::balance {

std::span<const std::string_view> forcing_names()
{
    static constexpr std::string_view names[] = {"coefficient",    "outdoor air", "sun",      "sky",
                                                 "ground",         "people",      "lighting", "equipment",
                                                 "moisture",       "set-point",   "limit",    "given temperature",
                                                 "stratification", "other"};
    return names;
}

bool is_temperature(Forcing forcing)
{
    switch (forcing) {
    case Forcing::outdoor_air:
    case Forcing::sky:
    case Forcing::ground:
    case Forcing::set_point:
    case Forcing::given_temperature:
        return true;
    default:
        return false;
    }
}

double Signal::mean() const
{
    const double sum = std::accumulate(start.begin(), start.end(), 0.0) + std::accumulate(end.begin(), end.end(), 0.0);
    return sum / static_cast<double>(start.size() + end.size());
}

double Zone::radiant_share() const
{
    double share = 1.0 - convective_share;
    for (const PlaneShare& plane : plane_shares) share -= plane.share;
    return std::abs(share) < 1e-12 ? 0.0 : share;
}

SignalId ThermalModel::add(Signal signal)
{
    VENTURE_ASSERT(signal.end.empty() || (signal.start.size() == signal.end.size() && !signal.level));
    VENTURE_ASSERT(signal.start.size() == 1 || signal.start.size() * signal.steps_per_value == steps);
    signals.push_back(std::move(signal));
    return SignalId{static_cast<std::uint32_t>(signals.size() - 1)};
}

double BodyHeat::sensible_factor(double air_C) const
{
    return std::clamp((none_at_C - air_C) / (none_at_C - reference_C), 0.0, 1.0 + latent_per_sensible);
}

double BodyHeat::latent_factor(double sensible_factor) const
{
    return (1.0 + latent_per_sensible - sensible_factor) / latent_per_sensible;
}

SignalId ThermalModel::add_constant(double value, Forcing forcing)
{
    return add({.start = {value}, .level = true, .forcing = forcing});
}

SignalId ThermalModel::add_points(std::vector<double> values, Forcing forcing)
{
    VENTURE_ASSERT(values.size() > 1);
    const bool ends = steps % values.size() != 0 && steps % (values.size() - 1) == 0;
    Signal signal{.forcing = forcing};
    if (ends) {
        signal.end.assign(values.begin() + 1, values.end());
        values.pop_back();
    }
    VENTURE_ASSERT(steps % values.size() == 0);
    signal.steps_per_value = steps / values.size();
    signal.start = std::move(values);
    return add(std::move(signal));
}

SignalId ThermalModel::add_blocks(std::vector<double> values, Forcing forcing)
{
    VENTURE_ASSERT(!values.empty() && steps % values.size() == 0);
    const std::size_t each = steps / values.size();
    return add({.start = std::move(values), .level = true, .steps_per_value = each, .forcing = forcing});
}

double ThermalModel::value(const Drives& drives, std::size_t step, double share_of_step) const
{
    double sum = 0.0;
    for (const Drive& drive : drives) sum += drive.factor * value(drive.signal, step, share_of_step);
    return sum;
}

} // namespace venture::balance
