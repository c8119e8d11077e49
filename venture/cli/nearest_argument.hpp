#pragma once
/// Misspelt commands and options.

#include <string>
#include <vector>

#include <CLI/App.hpp>

namespace venture::cli {

/// What the parser says, and what may have been meant: the nearest command for a word that is none, the nearest option of the
/// command for one that it has not.
[[nodiscard]] std::string with_nearest(std::string said, const CLI::App& app,
                                       const std::vector<std::string>& arguments);

} // namespace venture::cli
