#include <venture/loads/thermal_model.hpp>

#include <cmath>
#include <numeric>

#include <venture/quantity/error.hpp>

namespace venture::loads {

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
    VENTURE_ASSERT(signal.start.size() == signal.end.size());
    VENTURE_ASSERT(signal.start.size() == 1 || signal.start.size() == steps);
    signals.push_back(std::move(signal));
    return SignalId{static_cast<std::uint32_t>(signals.size() - 1)};
}

SignalId ThermalModel::add_constant(double value) { return add({{value}, {value}}); }

SignalId ThermalModel::add_hourly_points(const std::vector<double>& at_hour)
{
    const std::size_t hours = at_hour.size() == 25 ? 24 : at_hour.size();
    const auto at = [&](double hour) {
        const double floor_hour = std::floor(hour);
        const auto h = static_cast<std::size_t>(floor_hour);
        const double here = at_hour[h == at_hour.size() ? 0 : h], next = at_hour[(h + 1) % at_hour.size()];
        return here + (hour - floor_hour) * (next - here);
    };
    Signal signal;
    for (std::size_t i = 0; i < steps; ++i) {
        const double per_step = static_cast<double>(hours) / static_cast<double>(steps);
        signal.start.push_back(at(static_cast<double>(i) * per_step));
        signal.end.push_back(at(static_cast<double>(i + 1) * per_step));
    }
    return add(std::move(signal));
}

SignalId ThermalModel::add_hourly_blocks(const std::vector<double>& by_hour)
{
    Signal signal;
    for (std::size_t i = 0; i < steps; ++i) {
        const double value = by_hour[i * by_hour.size() / steps];
        signal.start.push_back(value);
        signal.end.push_back(value);
    }
    return add(std::move(signal));
}

double ThermalModel::value(const Drives& drives, std::size_t step, double share_of_step) const
{
    double sum = 0.0;
    for (const Drive& drive : drives) sum += drive.factor * value(drive.signal, step, share_of_step);
    return sum;
}

} // namespace venture::loads
