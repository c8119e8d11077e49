#pragma once
/// What is said of an input, ready for a person.

#include <map>
#include <string>
#include <vector>

#include <venture/quantity/problem.hpp>

namespace venture::project {

/// Texts of the files that were read, by the name they are told with.
using Sources = std::map<std::string, std::string>;

/// Errors first, then warnings, then notes; each kind in the order of the files.
[[nodiscard]] std::vector<quantity::Problem> in_reading_order(std::vector<quantity::Problem> problems,
                                                              const quantity::OriginPool& origins);

/// "project.toml:12:10: error V106: height: the unit 'furlongs' found, ..." with the line and a caret below.
[[nodiscard]] std::string in_words(const quantity::Problem& problem, const quantity::OriginPool& origins,
                                   const Sources& sources);

} // namespace venture::project
