#pragma once
/// Which rooms make up the largest hour of some rooms together.

#include <string>
#include <vector>

#include <venture/figure/table.hpp>
#include <venture/loads/load_figures.hpp>

namespace venture::loads {

/// One room in the hour in which heating, and in that in which cooling, of some rooms together is largest.
struct LoadShare {
    const GroupLoad* of = nullptr;
    const RoomLoad* room = nullptr;
    std::optional<double> heating_W{}, cooling_W{}; ///< nothing: not heated, not cooled
    double sensible_W = 0.0;
};
/// The room that gives most first. @param groups  of these loads; outlive what is returned
/// @param cooling  that or heating alone; nothing: both, by the larger of the two
[[nodiscard]] std::vector<LoadShare> load_shares(const RoomLoads& loads, const std::vector<GroupLoad>& groups,
                                                 std::optional<bool> cooling = {});
[[nodiscard]] const figure::TableOf<LoadShare>& load_share_columns();

} // namespace venture::loads
