#include <venture/fabric/shade.hpp>

#include <algorithm>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

using quantity::check_range;

ShadeLayer shade_layer(const Shade& shade)
{
    const std::string where = "shade '" + shade.name + "'";
    check_range(where, "transmittance", shade.transmittance, {0.0, 1.0}, "");
    check_range(where, "reflectance", shade.reflectance, {0.0, 1.0}, "");
    check_range(where, "transmittance and reflectance together", shade.transmittance + shade.reflectance, {0.0, 1.0},
                "");
    check_range(where, "openness", shade.openness, {0.0, 1.0}, "");
    double t = shade.transmittance, r = shade.reflectance;
    if (shade.slats_at_45) {
        const double closed_t = t, closed_r = r;
        t = 0.65 * closed_t + 0.15 * closed_r;
        r = closed_r * (0.75 + 0.70 * closed_t);
    }
    const double covered = 1.0 - shade.openness;
    return {shade.openness + covered * t, covered * std::min(r, 1.0 - t)};
}

ShadedGain shaded_gain(const ShadedGlass& glass, const Shade& shade)
{
    constexpr const char* where = "shaded_gain";
    check_range(where, "U-value of the glass", glass.u_value_W_per_m2K, {0.3, 6.5}, "W/m2K");
    check_range(where, "g-value of the glass", glass.g_value, {0.05, 0.95}, "");
    check_range(where, "direct transmittance of the glass", glass.direct_transmittance, {0.0, glass.g_value}, "");
    check_range(where, "reflectance of the glass", glass.reflectance, {0.0, 0.95}, "");
    const ShadeLayer s = shade_layer(shade);
    const double g = glass.g_value, to_and_fro = 1.0 - glass.reflectance * s.reflectance;
    const double direct = glass.direct_transmittance * s.transmittance / to_and_fro;
    const auto in_series = [&](std::initializer_list<double> conductances) {
        double resistance = 1.0 / glass.u_value_W_per_m2K;
        for (const double c : conductances) resistance += 1.0 / c;
        return 1.0 / resistance;
    };
    double total = 0.0;
    switch (shade.place) {
    case ShadePlace::outside: {
        constexpr double behind = 5.0, before = 10.0;
        const double all = in_series({behind, before});
        total = s.transmittance * g + s.absorptance() * all / before + s.transmittance * (1.0 - g) * all / behind;
        break;
    }
    case ShadePlace::inside: {
        constexpr double beside = 30.0;
        total = g * (1.0 - g * s.reflectance - s.absorptance() * in_series({beside}) / beside);
        break;
    }
    case ShadePlace::between: {
        constexpr double beside = 3.0;
        total = g * s.transmittance + g * (s.absorptance() + (1.0 - g) * s.reflectance) * in_series({beside}) / beside;
        break;
    }
    }
    return {total, std::min(direct, total)};
}

double share_down(ShadeUse use, double irradiance_W_per_m2, double threshold_W_per_m2, double profile, bool sun_is_up)
{
    switch (use) {
    case ShadeUse::never:
        return 0.0;
    case ShadeUse::always:
        return 1.0;
    case ShadeUse::above_irradiance:
        return irradiance_W_per_m2 > threshold_W_per_m2 ? 1.0 : 0.0;
    case ShadeUse::by_profile:
        return profile;
    case ShadeUse::while_occupied:
        return profile > 0.0 ? 1.0 : 0.0;
    case ShadeUse::at_night:
        return sun_is_up ? 0.0 : 1.0;
    }
    VENTURE_UNREACHABLE("a rule of use without an answer");
}

double shutter_resistance(double shutter_m2K_per_W, ShutterTightness tightness)
{
    check_range("shutter_resistance", "resistance of the shutter", shutter_m2K_per_W, {0.0, 10.0}, "m2K/W");
    switch (tightness) {
    case ShutterTightness::very_open:
        return 0.08;
    case ShutterTightness::open:
        return 0.25 * shutter_m2K_per_W + 0.09;
    case ShutterTightness::average:
        return 0.55 * shutter_m2K_per_W + 0.11;
    case ShutterTightness::tight:
        return 0.80 * shutter_m2K_per_W + 0.14;
    case ShutterTightness::airtight:
        return 0.95 * shutter_m2K_per_W + 0.17;
    }
    VENTURE_UNREACHABLE("a tightness without a resistance");
}

} // namespace venture::fabric
