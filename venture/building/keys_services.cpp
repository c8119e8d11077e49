#include <venture/building/key_shorthand.hpp>

namespace venture::quantity {

using namespace building;          // NOLINT(google-build-using-namespace): the tables whose keys these are
using namespace building::declare; // NOLINT(google-build-using-namespace): words that only declare keys

template <>
std::span<const Key<CircuitInput>> keys<CircuitInput>()
{
    using T = CircuitInput;
    static const std::vector<Key<T>> all = {
        name_key<T>("what rooms call it"),
        {must(word("carries", "what it brings to the rooms", {"heating", "cooling"})), &T::carries},
        {must(number("supply", Kind::temperature, 3, 95, "water to the units")), &T::supply},
        {must(number("return", Kind::temperature, 4, 90, "water back from the units")), &T::back},
        {must(word("unit", "terminal unit on it", {"radiator", "fan coil"})), &T::unit},
        text_key<T>("plant", &T::plant, "plant that feeds it", true),
        {otherwise(number("diversity", Kind::fraction, 0.01, 1,
                          "share of what its rooms need together that it meets at once"),
                   1.0, "all of it"),
         &T::diversity},
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
        {must(word("kind", "what it is", {"boiler", "chiller"})), &T::kind},
        {otherwise(number("margin", Kind::fraction, 0, 1, "allowance on the sum of what its rooms need"), 0.0,
                   "none unless typed"),
         &T::margin},
        {otherwise(number("diversity", Kind::fraction, 0.01, 1,
                          "share of what its circuits need together that it meets at once; before the margin"),
                   1.0, "all of it"),
         &T::diversity},
        {otherwise(whole(number("units", Kind::number, 1, 12, "how many equal units share the duty")), 1.0, "one"),
         &T::units},
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
        {must(word("duty", "which of its duties", {"heating", "cooling"})), &T::duty},
        text_key<T>("product", &T::product, "name in the catalogue", true),
        {otherwise(whole(number("count", Kind::number, 1, 100, "how many")), 1.0, "one"), &T::count},
        {number("chosen_for", Kind::power, 0, 1e8,
                "the duty when it was settled on; tells whether loads have moved since"),
         &T::chosen_for},
        note_key<T>(),
    };
    return all;
}

} // namespace venture::quantity
