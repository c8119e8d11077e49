#pragma once
/// Words that declare the keys of products in catalogues.

#include <string_view>

#include <venture/quantity/record.hpp>
#include <venture/rating/product.hpp>

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
inline KeySpec family_key() { return text("family", "products of one family differ in size alone"); }
inline KeySpec cost_key()
{
    return number("cost", Kind::number, 0, 1e9, "in whatever the catalogue counts: an index, or money");
}
inline KeySpec surface_share_key()
{
    return number(
        "surface_share", Kind::fraction, 0, 1,
        "what can be touched is warmer than the room by this share of what its water is; 1 unless typed, less "
        "in a casing");
}
inline KeySpec speed_key() { return text("speed", "of its fan at this rating, where there are several: \"low\""); }
inline KeySpec fan_power_key(std::string_view meaning) { return number("fan_power", Kind::power, 0, 1e5, meaning); }
inline KeySpec sound_key() { return number("sound", Kind::sound_power, 0, 120, "sound power level"); }
inline KeySpec height_key() { return number("height", Kind::length, 0.02, 5, "of the body"); }
inline KeySpec length_key() { return number("length", Kind::length, 0.02, 20, "of the body, along its wall"); }
inline KeySpec depth_key() { return number("depth", Kind::length, 0.005, 3, "of the body, out from its wall"); }

} // namespace venture::rating::keys

namespace venture::rating {

/// Of a record, by whichever of these keys its kind has. A speed becomes part of the name: each is a product of its own.
template <class Data>
[[nodiscard]] Label label_of(const Data& data, std::string from)
{
    Label out{.name = *data.name, .maker = data.maker.value.value_or(""), .from = std::move(from)};
    if constexpr (requires { data.family; }) out.family = data.family.value.value_or("");
    if constexpr (requires { data.speed; }) out.speed = data.speed.value.value_or("");
    if constexpr (requires { data.mounting; }) out.mounting = data.mounting.value.value_or("");
    if constexpr (requires { data.height; }) out.height_m = data.height.value.value_or(unknown);
    if constexpr (requires { data.length; }) out.length_m = data.length.value.value_or(unknown);
    if constexpr (requires { data.depth; }) out.depth_m = data.depth.value.value_or(unknown);
    if constexpr (requires { data.cost; }) out.cost = data.cost.value.value_or(unknown);
    if constexpr (requires { data.surface; }) out.surface_C = data.surface.value.value_or(unknown);
    if constexpr (requires { data.external_pressure; })
        out.external_Pa = data.external_pressure.value.value_or(unknown);
    if constexpr (requires { data.reach; }) out.reach_m = data.reach.value.value_or(unknown);
    if constexpr (requires { data.surface_share; }) out.surface_share = data.surface_share.value.value_or(1.0);
    if (!out.speed.empty()) out.name += " at " + out.speed;
    return out;
}

} // namespace venture::rating
