#pragma once
/// Long wave between faces by their links, as a correction to that over the radiant point. Internal to balance.

#include <vector>

#include <venture/balance/surface_bank.hpp>

namespace venture::balance {

/// The correction follows from the temperatures found, and is found anew until it stays: at the end faces exchange by
/// their links alone. It adds up to nothing over the faces of a zone, so that the balance closes at any time.
class Links {
public:
    Links(const ThermalModel& model, const SurfaceBank& bank);
    [[nodiscard]] bool any() const { return !links_.empty(); }
    /// W/m2 into every face, links less what its radiative film carries. @param radiant_C  per zone
    void find(const SurfaceBank& bank, const std::vector<double>& face_C, const std::vector<double>& radiant_C,
              std::vector<double>& correction) const;

private:
    struct Link {
        std::uint32_t face[2] = {};
        double W_per_K = 0.0;
    };
    std::vector<Link> links_{};
    std::vector<std::uint32_t> linked_{}; ///< faces
};

} // namespace venture::balance
