#pragma once
/// What there is to choose from, kind by kind.

#include <string>
#include <vector>

#include <venture/figure/table.hpp>
#include <venture/rating/kind.hpp>

namespace venture::report {

/// A table of the products of a kind, its columns the keys of their catalogue.
[[nodiscard]] figure::Declaration product_declaration(const rating::Kind& kind);
/// Those that meet every condition. @param where  "length <= 1 m", "maker = Tansy"; a key, one of = < > <= >=, a value
/// @throws quantity::Error for a condition that is none, with what would do
[[nodiscard]] figure::Table product_table(const rating::Stocks& stocks, const rating::Kind& kind,
                                          const std::vector<std::string>& where);

} // namespace venture::report
