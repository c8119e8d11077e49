/// States of the air through a mixing box, a cooling coil and a fan, as an engineer lists them beside a chart.

#include <cstdio>

#include <venture/air/processes.hpp>
#include <venture/air/state_pair.hpp>

namespace {

using namespace venture::air;

void print(const char* where, const MoistAir& air)
{
    std::printf("%-22s %6.2f degC %6.1f %% %7.2f g/kg %7.2f kJ/kg   wet bulb %6.2f   dew point %6.2f\n", where,
                air.dry_bulb().celsius(), 100.0 * relative_humidity(air), 1000.0 * air.humidity_ratio(),
                enthalpy_J_per_kg(air) / 1000.0, wet_bulb(air).celsius(), dew_point(air).celsius());
}

} // namespace

int main()
{
    const Pressure p = standard_pressure(120.0);
    const MoistAir outdoor = state_from({Fact::dry_bulb, 31.0}, {Fact::wet_bulb, 21.0}, p);
    const MoistAir room = state_from({Fact::dry_bulb, 24.0}, {Fact::relative_humidity, 0.5}, p);
    const Stream fresh{outdoor, dry_air_kg_per_s(outdoor, 0.6)}, back{room, dry_air_kg_per_s(room, 1.4)};

    const MixedAir mix = mixed(fresh, back);
    const CooledAir coil = cooled(mix.air, Temperature::celsius(10.5), 0.12);
    const FanHeat fan = fan_heat(coil.air, 2.0, 650.0, 0.68, 0.92, true);
    const MoistAir supply = heated(coil.air, fan.to_air_W / mix.dry_air_kg_per_s);

    print("outdoor air", outdoor);
    print("room air", room);
    print("mixed", mix.air);
    print("behind the coil", coil.air);
    print("behind the fan", supply);
    const double kg_per_s = mix.dry_air_kg_per_s;
    std::printf("coil: %.2f kW, %.2f kW of it sensible; %.1f kg/h of condensate; apparatus dew point 10.5 degC\n",
                kg_per_s * coil.total_J_per_kg / 1000.0, kg_per_s * coil.sensible_J_per_kg / 1000.0,
                3600.0 * kg_per_s * coil.condensate_kg_per_kg);
    const Apparatus found = apparatus_between(mix.air, coil.air);
    std::printf("read back from the two states: apparatus dew point %.2f degC, bypass factor %.3f\n",
                found.dew_point.celsius(), found.bypass_factor);
    return 0;
}
