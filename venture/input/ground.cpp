#include <venture/input/ground.hpp>

#include <venture/input/key_shorthand.hpp>

namespace venture::input {

using namespace declare; // NOLINT(google-build-using-namespace): words that only declare keys

const RecordSpec& GroundInput::spec()
{
    using T = GroundInput;
    static const RecordSpec all = RecordSpec::of<T>({
        {otherwise(number("conductivity", Kind::conductivity, 0.3, 6,
                          "of the soil: clay and silt 1.5, sand and gravel 2.0, rock 3.5 W/mK"),
                   2.0, "sand or gravel, ISO 13370"),
         &T::conductivity},
        {otherwise(thickness_of("wall_thickness", 0, 2, "of the walls round the floor, full"), 0.3, own),
         &T::wall_thickness},
        {number("exposed_perimeter", Kind::length, 0.1, 10000,
                "of the floor, along outdoors; measured on the plan unless typed"),
         &T::exposed_perimeter},
        {otherwise(number("edge_width", Kind::length, 0, 5,
                          "of insulation along the floor's edge; its depth if it goes "
                          "down"),
                   0.0, "none"),
         &T::edge_width},
        {otherwise(thickness_of("edge_thickness", 0.005, 0.5, "of that insulation"), 0.05, own), &T::edge_thickness},
        {otherwise(number("edge_conductivity", Kind::conductivity, 0.005, 0.3, "of that insulation"), 0.035, own),
         &T::edge_conductivity},
        {otherwise_word(text("edge_lies", "how that insulation lies"), "level", "under the slab unless typed"),
         &T::edge_lies},
        {number("level", Kind::length, -200, 1000,
                "of the ground outside, as storeys' levels; walls below it stand in the ground, floors below it are a "
                "basement's. That of the lowest storey unless typed"),
         &T::level},
        {otherwise_word(text("under_floor", "what the lowest floors lie on"), "soil", "slab or basement unless typed"),
         &T::under_floor},
        {otherwise(number("void_vents", Kind::length, 0, 1, "openings of the void, m2 for each m of its perimeter"),
                   0.0015, own),
         &T::void_vents},
        {otherwise(number("void_wall_u_value", Kind::heat_transfer, 0.05, 6, "of the void's walls above the ground"),
                   1.7, "solid masonry, our assumption"),
         &T::void_wall_u_value},
        {otherwise(wind_speed("void_wind", 20, "mean of the year at 10 m, as it drives the void's air"), 4.0, own),
         &T::void_wind},
        {otherwise_word(text("void_shelter", "from that wind"), "average", "ISO 13370: 0.05"), &T::void_shelter},
        {number("outdoor_mean", Kind::temperature, -30, 40,
                "mean temperature of the year; with outdoor_amplitude floors and walls find the ground's temperature "
                "month "
                "by month, without both that of the site stands"),
         &T::outdoor_mean},
        {number("outdoor_amplitude", Kind::temperature_difference, 0, 40,
                "half the difference between the warmest and the coldest month's mean"),
         &T::outdoor_amplitude},
        {number("coldest_month", Kind::number, 0.5, 12.5,
                "of the outdoor air: 1 is January, 7 July; that of [[monthly_mean]] if there are any, else January "
                "north and July south of the equator, unless typed"),
         &T::coldest_month},
        {otherwise(number("indoor", Kind::temperature, 0, 35, "mean temperature of the rooms over the year"), 20.0,
                   own),
         &T::indoor},
        note_key<T>(),
    });
    return all;
}

} // namespace venture::input
