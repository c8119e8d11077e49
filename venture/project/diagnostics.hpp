#pragma once
/// What is said of an input, ready for a person.

#include <string>
#include <vector>

#include <venture/project/sources.hpp>
#include <venture/quantity/problem.hpp>

namespace venture::project {

/// One mistake, with every place it was made in.
struct ProblemGroup {
    std::vector<quantity::Problem> problems{}; ///< at least one, in the order of their places
};

/// Problems of one code and cause together, each group where its first stands; groups in the order in which the files
/// were read, then what has no place in a file.
[[nodiscard]] std::vector<ProblemGroup> grouped(std::vector<quantity::Problem> problems,
                                                const quantity::OriginPool& origins, const Sources& sources);

enum class Colour { none, terminal };

/// How messages are shown.
struct Shown {
    Colour colour = Colour::none;
    std::size_t width = 1000; ///< columns of the page
};

/// "project.toml:12:10: error V106: height: the unit 'furlongs' found, ..." with the line and a caret below, the hint,
/// and the other places of the same mistake.
[[nodiscard]] std::string in_words(const ProblemGroup& group, const quantity::OriginPool& origins,
                                   const Sources& sources, const Shown& how = {});

/// Foreign text that may go to a terminal: what would act on it becomes marks.
[[nodiscard]] std::string printable(std::string_view text);

} // namespace venture::project
