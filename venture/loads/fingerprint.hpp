#pragma once
/// A number that changes with anything that loads follow from. Internal to loads.

#include <bit>
#include <cstdint>

#include <venture/loads/thermal_model.hpp>

namespace venture::loads::detail {

/// FNV-1a over the numbers of a model.
class Fingerprint {
public:
    void add(double value) { add_bits(std::bit_cast<std::uint64_t>(value)); }
    void add_bits(std::uint64_t bits)
    {
        for (int i = 0; i < 8; ++i) {
            hash_ = (hash_ ^ (bits & 0xffU)) * 1099511628211ULL;
            bits >>= 8U;
        }
    }
    [[nodiscard]] std::uint64_t value() const { return hash_; }

private:
    std::uint64_t hash_ = 1469598103934665603ULL;
};

[[nodiscard]] std::uint64_t fingerprint_of(const ThermalModel& model);

} // namespace venture::loads::detail
