#pragma once
/// Glazings and shades. Internal to resolve.

#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// Glazings by their values, or by panes, from which the values follow and are filled in.
void add_glazings(Work& work);
void add_shades(Work& work);
/// Of an opening, or else of all; nothing if there is none.
[[nodiscard]] std::optional<std::size_t> shade_of(Work& work, const OpeningInput& opening);

} // namespace venture::resolve
