#include <venture/building/key_shorthand.hpp>

namespace venture::quantity {

using namespace building;          // NOLINT(google-build-using-namespace): the tables whose keys these are
using namespace building::declare; // NOLINT(google-build-using-namespace): words that only declare keys

template <>
std::span<const Key<SiteInput>> keys<SiteInput>()
{
    using T = SiteInput;
    static const std::vector<Key<T>> all = {
        text_key<T>("name", &T::name, "name of the place"),
        {must(number("latitude", Kind::angle, -90, 90, "north positive")), &T::latitude},
        {must(number("longitude", Kind::angle, -180, 180, "east positive")), &T::longitude},
        {must(number("time_zone", Kind::hours, -13, 15, "local standard time minus universal time")), &T::time_zone},
        {otherwise(number("height", Kind::length, -500, 6000, "above sea level"), 0.0, "sea level"), &T::height},
        {otherwise(number("ground_reflectance", Kind::fraction, 0, 1, "share of sunlight the ground throws back"), 0.2,
                   "ASHRAE Handbook - Fundamentals, usual ground"),
         &T::ground_reflectance},
        {otherwise(number("plan_bearing", Kind::angle, -360, 360,
                          "bearing of the plan's upward direction, clockwise from north"),
                   0.0, "plan north is true north"),
         &T::plan_bearing},
        {must(
             number("winter_dry_bulb", Kind::temperature, -60, 30, "outdoor temperature that heating is designed for")),
         &T::winter_dry_bulb},
        {must(number("winter_ground", Kind::temperature, -20, 30, "temperature under ground floors in winter design")),
         &T::winter_ground},
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<MonthInput>> keys<MonthInput>()
{
    using T = MonthInput;
    static const std::vector<Key<T>> all = {
        {must(whole(number("month", Kind::number, 1, 12, "1 to 12; the design day is the 21st"))), &T::month},
        {must(number("dry_bulb", Kind::temperature, -40, 60, "highest of the design day")), &T::dry_bulb},
        {must(number("wet_bulb", Kind::temperature, -40, 40, "coincident with the highest dry bulb")), &T::wet_bulb},
        {must(number("daily_range", Kind::temperature_difference, 0, 40, "highest minus lowest dry bulb of the day")),
         &T::daily_range},
        {must(number("beam_depth", Kind::number, 0.05, 3, "clear-sky optical depth for beam")), &T::beam_depth},
        {must(number("diffuse_depth", Kind::number, 0.5, 5, "clear-sky optical depth for diffuse")), &T::diffuse_depth},
        {must(number("ground", Kind::temperature, -20, 40, "temperature under ground floors in this month")),
         &T::ground},
        {otherwise(number("clock_ahead", Kind::hours, 0, 2, "clocks ahead of standard time (summer time)"), 0.0,
                   "no summer time unless typed"),
         &T::clock_ahead},
        note_key<T>(),
    };
    return all;
}

} // namespace venture::quantity
