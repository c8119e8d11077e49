#pragma once
/// Choosing among rated products: the same rule for terminal units and plant.

#include <optional>

#include <venture/rating/brackets.hpp>
#include <venture/rating/choice.hpp>
#include <venture/rating/verdict.hpp>

namespace venture::rating {

/// The best product that suffices within the limits, of each as few as suffice. Ties go to the fullest, then to the
/// name.
/// @param also      what the same units must do besides, with other water: they count as full as in the harder of both
/// @param brackets  of the same products: what cannot be best is not rated. The choice is the same without.
[[nodiscard]] Choice choose(Products products, const Wish& wish, const Asked& asked,
                            const std::optional<Asked>& also = {}, Brackets* brackets = nullptr);

} // namespace venture::rating
