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
    return {.code = codes::unknown_name,
            .where = where,
            .message = fmt::format("no {} is called '{}'", what, name),
            .hint = near            ? fmt::format("did you mean '{}'?", *near)
                    : there.empty() ? fmt::format("there is no {} at all: add one, or leave the name out", what)
                                    : fmt::format("there are: {}", listed(there))};
}

} // namespace venture::quantity
