#pragma once
/// Where a room's heat of a year comes from and goes to: each path over its edge, while it is heated, cooled or left alone, and by
/// month.

#include <array>
#include <string>
#include <vector>

#include <venture/loads/path_kind.hpp>

namespace venture::loads {

/// What its supply does in a step.
enum class Supply : std::uint8_t { heats, cools, rests };
inline constexpr std::size_t supplies = 3;

/// Into the room, J; negative: out of it.
struct HeatOfYear {
    std::array<double, supplies> while_J{};
    std::array<double, 12> month_J{};
    [[nodiscard]] double whole_J() const { return while_J[0] + while_J[1] + while_J[2]; }
};

/// What flows through inside faces of walls, windows and floors, as the run had it: with the sun on their outside and in their panes,
/// and less what is put into them by water or wire. Sun and gains count as they come in, into air and onto faces alike.
struct YearPath {
    PathKind kind = PathKind::other;
    std::string through{}; ///< surface; empty for what is of the room as a whole
    HeatOfYear heat{};
};

/// Paths, heating, cooling and what its air keeps add up to nil.
struct RoomYearParts {
    std::string room{};
    std::array<double, supplies> hours{};
    std::vector<YearPath> paths{}; ///< in the order of its surfaces, then sun, gains and air
    HeatOfYear heating{};          ///< never negative
    HeatOfYear cooling{};          ///< sensible; never positive
    HeatOfYear kept{};             ///< by its air and furniture; negative: given back
    /// What is left of that sum in the worst step, as a share of the flows of that step (at least 1 W).
    double missing = 0.0;
};

} // namespace venture::loads
