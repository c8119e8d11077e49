#pragma once
/// What was chosen for rooms and plant, how full it runs, and why not the next.

#include <memory>
#include <string>
#include <vector>

#include <venture/figure/tables_of.hpp>
#include <venture/loads/room_loads.hpp>
#include <venture/plant/selection.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/quantity/problem.hpp>
#include <venture/study/room_leaves.hpp>
#include <venture/study/tag_rule.hpp>
#include <venture/terminal/selection.hpp>

namespace venture::study {

/// All that a sizing run found.
struct Sizing {
    loads::RoomLoads loads{}; ///< as units must meet them: for their kind of emission, and with primary air
    services::Services services{};
    terminal::PrimaryAirs primary_air{};        ///< by room
    std::vector<terminal::RoomPlaces> places{}; ///< where units can stand, room by room
    std::vector<terminal::RoomSelection> units{};
    std::vector<plant::PlantSelection> plants{};
    TagRule tag_rule{};
    RoomLeaves leaves{};                            ///< what rooms need, by hour
    services::Needs needs{};                        ///< what is needed at every node of the services
    std::shared_ptr<const rating::Stocks> stocks{}; ///< what was chosen from
    /// Whether everything that is served is met by something.
    [[nodiscard]] bool met() const;
};

struct UnitRow {
    const Sizing* sizing = nullptr;
    const terminal::RoomSelection* selection = nullptr;
};

[[nodiscard]] std::vector<UnitRow> unit_rows(const Sizing& sizing);
/// All tables of what was chosen.
[[nodiscard]] const figure::TablesOf<Sizing>& size_tables();

/// What is not met, or was kept for another duty: one line each, with what to do.
[[nodiscard]] std::vector<quantity::Problem> size_findings(const Sizing& sizing, const quantity::PreferredUnits& units);

} // namespace venture::study
