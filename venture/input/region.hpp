#pragma once
/// Regions that room types ship for.

#include <array>
#include <cstdint>
#include <string_view>

#include <venture/input/given.hpp>

namespace venture::input {

enum class Region : std::uint8_t { europe, north_america };

} // namespace venture::input

template <>
struct venture::quantity::WordsOf<venture::input::Region> {
    static constexpr std::array<std::string_view, 2> words = {"Europe", "North America"};
};
