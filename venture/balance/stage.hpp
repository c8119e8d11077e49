#pragma once
/// One stage of a part of a step: what drives it, and the solution of faces, zones and moisture. Internal to balance.

#include <vector>

#include <venture/balance/films.hpp>
#include <venture/balance/flat_drives.hpp>
#include <venture/balance/heat_balance.hpp>
#include <venture/balance/links.hpp>
#include <venture/balance/zone_network.hpp>

namespace venture::balance {

/// Everything about a stage, kept so that nothing is allocated anew.
struct Stage {
    std::vector<double> signal{}; ///< of the model; then no lower and no upper limit, and 0
    std::vector<double> absorbed{}, answer{}, base{}, known{};      ///< per face
    std::vector<double> face_C{}, flux{};                           ///< per face; fluxes once find_fluxes() was asked
    std::vector<double> plane_W_per_m2{}, plane_history{}, water{}; ///< per plane: all heat put in, and of it water's
    ZoneDrives drives{};
    std::vector<double> convective_W{}, radiant_W{}, infiltration_W_per_K{}, ventilation_W_per_K{};
    std::vector<double> storing_W{};                          ///< into the air, from what is stored, outdoors and gains
    std::vector<double> radiant_per_m2{};                     ///< gains; a zero behind the last zone
    std::vector<double> humidity_ratio{}, removed_kg_per_s{}; ///< removed: negative where moisture is added
    std::vector<double> supply_w{};                           ///< humidity ratio of every supply air
    std::vector<double> film{}, film_found{}, film_residual_W{}; ///< see Films: used, found; residual per zone
    FilmResidual film_residual{};
    std::vector<double> linked{}, linked_found{}; ///< see Links; per face, empty where nothing is linked
    int film_passes = 1;
    double outdoor_C = 0.0, outdoor_w = 0.0;
    ZoneUnknowns x{};
    Solved solved{};
};

/// What a stage starts from.
struct StageStart {
    const std::vector<double>& air_hat;
    const std::vector<double>& humidity_hat;
    const std::vector<double>& history; ///< four rows of slots, as SurfaceBank gives them
    const std::vector<double>& wall_states;
    const Orders* orders = nullptr;
    const Stage* first = nullptr;       ///< the first stage, if this is the second
    const Action* actions = nullptr;    ///< to be replayed, per zone
    const AirFlow* air_flows = nullptr; ///< to be replayed, per zone with supply air
    const double* film = nullptr;       ///< to be replayed
};

class StageSolver {
public:
    /// Of supply air, into the zone and out of it for each kg/kg that the zone holds.
    struct MoistureBrought {
        double in_kg_per_s = 0.0, out_kg_per_s = 0.0;
    };
    /// @param stage_s  gamma times the part of a step; infinity for the steady state
    /// @param links  outlives this
    StageSolver(const ThermalModel& model, const Links& links, double stage_s);

    /// Adds no lower and no upper limit, and 0, behind the signals of a stage.
    static void add_further(std::vector<double>& signal);
    /// @param s  its `x` and its `film` hold the first guess, its `signal` what drives
    void solve(SurfaceBank& bank, ZoneNetwork& network, Films& films, const FilmAccuracy& tolerance,
               const StageStart& start, Stage& s) const;
    static void find_fluxes(const SurfaceBank& bank, Stage& s);
    /// @param supply  zone with supply air, among these; once the stage is solved
    [[nodiscard]] MoistureBrought moisture_brought(std::size_t supply, const Stage& s) const;
    [[nodiscard]] const std::vector<std::uint32_t>& zones_with_air() const { return with_air_; }

private:
    void find_drives(const ZoneNetwork& network, const StageStart& start, Stage& s) const;
    void find_supply_air(Stage& s) const;
    void find_limits(Stage& s) const;
    void follow_orders(const StageStart& start, Stage& s) const;
    void find_answers(const SurfaceBank& bank, const StageStart& start, Stage& s) const;
    void find_planes(const SurfaceBank& bank, const StageStart& start, Stage& s) const;
    void find_absorbed(const SurfaceBank& bank, const ZoneNetwork& network, Stage& s) const;
    static void find_bases(const SurfaceBank& bank, SlotRange block, Stage& s);
    static void find_faces(const SurfaceBank& bank, const ZoneNetwork& network, SlotRange block, Stage& s);
    static void send_supply(const SurfaceBank& bank, const ZoneNetwork& network, Stage& s);
    void find_water(const SurfaceBank& bank, Stage& s) const;
    void find_moisture(const StageStart& start, Stage& s) const;
    [[nodiscard]] double find_moisture_of(std::size_t zone, const StageStart& start, Stage& s) const;
    [[nodiscard]] double most_drying(std::size_t zone, const Stage& s) const;

    /// One block of slots after the other, so that what is found of them is still at hand when it is asked for next.
    static void prepare_zones(SurfaceBank& bank, ZoneNetwork& network, const Films& films, bool films_are_new,
                              Stage& s);
    static void find_all_faces(const SurfaceBank& bank, const ZoneNetwork& network, Films* films,
                               const StageStart& start, Stage& s);
    static void find_films(Films& films, std::size_t block, const StageStart& start, Stage& s);
    /// Zones and faces with films as they are, and the films that follow; faces that are linked until what they
    /// exchange stays.
    void solve_with_films(SurfaceBank& bank, ZoneNetwork& network, Films& films, const StageStart& start,
                          Stage& s) const;

    const ThermalModel& model_;
    const Links& links_;
    bool exchanges_ = false; ///< some zone takes moisture from another
    // per zone
    FlatDrives convective_{}, radiant_{}, infiltration_{}, ventilation_{}, moisture_{};
    std::vector<double> air_storage_{}, moisture_storage_{}, bridges_{}; ///< of the air, W/K and kg/s; W/K
    std::vector<std::uint32_t> heat_below_{}, cool_above_{}, most_heating_{}, most_cooling_{}, dry_above_{},
        wet_below_{}, most_with_latent_{}, most_drying_{}, most_humidifying_{}; ///< signals
    std::vector<char> is_limited_relatively_{}, has_limited_moisture_{};
    std::vector<std::uint32_t> with_latent_{};    ///< zones whose sensible and latent heat are limited together
    std::vector<std::uint32_t> first_transfer_{}; ///< one more than zones
    // per zone with supply air, in the model's order
    FlatDrives least_air_{}, most_air_{};
    std::vector<std::uint32_t> with_air_{};  ///< zones
    std::vector<std::uint32_t> supply_of_{}; ///< per zone: among these
    static constexpr std::uint32_t no_supply = 0xffffffffU;
    // per flow of transfer air
    FlatDrives transfer_{};
    std::vector<std::uint32_t> transfer_from_{};
};

} // namespace venture::balance
