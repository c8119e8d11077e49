#pragma once
/// The room of small_input.hpp, resolved.

#include <string_view>

#include <gtest/gtest.h>

#include <small_input.hpp>
#include <venture/resolve/resolve.hpp>

namespace venture::testing_data {

/// Resolves, and fails the test with everything that is wrong if it does not.
[[nodiscard]] building::Building built(const input::Input& in);

/// The one problem with a code, or a failure.
[[nodiscard]] quantity::Problem problem_of(const input::Input& in, std::string_view code);

} // namespace venture::testing_data
