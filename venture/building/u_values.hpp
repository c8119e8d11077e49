#pragma once
/// U-values of a building's surfaces and openings, and how they come about.

#include <string>

#include <venture/building/building.hpp>
#include <venture/quantity/ledger.hpp>

namespace venture::building {

/// As u_value() of building.hpp. @param ledger  written to, unless null   @param of  what its lines belong to
double u_value(const Building& building, const Surface& surface, quantity::Ledger* ledger, const std::string& of);
double u_value(const Building& building, const Surface& surface, const Opening& opening, quantity::Ledger* ledger,
               const std::string& of);

} // namespace venture::building
