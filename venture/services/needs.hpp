#pragma once
/// What is needed at every node of the services: of rooms alone, as their units take it, and with all allowances.

#include <venture/services/services.hpp>

namespace venture::services {

struct Needs {
    Demands rooms{0}; ///< what rooms need; nothing added, nothing typed at circuits or plants
    Demands taken{0}; ///< as units take it from their water, and as it was typed; without allowances
    Demands full{0};  ///< with allowances
};

/// @param leaves  of rooms (Places::rooms)   @param units_take  what units add
/// @pre there are no rings
[[nodiscard]] Needs needs_of(const Services& services, std::span<const DemandAt> leaves, const PassOn& units_take = {});

/// Who feeds a circuit: "boiler", "heat pump, then boiler", "mixed from warm"; "nothing".
[[nodiscard]] std::string fed_by(const Services& services, std::size_t circuit);

/// Water that brings what a circuit brings: through it, and drawn from the one that it is mixed from, which is less.
struct CircuitWater {
    double flow_kg_per_s = 0.0;
    double drawn_kg_per_s = 0.0; ///< the same where it is not mixed
};
/// @param W  that it brings   @returns not a number with glycol in it: what a mixture carries is not known here
[[nodiscard]] CircuitWater water_of(const Services& services, std::size_t circuit, double W);

/// Hours in which circuits of two services that share pipes both have something to do, each hour of the cooling days.
/// @param heating_on_cooling_days  of rooms, as leaves are: what they need of heating on those days
[[nodiscard]] std::vector<std::size_t> hours_of_both(const Services& services, std::size_t circuit,
                                                     std::span<const DemandAt> leaves,
                                                     std::span<const DemandAt> heating_on_cooling_days);

} // namespace venture::services
