#pragma once
/// Formats of the project file, and how an older one is read. Internal to project.

#include <cstdint>
#include <span>
#include <string>

#include <toml++/toml.h>

namespace venture::project {

/// The format that keys and this reader are of.
inline constexpr std::int64_t current_format = 1;

/// Turns a parsed file of format n into one of format n + 1: renames keys, rewrites values.
using Upgrade = void (*)(toml::table&);

/// One upgrade for each older format, from format 1 on. When format 2 comes, the step from 1 is put here.
[[nodiscard]] std::span<const Upgrade> upgrades();

/// Carries a file of format `from` to format 1 + the number of steps.
/// @returns whether that format is known
[[nodiscard]] bool upgrade(toml::table& root, std::int64_t from, std::span<const Upgrade> steps);

} // namespace venture::project
