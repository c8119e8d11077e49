#pragma once
/// Where every number of a zone in the numeric form comes from.

#include <string>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/figure/document.hpp>
#include <venture/loads/compile.hpp>

namespace venture::report {

/// One number that the heat balance works with, how it was made, and who said what it was made from.
struct NumberFrom {
    std::string what{};
    double value = 0.0;
    std::string unit{}, made{}, from{};
};

/// Every number of a room's zone and of the surfaces that it looks at.
/// @param room  index into Building::rooms
[[nodiscard]] std::vector<NumberFrom> numbers_of_room(const building::Building& building,
                                                      const loads::Compiled& compiled, std::size_t room);
[[nodiscard]] figure::Document numbers_document(const std::vector<NumberFrom>& numbers);
/// Its table, before any row.
[[nodiscard]] figure::Declaration number_declaration();

} // namespace venture::report
