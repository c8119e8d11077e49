#include <venture/building/junctions.hpp>
#include <venture/building/key_shorthand.hpp>
#include <venture/fabric/typed_u_value.hpp>

namespace venture::quantity {

using namespace building;          // NOLINT(google-build-using-namespace): the tables whose keys these are
using namespace building::declare; // NOLINT(google-build-using-namespace): words that only declare keys

namespace {

template <class T>
Key<T> source_key()
{
    return text_key<T>("source", &T::source, "where the values come from, in words; printed beside them");
}

KeySpec share(std::string_view name, std::string_view text) { return number(name, Kind::fraction, 0, 1, text); }

} // namespace

template <>
std::span<const Key<MaterialInput>> keys<MaterialInput>()
{
    using T = MaterialInput;
    static const std::vector<Key<T>> all = {
        name_key<T>("what layers call it"),
        {must(number("conductivity", Kind::conductivity, 0.001, 500, "design value")), &T::conductivity},
        {must(number("density", Kind::density, 1, 20000, "dry")), &T::density},
        {must(number("specific_heat", Kind::specific_heat, 100, 5000, "dry")), &T::specific_heat},
        source_key<T>(),
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<BuildupInput>> keys<BuildupInput>()
{
    using T = BuildupInput;
    static const std::vector<Key<T>> all = {
        name_key<T>("what walls, roofs and floors call it"),
        text_key<T>(
            "layers", &T::layers,
            "outside to inside: \"102 mm brick\", \"50 mm air gap\", \"0.18 m2K/W air gap\", \"140 mm mineral "
            "wool between 45 mm softwood every 600 mm\", \"90 mm mineral wool with 12 % steel\", \"20 to 140 mm "
            "polystyrene\" where it tapers"),
        text_key<T>(
            "made_of", &T::made_of,
            "instead of layers, the wall in words, outside to inside: \"brick cladding, timber frame 140 mm, studs "
            "at 600 mm, filled with mineral wool, plasterboard\"; what they leave open is assumed and told"),
        {number("u_value", Kind::heat_transfer, 0.01, 30,
                "instead of layers, where only this is known; layers that keep it and the weight are made up"),
         &T::u_value},
        {number("outside_film", Kind::resistance, 0, 0.5,
                "surface resistance outside that the U-value was stated with; that of ISO 6946 unless typed"),
         &T::outside_film},
        {number("inside_film", Kind::resistance, 0, 0.5,
                "surface resistance inside that the U-value was stated with; that of ISO 6946 unless typed"),
         &T::inside_film},
        {word("weight",
              "with u_value: heat it holds, 50, 75, 110, 175 or 250 kJ/m2K (ISO 52016-1); medium unless typed",
              fabric::weight_class_names()),
         &T::weight},
        {word("mass", "with u_value: where most of its mass lies; inside unless typed", fabric::mass_place_names()),
         &T::mass},
        {word("heat_flow", "which way heat leaves through it; found from where [fabric] names it unless typed",
              {"horizontally", "upwards", "downwards"}),
         &T::heat_flow},
        {otherwise_word(word("air_gaps", "gaps in its insulation (ISO 6946, annex F)",
                             {"none", "bridging", "bridging, air moves"}),
                        "none", "ISO 6946, annex F, level 0"),
         &T::air_gaps},
        {otherwise_word(
             word("falls", "shape of what a layer that tapers drains: to a gutter, or to the lowest or highest corner",
                  {"rectangle", "triangle, thickest at the apex", "triangle, thinnest at the apex"}),
             "rectangle", "ISO 6946, annex E"),
         &T::falls},
        {otherwise(number("fasteners", Kind::number, 0, 100,
                          "for each m2, all the way through the layer of most resistance (ISO 6946, annex F)"),
                   0.0, "none"),
         &T::fasteners},
        {otherwise(number("fastener_diameter", Kind::length, 0.0005, 0.1, "of their shaft"), 0.005, own),
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
    };
    return all;
}

template <>
std::span<const Key<PaneInput>> keys<PaneInput>()
{
    using T = PaneInput;
    static const std::vector<Key<T>> all = {
        name_key<T>("what glazings call it"),
        {must(number("thickness", Kind::length, 0.0005, 0.1, "of the pane")), &T::thickness},
        {must(share("solar_transmittance", "of sunlight that strikes it at right angles")), &T::solar_transmittance},
        {must(share("solar_reflectance_outside", "of sunlight from outside")), &T::solar_reflectance_outside},
        {must(share("solar_reflectance_inside", "of sunlight from inside")), &T::solar_reflectance_inside},
        {must(share("light_transmittance", "of visible light that strikes it at right angles")),
         &T::light_transmittance},
        {must(share("light_reflectance_outside", "of visible light from outside")), &T::light_reflectance_outside},
        {must(share("light_reflectance_inside", "of visible light from inside")), &T::light_reflectance_inside},
        {otherwise(number("emissivity_outside", Kind::fraction, 0.01, 1, "of its outer face, corrected"), 0.837,
                   "bare glass, EN 673"),
         &T::emissivity_outside},
        {otherwise(number("emissivity_inside", Kind::fraction, 0.01, 1, "of its inner face, corrected"), 0.837,
                   "bare glass, EN 673"),
         &T::emissivity_inside},
        source_key<T>(),
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<GlazingInput>> keys<GlazingInput>()
{
    using T = GlazingInput;
    static const std::vector<Key<T>> all = {
        name_key<T>("what windows call it"),
        text_key<T>("panes", &T::panes,
                    "outside to inside: panes by name, between them \"16 mm argon\"; U and g follow from them"),
        {number("u_value", Kind::heat_transfer, 0.2, 5.8, "of the whole window, with standard films"), &T::u_value},
        {number("g_value", Kind::fraction, 0.02, 0.95, "total solar transmittance of the glass, normal incidence"),
         &T::g_value},
        {number("direct_transmittance", Kind::fraction, 0.0, 0.95,
                "part of g that comes through as light; 90 % of g unless typed (our assumption)"),
         &T::direct_transmittance},
        {number("light_transmittance", Kind::fraction, 0.0, 0.95, "of visible light, normal incidence"),
         &T::light_transmittance},
        {otherwise(number("frame_share", Kind::fraction, 0, 0.9, "share of the window's area that is frame"), 0.2, own),
         &T::frame_share},
        {number("frame_u_value", Kind::heat_transfer, 0.3, 12,
                "with panes: of the frame; 1.8 W/m2K unless typed (our assumption: softwood)"),
         &T::frame_u_value},
        {number("spacer", Kind::conductivity, 0, 0.3,
                "with panes: what the edge of the glass adds for every metre of it; 0.08 W/mK unless typed (our "
                "assumption: metal)"),
         &T::spacer},
        source_key<T>(),
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<ShadeInput>> keys<ShadeInput>()
{
    using T = ShadeInput;
    static const std::vector<Key<T>> all = {
        name_key<T>("what windows call it"),
        {otherwise_word(word("place", "where it hangs", {"outside", "between panes", "inside"}), "inside",
                        "inside unless typed"),
         &T::place},
        {must(share("transmittance", "of sunlight through its closed material")), &T::transmittance},
        {must(share("reflectance", "of sunlight, towards the sun")), &T::reflectance},
        {otherwise(share("openness", "share of its area that is holes or stays uncovered"), 0.0, "none"), &T::openness},
        {otherwise_word(word("slats", "how its slats stand, if it has any", {"closed", "at 45 degrees"}), "closed",
                        "closed unless typed"),
         &T::slats},
        {otherwise_word(
             word("use", "when it is down", {"never", "always", "above", "profile", "while occupied", "at night"}),
             "above", "let down in the sun, our assumption"),
         &T::use},
        {number(
             "above", Kind::power_per_area, 0, 1500,
             "with use = \"above\": sun on that window from which it is down; 200 W/m2 unless typed (our assumption)"),
         &T::above},
        text_key<T>("profile", &T::profile, "with use = \"profile\": how much of it is down"),
        {number("resistance", Kind::resistance, 0, 10,
                "of a closed shutter outside, for what it and the air behind it add to the window (ISO 10077-1, annex "
                "G): aluminium slats 0.01, plastic 0.10, with foam 0.15, wood 0.20 m2K/W"),
         &T::resistance},
        {word("edges", "of that shutter: how well they close; average unless typed",
              {"very open", "open", "average", "tight", "airtight"}),
         &T::edges},
        source_key<T>(),
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<GroundInput>> keys<GroundInput>()
{
    using T = GroundInput;
    static const std::vector<Key<T>> all = {
        {otherwise(number("conductivity", Kind::conductivity, 0.3, 6,
                          "of the soil: clay and silt 1.5, sand and gravel 2.0, rock 3.5 W/mK"),
                   2.0, "sand or gravel, ISO 13370"),
         &T::conductivity},
        {otherwise(number("wall_thickness", Kind::length, 0, 2, "of the walls round the floor, full"), 0.3, own),
         &T::wall_thickness},
        {number("exposed_perimeter", Kind::length, 0.1, 10000,
                "of the floor, along outdoors; measured on the plan unless typed"),
         &T::exposed_perimeter},
        {otherwise(number("edge_width", Kind::length, 0, 5,
                          "of insulation along the floor's edge; its depth if it goes "
                          "down"),
                   0.0, "none"),
         &T::edge_width},
        {otherwise(number("edge_thickness", Kind::length, 0.005, 0.5, "of that insulation"), 0.05, own),
         &T::edge_thickness},
        {otherwise(number("edge_conductivity", Kind::conductivity, 0.005, 0.3, "of that insulation"), 0.035, own),
         &T::edge_conductivity},
        {otherwise_word(word("edge_lies", "how that insulation lies", {"level", "upright"}), "level",
                        "under the slab unless typed"),
         &T::edge_lies},
        {number("level", Kind::length, -200, 1000,
                "of the ground outside, as storeys' levels; walls below it stand in the ground, floors below it are a "
                "basement's. That of the lowest storey unless typed"),
         &T::level},
        {otherwise_word(word("under_floor", "what the lowest floors lie on", {"soil", "a ventilated void"}), "soil",
                        "slab or basement unless typed"),
         &T::under_floor},
        {otherwise(number("void_vents", Kind::length, 0, 1, "openings of the void, m2 for each m of its perimeter"),
                   0.0015, own),
         &T::void_vents},
        {otherwise(number("void_wall_u_value", Kind::heat_transfer, 0.05, 6, "of the void's walls above the ground"),
                   1.7, "solid masonry, our assumption"),
         &T::void_wall_u_value},
        {otherwise(number("void_wind", Kind::velocity, 0, 20, "mean of the year at 10 m, as it drives the void's air"),
                   4.0, own),
         &T::void_wind},
        {otherwise_word(word("void_shelter", "from that wind", {"sheltered", "average", "exposed"}), "average",
                        "ISO 13370: 0.05"),
         &T::void_shelter},
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
    };
    return all;
}

template <>
std::span<const Key<ThermalBridgeInput>> keys<ThermalBridgeInput>()
{
    using T = ThermalBridgeInput;
    static const std::vector<Key<T>> all = {
        name_key<T>("of the junction or fixing"),
        text_key<T>("room", &T::room, "that loses heat through it to outdoors; with `at` all rooms unless typed"),
        {word("at", "a junction whose length is measured in every room", building::junction_names()), &T::at},
        {number("psi", Kind::conductivity, -1, 5,
                "of a junction: what a metre of it adds (ISO 14683 lists usual values)"),
         &T::psi},
        {number("length", Kind::length, 0.001, 10000, "of the junction"), &T::length},
        {number("chi", Kind::heat_loss, 0, 50, "of a fixing or column: what one of it adds"), &T::chi},
        {otherwise(whole(number("count", Kind::number, 1, 100000, "how many alike")), 1.0, "one"), &T::count},
        source_key<T>(),
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<ObstructionInput>> keys<ObstructionInput>()
{
    using T = ObstructionInput;
    static const std::vector<Key<T>> all = {
        name_key<T>("of what takes sun from the building"),
        {listed(number("at", Kind::length, -1e5, 1e5, "place of its lower left corner on the plan: [x, y]"), 2),
         &T::at},
        {listed(number("size", Kind::length, 0.01, 1e4, "along x and along y: [x, y]"), 2), &T::size},
        {number("corners", Kind::length, -1e5, 1e5, "outline instead of at and size: [[x, y], ...]"), &T::corners},
        {otherwise(number("base", Kind::length, -200, 1000, "its foot above the project's zero"), 0.0, "on the ground"),
         &T::base},
        {must(number("top", Kind::length, -200, 1000, "its top above the project's zero")), &T::top},
        {otherwise(number("transmittance", Kind::fraction, 0, 1, "share of sun that passes through it"), 0.0,
                   "a solid"),
         &T::transmittance},
        {number("transmittance_bare", Kind::fraction, 0, 1,
                "the same without leaves: November to April, south of the equator May to October; as with leaves "
                "unless typed"),
         &T::transmittance_bare},
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<FabricInput>> keys<FabricInput>()
{
    using T = FabricInput;
    static const std::vector<Key<T>> all = {
        text_key<T>("outside_wall", &T::outside_wall, "build-up of walls to outdoors"),
        text_key<T>("ground_wall", &T::ground_wall,
                    "build-up of walls in the ground; that of walls to outdoors unless typed"),
        text_key<T>("inner_wall", &T::inner_wall, "build-up of walls between rooms"),
        text_key<T>("roof", &T::roof, "build-up of roofs"),
        text_key<T>("ground_floor", &T::ground_floor, "build-up of floors on the ground"),
        text_key<T>("inner_floor", &T::inner_floor, "build-up of floors between rooms, from below to above"),
        text_key<T>("exposed_floor", &T::exposed_floor, "build-up of floors over outdoor air"),
        text_key<T>("party_wall", &T::party_wall,
                    "build-up of faces with a party wall beyond; that of walls to outdoors unless typed"),
        text_key<T>("glazing", &T::glazing, "glazing of windows that name none"),
        text_key<T>("shade", &T::shade, "shade of windows that name none"),
        {number("door_u_value", Kind::heat_transfer, 0.1, 7, "of doors that state none"), &T::door_u_value},
        {word("wall_colour",
              "of the outside of walls: takes up 40, 60 or 80 % of the sun, instead of what build-ups say",
              {"light", "medium", "dark"}),
         &T::wall_colour},
        {word("roof_colour", "the same of roofs", {"light", "medium", "dark"}), &T::roof_colour},
        note_key<T>(),
    };
    return all;
}

} // namespace venture::quantity
