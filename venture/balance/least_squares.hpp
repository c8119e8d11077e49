#pragma once
/// The least sum of squares. Apart from what uses it, since the templates behind it take long to compile, and much memory.
/// Internal to balance.

#include <Eigen/Core>

namespace venture::balance {

/// The x that makes |A x - b| least; columns that others span within `threshold` are left out.
[[nodiscard]] Eigen::VectorXd least_squares(const Eigen::MatrixXd& a, const Eigen::VectorXd& b, double threshold);

} // namespace venture::balance
