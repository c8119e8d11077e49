#include <venture/balance/least_squares.hpp>

#include <Eigen/QR>

namespace venture::balance {

Eigen::VectorXd least_squares(const Eigen::MatrixXd& a, const Eigen::VectorXd& b, double threshold)
{
    Eigen::ColPivHouseholderQR<Eigen::MatrixXd> factors(a);
    factors.setThreshold(threshold);
    return factors.solve(b);
}

} // namespace venture::balance
