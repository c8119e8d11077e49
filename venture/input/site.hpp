#pragma once
/// The place and its design conditions.

#include <vector>

#include <venture/input/given.hpp>

namespace venture::input {

/// One month's cooling design conditions.
struct MonthInput {
    MonthInput();
    MonthInput(const MonthInput&);
    MonthInput(MonthInput&&) noexcept;
    MonthInput& operator=(const MonthInput&);
    MonthInput& operator=(MonthInput&&) noexcept;
    ~MonthInput();

    Whole month;
    Given<double> dry_bulb, wet_bulb, daily_range, wet_bulb_range, beam_depth, diffuse_depth, ground;
    Given<double> peak_wet_bulb, dry_bulb_at_peak_wet_bulb, peak_dew_point, dry_bulb_at_peak_dew_point, wind;
    Given<std::string> note;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

struct SiteInput {
    SiteInput();
    SiteInput(const SiteInput&);
    SiteInput(SiteInput&&) noexcept;
    SiteInput& operator=(const SiteInput&);
    SiteInput& operator=(SiteInput&&) noexcept;
    ~SiteInput();

    Given<std::string> name, note;
    Given<double> latitude, longitude, time_zone, height, ground_reflectance, plan_bearing;
    Given<std::string> summer_time_first, summer_time_last;
    Given<double> summer_time_ahead, conditions_height;
    Given<double> winter_dry_bulb, winter_dew_point, winter_wind, winter_ground;
    std::vector<MonthInput> months{};
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
