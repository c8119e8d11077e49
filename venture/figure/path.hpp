#pragma once
/// Figures by path: "room_load/Boat hall/cooling", with * for any part.

#include <span>
#include <string>
#include <string_view>
#include <vector>

#include <venture/figure/document.hpp>

namespace venture::figure {

/// One cell, and what it is.
struct Figure {
    std::string path{}; ///< table/subject/column; subjects may hold /
    Cell value{};
    Column column{}; ///< of its table
};

/// Every cell of a table that is no subject and not empty; those of totals follow.
[[nodiscard]] std::vector<Figure> figures_of(const Table& table);
/// Of all tables of a document, each path once. @param pattern  empty: all
[[nodiscard]] std::vector<Figure> figures_of(const Document& document, std::string_view pattern = {});

/// Whether a path is meant by a pattern: parts are alike, or the pattern's part is *; letters count as they are.
[[nodiscard]] bool matches(std::string_view path, std::string_view pattern);

/// The parts of "table/subject/column": between the first / and the last; what is missing is empty.
struct PathParts {
    std::string_view table{}, subject{}, column{};
};
[[nodiscard]] PathParts parts_of(std::string_view path);

} // namespace venture::figure
