#pragma once
/// Sums of signals, one sum an item, side by side in memory. Internal to balance.

#include <cstdint>
#include <vector>

#include <venture/balance/thermal_model.hpp>

namespace venture::balance {

class FlatDrives {
public:
    /// Adds the next item.
    void add(const Drives& drives)
    {
        for (const Drive& d : drives) {
            signal_.push_back(d.signal.index);
            factor_.push_back(d.factor);
        }
        first_.push_back(static_cast<std::uint32_t>(signal_.size()));
    }
    [[nodiscard]] double at(std::size_t item, const std::vector<double>& signal) const
    {
        double sum = 0.0;
        for (std::uint32_t i = first_[item]; i < first_[item + 1]; ++i) sum += factor_[i] * signal[signal_[i]];
        return sum;
    }
    [[nodiscard]] std::size_t size() const { return first_.size() - 1; }

private:
    std::vector<std::uint32_t> first_{0}, signal_{};
    std::vector<double> factor_{};
};

} // namespace venture::balance
