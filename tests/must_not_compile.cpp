// Compiled by must_not_compile.cmake: without MISTAKE it must compile, with each MISTAKE it must not.
#include <venture/air/moist_air.hpp>

using namespace venture;

void use()
{
    const auto t = quantity::Temperature::celsius(20.0);
    [[maybe_unused]] const auto p = quantity::Pressure::pascal(101325.0);
    [[maybe_unused]] const auto warmer = t + quantity::TemperatureDifference::kelvin(2.0);
#if MISTAKE == 1
    [[maybe_unused]] const auto sum = t + t;
#elif MISTAKE == 2
    [[maybe_unused]] const auto air = air::MoistAir::from_relative_humidity(t, 0.5, 101325.0);
#elif MISTAKE == 3
    [[maybe_unused]] const auto air = air::MoistAir::from_relative_humidity(p, 0.5, t);
#endif
}
