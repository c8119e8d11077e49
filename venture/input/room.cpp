#include <venture/input/room.hpp>

#include <venture/input/key_shorthand.hpp>

namespace venture::input {

using namespace declare; // NOLINT(google-build-using-namespace): words that only declare keys

RoomInput::RoomInput() = default;
RoomInput::RoomInput(const RoomInput&) = default;
RoomInput::RoomInput(RoomInput&&) noexcept = default;
RoomInput& RoomInput::operator=(const RoomInput&) = default;
RoomInput& RoomInput::operator=(RoomInput&&) noexcept = default;
RoomInput::~RoomInput() = default;

const RecordSpec& RoomInput::spec()
{
    using T = RoomInput;
    static const RecordSpec all =
        RecordSpec::of<T>(
            {
                name_key<T>("unique in the project"),
                {naming("storey", {"storey"}, "the storey it stands on; that of the room it is like unless typed"),
                 &T::storey},
                {naming("type", {"room_type"}, "room type whose values it takes where it has none"), &T::type},
                {naming("like", {"room"},
                        "room that it takes everything from that is not typed here, but for its name and place"),
                 &T::like},
                {naming(
                     "thermostat_in", {"room"},
                     "room whose thermostat governs this one in a year: what heats or cools it gives the same share of "
                     "its limits, or as much for the floor area where there are none"),
                 &T::thermostat_in},
                {listed(number("at", Kind::length, -1e5, 1e5, "place of its lower left corner on the plan: [x, y]"), 2),
                 &T::at},
                {listed(number("size", Kind::length, 0.1, 1e4, "along x and along y: [x, y]"), 2), &T::size},
                {instead_of({"size", "walk"}, number("corners", Kind::length, -1e5, 1e5,
                                                     "outline instead of at and size: [[x, y], ...]")),
                 &T::corners},
                {instead_of({"size"}, text("walk", "outline instead of size, as walked round with a tape from `at`: "
                                                   "\"east 5.2, left 3, left 2.4, right 0.8, left 2.8\"; turns are "
                                                   "square unless said (\"left 45 deg "
                                                   "2\"), the last side may be left out")),
                 &T::walk},
                {instead_of(
                     {"at"},
                     holding(
                         "place", {"room"},
                         "instead of at: against another room: \"east of Store, south walls in line\", \"over Store\", "
                         "then, if need be, \"1.2 m further north\"")),
                 &T::place},
                text_key("slopes", &T::slopes,
                         "sloping ceilings that rise from a side of the plan: \"south 1.2 m, 35 deg\": 1.2 m above the "
                         "floor at the south wall, and rising northwards"),
                {number("perimeter", Kind::length, 0.5, 50,
                        "cuts the room into a zone of this depth along each wall of perimeter_on and a core, which are "
                        "rooms by "
                        "themselves, \"Office south\" and \"Office core\", with open boundaries between them"),
                 &T::perimeter},
                text_key("perimeter_on", &T::perimeter_on,
                         "sides of the compass along which the zones lie, with perimeter"),
                {number("height", Kind::length, 0.3, 100,
                        "floor to ceiling; the storey's unless typed, or as high as the slopes go"),
                 &T::height},
                {number("ceiling_void", Kind::length, 0, 10,
                        "depth of the void over a suspended ceiling: within the height, and so of the walls, but not "
                        "of the air; "
                        "none unless typed"),
                 &T::ceiling_void},
                {number("floor_void", Kind::length, 0, 5, "the same of the void under a raised floor"), &T::floor_void},
                {naming("void_room", {"room"},
                        "room that is the void over its ceiling: takes the heat that gains send there"),
                 &T::void_room},
                {otherwise_word(text("status", "whether it stands in both phases of the project"), "as it is",
                                "stands before and after"),
                 &T::status},
                {otherwise_word(
                     text("leave_out",
                          "yes: stands, but is neither heated nor cooled nor used, and has no loads; its temperature "
                          "floats"),
                     "no", "every room counts"),
                 &T::leave_out},
                {text("under_floor", "what its floor lies on where that is the ground; as [ground] says unless typed"),
                 &T::under_floor},
                {shared(number("heating_load", Kind::power, 0, 1e7,
                               "stands instead of the computed one, and is shown beside it")),
                 &T::heating_load},
                {shared(number("sensible_load", Kind::power, 0, 1e7, "the same of sensible cooling")),
                 &T::sensible_load},
                {shared(number("latent_load", Kind::power, 0, 1e7, "the same of latent cooling, with sensible_load")),
                 &T::latent_load},
                text_key("load_reason", &T::load_reason, "why loads were typed; printed with them"),
                note_key<T>(),
            },
            {Nested{"opening", &T::openings}.with_own_file().in_one_part(),
             Nested{"face", &T::faces}.with_own_file(),
             Nested{"transfer_air", &T::transfer_air}.with_own_file().in_one_part(),
             Nested{"gain", &T::gains}.with_own_file()})
            .with_part(&T::use);
    return all;
}

const KeySpec& whose_room(const RecordSpec& lines)
{
    constexpr std::string_view meaning = "the room that it belongs to";
    static const KeySpec usual = must(naming("room", {"room"}, meaning)),
                         beside_another = must(naming("of room", {"room"}, meaning));
    return lines.find_key("room") != nullptr ? beside_another : usual;
}

} // namespace venture::input
