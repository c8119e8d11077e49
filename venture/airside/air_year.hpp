#pragma once
/// Outdoor air, recovery, free cooling, fans and coils of a building's run through its year, hour by hour.

#include <optional>
#include <span>
#include <string>
#include <vector>

#include <venture/air/point.hpp>
#include <venture/balance/heat_balance.hpp>
#include <venture/balance/series.hpp>
#include <venture/balance/step_signals.hpp>
#include <venture/building/building.hpp>
#include <venture/loads/building_year.hpp>

namespace venture::airside {

/// Kinds of series that it can add to a run, of rooms with an air supply; means over hours.
[[nodiscard]] std::span<const balance::SeriesKind> air_series_kinds();
/// Those and balance::series_kinds(): all that a year can be asked for.
[[nodiscard]] std::vector<balance::SeriesKind> year_series_kinds();

/// Adds up while a run goes on, room by room.
class AirYear final : public loads::YearWatcher {
public:
    /// @param building  outlives it   @param series  kinds that are wanted; those that are no kinds of air are left alone
    explicit AirYear(const building::Building& building, const std::vector<std::string>& series = {});
    void begin(const loads::Compiled& compiled, const loads::Spell& spell) override;
    void take(std::size_t step, const balance::StepResult& result) override;
    void end(loads::BuildingYear& year) override;
    /// Rooms that their supply could not serve within its bounds, each once; their coils' numbers mean nothing.
    [[nodiscard]] const std::vector<quantity::Problem>& problems() const { return problems_; }

private:
    /// Sums over the steps of an hour.
    struct Hour {
        double outdoor_kg = 0.0, supply_J = 0.0, base_J = 0.0, recovered_J = 0.0, supplied_kg = 0.0;
        double heating_J = 0.0, cooling_J = 0.0, humidifying_J = 0.0, latent_J = 0.0, supply_moisture_kg = 0.0;
        double heats_then_cools_J = 0.0, heats_then_cools_s = 0.0;
        double air_C_s = 0.0, humidity_s = 0.0;
    };
    void take_room(std::size_t room, std::size_t step, const balance::StepResult& result);
    void end_hour(std::size_t room, std::size_t hour);
    [[nodiscard]] loads::MonthAir supplied(std::size_t room, const building::AirSupply& supply, const Hour& h);
    void add_coils(std::size_t room, const building::AirSupply& supply, const Hour& h, loads::MonthAir& out) const;
    void tell(std::size_t room, const building::AirSupply& supply, std::string_view why);

    const building::Building& b_;
    const loads::Compiled* compiled_ = nullptr;
    const loads::Spell* spell_ = nullptr;
    double density_kg_per_m3_ = 1.0; ///< that volume flows are told at
    std::size_t per_hour_ = 1;
    std::vector<bool> by_hour_{}; ///< by room: air by leaks and windows is the same over each hour
    /// What drives a room's air.
    struct AirSignals {
        balance::StepSignals::Terms infiltration{}, ventilation{}, least_supply{}; ///< kg/s
        balance::StepSignals::Slot outdoor_C = 0;                                  ///< of its supply
    };
    std::optional<balance::StepSignals> in_step_{};
    std::vector<AirSignals> signals_{}; ///< by room
    std::vector<Hour> hour_;
    std::vector<loads::RoomAirYear> rooms_;
    std::vector<balance::Series> series_{}; ///< of rooms with a supply, kind by kind
    std::vector<std::vector<std::size_t>> series_of_room_{};
    std::vector<quantity::Problem> problems_{};
    std::vector<bool> told_;
};

} // namespace venture::airside
