#pragma once
/// What simpler methods make of the same rooms on the same day, beside the heat balance.

#include <string>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/figure/table.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/loads/hourly_day.hpp>

namespace venture::loads {

/// Sensible cooling of one room by one method: its largest hour.
struct MethodPeak {
    double load_W = 0.0;
    std::size_t hour = 0; ///< of local standard time
};

/// One room on the day on which its sensible load is largest.
struct SecondOpinion {
    std::string room{}, day{};
    int month = 0;
    double clock_ahead_h = 0.0, floor_area_m2 = 0.0;
    double air_C = 24.0; ///< of the balance in the hour of its peak: what the simpler methods hold all day
    MethodPeak balance{};
    MethodPeak series{};             ///< radiant time series that sum to one, usual parting of conduction
    MethodPeak series_with_losses{}; ///< series with their losses, conduction parted by the films
    MethodPeak admittance{};         ///< air held
    MethodPeak at_once{};            ///< every gain is load in its own hour: nothing is stored
    double comes_back = 1.0;         ///< of radiation shared by area: what does not leave outwards
};

/// Of every room that is cooled and computed, in the building's order. Films are as they were in the run; those that follow from
/// temperatures are held at their first guess.
[[nodiscard]] std::vector<SecondOpinion> second_opinions(const building::Building& building, const RoomLoads& loads,
                                                         const DesignOptions& options = {});

[[nodiscard]] const figure::TableOf<SecondOpinion>& second_opinion_columns();

} // namespace venture::loads
