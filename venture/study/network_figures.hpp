#pragma once
/// Circuits and what is needed of them, and what was added or taken off between rooms and plant, as rows of tables.

#include <string>
#include <vector>

#include <venture/figure/tables_of.hpp>
#include <venture/study/sizing.hpp>

namespace venture::study {

/// Who feeds a circuit: "boiler", "heat pump, then boiler", "mixed from warm"; "nothing".
[[nodiscard]] std::string fed_by(const services::Services& services, std::size_t circuit);

/// Water through a circuit that brings so much, kg/s; what a mixed one draws from its source is less than what flows in it.
struct CircuitWater {
    double flow_kg_per_s = 0.0;
    double drawn_kg_per_s = 0.0; ///< from the circuit that it is mixed from; the same where it is not mixed
};
/// @param W  that it brings
[[nodiscard]] CircuitWater water_of(const services::Services& services, std::size_t circuit, double W);

void add_network_tables(figure::TablesOf<Sizing>& tables);

} // namespace venture::study
