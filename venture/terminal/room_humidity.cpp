#include <venture/terminal/room_humidity.hpp>

#include <algorithm>
#include <cmath>

#include <venture/air/moist_air.hpp>
#include <venture/air/root.hpp>

namespace venture::terminal {

using quantity::Pressure;
using quantity::Temperature;
using rating::At;

namespace {

/// What units take of moisture while they meet the sensible load in air of some humidity, W; and all they could do there.
struct InAir {
    double latent_W = 0.0;
    rating::Output all{};
};

std::optional<InAir> in_air(const rating::Rated& units, rating::Conditions at, const rating::Duty& duty,
                            double humidity, double pressure_Pa)
{
    const auto air =
        air::MoistAir::from_humidity_ratio(Temperature::celsius(at[At::room]), humidity, Pressure::pascal(pressure_Pa));
    at.set(At::entering_wet_bulb, air::wet_bulb(air).celsius());
    rating::Rated there{.duty = duty};
    for (const rating::Units& some : units.units) {
        auto rated = some.product->rate(at);
        if (std::holds_alternative<rating::Refusal>(rated)) return std::nullopt;
        there.units.push_back({some.product, some.count, std::get<rating::Output>(rated)});
    }
    InAir out{.all = there.all()};
    if (!(out.all.sensible_W > 0.0)) return std::nullopt;
    out.latent_W = std::min(1.0, *duty.sensible_W / out.all.sensible_W) * out.all.latent_W();
    return out;
}

} // namespace

std::optional<RoomHumidity> humidity_with(const rating::Rated& units, const rating::Conditions& at,
                                          const loads::RoomLoad& load, double share, double pressure_Pa)
{
    if (load.typed || load.cooling_days.empty() || units.duty.service != rating::Service::cooling ||
        !units.duty.sensible_W || *units.duty.sensible_W <= 0.0 || units.refused)
        return std::nullopt;
    const rating::Duty& duty = units.duty;
    // Above 0 where the coil takes more than there is; nothing where it is not rated in such air.
    const auto surplus_W = [&](double humidity) -> std::optional<double> {
        const auto there = in_air(units, at, duty, humidity, pressure_Pa);
        if (!there) return std::nullopt;
        const double brought_W = share * (load.cooling_latent_W - load.cooling_outdoor_air_kg_per_s *
                                                                      air::latent_heat_of_vaporisation_J_per_kg *
                                                                      (humidity - load.cooling_humidity_ratio));
        return there->latent_W - brought_W;
    };
    const Temperature room = Temperature::celsius(at[At::room]);
    constexpr double driest = 1e-4, nearly_saturated = 0.999;
    double low = driest, high = nearly_saturated * air::saturation_humidity_ratio(room, Pressure::pascal(pressure_Pa));
    const double assumed = std::clamp(load.cooling_humidity_ratio, low, high);
    if (!surplus_W(assumed)) return std::nullopt;
    constexpr int halvings = 12; // to where it begins to be rated
    for (double* end : {&low, &high}) {
        double outside = *end, inside = assumed;
        if (surplus_W(outside)) continue;
        for (int i = 0; i < halvings; ++i) {
            const double middle = 0.5 * (outside + inside);
            (surplus_W(middle) ? inside : outside) = middle;
        }
        *end = inside;
    }
    const double humidity = air::root_of_increasing([&](double w) { return surplus_W(w).value_or(0.0); }, low, high);
    const auto there = in_air(units, at, duty, humidity, pressure_Pa);
    if (!there) return std::nullopt;
    return RoomHumidity{humidity, air::relative_humidity(room, humidity, Pressure::pascal(pressure_Pa)), there->all};
}

} // namespace venture::terminal
