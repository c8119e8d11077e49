#pragma once
/// How the program ends.

namespace venture::cli {

enum class ExitCode : int {
    done = 0,      ///< also with warnings, unless --strict
    not_met = 1,   ///< done, but something asked for is not met
    bad_input = 2, ///< errors in what was given
    failure = 3,   ///< a file that cannot be written, physics that cannot be solved, a bug
};

} // namespace venture::cli
