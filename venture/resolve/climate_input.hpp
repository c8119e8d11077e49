#pragma once
/// From what is typed of a site and its weather to what climate works with, and back.

#include <optional>
#include <string>
#include <vector>

#include <venture/climate/derived_conditions.hpp>
#include <venture/climate/synthetic_year.hpp>
#include <venture/input/input.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/problems.hpp>
#include <venture/quantity/record.hpp>

namespace venture::resolve {

using input::Input;
using input::SiteInput;
using input::WeatherInput;
using quantity::Given;

/// Where the site lies; nothing if that was not said, or is impossible.
[[nodiscard]] std::optional<climate::Place> place_of(const SiteInput& site);

/// Where the weather was recorded: what [weather] says of it, else the site.
[[nodiscard]] std::optional<climate::Place> station_of(const Input& input);

/// When clocks are ahead; adds what is wrong with its days to the problems.
[[nodiscard]] std::optional<climate::SummerTime> summer_time_of(const SiteInput& site, quantity::Problems& problems);

/// Whether every value of [weather] is one; what is wrong is told by resolve().
[[nodiscard]] bool is_sound(const WeatherInput& weather);

/// What [weather] says, or the key's default; every key asked for here has one.
[[nodiscard]] double number_of(const WeatherInput& weather, Given<double> WeatherInput::*key);
[[nodiscard]] int number_of(const WeatherInput& weather, quantity::Whole WeatherInput::*key);
template <class E>
[[nodiscard]] E choice_of(const WeatherInput& weather, quantity::Choice<E> WeatherInput::*key)
{
    if (const auto said = (weather.*key).which()) return *said;
    const auto otherwise = quantity::Choice<E>{std::string{quantity::spec_of(key).default_word}}.which();
    VENTURE_ASSERT(otherwise.has_value());
    return *otherwise;
}

/// The synthetic year that a project asks for; nothing, and problems, if months or values are missing.
[[nodiscard]] std::optional<climate::SyntheticRequest> synthetic_request_of(const Input& input,
                                                                            quantity::Problems& problems);

/// Whether the site leaves design conditions open that a weather year can give: all of its months, or a required key.
[[nodiscard]] bool wants_conditions(const SiteInput& site);

/// How rare derived conditions shall be.
[[nodiscard]] climate::Rarity rarity_of(const WeatherInput& weather);

/// Gives the site's open design conditions the derived values; all twelve months where none is typed. What is typed
/// stays. Each value given names the weather it was derived from.
/// @returns paths of the values given
std::vector<std::string> fill_from_weather(Input& input, const climate::DerivedConditions& derived,
                                           const std::string& weather_name);

} // namespace venture::resolve
