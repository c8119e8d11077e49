#include <venture/building/key_shorthand.hpp>

namespace venture::quantity {

using namespace building;          // NOLINT(google-build-using-namespace): the tables whose keys these are
using namespace building::declare; // NOLINT(google-build-using-namespace): words that only declare keys

template <>
std::span<const Key<PlanInput>> keys<PlanInput>()
{
    using T = PlanInput;
    static const std::vector<Key<T>> all = {
        {otherwise_word(word("dimensions",
                             "what lengths on the plan run to; \"outside faces\" are those of outside "
                             "walls, with partitions to their centre lines",
                             {"centre lines", "inside faces", "outside faces"}),
                        "centre lines", own),
         &T::dimensions},
        {otherwise(number("tolerance", Kind::length, 0, 0.1,
                          "gaps, overlaps and crookedness up to this are mended, and told"),
                   0.025, own),
         &T::tolerance},
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<StoreyInput>> keys<StoreyInput>()
{
    using T = StoreyInput;
    static const std::vector<Key<T>> all = {
        name_key<T>("what rooms call it"),
        {must(number("level", Kind::length, -200, 1000, "of the floor above the project's zero")), &T::level},
        {must(number("height", Kind::length, 1.5, 50, "floor to floor")), &T::height},
        text_key<T>("repeats", &T::repeats,
                    "a storey whose rooms stand here as well, called \"Office (second)\"; what is typed for a room of "
                    "that name goes before"),
        text_key<T>("without", &T::without, "rooms of that storey that do not"),
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<RepeatInput>> keys<RepeatInput>()
{
    using T = RepeatInput;
    static const std::vector<Key<T>> all = {
        text_key<T>("name", &T::name,
                    "stands behind the rooms' names: \"Office (north wing)\", from the second time on with a number; "
                    "unless typed the numbers at the end of names count on: \"Office 2\". What is typed for a room "
                    "of such a name goes before"),
        text_key<T>("rooms", &T::rooms, "which rooms", true),
        {listed(number("shift", Kind::length, -1e4, 1e4, "by how much each time, along x and along y: [x, y]"), 2),
         &T::shift},
        {otherwise(whole(number("times", Kind::number, 1, 200, "how often")), 1.0, "once"), &T::times},
        {otherwise(whole(number("count_on", Kind::number, 1, 10000,
                                "by how much numbers at the end of names count on "
                                "each time")),
                   1.0, "one by one"),
         &T::count_on},
        {number("mirror_x", Kind::length, -1e5, 1e5, "before they are shifted, mirrored left to right about this x"),
         &T::mirror_x},
        {number("mirror_y", Kind::length, -1e5, 1e5, "before they are shifted, mirrored top to bottom about this y"),
         &T::mirror_y},
        text_key<T>("storey", &T::storey, "on which they stand; their own unless typed"),
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<OpeningInput>> keys<OpeningInput>()
{
    using T = OpeningInput;
    static const std::vector<Key<T>> all = {
        text_key<T>("name", &T::name, "of the opening"),
        text_key<T>("in", &T::in, "face to outdoors that it is in: a side of the compass, or \"roof\""),
        text_key<T>("to", &T::to,
                    "instead of in: the room that it leads or looks to, through the largest wall between"),
        {otherwise_word(word("kind", "what it is", {"window", "door", "roof window"}), "window",
                        "a window unless typed"),
         &T::kind},
        text_key<T>("glazing", &T::glazing, "for windows; that of [fabric] unless typed"),
        text_key<T>("shade", &T::shade, "for windows; that of [fabric] unless typed, \"none\" for none"),
        {number("u_value", Kind::heat_transfer, 0.1, 7, "for doors; that of [fabric] unless typed"), &T::u_value},
        {number("width", Kind::length, 0.05, 100, "of one, with height"), &T::width},
        {number("height", Kind::length, 0.05, 50, "of one, with width"), &T::height},
        {number("area", Kind::area, 0.01, 5000,
                "instead of width and height, of all together: in the proportions of the wall, in its middle"),
         &T::area},
        {number("share", Kind::fraction, 0.001, 1, "the same, as a share of the wall's gross area"), &T::share},
        {number("sill", Kind::length, 0, 50, "above the floor; 0.9 m for windows, 0 for doors unless typed"), &T::sill},
        {number("from_left", Kind::length, 0, 1000,
                "from the left end of the wall seen from outside; spread evenly unless typed"),
         &T::from_left},
        {number("from_right", Kind::length, 0, 1000, "instead, from the right end"), &T::from_right},
        {otherwise(whole(number("count", Kind::number, 1, 1000, "how many alike")), 1.0, "one"), &T::count},
        {number("opened_per_hour", Kind::number, 0, 3600, "of a door to outdoors: how often each is opened in an hour"),
         &T::opened_per_hour},
        {number("open_for", Kind::hours, 0, 1, "how long it stands open each time; 10 s unless typed"), &T::open_for},
        {number("reveal", Kind::length, 0, 2,
                "by how much the window stands back from the face of the wall: head and "
                "sides shade it; none unless typed"),
         &T::reveal},
        {number("overhang", Kind::length, 0, 20, "depth of a plate over it, from the face of the wall"), &T::overhang},
        {number("overhang_above", Kind::length, 0, 20, "height of that plate above the opening; 0 unless typed"),
         &T::overhang_above},
        {number("overhang_beyond", Kind::length, 0, 100,
                "by how much that plate is longer than the opening on either side; 0 unless typed"),
         &T::overhang_beyond},
        {number("fins", Kind::length, 0, 20, "depth of plates on either side, from the face of the wall"), &T::fins},
        {number("fins_beside", Kind::length, 0, 20, "distance of those plates from the opening; 0 unless typed"),
         &T::fins_beside},
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<FaceInput>> keys<FaceInput>()
{
    using T = FaceInput;
    static const std::vector<Key<T>> all = {
        text_key<T>("on", &T::on, "a side of the compass, \"floor\", \"roof\", or the name of a face"),
        text_key<T>("name", &T::name,
                    "what openings, other faces and outputs call it; it goes along when the room is mirrored or its "
                    "faces are split"),
        {listed(number("corners", Kind::length, -1e5, 1e5,
                       "instead of on: a face of a room that is given by its faces, [[x, y, z], ...] as walked "
                       "round it; x and y on the plan, z above the storey's floor"),
                3),
         &T::corners},
        {word("beyond",
              "what lies behind it instead of what was found; behind a party wall lies a like room, so that nothing "
              "flows through its middle; with \"no exchange\" nothing flows through its far face",
              {"outdoors", "ground", "no exchange", "party wall", "a temperature", "unheated space", "a room"}),
         &T::beyond},
        text_key<T>("room", &T::room,
                    "behind the face, with beyond = \"a room\": for rooms without a place on the plan"),
        {number("temperature", Kind::temperature, -60, 80, "behind the face, with beyond = \"a temperature\""),
         &T::temperature},
        {number("reduction_factor", Kind::fraction, 0, 1,
                "with beyond = \"unheated space\": how far its temperature lies from the room's towards outdoors"),
         &T::reduction_factor},
        {number("warmer_in_winter", Kind::temperature_difference, -30, 60,
                "by how much it is warmer outside this face than outdoors while heating is designed"),
         &T::warmer_in_winter},
        {number("warmer_in_summer", Kind::temperature_difference, -30, 60,
                "the same while cooling is designed, and in a year: as in a garage or roof void"),
         &T::warmer_in_summer},
        {word("sun", "none: in permanent shade", {"none"}), &T::sun},
        text_key<T>(
            "build_up", &T::build_up,
            "instead of the one in [fabric]; its layers run from outside to inside as this room sees them, also "
            "of a wall between rooms"),
        {word("colour", "of its outside: takes up 40, 60 or 80 % of the sun", {"light", "medium", "dark"}), &T::colour},
        {number("absorptance", Kind::fraction, 0, 1, "instead of colour: share of the sun that its outside takes up"),
         &T::absorptance},
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<RoomInput>> keys<RoomInput>()
{
    using T = RoomInput;
    static const std::vector<Key<T>> all = {
        name_key<T>("unique in the project"),
        text_key<T>("storey", &T::storey, "the storey it stands on; that of the room it is like unless typed"),
        text_key<T>("type", &T::type, "room type whose values it takes where it has none"),
        text_key<T>("like", &T::like,
                    "room that it takes everything from that is not typed here, but for its name and place"),
        text_key<T>("thermostat_in", &T::thermostat_in,
                    "room whose thermostat governs this one in a year: what heats or cools it gives the same share of "
                    "its limits, or as much for the floor area where there are none"),
        {listed(number("at", Kind::length, -1e5, 1e5, "place of its lower left corner on the plan: [x, y]"), 2),
         &T::at},
        {listed(number("size", Kind::length, 0.1, 1e4, "along x and along y: [x, y]"), 2), &T::size},
        {number("corners", Kind::length, -1e5, 1e5, "outline instead of at and size: [[x, y], ...]"), &T::corners},
        text_key<T>(
            "walk", &T::walk,
            "outline instead of size, as walked round with a tape from `at`: \"east 5.2, left 3, left 2.4, right "
            "0.8, left 2.8\"; turns are square unless said (\"left 45 deg 2\"), the last side may be left out"),
        text_key<T>("place", &T::place,
                    "instead of at: against another room: \"east of Store, south walls in line\", \"over Store\", "
                    "then, if need be, \"1.2 m further north\""),
        text_key<T>("slopes", &T::slopes,
                    "sloping ceilings that rise from a side of the plan: \"south 1.2 m, 35 deg\": 1.2 m above the "
                    "floor at the south wall, and rising northwards"),
        {number(
             "perimeter", Kind::length, 0.5, 50,
             "cuts the room into a zone of this depth along each wall of perimeter_on and a core, which are rooms by "
             "themselves, \"Office south\" and \"Office core\", with open boundaries between them"),
         &T::perimeter},
        text_key<T>("perimeter_on", &T::perimeter_on, "sides of the compass along which the zones lie, with perimeter"),
        {number("height", Kind::length, 1.5, 100,
                "floor to ceiling; the storey's unless typed, or as high as the slopes go"),
         &T::height},
        {number(
             "ceiling_void", Kind::length, 0, 10,
             "depth of the void over a suspended ceiling: within the height, and so of the walls, but not of the air; "
             "none unless typed"),
         &T::ceiling_void},
        {number("floor_void", Kind::length, 0, 5, "the same of the void under a raised floor"), &T::floor_void},
        text_key<T>("void_room", &T::void_room,
                    "room that is the void over its ceiling: takes the heat that gains send there"),
        {otherwise_word(
             word("status", "whether it stands in both phases of the project", {"as it is", "new", "to be removed"}),
             "as it is", "stands before and after"),
         &T::status},
        {otherwise_word(
             word("leave_out",
                  "yes: stands, but is neither heated nor cooled nor used, and has no loads; its temperature "
                  "floats",
                  {"no", "yes"}),
             "no", "every room counts"),
         &T::leave_out},
        {shared(
             number("heating_load", Kind::power, 0, 1e7, "stands instead of the computed one, and is shown beside it")),
         &T::heating_load},
        {shared(number("sensible_load", Kind::power, 0, 1e7, "the same of sensible cooling")), &T::sensible_load},
        {shared(number("latent_load", Kind::power, 0, 1e7, "the same of latent cooling, with sensible_load")),
         &T::latent_load},
        text_key<T>("load_reason", &T::load_reason, "why loads were typed; printed with them"),
        note_key<T>(),
    };
    return all;
}

} // namespace venture::quantity
