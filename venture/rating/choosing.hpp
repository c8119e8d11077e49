#pragma once
/// Choosing among rated products: the same rule for terminal units and plant.

#include <array>
#include <memory>
#include <optional>
#include <span>
#include <vector>

#include <venture/rating/brackets.hpp>
#include <venture/rating/choice.hpp>
#include <venture/rating/wish.hpp>

namespace venture::rating {

using Products = std::span<const std::shared_ptr<const Product>>;

/// The best product that suffices within the limits, of each as few as suffice. Ties go to the name.
/// @param also      what the same units must do besides, with other water: they count as full as in the harder of both
/// @param brackets  of the same products: what cannot be best is not rated. The choice is the same without.
[[nodiscard]] Choice choose(Products products, const Wish& wish, const Asked& asked,
                            const std::optional<Asked>& also = {}, Brackets* brackets = nullptr);

/// Why a product is not a choice.
enum class Fails : std::uint8_t {
    nothing,
    maker,
    family,
    speed,
    height,
    length,
    depth,
    refuses,
    total,
    sensible,
    latent,
    sound,
    too_large
};

/// What there is to say of one product: the first thing it fails in, in the order of Fails.
struct Verdict {
    const Product* product = nullptr;
    int count = 1; ///< as few as suffice, or as many as may be
    Fails fails = Fails::nothing;
    double value = 0.0, limit = 0.0;  ///< of that; capacity and need in W. A value that is no number was not told
    std::optional<Refusal> refusal{}; ///< where it refuses
    Service of = Service::heating;    ///< in which of two services it fails
    double fullness = 0.0;            ///< with that count; of the harder of two services
    std::array<double, number_of_aims> worth{}; ///< by the aims that are wished for; less is better
};
/// Of every product, in their order.
[[nodiscard]] std::vector<Verdict> verdicts(Products products, const Wish& wish, const Asked& asked,
                                            const std::optional<Asked>& also = {});

/// How far a need may move, all its parts alike, before something else is chosen.
struct Holds {
    double down_to = 0.0, up_to = 1.0;                ///< times the need
    const Product *below = nullptr, *above = nullptr; ///< what is chosen then; null: the same for ever, or nothing
    int below_count = 0, above_count = 0;
};
/// @pre something was chosen
[[nodiscard]] Holds how_long_it_holds(Products products, const Wish& wish, const Asked& asked,
                                      const std::optional<Asked>& also = {});

} // namespace venture::rating

template <>
struct venture::quantity::WordsOf<venture::rating::Fails> {
    static constexpr std::array<std::string_view, 13> words = {"nothing", "maker", "family",   "speed",    "height",
                                                               "length",  "depth", "rating",   "capacity", "sensible",
                                                               "latent",  "sound", "too large"};
};
