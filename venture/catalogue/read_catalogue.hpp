#pragma once
/// Product data files into products.

#include <memory>
#include <span>
#include <string>

#include <venture/project/diagnostics.hpp>
#include <venture/quantity/problems.hpp>
#include <venture/rating/kind.hpp>

namespace venture::catalogue {

/// Every kind of product that a catalogue can hold: units, then plant.
[[nodiscard]] std::span<const rating::Kind* const> all_kinds();

struct Catalogue {
    rating::Stocks stocks{};
    quantity::Problems problems{};
    quantity::OriginPool origins{};
    project::Sources sources{};
};

/// Adds the products of one file's text; what is wrong with it is collected, product by product.
void read_catalogue_text(std::string text, const std::string& file, Catalogue& into);

/// Everything that ships, read once.
[[nodiscard]] std::shared_ptr<const Catalogue> shipped_catalogue();

} // namespace venture::catalogue
