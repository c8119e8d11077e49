#pragma once
/// A building's run through its weather year, as text, table and JSON.

#include <string>

#include <nlohmann/json_fwd.hpp>

#include <venture/building/building.hpp>
#include <venture/loads/building_year.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

[[nodiscard]] Text year_text(const building::Building& building, const loads::BuildingYear& year,
                             const quantity::PreferredUnits& units = {});
[[nodiscard]] nlohmann::json year_json(const building::Building& building, const loads::BuildingYear& year);
/// The series asked for: a line an hour, SI, the unit in each heading.
[[nodiscard]] std::string year_csv(const loads::BuildingYear& year, bool leap);

/// "14 July 15-16 h": local standard time.
[[nodiscard]] std::string hour_of_year_in_words(std::size_t hour, bool leap);

} // namespace venture::report
