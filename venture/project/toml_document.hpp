#pragma once
/// A TOML text, parsed as far as it can be: reading goes on at the next table after a mistake. Internal to the edge.

#include <string>
#include <vector>

#include <toml++/toml.h>

#include <venture/quantity/origin.hpp>
#include <venture/quantity/problems.hpp>

namespace venture::project {

/// Largest file that is read at all.
inline constexpr std::size_t largest_file_bytes = 16U << 20U;

struct TomlDocument {
    toml::table root{};
    bool whole = true; ///< false: parts were left out after mistakes, so "missing" says nothing
};

/// @param file  name that places are told with
[[nodiscard]] TomlDocument parse_toml(std::string text, const std::string& file, quantity::OriginPool& origins,
                                      quantity::Problems& problems);

} // namespace venture::project
