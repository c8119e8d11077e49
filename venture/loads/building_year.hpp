#pragma once
/// A building run through its weather year, or a part of it.

#include <array>
#include <functional>
#include <optional>
#include <string>
#include <vector>

#include <venture/balance/run.hpp>
#include <venture/building/building.hpp>
#include <venture/loads/damp.hpp>
#include <venture/loads/room_year_parts.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/quantity/problem.hpp>

namespace venture::loads {

struct BuildingYear;
struct Compiled;
struct Spell;

/// Someone who goes along with a run, and adds to what comes of it.
class YearWatcher {
public:
    YearWatcher() = default;
    YearWatcher(const YearWatcher&) = delete;
    YearWatcher& operator=(const YearWatcher&) = delete;
    virtual ~YearWatcher() = default;
    /// Before the first step. Both outlive the run.
    virtual void begin(const Compiled& compiled, const Spell& spell) = 0;
    /// After every step, in order.
    virtual void take(std::size_t step, const balance::StepResult& result) = 0;
    virtual void end(BuildingYear& year) = 0;
};

struct BuildingYearOptions {
    double step_s = 900.0; ///< 60 to 3600, a divisor of an hour
    int first_day = 1;     ///< of the year
    int days = 0;          ///< 0: to the end of the year
    double run_in_days = 30.0;
    /// Kinds of series by room, hour means; names of series_kinds(); of all rooms, or of all surfaces.
    std::vector<std::string> series{};
    std::optional<std::size_t> room{}; ///< of the building, that is taken apart
    /// Told the share of the run that is done, 0..1, once a day of it; nothing: nobody is.
    std::function<void(double)> progress{};
    YearWatcher* watcher = nullptr;
};

/// Heat of one month, J.
struct MonthHeat {
    double heating_J = 0.0, cooling_J = 0.0, latent_J = 0.0, humidifying_J = 0.0;
};

/// Air of a room in one month; what is of an air supply is nil without one.
struct MonthAir {
    double hours = 0.0;                                    ///< that were run
    double outdoor_air_m3 = 0.0;                           ///< at 20 degC, by leaks, windows and supply
    double recovered_heat_J = 0.0, recovered_cold_J = 0.0; ///< sensible
    double free_cooling_J = 0.0; ///< by recovery that is passed by, and by outdoor air beyond its least
    double heats_then_cools_J = 0.0, heats_then_cools_h = 0.0; ///< recovered into air that is then cooled
    double fan_J = 0.0;
    // of the coils of a supply that gives everything, outdoor air with it
    double heating_J = 0.0, reheat_J = 0.0; ///< reheat stands in heating
    double cooling_sensible_J = 0.0, cooling_latent_J = 0.0, humidifying_J = 0.0;
};

/// What all rooms' heating and cooling is or exceeds in so many hours of the run.
struct DurationPoint {
    double hours = 0.0;
    double heating_W = 0.0, cooling_W = 0.0; ///< cooling: sensible and latent
};

/// All sums but hours, which those who add know the meaning of.
MonthAir& operator+=(MonthAir& sum, const MonthAir& month);

struct RoomAirYear {
    std::string supply{};    ///< empty: straight into the room
    bool everything = false; ///< comes by it
    std::array<MonthAir, 12> months{};
};

struct RoomYear {
    std::string room{}, storey{};
    double floor_area_m2 = 0.0, volume_m3 = 0.0;
    bool heated = false, cooled = false;
    bool limited_moisture = false; ///< what dries or humidifies it has a capacity
    balance::ZoneRun run{};
    std::array<MonthHeat, 12> months{};
    std::array<MonthDamp, 12> damp{};
    RoomAirYear air{};
};

struct BuildingYear {
    std::string weather{};  ///< name of the weather year
    bool synthetic = false; ///< its weather was made up
    int first_day = 1, days = 365;
    std::vector<RoomYear> rooms{};                     ///< in the building's order
    std::vector<balance::Series> series{};             ///< kind by kind, rooms or surfaces in the order of their names
    std::optional<RoomYearParts> parts{};              ///< of the room asked for
    double heating_peak_W = 0.0, cooling_peak_W = 0.0; ///< largest hours of the sums over all rooms
    std::size_t heating_peak_hour = 0, cooling_peak_hour = 0; ///< of the year, from 0
    std::vector<DurationPoint> duration{};                    ///< from the largest hour to all that were run
    double step_s = 0.0, run_in_days = 0.0;
    double worst_closure = 0.0;
    int unsettled_steps = 0;    ///< never believe a year that has any
    double film_residual = 0.0; ///< worst of any room, as a share of its largest hour
};

/// The run-in goes through the days before the first, round the end of the year.
/// @throws quantity::RangeError for days that the year does not have, or a step outside its range; quantity::Error for
///         a kind of series that there is not
[[nodiscard]] BuildingYear run_year(const building::Building& building, const climate::WeatherYear& year,
                                    const BuildingYearOptions& options = {});

/// Rooms that were colder or warmer than any can be: errors, and the year's numbers mean nothing.
[[nodiscard]] std::vector<quantity::Problem> year_findings(const building::Building& building, const BuildingYear& year,
                                                           const quantity::PreferredUnits& units = {});

} // namespace venture::loads
