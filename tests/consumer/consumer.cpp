// Uses an installed Venture as another project would.
#include <cstdio>

#include <venture/air/moist_air.hpp>
#include <venture/balance/periodic_day.hpp>
#include <venture/draw/canvas.hpp>

int main()
{
    using namespace venture;
    const auto air =
        air::MoistAir::from_relative_humidity(air::Temperature::celsius(20.0), 0.5, air::standard_pressure(0.0));
    std::printf("wet bulb %.2f degC\n", air::wet_bulb(air).celsius());
    draw::Canvas canvas{draw::Picture::svg, 10, 10};
    return canvas.finish().empty() || balance::Signal{{1.0}, {3.0}}.mean() != 2.0;
}
