#include <venture/building/keys.hpp>

namespace venture::quantity {

using namespace building; // NOLINT(google-build-using-namespace): the tables whose keys these are

namespace {

constexpr const char* own = "our assumption";

/// Shorthand for declarations below; members of KeySpec by name where they are not plain.
template <class T, class Field>
Key<T> text_key(std::string_view name, Field field, std::string_view text, bool required = false)
{
    return {{.name = name, .text = text, .required = required}, field};
}

template <class T>
Key<T> note_key()
{
    return text_key<T>("note", &T::note, "anything worth saying; not read");
}

template <class T>
Key<T> name_key(std::string_view text)
{
    return text_key<T>("name", &T::name, text, true);
}

KeySpec number(std::string_view name, Kind kind, double lowest, double highest, std::string_view text)
{
    return {.name = name, .text = text, .kind = kind, .allowed = {lowest, highest}};
}

KeySpec must(KeySpec spec)
{
    spec.required = true;
    return spec;
}

KeySpec must_word(std::string_view name, std::string_view text, std::vector<std::string> choices)
{
    return {.name = name, .text = text, .choices = std::move(choices), .required = true};
}

KeySpec otherwise(KeySpec spec, double value, std::string_view source)
{
    spec.default_value = value;
    spec.default_source = source;
    return spec;
}

KeySpec whole(KeySpec spec)
{
    spec.whole = true;
    return spec;
}

KeySpec listed(KeySpec spec, std::size_t count)
{
    spec.count = count;
    return spec;
}

} // namespace

template <>
std::span<const Key<ProjectInput>> keys<ProjectInput>()
{
    using T = ProjectInput;
    static const std::vector<Key<T>> all = {
        text_key<T>("name", &T::name, "name of the job", true),
        text_key<T>("client", &T::client, "who it is for"),
        text_key<T>("number", &T::number, "job number"),
        text_key<T>("author", &T::author, "who answers for it"),
        text_key<T>("revision", &T::revision, "revision letter or date; the only date that outputs carry"),
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<SiteInput>> keys<SiteInput>()
{
    using T = SiteInput;
    static const std::vector<Key<T>> all = {
        text_key<T>("name", &T::name, "name of the place"),
        {must(number("latitude", Kind::angle, -90, 90, "north positive")), &T::latitude},
        {must(number("longitude", Kind::angle, -180, 180, "east positive")), &T::longitude},
        {must(number("time_zone", Kind::hours, -13, 15, "local standard time minus universal time")), &T::time_zone},
        {otherwise(number("height", Kind::length, -500, 6000, "above sea level"), 0.0, "sea level"), &T::height},
        {otherwise(number("ground_reflectance", Kind::fraction, 0, 1, "share of sunlight the ground throws back"), 0.2,
                   "ASHRAE Handbook - Fundamentals, usual ground"),
         &T::ground_reflectance},
        {otherwise(number("plan_bearing", Kind::angle, -360, 360,
                          "bearing of the plan's upward direction, clockwise from north"),
                   0.0, "plan north is true north"),
         &T::plan_bearing},
        {must(
             number("winter_dry_bulb", Kind::temperature, -60, 30, "outdoor temperature that heating is designed for")),
         &T::winter_dry_bulb},
        {must(number("winter_ground", Kind::temperature, -20, 30, "temperature under ground floors in winter design")),
         &T::winter_ground},
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<MonthInput>> keys<MonthInput>()
{
    using T = MonthInput;
    static const std::vector<Key<T>> all = {
        {must(whole(number("month", Kind::number, 1, 12, "1 to 12; the design day is the 21st"))), &T::month},
        {must(number("dry_bulb", Kind::temperature, -40, 60, "highest of the design day")), &T::dry_bulb},
        {must(number("wet_bulb", Kind::temperature, -40, 40, "coincident with the highest dry bulb")), &T::wet_bulb},
        {must(number("daily_range", Kind::temperature_difference, 0, 40, "highest minus lowest dry bulb of the day")),
         &T::daily_range},
        {must(number("beam_depth", Kind::number, 0.05, 3, "clear-sky optical depth for beam")), &T::beam_depth},
        {must(number("diffuse_depth", Kind::number, 0.5, 5, "clear-sky optical depth for diffuse")), &T::diffuse_depth},
        {must(number("ground", Kind::temperature, -20, 40, "temperature under ground floors in this month")),
         &T::ground},
        {otherwise(number("clock_ahead", Kind::hours, 0, 2, "clocks ahead of standard time (summer time)"), 0.0,
                   "no summer time unless typed"),
         &T::clock_ahead},
        note_key<T>(),
    };
    return all;
}

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

template <>
std::span<const Key<ProfileInput>> keys<ProfileInput>()
{
    using T = ProfileInput;
    static const std::vector<Key<T>> all = {
        name_key<T>("what gains call it"),
        text_key<T>("hours", &T::hours, "clock hours with a fraction: \"08-12 50 %\"; hours not named are 0", true),
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<UseInput>> keys<UseInput>()
{
    using T = UseInput;
    static const std::vector<Key<T>> all = {
        {number("heating_setpoint", Kind::temperature, -10, 40, "held at least; unheated unless typed"),
         &T::heating_setpoint},
        {number("cooling_setpoint", Kind::temperature, 5, 50, "held at most; not cooled unless typed"),
         &T::cooling_setpoint},
        {number("humidity_limit", Kind::fraction, 0.05, 1,
                "relative humidity at the cooling set-point above which cooling dries; floating unless typed"),
         &T::humidity_limit},
        {{.name = "control",
          .text = "what set-points refer to; operative unless typed (EN 12831-1 and EN 16798-1 "
                  "state design temperatures as operative)",
          .choices = {"operative", "air"}},
         &T::control},
        {otherwise(number("people", Kind::number, 0, 1e5, "number of people"), 0.0, "nobody"), &T::people},
        {otherwise(number("sensible_per_person", Kind::power, 0, 1000, "heat given off, without evaporation"), 75.0,
                   "seated light work at 24 degC, ASHRAE Handbook - Fundamentals, rounded"),
         &T::sensible_per_person},
        {otherwise(number("latent_per_person", Kind::power, 0, 1000, "heat given off by evaporation"), 55.0,
                   "seated light work at 24 degC, ASHRAE Handbook - Fundamentals, rounded"),
         &T::latent_per_person},
        {otherwise(number("lighting", Kind::power_per_area, 0, 500, "electric power of the lighting"), 0.0, "none"),
         &T::lighting},
        {otherwise(number("equipment", Kind::power_per_area, 0, 5000, "heat of equipment"), 0.0, "none"),
         &T::equipment},
        {otherwise(number("equipment_power", Kind::power, 0, 1e6, "heat of equipment, added to that per area"), 0.0,
                   "none"),
         &T::equipment_power},
        {otherwise(number("moisture", Kind::moisture_flow, 0, 1, "water that evaporates, beside people"), 0.0, "none"),
         &T::moisture},
        text_key<T>("people_profile", &T::people_profile, "when; all day unless typed"),
        text_key<T>("lighting_profile", &T::lighting_profile, "when; all day unless typed"),
        text_key<T>("equipment_profile", &T::equipment_profile, "when; all day unless typed"),
        text_key<T>("moisture_profile", &T::moisture_profile, "when; all day unless typed"),
        text_key<T>("ventilation_profile", &T::ventilation_profile, "when; all day unless typed"),
        {otherwise(number("infiltration", Kind::air_changes, 0, 50, "outdoor air by leakage"), 0.3, own),
         &T::infiltration},
        {otherwise(number("ventilation_per_person", Kind::air_flow, 0, 10, "outdoor air for each person"), 0.0, "none"),
         &T::ventilation_per_person},
        {otherwise(number("ventilation_per_area", Kind::air_flow_per_area, 0, 1, "outdoor air for the floor area"), 0.0,
                   "none"),
         &T::ventilation_per_area},
        {otherwise(number("ventilation_rate", Kind::air_changes, 0, 100, "outdoor air by volume"), 0.0, "none"),
         &T::ventilation_rate},
        {otherwise(
             number("furniture", Kind::areal_capacity, 0, 1e6, "heat capacity of air's neighbours: furniture, goods"),
             10000.0, "EN ISO 52016-1, default internal heat capacity"),
         &T::furniture},
        text_key<T>("heated_by", &T::heated_by, "circuit that heats the room, or \"nothing\""),
        text_key<T>("cooled_by", &T::cooled_by, "circuit that cools the room, or \"nothing\""),
    };
    return all;
}

template <>
std::span<const Key<RoomTypeInput>> keys<RoomTypeInput>()
{
    using T = RoomTypeInput;
    static const std::vector<Key<T>> all = {name_key<T>("what rooms call it"), note_key<T>()};
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
        text_key<T>("in", &T::in, "face it is in: a side of the compass, or \"roof\"", true),
        {{.name = "kind", .text = "what it is; a window unless typed", .choices = {"window", "door", "roof window"}},
         &T::kind},
        text_key<T>("glazing", &T::glazing, "for windows"),
        {number("u_value", Kind::heat_transfer, 0.1, 7, "for doors"), &T::u_value},
        {must(number("width", Kind::length, 0.05, 100, "of one")), &T::width},
        {must(number("height", Kind::length, 0.05, 50, "of one")), &T::height},
        {number("sill", Kind::length, 0, 50, "above the floor; 0.9 m for windows, 0 for doors unless typed"), &T::sill},
        {number("from_left", Kind::length, 0, 1000,
                "from the left end of the wall seen from outside; spread evenly unless typed"),
         &T::from_left},
        {otherwise(whole(number("count", Kind::number, 1, 1000, "how many alike")), 1.0, "one"), &T::count},
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<FaceInput>> keys<FaceInput>()
{
    using T = FaceInput;
    static const std::vector<Key<T>> all = {
        text_key<T>("on", &T::on, "a side of the compass, \"floor\" or \"roof\"", true),
        {{.name = "beyond",
          .text = "what lies behind it instead of what was found",
          .choices = {"outdoors", "ground", "no exchange", "a temperature"}},
         &T::beyond},
        {number("temperature", Kind::temperature, -60, 80, "behind the face, with beyond = \"a temperature\""),
         &T::temperature},
        text_key<T>("build_up", &T::build_up, "instead of the one in [fabric]"),
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
        text_key<T>("storey", &T::storey, "the storey it stands on", true),
        text_key<T>("type", &T::type, "room type whose values it takes where it has none"),
        {listed(number("at", Kind::length, -1e5, 1e5, "place of its lower left corner on the plan: [x, y]"), 2),
         &T::at},
        {listed(number("size", Kind::length, 0.1, 1e4, "along x and along y: [x, y]"), 2), &T::size},
        {number("corners", Kind::length, -1e5, 1e5, "outline instead of at and size: [[x, y], ...]"), &T::corners},
        {number("height", Kind::length, 1.5, 100, "floor to ceiling; the storey's unless typed"), &T::height},
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<CircuitInput>> keys<CircuitInput>()
{
    using T = CircuitInput;
    static const std::vector<Key<T>> all = {
        name_key<T>("what rooms call it"),
        {must_word("carries", "what it brings to the rooms", {"heating", "cooling"}), &T::carries},
        {must(number("supply", Kind::temperature, 3, 95, "water to the units")), &T::supply},
        {must(number("return", Kind::temperature, 4, 90, "water back from the units")), &T::back},
        {must_word("unit", "terminal unit on it", {"radiator", "fan coil"}), &T::unit},
        text_key<T>("plant", &T::plant, "plant that feeds it", true),
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<PlantInput>> keys<PlantInput>()
{
    using T = PlantInput;
    static const std::vector<Key<T>> all = {
        name_key<T>("what circuits call it"),
        {must_word("kind", "what it is", {"boiler", "chiller"}), &T::kind},
        {otherwise(number("margin", Kind::fraction, 0, 1, "allowance on the sum of what its rooms need"), 0.0,
                   "none unless typed"),
         &T::margin},
        {otherwise(whole(number("units", Kind::number, 1, 12, "how many equal units share the duty")), 1.0, "one"),
         &T::units},
        note_key<T>(),
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<KeptInput>> keys<KeptInput>()
{
    using T = KeptInput;
    static const std::vector<Key<T>> all = {
        text_key<T>("serves", &T::serves, "room or plant it stands for", true),
        {must_word("duty", "which of its duties", {"heating", "cooling"}), &T::duty},
        text_key<T>("product", &T::product, "name in the catalogue", true),
        {otherwise(whole(number("count", Kind::number, 1, 100, "how many")), 1.0, "one"), &T::count},
        {number("chosen_for", Kind::power, 0, 1e8,
                "the duty when it was settled on; tells whether loads have moved since"),
         &T::chosen_for},
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<LoadsInput>> keys<LoadsInput>()
{
    using T = LoadsInput;
    static const std::vector<Key<T>> all = {
        text_key<T>("table", &T::table, "CSV file with a line a room: room, heating, sensible cooling, latent cooling"),
        note_key<T>(),
    };
    return all;
}

} // namespace venture::quantity
