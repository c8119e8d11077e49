#pragma once
/// Simpler methods beside the heat balance, as a document.

#include <venture/figure/document.hpp>
#include <venture/loads/glass_loads.hpp>
#include <venture/loads/second_opinion.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::report {

/// Cooling by method, what is usual for the floor, heating by hand beside the balance, the swing of the glass load; what each
/// method leaves out. @param supply_K  by how much supply air would be cooler than rooms
[[nodiscard]] figure::Document second_opinion_document(const loads::RoomLoads& loads,
                                                       const std::vector<loads::SecondOpinion>& cooling,
                                                       const std::vector<loads::SwingOf>& swings,
                                                       const quantity::PreferredUnits& units, double supply_K = 10.0);

} // namespace venture::report
