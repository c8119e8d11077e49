#pragma once
/// Lines of a ledger about flows of air. Internal to loads.

#include <venture/building/building.hpp>
#include <venture/quantity/ledger.hpp>

namespace venture::loads::detail {

/// What outdoor air counts as beside air of 20 degC, where the project has volume flows as they are outdoors.
[[nodiscard]] quantity::LedgerLine line_of_counts(double outdoor_C, const std::string& from, double counts);
/// "counts" for a flow's line.
[[nodiscard]] quantity::LedgerInput counts_as(const building::Building& b, double counts);
/// m3/s @param changes_per_h  that hold then
[[nodiscard]] quantity::LedgerLine line_of_infiltration(const building::Building& b, std::size_t room, double counts,
                                                        const building::Sourced<double>& changes_per_h);
/// m3/s @param share  of the flow by plan   @param share_from  its profile and hour
[[nodiscard]] quantity::LedgerLine line_of_ventilation(const building::Building& b, std::size_t room, double counts,
                                                       double share, const std::string& share_from);
/// degC @param recovered  of the difference to the air that leaves
[[nodiscard]] quantity::LedgerLine line_of_recovery(const quantity::LedgerInput& outdoors,
                                                    const quantity::LedgerInput& back, double recovered,
                                                    const std::string& recovered_from);
/// m3/s
[[nodiscard]] quantity::LedgerLine line_of_air_drawn_in(double leaves_m3_per_s, double enters_m3_per_s,
                                                        const std::string& leaves_from);
/// m3/s
[[nodiscard]] quantity::LedgerLine line_of_transfer(const building::Building& b, const building::TransferAir& air,
                                                    double share, const std::string& share_from);
/// Pressure from height, and the density that volume flows are turned into mass with.
[[nodiscard]] std::vector<quantity::LedgerLine> lines_of_density(const building::Building& b);

} // namespace venture::loads::detail
