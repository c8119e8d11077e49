#include <venture/input/fabric.hpp>

#include <venture/fabric/junction.hpp>
#include <venture/fabric/typed_u_value.hpp>
#include <venture/input/key_shorthand.hpp>

namespace venture::input {

using namespace declare; // NOLINT(google-build-using-namespace): words that only declare keys

const RecordSpec& MaterialInput::spec()
{
    using T = MaterialInput;
    static const RecordSpec all = RecordSpec::of<T>({
        name_key<T>("what layers call it"),
        {must(number("conductivity", Kind::conductivity, 0.001, 500, "design value")), &T::conductivity},
        {must(number("density", Kind::density, 1, 20000, "dry")), &T::density},
        {must(number("specific_heat", Kind::specific_heat, 100, 5000, "dry")), &T::specific_heat},
        source_key<T>(),
        note_key<T>(),
    });
    return all;
}

const RecordSpec& BuildupInput::spec()
{
    using T = BuildupInput;
    static const RecordSpec all = RecordSpec::of<T>({
        name_key<T>("what walls, roofs and floors call it"),
        {holding("layers", {"material"},
                 "outside to inside: \"102 mm brick\", \"50 mm air gap\", \"0.18 m2K/W air gap\", \"140 mm mineral "
                 "wool between 45 mm softwood every 600 mm\", \"90 mm mineral wool with 12 % steel\", \"20 to 140 mm "
                 "polystyrene\" where it tapers"),
         &T::layers},
        {holding(
             "made_of", {"material"},
             "instead of layers, the wall in words, outside to inside: \"brick cladding, timber frame 140 mm, studs "
             "at 600 mm, filled with mineral wool, plasterboard\"; what they leave open is assumed and told"),
         &T::made_of},
        {number("u_value", Kind::heat_transfer, 0.01, 30,
                "instead of layers, where only this is known; layers that keep it and the weight are made up"),
         &T::u_value},
        {number("outside_film", Kind::resistance, 0, 0.5,
                "surface resistance outside that the U-value was stated with; that of ISO 6946 unless typed"),
         &T::outside_film},
        {number("inside_film", Kind::resistance, 0, 0.5,
                "surface resistance inside that the U-value was stated with; that of ISO 6946 unless typed"),
         &T::inside_film},
        {beside(
             "u_value",
             otherwise_word(text("weight", "with u_value: heat it holds, 50, 75, 110, 175 or 250 kJ/m2K (ISO 52016-1)"),
                            "medium", own)),
         &T::weight},
        {beside("u_value", otherwise_word(text("mass", "with u_value: where most of its mass lies"), "inside", own)),
         &T::mass},
        {text("heat_flow", "which way heat leaves through it; found from where [fabric] names it unless typed"),
         &T::heat_flow},
        {otherwise_word(text("air_gaps", "gaps in its insulation (ISO 6946, annex F)"), "none",
                        "ISO 6946, annex F, level 0"),
         &T::air_gaps},
        {otherwise_word(
             text("falls", "shape of what a layer that tapers drains: to a gutter, or to the lowest or highest corner"),
             "rectangle", "ISO 6946, annex E"),
         &T::falls},
        {otherwise(number("fasteners", Kind::number, 0, 100,
                          "for each m2, all the way through the layer of most resistance (ISO 6946, annex F)"),
                   0.0, "none"),
         &T::fasteners},
        {otherwise(thickness_of("fastener_diameter", 0.0005, 0.1, "of their shaft"), 0.005, own),
         &T::fastener_diameter},
        {otherwise(number("fastener_conductivity", Kind::conductivity, 0.05, 400, "carbon steel 50, stainless 17 W/mK"),
                   50.0, "carbon steel, our assumption"),
         &T::fastener_conductivity},
        {otherwise(number("correction", Kind::heat_transfer, 0, 2,
                          "added to its U-value for what no layer shows, as thermal bridges that repeat"),
                   0.0, "none"),
         &T::correction},
        {otherwise(share("absorptance", "share of sunlight that its outside takes up"), 0.6,
                   "medium colour, our assumption"),
         &T::absorptance},
        source_key<T>(),
        note_key<T>(),
    });
    return all;
}

const RecordSpec& ThermalBridgeInput::spec()
{
    using T = ThermalBridgeInput;
    static const RecordSpec all = RecordSpec::of<T>({
        name_key<T>("of the junction or fixing"),
        {naming("room", {"room"}, "that loses heat through it to outdoors; with `at` all rooms unless typed"),
         &T::room},
        {text("at", "a junction whose length is measured in every room"), &T::at},
        {number("psi", Kind::conductivity, -1, 5,
                "of a junction: what a metre of it adds (ISO 14683 lists usual values)"),
         &T::psi},
        {number("length", Kind::length, 0.001, 10000, "of the junction"), &T::length},
        {number("chi", Kind::heat_loss, 0, 50, "of a fixing or column: what one of it adds"), &T::chi},
        {otherwise(number("count", Kind::number, 1, 100000, "how many alike"), 1.0, "one"), &T::count},
        source_key<T>(),
        note_key<T>(),
    });
    return all;
}

const RecordSpec& FabricInput::spec()
{
    using T = FabricInput;
    static const RecordSpec all = RecordSpec::of<T>({
        {naming("outside_wall", {"build_up"}, "build-up of walls to outdoors"), &T::outside_wall},
        {naming("ground_wall", {"build_up"}, "build-up of walls in the ground; that of walls to outdoors unless typed"),
         &T::ground_wall},
        {naming("inner_wall", {"build_up"}, "build-up of walls between rooms"), &T::inner_wall},
        {naming("roof", {"build_up"}, "build-up of roofs"), &T::roof},
        {naming("ground_floor", {"build_up"}, "build-up of floors on the ground"), &T::ground_floor},
        {naming("inner_floor", {"build_up"}, "build-up of floors between rooms, from below to above"), &T::inner_floor},
        {naming("exposed_floor", {"build_up"}, "build-up of floors over outdoor air"), &T::exposed_floor},
        {naming("party_wall", {"build_up"},
                "build-up of faces with a party wall beyond; that of walls to outdoors unless typed"),
         &T::party_wall},
        {naming("glazing", {"glazing"}, "glazing of windows that name none"), &T::glazing},
        {naming_or("none", "shade", {"shade"}, "shade of windows that name none"), &T::shade},
        {number("door_u_value", Kind::heat_transfer, 0.1, 7, "of doors that state none"), &T::door_u_value},
        {text("wall_colour",
              "of the outside of walls: takes up 40, 60 or 80 % of the sun, instead of what build-ups say"),
         &T::wall_colour},
        {text("roof_colour", "the same of roofs"), &T::roof_colour},
        note_key<T>(),
    });
    return all;
}

} // namespace venture::input
