#include <venture/climate/readings.hpp>

#include <fmt/format.h>

namespace venture::climate {

using quantity::Kind;

const std::vector<ReadingSpec>& reading_specs()
{
    // Bounds: a little beyond the extremes that the World Meteorological Organization has on record.
    static const std::vector<ReadingSpec> specs = {
        {Reading::dry_bulb, "dry_bulb", "air temperature", Kind::temperature, {-95, 62}, false},
        {Reading::wet_bulb, "wet_bulb", "thermodynamic wet bulb", Kind::temperature, {-95, 45}, false},
        {Reading::dew_point, "dew_point", "dew point (frost point below 0 degC)", Kind::temperature, {-110, 42}, false},
        {Reading::relative_humidity, "relative_humidity", "relative humidity", Kind::fraction, {0, 1.05}, false},
        {Reading::humidity_ratio,
         "humidity_ratio",
         "water per mass of dry air",
         Kind::humidity_ratio,
         {0, 0.06},
         false},
        {Reading::pressure,
         "pressure",
         "of the air at the station, not reduced to sea level",
         Kind::pressure,
         {45000, 110000},
         false},
        {Reading::global_horizontal,
         "global_horizontal",
         "all sun on the horizontal",
         Kind::power_per_area,
         {0, 1700},
         true},
        {Reading::beam_normal,
         "beam_normal",
         "direct sun on a plane that faces it",
         Kind::power_per_area,
         {0, 1420},
         true},
        {Reading::diffuse_horizontal,
         "diffuse_horizontal",
         "sun from the sky on the horizontal",
         Kind::power_per_area,
         {0, 1200},
         true},
        {Reading::wind_speed, "wind_speed", "at the height of the station's mast", Kind::velocity, {0, 110}, false},
        {Reading::wind_direction,
         "wind_direction",
         "where the wind comes from, clockwise from north",
         Kind::angle,
         {0, 360},
         false},
        {Reading::cloud_cover, "cloud_cover", "share of the sky", Kind::cloud_cover, {0, 1}, false},
    };
    return specs;
}

const ReadingSpec& spec_of(Reading reading)
{
    const ReadingSpec& spec = reading_specs()[static_cast<std::size_t>(reading)];
    VENTURE_ASSERT(spec.reading == reading);
    return spec;
}

std::string when_in_words(const Readings& readings, std::size_t record)
{
    const std::size_t per_hour = static_cast<std::size_t>(readings.steps_per_hour), per_day = 24U * per_hour;
    const std::size_t step = record % per_day + (readings.stamp == Stamp::end ? 1U : 0U);
    const MonthDay date = month_day(static_cast<int>(record / per_day) + 1, readings.leap);
    return fmt::format("{}, {:02}:{:02}", in_words(date), step / per_hour, step % per_hour * 60U / per_hour);
}

} // namespace venture::climate
