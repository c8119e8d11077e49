#pragma once
/// The zones' equations at one stage, faces eliminated: air, radiant temperature and supply of every zone, solved
/// together. Internal to balance.
///
/// Each zone is solved exactly, its thermostat and limits included, with its neighbours as they stand; in a fixed order,
/// over and over until nothing moves. Cost grows with the number of zones alone; the result does not depend on the
/// order in which the model lists them.

#include <cstdint>
#include <span>
#include <vector>

#include <venture/balance/recording.hpp>
#include <venture/balance/surface_bank.hpp>

namespace venture::balance {

/// Unknowns of all zones, in the model's order, and a zero behind them for faces in no zone.
struct ZoneUnknowns {
    std::vector<double> air_C{}, radiant_C{}, load_W{};
    std::vector<Action> action{};       ///< of the supply; none behind the last
    std::vector<AirFlow> air_flow{};    ///< per zone with supply air, in the model's order
    std::vector<double> air_supply_W{}; ///< likewise: what it brings
};

/// Supply air of one zone at one stage.
struct SupplyAirDrive {
    double least_W_per_K = 0.0, most_W_per_K = 0.0;
    double temperature_C = 0.0;
    double recovers = 0.0; ///< as far as frost lets it
};

/// What drives the zones' equations at one stage.
struct ZoneDrives {
    std::vector<double> air_W{}, radiant_W{}; ///< into the air, and from all base temperatures to the radiant point
    std::vector<double> out_W_per_K{};        ///< of air that is displaced, and to outdoors
    std::vector<double> heat_below{}, cool_above{}, most_heating{}, most_cooling{};
    std::vector<double> transfer_W_per_K{};   ///< of every flow of transfer air, zone by zone
    std::vector<SupplyAirDrive> supply_air{}; ///< zone by zone that has some
};

struct Solved {
    int sweeps = 0;
    bool settled = true;
};

class ZoneNetwork {
public:
    ZoneNetwork(const ThermalModel& model, const SurfaceBank& bank, double stage_s);

    /// Coefficients from the surfaces as they are now: of all zones; or block by block, in turn, and what remains.
    void refresh(const SurfaceBank& bank);
    void refresh(const SurfaceBank& bank, std::size_t block);
    void refresh_rest(const SurfaceBank& bank);
    /// What drives the zones whose faces end in a block. @param base_C  per face  @param storing_W  per zone
    void find_drives(std::size_t block, const std::vector<double>& base_C, const std::vector<double>& storing_W,
                     ZoneDrives& drives) const;
    /// Starts from what stands in x. @param replay  what each supply does; nothing: what its thermostat says
    /// @param air_replay  what supply air does, likewise
    [[nodiscard]] Solved solve(const ZoneDrives& drives, const Action* replay, const AirFlow* air_replay,
                               ZoneUnknowns& x);

    /// Zones by id.
    [[nodiscard]] const std::vector<std::size_t>& order() const { return order_; }
    [[nodiscard]] double area_m2(std::size_t zone) const { return area_m2_[zone]; }
    /// Radiation of a zone's supply that falls on 1 m2 of its faces, per W of supply; a zero behind the last.
    [[nodiscard]] const std::vector<double>& radiant_per_m2() const { return radiant_per_m2_; }
    /// Whether any zone's supply radiates.
    [[nodiscard]] bool radiates() const { return radiates_; }
    /// 1 / area of a zone's faces; 0 where there is none, and behind the last.
    [[nodiscard]] const std::vector<double>& per_area() const { return per_area_; }
    /// What the known side of a face gets from 1 W of a zone's supply, through planes of its wall, W/m2.
    struct SupplyToFace {
        std::size_t zone = 0, slot = 0, side = 0, plane = 0; ///< plane among all of the model
        double per_W = 0.0, share = 0.0;
    };
    /// In the order of slots.
    [[nodiscard]] const std::vector<SupplyToFace>& supply_to_faces() const { return supply_to_faces_; }
    /// Of some slots.
    [[nodiscard]] std::span<const SupplyToFace> supply_to_faces_of(SlotRange slots) const;
    [[nodiscard]] std::span<const std::uint32_t> faces_of(std::size_t zone) const
    {
        return {faces_.data() + first_face_[zone], first_face_[zone + 1] - first_face_[zone]};
    }

