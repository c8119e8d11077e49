#include <venture/input/site.hpp>

#include <venture/input/key_shorthand.hpp>

namespace venture::input {

using namespace declare; // NOLINT(google-build-using-namespace): words that only declare keys

MonthInput::MonthInput() = default;
MonthInput::MonthInput(const MonthInput&) = default;
MonthInput::MonthInput(MonthInput&&) noexcept = default;
MonthInput& MonthInput::operator=(const MonthInput&) = default;
MonthInput& MonthInput::operator=(MonthInput&&) noexcept = default;
MonthInput::~MonthInput() = default;

const RecordSpec& MonthInput::spec()
{
    using T = MonthInput;
    static const RecordSpec all = RecordSpec::of<T>({
        {must(number("month", Kind::number, 1, 12, "1 to 12; the design day is the 21st")), &T::month},
        {must_or_derive(number("dry_bulb", Kind::temperature, -40, 60, "highest of the design day")), &T::dry_bulb},
        {must_or_derive(number("wet_bulb", Kind::temperature, -40, 40, "coincident with the highest dry bulb")),
         &T::wet_bulb},
        {must_or_derive(
             number("daily_range", Kind::temperature_difference, 0, 40, "highest minus lowest dry bulb of the day")),
         &T::daily_range},
        {number("wet_bulb_range", Kind::temperature_difference, 0, 25,
                "highest minus lowest wet bulb of the day; humidity ratio constant where it is not given"),
         &T::wet_bulb_range},
        {must_or_derive(number("beam_depth", Kind::number, 0.05, 3, "clear-sky optical depth for beam")),
         &T::beam_depth},
        {must_or_derive(number("diffuse_depth", Kind::number, 0.5, 5, "clear-sky optical depth for diffuse")),
         &T::diffuse_depth},
        {must_or_derive(number("ground", Kind::temperature, -20, 40, "temperature under ground floors in this month")),
         &T::ground},
        {number("peak_wet_bulb", Kind::temperature, -40, 40, "highest wet bulb: cooling is searched on such a day, too; for towers and evaporation"),
         &T::peak_wet_bulb},
        {number("dry_bulb_at_peak_wet_bulb", Kind::temperature, -40, 60, "coincident with the highest wet bulb"),
         &T::dry_bulb_at_peak_wet_bulb},
        {number("peak_dew_point", Kind::temperature, -60, 40, "highest dew point, for drying outdoor air"),
         &T::peak_dew_point},
        {number("dry_bulb_at_peak_dew_point", Kind::temperature, -40, 60, "coincident with the highest dew point"),
         &T::dry_bulb_at_peak_dew_point},
        {wind_speed("wind", 60, "mean wind with the highest dry bulb"), &T::wind},
        note_key<T>(),
    });
    return all;
}

SiteInput::SiteInput() = default;
SiteInput::SiteInput(const SiteInput&) = default;
SiteInput::SiteInput(SiteInput&&) noexcept = default;
SiteInput& SiteInput::operator=(const SiteInput&) = default;
SiteInput& SiteInput::operator=(SiteInput&&) noexcept = default;
SiteInput::~SiteInput() = default;

const RecordSpec& SiteInput::spec()
{
    using T = SiteInput;
    static const RecordSpec all = RecordSpec::of<T>(
        {
            text_key("name", &T::name, "name of the place"),
            {asking_outside(must(number("latitude", Kind::angle, -90, 90, "north positive")),
                            "were latitude and longitude swapped?"),
             &T::latitude},
            {must(number("longitude", Kind::angle, -180, 180, "east positive")), &T::longitude},
            {must(number("time_zone", Kind::hours, -13, 15, "local standard time minus universal time")),
             &T::time_zone},
            {otherwise(number("height", Kind::length, -500, 6000, "above sea level"), 0.0, "sea level"), &T::height},
            {otherwise(number("ground_reflectance", Kind::fraction, 0, 1, "share of sunlight the ground throws back"),
                       0.2, "ASHRAE Handbook - Fundamentals, usual ground"),
             &T::ground_reflectance},
            {otherwise(number("plan_bearing", Kind::angle, -360, 360,
                              "bearing of the plan's upward direction, clockwise from north"),
                       0.0, "plan north is true north"),
             &T::plan_bearing},
            text_key("summer_time_first", &T::summer_time_first,
                     "first day with clocks ahead, such as \"29 March\"; profiles are clock time"),
            text_key("summer_time_last", &T::summer_time_last, "last day with clocks ahead, such as \"24 October\""),
            {otherwise(number("summer_time_ahead", Kind::hours, 0, 2, "by how much clocks are ahead on those days"),
                       1.0, "usual summer time"),
             &T::summer_time_ahead},
            {number("conditions_height", Kind::length, -500, 6000,
                    "height of the station that the design conditions are from; they are moved to the site's height"),
             &T::conditions_height},
            {must_or_derive(number("winter_dry_bulb", Kind::temperature, -60, 30,
                                   "outdoor temperature that heating is designed for")),
             &T::winter_dry_bulb},
            {number("winter_dew_point", Kind::temperature, -70, 25,
                    "dew point that humidifying is designed for; 80 % relative humidity where it is not given"),
             &T::winter_dew_point},
            {wind_speed("winter_wind", 60, "mean wind with the winter dry bulb"), &T::winter_wind},
            {must_or_derive(number("winter_ground", Kind::temperature, -20, 30,
                                   "temperature under ground floors in winter design")),
             &T::winter_ground},
            note_key<T>(),
        },
        {{"month", &T::months}});
    return all;
}

} // namespace venture::input
