#pragma once
/// Heat that people give off by what they do.

#include <venture/input/use.hpp>

namespace venture::building {

using input::Activity;

/// Air at which people give off no sensible heat any more.
inline constexpr double no_sensible_heat_C = 39.0;

/// Of one person, W.
struct PersonHeat {
    double sensible_W = 0.0, latent_W = 0.0;
};

/// Men and women as in a usual mix. The whole is the same at every temperature; the sensible part falls by a fifth for
/// every 3 K above 24 degC (and rises below it), within none (from 39 degC on) and all of the whole.
/// Source    ASHRAE Handbook - Fundamentals, nonresidential cooling and heating load calculations, table of heat gain
///           from occupants with its note on 27 degC; asleep is our assumption (0.7 met)
/// @param room_C  of the air round them, degC
[[nodiscard]] PersonHeat heat_of_person(Activity activity, double room_C);

} // namespace venture::building
