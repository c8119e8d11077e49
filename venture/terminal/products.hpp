#pragma once
/// Terminal units as products: what a catalogue says of them.

#include <string>
#include <vector>

#include <venture/rating/capacity_table.hpp>

namespace venture::terminal {

/// A radiator rated after EN 442.
struct Radiator {
    std::string name{}, maker{};
    double height_m = 0.0, length_m = 0.0;
    double nominal_W = 0.0; ///< at 75/65/20 degC
    double exponent = 1.3;
};

/// A fan coil that cools, rated over chilled water supply and entering wet bulb.
struct FanCoil {
    std::string name{}, maker{};
    double air_flow_m3_per_s = 0.0;
    double table_dry_bulb_C = 27.0; ///< entering dry bulb of the tables
    double bypass_factor = 0.1;     ///< of the coil; corrects the sensible capacity for other entering dry bulbs
    double water_rise_K = 5.0;      ///< of the tables
    rating::CapacityTable total_W;  ///< rows: water supply, columns: entering wet bulb, degC
    rating::CapacityTable sensible_W;
};

struct Products {
    std::vector<Radiator> radiators{};
    std::vector<FanCoil> fan_coils{};
};

} // namespace venture::terminal
