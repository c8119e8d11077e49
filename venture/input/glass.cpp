#include <venture/input/glass.hpp>

#include <venture/input/key_shorthand.hpp>

namespace venture::input {

using namespace declare; // NOLINT(google-build-using-namespace): words that only declare keys

const RecordSpec& PaneInput::spec()
{
    using T = PaneInput;
    static const RecordSpec all = RecordSpec::of<T>({
        name_key<T>("what glazings call it"),
        {must(thickness_of("thickness", 0.0005, 0.1, "of the pane")), &T::thickness},
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
    });
    return all;
}

const RecordSpec& GlazingInput::spec()
{
    using T = GlazingInput;
    static const RecordSpec all = RecordSpec::of<T>({
        name_key<T>("what windows call it"),
        {holding("panes", {"pane"},
                 "outside to inside: panes by name, between them \"16 mm argon\"; U and g follow from them"),
         &T::panes},
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
        {beside("panes", otherwise(number("frame_u_value", Kind::heat_transfer, 0.3, 12, "with panes: of the frame"),
                                   1.8, "softwood, our assumption")),
         &T::frame_u_value},
        {beside("panes", otherwise(number("spacer", Kind::conductivity, 0, 0.3,
                                          "with panes: what the edge of the glass adds for every metre of it"),
                                   0.08, "metal, our assumption")),
         &T::spacer},
        source_key<T>(),
        note_key<T>(),
    });
    return all;
}

const RecordSpec& ShadeInput::spec()
{
    using T = ShadeInput;
    static const RecordSpec all = RecordSpec::of<T>({
        name_key<T>("what windows call it"),
        {otherwise_word(text("place", "where it hangs"), "inside", "inside unless typed"), &T::place},
        {must(share("transmittance", "of sunlight through its closed material")), &T::transmittance},
        {must(share("reflectance", "of sunlight, towards the sun")), &T::reflectance},
        {otherwise(share("openness", "share of its area that is holes or stays uncovered"), 0.0, "none"), &T::openness},
        {otherwise_word(text("slats", "how its slats stand, if it has any"), "closed", "closed unless typed"),
         &T::slats},
        {otherwise_word(text("use", "when it is down"), "above", "let down in the sun, our assumption"), &T::use},
        {otherwise_by(number("above", Kind::power_per_area, 0, 1500,
                             "with use = \"above\": sun on that window from which it is down"),
                      "use", {{"above", 200.0}}, own),
         &T::above},
        {naming_hours("profile", "with use = \"profile\": how much of it is down"), &T::profile},
        {number("resistance", Kind::resistance, 0, 10,
                "of a closed shutter outside, for what it and the air behind it add to the window (ISO 10077-1, annex "
                "G): aluminium slats 0.01, plastic 0.10, with foam 0.15, wood 0.20 m2K/W"),
         &T::resistance},
        {beside("resistance", otherwise_word(text("edges", "of that shutter: how well they close"), "average", own)),
         &T::edges},
        source_key<T>(),
        note_key<T>(),
    });
    return all;
}

} // namespace venture::input
