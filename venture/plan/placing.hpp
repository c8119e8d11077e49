#pragma once
/// A room placed against another one: "east of Store, south walls in line".

#include <optional>
#include <string>
#include <string_view>
#include <variant>

#include <venture/plan/plan_words.hpp>

namespace venture::plan {

/// Where a room stands, by the rectangles round both rooms on the plan.
struct Placing {
    std::string room{};                ///< the other one
    std::optional<PlanSide> side{};    ///< of it on which the room stands; nothing: over or under it
    std::optional<PlanSide> in_line{}; ///< whose walls on this side are in line; nothing: middles are
    double apart_m = 0.0;              ///< between the two
    quantity::Point further_m{};       ///< shift after all that
};

struct PlacingProblem {
    std::string message{}, hint{};
};

/// "east of Store", "over Store" or "under Store", then between commas: "south walls in line" or "middles in line" (west
/// walls and south walls are unless said), "0.3 m apart", "1.2 m further north".
[[nodiscard]] std::variant<Placing, PlacingProblem> read_placing(std::string_view text);

} // namespace venture::plan
