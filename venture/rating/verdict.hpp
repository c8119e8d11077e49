#pragma once
/// What is said of each product that was considered, and how far a need may move before something else is chosen.

#include <array>
#include <memory>
#include <optional>
#include <span>
#include <string>
#include <string_view>
#include <vector>

#include <venture/rating/choice.hpp>
#include <venture/rating/wish.hpp>

namespace venture::rating {

using Products = std::span<const std::shared_ptr<const Product>>;

/// The warmest that can be touched of what heats. Not a number where neither its maker nor its water tells it.
[[nodiscard]] double surface_C(const Label& label, const Conditions& at);

/// Why a product is not a choice.
enum class Fails : std::uint8_t {
    nothing,
    maker,
    family,
    speed,
    mounting,
    height,
    length,
    depth,
    door_width,
    door_height,
    external_pressure,
    surface,
    refuses,
    total,
    sensible,
    latent,
    total_length,
    sound,
    too_large
};
inline constexpr std::size_t number_of_failings = 19;

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
/// "900 mm high, at most 500 mm", "12.0 % short (sensible)", "44 dB(A) in the room, at most 40"; "suffices".
[[nodiscard]] std::string in_words(const Verdict& verdict);
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
    static constexpr std::array<std::string_view, venture::rating::number_of_failings> words = {
        "nothing",  "maker",    "family",     "speed",       "mounting",          "height",
        "length",   "depth",    "door width", "door height", "external pressure", "warm surface",
        "rating",   "capacity", "sensible",   "latent",      "length in all",     "sound",
        "too large"};
};
