#include <venture/project/formats.hpp>

#include <venture/quantity/error.hpp>

namespace venture::project {

std::span<const Upgrade> upgrades()
{
    static constexpr std::span<const Upgrade> none{};
    static_assert(current_format == 1 + static_cast<std::int64_t>(none.size()), "one step for each older format");
    return none;
}

bool upgrade(toml::table& root, std::int64_t from, std::span<const Upgrade> steps)
{
    const auto newest = 1 + static_cast<std::int64_t>(steps.size());
    if (from < 1 || from > newest) return false;
    for (const Upgrade step : steps.subspan(static_cast<std::size_t>(from - 1))) step(root);
    return true;
}

} // namespace venture::project
