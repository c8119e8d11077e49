#include <venture/input/primary_air.hpp>

#include <venture/input/key_shorthand.hpp>

namespace venture::input {

using namespace declare; // NOLINT(google-build-using-namespace): words that only declare keys

const RecordSpec& PrimaryAirInput::spec()
{
    using T = PrimaryAirInput;
    static const RecordSpec all = RecordSpec::of<T>({
        {holding("rooms", {"room"}, "rooms by name, * for any letters: \"Office *\"; all unless typed"), &T::rooms},
        {naming("type", {"room_type"}, "only rooms of this type"), &T::type},
        {naming("storey", {"storey"}, "only rooms on this storey"), &T::storey},
        {must(text("way", "through their units, mixed with the air that these take from the room; or beside them")),
         &T::way},
        {must(number("flow", Kind::air_flow, 1e-4, 100, "into each room, as it comes")), &T::flow},
        {number("cooling_temperature", Kind::temperature, 5, 45, "of it while rooms are cooled; not then unless typed"),
         &T::cooling_temperature},
        {number("cooling_humidity", Kind::humidity_ratio, 0, 0.05,
                "of it while rooms are cooled; as the room has it unless typed"),
         &T::cooling_humidity},
        {number("heating_temperature", Kind::temperature, -40, 45,
                "of it while rooms are heated; not then unless typed"),
         &T::heating_temperature},
        note_key<T>(),
    });
    return all;
}

} // namespace venture::input
