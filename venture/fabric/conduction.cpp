#include <venture/fabric/conduction.hpp>

#include <algorithm>
#include <cmath>
#include <numeric>

#include <Eigen/Eigenvalues>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

namespace {

/// Chain of cells with capacity, and the conductances before, between and behind them.
struct Chain {
    std::vector<double> capacity_J_per_m2K{};
    std::vector<double> resistance_m2K_per_W{0.0}; ///< one more than cells
};

/// Sizes of a layer's cells: fine at its faces (a tenth of the depth that a ten-minute change reaches), growing towards
/// its middle, where only slow waves arrive. The space error of a daily wave is then far below 0.1 %.
std::vector<double> cell_sizes(const Layer& layer)
{
    constexpr double reference_s = 600.0, share = 0.1, growth = 1.06, coarsest = 4.0;
    constexpr std::size_t fewest_in_half = 2;
    const Material& m = layer.material;
    const double diffusivity = m.conductivity_W_per_mK / (m.density_kg_per_m3 * m.specific_heat_J_per_kgK);
    const double finest = share * std::sqrt(diffusivity * reference_s), half = 0.5 * layer.thickness_m;
    std::vector<double> sizes;
    double sum = 0.0, next = finest;
    while (sum < half) {
        sizes.push_back(next);
        sum += next;
        next = std::min(growth * next, coarsest * finest);
    }
    if (sizes.size() < fewest_in_half) sizes.assign(fewest_in_half, 1.0);
    sum = std::accumulate(sizes.begin(), sizes.end(), 0.0);
    for (double& size : sizes) size *= half / sum;
    sizes.insert(sizes.end(), sizes.rbegin(), sizes.rend());
    return sizes;
}

Chain chain_of(const Buildup& buildup)
{
    Chain chain;
    for (const Layer& layer : buildup.layers) {
        if (!layer.has_capacity()) {
            chain.resistance_m2K_per_W.back() += layer.resistance();
            continue;
        }
        const Material& m = layer.material;
        for (const double size : cell_sizes(layer)) {
            const double half = 0.5 * size / m.conductivity_W_per_mK;
            chain.resistance_m2K_per_W.back() += half;
            chain.capacity_J_per_m2K.push_back(size * m.density_kg_per_m3 * m.specific_heat_J_per_kgK);
            chain.resistance_m2K_per_W.push_back(half);
        }
    }
    return chain;
}

/// Modes of C dT/dt = -K T + ..., made symmetric by y = sqrt(C) T.
Eigen::SelfAdjointEigenSolver<Eigen::MatrixXd> eigenmodes(const Chain& chain)
{
    const auto n = static_cast<Eigen::Index>(chain.capacity_J_per_m2K.size());
    Eigen::VectorXd diagonal(n), off(std::max<Eigen::Index>(n - 1, 0));
    for (Eigen::Index i = 0; i < n; ++i) {
        const auto k = static_cast<std::size_t>(i);
        const double before = 1.0 / chain.resistance_m2K_per_W[k], behind = 1.0 / chain.resistance_m2K_per_W[k + 1];
        diagonal(i) = (before + behind) / chain.capacity_J_per_m2K[k];
        if (i + 1 < n) off(i) = -behind / std::sqrt(chain.capacity_J_per_m2K[k] * chain.capacity_J_per_m2K[k + 1]);
    }
    Eigen::SelfAdjointEigenSolver<Eigen::MatrixXd> solver;
    solver.computeFromTridiagonal(diagonal, off, Eigen::ComputeEigenvectors);
    VENTURE_ASSERT(solver.info() == Eigen::Success);
    return solver;
}

void add_mode(WallModes& modes, double rate, double b1, double b2)
{
    modes.rate_per_s.push_back(rate);
    modes.b1.push_back(b1);
    modes.b2.push_back(b2);
    modes.s.push_back((b1 + b2) / rate);
}

/// Adds the fast modes as two that keep sum b b'/rate (steady flow) and sum b b'/rate^2 (heat capacity).
void add_merged(WallModes& modes, const std::vector<double>& rate, const std::vector<Eigen::Vector2d>& b)
{
    Eigen::Matrix2d flow = Eigen::Matrix2d::Zero(), capacity = Eigen::Matrix2d::Zero();
    for (std::size_t k = 0; k < rate.size(); ++k) {
        flow += b[k] * b[k].transpose() / rate[k];
        capacity += b[k] * b[k].transpose() / (rate[k] * rate[k]);
    }
    const double scale = capacity(0, 0) * capacity(1, 1);
    if (rate.size() <= 2 ||
        capacity.determinant() < 1e-9 * scale) { // nothing to win, or the faces cannot be told apart
        for (std::size_t k = 0; k < rate.size(); ++k) add_mode(modes, rate[k], b[k](0), b[k](1));
        return;
    }
    const Eigen::GeneralizedSelfAdjointEigenSolver<Eigen::Matrix2d> solver(flow, capacity);
    VENTURE_ASSERT(solver.info() == Eigen::Success);
    const Eigen::Matrix2d w = capacity * solver.eigenvectors();
    for (Eigen::Index k = 0; k < 2; ++k) {
        const double merged = solver.eigenvalues()(k);
        add_mode(modes, merged, merged * w(0, k), merged * w(1, k));
    }
}

} // namespace

WallModes wall_modes(const Buildup& buildup, double shortest_s)
{
    check(buildup);
    quantity::check_range("wall_modes", "resistance of build-up '" + buildup.name + "'", resistance(buildup),
                          {1e-9, 1e3}, "m2K/W");
    const Chain chain = chain_of(buildup);
    WallModes modes;
    const std::size_t n = chain.capacity_J_per_m2K.size();
    if (n == 0) {
        modes.d11 = modes.d22 = 1.0 / chain.resistance_m2K_per_W.front();
        modes.d12 = -modes.d11;
        return modes;
    }
    const double g1 = 1.0 / chain.resistance_m2K_per_W.front(), g2 = 1.0 / chain.resistance_m2K_per_W.back();
    modes.d11 = g1;
    modes.d22 = g2;
    const auto solver = eigenmodes(chain);
    const auto last = static_cast<Eigen::Index>(n) - 1;
    std::vector<double> fast_rate;
    std::vector<Eigen::Vector2d> fast_b;
    for (Eigen::Index k = 0; k <= last; ++k) {
        const double rate = solver.eigenvalues()(k);
        const double b1 = solver.eigenvectors()(0, k) * g1 / std::sqrt(chain.capacity_J_per_m2K.front());
        const double b2 = solver.eigenvectors()(last, k) * g2 / std::sqrt(chain.capacity_J_per_m2K.back());
        if (rate * shortest_s <= 1.0) {
            add_mode(modes, rate, b1, b2);
        } else {
            fast_rate.push_back(rate);
            fast_b.emplace_back(b1, b2);
        }
    }
    add_merged(modes, fast_rate, fast_b);
    return modes;
}

} // namespace venture::fabric
