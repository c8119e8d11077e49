#pragma once
/// What a run decided, stage by stage: what every supply did, and which films it used. Replayed, the heat balance is
/// linear: forcings can be run one by one, and their loads add up to that of the run.

#include <cstdint>
#include <vector>

namespace venture::balance {

/// What a zone's supply did.
enum class Action : std::uint8_t { off, heating, cooling, heating_at_limit, cooling_at_limit };

/// What supply air did.
struct AirFlow {
    double W_per_K = 0.0;   ///< of all of it
    double recovered = 0.0; ///< share of the difference to the air that leaves which the least flow was brought
};

/// Of a whole period; filled by HeatBalance::advance() step by step.
struct Recording {
    std::size_t stages = 0, zones = 0, films = 0, bodies = 0, supplies = 0; ///< of the period; of the model
    std::vector<Action> actions{};                                          ///< stages x zones
    std::vector<double> film_values{};                                      ///< stages x films, W/m2K
    std::vector<double> sensible_factors{};                                 ///< stages x bodies
    std::vector<AirFlow> air_flows{};                                       ///< stages x zones with supply air
    // only where asked for: what one room needs to be replayed by itself
    bool with_faces = false;
    std::vector<double> air_C{};                   ///< stages x zones
    std::vector<double> face_C{}, flux_W_per_m2{}; ///< stages x surfaces x (outside, inside); flux into the wall
};

} // namespace venture::balance
