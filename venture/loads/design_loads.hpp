#pragma once
/// Design loads of a building: winter design and the design days of each month, peaks by room and together.

#include <memory>
#include <string>
#include <vector>

#include <venture/balance/thermal_model.hpp>
#include <venture/building/building.hpp>
#include <venture/climate/design_day.hpp>
#include <venture/loads/room_loads.hpp>

namespace venture::loads {

class DayModels;

struct DesignOptions {
    double step_s = 600.0; ///< 60 to 3600, a divisor of an hour
    unsigned threads = 2;  ///< design days are independent; the result does not depend on how many
    /// DesignLoads::models of an earlier call, to go on from; of no use with another building or step.
    std::shared_ptr<const DayModels> known{};
};

/// How one design day was solved.
struct RunNote {
    std::string day{};
    int month = 0; ///< 0: winter design
    climate::DesignFor made_for = climate::DesignFor::dry_bulb;
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
    std::vector<RunNote> runs{}; ///< winter design first, then the cooling days, month by month in the site's order
    std::shared_ptr<const DayModels> models{}; ///< for DesignOptions::known, when more is asked of these days
    [[nodiscard]] bool converged() const;
};

/// One cause of a load, with everything else at the room's set-point and without gains.
struct LoadCause {
    balance::Forcing forcing = balance::Forcing::other;
    double load_W = 0.0; ///< heating or cooling, as asked; negative if it lessens the load
};

/// What a room's heating, or the sensible part of its cooling, is made of in the hour of its peak: that day is replayed
/// with one forcing at a time, and the parts add up (load_parts()).
/// @param load  of this room, as design_loads() gave it
/// @returns causes that come to a watt or more, the largest first; nothing for a room without that load
[[nodiscard]] std::vector<LoadCause> causes_of_heating(const building::Building& building, std::size_t room,
                                                       const RoomLoad& load, const DesignOptions& options = {});
[[nodiscard]] std::vector<LoadCause> causes_of_cooling(const building::Building& building, std::size_t room,
                                                       const RoomLoad& load, const DesignOptions& options = {});

/// @throws quantity::Error for a building that the physics refuses (conditions outside a method's range)
[[nodiscard]] DesignLoads design_loads(const building::Building& building, const DesignOptions& options = {});

} // namespace venture::loads
