#pragma once
/// What the passes of resolve() work on. Internal to resolve.

#include <vector>

#include <venture/input/chosen_units.hpp>
#include <venture/input/completion.hpp>
#include <venture/quantity/problems.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {

/// What was given, the building as far as it has come, and what is wrong. A pass reads what those before it added, and adds
/// its own part.
struct Work {
    explicit Work(const Input& given) : input{completed(given)}, units{chosen_units(input.units)} {}

    Input input; ///< completed; a pass may fill what was left open with what it computes, never what was typed
    quantity::PreferredUnits units; ///< that messages speak in
    Building building{};
    quantity::Problems problems{};
    std::size_t broken_references = 0;   ///< names that nothing bears, told before any part is made
    bool numbers_sound = true;           ///< every number lies in its bounds
    std::vector<std::size_t> cut_from{}; ///< of each room, which typed room it is a part of
};

} // namespace venture::resolve
