#include <venture/input/air_supply.hpp>

#include <venture/input/key_shorthand.hpp>

namespace venture::input {

using namespace declare; // NOLINT(google-build-using-namespace): words that only declare keys

AirSupplyInput::AirSupplyInput() = default;
AirSupplyInput::AirSupplyInput(const AirSupplyInput&) = default;
AirSupplyInput::AirSupplyInput(AirSupplyInput&&) noexcept = default;
AirSupplyInput& AirSupplyInput::operator=(const AirSupplyInput&) = default;
AirSupplyInput& AirSupplyInput::operator=(AirSupplyInput&&) noexcept = default;
AirSupplyInput::~AirSupplyInput() = default;

const RecordSpec& AirSupplyInput::spec()
{
    using T = AirSupplyInput;
    const quantity::SaysWith gives_all{"gives", {"everything"}}, free{"free_cooling", {"dry bulb", "enthalpy"}};
    const std::vector everything = {gives_all}, cools_for_free = {free}, cools = {gives_all, free},
                      recovers = {quantity::SaysWith{"heat_recovery"}};
    static const RecordSpec all = RecordSpec::of<T>({
        name_key<T>("what rooms call it in outdoor_air_by"),
        {otherwise_word(text("gives",
                             "to its rooms: outdoor air as recovery leaves it, and what stands in the rooms does "
                             "the rest; or everything that they ask for, as an unsized supply"),
                        "outdoor air", own),
         &T::gives},
        // air
        {otherwise_word(text("free_cooling",
                             "more outdoor air than is needed, where it cools: never; while it is colder "
                             "than the air of the room; while it holds less heat, moisture counted too"),
                        "none", own),
         &T::free_cooling},
        {only_with(cools_for_free, otherwise(share("greatest_outdoor_share",
                                                   "of outdoor air in what is supplied while it cools for free"),
                                             1.0, "outdoor air alone")),
         &T::greatest_outdoor_share},
        {otherwise(number("fan_pressure", Kind::pressure, 0, 10000, "of supply and extract fans together"), 1000.0,
                   own),
         &T::fan_pressure},
        {otherwise(number("fan_efficiency", Kind::fraction, 0.05, 1,
                          "of fans, drives and motors together: power is flow times pressure over it"),
                   0.5, own),
         &T::fan_efficiency},
        // recovery
        {otherwise(share("heat_recovery",
                         "share of the difference between outdoor air and the air that leaves, which recovery brings "
                         "outdoor air nearer to it: of the smaller flow"),
                   0.0, "none"),
         &T::heat_recovery},
        {only_with(recovers,
                   otherwise(share("moisture_recovery", "share of the difference in moisture, alike"), 0.0, "none")),
         &T::moisture_recovery},
        {only_with(recovers,
                   otherwise_word(
                       text("bypass", "whether recovery can be passed by, where it would heat air that is then cooled"),
                       "yes", own)),
         &T::bypass},
        {only_with(recovers,
                   number("coldest_exhaust", Kind::temperature, -40, 20,
                          "recovers less, so that the air that leaves gets no colder and does not freeze; no limit "
                          "unless typed")),
         &T::coldest_exhaust},
        {only_with(recovers, naming("returns_through", {"room"},
                                    "ceiling void that air goes back through on its way to recovery; straight "
                                    "from its rooms unless typed")),
         &T::returns_through},
        // bounds
        {only_with(cools,
                   otherwise(number("coldest_supply", Kind::temperature, 5, 40, "of the air that comes to the rooms"),
                             14.0, own)),
         &T::coldest_supply},
        {only_with(everything,
                   otherwise(number("warmest_supply", Kind::temperature, 10, 70, "of the air that comes to the rooms"),
                             40.0, own)),
         &T::warmest_supply},
        {only_with(everything,
                   number("driest_supply", Kind::humidity_ratio, 0, 0.05,
                          "least moisture that air is dried to on its way to the rooms; what a coil leaves at "
                          "3 degC, or half of what the room holds if that is less, unless typed")),
         &T::driest_supply},
        {only_with(everything,
                   number("wettest_supply", Kind::humidity_ratio, 0, 0.05,
                          "most moisture that air is humidified to on its way to the rooms; 90 % at the room's "
                          "temperature unless typed")),
         &T::wettest_supply},
        {only_with(everything,
                   number("greatest_heating", Kind::power_per_area, 0, 1e5,
                          "that its coils can give a room, for each m2 of its floor; moisture and reheat come on top; "
                          "unlimited unless typed")),
         &T::greatest_heating},
        {only_with(everything,
                   number("greatest_cooling", Kind::power_per_area, 0, 1e5,
                          "that its coils can take away, sensible and latent, for each m2 of floor: temperature goes "
                          "first, and what is left dries; reheat comes on top; unlimited unless typed")),
         &T::greatest_cooling},
        text_key("source", &T::source, "where the values come from, in words; printed beside them"),
        note_key<T>(),
    });
    return all;
}

const RecordSpec& ExtractInput::spec()
{
    using T = ExtractInput;
    static const RecordSpec all = RecordSpec::of<T>({
        text_key("name", &T::name, "what it is called in tables; its fixture unless typed"),
        {must(naming("room", {"room"}, "room that the air is taken out of")), &T::room},
        {otherwise_word(text("fixture",
                             "what it is taken out at; says the flow of one where none is typed: wc and urinal 25, "
                             "shower 10, bath 15, kitchenette 25, drying 30 L/s (ASHRAE 62.1, minimum "
                             "exhaust rates, rounded; a hood or another has none)"),
                        "other", own),
         &T::fixture},
        {number("flow", Kind::air_flow, 1e-4, 1000, "of one, at full; that of its fixture unless typed"), &T::flow},
        {otherwise(whole(number("count", Kind::number, 1, 1000, "alike")), 1.0, "one"), &T::count},
        {when("profile", "when"), &T::profile},
        note_key<T>(),
    });
    return all;
}

} // namespace venture::input
