#pragma once
/// The library that ships with the program: materials, build-ups, glass, shades, hours and room types by their names.

#include <string>
#include <vector>

#include <venture/input/input.hpp>
#include <venture/quantity/problems.hpp>

namespace venture::catalogue {

/// Adds what an input names and has not itself, whether it was read from files or made in code.
/// @param also  names that somebody asks for without the input naming them
void take_from_shipped_library(input::Input& input, quantity::Problems& problems,
                               const std::vector<std::string>& also = {});

/// All of it.
void read_shipped_library(input::Input& input, quantity::Problems& problems);

} // namespace venture::catalogue
