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
        {otherwise(number("people", Kind::number, 0, 1e5, "number of people"), 0.0, "nobody"), &T::people},
        {number("area_per_person", Kind::area, 0.1, 1000, "instead of people: floor area for each of them"),
         &T::area_per_person},
        {number("people_expected", Kind::number, 0, 1e5,
                "number of people that what is said otherwise is checked against; nothing is computed from it"),
         &T::people_expected},
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
        {otherwise_word(word("people_profile", "when", {}), "always", "all day unless typed"), &T::people_profile},
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
        {number("heating_limit", Kind::power, 0, 1e7,
                "most that what stands in the room can give: holds in a year, not in design loads; unlimited unless "
                "typed"),
         &T::heating_limit},
        {number("cooling_limit", Kind::power, 0, 1e7,
                "most sensible heat that what stands in the room can take away: holds in a year, not in design loads; "
                "unlimited unless typed"),
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

} // namespace venture::quantity
