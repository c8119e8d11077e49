#pragma once
/// What was chosen for rooms and plant, how full it runs, and why not the next.

#include <map>
#include <string>
#include <vector>

#include <venture/figure/table.hpp>
#include <venture/loads/room_loads.hpp>
#include <venture/plant/selection.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/quantity/problem.hpp>
#include <venture/services/services.hpp>
#include <venture/terminal/selection.hpp>

namespace venture::study {

/// All that a sizing run found.
struct Sizing {
    loads::RoomLoads loads{};
    services::Services services{};
    std::vector<terminal::RoomSelection> units{};
    std::vector<plant::PlantSelection> plants{};
    std::map<std::string, std::string> products_from{}; ///< where the data of each product stand, by its name
    /// Whether everything that is served is met by something.
    [[nodiscard]] bool met() const;
};

struct UnitRow {
    const Sizing* sizing = nullptr;
    const terminal::RoomSelection* selection = nullptr;
};
struct PlantRow {
    const Sizing* sizing = nullptr;
    const plant::PlantSelection* selection = nullptr;
};
/// One share of the duty of a product that was considered.
struct CandidateRow {
    const Sizing* sizing = nullptr;
    std::string whom{};    ///< room or plant
    std::string_view of{}; ///< duty, or kind of plant
    std::string_view role{};
    const rating::Rated* rated = nullptr;
    const rating::Share* share = nullptr;
};

[[nodiscard]] const figure::TableOf<UnitRow>& unit_columns();
[[nodiscard]] const figure::TableOf<PlantRow>& plant_columns();
[[nodiscard]] const figure::TableOf<CandidateRow>& candidate_columns();

[[nodiscard]] std::vector<UnitRow> unit_rows(const Sizing& sizing);
/// Of plants that have something to do.
[[nodiscard]] std::vector<PlantRow> plant_rows(const Sizing& sizing);
/// What was chosen or kept, the runner-up and the next down, for every unit and plant.
[[nodiscard]] std::vector<CandidateRow> candidate_rows(const Sizing& sizing);

/// What is not met, or was kept for another duty: one line each, with what to do.
[[nodiscard]] std::vector<quantity::Problem> size_findings(const Sizing& sizing, const quantity::PreferredUnits& units);

/// "2 x Foxmill Lean 600/1400".
[[nodiscard]] std::string called(const rating::Rated& rated);

} // namespace venture::study
