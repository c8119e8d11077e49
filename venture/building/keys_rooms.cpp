#include <venture/building/key_shorthand.hpp>

namespace venture::quantity {

using namespace building;          // NOLINT(google-build-using-namespace): the tables whose keys these are
using namespace building::declare; // NOLINT(google-build-using-namespace): words that only declare keys

template <>
std::span<const Key<ProfileInput>> keys<ProfileInput>()
{
    using T = ProfileInput;
    static const std::vector<Key<T>> all = {
        name_key<T>("what gains call it"),
        text_key<T>("purpose", &T::purpose,
                    "what such hours are of: \"shop\"; in a room of another purpose they are a finding"),
        text_key<T>("hours", &T::hours,
                    "clock hours with a fraction: \"08-12 50 %\", \"06:30-08 10 % to 100 %\" for a ramp; hours not "
                    "named are 0, later ones win"),
        {listed(number("values", Kind::fraction, 0, 1, "instead of hours: 24 fractions, from midnight on"), 24),
         &T::values},
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<DaysInput>> keys<DaysInput>()
{
    using T = DaysInput;
    static const std::vector<Key<T>> all = {
        name_key<T>("what rules of calendars call these days"),
        text_key<T>(
            "dates", &T::dates,
            "\"14 May\", \"24 December to 2 January\", \"2027-05-14\", \"weeks 30 to 33\", a weekday, a month, a "
            "season, or other [[days]] by name"),
        text_key<T>("file", &T::file, "iCalendar file (*.ics) in the project's folder whose events are such days too"),
        text_key<T>("events", &T::events, "only events of the file with this in their summary; all unless typed"),
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<CalendarInput>> keys<CalendarInput>()
{
    using T = CalendarInput;
    static const std::vector<Key<T>> all = {
        name_key<T>("what gains and set-points call it, as they would a profile"),
        text_key<T>(
            "rules", &T::rules,
            "days and the profile (or hours) that they have, later ones win: \"Monday to Friday: office hours\", "
            "\"Saturday in July, August: 09-13\", \"24 December to 2 January: never\", \"holidays: never\" of a "
            "[[days]]",
            true),
        text_key<T>("design_day", &T::design_day,
                    "profile that design days take; the one with the most full-load hours on any day of their month "
                    "unless typed, in winter design of any day"),
        text_key<T>("purpose", &T::purpose, "what such hours are of, as of a profile"),
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<AirtightnessInput>> keys<AirtightnessInput>()
{
    using T = AirtightnessInput;
    static const std::vector<Key<T>> all = {
        {number("permeability", Kind::air_flow_per_area, 0, 0.05,
                "air through the envelope at the test pressure, for each square metre of outside walls, roofs, exposed "
                "floors and their openings"),
         &T::permeability},
        {number("air_changes", Kind::air_changes, 0, 50, "instead: air changes of the whole building at that pressure"),
         &T::air_changes},
        {word("tightness", "instead, where nobody measures: taken as 1, 3, 6 or 12 m3/h for each m2 at 50 Pa",
              {"very tight", "tight", "usual", "leaky"}),
         &T::tightness},
        {otherwise(number("test_pressure", Kind::pressure, 1, 200, "that the building is tested at"), 50.0, "ISO 9972"),
         &T::test_pressure},
        {otherwise(
             number("flow_exponent", Kind::number, 0.5, 1, "of the pressure, for tests at another one than 50 Pa"),
             0.67, "usual for cracks, ISO 9972"),
         &T::flow_exponent},
        {otherwise_word(word("shielding", "of the building from wind: by open country, suburbs, or a city's middle",
                             {"none", "moderate", "heavy"}),
                        "moderate", own),
         &T::shielding},
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<DwellingInput>> keys<DwellingInput>()
{
    using T = DwellingInput;
    static const std::vector<Key<T>> all = {
        {whole(number("bedrooms", Kind::number, 0, 50,
                      "one more person than bedrooms lives here, after ASHRAE 62.2; they are spread over the rooms by "
                      "floor area, where a room states none")),
         &T::bedrooms},
        {number("people", Kind::number, 0, 200, "instead of bedrooms: how many live here"), &T::people},
        {word("appliances",
              "heat of lighting and appliances after the ASHRAE Handbook - Fundamentals, residential loads (136 W and "
              "2.2 W/m2; a few 60 %, many 150 % of it), spread by floor area where a room states no equipment",
              {"few", "usual", "many"}),
         &T::appliances},
        {whole(
             number("plants", Kind::number, 0, 500, "house plants: 10 g of water an hour each, spread by floor area")),
         &T::plants},
        text_key<T>("rooms", &T::rooms, "rooms that it is spread over; all heated rooms unless typed"),
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<GainInput>> keys<GainInput>()
{
    using T = GainInput;
    static const std::vector<Key<T>> all = {
        name_key<T>("what it is: \"copier\"; a room's own stands instead of that of its type"),
        {otherwise_word(word("kind", "whose share of the load it is counted to; cooking has usual shares of its own",
                             {"equipment", "lighting", "cooking"}),
                        "equipment", "equipment unless typed"),
         &T::kind},
        {shared(number("power", Kind::power, 0, 1e7, "heat of one piece at full, all forms together")), &T::power},
        {number("power_per_area", Kind::power_per_area, 0, 5000, "instead, for each square metre of floor"),
         &T::power_per_area},
        {otherwise(number("count", Kind::number, 0, 1e5, "how many pieces"), 1.0, "one"), &T::count},
        {shared(
             number("moisture", Kind::moisture_flow, 0, 1, "water that one piece evaporates, beside its latent share")),
         &T::moisture},
        {number("radiant", Kind::fraction, 0, 1,
                "share of its heat that radiates; 30 % of equipment, 50 % of lighting, 25 % of cooking unless typed"),
         &T::radiant},
        {number(
             "latent", Kind::fraction, 0, 1,
             "share of its heat that evaporates water; none of equipment and lighting, 25 % of cooking unless typed"),
         &T::latent},
        {number("lost", Kind::fraction, 0, 1,
                "share of its heat that leaves at once, as through a hood over it; none unless typed"),
         &T::lost},
        {number(
             "to_void", Kind::fraction, 0, 1,
             "share of its heat that goes into the void over the ceiling (void_room of the room); none unless typed"),
         &T::to_void},
        {otherwise_word(word("profile", "when: a profile, a calendar, or hours", {}), "always", "all day unless typed"),
         &T::profile},
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
                "relative humidity at the cooling set-point above which the room is dried, cooled or not; unless typed "
                "50 % on "
                "cooling design days (our assumption), and floating in a year"),
         &T::humidity_limit},
        {number("heating_setback", Kind::temperature, -10, 40,
                "held at least outside the heating profile; the room is then heated up before each of its hours"),
         &T::heating_setback},
        text_key<T>("heating_profile", &T::heating_profile,
                    "when the heating set-point holds, with heating_setback; a share lies between the two"),
        {number("preheating", Kind::hours, 1, 24,
                "time in which the set-point rises from setback before the profile begins; 2 h unless typed"),
         &T::preheating},
        {number("cooling_setback", Kind::temperature, 5, 60, "held at most outside the cooling profile"),
         &T::cooling_setback},
        text_key<T>("cooling_profile", &T::cooling_profile, "when the cooling set-point holds, with cooling_setback"),
        {number("precooling", Kind::hours, 1, 24,
                "time in which the set-point falls from setback before the profile begins; 2 h unless typed"),
         &T::precooling},
        {number("stratification", Kind::temperature_difference, 0, 30,
                "by how much air under the ceiling is warmer than at the floor while the room is heated; none unless "
                "typed"),
         &T::stratification},
        {number("moisture_buffer", Kind::number, 1, 100,
                "moisture that the room and what stands in it take up, as a multiple of that of the air; 1 (the air "
                "alone) unless typed"),
         &T::moisture_buffer},
        {otherwise_word(word("control", "what set-points refer to", {"operative", "air"}), "operative",
                        "EN 12831-1 and EN 16798-1 state design temperatures as operative"),
         &T::control},
        {otherwise(shared(number("people", Kind::number, 0, 1e5, "number of people")), 0.0, "nobody"), &T::people},
        {number("area_per_person", Kind::area, 0.1, 1000, "instead of people: floor area for each of them"),
         &T::area_per_person},
        {shared(number("people_expected", Kind::number, 0, 1e5,
                       "number of people that what is said otherwise is checked against; nothing is computed from it")),
         &T::people_expected},
        {word("activity",
              "instead of heat by person: what people do; the sensible part goes by the temperature of the air",
              activities()),
         &T::activity},
        {otherwise(number("sensible_per_person", Kind::power, 0, 1000, "heat given off, without evaporation"), 75.0,
                   "seated light work at 24 degC, ASHRAE Handbook - Fundamentals, rounded"),
         &T::sensible_per_person},
        {otherwise(number("latent_per_person", Kind::power, 0, 1000, "heat given off by evaporation"), 55.0,
                   "seated light work at 24 degC, ASHRAE Handbook - Fundamentals, rounded"),
         &T::latent_per_person},
        {otherwise(number("lighting", Kind::power_per_area, 0, 500, "electric power of the lighting"), 0.0, "none"),
         &T::lighting},
        {otherwise(shared(number("lighting_power", Kind::power, 0, 1e6, "the same as a whole, added to that per area")),
                   0.0, "none"),
         &T::lighting_power},
        {otherwise(number("equipment", Kind::power_per_area, 0, 5000, "heat of equipment"), 0.0, "none"),
         &T::equipment},
        {otherwise(shared(number("equipment_power", Kind::power, 0, 1e6, "heat of equipment, added to that per area")),
                   0.0, "none"),
         &T::equipment_power},
        {otherwise(shared(number("moisture", Kind::moisture_flow, 0, 1, "water that evaporates, beside people")), 0.0,
                   "none"),
         &T::moisture},
        {otherwise(number("people_radiant", Kind::fraction, 0, 1, "share of their sensible heat that radiates"), 0.6,
                   "ASHRAE Handbook - Fundamentals, rounded"),
         &T::people_radiant},
        {otherwise(number("lighting_radiant", Kind::fraction, 0, 1, "share of the lighting's heat that radiates"), 0.5,
                   "ASHRAE Handbook - Fundamentals, rounded"),
         &T::lighting_radiant},
        {otherwise(number("equipment_radiant", Kind::fraction, 0, 1, "share of the equipment's heat that radiates"),
                   0.3, "ASHRAE Handbook - Fundamentals, rounded"),
         &T::equipment_radiant},
        {otherwise(number("lighting_to_void", Kind::fraction, 0, 1,
                          "share of the lighting's heat that goes into the void over the ceiling: into the room's "
                          "void_room, and out of the building where it names none"),
                   0.0, "none"),
         &T::lighting_to_void},
        {otherwise(number("gain_diversity", Kind::fraction, 0, 1,
                          "share of people, lighting and equipment that is there at once, beside their profiles"),
                   1.0, "all of it"),
         &T::gain_diversity},
        text_key<T>("hours", &T::hours,
                    "when people, lighting and equipment are there, where their own profiles are not typed: a profile, "
                    "a calendar, or hours such as \"08-18\""),
        {otherwise_word(word("people_profile", "when: a profile, a calendar, or hours such as \"08-18\"", {}), "always",
                        "all day unless typed"),
         &T::people_profile},
        {otherwise_word(word("lighting_profile", "when", {}), "always", "all day unless typed"), &T::lighting_profile},
        {otherwise_word(word("equipment_profile", "when", {}), "always", "all day unless typed"),
         &T::equipment_profile},
        {otherwise_word(word("moisture_profile", "when", {}), "always", "all day unless typed"), &T::moisture_profile},
        {otherwise_word(word("ventilation_profile", "when", {}), "always", "all day unless typed"),
         &T::ventilation_profile},
        {otherwise(number("infiltration", Kind::air_changes, 0, 50, "outdoor air by leakage"), 0.3, own),
         &T::infiltration},
        {number("infiltration_summer", Kind::air_changes, 0, 50,
                "the same in the summer half of the year (April to September, south of the equator October to March); "
                "as in winter unless typed"),
         &T::infiltration_summer},
        {otherwise(whole(shared(number("vents", Kind::number, 0, 100, "passive vents and small fans: 10 m3/h each"))),
                   0.0, "none"),
         &T::vents},
        {otherwise(whole(shared(number("flues", Kind::number, 0, 100, "open flues: 20 m3/h each"))), 0.0, "none"),
         &T::flues},
        {otherwise(whole(shared(number("chimneys", Kind::number, 0, 100, "open chimneys: 80 m3/h each"))), 0.0, "none"),
         &T::chimneys},
        {otherwise(number("ventilation_per_person", Kind::air_flow, 0, 10, "outdoor air for each person"), 0.0, "none"),
         &T::ventilation_per_person},
        {otherwise(number("ventilation_per_area", Kind::air_flow_per_area, 0, 1, "outdoor air for the floor area"), 0.0,
                   "none"),
         &T::ventilation_per_area},
        {otherwise(shared(number("ventilation_flow", Kind::air_flow, 0, 1000, "outdoor air of the room as a whole")),
                   0.0, "none"),
         &T::ventilation_flow},
        {otherwise(number("ventilation_rate", Kind::air_changes, 0, 100, "outdoor air by volume"), 0.0, "none"),
         &T::ventilation_rate},
        text_key<T>("floor_finish", &T::floor_finish,
                    "build-up whose layers lie on its floors (outside to inside is from below): \"carpet\", \"raised "
                    "floor\""),
        text_key<T>("ceiling_finish", &T::ceiling_finish,
                    "build-up whose layers hang under its ceilings, from above: \"suspended ceiling\""),
        {otherwise(
             number("furniture", Kind::areal_capacity, 0, 1e6, "heat capacity of air's neighbours: furniture, goods"),
             10000.0, "EN ISO 52016-1, default internal heat capacity"),
         &T::furniture},
        {shared(number(
             "heating_limit", Kind::power, 0, 1e7,
             "most that what stands in the room can give: holds in a year, not in design loads; unlimited unless "
             "typed")),
         &T::heating_limit},
        {shared(number(
             "cooling_limit", Kind::power, 0, 1e7,
             "most sensible heat that what stands in the room can take away: holds in a year, not in design loads; "
             "unlimited unless typed")),
         &T::cooling_limit},
        {otherwise(number("radiant_share", Kind::fraction, 0, 1,
                          "of what heats or cools the room: radiates to its surfaces; the rest goes into the air"),
                   0.0, "convective, as room loads are stated unless said otherwise"),
         &T::radiant_share},
        text_key<T>("heated_by", &T::heated_by, "circuit that heats the room, or \"nothing\""),
        text_key<T>("cooled_by", &T::cooled_by, "circuit that cools the room, or \"nothing\""),
    };
    return all;
}

template <>
std::span<const Key<RoomTypeInput>> keys<RoomTypeInput>()
{
    using T = RoomTypeInput;
    static const std::vector<Key<T>> all = {
        name_key<T>("what rooms call it"),
        text_key<T>("like", &T::like, "room type that it takes everything from that is not typed here"),
        {word("region", "whose values they are; types of another region than the project's are a finding", regions()),
         &T::region},
        text_key<T>("purpose", &T::purpose,
                    "what such rooms are for: \"exhibition\"; hours of another purpose are a finding"),
        text_key<T>("source", &T::source, "where its values come from"),
        note_key<T>(),
    };
    return all;
}

template <>
std::span<const Key<TransferAirInput>> keys<TransferAirInput>()
{
    using T = TransferAirInput;
    static const std::vector<Key<T>> all = {
        text_key<T>("from", &T::from, "room that the air comes from", true),
        {must(number("flow", Kind::air_flow, 0, 1000, "at full")), &T::flow},
        {otherwise_word(word("way", "both: as much goes back, as through an open door or boundary", {"in", "both"}),
                        "in", "air goes one way unless typed"),
         &T::way},
        {otherwise_word(word("profile", "when", {}), "always", "all day unless typed"), &T::profile},
        note_key<T>(),
    };
    return all;
}

namespace {

/// The column of a table of what rooms have that says whose a line is.
template <class Record>
std::span<const Key<OfRoom<Record>>> room_column()
{
    using T = OfRoom<Record>;
    static const std::vector<Key<T>> all = {text_key<T>("room", &T::room, "the room that has it", true)};
    return all;
}

} // namespace

template <>
std::span<const Key<OfRoom<OpeningInput>>> keys<OfRoom<OpeningInput>>()
{
    return room_column<OpeningInput>();
}

template <>
std::span<const Key<OfRoom<GainInput>>> keys<OfRoom<GainInput>>()
{
    return room_column<GainInput>();
}

template <>
std::span<const Key<OfRoom<TransferAirInput>>> keys<OfRoom<TransferAirInput>>()
{
    return room_column<TransferAirInput>();
}

} // namespace venture::quantity
