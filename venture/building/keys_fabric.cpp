#include <venture/building/key_shorthand.hpp>

namespace venture::quantity {

using namespace building;          // NOLINT(google-build-using-namespace): the tables whose keys these are
using namespace building::declare; // NOLINT(google-build-using-namespace): words that only declare keys

template <>
std::span<const Key<MaterialInput>> keys<MaterialInput>()
{
    using T = MaterialInput;
    static const std::vector<Key<T>> all = {
        name_key<T>("what layers call it"),
        {must(number("conductivity", Kind::conductivity, 0.001, 500, "design value")), &T::conductivity},
        {must(number("density", Kind::density, 1, 20000, "dry")), &T::density},
        {must(number("specific_heat", Kind::specific_heat, 100, 5000, "dry")), &T::specific_heat},
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
        text_key<T>("layers", &T::layers,
                    "outside to inside: \"102 mm brick\", or a resistance: \"0.18 m2K/W air gap\"", true),
        {otherwise(number("absorptance", Kind::fraction, 0, 1, "share of sunlight that its outside takes up"), 0.6,
                   "medium colour, our assumption"),
         &T::absorptance},
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
        {must(number("u_value", Kind::heat_transfer, 0.2, 5.8, "of the whole window, with standard films")),
         &T::u_value},
        {must(
             number("g_value", Kind::fraction, 0.02, 0.95, "total solar transmittance of the glass, normal incidence")),
         &T::g_value},
        {number("direct_transmittance", Kind::fraction, 0.0, 0.95,
                "part of g that comes through as light; 90 % of g unless typed (our assumption)"),
         &T::direct_transmittance},
        {otherwise(number("frame_share", Kind::fraction, 0, 0.9, "share of the window's area that is frame"), 0.2, own),
         &T::frame_share},
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
        text_key<T>("inner_wall", &T::inner_wall, "build-up of walls between rooms"),
        text_key<T>("roof", &T::roof, "build-up of roofs"),
        text_key<T>("ground_floor", &T::ground_floor, "build-up of floors on the ground"),
        text_key<T>("inner_floor", &T::inner_floor, "build-up of floors between rooms, from below to above"),
        text_key<T>("exposed_floor", &T::exposed_floor, "build-up of floors over outdoor air"),
        note_key<T>(),
    };
    return all;
}

} // namespace venture::quantity
