#pragma once
/// Comma-separated text, cell by cell, with the place of each.

#include <cstdint>
#include <string>
#include <vector>

#include <venture/quantity/problem.hpp>

namespace venture::exchange {

struct CsvCell {
    std::string text{};
    std::uint32_t line = 0, column = 0; ///< from 1; the column counts cells
};
using CsvRow = std::vector<CsvCell>;

/// Splits a text into rows after RFC 4180: quoted cells may hold separators, line ends and doubled quotes. The
/// separator is a comma, unless the first line holds semicolons and no comma. Empty lines and lines that begin with #
/// are left out.
/// @param file  name that places are told with
[[nodiscard]] std::vector<CsvRow> parse_csv(std::string_view text, const std::string& file,
                                            quantity::OriginPool& origins, std::vector<quantity::Problem>& problems);

/// One cell as it is written: quoted where it must be.
[[nodiscard]] std::string csv_cell(std::string_view text);

} // namespace venture::exchange
