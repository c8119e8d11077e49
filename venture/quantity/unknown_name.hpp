#pragma once
/// What is said of a name that nothing bears, wherever it is looked up.

#include <span>
#include <string>
#include <string_view>

#include <venture/quantity/problem.hpp>

namespace venture::quantity {

/// An error V202: with the nearest name, else with those that there are.
/// @param what  should bear it: "room type"   @param there  names that it could be
/// @param offered  names that could be had besides, for a near one only
[[nodiscard]] Problem unknown_name(std::string_view what, std::string_view name, OriginId where,
                                   std::span<const std::string> there, std::span<const std::string> offered = {});

} // namespace venture::quantity
