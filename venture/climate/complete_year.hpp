#pragma once
/// Readings into a weather year: short gaps filled, states completed, everything that cannot be said.

#include <cstddef>
#include <optional>
#include <string>
#include <vector>

#include <venture/climate/readings.hpp>
#include <venture/climate/weather_year.hpp>

namespace venture::climate {

/// What is noticed of readings.
enum class RemarkKind {
    missing_reading, ///< without which there is no weather
    impossible,      ///< outside what is possible on earth, or more than saturated
    long_gap,        ///< longer than may be filled
    sun_and_clock,   ///< sun at night, or its noon at the wrong time
    sums_differ,     ///< beam, diffuse and global do not add up
    stuck,           ///< one value for more than a day
    filled,          ///< a short gap
    assumed,         ///< something not read that was put in from elsewhere
};

struct WeatherRemark {
    RemarkKind kind = RemarkKind::impossible;
    bool is_error = false;
    std::optional<Reading> reading{};
    std::optional<std::size_t> record{}; ///< the first it is about; nothing: the whole
    std::string message{}, hint{};
};

/// How much may be made up.
struct GapRule {
    double longest_h = 3.0; ///< longer gaps are errors
};

struct CompletedYear {
    std::optional<WeatherYear> year{}; ///< nothing if a remark is an error
    std::vector<WeatherRemark> remarks{};
};

/// Needs dry bulb; one of relative humidity, dew point, humidity ratio, wet bulb (the first there is); and of the sun:
/// beam and diffuse, or global with one of them, or global alone (split after Erbs, see split_global()).
/// Pressure is that of the standard atmosphere where it was not read. Gaps up to the rule's length are filled: states
/// by straight lines, wind directions by the last one, irradiances by what share of the sun outside the atmosphere
/// came through before and after. Relative humidities up to 105 % and dew points up to 0.5 K above the dry bulb are
/// readings of saturated air. What was filled or assumed is remarked.
[[nodiscard]] CompletedYear complete_year(Readings readings, const GapRule& rule = {});

} // namespace venture::climate
