#pragma once
/// Steady heat loss of a room as one would add it up by hand. Internal to loads.

#include <functional>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/loads/room_loads.hpp>
#include <venture/quantity/ledger.hpp>

namespace venture::loads::detail {

/// The room's set-point against outdoors, ground, stated temperatures and the temperatures that neighbouring rooms have
/// in winter design.
/// @param room         one that is heated
/// @param floating_C   of a room that is not
/// @param ledger       each line of it, and what that is reckoned from; null: not asked for
[[nodiscard]] std::vector<PaperTerm> paper_sum(const building::Building& building, std::size_t room,
                                               const std::function<double(std::size_t room)>& floating_C,
                                               quantity::Ledger* ledger = nullptr);

} // namespace venture::loads::detail
