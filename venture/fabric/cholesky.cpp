#include <venture/fabric/cholesky.hpp>

#include <cmath>

#include <Eigen/Cholesky>

namespace venture::fabric::detail {

using Factors = Eigen::LLT<Eigen::MatrixXd>;

SymmetricModes modes_in(const Eigen::MatrixXd& a, const Eigen::MatrixXd& b)
{
    const Factors factors(b);
    Eigen::MatrixXd reduced = a.selfadjointView<Eigen::Lower>();
    factors.matrixL().solveInPlace<Eigen::OnTheLeft>(reduced);
    factors.matrixU().solveInPlace<Eigen::OnTheRight>(reduced);
    SymmetricModes modes = symmetric_modes(reduced);
    factors.matrixU().solveInPlace(modes.vectors);
    return modes;
}

std::optional<double> last_pivot(const Eigen::MatrixXd& matrix)
{
    const Factors factors(matrix);
    if (factors.info() != Eigen::Success) return std::nullopt;
    const auto last = matrix.rows() - 1;
    return std::pow(factors.matrixL()(last, last), 2);
}

} // namespace venture::fabric::detail
