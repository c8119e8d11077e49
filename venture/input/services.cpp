#include <venture/input/services.hpp>

#include <venture/input/key_shorthand.hpp>

namespace venture::input {

using namespace declare; // NOLINT(google-build-using-namespace): words that only declare keys

const RecordSpec& CatalogueColumnInput::spec()
{
    using T = CatalogueColumnInput;
    static const RecordSpec all = RecordSpec::of<T>({
        document_key("holds", &T::holds, "key of the product (\"total\") that the column holds", true),
        document_key("column", &T::column, "its heading in the file", true),
        document_key("unit", &T::unit, "of its numbers, where neither they nor the heading tell it"),
        note_key<T>(),
    });
    return all;
}

const RecordSpec& CatalogueInput::spec()
{
    using T = CatalogueInput;
    static const RecordSpec all = RecordSpec::of<T>(
        {
            document_key(
                "file", &T::file,
                "TOML file of products, or CSV with a line for each, or for each point of a product's table; may lie "
                "outside the project, is never written",
                true),
            {document(text("kind", "what a line of a CSV file is")), &T::kind},
            {document(text("separator", "between cells; detected unless typed")), &T::separator},
            {document(text("decimal_mark", "of numbers; detected unless typed")), &T::decimal_mark},
            {document(text("encoding", "of letters; detected unless typed")), &T::encoding},
            {document(
                 number("header_rows", Kind::number, 1, 2,
                        "1: names, with units in brackets; 2: units in a row of their own; detected unless typed")),
             &T::header_rows},
            note_key<T>(),
        },
        {{"column", &T::columns}});
    return all;
}

const RecordSpec& CircuitInput::spec()
{
    using T = CircuitInput;
    static const RecordSpec all = RecordSpec::of<T>({
        name_key<T>("what rooms call it"),
        {must(text("carries", "what it brings to the rooms")), &T::carries},
        {number("supply", Kind::temperature, 3, 95, "water to the units; must be typed unless it brings no water"),
         &T::supply},
        {number("return", Kind::temperature, 4, 90, "water back from the units; must be typed unless it brings none"),
         &T::back},
        {text("medium", "what it brings heat or cold with; what its units take unless typed: electricity for units "
                        "that have an electric heater besides"),
         &T::medium},
        {otherwise(number("glycol", Kind::fraction, 0, 0.7, "share of glycol in its water"), 0.0, "plain water"),
         &T::glycol},
        {text("unit", "terminal unit on it; must be typed unless its demand is"), &T::unit},
        {naming("plant", {"plant"}, "plant that feeds it; the only one that makes what it carries unless typed"),
         &T::plant},
        {instead_of({"plant"}, naming("plants", {"plant"},
                                      "instead of plant: several that feed it, in order: each gives up to "
                                      "its at_most, the last what is left; or by plant_shares")),
         &T::plants},
        {number("plant_shares", Kind::fraction, 0, 1, "of each of its plants, together 1: instead of in order"),
         &T::plant_shares},
        {instead_of({"plant", "plants"},
                    naming("from", {"circuit"}, "instead of plant: the circuit whose water is mixed for it")),
         &T::from},
        {naming("same_pipes_as", {"circuit"},
                "circuit of the other service whose pipes it shares (two pipes, changed over): both at once is a "
                "finding"),
         &T::same_pipes_as},
        {otherwise(number("diversity", Kind::fraction, 0.01, 1,
                          "share of what its rooms need together that it meets at once"),
                   1.0, "all of it"),
         &T::diversity},
        {otherwise(number("loss", Kind::fraction, 0, 1,
                          "heat that its pipes lose or take up, as a share of what it "
                          "brings"),
                   0.0, "none unless typed"),
         &T::loss},
        {number("radiant_share", Kind::fraction, 0, 1,
                "of what its units give in heating: radiates to surfaces of the room; of their kind unless typed, and "
                "of a room that says its own not asked"),
         &T::radiant_share},
        {text("valve", "in the catalogue: at each of its units; set for the unit's flow in the schedule"), &T::valve},
        {number("pressure_difference", Kind::pressure, 10, 1e6,
                "that the pump leaves for a unit and its valve together; must be typed where there is a valve"),
         &T::pressure_difference},
        {number("demand", Kind::power, 0, 1e9,
                "what is asked of it, typed instead of the sum of its rooms: an air handler's coil; counts in every "
                "hour of its season"),
         &T::demand},
        note_key<T>(),
    });
    return all;
}

const RecordSpec& PlantInput::spec()
{
    using T = PlantInput;
    static const RecordSpec all = RecordSpec::of<T>({
        name_key<T>("what circuits call it"),
        {must(text("kind", "what it is")), &T::kind},
        {otherwise(number("margin", Kind::fraction, 0, 1, "allowance on the sum of what its rooms need"), 0.0,
                   "none unless typed"),
         &T::margin},
        {otherwise(number("diversity", Kind::fraction, 0.01, 1,
                          "share of what its circuits need together that it meets at once; before the margin"),
                   1.0, "all of it"),
         &T::diversity},
        {otherwise(
             number("air_warmer", Kind::temperature_difference, 0, 20,
                    "air that it takes its own heat from or gives it to is warmer than outdoors by this: on a hot "
                    "roof, in a yard"),
             0.0, "as outdoors"),
         &T::air_warmer},
        {otherwise(number("units", Kind::number, 1, 12, "how many equal units share the duty"), 1.0, "one"), &T::units},
        {otherwise(number("standby_units", Kind::number, 0, 11, "of these units: the others suffice without them"), 0.0,
                   "none"),
         &T::standby_units},
        {number("at_most", Kind::power, 0, 1e9,
                "where plants of a circuit stand in order: what it is asked at most; the next one gives the rest"),
         &T::at_most},
        {number("demand", Kind::power, 0, 1e9,
                "what is asked of it, typed instead of the sum of its circuits; counts in every hour of its season"),
         &T::demand},
        note_key<T>(),
    });
    return all;
}

const RecordSpec& ServeInput::spec()
{
    using T = ServeInput;
    static const RecordSpec all = RecordSpec::of<T>({
        {holding("rooms", {"room"}, "rooms by name, * for any letters: \"Office *\"; all unless typed"), &T::rooms},
        {naming("type", {"room_type"}, "only rooms of this type"), &T::type},
        {naming("storey", {"storey"}, "only rooms on this storey"), &T::storey},
        {must(naming_or("nothing", "by", {"circuit"}, "circuit that serves them, or \"nothing\"")), &T::by},
        {text("service", "what for; that of the circuit unless typed"), &T::service},
        {number("share", Kind::fraction, 0, 1,
                "of what they need: the lines of a room that state one must add up to 1"),
         &T::share},
        note_key<T>(),
    });
    return all;
}

const RecordSpec& KeptInput::spec()
{
    using T = KeptInput;
    static const RecordSpec all = RecordSpec::of<T>({
        {must(naming("serves", {"room", "plant"}, "room or plant it stands for")), &T::serves},
        {must(text("duty", "which of its duties")), &T::duty},
        text_key("product", &T::product, "name in the catalogue, or any where gives is typed", true),
        {otherwise(number("count", Kind::number, 1, 100, "how many"), 1.0, "one"), &T::count},
        {number("chosen_for", Kind::power, 0, 1e8,
                "the duty when it was settled on; tells whether loads have moved since"),
         &T::chosen_for},
        {number("gives", Kind::power, 1, 1e8,
                "of one, at the job's temperatures: the product then need not be in the catalogue; of cooling sensible "
                "and latent together"),
         &T::gives},
        {number("gives_sensible", Kind::power, 1, 1e8, "of cooling, without drying; all of it unless typed"),
         &T::gives_sensible},
        {number("sound", Kind::sound_power, 0, 120, "of one, where gives is typed"), &T::sound},
        note_key<T>(),
    });
    return all;
}

const RecordSpec& LoadsInput::spec()
{
    using T = LoadsInput;
    static const RecordSpec all = RecordSpec::of<T>({
        text_key("table", &T::table, "CSV file with a line a room: room, heating, sensible cooling, latent cooling"),
        note_key<T>(),
    });
    return all;
}

} // namespace venture::input
