#pragma once
/// Modes of a symmetric matrix. Apart from what uses them, as cholesky.hpp is: the templates behind them take long to
/// compile, and much memory. Internal to fabric.

#include <Eigen/Core>

namespace venture::fabric::detail {

struct SymmetricModes {
    Eigen::VectorXd values{};  ///< rising
    Eigen::MatrixXd vectors{}; ///< a column each
};

/// @pre the matrix is symmetric; its lower half is read
[[nodiscard]] SymmetricModes symmetric_modes(const Eigen::MatrixXd& matrix);

} // namespace venture::fabric::detail
