#pragma once
/// Site, design conditions, design days and weather year as text for people and as JSON for machines.

#include <optional>
#include <string>

#include <nlohmann/json_fwd.hpp>

#include <venture/climate/derived_conditions.hpp>
#include <venture/climate/design_day.hpp>
#include <venture/climate/year_summary.hpp>
#include <venture/input/input.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/report/text.hpp>

namespace venture::report {

/// A weather year with what was counted from it.
struct WeatherFigures {
    climate::WeatherYear year{};
    climate::YearSummary summary{};
    climate::DerivedConditions derived{};
};

/// Place, clock, and which weather year there is.
[[nodiscard]] std::string site_text(const climate::Site& site, const std::optional<WeatherFigures>& weather,
                                    const quantity::PreferredUnits& units = {});

/// The design conditions as they are used. Values set for this run and values derived from weather are marked.
/// @param input  whose origins tell where the values came from
[[nodiscard]] Text conditions_text(const climate::Site& site, const input::Input& input,
                                   const quantity::PreferredUnits& units = {});

/// The design days at a glance: temperatures, humidity, and the sun of the day on planes.
[[nodiscard]] Text design_days_text(const climate::Site& site, const quantity::PreferredUnits& units = {});

/// One day hour by hour.
[[nodiscard]] Text day_text(const climate::DesignDay& day, const quantity::PreferredUnits& units = {});

/// The weather year month by month, with degree-days, and its extremes.
[[nodiscard]] Text weather_text(const WeatherFigures& weather, const quantity::PreferredUnits& units = {});

/// Derived conditions as keys of [site], to be pasted into a project. SI.
[[nodiscard]] std::string derived_toml(const WeatherFigures& weather, const climate::Rarity& rarity);

/// A day at its 25 hours of local standard time.
[[nodiscard]] nlohmann::json day_json(const climate::DesignDay& day);
/// Place, design conditions, the design days of the highest dry bulbs, and the weather year.
[[nodiscard]] nlohmann::json climate_json(const climate::Site& site, const std::optional<WeatherFigures>& weather);
[[nodiscard]] nlohmann::json derived_json(const WeatherFigures& weather);

/// "08:14".
[[nodiscard]] std::string clock_in_words(double hour);

} // namespace venture::report
