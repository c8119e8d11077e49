#include <venture/quantity/unknown_name.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>

namespace venture::quantity {

namespace {

/// Words of some length, in small letters.
std::vector<std::string> words_of(std::string_view text)
{
    constexpr std::size_t shortest = 4; // "of", "the" and "wall" with a number say little
    std::vector<std::string> out(1);
    for (const char c : lower_case(text))
        if (c == ' ' || c == ',' || c == '-' || c == '/' || c == '(' || c == ')')
            out.emplace_back();
        else
            out.back() += c;
    std::erase_if(out, [](const std::string& word) { return word.size() < shortest; });
    return out;
}

/// Names that hold the whole of what was typed: a part is easier to remember than the whole.
std::vector<std::string> that_hold(std::string_view name, const std::vector<std::string>& known)
{
    constexpr std::size_t shortest = 3;
    std::vector<std::string> out;
    for (const std::string& one : known)
        if (name.size() >= shortest && lower_case(one).find(lower_case(name)) != std::string::npos) out.push_back(one);
    return out;
}

/// Names that share most words with what was typed.
std::vector<std::string> that_share(std::string_view name, const std::vector<std::string>& known)
{
    std::vector<std::string> out;
    const std::vector<std::string> typed = words_of(name);
    std::ptrdiff_t most = 1;
    for (const std::string& one : known) {
        const std::vector<std::string> words = words_of(one);
        const std::ptrdiff_t shared = std::ranges::count_if(
            typed, [&](const std::string& word) { return std::ranges::find(words, word) != words.end(); });
        if (shared > most) out.clear();
        most = std::max(most, shared);
        if (shared == most) out.push_back(one);
    }
    return out;
}

} // namespace

Problem unknown_name(std::string_view what, std::string_view name, OriginId where, std::span<const std::string> there,
                     std::span<const std::string> offered)
{
    std::vector<std::string> known{there.begin(), there.end()};
    known.insert(known.end(), offered.begin(), offered.end());
    std::vector<std::string> alike = that_hold(name, known); // "double, clear" is no "single, clear"
    const auto near = nearest_name(name, known);
    if (alike.empty() && near) alike = {*near};
    if (alike.empty()) alike = that_share(name, known);
    constexpr std::size_t few = 6;
    return {.code = codes::unknown_name,
            .where = where,
            .message = fmt::format("no {} is called '{}'", what, name),
            .hint = alike.size() == 1 ? fmt::format("did you mean '{}'?", alike.front())
                    : !alike.empty()  ? fmt::format("did you mean {}?", listed(alike, few))
                    : there.empty() && !offered.empty()
                        ? fmt::format("the project has none of its own; that ship: {} (`venture library` lists them)",
                                      listed(offered, few))
                    : there.empty() ? fmt::format("there is no {} at all: add one, or leave the name out", what)
                    : offered.empty()
                        ? fmt::format("there are: {}", listed(there))
                        : fmt::format("there are: {}; `venture library` lists those that ship, such as {}",
                                      listed(there), offered.front())};
}

} // namespace venture::quantity
