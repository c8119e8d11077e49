#pragma once
/// What carries heat, cold or moisture from one thing to another.

#include <array>
#include <cstdint>
#include <string_view>

#include <venture/quantity/choice.hpp>

namespace venture::rating {

enum class Medium : std::uint8_t { water, air, refrigerant, steam, electricity };

} // namespace venture::rating

template <>
struct venture::quantity::WordsOf<venture::rating::Medium> {
    static constexpr std::array<std::string_view, 5> words = {"water", "air", "refrigerant", "steam", "electricity"};
};
