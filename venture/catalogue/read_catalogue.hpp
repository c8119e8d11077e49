#pragma once
/// Product data files into products.

#include <memory>
#include <span>
#include <string>

#include <venture/input/input.hpp>
#include <venture/project/sources.hpp>
#include <venture/quantity/problems.hpp>
#include <venture/rating/kind.hpp>

namespace venture::catalogue {

/// Every kind of product that a catalogue can hold: units, then plant; in the order of input::ProductKind.
[[nodiscard]] std::span<const rating::Kind* const> all_kinds();

/// Adds the products of one file's text to those of their kinds; what is wrong with it is collected, product by product.
/// @param origins  that places of problems are kept in
void read_products(std::string text, const std::string& file, quantity::OriginPool& origins,
                   quantity::Problems& problems, rating::Stocks& into);

/// The same of a sheet: CSV with a line for each product or for each point of its table, its columns called by the keys of the
/// kind or described.
void read_sheet(const std::string& bytes, const input::CatalogueInput& sheet, quantity::OriginPool& origins,
                quantity::Problems& problems, rating::Stocks& into);

/// Everything that ships, read once: invented.
[[nodiscard]] std::shared_ptr<const rating::Stocks> shipped_products();

/// What a project may choose from: the products of its own catalogues and, of kinds of which it names none, those that ship.
[[nodiscard]] std::shared_ptr<const rating::Stocks> products_of(input::Input& input, const project::Sources& sources,
                                                                quantity::Problems& problems);

} // namespace venture::catalogue
