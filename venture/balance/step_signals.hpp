#pragma once
/// Signals that several zones share, read once for each step.

#include <cstdint>
#include <utility>
#include <vector>

#include <venture/balance/thermal_model.hpp>

namespace venture::balance {

class StepSignals {
public:
    using Slot = std::uint32_t;
    /// @param model  outlives it
    explicit StepSignals(const ThermalModel& model) : model_{&model}, slot_of_(model.signals.size(), none) {}

    /// The same slot for the same signal.
    [[nodiscard]] Slot add(SignalId id)
    {
        Slot& slot = slot_of_[id.index];
        if (slot == none) {
            slot = static_cast<Slot>(ids_.size());
            ids_.push_back(id);
            values_.push_back(0.0);
        }
        return slot;
    }
    /// Slots with factors.
    using Terms = std::vector<std::pair<Slot, double>>;
    [[nodiscard]] Terms add(const Drives& drives)
    {
        Terms out;
        for (const Drive& drive : drives) out.emplace_back(add(drive.signal), drive.factor);
        return out;
    }
    void read(std::size_t step, double share_of_step)
    {
        for (std::size_t i = 0; i < ids_.size(); ++i) values_[i] = model_->value(ids_[i], step, share_of_step);
    }
    [[nodiscard]] double operator[](Slot slot) const { return values_[slot]; }
    [[nodiscard]] double sum(const Terms& terms) const
    {
        double sum = 0.0;
        for (const auto& [slot, factor] : terms) sum += factor * values_[slot];
        return sum;
    }

private:
    static constexpr Slot none = 0xffffffffU;
    const ThermalModel* model_;
    std::vector<Slot> slot_of_; ///< per signal of the model
    std::vector<SignalId> ids_{};
    std::vector<double> values_{};
};

} // namespace venture::balance
