#pragma once
/// What is found by factors of a positive definite matrix. Internal to fabric.

#include <optional>

#include <venture/fabric/symmetric_modes.hpp>

namespace venture::fabric::detail {

/// a v = value b v, the vectors of length one in b.
/// @pre both are symmetric, and b is positive definite but for rounding: what rounding alone carries has values that mean
/// nothing, some of them not positive
[[nodiscard]] SymmetricModes modes_in(const Eigen::MatrixXd& a, const Eigen::MatrixXd& b);

/// What is left of the last row of a symmetric matrix once those before it are eliminated; nothing if it is not positive
/// definite.
[[nodiscard]] std::optional<double> last_pivot(const Eigen::MatrixXd& matrix);

} // namespace venture::fabric::detail
