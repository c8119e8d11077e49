#pragma once
/// Walls that the tests of conduction share.

#include <algorithm>

#include <gtest/gtest.h>

#include <venture/fabric/buildup.hpp>

namespace venture::fabric::walls_for_tests {

inline const Material concrete{"concrete", 1.7, 2300, 1000}, wool{"wool", 0.036, 30, 1030},
    steel{"steel", 50, 7800, 450}, board{"board", 0.25, 800, 1000}, paint{"paint", 0.2, 1500, 1000},
    screed{"screed", 1.2, 2000, 1000};

/// From a film of paint to a metre of masonry.
inline std::vector<Buildup> stacks()
{
    return {{"thin board", {{board, 0.0125}}},
            {"heavy concrete", {{concrete, 0.3}}},
            {"metal sandwich", {{steel, 0.0006}, {wool, 0.1}, {steel, 0.0006}}},
            {"insulated outside", {{board, 0.01}, {wool, 0.16}, {concrete, 0.2}, {board, 0.013}}},
            {"with a gap", {{board, 0.013}, {.resistance_m2K_per_W = 0.18}, {board, 0.013}}},
            {"paint on a metre", {{paint, 0.0001}, {concrete, 1.0}}},
            {"stiff", {{steel, 0.0001}, {wool, 0.5}, {concrete, 1.0}}}};
}

inline Buildup heavy_floor() { return {"floor", {{concrete, 0.2}, {screed, 0.06}, {board, 0.01}}}; }

inline std::string name_of_stack(const testing::TestParamInfo<Buildup>& tested)
{
    std::string name = tested.param.name;
    std::ranges::replace(name, ' ', '_');
    return name;
}

} // namespace venture::fabric::walls_for_tests
