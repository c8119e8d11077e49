#pragma once
/// What a case begins with, and who brings the rest when it is asked for.

#include <functional>
#include <memory>
#include <optional>
#include <string>
#include <vector>

#include <venture/climate/weather_year.hpp>
#include <venture/input/input.hpp>
#include <venture/loads/room_loads.hpp>
#include <venture/quantity/problems.hpp>
#include <venture/rating/kind.hpp>

namespace venture::study {

/// Room loads that somebody typed.
struct TypedLoads {
    loads::RoomLoads loads{};
    std::vector<std::string> assumed{}; ///< conditions that they leave open, in words
};

struct Given {
    input::Input input{};
    std::vector<quantity::Problem> problems{}; ///< of reading it
    bool whole = true;                         ///< false: a mistake in the notation kept parts from being read
    /// Adds what the input, with any changes over it, names and has not itself: a library's records, days of a file.
    std::function<void(input::Input&, quantity::Problems&)> complete{};
    /// Reads the weather file that an input names, and tells what is wrong with it.
    std::function<std::optional<climate::WeatherYear>(input::Input&, quantity::Problems&)> weather{};
    /// Reads the table of typed loads that an input names, if it does.
    std::function<std::optional<TypedLoads>(input::Input&, quantity::Problems&)> typed_loads{};
    /// What may be chosen, and what is wrong with catalogues that the input names; asked for when something is.
    std::function<std::shared_ptr<const rating::Stocks>(input::Input&, quantity::Problems&)> products{};
};

} // namespace venture::study
