#pragma once
/// What someone wants of a choice: what counts, and within which limits.

#include <array>
#include <cstdint>
#include <limits>
#include <string>
#include <string_view>
#include <vector>

#include <venture/quantity/choice.hpp>

namespace venture::rating {

/// What makes one product that suffices better than another.
enum class Aim : std::uint8_t {
    fullest, ///< least capacity to spare; each further unit counts as a tenth more of it
    fewest_units,
    least_cost,
    least_water,
    least_electricity,
    least_depth,
    quietest,
    fewest_types ///< of all rooms that ask for it together: families of products
};
inline constexpr std::size_t number_of_aims = 8;

/// How many of one product may be taken.
struct Counts {
    int fewest = 1, most = 1;
};

inline constexpr double no_limit = std::numeric_limits<double>::infinity();

/// A limit on what a maker does not tell is not met.
struct Wish {
    Counts counts{};
    std::vector<Aim> aims{Aim::fullest}; ///< the first decides, the next among equals; or all by weight
    std::vector<double> weights{};       ///< one an aim, of each over the least that suffices; empty: in order
    std::vector<std::string> makers{}, families{}; ///< empty: any
    std::string speed{};                           ///< of fans, where makers rate several; empty: any
    std::string mounting{};                        ///< "cassette"; empty: any
    double most_height_m = no_limit, most_length_m = no_limit, most_depth_m = no_limit; ///< of each
    double most_total_length_m = no_limit;                                              ///< of all together
    double least_length_m = 0.0, least_reach_m = 0.0;                                   ///< of each, over a door
    double least_external_Pa = 0.0;                                                     ///< that ducts beyond it take
    double most_surface_C = no_limit;                                                   ///< of what can be touched
    double most_sound_dB = no_limit; ///< pressure level in the room, of all of them together
    double room_effect_dB = 0.0;     ///< power level less pressure level in that room
    double most_over = no_limit;     ///< capacity over need, less 1
};

} // namespace venture::rating

template <>
struct venture::quantity::WordsOf<venture::rating::Aim> {
    static constexpr std::array<std::string_view, venture::rating::number_of_aims> words = {
        "fullest",           "fewest units", "least cost", "least water",
        "least electricity", "least depth",  "quietest",   "fewest types"};
};
