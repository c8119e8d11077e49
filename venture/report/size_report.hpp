#pragma once
/// What was chosen, as a document.

#include <venture/figure/document.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/study/sizing.hpp>

namespace venture::report {

/// Circuits, units by room, plants, what is and is not in them, and how a choice is made.
[[nodiscard]] figure::Document size_document(const study::Sizing& sizing, const quantity::PreferredUnits& units);

/// Of whom products are, where they were made up; nothing where they are real.
[[nodiscard]] std::string invented_text(const study::Sizing& sizing);

} // namespace venture::report
