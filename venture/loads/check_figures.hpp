#pragma once
/// What a building's cooling is for its floor and its air, beside what is usual: whether the whole is of a likely size.

#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include <venture/figure/table.hpp>
#include <venture/loads/load_figures.hpp>
#include <venture/loads/rules_of_thumb.hpp>

namespace venture::loads {

/// Cooling that is usual for a use, for its floor: the least, the middle and the most of many buildings. W/m2
/// Source    ASHRAE, Pocket Guide for Air Conditioning, Heating, Ventilation, Refrigeration, cooling load check figures (in square feet
///           for each ton, turned round here); of lights brighter than today's, so that many buildings lie below.
struct UsualCooling {
    std::string_view use{};
    double least_W_per_m2 = 0.0, middle_W_per_m2 = 0.0, most_W_per_m2 = 0.0;
};
[[nodiscard]] const std::vector<UsualCooling>& usual_cooling();
[[nodiscard]] const figure::TableOf<UsualCooling>& usual_cooling_columns();

/// Some rooms together, held against it.
struct ProportionRow {
    std::string of{};
    Proportions is{};
    double supply_K = 0.0; ///< by which the air would be cooler than the rooms
};
/// Of the building and its storeys, where they are cooled; air that carries the sensible part in the hour of their peak.
/// @param supply_K  above 0
[[nodiscard]] std::vector<ProportionRow> proportions(const RoomLoads& loads, double supply_K);
[[nodiscard]] const figure::TableOf<ProportionRow>& proportion_columns();

} // namespace venture::loads
