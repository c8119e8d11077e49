#pragma once
/// A building as the program understands it, before anything is computed.

#include <venture/building/building.hpp>
#include <venture/figure/document.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::report {

/// Every room with its areas by class, air and gains, storeys and building; hours of use, build-ups, windows, what takes sun, thermal
/// bridges, set-backs; what was taken where nobody said otherwise.
[[nodiscard]] figure::Document check_document(const building::Building& building,
                                              const quantity::PreferredUnits& units);

/// The table of what was taken where nobody said otherwise, before any row.
[[nodiscard]] figure::Declaration taken_declaration();

} // namespace venture::report
