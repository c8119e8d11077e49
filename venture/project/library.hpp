#pragma once
/// What an input takes from a library that ships with a program.

#include <string>
#include <vector>

#include <venture/input/input.hpp>
#include <venture/quantity/problems.hpp>

namespace venture::project {

/// One file of a library.
struct LibraryFile {
    std::string name{}; ///< of the library, as origins call it
    std::string file{};
    std::string text{}; ///< TOML; mistakes in it are told like those of any file
};

/// Adds what an input names and has not itself: materials, build-ups, panes, glazings, shades, profiles and room types, and
/// what those name in turn. The rest of the library stays out.
/// @param also  names that somebody asks for without the input naming them
void take_from_library(input::Input& input, quantity::Problems& problems, LibraryFile library,
                       const std::vector<std::string>& also = {});

/// Adds a whole library, whether it is named or not.
void read_whole_library(input::Input& input, quantity::Problems& problems, LibraryFile library);

} // namespace venture::project
