#pragma once
/// "a radiator", "an electric heater".

#include <string>
#include <string_view>

namespace venture::quantity {

/// Words with the article that their first letter asks for.
[[nodiscard]] inline std::string with_article(std::string_view words)
{
    constexpr std::string_view vowels = "aeiouAEIOU";
    const bool vowel = !words.empty() && vowels.find(words.front()) != std::string_view::npos;
    return std::string{vowel ? "an " : "a "}.append(words);
}

} // namespace venture::quantity
