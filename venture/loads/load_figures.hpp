#pragma once
/// Columns of design loads: of rooms, of storeys and the building, and of what they are made of.

#include <string>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/figure/tables_of.hpp>
#include <venture/loads/days_off.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/loads/design_week.hpp>
#include <venture/loads/room_parts.hpp>

namespace venture::loads {

struct RoomLoadRow {
    const RoomLoad* load = nullptr;
    const quantity::OriginPool* origins = nullptr;
    bool left_out = false; ///< of the building
    /// Air that carries the sensible cooling, so much cooler than the room; nothing: not asked
    std::optional<double> supply_m3_per_s{};
    std::optional<double> after_days_off_W{}; ///< heating; nothing: not asked, or not heated
    std::optional<RoomWeek> week{};           ///< cooling; nothing: not asked, or not cooled
};
/// Loads of some rooms together.
struct GroupLoad {
    std::string of{}; ///< "all rooms", or a storey
    std::size_t rooms = 0;
    std::vector<std::size_t> heated{}, cooled{}; ///< of the loads
    double heating_W = 0.0;                      ///< largest hour of their sum
    std::size_t heating_hour = 0;                ///< that hour of winter design, of standard time
    double heated_m2 = 0.0, cooled_m2 = 0.0;
    Coincident cooling{};
    std::uint64_t fingerprint = 0; ///< of all that the loads follow from
};
/// One line of a steady loss.
struct PaperRow {
    const RoomLoad* load = nullptr;
    const PaperTerm* term = nullptr;
};
/// One part of what a room's air takes up and gives off.
struct AirBalanceRow {
    std::string room{};
    std::string_view part{};
    double flow_W = 0.0;
};
struct CauseRow {
    std::string room{};
    std::string_view of{}; ///< "heating", "sensible cooling"
    std::string cause{};
    double load_W = 0.0;
};
/// One path over a room's edge, in one hour.
struct PathRow {
    std::string room{};
    std::string_view of{}; ///< "heating", "sensible cooling", "warmth"
    const LoadPath* path = nullptr;
    std::size_t hour = 0;
    double sign = 1.0; ///< of cooling in what is told
};
/// A load that was typed over a computed one.
struct TypedOverRow {
    std::string room{};
    std::string_view of{};
    double typed_W = 0.0;
    const Overruled* over = nullptr;
    std::string from{};
};

[[nodiscard]] const figure::TableOf<RoomLoadRow>& room_load_columns();
[[nodiscard]] const figure::TableOf<GroupLoad>& building_load_columns();
[[nodiscard]] const figure::TableOf<PaperRow>& steady_loss_columns();
[[nodiscard]] const figure::TableOf<AirBalanceRow>& air_balance_columns();
[[nodiscard]] const figure::TableOf<CauseRow>& load_cause_columns();
[[nodiscard]] const figure::TableOf<PathRow>& load_path_columns();
/// The paths of a peak, the largest first; those that come to nothing are left out.
[[nodiscard]] std::vector<PathRow> path_rows(const PeakParts& peak, std::string_view of);
/// Of a steady day, in which no hour is the peak.
[[nodiscard]] bool all_hours_alike(const RoomParts& parts);
/// "July 15-16 h"; the day alone where all its hours are alike.
[[nodiscard]] std::string moment_of(const PeakParts& peak);

/// Some rooms by name.
struct RoomList {
    std::string of{}; ///< what they are called together
    std::vector<std::string> rooms{};
};
/// Design loads as they are to be told.
struct DesignTold {
    const DesignLoads* design = nullptr;
    const quantity::OriginPool* origins = nullptr;
    const building::Building* building = nullptr; ///< none: all that there is was typed
    std::optional<double> supply_K{};    ///< by how much supply air is to be cooler than rooms, if it is asked for
    std::vector<RoomList> together{};    ///< lists of rooms with peaks of their own
    std::optional<AfterDaysOff> after{}; ///< heating after days off, if it is asked for
    std::optional<CoolingWeeks> weeks{}; ///< cooling over weeks, if it is asked for
};
/// Rooms in the order of the loads.
[[nodiscard]] std::vector<RoomLoadRow> rows_of(const DesignTold& told);
/// All tables of them.
[[nodiscard]] const figure::TablesOf<DesignTold>& design_tables();
/// "all rooms", then storeys where there is more than one, then the lists asked for.
[[nodiscard]] std::vector<GroupLoad> group_loads(const RoomLoads& loads, const std::vector<RoomList>& lists = {});
/// In words that say what is counted in; all of them, whether they flow or not.
[[nodiscard]] std::vector<AirBalanceRow> parts_of(const std::string& room, const AirBalance& balance);
[[nodiscard]] std::vector<TypedOverRow> typed_over(const RoomLoads& loads, const quantity::OriginPool& origins);
/// "outdoor air, through fabric and as leakage and ventilation".
[[nodiscard]] std::string in_words(balance::Forcing cause);

} // namespace venture::loads
