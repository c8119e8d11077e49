#pragma once
/// Shorthand for declaring keys. Internal to input.

#include <utility>

#include <venture/quantity/record.hpp>

namespace venture::input::declare {

using quantity::Given;
using quantity::Key;
using quantity::KeySpec;
using quantity::Kind;
using quantity::Nested;
using quantity::RecordSpec;

inline constexpr const char* own = "our assumption";

inline KeySpec text(std::string_view name, std::string_view meaning) { return {.name = name, .text = meaning}; }

template <class T, class V>
Key text_key(std::string_view name, Given<V> T::*field, std::string_view text, bool required = false)
{
    return {{.name = name, .text = text, .required = required}, field};
}

template <class T>
Key note_key()
{
    return {{.name = "note", .text = "anything worth saying; not read", .of_document = true}, &T::note};
}

template <class T>
Key name_key(std::string_view text)
{
    return text_key("name", &T::name, text, true);
}

template <class T>
Key source_key()
{
    return text_key("source", &T::source, "where the values come from, in words; printed beside them");
}

inline KeySpec number(std::string_view name, Kind kind, double lowest, double highest, std::string_view text)
{
    return {.name = name, .text = text, .kind = kind, .allowed = {lowest, highest}};
}

/// A number that has units of its own among those of its kind.
inline KeySpec printed_as(std::string_view printed, KeySpec spec)
{
    spec.printed_as = printed;
    return spec;
}

/// Of layers, panes and walls.
inline KeySpec thickness_of(std::string_view name, double lowest, double highest, std::string_view text)
{
    return printed_as("thickness", number(name, Kind::length, lowest, highest, text));
}

/// Of the wind.
inline KeySpec wind_speed(std::string_view name, double highest, std::string_view text)
{
    return printed_as("wind", number(name, Kind::velocity, 0, highest, text));
}

/// A number from 0 to 1.
inline KeySpec share(std::string_view name, std::string_view text) { return number(name, Kind::fraction, 0, 1, text); }

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

/// A text that names a record of a table.
inline KeySpec naming(std::string_view name, std::vector<std::string_view> tables, std::string_view text)
{
    return {.name = name, .text = text, .names = std::move(tables)};
}

/// Texts that hold such names among other words.
inline KeySpec holding(std::string_view name, std::vector<std::string_view> tables, std::string_view text)
{
    return {.name = name, .text = text, .names = std::move(tables), .names_within = true};
}

/// The same, or a word that stands for none.
inline KeySpec naming_or(std::string_view word, std::string_view name, std::vector<std::string_view> tables,
                         std::string_view text)
{
    KeySpec spec = naming(name, std::move(tables), text);
    spec.or_words = {word};
    return spec;
}

/// A profile, a calendar, or hours.
inline KeySpec naming_hours(std::string_view name, std::string_view text)
{
    KeySpec spec = naming(name, {"profile", "calendar"}, text);
    spec.or_words = {"always", "never"};
    spec.or_hours = true;
    return spec;
}

/// When: such hours, or always.
inline KeySpec when(std::string_view name, std::string_view text)
{
    KeySpec spec = naming_hours(name, text);
    spec.default_word = "always";
    spec.default_source = "all day unless typed";
    return spec;
}

/// A key that says in another way what some others say.
inline KeySpec instead_of(std::vector<std::string_view> others, KeySpec spec)
{
    spec.instead_of = std::move(others);
    return spec;
}

/// A key that another one speaks for where it is not typed.
inline KeySpec taken_from(std::string_view other, KeySpec spec)
{
    spec.taken_from = other;
    return spec;
}

/// A default that only says something beside another key.
inline KeySpec beside(std::string_view other, KeySpec spec)
{
    spec.default_with = other;
    return spec;
}

/// A key that says nothing unless another one holds.
inline KeySpec only_with(std::vector<quantity::SaysWith> any_of, KeySpec spec)
{
    spec.says_with = std::move(any_of);
    return spec;
}

inline KeySpec otherwise_by(KeySpec spec, std::string_view key, std::vector<quantity::DefaultBy::Case> cases,
                            std::string_view source)
{
    spec.default_by = {key, std::move(cases)};
    spec.default_source = source;
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
template <class T, class V>
Key document_key(std::string_view name, Given<V> T::*field, std::string_view text, bool required = false)
{
    return {{.name = name, .text = text, .required = required, .of_document = true}, field};
}

inline KeySpec whole(KeySpec spec)
{
    spec.whole = true;
    return spec;
}

inline KeySpec listed(KeySpec spec, std::size_t count)
{
    spec.count = count;
    return spec;
}

} // namespace venture::input::declare
