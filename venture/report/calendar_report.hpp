#pragma once
/// A profile or calendar taken apart: rules, full-load hours by month, design days, hours of its profiles.

#include <vector>

#include <venture/building/building.hpp>
#include <venture/figure/document.hpp>

namespace venture::report {

[[nodiscard]] figure::Document calendar_document(const building::Building& building,
                                                 const calendar::Calendar& calendar);
/// Its tables, before any row.
[[nodiscard]] std::vector<figure::Declaration> calendar_declarations();

} // namespace venture::report
