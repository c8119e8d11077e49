#include <venture/quantity/unknown_name.hpp>

#include <fmt/format.h>

#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>

namespace venture::quantity {

Problem unknown_name(std::string_view what, std::string_view name, OriginId where, std::span<const std::string> there,
                     std::span<const std::string> offered)
{
    std::vector<std::string> known{there.begin(), there.end()};
    known.insert(known.end(), offered.begin(), offered.end());
    const auto near = nearest_name(name, known);
    std::vector<std::string> holding; // "concrete" of "concrete, cast": a part is easier to remember than the whole
    for (const std::string& one : known)
        if (!name.empty() && lower_case(one).find(lower_case(name)) != std::string::npos) holding.push_back(one);
    return {.code = codes::unknown_name,
            .where = where,
            .message = fmt::format("no {} is called '{}'", what, name),
            .hint = near               ? fmt::format("did you mean '{}'?", *near)
                    : !holding.empty() ? fmt::format("did you mean {}?", listed(holding, 6))
                    : there.empty()    ? fmt::format("there is no {} at all: add one, or leave the name out", what)
                                       : fmt::format("there are: {}", listed(there))};
}

} // namespace venture::quantity
