#pragma once
/// The zones' equations at one stage, faces eliminated: air, radiant temperature and supply of every zone, solved
/// together. Internal to loads.
///
/// Each zone is solved exactly, its thermostat and limits included, with its neighbours as they stand; in a fixed order,
/// over and over until nothing moves. Cost grows with the number of zones alone; the result does not depend on the
/// order in which the model lists them.

#include <vector>

#include <venture/loads/surface_bank.hpp>

namespace venture::loads::detail {

/// Unknowns of all zones, in the model's order.
struct ZoneUnknowns {
    std::vector<double> air_C{}, radiant_C{}, load_W{};
};

/// What drives the zones' equations at one stage.
struct ZoneDrives {
    std::vector<double> air_W{}, radiant_W{}; ///< into the air, and from all base temperatures to the radiant point
    std::vector<double> out_W_per_K{};        ///< of air that is displaced, and to outdoors
    std::vector<double> heat_below{}, cool_above{}, most_heating{}, most_cooling{};
    std::vector<double> transfer_W_per_K{}; ///< of every flow of transfer air, zone by zone
};

struct Solved {
    int sweeps = 0;
    bool settled = true;
};

class ZoneNetwork {
public:
    ZoneNetwork(const ThermalModel& model, double stage_s);

    /// Coefficients from the surfaces as they are now.
    void build(const SurfaceBank& bank);
    /// Starts from what stands in x.
    [[nodiscard]] Solved solve(const ZoneDrives& drives, ZoneUnknowns& x) const;

    /// A face of a zone.
    struct FaceAt {
        std::size_t slot = 0, face = 0;
    };
    [[nodiscard]] const std::vector<FaceAt>& faces_of(std::size_t zone) const { return faces_[zone]; }
    [[nodiscard]] double area_m2(std::size_t zone) const { return area_m2_[zone]; }
    /// Radiation of a zone's supply that falls on 1 m2 of its faces, per W of supply.
    [[nodiscard]] double radiant_per_m2(std::size_t zone) const { return radiant_per_m2_[zone]; }
    /// What the known side of a face gets from 1 W of a zone's supply, through planes of its wall, W/m2.
    struct SupplyToFace {
        std::size_t zone = 0, slot = 0, face = 0, plane = 0;
        double per_W = 0.0, share = 0.0;
    };
    [[nodiscard]] const std::vector<SupplyToFace>& supply_to_faces() const { return supply_to_faces_; }

private:
    /// Of a neighbour's air, radiant temperature and supply in a zone's two balances.
    struct Coupling {
        std::size_t zone = 0;
        double in_air[3] = {}, in_radiant[3] = {};
    };
    struct Local {
        double a11 = 0.0, a12 = 0.0, a21 = 0.0, a22 = 0.0; ///< air without flows out, radiant point
        double by_supply[2] = {};
        bool alone = true; ///< no neighbour acts on it
    };
    void add_faces(const SurfaceBank& bank, std::size_t zone);
    void add_supply_through_planes(const SurfaceBank& bank);
    void couple(std::size_t zone, std::size_t other, std::size_t unknown, double in_air, double in_radiant);
    double solve_zone(std::size_t zone, const ZoneDrives& d, ZoneUnknowns& x) const;

    const ThermalModel& model_;
    std::vector<std::size_t> order_{};          ///< zones by id
    std::vector<std::size_t> first_transfer_{}; ///< into ZoneDrives::transfer_W_per_K
    std::vector<double> storage_{}, area_m2_{}, radiant_per_m2_{};
    std::vector<std::vector<FaceAt>> faces_{};
    std::vector<Local> local_{};
    std::vector<std::vector<Coupling>> couplings_{};
    std::vector<SupplyToFace> supply_to_faces_{};
};

} // namespace venture::loads::detail
