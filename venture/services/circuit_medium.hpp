#pragma once
/// What a circuit brings heat or cold with, and whether what was typed of its water goes together. Internal to `services`.

#include <venture/services/services.hpp>
#include <venture/services/telling.hpp>

namespace venture::services {

/// What was typed, or what its units take; tells where both do not go together.
[[nodiscard]] Medium medium_of(const input::CircuitInput& c, Service service, const Kind* unit, const Teller& say);
/// Whether both temperatures are there; tells where they are not, and where they are swapped.
[[nodiscard]] bool has_sound_water(const input::CircuitInput& c, Service service, const Teller& say);
/// Tells what was typed of water that there is none of.
void tell_idle_water(const input::CircuitInput& c, Medium medium, const Teller& say);
/// Tells a valve without pressure, and pressure without a valve.
void tell_odd_valve(const input::CircuitInput& c, const Teller& say);

} // namespace venture::services
