#pragma once
/// How an air handler makes air of one temperature from outdoor air, what comes back from the rooms, recovery, and its
/// coils: as little heating and cooling as the hour allows.

#include <array>
#include <cstdint>
#include <optional>
#include <string_view>

#include <venture/air/point.hpp>
#include <venture/air/processes.hpp>
#include <venture/input/air_supply.hpp>

namespace venture::airside {

using input::FreeCooling;

/// Whether it may. Both as they are, before any recovery.
[[nodiscard]] bool may_cool(FreeCooling rule, const air::Point& outdoor, const air::Point& back);

/// Share of outdoor air for which the mixture has a temperature, by straight lines of temperature; outdoor air alone
/// where it is as warm or warmer. @throws quantity::RangeError  a least share outside 0..1
[[nodiscard]] double outdoor_share_by_temperature(double outdoor_C, double back_C, double wanted_C, double least_share);

struct Handling {
    FreeCooling rule = FreeCooling::none;
    air::MoistAir outdoor, back; ///< back: what comes from the rooms
    double wanted_C = 14.0;      ///< behind the coils
    double least_outdoor_share = 0.2;
    double bypass_factor = 0.1;                     ///< of the cooling coil
    std::optional<double> recovery_effectiveness{}; ///< sensible, in the outdoor air before it is mixed; nothing: none
};

struct Handled {
    enum class Mode : std::uint8_t { heating, recovery_modulated, free_cooling, cooling };
    Mode mode = Mode::cooling;
    double outdoor_share = 0.0;
    double recovery_bypass_share = 0.0;
    air::Point outdoor_after_recovery{}, mixed{}, off_coil{};
    double recovered_J_per_kg = 0.0, heating_J_per_kg = 0.0; ///< per kg of dry air supplied
    std::optional<air::CooledTo> coil{};                     ///< nothing: idle
};
/// "heating", "recovery modulated", "free cooling", "cooling".
[[nodiscard]] std::string_view name_of(Handled::Mode mode);

/// In this order: what is too cold with all recovery is heated; recovery is bypassed as far as the air would get too
/// warm; outdoor air beyond its least cools while the rule allows it; the coil cools what is left. So no hour has
/// recovery that heats air which is then cooled.
/// @throws quantity::RangeError  a share or effectiveness outside 0..1; what air::cooled_to() throws
[[nodiscard]] Handled handle(const Handling& given);

} // namespace venture::airside
