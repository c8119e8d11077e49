#pragma once
/// Columns of a building as it is understood: rooms, surfaces, openings, bridges, hours, what was taken.

#include <string>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/building/room_sums.hpp>
#include <venture/figure/tables_of.hpp>

namespace venture::building {

struct RoomRow {
    const Building* building = nullptr;
    const Room* room = nullptr;
    RoomSums sums{};
};
struct SurfaceRow {
    const Building* building = nullptr;
    const Surface* surface = nullptr;
};
struct OpeningRow {
    const Building* building = nullptr;
    const Surface* surface = nullptr;
    const Opening* opening = nullptr;
};
/// Windows of one glazing and shade.
struct WindowUse {
    const Building* building = nullptr;
    const fabric::Glazing* glazing = nullptr;
    const NamedShade* shade = nullptr; ///< none: nothing comes down
    double area_m2 = 0.0;
};
struct BuildupUse {
    const Building* building = nullptr;
    const Surface* first = nullptr; ///< of the surfaces that have it there
    std::string as{};               ///< "outside wall": where it stands, as [fabric] calls it
    double area_m2 = 0.0;           ///< net
};
struct BridgeRow {
    const Building* building = nullptr;
    const ThermalBridge* bridge = nullptr;
};
struct SetbackRow {
    const Building* building = nullptr;
    std::string room{};
    std::string_view of{}; ///< "heating", "cooling"
    double setpoint_C = 0.0;
    const Setback* setback = nullptr;
};
struct OverruledRow {
    const Room* room = nullptr;
    const OverruledValue* value = nullptr;
};
struct HoursRow {
    const calendar::Calendar* hours = nullptr;
    int year = 2029;
};

/// "outdoors", "ground", a room's name: what lies behind a surface.
[[nodiscard]] std::string in_words(const Building& building, const Neighbour& beyond);

[[nodiscard]] const figure::TableOf<Project>& project_columns();
[[nodiscard]] const figure::TableOf<RoomRow>& room_columns();
[[nodiscard]] const figure::TableOf<OpeningRow>& opening_columns();
[[nodiscard]] const figure::TableOf<WindowUse>& window_columns();

/// All tables of a building as it is understood.
[[nodiscard]] const figure::TablesOf<Building>& building_tables();

/// A line a room; then a total for each storey where there are several, and for the building. Rooms left out count in none.
[[nodiscard]] figure::Table room_table(const Building& building);
/// A line a room whose air has other ways than its windows, and the building; none if no room's has.
[[nodiscard]] figure::Table air_route_table(const Building& building);
[[nodiscard]] figure::Declaration air_route_declaration();
[[nodiscard]] std::vector<SurfaceRow> surface_rows(const Building& building);
[[nodiscard]] std::vector<OpeningRow> opening_rows(const Building& building);
[[nodiscard]] std::vector<WindowUse> windows_in_use(const Building& building);
[[nodiscard]] std::vector<BuildupUse> buildups_in_use(const Building& building);
[[nodiscard]] std::vector<BridgeRow> bridge_rows(const Building& building);
[[nodiscard]] std::vector<SetbackRow> setback_rows(const Building& building);
[[nodiscard]] std::vector<OverruledRow> overruled_rows(const Building& building);
/// Of calendars and profiles that something goes by, but those that are the same at all hours.
[[nodiscard]] std::vector<HoursRow> hours_rows(const Building& building);

} // namespace venture::building
