#include <venture/fabric/symmetric_modes.hpp>

#include <Eigen/Eigenvalues>

#include <venture/quantity/error.hpp>

namespace venture::fabric::detail {

SymmetricModes symmetric_modes(const Eigen::MatrixXd& matrix)
{
    const Eigen::SelfAdjointEigenSolver<Eigen::MatrixXd> solver(matrix);
    VENTURE_ASSERT(solver.info() == Eigen::Success);
    return {solver.eigenvalues(), solver.eigenvectors()};
}

} // namespace venture::fabric::detail
