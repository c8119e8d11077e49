#pragma once
/// From texts to the values of keys: shared by overlays and readers of files.

#include <algorithm>
#include <cmath>
#include <optional>
#include <string>
#include <string_view>

#include <fmt/format.h>

#include <venture/quantity/codes.hpp>
#include <venture/quantity/key.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/quantity/problem.hpp>

namespace venture::input {

/// A problem of one key, with the key's name in the message.
[[nodiscard]] inline quantity::Problem key_problem(std::string_view code, quantity::OriginId where,
                                                   const quantity::KeySpec& spec, std::string found,
                                                   std::string hint = {})
{
    return {quantity::Severity::error, code, where, fmt::format("{}: {}", spec.name, found), std::move(hint)};
}

/// What to do about a number outside its bounds: the unit in which it would be inside, if there is one.
/// @param typed  the number itself, whatever its unit
[[nodiscard]] inline std::string unit_that_fits(double typed, const quantity::KeySpec& spec)
{
    std::vector<std::string> units = quantity::unit_symbols(spec.kind);
    if (spec.kind == quantity::Kind::length)
        std::ranges::stable_partition(units, [](const auto& u) { return u == "mm"; });
    for (const std::string& unit : units) {
        const auto meant = quantity::to_si(typed, unit, spec.kind);
        const double* value = std::get_if<double>(&meant);
        if (value != nullptr && *value >= spec.allowed.lowest && *value <= spec.allowed.highest)
            return fmt::format("is the unit right? \"{:g} {}\" would be", typed, unit);
    }
    return std::string{spec.outside.empty() ? "is the unit right?" : spec.outside};
}

/// Whether a number lies in the key's bounds; if not, why.
/// @param units  that the bounds are printed in
/// @param typed  the number as it was typed, whatever its unit; that in SI unless said
[[nodiscard]] inline std::optional<quantity::Problem> bounds_problem(double si, const quantity::KeySpec& spec,
                                                                     quantity::OriginId where,
                                                                     const quantity::PreferredUnits& units = {},
                                                                     std::optional<double> typed = {})
{
    const bool inside = si >= spec.allowed.lowest && si <= spec.allowed.highest;
    if (inside && spec.whole && si != std::floor(si))
        return key_problem(quantity::codes::bounds, where, spec, fmt::format("{:g} is no whole number", si));
    if (inside) return std::nullopt;
    const auto print = [&](double v) { return units.text(v, spec.kind); };
    return key_problem(
        quantity::codes::bounds, where, spec,
        fmt::format("{} is outside {} to {}", print(si), print(spec.allowed.lowest), print(spec.allowed.highest)),
        unit_that_fits(typed.value_or(si), spec));
}

/// Reads a number with its unit into `out`.
/// @param bare  unit of a number without one; the plain one unless given
[[nodiscard]] inline std::optional<quantity::Problem> read_number(std::string_view text, const quantity::KeySpec& spec,
                                                                  quantity::OriginId where, double& out,
                                                                  const quantity::PreferredUnits& units = {},
                                                                  std::string_view bare = {})
{
    const auto parsed = quantity::parse_quantity(text, spec.kind, bare);
    if (const auto* wrong = std::get_if<quantity::QuantityProblem>(&parsed))
        return key_problem(quantity::codes::quantity, where, spec,
                           fmt::format("{} found, expected {}", wrong->found, wrong->expected), wrong->hint);
    const auto typed = quantity::leading_number(text);
    if (auto problem = bounds_problem(std::get<double>(parsed), spec, where, units,
                                      typed ? std::optional{typed->value} : std::nullopt))
        return problem;
    out = std::get<double>(parsed);
    return std::nullopt;
}

/// Checks a word against the key's choices and trims it.
[[nodiscard]] inline std::optional<quantity::Problem> read_word(std::string_view text, const quantity::KeySpec& spec,
                                                                quantity::OriginId where, std::string& out)
{
    const std::string word{quantity::trimmed(text)};
    if (!spec.choices.empty() && std::ranges::find(spec.choices, word) == spec.choices.end()) {
        const auto near = quantity::nearest_name(word, spec.choices);
        return key_problem(quantity::codes::choice, where, spec,
                           fmt::format("'{}' found, expected one of {}", word, quantity::listed(spec.choices)),
                           near ? fmt::format("did you mean '{}'?", *near) : std::string{});
    }
    out = word;
    return std::nullopt;
}

} // namespace venture::input
