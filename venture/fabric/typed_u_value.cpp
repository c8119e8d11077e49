#include <venture/fabric/typed_u_value.hpp>

#include <fmt/format.h>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

double areal_capacity_J_per_m2K(WeightClass weight)
{
    switch (weight) {
    case WeightClass::very_light:
        return 50e3;
    case WeightClass::light:
        return 75e3;
    case WeightClass::medium:
        return 110e3;
    case WeightClass::heavy:
        return 175e3;
    case WeightClass::very_heavy:
        return 250e3;
    }
    VENTURE_UNREACHABLE("a weight without a capacity");
}

std::string_view name_of(WeightClass weight) { return weight_class_words[static_cast<std::size_t>(weight)]; }

double stripped_resistance(const TypedUValue& typed)
{
    const double films = typed.films.outside_m2K_per_W + typed.films.inside_m2K_per_W;
    constexpr double least_m2K_per_W = 1e-3; // a millimetre of glass
    const double highest = 1.0 / (films + least_m2K_per_W);
    quantity::check_range(typed.name,
                          fmt::format("U-value with films of {:g} and {:g} m2K/W, which alone allow {:.3g} W/m2K: it",
                                      typed.films.outside_m2K_per_W, typed.films.inside_m2K_per_W, 1.0 / films),
                          typed.u_value_W_per_m2K, {0.01, highest}, "W/m2K");
    return 1.0 / typed.u_value_W_per_m2K - films;
}

Buildup buildup_of_u_value(const TypedUValue& typed)
{
    const double resistance = stripped_resistance(typed), capacity = areal_capacity_J_per_m2K(typed.weight);
    if (typed.mass == MassPlace::even) { // one material throughout
        constexpr double volumetric_J_per_m3K = 1e6;
        const double thickness = capacity / volumetric_J_per_m3K;
        const Buildup out{typed.name, {{{"assumed throughout", thickness / resistance, 1000.0, 1000.0}, thickness}}};
        check(out);
        return out;
    }
    // Masonry where it leaves room for insulation; concrete, of less resistance for its mass, where it does not.
    const Material masonry{"assumed masonry", 0.8, 1800.0, 1000.0}, concrete{"assumed concrete", 2.0, 2400.0, 1000.0};
    const auto thickness_of = [&](const Material& m) {
        return capacity / (m.density_kg_per_m3 * m.specific_heat_J_per_kgK);
    };
    const bool room_for_masonry = thickness_of(masonry) / masonry.conductivity_W_per_mK < 0.8 * resistance;
    const Material& material = room_for_masonry ? masonry : concrete;
    const Layer mass{.material = material, .thickness_m = thickness_of(material)};
    const double rest = resistance - mass.resistance();
    quantity::check_range(
        typed.name,
        fmt::format("resistance that a U-value of {:.3g} W/m2K leaves beside a {} mass; a lighter weight, or it",
                    typed.u_value_W_per_m2K, name_of(typed.weight)),
        rest, {1e-4, 1e3}, "m2K/W");
    const Layer insulation{.material = {"assumed insulation"}, .resistance_m2K_per_W = rest};
    Layer half_mass = mass, half_insulation = insulation;
    half_mass.thickness_m *= 0.5;
    half_insulation.resistance_m2K_per_W *= 0.5;
    switch (typed.mass) {
    case MassPlace::outside:
        return {typed.name, {mass, insulation}};
    case MassPlace::both:
        return {typed.name, {half_mass, insulation, half_mass}};
    case MassPlace::middle:
        return {typed.name, {half_insulation, mass, half_insulation}};
    case MassPlace::inside:
    case MassPlace::even:
        break;
    }
    return {typed.name, {insulation, mass}};
}

} // namespace venture::fabric
