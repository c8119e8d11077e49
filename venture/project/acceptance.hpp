#pragma once
/// Findings that someone answers for: they move to a list of their own, and come back when what they follow from
/// changes.

#include <functional>
#include <string>
#include <string_view>
#include <vector>

#include <venture/input/input.hpp>
#include <venture/quantity/problem.hpp>

namespace venture::project {

/// What a finding is accepted by: its code, what it is about, and a fingerprint of the values it follows from, as in
/// "V402 room/Boat hall 3f9a21c0".
[[nodiscard]] std::string mark_of(const quantity::Problem& finding);

/// Acceptances whose mark cannot be one: errors.
[[nodiscard]] std::vector<quantity::Problem> wrong_marks(const std::vector<input::AcceptedInput>& acceptances);

struct AcceptedFinding {
    quantity::Problem finding{};
    std::string reason{}, by{};
    quantity::OriginId where{}; ///< of the acceptance
};

struct Findings {
    std::vector<quantity::Problem> open{}; ///< errors among them: these cannot be accepted
    std::vector<AcceptedFinding> accepted{};
};

/// Parts what is accepted from what is open. A finding accepted with other values stays open and says so; an
/// acceptance that no finding answers to becomes a note.
/// @param could_raise  whether this run came to the stage at which a code is raised; if not, nothing follows from its
///                     absence
[[nodiscard]] Findings part_accepted(std::vector<quantity::Problem> problems,
                                     const std::vector<input::AcceptedInput>& acceptances,
                                     const std::function<bool(std::string_view code)>& could_raise);

} // namespace venture::project
