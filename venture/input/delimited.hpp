#pragma once
/// How a table of text is written: words that say what would else be detected.

#include <array>
#include <cstdint>
#include <string_view>

#include <venture/input/given.hpp>

namespace venture::input {

/// Between cells.
enum class Separator : std::uint8_t { comma, semicolon, tab, bar };

/// Of numbers.
enum class DecimalMark : std::uint8_t { point, comma };

/// Of letters.
enum class Encoding : std::uint8_t { utf_8, utf_16, windows_1252 };

} // namespace venture::input

namespace venture {

template <>
struct quantity::WordsOf<input::Separator> {
    static constexpr std::array<std::string_view, 4> words = {"comma", "semicolon", "tab", "bar"};
};

template <>
struct quantity::WordsOf<input::DecimalMark> {
    static constexpr std::array<std::string_view, 2> words = {"point", "comma"};
};

template <>
struct quantity::WordsOf<input::Encoding> {
    static constexpr std::array<std::string_view, 3> words = {"utf-8", "utf-16", "windows-1252"};
};

} // namespace venture
