#pragma once
/// Internal to `terminal`: units that stand one under each window, or along walls.

#include <optional>
#include <vector>

#include <venture/rating/choosing.hpp>
#include <venture/rating/kind.hpp>
#include <venture/terminal/places.hpp>
#include <venture/terminal/row_choice.hpp>
#include <venture/terminal/selection.hpp>
#include <venture/terminal/wishes.hpp>

namespace venture::terminal {

/// What was chosen, and where each of it stands.
struct PlacedChoice {
    rating::Choice choice{};
    Placing placing = Placing::not_placed;
    std::vector<Standing> standing{};
};

/// Bodies of products at some conditions, within limits that do not hang on places: in the order of their names.
[[nodiscard]] std::vector<Body> bodies_of(rating::Products products, const rating::Wish& wish,
                                          const rating::Asked& asked);

/// One under each window, nearly as wide as it, as long as that is not half as much again as is asked; else shorter ones, or
/// under fewer windows; where windows do not suffice, along walls as well, one after another.
/// @param along  windows, and walls where they do not do; or walls alone
/// @pre places.known
[[nodiscard]] PlacedChoice choose_row_for(rating::Products products, const RoomWish& wish, const RoomPlaces& places,
                                          const rating::Asked& asked, rating::Along along = rating::Along::windows);

/// The same of bodies.
[[nodiscard]] PlacedChoice place_rows(const std::vector<Body>& bodies, const RoomWish& wish, const RoomPlaces& places,
                                      const rating::Duty& duty, rating::Along along = rating::Along::windows);

/// Where some of a product would stand: under the widest windows, then along walls; or at doors.
[[nodiscard]] std::vector<Standing> standing_of(const rating::Product& product, int count, const RoomPlaces& places,
                                                rating::Along along = rating::Along::windows);

} // namespace venture::terminal
