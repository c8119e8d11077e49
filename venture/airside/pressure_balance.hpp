#pragma once
/// Supply, extract and transfer air of rooms: what is left over leaks, in or out, and with which pressure.
/// One density of air throughout, so that volume flows balance.

#include <cstddef>
#include <optional>
#include <span>
#include <vector>

namespace venture::airside {

/// Air through cracks and openings: flow = coefficient times pressure difference to the power of the exponent.
struct Crack {
    double coefficient_m3_per_s = 0.0; ///< at 1 Pa
    double exponent = 0.65;            ///< 0.5 (large openings) to 1 (fine cracks)
};

struct RoomAir {
    double supply_m3_per_s = 0.0, extract_m3_per_s = 0.0;
    std::optional<Crack> leakage{}; ///< to outdoors
};

struct TransferOfAir {
    std::size_t from = 0, to = 0; ///< rooms
    double m3_per_s = 0.0;
};

struct RoomBalance {
    double transfer_in_m3_per_s = 0.0, transfer_out_m3_per_s = 0.0;
    double surplus_m3_per_s = 0.0; ///< supply and transfer in, less extract and transfer out
    double infiltration_m3_per_s = 0.0, exfiltration_m3_per_s = 0.0;
    std::optional<double> over_outdoors_Pa{}; ///< where its leakage is known
};

/// -1, 0 or 1; what is left of rounding counts as none.
[[nodiscard]] int pressure_sign(double surplus_m3_per_s);

/// Of transfer air that is given and does not depend on pressures.
/// @throws quantity::RangeError  a negative flow, an exponent outside 0.5..1, a transfer between rooms that are not there
[[nodiscard]] std::vector<RoomBalance> balance_of(std::span<const RoomAir> rooms,
                                                  std::span<const TransferOfAir> transfers);

/// An opening between two rooms: air goes where the pressure is lower.
struct TransferOpening {
    std::size_t from = 0, to = 0;
    Crack crack{};
};
struct NetworkBalance {
    std::vector<RoomBalance> rooms{};
    std::vector<double> transfer_m3_per_s{}; ///< of every opening, positive on its way from `from` to `to`
    bool settled = false;
};
/// Pressures at which all balances are nil at once. Newton's method on the potential whose gradient the balances are;
/// it is convex, so that the answer is the only one.
/// @throws quantity::RangeError  as above; quantity::Error  rooms from which no air can reach outdoors
[[nodiscard]] NetworkBalance balance_of(std::span<const RoomAir> rooms, std::span<const TransferOpening> openings);

} // namespace venture::airside
