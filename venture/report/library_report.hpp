#pragma once
/// What a library holds, listed with the values that choose between its records.

#include <string>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/figure/document.hpp>
#include <venture/input/input.hpp>

namespace venture::report {

/// @param library  materials, build-ups, panes, glazings, shades, room types and hours, and nothing else
/// @param completed  what follows from it
/// @param word     only records whose name holds it, capitals or not; empty for all
[[nodiscard]] figure::Document library_document(const input::Input& library, const building::Building& completed,
                                                const std::string& word);

/// Its tables, before any row.
[[nodiscard]] std::vector<figure::Declaration> library_declarations();

} // namespace venture::report
