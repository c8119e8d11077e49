#pragma once
/// Product data files into products.

#include <map>
#include <string>
#include <vector>

#include <venture/plant/selection.hpp>
#include <venture/project/diagnostics.hpp>
#include <venture/quantity/problems.hpp>
#include <venture/terminal/products.hpp>

namespace venture::catalogue {

struct Catalogue {
    terminal::Products units{};
    plant::Products plants{};
    quantity::Problems problems{};
    quantity::OriginPool origins{};
    std::map<std::string, quantity::OriginId> places{}; ///< of each product, by its name
    project::Sources sources{};
};

/// Adds the products of one file's text; what is wrong with it is collected, product by product.
void read_catalogue_text(std::string text, const std::string& file, Catalogue& into);

/// Everything that ships, read once.
[[nodiscard]] const Catalogue& shipped_catalogue();

} // namespace venture::catalogue