    /// Adds what a zone's faces give to its air, by part of the load.
    /// @param weight  of the stage
    void add_flows_from_faces(std::size_t zone, double air_C, const std::vector<double>& face_C,
                              const std::vector<double>& warmer_K, double weight,
                              double (&by_part_W)[part_count]) const;

private:
    /// Of a neighbour's air and radiant temperature, in a zone's balances of air and radiant point.
    struct Coupling {
        double by_air[2] = {}, by_radiant[2] = {};
        std::uint32_t zone = 0;
    };
    /// Of its supply.
    struct SupplyCoupling {
        double in_air = 0.0, in_radiant = 0.0;
    };
    struct Local {
        double a11 = 0.0, a12 = 0.0, a22 = 0.0; ///< air without flows out, radiant point; a21 = a12
        double by_supply[2] = {};
        double warm_air_W = 0.0;  ///< of air at faces that is warmer than the zone's mean
        bool follows_air = false; ///< nothing radiates: the radiant temperature is that of the air
        bool alone = true;        ///< no neighbour acts on it
    };
    /// A zone's equations solved for one stage, up to what its neighbours bring.
    struct Inverse {
        double to_air[2] = {}, to_radiant[2] = {}; ///< of what drives the two balances
        double air_per_W = 0.0, radiant_per_W = 0.0, control_per_W = 0.0;
        double for_out_W_per_K = -1.0; ///< of this flow out; negative: of none yet
    };
    /// What of a zone is asked for again and again.
    struct Control {
        double radiant_weight = 0.0, ratio = 1.0;
        std::uint32_t follows = nobody, first_transfer = 0, end_transfer = 0;
        std::uint32_t supply_air = nobody; ///< among those of the model
        bool special = false;              ///< has supply air, or limits that follow its own air
    };
    /// A zone without its supply and its supply air.
    struct Bare {
        double air_C = 0.0, radiant_C = 0.0;
        std::uint32_t zone = 0;
    };
    static constexpr std::uint32_t nobody = 0xffffffffU, itself = nobody - 1;
    void lay_out(const SurfaceBank& bank);
    void lay_out_blocks(const SurfaceBank& bank);
    [[nodiscard]] std::span<const std::uint32_t> zones_of(std::size_t block) const
    {
        return {block_zones_.data() + first_zone_[block], first_zone_[block + 1] - first_zone_[block]};
    }
    void refresh_zone(const SurfaceBank& bank, std::size_t zone);
    [[nodiscard]] std::uint32_t coupling(std::size_t zone, std::size_t other);
    void invert(std::size_t zone, const ZoneDrives& d);
    double solve_zone(std::size_t zone, const ZoneDrives& d, const Action* replay, const AirFlow* air_replay,
                      ZoneUnknowns& x) const;
    double solve_special(const Bare& bare, const ZoneDrives& d, const Action* replay, const AirFlow* air_replay,
                         ZoneUnknowns& x) const;
    double sweep(const ZoneDrives& d, const Action* replay, const AirFlow* air_replay, bool first, ZoneUnknowns& x);

    const ThermalModel& model_;
    bool radiates_ = false, all_alone_ = true;
    bool loads_act_ = false;           ///< on zones that they do not supply
    std::vector<std::size_t> order_{}; ///< zones by id
    std::vector<double> storage_{}, area_m2_{}, per_area_{}, radiant_per_m2_{};
    std::vector<std::uint32_t> first_zone_{}, block_zones_{}; ///< zones by the block that the last of their faces is in
    std::vector<std::uint32_t> first_face_{}, faces_{};       ///< faces of zones, zone by zone
    std::vector<std::uint32_t> coupled_{};                    ///< of each of them, into couplings_: what lies behind
    std::vector<double> face_area_m2_{};                      ///< of each of them
    std::vector<double> to_air_{}, to_radiant_{};             ///< area times film of each of them, W/K
    std::vector<std::uint8_t> part_{};                        ///< and part of the load
    std::vector<Local> local_{};
    std::vector<Inverse> inverse_{};
    std::vector<std::uint32_t> first_coupling_{};
    std::vector<Coupling> couplings_{};
    std::vector<SupplyCoupling> supply_couplings_{}; ///< alike
    std::vector<Control> control_{};
    std::vector<std::uint32_t> transfer_from_{};
    std::uint32_t supplies_ = 0; ///< zones with supply air
    std::vector<SupplyToFace> supply_to_faces_{};
};

} // namespace venture::balance
