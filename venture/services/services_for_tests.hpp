#pragma once
/// Circuits, plants and rooms for tests of services, and kinds of their own: services know none by name.

#include <algorithm>
#include <string>
#include <string_view>
#include <vector>

#include <venture/quantity/codes.hpp>
#include <venture/services/services.hpp>

namespace venture::services::for_tests {

namespace codes = quantity::codes;

inline input::PlantInput plant(const char* name, const char* kind)
{
    input::PlantInput p;
    p.name = std::string{name};
    p.kind = std::string{kind};
    return p;
}

inline input::CircuitInput circuit(const char* name, const char* carries, double supply, double back, const char* from)
{
    input::CircuitInput c;
    c.name = std::string{name};
    c.carries = std::string{carries};
    c.unit = std::string{std::string_view{carries} == "heating" ? "radiator" : "fan coil"};
    c.supply = supply;
    c.back = back;
    c.plant = std::string{from};
    return c;
}

inline input::Input two_circuits()
{
    input::Input in;
    in.plants = {plant("boiler", "boiler"), plant("chiller", "chiller")};
    in.circuits = {circuit("warm", "heating", 70, 50, "boiler"), circuit("cold", "cooling", 7, 12, "chiller")};
    return in;
}

inline Client client(const char* name, bool heated = true, bool cooled = false)
{
    return {.room = name, .heated = heated, .cooled = cooled};
}

/// In the order of the lists.
inline const Kind radiator = {
    .key = "radiator", .words = "radiator", .gives = {Service::heating}, .assumed = rating::AssumedWater{70.0, 55.0}};
inline const Kind fan_coil = {
    .key = "fan_coil", .words = "fan coil", .gives = {Service::cooling}, .assumed = rating::AssumedWater{7.0, 12.0}};
inline const Kind boiler = {.key = "boiler", .words = "boiler", .gives = {Service::heating}};
inline const Kind chiller = {.key = "chiller", .words = "chiller", .gives = {Service::cooling}};

inline Services connected(const input::Input& in, const std::vector<Client>& clients)
{
    static const Kind* const units[] = {&radiator, &fan_coil};
    static const Kind* const plants[] = {&boiler, &chiller};
    return connect(in, clients, {units, plants});
}

inline std::vector<std::size_t> circuits_of(const Services& s, std::size_t room, Service service)
{
    std::vector<std::size_t> out;
    for (const Server& server : s.rooms[room][service]) out.push_back(server.circuit);
    return out;
}

inline bool says(const Services& s, std::string_view code, const char* words)
{
    return std::ranges::any_of(
        s.problems, [&](const auto& p) { return p.code == code && p.message.find(words) != std::string::npos; });
}

} // namespace venture::services::for_tests
