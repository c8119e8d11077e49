#pragma once
/// Design loads of a building: winter design and one design day a month, peaks by room and together.

#include <string>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/loads/room_loads.hpp>

namespace venture::loads {

struct DesignOptions {
    double step_s = 600.0; ///< 60 to 3600, a divisor of an hour
    unsigned threads = 2;  ///< design days are independent; the result does not depend on how many
};

/// How one design day was solved.
struct RunNote {
    std::string day{};
    int days = 0; ///< repetitions
    double residual_K = 0.0, worst_closure = 0.0;
    bool converged = false;
    int unsettled_steps = 0;
    bool humidity_capped_at_saturation = false;
    double film_residual = 0.0; ///< of films by difference, worst room and stage, as a share of that room's peak
    double share_kept = 0.0;    ///< PeriodicDay::share_kept; of the first cooling day alone
};

struct DesignLoads {
    RoomLoads loads{};           ///< rooms in the building's order
    std::vector<RunNote> runs{}; ///< winter design first, then the months in the site's order
    [[nodiscard]] bool converged() const;
};

/// @throws quantity::Error for a building that the physics refuses (conditions outside a method's range)
[[nodiscard]] DesignLoads design_loads(const building::Building& building, const DesignOptions& options = {});

} // namespace venture::loads
