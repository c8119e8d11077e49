#pragma once
/// A number that changes with anything that was said of a building.

#include <cstdint>

#include <venture/input/input.hpp>

namespace venture::input {

/// Of every value of an input, in whatever order records of a table stand, but for what is of the document alone
/// (KeySpec::of_document). Of a completed input: of defaults and inherited values too, wherever they come from.
[[nodiscard]] std::uint64_t fingerprint_of(const Input& input);

} // namespace venture::input
