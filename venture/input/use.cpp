#include <venture/input/use.hpp>

#include <venture/input/key_shorthand.hpp>

namespace venture::input {

using namespace declare; // NOLINT(google-build-using-namespace): words that only declare keys

GainInput::GainInput() = default;
GainInput::GainInput(const GainInput&) = default;
GainInput::GainInput(GainInput&&) noexcept = default;
GainInput& GainInput::operator=(const GainInput&) = default;
GainInput& GainInput::operator=(GainInput&&) noexcept = default;
GainInput::~GainInput() = default;

const RecordSpec& GainInput::spec()
{
    using T = GainInput;
    static const RecordSpec all = RecordSpec::of<T>({
        name_key<T>("what it is: \"copier\"; a room's own stands instead of that of its type"),
        {otherwise_word(text("kind", "whose share of the load it is counted to; cooking has usual shares of its own"),
                        "equipment", "equipment unless typed"),
         &T::kind},
        {shared(number("power", Kind::power, 0, 1e7, "heat of one piece at full, all forms together")), &T::power},
        {instead_of({"power"},
                    number("power_per_area", Kind::power_per_area, 0, 5000, "instead, for each square metre of floor")),
         &T::power_per_area},
        {otherwise(number("count", Kind::number, 0, 1e5, "how many pieces"), 1.0, "one"), &T::count},
        {shared(
             number("moisture", Kind::moisture_flow, 0, 1, "water that one piece evaporates, beside its latent share")),
         &T::moisture},
        {otherwise_by(share("radiant", "share of its heat that radiates"), "kind",
                      {{"equipment", 0.3}, {"lighting", 0.5}, {"cooking", 0.25}},
                      "ASHRAE Handbook - Fundamentals, rounded; cooking without a hood"),
         &T::radiant},
        {otherwise_by(share("latent", "share of its heat that evaporates water"), "kind",
                      {{"equipment", 0.0}, {"lighting", 0.0}, {"cooking", 0.25}},
                      "ASHRAE Handbook - Fundamentals, rounded; cooking without a hood"),
         &T::latent},
        {otherwise(share("lost", "share of its heat that leaves at once, as through a hood over it"), 0.0, "none"),
         &T::lost},
        {otherwise(
             share("to_void", "share of its heat that goes into the void over the ceiling (void_room of the room)"),
             0.0, "none"),
         &T::to_void},
        {when("profile", "when: a profile, a calendar, or hours"), &T::profile},
        note_key<T>(),
    });
    return all;
}

UseInput::UseInput() = default;
UseInput::UseInput(const UseInput&) = default;
UseInput::UseInput(UseInput&&) noexcept = default;
UseInput& UseInput::operator=(const UseInput&) = default;
UseInput& UseInput::operator=(UseInput&&) noexcept = default;
UseInput::~UseInput() = default;

const RecordSpec& UseInput::spec()
{
    using T = UseInput;
    static const RecordSpec all = RecordSpec::of<T>({
        {number("heating_setpoint", Kind::temperature, -10, 40, "held at least; unheated unless typed"),
         &T::heating_setpoint},
        {number("cooling_setpoint", Kind::temperature, 5, 50, "held at most; not cooled unless typed"),
         &T::cooling_setpoint},
        {number("humidity_limit", Kind::fraction, 0.05, 1,
                "relative humidity of its air above which the room is dried, cooled or not; unless typed 50 % on "
                "cooling design days (our assumption), and floating in a year"),
         &T::humidity_limit},
        {instead_of({"humidity_limit"}, number("dew_point_limit", Kind::temperature, -40, 40,
                                               "instead of humidity_limit: dew point above which the room is dried")),
         &T::dew_point_limit},
        {instead_of({"humidity_limit"},
                    number("humidity_ratio_limit", Kind::humidity_ratio, 0.0001, 0.1,
                           "instead of humidity_limit: humidity ratio above which the room is dried")),
         &T::humidity_ratio_limit},
        {number("least_humidity", Kind::fraction, 0.01, 1,
                "relative humidity of its air below which the room is humidified; it is not unless typed"),
         &T::least_humidity},
        {instead_of({"least_humidity"}, number("least_dew_point", Kind::temperature, -40, 40,
                                               "instead of least_humidity: dew point below which it is humidified")),
         &T::least_dew_point},
        {instead_of({"least_humidity"},
                    number("least_humidity_ratio", Kind::humidity_ratio, 0.0001, 0.1,
                           "instead of least_humidity: humidity ratio below which it is humidified")),
         &T::least_humidity_ratio},
        {number("heating_setback", Kind::temperature, -10, 40,
                "held at least outside the heating profile; the room is then heated up before each of its hours"),
         &T::heating_setback},
        {naming_hours("heating_profile",
                      "when the heating set-point holds, with heating_setback; a share lies between the two"),
         &T::heating_profile},
        {beside("heating_setback",
                otherwise(number("preheating", Kind::hours, 1, 24,
                                 "time in which the set-point rises from setback before the profile begins"),
                          2.0, own)),
         &T::preheating},
        {number("cooling_setback", Kind::temperature, 5, 60, "held at most outside the cooling profile"),
         &T::cooling_setback},
        {naming_hours("cooling_profile", "when the cooling set-point holds, with cooling_setback"),
         &T::cooling_profile},
        {beside("cooling_setback",
                otherwise(number("precooling", Kind::hours, 1, 24,
                                 "time in which the set-point falls from setback before the profile begins"),
                          2.0, own)),
         &T::precooling},
        {otherwise(number("stratification", Kind::temperature_difference, 0, 30,
                          "by how much air under the ceiling is warmer than at the floor while the room is heated"),
                   0.0, "none"),
         &T::stratification},
        {otherwise(number("moisture_buffer", Kind::number, 1, 100,
                          "moisture that the room and what stands in it take up, as a multiple of that of the air"),
                   1.0, "the air alone"),
         &T::moisture_buffer},
        {otherwise_word(text("control", "what set-points refer to"), "operative",
                        "EN 12831-1 and EN 16798-1 state design temperatures as operative"),
         &T::control},
        {otherwise(shared(number("people", Kind::number, 0, 1e5, "number of people")), 0.0, "nobody"), &T::people},
        {instead_of({"people"},
                    number("area_per_person", Kind::area, 0.1, 1000, "instead of people: floor area for each of them")),
         &T::area_per_person},
        {shared(number("people_expected", Kind::number, 0, 1e5,
                       "number of people that what is said otherwise is checked against; nothing is computed from it")),
         &T::people_expected},
        {instead_of(
             {"sensible_per_person", "latent_per_person"},
             text("activity",
                  "instead of heat by person: what people do; the sensible part goes by the temperature of the air")),
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
        {naming_hours(
             "hours",
             "when people, lighting and equipment are there, where their own profiles are not typed: a profile, "
             "a calendar, or hours such as \"08-18\""),
         &T::hours},
        {taken_from("hours", when("people_profile", "when: a profile, a calendar, or hours such as \"08-18\"")),
         &T::people_profile},
        {taken_from("hours", when("lighting_profile", "when")), &T::lighting_profile},
        {taken_from("hours", when("equipment_profile", "when")), &T::equipment_profile},
        {when("moisture_profile", "when"), &T::moisture_profile},
        {when("ventilation_profile", "when"), &T::ventilation_profile},
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
        {naming("air_need", {"air_need"},
                "use whose outdoor air by person and by area it takes, where it types none of its own"),
         &T::air_need},
        {naming_or("windows", "outdoor_air_by", {"air_supply"},
                   "air supply that its outdoor air comes by; \"windows\": straight into the room"),
         &T::outdoor_air_by},
        {number(
             "air_effectiveness", Kind::number, 0.1, 2,
             "of the outdoor air that is supplied, how much people breathe: flows by person and by area are divided by "
             "it (ASHRAE 62.1, EN 16798-1); 1, well mixed, unless typed"),
         &T::air_effectiveness},
        {number(
             "carbon_dioxide_limit", Kind::concentration, 450e-6, 50e-3,
             "outdoor air is at least what keeps carbon dioxide for good below it with everybody there; what control "
             "by carbon dioxide holds; no limit unless typed"),
         &T::carbon_dioxide_limit},
        {beside("carbon_dioxide_limit",
                otherwise(number("carbon_dioxide_per_person", Kind::air_flow, 1e-7, 1e-3, "given off by each person"),
                          20e-3 / 3600.0, "20 L/h: seated, EN 16798-1, annex B")),
         &T::carbon_dioxide_per_person},
        {text("ventilation_control",
              "what outdoor air goes by while its profile has it on: always at full, unless typed; "
              "by how many people are there; or by carbon dioxide"),
         &T::ventilation_control},
        {beside(
             "ventilation_control",
             otherwise(number("least_ventilation", Kind::air_flow_per_area, 0, 1,
                              "outdoor air for the floor area that is kept up while ventilation is controlled and on"),
                       0.0, "what people and the floor need, if that is more")),
         &T::least_ventilation},
        {beside("ventilation_control",
                otherwise(number("ventilation_lag", Kind::hours, 0, 24,
                                 "time constant by which control by head count comes after the people"),
                          0.0, "at once")),
         &T::ventilation_lag},
        {naming("floor_finish", {"build_up"},
                "build-up whose layers lie on its floors (outside to inside is from below): \"carpet\", \"raised "
                "floor\""),
         &T::floor_finish},
        {naming("ceiling_finish", {"build_up"},
                "build-up whose layers hang under its ceilings, from above: \"suspended ceiling\""),
         &T::ceiling_finish},
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
        {shared(number("drying_limit", Kind::moisture_flow, 0, 1,
                       "most moisture that what dries the room can take out: holds in a year, not in design loads; "
                       "unlimited unless typed")),
         &T::drying_limit},
        {shared(number("humidifying_limit", Kind::moisture_flow, 0, 1,
                       "most moisture that what humidifies the room can give: holds in a year, not in design loads; "
                       "unlimited unless typed")),
         &T::humidifying_limit},
        {otherwise(number("radiant_share", Kind::fraction, 0, 1,
                          "of what heats or cools the room: radiates to its surfaces; the rest goes into the air"),
                   0.0, "convective, as room loads are stated unless said otherwise"),
         &T::radiant_share},
        {number("warmest_surface", Kind::temperature, 20, 120,
                "that what heats there may have, where people cannot move away from it; any unless typed"),
         &T::warmest_surface},
        {naming_or("nothing", "heated_by", {"circuit"}, "circuit that heats the room, or \"nothing\""), &T::heated_by},
        {naming_or("nothing", "cooled_by", {"circuit"}, "circuit that cools the room, or \"nothing\""), &T::cooled_by},
    });
    return all;
}

RoomTypeInput::RoomTypeInput() = default;
RoomTypeInput::RoomTypeInput(const RoomTypeInput&) = default;
RoomTypeInput::RoomTypeInput(RoomTypeInput&&) noexcept = default;
RoomTypeInput& RoomTypeInput::operator=(const RoomTypeInput&) = default;
RoomTypeInput& RoomTypeInput::operator=(RoomTypeInput&&) noexcept = default;
RoomTypeInput::~RoomTypeInput() = default;

const RecordSpec& RoomTypeInput::spec()
{
    using T = RoomTypeInput;
    static const RecordSpec all =
        RecordSpec::of<T>(
            {
                name_key<T>("what rooms call it"),
                {naming("like", {"room_type"}, "room type that it takes everything from that is not typed here"),
                 &T::like},
                {text("region", "whose values they are; types of another region than the project's are a finding"),
                 &T::region},
                text_key("purpose", &T::purpose,
                         "what such rooms are for: \"exhibition\"; hours of another purpose are a finding"),
                source_key<T>(),
                note_key<T>(),
            },
            {Nested{"gain", &T::gains}})
            .with_part(&T::use)
            .with_gaps();
    return all;
}

const RecordSpec& DwellingInput::spec()
{
    using T = DwellingInput;
    static const RecordSpec all = RecordSpec::of<T>({
        {number("bedrooms", Kind::number, 0, 50,
                "one more person than bedrooms lives here, after ASHRAE 62.2; they are spread over the rooms by "
                "floor area, where a room states none"),
         &T::bedrooms},
        {instead_of({"bedrooms"}, number("people", Kind::number, 0, 200, "instead of bedrooms: how many live here")),
         &T::people},
        {text("appliances",
              "heat of lighting and appliances after the ASHRAE Handbook - Fundamentals, residential loads (136 W and "
              "2.2 W/m2; a few 60 %, many 150 % of it), spread by floor area where a room states no equipment"),
         &T::appliances},
        {number("plants", Kind::number, 0, 500, "house plants: 10 g of water an hour each, spread by floor area"),
         &T::plants},
        {naming("rooms", {"room"}, "rooms that it is spread over; all heated rooms unless typed"), &T::rooms},
        note_key<T>(),
    });
    return all;
}

} // namespace venture::input
