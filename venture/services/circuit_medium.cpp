#include <venture/services/circuit_medium.hpp>

#include <initializer_list>
#include <tuple>

#include <fmt/format.h>

#include <venture/quantity/article.hpp>
#include <venture/quantity/codes.hpp>

namespace venture::services {

using input::CircuitInput;
using quantity::OriginId;
using quantity::Severity;
namespace codes = quantity::codes;

Medium medium_of(const CircuitInput& c, Service service, const Kind* unit, const Teller& say)
{
    const Medium usual = unit != nullptr ? unit->medium : Medium::water;
    const auto typed = c.medium.which();
    if (!typed) return usual;
    const Medium medium = *typed == input::CircuitMedium::electricity ? Medium::electricity : Medium::water;
    if (unit != nullptr && !unit->takes(medium))
        say(Severity::error, codes::contradiction, c.medium.origin,
            fmt::format("circuit '{}' brings {}, and {} takes {}", *c.name, name_of(medium),
                        quantity::with_article(*c.unit), name_of(unit->medium)),
            "leave medium out, or put other units on it");
    else if (medium == Medium::electricity && service != Service::heating)
        say(Severity::error, codes::contradiction, c.medium.origin,
            fmt::format("circuit '{}' carries {} with electricity", *c.name, name_of(service)),
            "electric heaters heat; what cools here takes chilled water");
    return medium;
}

bool has_sound_water(const CircuitInput& c, Service service, const Teller& say)
{
    for (const auto& [key, given] : {std::pair{"supply", &c.supply}, {"return", &c.back}})
        if (!*given)
            say(Severity::error, codes::missing, c.name.origin,
                fmt::format("circuit '{}': {} is missing", *c.name, key),
                "type the temperature of its water, or medium = \"electricity\"");
    if (!c.supply || !c.back) return false;
    const bool falls = *c.supply > *c.back;
    if (falls != (service == Service::heating))
        say(Severity::error, codes::contradiction, c.back.origin,
            fmt::format("circuit '{}' carries {} with {:g} degC supply and {:g} degC return", *c.name, *c.carries,
                        *c.supply, *c.back),
            "heating water comes back colder, chilled water warmer: were the two swapped?");
    return true;
}

void tell_idle_water(const CircuitInput& c, Medium medium, const Teller& say)
{
    const std::initializer_list<std::tuple<const char*, bool, OriginId>> of_water = {
        {"supply", c.supply.value.has_value(), c.supply.origin},
        {"return", c.back.value.has_value(), c.back.origin},
        {"glycol", c.glycol.value.value_or(0.0) > 0.0, c.glycol.origin},
        {"valve", c.valve.value.has_value(), c.valve.origin},
        {"from", c.from.value.has_value(), c.from.origin},
        {"same_pipes_as", c.same_pipes_as.value.has_value(), c.same_pipes_as.origin}};
    for (const auto& [key, is_given, where] : of_water)
        if (is_given)
            say(Severity::error, codes::contradiction, where,
                fmt::format("circuit '{}' brings {}, and {} says something of water", *c.name, name_of(medium), key),
                "take it out");
}

void tell_odd_valve(const CircuitInput& c, const Teller& say)
{
    if (c.valve.value.has_value() == c.pressure_difference.value.has_value()) return;
    if (c.valve)
        say(Severity::error, codes::missing, c.valve.origin,
            fmt::format("circuit '{}' has valves: pressure_difference is missing", *c.name),
            "type what its pump leaves for a unit and its valve together");
    else
        say(Severity::warning, codes::unused, c.pressure_difference.origin,
            fmt::format("circuit '{}' says pressure_difference, and no valve", *c.name),
            "name the valve at its units, or take it out")
            .subject = fmt::format("circuit/{} pressure_difference", *c.name);
}

} // namespace venture::services
