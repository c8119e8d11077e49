#include <venture/quantity/key.hpp>

#include <fmt/format.h>

namespace venture::quantity {

std::string in_words(std::span<const SaysWith> any_of)
{
    std::string out;
    const auto or_else = [&](std::string one) { out += (out.empty() ? "" : " or ") + std::move(one); };
    for (const SaysWith& with : any_of) {
        if (with.words.empty()) or_else(fmt::format("{} above 0", with.key));
        for (const std::string_view word : with.words) or_else(fmt::format("{} = \"{}\"", with.key, word));
    }
    return out;
}

} // namespace venture::quantity
