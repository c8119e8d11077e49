#pragma once
/// From what was given to a complete building.

#include <optional>
#include <string_view>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/input/input.hpp>
#include <venture/quantity/problem.hpp>

namespace venture::resolve {

using building::Building;
using input::Input;

struct Resolved {
    std::optional<Building> building{};        ///< nothing if there is an error among the problems
    std::vector<quantity::Problem> problems{}; ///< all of them, errors and findings
    Input effective{};                         ///< every value, also those by default, with its origin; the problems'
                                               ///< places refer to its pool
};

/// Cause of the problems that tell of design conditions which a weather year would give.
inline constexpr std::string_view no_design_conditions = "design conditions are missing";

/// A site by itself, for whoever asks of nothing but the climate.
struct ResolvedSite {
    std::optional<climate::Site> site{}; ///< nothing if there is an error among the problems
    std::vector<quantity::Problem> problems{};
    Input effective{};
};

/// Checks what is said of site and weather, and nothing else.
[[nodiscard]] ResolvedSite resolve_site(const Input& input);

/// What surfaces and windows are made of by itself, for whoever lists a library.
struct ResolvedFabric {
    Building fabric{}; ///< its build-ups, glazings and shades; what is wrong stands there unfinished
    std::vector<quantity::Problem> problems{};
    Input effective{};
};

/// Completes build-ups, glazings and shades, and nothing else.
[[nodiscard]] ResolvedFabric resolve_fabric(const Input& input);

/// Year whose weekdays and dates calendars count: that of the project, else of its weather year, else 2029, a common year
/// that begins on a Monday.
[[nodiscard]] int calendar_year(const Input& input);

/// Fills what was left open from room types and defaults, finds neighbours, and checks everything. A building made in
/// code gets the same defaults and the same checks as one read from files.
[[nodiscard]] Resolved resolve(const Input& input);

} // namespace venture::resolve
