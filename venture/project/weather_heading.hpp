#pragma once
/// What a weather file says of itself, so that it can be read without a project.

#include <string>

#include <venture/input/input.hpp>
#include <venture/quantity/problems.hpp>

namespace venture::project {

/// Whether a file begins with a description of itself: lines behind #, the first of them "# [weather]", the others keys
/// of that table as a project would have them. To everyone else they are comments.
[[nodiscard]] bool has_weather_heading(const std::string& text);

/// Gives `stated` what the description says and nobody else has said.
void read_weather_heading(const std::string& text, const std::string& file, input::WeatherInput& stated,
                          quantity::OriginPool& origins, quantity::Problems& problems);

} // namespace venture::project
