#pragma once
/// Shorthand for declaring keys. Internal to building.

#include <utility>

#include <venture/building/keys.hpp>

namespace venture::building::declare {

using quantity::Kind;

inline constexpr const char* own = "our assumption";

template <class T, class Field>
Key<T> text_key(std::string_view name, Field field, std::string_view text, bool required = false)
{
    return {{.name = name, .text = text, .required = required}, field};
}

template <class T>
Key<T> note_key()
{
    return {{.name = "note", .text = "anything worth saying; not read", .of_document = true}, &T::note};
}

template <class T>
Key<T> name_key(std::string_view text)
{
    return text_key<T>("name", &T::name, text, true);
}

inline KeySpec number(std::string_view name, Kind kind, double lowest, double highest, std::string_view text)
{
    return {.name = name, .text = text, .kind = kind, .allowed = {lowest, highest}};
}

inline KeySpec must(KeySpec spec)
{
    spec.required = true;
    return spec;
}

inline KeySpec must_or_derive(KeySpec spec)
{
    spec.required = spec.from_weather = true;
    return spec;
}

inline KeySpec word(std::string_view name, std::string_view text, std::vector<std::string> choices)
{
    return {.name = name, .text = text, .choices = std::move(choices)};
}

inline KeySpec otherwise(KeySpec spec, double value, std::string_view source)
{
    spec.default_value = value;
    spec.default_source = source;
    return spec;
}

inline KeySpec otherwise_word(KeySpec spec, std::string_view value, std::string_view source)
{
    spec.default_word = value;
    spec.default_source = source;
    return spec;
}

inline KeySpec asking_outside(KeySpec spec, std::string_view question)
{
    spec.outside = question;
    return spec;
}

/// Of the room as a whole: a part of it has its share.
inline KeySpec shared(KeySpec spec)
{
    spec.when_cut = quantity::WhenCut::by_floor_area;
    return spec;
}

/// From which no result follows.
inline KeySpec document(KeySpec spec)
{
    spec.of_document = true;
    return spec;
}

/// The same, a text.
template <class T, class Field>
Key<T> document_key(std::string_view name, Field field, std::string_view text, bool required = false)
{
    return {{.name = name, .text = text, .required = required, .of_document = true}, field};
}

inline KeySpec whole(KeySpec spec)
{
    spec.whole = true;
    return spec;
}

/// Regions that room types ship for.
inline std::vector<std::string> regions() { return {"Europe", "North America"}; }

/// What people do, in the order of building::Activity.
inline std::vector<std::string> activities()
{
    return {"asleep",  "seated at rest", "seated light work", "office work", "standing",
            "walking", "bench work",     "heavy work",        "sport"};
}

inline KeySpec listed(KeySpec spec, std::size_t count)
{
    spec.count = count;
    return spec;
}

} // namespace venture::building::declare
