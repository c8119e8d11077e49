#pragma once
/// How the output of a heat emitter follows its temperatures.

namespace venture::rating {

/// Logarithmic mean of the excess of water over room, K.
/// Valid     supply and return above the room, supply not below return
/// @throws   quantity::RangeError otherwise
[[nodiscard]] double logarithmic_excess_K(double supply_C, double return_C, double room_C);

/// Excess of the standard rating 75/65/20 degC, logarithmic: 49.83 K.
[[nodiscard]] double standard_excess_K();

/// Output at other temperatures: nominal * (excess / standard excess)^exponent, W.
/// Source    EN 442-2, characteristic equation, with the logarithmic excess temperature.
/// @param nominal_W  at 75/65/20
[[nodiscard]] double emitter_output_W(double nominal_W, double exponent, double supply_C, double return_C,
                                      double room_C);

} // namespace venture::rating
