#pragma once
/// The public-domain TMY3 comma-separated form: one station line, headings, 8,760 records. Internal to exchange.
/// Source    Wilcox and Marion 2008, Users Manual for TMY3 Data Sets, NREL/TP-581-43156, tables 1-1 to 1-4

#include <string>

#include <venture/input/input.hpp>
#include <venture/quantity/problems.hpp>

namespace venture::exchange::detail {

/// Whether a file looks like it.
[[nodiscard]] bool is_tmy3(const std::string& text);

/// Describes the form, and takes name and place from the station line unless they are stated.
void describe_tmy3(const std::string& text, const std::string& file, input::WeatherInput& stated,
                   quantity::OriginPool& origins, quantity::Problems& problems);

} // namespace venture::exchange::detail
