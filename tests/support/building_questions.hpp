#pragma once
/// What tests ask of a building, and of what was told about it.

#include <algorithm>
#include <stdexcept>
#include <string>
#include <string_view>
#include <vector>

#include <small_building.hpp>

namespace venture::testing_data {

inline quantity::TextList texts(std::initializer_list<const char*> all)
{
    quantity::TextList out;
    for (const char* text : all) out.push_back({text, {}});
    return out;
}

inline input::Input with_rooms(std::vector<input::RoomInput> rooms)
{
    input::Input in = shell();
    in.rooms = std::move(rooms);
    return in;
}

/// Of a room's face so called, towards what is so called, m2.
inline double area_of(const building::Building& b, std::string_view room, std::string_view face,
                      std::string_view beyond)
{
    double sum = 0.0;
    for (const building::Surface& s : b.surfaces)
        if (b.rooms[s.room].name == room && s.parent == face && s.name.ends_with(" to " + std::string{beyond}))
            sum += s.gross_m2;
    return sum;
}

inline const building::Surface& surface_called(const building::Building& b, std::string_view name)
{
    const auto at = std::ranges::find(b.surfaces, name, &building::Surface::name);
    if (at == b.surfaces.end()) throw std::runtime_error{"no surface is called " + std::string{name}};
    return *at;
}

/// The first problem of a code, in words; empty if there is none.
inline std::string told(const input::Input& in, std::string_view code)
{
    const resolve::Resolved r = resolve::resolve(in);
    const auto at = std::ranges::find(r.problems, code, &quantity::Problem::code);
    return at == r.problems.end() ? std::string{} : at->message;
}

} // namespace venture::testing_data
