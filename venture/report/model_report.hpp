#pragma once
/// The numeric form of a building, as the heat balance eats it, with where its numbers come from.

#include <string>

#include <nlohmann/json_fwd.hpp>

#include <venture/building/building.hpp>
#include <venture/figure/document.hpp>
#include <venture/loads/compile.hpp>

namespace venture::report {

/// Zones, surfaces and signals in SI; each zone and surface with the origin of what it was made from.
[[nodiscard]] figure::Document model_document(const building::Building& building, const loads::Compiled& compiled);
/// All numbers of a model, signals with every value.
[[nodiscard]] nlohmann::json model_json(const building::Building& building, const loads::Compiled& compiled);

} // namespace venture::report
