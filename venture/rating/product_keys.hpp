#pragma once
/// Words that declare the keys of products in catalogues.

#include <string_view>

#include <venture/quantity/record.hpp>

namespace venture::rating::keys {

using quantity::KeySpec;
using quantity::Kind;

inline constexpr double largest_W = 1e8;

inline KeySpec text(std::string_view called, std::string_view meaning) { return {.name = called, .text = meaning}; }
inline KeySpec number(std::string_view called, Kind kind, double lowest, double highest, std::string_view meaning)
{
    return {.name = called, .text = meaning, .kind = kind, .allowed = {lowest, highest}};
}
inline KeySpec must(KeySpec spec)
{
    spec.required = true;
    return spec;
}
inline KeySpec name_key() { return must(text("name", "as ordered")); }
inline KeySpec maker_key() { return text("maker", "who makes it"); }
inline KeySpec note_key() { return text("note", "not read"); }

} // namespace venture::rating::keys
