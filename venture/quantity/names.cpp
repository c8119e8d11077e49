#include <venture/quantity/names.hpp>

#include <fnmatch.h>

#include <algorithm>
#include <numeric>

#include <fmt/format.h>

#include <venture/quantity/letters.hpp>

namespace venture::quantity {

std::string_view trimmed(std::string_view text)
{
    constexpr std::string_view blanks = " \t\r\n\v\f";
    const auto first = text.find_first_not_of(blanks);
    if (first == std::string_view::npos) return {};
    return text.substr(first, text.find_last_not_of(blanks) - first + 1);
}

std::size_t edit_distance(std::string_view a, std::string_view b)
{
    constexpr std::size_t longest = 80; // names are short; foreign input may not be
    a = a.substr(0, longest);
    b = b.substr(0, longest);
    std::vector<std::size_t> before(b.size() + 1), last(b.size() + 1), now(b.size() + 1);
    std::iota(last.begin(), last.end(), std::size_t{0});
    for (std::size_t i = 1; i <= a.size(); ++i) {
        now[0] = i;
        for (std::size_t j = 1; j <= b.size(); ++j) {
            now[j] = std::min({last[j] + 1, now[j - 1] + 1, last[j - 1] + (a[i - 1] == b[j - 1] ? 0U : 1U)});
            if (i > 1 && j > 1 && a[i - 1] == b[j - 2] && a[i - 2] == b[j - 1])
                now[j] = std::min(now[j], before[j - 2] + 1);
        }
        std::swap(before, last);
        std::swap(last, now);
    }
    return last[b.size()];
}

std::string lower_case(std::string_view text)
{
    std::string out;
    out.reserve(text.size());
    for_each_letter(text, [&](utf8proc_int32_t letter, std::string_view bytes) {
        if (letter < 0) {
            out += bytes;
            return;
        }
        utf8proc_uint8_t small[4] = {};
        const utf8proc_ssize_t length = utf8proc_encode_char(utf8proc_tolower(letter), small);
        out.append(reinterpret_cast<const char*>(small), static_cast<std::size_t>(length));
    });
    return out;
}

std::size_t display_width(std::string_view text)
{
    std::size_t width = 0;
    for_each_letter(text, [&](utf8proc_int32_t letter, std::string_view) {
        width += letter < 0 ? 1 : static_cast<std::size_t>(utf8proc_charwidth(letter));
    });
    return width;
}

namespace {

/// The one name that has a word of its own called so: "flow" for "air_flow".
std::optional<std::string> only_one_with_word(std::string_view word, std::span<const std::string> allowed)
{
    constexpr std::size_t shortest = 4; // "in" and "of" say little
    if (word.size() < shortest) return std::nullopt;
    const std::string* found = nullptr;
    for (const std::string& name : allowed) {
        std::string parts = "_" + lower_case(name) + "_";
        std::ranges::replace(parts, ' ', '_');
        if (parts.find(fmt::format("_{}_", word)) == std::string::npos) continue;
        if (found != nullptr) return std::nullopt;
        found = &name;
    }
    return found != nullptr ? std::optional{*found} : std::nullopt;
}

} // namespace

std::optional<std::string> nearest_name(std::string_view typed, std::span<const std::string> allowed)
{
    const std::string wanted = lower_case(trimmed(typed));
    std::size_t nearest = 2 + std::min<std::size_t>(wanted.size(), 24) / 4; // so far is too far
    const std::string* best = nullptr;
    for (const std::string& name : allowed) {
        const std::size_t longer = std::max(name.size(), wanted.size()) - std::min(name.size(), wanted.size());
        if (longer >= nearest) continue;
        const std::size_t distance = edit_distance(wanted, lower_case(name));
        if (distance >= nearest) continue;
        nearest = distance;
        best = &name;
    }
    return best != nullptr ? std::optional{*best} : only_one_with_word(wanted, allowed);
}

std::string listed(std::span<const std::string> names, std::size_t most)
{
    if (names.size() <= most) return fmt::format("{}", fmt::join(names, ", "));
    return fmt::format("{}, ... ({} in all)", fmt::join(names.first(most), ", "), names.size());
}

bool is_named_like(const std::string& name, const std::string& pattern)
{
    std::string plain; // only the star means something
    for (const char c : pattern) {
        if (c == '?' || c == '[' || c == '\\') plain += '\\';
        plain += c;
    }
    return fnmatch(plain.c_str(), name.c_str(), 0) == 0;
}

} // namespace venture::quantity
