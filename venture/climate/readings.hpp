#pragma once
/// Weather as somebody recorded it: whatever was measured, gaps included.

#include <map>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include <venture/climate/weather_year.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/units.hpp>

namespace venture::climate {

/// What a record may hold.
enum class Reading {
    dry_bulb,
    wet_bulb,
    dew_point,
    relative_humidity,
    humidity_ratio,
    pressure,
    global_horizontal,
    beam_normal,
    diffuse_horizontal,
    wind_speed,
    wind_direction,
    cloud_cover,
};

/// What a reading is: its word, its kind of quantity, and what it can be on earth.
struct ReadingSpec {
    Reading reading;
    std::string_view key;  ///< "dry_bulb"
    std::string_view text; ///< meaning, in one line
    quantity::Kind kind;
    quantity::Range possible; ///< SI
    bool irradiance;          ///< a mean over the step instead of a value at one instant
};

/// One for each reading, in the order above.
[[nodiscard]] const std::vector<ReadingSpec>& reading_specs();
[[nodiscard]] const ReadingSpec& spec_of(Reading reading);

/// Which end of its step a record bears the time of. Its states belong to that instant, its irradiances to the step.
enum class Stamp { beginning, end };

/// What relative humidities and dew points below 0 degC refer to. Weather services mean water, also where it would have
/// frozen (WMO-No. 8, humidity chapter); Venture means ice everywhere.
enum class BelowFreezing { water, ice };

/// Records of a year, one a step, the first that of the step that begins on 1 January, 0 h, local standard time.
struct Readings {
    std::string name{}, source{};
    bool synthetic = false;
    bool leap = false;
    int calendar_year = 0; ///< 0: a typical year
    int steps_per_hour = 1;
    Stamp stamp = Stamp::beginning;
    BelowFreezing below_freezing = BelowFreezing::water;
    Place place{};
    /// SI; each series as long as the year, nothing where there is a gap.
    std::map<Reading, std::vector<std::optional<double>>> series{};

    [[nodiscard]] std::size_t size() const { return steps_in_year(leap, steps_per_hour); }
    [[nodiscard]] bool has(Reading reading) const { return series.contains(reading); }
};

/// "14 March, 12:00", the time that a record bears.
[[nodiscard]] std::string when_in_words(const Readings& readings, std::size_t record);

} // namespace venture::climate
