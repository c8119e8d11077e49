#pragma once
/// Site, design conditions, design days and weather year as documents.

#include <optional>
#include <string>

#include <venture/climate/climate_figures.hpp>
#include <venture/figure/document.hpp>
#include <venture/input/input.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::report {

/// Place, clock, design conditions as they are used, design days at a glance, and the weather year if there is one. Values set for
/// this run and values derived from weather are marked.
/// @param input  whose origins tell where the values came from
[[nodiscard]] figure::Document climate_document(const climate::Site& site, const input::Input& input,
                                                const std::optional<climate::WeatherFigures>& weather,
                                                const quantity::PreferredUnits& units);
/// One day hour by hour.
[[nodiscard]] figure::Document day_document(const climate::DesignDay& day, const quantity::PreferredUnits& units);
/// A week's days, one after the other.
/// @param what  "hottest", "coldest"   @param weather  name of the year
[[nodiscard]] figure::Document week_document(const climate::ExtremeWeek& week, const std::string& what,
                                             const std::string& weather, const quantity::PreferredUnits& units);
/// Design conditions counted from a weather year, and its extremes.
[[nodiscard]] figure::Document derived_document(const climate::WeatherFigures& weather);

} // namespace venture::report
