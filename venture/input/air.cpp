#include <venture/input/air.hpp>

#include <venture/input/key_shorthand.hpp>

namespace venture::input {

using namespace declare; // NOLINT(google-build-using-namespace): words that only declare keys

const RecordSpec& AirtightnessInput::spec()
{
    using T = AirtightnessInput;
    static const RecordSpec all = RecordSpec::of<T>({
        {number("permeability", Kind::air_flow_per_area, 0, 0.05,
                "air through the envelope at the test pressure, for each square metre of outside walls, roofs, exposed "
                "floors and their openings"),
         &T::permeability},
        {number("air_changes", Kind::air_changes, 0, 50, "instead: air changes of the whole building at that pressure"),
         &T::air_changes},
        {text("tightness", "instead, where nobody measures: taken as 1, 3, 6 or 12 m3/h for each m2 at 50 Pa"),
         &T::tightness},
        {otherwise(number("test_pressure", Kind::pressure, 1, 200, "that the building is tested at"), 50.0, "ISO 9972"),
         &T::test_pressure},
        {otherwise(
             number("flow_exponent", Kind::number, 0.5, 1, "of the pressure, for tests at another one than 50 Pa"),
             0.67, "usual for cracks, ISO 9972"),
         &T::flow_exponent},
        {otherwise_word(text("shielding", "of the building from wind: by open country, suburbs, or a city's middle"),
                        "moderate", own),
         &T::shielding},
        note_key<T>(),
    });
    return all;
}

const RecordSpec& TransferAirInput::spec()
{
    using T = TransferAirInput;
    static const RecordSpec all = RecordSpec::of<T>({
        {must(naming("from", {"room"}, "room that the air comes from")), &T::from},
        {must(number("flow", Kind::air_flow, 0, 1000, "at full")), &T::flow},
        {otherwise_word(text("way", "both: as much goes back, as through an open door or boundary"), "in",
                        "air goes one way unless typed"),
         &T::way},
        {when("profile", "when"), &T::profile},
        note_key<T>(),
    });
    return all;
}

} // namespace venture::input
