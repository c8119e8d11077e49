#pragma once
/// How the output of a heat emitter follows its temperatures, and its temperatures the flow.
/// Source: EN 442-2, characteristic equation, with the logarithmic excess temperature unless the arithmetic one is asked for.

#include <optional>

namespace venture::rating {

/// The mean of the excess of water over room that a law is written in.
enum class Mean { logarithmic, arithmetic };

/// Mean of the excess of water over room, K.
/// Valid     supply and return above the room, supply not below return
/// @throws   quantity::RangeError otherwise
[[nodiscard]] double logarithmic_excess_K(double supply_C, double return_C, double room_C);

/// Excess of the standard rating 75/65/20 degC: 49.83 K logarithmic, 50 K arithmetic.
[[nodiscard]] double standard_excess_K(Mean mean = Mean::logarithmic);

/// Output at other temperatures: nominal * (excess / standard excess)^exponent, W.
/// @param nominal_W  at 75/65/20, times what connection and cover leave of it
/// @throws quantity::RangeError as logarithmic_excess_K()
[[nodiscard]] double emitter_output_W(double nominal_W, double exponent, double supply_C, double return_C,
                                      double room_C, Mean mean = Mean::logarithmic);

/// An emitter with water running through it.
struct EmitterState {
    double output_W = 0.0, return_C = 0.0, water_kg_per_s = 0.0;
};
/// Output and return that belong together at a flow. @pre supply above room, flow above 0
[[nodiscard]] EmitterState emitter_at_flow(double nominal_W, double exponent, double supply_C, double room_C,
                                           double water_kg_per_s, Mean mean = Mean::logarithmic);
/// Flow and return for which it gives what is asked. @pre supply above room, required_W above 0
/// @returns nothing if it would not at unlimited flow, or only with a return not above the room
[[nodiscard]] std::optional<EmitterState> emitter_giving(double nominal_W, double exponent, double supply_C,
                                                         double room_C, double required_W,
                                                         Mean mean = Mean::logarithmic);

} // namespace venture::rating
