#pragma once
/// Internal to `services`: what its parts tell and look up alike.

#include <algorithm>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include <venture/quantity/problems.hpp>

namespace venture::services {

/// Adds to problems, in the words of whoever holds it.
class Teller {
public:
    explicit Teller(quantity::Problems& problems) : problems_{&problems} {}
    quantity::Problem& operator()(quantity::Severity severity, std::string_view code, quantity::OriginId where,
                                  std::string message, std::string hint = {}) const
    {
        return problems_->add(quantity::Problem{severity, code, where, std::move(message), std::move(hint)});
    }

private:
    quantity::Problems* problems_;
};

/// Place of the one that bears a name.
template <class Named>
[[nodiscard]] std::optional<std::size_t> find_named(const std::vector<Named>& all, const std::string& name)
{
    const auto it = std::ranges::find(all, name, &Named::name);
    if (it == all.end()) return std::nullopt;
    return static_cast<std::size_t>(it - all.begin());
}

} // namespace venture::services
