#pragma once
/// What the program says of itself: the way to begin, and how it ends.

namespace venture::cli {

inline constexpr const char* about = R"(Venture: heating and cooling loads of rooms, terminal units and plant.

A project is a folder that holds project.toml. To begin:
  venture demo my-demo       write a complete example, compute it, say what to try next
  venture new my-job         write a short project to begin from (--starter dwelling, offices, school)
  venture check my-demo      the model as it is understood: areas, U-values, air, what was defaulted
  venture climate my-demo    design conditions, design days and the weather year
  venture loads my-demo      heating and cooling peaks of every room, with month and hour
  venture year my-demo       a year of weather: heat, cold, hours too cold or too warm
  venture size my-demo       radiators, fan coils, boiler and chiller for them
  venture draw plan my-demo  the plan with loads; `draw building` shows it in space, in a browser
  venture watch my-demo      run again at every save, and tell what moved
  venture explain height     what a key of the project file means)";

inline constexpr const char* ending =
    R"(Exit codes: 0 done, 1 done but something asked for is not met, 2 bad input, 3 failure.)";

} // namespace venture::cli
