#include <venture/input/choosing.hpp>

#include <venture/input/key_shorthand.hpp>

namespace venture::input {

using namespace declare; // NOLINT(google-build-using-namespace): words that only declare keys

namespace {

KeySpec size_limit(std::string_view name, std::string_view text) { return number(name, Kind::length, 0.01, 20, text); }

KeySpec gap(std::string_view name, std::string_view text)
{
    return printed_as("thickness", number(name, Kind::length, 0, 2, text));
}

KeySpec factor(std::string_view name, std::string_view text) { return number(name, Kind::fraction, 0.3, 1.3, text); }

} // namespace

const RecordSpec& ChoosingInput::spec()
{
    using T = ChoosingInput;
    static const RecordSpec all = RecordSpec::of<T>({
        {holding("rooms", {"room"}, "rooms by name, * for any letters: \"Ward *\"; all unless typed"), &T::rooms},
        {naming("type", {"room_type"}, "only rooms of this type"), &T::type},
        {naming("storey", {"storey"}, "only rooms on this storey"), &T::storey},
        {text("unit", "only units of this kind; all unless typed"), &T::unit},
        {text("aims",
              "what decides among products that suffice, first things first: fullest, fewest units, least cost, "
              "least water, least electricity, least depth, quietest, fewest types; fullest unless typed"),
         &T::aims},
        {number("weights", Kind::number, 0, 1e6,
                "one for each aim: all count at once, each over the least that suffices; in order unless typed"),
         &T::weights},
        {text("makers", "only products of these makers"), &T::makers},
        {text("families", "only products of these families"), &T::families},
        {text("speed", "step of fans that products are rated at, where makers rate several"), &T::speed},
        {text("mounting", "only units made so: \"cassette\", \"wall\", \"floor\", \"ducted\", as catalogues call it"),
         &T::mounting},
        {whole(number("most_units", Kind::number, 1, 100,
                      "units in one room; 8, or one under each window, unless typed")),
         &T::most_units},
        {size_limit("most_height", "of a unit"), &T::most_height},
        {size_limit("most_length", "of a unit"), &T::most_length},
        {size_limit("most_depth", "of a unit"), &T::most_depth},
        {number("most_sound", Kind::sound_pressure, 0, 120, "level in the room, of all its units of a kind together"),
         &T::most_sound},
        {number("room_effect", Kind::number, -10, 40,
                "dB that the room takes off the power level; of its volume at half a second of reverberation unless "
                "typed"),
         &T::room_effect},
        {number("most_over", Kind::fraction, 0, 100, "capacity over need that is still accepted: 0.3 is 30 % more"),
         &T::most_over},
        {factor("connection", "what is left of a radiator's output by how its pipes are connected"), &T::connection},
        {factor("cover", "what is left of it behind a cover, in a niche, under a shelf"), &T::cover},
        {factor("finish", "what is left of it with another coat than it was rated with"), &T::finish},
        {gap("floor_gap", "between floor and radiator; 100 mm unless typed"), &T::floor_gap},
        {gap("sill_gap", "between radiator and sill; 100 mm unless typed"), &T::sill_gap},
        {gap("side_gap", "on each side of a radiator, within the window's width or the wall; 50 mm unless typed"),
         &T::side_gap},
        {share("window_share", "of a window's width that its radiator should have, where that is not too much for the "
                               "room: against the cold air that falls from it; 0.75 unless typed"),
         &T::window_share},
        {number("wall_length", Kind::length, 0.1, 500,
                "along which units may stand, where no plan tells it; where it does, instead of what it tells"),
         &T::wall_length},
        {number("warmest_surface", Kind::temperature, 20, 120,
                "that units may have where people cannot move away; of its room type unless typed"),
         &T::warmest_surface},
        {number("external_pressure", Kind::pressure, 0, 2000,
                "that ducts and grilles beyond a unit take: only units whose fans overcome it; none unless typed"),
         &T::external_pressure},
        {text("alike",
              "rooms of this line that are of one type and one size get the same: chosen for the one that needs "
              "most; each by itself unless typed"),
         &T::alike},
        note_key<T>(),
    });
    return all;
}

} // namespace venture::input
