#pragma once
/// What there is to say of the valves at units. Internal to study.

#include <vector>

#include <venture/study/sizing.hpp>

namespace venture::study {

/// Valves that no catalogue has, that are too small, that whistle, or that hardly decide the flow.
void add_valve_findings(const Sizing& sizing, const quantity::PreferredUnits& units,
                        std::vector<quantity::Problem>& into);

} // namespace venture::study
