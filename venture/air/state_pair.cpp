#include <venture/air/state_pair.hpp>

#include <utility>

#include <fmt/format.h>

#include <venture/air/point.hpp>
#include <venture/air/root.hpp>
#include <venture/quantity/error.hpp>

namespace venture::air {

using quantity::check_range;
using quantity::Error;

namespace {

constexpr double coldest_C = -90.0; ///< where searches begin; saturation is known from -100 degC

/// A value that lies outside its bounds by no more than the rounding of a value computed elsewhere, put on the bound;
/// any other is left for the check that follows.
double without_rounding(double value, double low, double high, double rounding)
{
    if (value < low && value >= low - rounding) return low;
    return value > high && value <= high + rounding ? high : value;
}
constexpr double rounding_K = 1e-6, rounding_of_shares = 1e-6, rounding_J_per_kg = 1e-3;

/// The temperature below which saturated vapour stays under `p_Pa`, searched from the coldest.
double saturation_temperature_C(double p_Pa, double hottest_C)
{
    const auto excess = [&](double t_C) { return saturation_pressure(Temperature::celsius(t_C)).pascal() - p_Pa; };
    check_range("state_from", "vapour pressure at saturation", p_Pa,
                {saturation_pressure(Temperature::celsius(coldest_C)).pascal(),
                 saturation_pressure(Temperature::celsius(hottest_C)).pascal()},
                "Pa");
    return root_of_increasing(excess, coldest_C, hottest_C);
}

/// The highest temperature at which saturated air stays below nine tenths of the pressure.
double hottest_C(Pressure p)
{
    const auto excess = [&](double t_C) {
        return saturation_pressure(Temperature::celsius(t_C)).pascal() - 0.9 * p.pascal();
    };
    return excess(199.0) <= 0.0 ? 199.0 : root_of_increasing(excess, coldest_C, 199.0);
}

/// Dry bulb of air of a humidity ratio at an enthalpy: the enthalpy is linear in it.
double dry_bulb_at_enthalpy_C(double h_J_per_kg, double w)
{
    const double at_0 = w * latent_heat_of_vaporisation_J_per_kg;
    const double per_K = heat_capacity_J_per_kgK(w);
    return (h_J_per_kg - at_0) / per_K;
}

MoistAir from_dry_bulb(Temperature t, KnownFact other, Pressure p)
{
    switch (other.fact) {
    case Fact::wet_bulb:
        return MoistAir::from_wet_bulb(
            t, Temperature::celsius(without_rounding(other.value, coldest_C, t.celsius(), rounding_K)), p);
    case Fact::dew_point: {
        const double dew_point_C = without_rounding(other.value, coldest_C, t.celsius(), rounding_K);
        check_range("state_from", "dew point", dew_point_C, {coldest_C, t.celsius()}, "degC");
        return MoistAir::from_humidity_ratio(t, saturation_humidity_ratio(Temperature::celsius(dew_point_C), p), p);
    }
    case Fact::relative_humidity:
        return MoistAir::from_relative_humidity(t, without_rounding(other.value, 0.0, 1.0, rounding_of_shares), p);
    case Fact::humidity_ratio:
        return MoistAir::from_humidity_ratio(t, other.value, p);
    case Fact::enthalpy: {
        const double dry = enthalpy_J_per_kg(MoistAir::from_humidity_ratio(t, 0.0, p));
        const double wet = enthalpy_J_per_kg(MoistAir::from_relative_humidity(t, 1.0, p));
        const double h = without_rounding(other.value, dry, wet, rounding_J_per_kg);
        check_range("state_from", "enthalpy at this dry bulb", h, {dry, wet}, "J/kg");
        return MoistAir::from_humidity_ratio(
            t, (h - dry) / (latent_heat_of_vaporisation_J_per_kg + specific_heat_of_vapour_J_per_kgK * t.celsius()), p);
    }
    case Fact::dry_bulb:
        break;
    }
    VENTURE_UNREACHABLE("a pair of two dry bulbs");
}

/// Dry bulb above a wet bulb at which a decreasing property takes a value.
template <class Property>
MoistAir above_wet_bulb(Temperature wet_bulb, Pressure p, double wanted, Property property)
{
    const MoistAir saturated = MoistAir::from_relative_humidity(wet_bulb, 1.0, p);
    const auto at = [&](double t_C) { return MoistAir::from_wet_bulb(Temperature::celsius(t_C), wet_bulb, p); };
    double driest_C = wet_bulb.celsius(); // where no vapour is left
    for (double step = 64.0; step > 1e-9; step *= 0.5) {
        try {
            (void)at(driest_C + step);
            driest_C += step;
        } catch (const quantity::RangeError&) { // too dry: a smaller step
        }
    }
    const double driest = property(at(driest_C)), wettest = property(saturated);
    wanted = without_rounding(wanted, driest, wettest, rounding_of_shares * wettest);
    check_range("state_from", "value with this wet bulb", wanted, {driest, wettest}, "");
    const auto shortfall = [&](double t_C) { return wanted - property(at(t_C)); };
    return at(root_of_increasing(shortfall, wet_bulb.celsius(), driest_C));
}

MoistAir from_wet_bulb_and(Temperature wet_bulb, KnownFact other, Pressure p)
{
    if (other.fact == Fact::relative_humidity)
        return above_wet_bulb(wet_bulb, p, other.value, [](const MoistAir& a) { return relative_humidity(a); });
    const double w =
        other.fact == Fact::dew_point ? saturation_humidity_ratio(Temperature::celsius(other.value), p) : other.value;
    return above_wet_bulb(wet_bulb, p, w, [](const MoistAir& a) { return a.humidity_ratio(); });
}

MoistAir from_relative_humidity_and(double phi, KnownFact other, Pressure p)
{
    phi = without_rounding(phi, 0.0, 1.0, rounding_of_shares);
    check_range("state_from", "relative humidity", phi, {1e-6, 1.0}, "");
    if (other.fact == Fact::enthalpy) {
        const auto excess = [&](double t_C) {
            return enthalpy_J_per_kg(MoistAir::from_relative_humidity(Temperature::celsius(t_C), phi, p)) - other.value;
        };
        const double top = hottest_C(p);
        check_range("state_from", "enthalpy", other.value, {excess(coldest_C) + other.value, excess(top) + other.value},
                    "J/kg");
        return MoistAir::from_relative_humidity(Temperature::celsius(root_of_increasing(excess, coldest_C, top)), phi,
                                                p);
    }
    const double p_w = other.fact == Fact::dew_point ? saturation_pressure(Temperature::celsius(other.value)).pascal()
                                                     : p.pascal() * other.value / (0.621945 + other.value);
    const double t_C = saturation_temperature_C(p_w / phi, hottest_C(p));
    return MoistAir::from_relative_humidity(Temperature::celsius(t_C), phi, p);
}

MoistAir from_ratio_and_enthalpy(double w, double h_J_per_kg, Pressure p)
{
    check_range("state_from", "humidity ratio", w, {0.0, 1.0}, "kg/kg");
    const Temperature t = Temperature::celsius(dry_bulb_at_enthalpy_C(h_J_per_kg, w));
    const double saturated = saturation_humidity_ratio(t, p);
    return MoistAir::from_humidity_ratio(t, without_rounding(w, 0.0, saturated, rounding_of_shares * saturated), p);
}

void refuse_what_fixes_no_state(Fact a, Fact b)
{
    if (a == b) throw Error{fmt::format("state_from: twice the {}; give two different facts", name_of(a))};
    if (a == Fact::dew_point && b == Fact::humidity_ratio)
        throw Error{"state_from: dew point and humidity ratio are one fact: either follows from the other"};
    if (a == Fact::wet_bulb && b == Fact::enthalpy)
        throw Error{"state_from: wet bulb and enthalpy are nearly one fact: a hundredth of a kelvin in the wet bulb "
                    "moves the dry bulb by many; give the dry bulb or the humidity"};
}

} // namespace

std::string_view name_of(Fact fact)
{
    switch (fact) {
    case Fact::dry_bulb:
        return "dry bulb";
    case Fact::wet_bulb:
        return "wet bulb";
    case Fact::dew_point:
        return "dew point";
    case Fact::relative_humidity:
        return "relative humidity";
    case Fact::humidity_ratio:
        return "humidity ratio";
    case Fact::enthalpy:
        return "enthalpy";
    }
    VENTURE_UNREACHABLE("a fact without a name");
}

MoistAir state_from(KnownFact first, KnownFact second, Pressure p)
{
    if (second.fact < first.fact) std::swap(first, second); // from here on in the order of the facts
    refuse_what_fixes_no_state(first.fact, second.fact);
    if (first.fact == Fact::dry_bulb) return from_dry_bulb(Temperature::celsius(first.value), second, p);
    if (first.fact == Fact::wet_bulb) return from_wet_bulb_and(Temperature::celsius(first.value), second, p);
    if (second.fact == Fact::relative_humidity) return from_relative_humidity_and(second.value, first, p);
    if (first.fact == Fact::relative_humidity) return from_relative_humidity_and(first.value, second, p);
    const double w =
        first.fact == Fact::dew_point ? saturation_humidity_ratio(Temperature::celsius(first.value), p) : first.value;
    return from_ratio_and_enthalpy(w, second.value, p);
}

} // namespace venture::air
