#pragma once
/// A wall of which only the U-value is known.

#include <array>
#include <string>
#include <string_view>
#include <vector>

#include <venture/fabric/two_port.hpp>

namespace venture::fabric {

/// How much heat a wall holds, all of it.
/// Source    ISO 52016-1:2017, annex B: 50, 75, 110, 175 and 250 kJ/m2K
enum class WeightClass { very_light, light, medium, heavy, very_heavy };
[[nodiscard]] double areal_capacity_J_per_m2K(WeightClass weight);
inline constexpr std::array<std::string_view, 5> weight_class_words = {"very light", "light", "medium", "heavy",
                                                                       "very heavy"};
[[nodiscard]] std::string_view name_of(WeightClass weight);

/// Where in the wall most of its mass lies.
enum class MassPlace { inside, outside, both, middle, even };
inline constexpr std::array<std::string_view, 5> mass_place_words = {"inside", "outside", "both", "middle", "even"};

/// A U-value as somebody states it.
struct TypedUValue {
    std::string name{}; ///< as errors tell it: "build-up 'gable'"
    double u_value_W_per_m2K = 0.0;
    Films films{0.04, 0.13}; ///< that it was stated with; they are stripped once
    WeightClass weight = WeightClass::medium;
    MassPlace mass = MassPlace::inside;
};

/// Face-to-face resistance that a U-value leaves once its films are taken off, m2K/W.
/// @throws quantity::RangeError if it leaves none
[[nodiscard]] double stripped_resistance(const TypedUValue& typed);

/// Plausible layers with this U-value and heat capacity, both exact: masonry or concrete as the weight asks, and an
/// insulation without mass that makes up the resistance. Our own assumption of how such walls are made.
/// @throws quantity::RangeError if the U-value leaves no resistance, or less than the mass alone has
[[nodiscard]] Buildup buildup_of_u_value(const TypedUValue& typed);

} // namespace venture::fabric
