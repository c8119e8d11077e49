#pragma once
/// Arithmetic of the coils that give a room everything, and the states that their air goes through.

#include <optional>
#include <string>
#include <vector>

#include <venture/airside/coil_loads.hpp>
#include <venture/figure/table.hpp>
#include <venture/quantity/ledger.hpp>

namespace venture::airside {

/// One state on the way of the air, numbered in its order.
struct NamedState {
    std::string name{};
    air::Point at{};
    double kg_per_s = 0.0; ///< dry air; 0: it does not flow there
};

inline constexpr const char* mixed_state = "mixed"; ///< the name of what outdoor air and air of the room make

/// Those that differ: outdoor air, room air, behind recovery, mixed, behind the cooling coil, supply air.
[[nodiscard]] std::vector<NamedState> named_states(const AirStates& states);

struct StateRow {
    std::string of{}; ///< "winter design", "July 16-17 h"
    NamedState state{};
    quantity::Pressure pressure = quantity::Pressure::pascal(101325.0);
};
[[nodiscard]] const figure::TableOf<StateRow>& state_columns();
/// In the hour of heating, then in that of cooling.
[[nodiscard]] std::vector<StateRow> state_rows(const CoilLoad& load, quantity::Pressure pressure);

/// Mixing, heating, and cooling in those hours.
[[nodiscard]] quantity::Ledger ledger_of_coils(const CoilLoad& load);

} // namespace venture::airside
