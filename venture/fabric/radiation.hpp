#pragma once
/// What long wave follows.

namespace venture::fabric {

inline constexpr double stefan_boltzmann_W_per_m2K4 = 5.670374419e-8; ///< CODATA 2018

} // namespace venture::fabric
