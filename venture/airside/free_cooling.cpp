#include <venture/airside/free_cooling.hpp>

#include <algorithm>

#include <venture/quantity/error.hpp>

namespace venture::airside {

using air::enthalpy_J_per_kg;
using air::heat_capacity_J_per_kgK;
using air::Point;
using quantity::check_range;

namespace {

/// Of outdoor air with a share of it led past the recovery.
Point recovered(const Handling& g, const Point& outdoor, const Point& back, double bypass)
{
    const double effectiveness = g.recovery_effectiveness.value_or(0.0) * (1.0 - bypass);
    return {outdoor.dry_bulb_C + effectiveness * (back.dry_bulb_C - outdoor.dry_bulb_C), outdoor.humidity_ratio};
}

/// Share of the first in a mixture of one temperature, exact in enthalpy and moisture.
double share_for(const Point& first, const Point& second, double wanted_C)
{
    const double by_second = heat_capacity_J_per_kgK(second.humidity_ratio) * (second.dry_bulb_C - wanted_C),
                 by_first = heat_capacity_J_per_kgK(first.humidity_ratio) * (wanted_C - first.dry_bulb_C);
    return by_second / (by_second + by_first);
}

} // namespace

bool may_cool(FreeCooling rule, const Point& outdoor, const Point& back)
{
    switch (rule) {
    case FreeCooling::none:
        break;
    case FreeCooling::dry_bulb:
        return outdoor.dry_bulb_C < back.dry_bulb_C;
    case FreeCooling::enthalpy:
        return enthalpy_J_per_kg(outdoor) < enthalpy_J_per_kg(back);
    }
    return false;
}

double outdoor_share_by_temperature(double outdoor_C, double back_C, double wanted_C, double least_share)
{
    check_range("mixing", "least share of outdoor air", least_share, {0.0, 1.0}, "");
    if (outdoor_C >= wanted_C) return 1.0;
    return std::clamp((back_C - wanted_C) / (back_C - outdoor_C), least_share, 1.0);
}

std::string_view name_of(Handled::Mode mode)
{
    constexpr std::array<std::string_view, 4> names = {"heating", "recovery modulated", "free cooling", "cooling"};
    return names.at(static_cast<std::size_t>(mode));
}

Handled handle(const Handling& g)
{
    check_range("air handler", "least share of outdoor air", g.least_outdoor_share, {0.0, 1.0}, "");
    check_range("air handler", "effectiveness of recovery", g.recovery_effectiveness.value_or(0.0), {0.0, 1.0}, "");
    const Point outdoor = point_of(g.outdoor), back = point_of(g.back);
    const double least = g.least_outdoor_share;
    const auto mixture = [&](double share, double bypass) {
        return air::mixed(back, recovered(g, outdoor, back, bypass), share);
    };
    Handled out;
    out.outdoor_share = least;
    const bool colder = outdoor.dry_bulb_C < back.dry_bulb_C;
    if (mixture(least, 0.0).dry_bulb_C <= g.wanted_C) {
        out.mode = Handled::Mode::heating;
    } else if (colder && mixture(least, 1.0).dry_bulb_C < g.wanted_C) {
        // how warm the outdoor air may get, by enthalpy: its moisture does not move
        out.mode = Handled::Mode::recovery_modulated;
        const double of_mixture = back.humidity_ratio + least * (outdoor.humidity_ratio - back.humidity_ratio),
                     enthalpy = enthalpy_J_per_kg(Point{g.wanted_C, of_mixture});
        const Point wanted = air::with_enthalpy(enthalpy_J_per_kg(back) + (enthalpy - enthalpy_J_per_kg(back)) / least,
                                                outdoor.humidity_ratio);
        out.recovery_bypass_share = 1.0 - (wanted.dry_bulb_C - outdoor.dry_bulb_C) /
                                              (*g.recovery_effectiveness * (back.dry_bulb_C - outdoor.dry_bulb_C));
    } else {
        out.recovery_bypass_share = colder ? 1.0 : 0.0;
        if (may_cool(g.rule, outdoor, back))
            out.outdoor_share =
                outdoor.dry_bulb_C >= g.wanted_C ? 1.0 : std::max(least, share_for(outdoor, back, g.wanted_C));
        out.mode = out.outdoor_share > least ? Handled::Mode::free_cooling : Handled::Mode::cooling;
    }
    out.outdoor_after_recovery = recovered(g, outdoor, back, out.recovery_bypass_share);
    out.mixed = mixture(out.outdoor_share, out.recovery_bypass_share);
    out.recovered_J_per_kg =
        out.outdoor_share * (enthalpy_J_per_kg(out.outdoor_after_recovery) - enthalpy_J_per_kg(outdoor));
    out.off_coil = out.mixed;
    constexpr double as_warm_K = 1e-9;
    if (out.mixed.dry_bulb_C < g.wanted_C) {
        out.off_coil.dry_bulb_C = g.wanted_C;
        out.heating_J_per_kg = enthalpy_J_per_kg(out.off_coil) - enthalpy_J_per_kg(out.mixed);
    } else if (out.mixed.dry_bulb_C > g.wanted_C + as_warm_K) {
        out.coil =
            air::cooled_to(air::MoistAir::from_humidity_ratio(quantity::Temperature::celsius(out.mixed.dry_bulb_C),
                                                              out.mixed.humidity_ratio, g.outdoor.pressure()),
                           quantity::Temperature::celsius(g.wanted_C), g.bypass_factor);
        out.off_coil = point_of(out.coil->cooled.air);
    }
    return out;
}

} // namespace venture::airside
