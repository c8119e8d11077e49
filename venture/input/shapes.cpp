#include <venture/input/shapes.hpp>

#include <venture/input/key_shorthand.hpp>

namespace venture::input {

using namespace declare; // NOLINT(google-build-using-namespace): words that only declare keys

const RecordSpec& PlanInput::spec()
{
    using T = PlanInput;
    static const RecordSpec all = RecordSpec::of<T>({
        {otherwise_word(text("dimensions", "what lengths on the plan run to; \"outside faces\" are those of outside "
                                           "walls, with partitions to their centre lines"),
                        "centre lines", own),
         &T::dimensions},
        {otherwise(number("tolerance", Kind::length, 0, 0.1,
                          "gaps, overlaps and crookedness up to this are mended, and told"),
                   0.025, own),
         &T::tolerance},
        note_key<T>(),
    });
    return all;
}

const RecordSpec& StoreyInput::spec()
{
    using T = StoreyInput;
    static const RecordSpec all = RecordSpec::of<T>({
        name_key<T>("what rooms call it"),
        {must(number("level", Kind::length, -200, 1000, "of the floor above the project's zero")), &T::level},
        {must(number("height", Kind::length, 0.3, 50, "floor to floor; a crawl space is a low storey")), &T::height},
        {naming("repeats", {"storey"},
                "a storey whose rooms stand here as well, called \"Office (second)\"; what is typed for a room of "
                "that name goes before"),
         &T::repeats},
        {naming("without", {"room"}, "rooms of that storey that do not"), &T::without},
        note_key<T>(),
    });
    return all;
}

const RecordSpec& RepeatInput::spec()
{
    using T = RepeatInput;
    static const RecordSpec all = RecordSpec::of<T>({
        text_key("name", &T::name,
                 "stands behind the rooms' names: \"Office (north wing)\", from the second time on with a number; "
                 "unless typed the numbers at the end of names count on: \"Office 2\". What is typed for a room "
                 "of such a name goes before"),
        {must(naming("rooms", {"room"}, "which rooms")), &T::rooms},
        {listed(number("shift", Kind::length, -1e4, 1e4, "by how much each time, along x and along y: [x, y]"), 2),
         &T::shift},
        {otherwise(number("times", Kind::number, 1, 200, "how often"), 1.0, "once"), &T::times},
        {otherwise(number("count_on", Kind::number, 1, 10000,
                          "by how much numbers at the end of names count on "
                          "each time"),
                   1.0, "one by one"),
         &T::count_on},
        {number("mirror_x", Kind::length, -1e5, 1e5, "before they are shifted, mirrored left to right about this x"),
         &T::mirror_x},
        {number("mirror_y", Kind::length, -1e5, 1e5, "before they are shifted, mirrored top to bottom about this y"),
         &T::mirror_y},
        {naming("storey", {"storey"}, "on which they stand; their own unless typed"), &T::storey},
        note_key<T>(),
    });
    return all;
}

OpeningInput::OpeningInput() = default;
OpeningInput::OpeningInput(const OpeningInput&) = default;
OpeningInput::OpeningInput(OpeningInput&&) noexcept = default;
OpeningInput& OpeningInput::operator=(const OpeningInput&) = default;
OpeningInput& OpeningInput::operator=(OpeningInput&&) noexcept = default;
OpeningInput::~OpeningInput() = default;

const RecordSpec& OpeningInput::spec()
{
    using T = OpeningInput;
    static const RecordSpec all = RecordSpec::of<T>({
        text_key("name", &T::name, "of the opening"),
        text_key("in", &T::in, "face to outdoors that it is in: a side of the compass, or \"roof\""),
        {naming("to", {"room"}, "instead of in: the room that it leads or looks to, through the largest wall between"),
         &T::to},
        {otherwise_word(text("kind", "what it is; open: between rooms, with nothing in it"), "window",
                        "a window unless typed"),
         &T::kind},
        {naming("glazing", {"glazing"}, "for windows; that of [fabric] unless typed"), &T::glazing},
        {naming_or("none", "shade", {"shade"}, "for windows; that of [fabric] unless typed, \"none\" for none"),
         &T::shade},
        {number("u_value", Kind::heat_transfer, 0.1, 7, "for doors; that of [fabric] unless typed"), &T::u_value},
        {number("width", Kind::length, 0.05, 100, "of one, with height"), &T::width},
        {number("height", Kind::length, 0.05, 50, "of one, with width"), &T::height},
        {number("area", Kind::area, 0.01, 5000,
                "instead of width and height, of all together: in the proportions of the wall, in its middle"),
         &T::area},
        {number("share", Kind::fraction, 0.001, 1, "the same, as a share of the wall's gross area"), &T::share},
        {number("sill", Kind::length, 0, 50,
                "above the floor; 0.9 m for windows, 0 for doors and what is open unless typed"),
         &T::sill},
        {number("from_left", Kind::length, 0, 1000,
                "from the left end of the wall seen from outside; spread evenly unless typed"),
         &T::from_left},
        {number("from_right", Kind::length, 0, 1000, "instead, from the right end"), &T::from_right},
        {otherwise(number("count", Kind::number, 1, 1000, "how many alike"), 1.0, "one"), &T::count},
        {number("opened_per_hour", Kind::number, 0, 3600, "of a door to outdoors: how often each is opened in an hour"),
         &T::opened_per_hour},
        {beside("opened_per_hour", otherwise(number("open_for", Kind::hours, 0, 1, "how long it stands open each time"),
                                             10.0 / 3600.0, own)),
         &T::open_for},
        {number("air_flow", Kind::air_flow, 0, 1000, "through what is open: that much goes either way, at all hours"),
         &T::air_flow},
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
    });
    return all;
}

FaceInput::FaceInput() = default;
FaceInput::FaceInput(const FaceInput&) = default;
FaceInput::FaceInput(FaceInput&&) noexcept = default;
FaceInput& FaceInput::operator=(const FaceInput&) = default;
FaceInput& FaceInput::operator=(FaceInput&&) noexcept = default;
FaceInput::~FaceInput() = default;

const RecordSpec& FaceInput::spec()
{
    using T = FaceInput;
    static const RecordSpec all = RecordSpec::of<T>({
        text_key("on", &T::on, "a side of the compass, \"floor\", \"roof\", or the name of a face"),
        text_key("name", &T::name,
                 "what openings, other faces and outputs call it; it goes along when the room is mirrored or its "
                 "faces are split"),
        {listed(number("corners", Kind::length, -1e5, 1e5,
                       "instead of on: a face of a room that is given by its faces, [[x, y, z], ...] as walked "
                       "round it; x and y on the plan, z above the storey's floor"),
                3),
         &T::corners},
        {text("beyond",
              "what lies behind it instead of what was found; behind a party wall lies a like room, so that nothing "
              "flows through its middle; with \"no exchange\" nothing flows through its far face"),
         &T::beyond},
        {naming("room", {"room"}, "behind the face, with beyond = \"a room\": for rooms without a place on the plan"),
         &T::room},
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
        {naming("build_up", {"build_up"},
                "instead of the one in [fabric]; its layers run from outside to inside as this room sees them, also "
                "of a wall between rooms"),
         &T::build_up},
        {text("colour", "of its outside: takes up 40, 60 or 80 % of the sun"), &T::colour},
        {number("absorptance", Kind::fraction, 0, 1, "instead of colour: share of the sun that its outside takes up"),
         &T::absorptance},
        note_key<T>(),
    });
    return all;
}

const RecordSpec& ObstructionInput::spec()
{
    using T = ObstructionInput;
    static const RecordSpec all = RecordSpec::of<T>({
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
    });
    return all;
}

} // namespace venture::input
