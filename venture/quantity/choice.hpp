#pragma once
/// Given values that are one of some words, or whole numbers: typed for who reads them in code, texts and numbers for files.

#include <algorithm>
#include <array>
#include <optional>
#include <string>
#include <string_view>

#include <venture/quantity/origin.hpp>

namespace venture::quantity {

/// The words of an enumeration, in its order: `static constexpr std::array words`. Specialised beside the records that use
/// it.
template <class E>
struct WordsOf;

template <class E>
concept Worded = requires { WordsOf<E>::words; };

/// The word of an enumerator.
template <Worded E>
[[nodiscard]] constexpr std::string_view name_of(E which)
{
    return WordsOf<E>::words[static_cast<std::size_t>(which)];
}

/// A word of an enumeration that may have been given.
template <class E>
struct Choice : Given<std::string> {
    using Given<std::string>::Given;
    Choice() = default;
    Choice(Given<std::string> given) // NOLINT(google-explicit-constructor): as it was read
        : Given<std::string>{std::move(given)}
    {
    }
    Choice(E which) // NOLINT(google-explicit-constructor): given in code
        : Given<std::string>{std::string{name_of(which)}}
    {
    }
    /// Nothing if nothing was given, or no word of them, which is told where it is read.
    [[nodiscard]] std::optional<E> which() const
    {
        const auto& words = WordsOf<E>::words;
        const auto at = value ? std::ranges::find(words, *value) : words.end();
        return at == words.end() ? std::nullopt : std::optional{static_cast<E>(at - words.begin())};
    }
    friend bool operator==(const Choice& a, E b) { return a.which() == b; }
};

/// A whole number that may have been given.
struct Whole : Given<double> {
    using Given<double>::Given;
    Whole() = default;
    Whole(Given<double> given) : Given<double>{given} {} // NOLINT(google-explicit-constructor): as it was read
    /// Nothing if nothing was given. What is no whole number is told where it is checked.
    [[nodiscard]] std::optional<int> number() const
    {
        return value ? std::optional{static_cast<int>(*value)} : std::nullopt;
    }
};

} // namespace venture::quantity
