#pragma once
/// Words and measures that texts about the plan share. Internal to plan.

#include <optional>
#include <string_view>

#include <venture/quantity/key.hpp>

namespace venture::plan {

/// A side of the plan, anticlockwise from the right; the plan's upward direction is its north.
enum class PlanSide { east, north, west, south };

/// "east" and so on, in any case.
[[nodiscard]] std::optional<PlanSide> plan_side(std::string_view word);
[[nodiscard]] std::string_view word_of(PlanSide side);
/// One metre that way.
[[nodiscard]] quantity::Point one_metre(PlanSide side);
/// Anticlockwise from east, a multiple of 90.
[[nodiscard]] double heading_deg(PlanSide side);

/// Takes the first word off a text.
[[nodiscard]] std::string_view take_word(std::string_view& text);
/// "45 deg" in front of a text: taken off, if it is there.
[[nodiscard]] std::optional<double> take_angle_deg(std::string_view& text);
/// A length of 0 or more, in metres unless a unit is typed; nothing if the text is none, or none below 10 km.
[[nodiscard]] std::optional<double> length_m(std::string_view text);

} // namespace venture::plan
