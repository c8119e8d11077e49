#pragma once
/// The linear system of one stage: air, radiant temperature and supply of every zone. Internal to loads.

#include <map>
#include <memory>
#include <vector>

#include <Eigen/SparseLU>

#include <venture/loads/heat_balance.hpp>

namespace venture::loads::detail {

/// One face of a surface as the stage sees it: what it couples to, after its film.
struct StageFace {
    int zone = -1; ///< -1: no zone
    double convective = 0.0, radiative = 0.0;
    double radiant_share_per_m2 = 0.0; ///< of the zone's radiant emission, per m2 of this face
    double film = 0.0;                 ///< whole film, W/m2K
    bool fixed = false;                ///< temperature given, no film
    SignalId environment{};            ///< of an outdoor or fixed face
    bool has_environment = false;
};

/// A surface with its wall's instantaneous response eliminated:
/// T_i = sum_j m[i][j] (drive_j + history_j), drive = film times what is behind it.
struct StageSurface {
    double area = 0.0;
    StageFace face[2];
    double y11 = 0.0, y12 = 0.0, y22 = 0.0;
    double m[2][2] = {};
    std::size_t first_mode = 0, modes = 0, first_source = 0;
    std::size_t wall = 0;
};

/// Unknowns of zone z: air 3z, radiant 3z+1, supply 3z+2.
class StageSystem {
public:
    /// @param stage_s  gamma times the step; infinite for the steady state
    StageSystem(const ThermalModel& model, const std::vector<StageSurface>& surfaces, double stage_s);

    /// Solves for all zones.
    /// @param outdoor_air_W_per_K  per zone; constant over a step
    /// @param rhs  right-hand side, 3 per zone
    [[nodiscard]] Eigen::VectorXd solve(const std::vector<Supply>& supply,
                                        const std::vector<double>& outdoor_air_W_per_K, const Eigen::VectorXd& rhs);

private:
    using Matrix = Eigen::SparseMatrix<double>;
    using Factors = Eigen::SparseLU<Matrix, Eigen::COLAMDOrdering<int>>;
    struct Key {
        std::vector<Supply> supply;
        std::vector<double> outdoor_air;
        friend auto operator<=>(const Key&, const Key&) = default;
    };
    [[nodiscard]] std::unique_ptr<Factors> factorise(const Key& key) const;

    const ThermalModel& model_;
    std::vector<Eigen::Triplet<double>> constant_part_{};
    std::vector<bool> has_radiant_point_{};
    std::map<Key, std::unique_ptr<Factors>> cache_{};
};

} // namespace venture::loads::detail
