#pragma once
/// What was chosen for rooms and plant, how full it runs, and why not the next.

#include <map>
#include <string>
#include <vector>

#include <nlohmann/json_fwd.hpp>

#include <venture/loads/room_loads.hpp>
#include <venture/plant/selection.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/report/text.hpp>
#include <venture/services/services.hpp>
#include <venture/terminal/selection.hpp>

namespace venture::report {

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

[[nodiscard]] Text size_text(const Sizing& sizing, const quantity::PreferredUnits& units = {});
[[nodiscard]] nlohmann::json size_json(const Sizing& sizing);

/// What is not met, or was kept for another duty: one line each, with what to do.
[[nodiscard]] std::vector<quantity::Problem> size_findings(const Sizing& sizing,
                                                           const quantity::PreferredUnits& units = {});

} // namespace venture::report
