#pragma once
/// How moist or dry a room may get, in the way in which it was said.

#include <cstdint>
#include <optional>
#include <string>

#include <venture/quantity/origin.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/quantity/types.hpp>

namespace venture::building {

struct HumidityLimit {
    enum class By : std::uint8_t { relative, dew_point, ratio };
    By by = By::relative;
    double value = 0.0;           ///< share of saturation; degC; kg/kg
    std::optional<double> at_C{}; ///< air that a relative humidity is of; nothing: the room's own
    quantity::OriginId origin{};
    /// Of air that is just so moist. Only a relative humidity of the room's own air asks for its temperature.
    /// Valid  air and dew point -100..200 degC; infinite where vapour alone would have a higher pressure
    /// @throws quantity::RangeError outside of it
    [[nodiscard]] double humidity_ratio(double air_C, quantity::Pressure pressure) const;
    [[nodiscard]] bool is_of_own_air() const { return by == By::relative && !at_C; }
};

/// "45 %", "45 % at 21 degC", "dew point 9 degC", "7.2 g/kg"
[[nodiscard]] std::string in_words(const HumidityLimit& limit, const quantity::PreferredUnits& units);

} // namespace venture::building
