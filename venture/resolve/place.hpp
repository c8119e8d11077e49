#pragma once
/// What of a place on earth and its seasons can hardly be meant. Internal to resolve.

#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// Latitude and longitude of each other, a longitude of the other sign, metres that were feet.
void look_at_place(Work& work);
/// Summer time in winter, and cooling that is designed for winter alone.
void look_at_seasons(Work& work);

} // namespace venture::resolve
