#pragma once
/// Documents as a page for browsers and printers.

#include <string>

#include <venture/figure/document.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::report {

/// One page that needs nothing beside it: title, sentences, tables with their units and what columns mean.
[[nodiscard]] std::string as_html(const figure::Document& document, const quantity::PreferredUnits& units);

} // namespace venture::report
