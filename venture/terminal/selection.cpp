#include <venture/terminal/selection.hpp>

#include <algorithm>
#include <cmath>
#include <functional>

#include <venture/air/moist_air.hpp>
#include <venture/quantity/error.hpp>
#include <venture/rating/emitter_law.hpp>

namespace venture::terminal {

using rating::Rated;
using rating::Share;
using services::Circuit;
using services::Duty;
using services::UnitKind;

double radiator_output_W(const Radiator& radiator, double supply_C, double return_C, double room_C)
{
    return rating::emitter_output_W(radiator.nominal_W, radiator.exponent, supply_C, return_C, room_C);
}

FanCoilCapacity fan_coil_capacity(const FanCoil& unit, double water_supply_C, double water_return_C,
                                  double entering_dry_bulb_C, double entering_wet_bulb_C)
{
    constexpr double density = 1.2, specific_heat = 1005.0;
    quantity::check_range(unit.name, "water temperature rise", water_return_C - water_supply_C,
                          {unit.water_rise_K - 0.01, unit.water_rise_K + 0.01}, "K");
    const double total = unit.total_W.at(water_supply_C, entering_wet_bulb_C);
    const double at_table = unit.sensible_W.at(water_supply_C, entering_wet_bulb_C);
    const double warmer = density * specific_heat * unit.air_flow_m3_per_s * (1.0 - unit.bypass_factor) *
                          (entering_dry_bulb_C - unit.table_dry_bulb_C);
    return {total, std::clamp(at_table + warmer, 0.0, total)};
}

namespace {

/// Rates; a product outside its range says so instead.
Rated rate_or_refuse(const std::string& product, int count, const std::function<std::vector<Share>()>& shares)
{
    try {
        return {product, count, shares(), {}};
    } catch (const quantity::RangeError& outside) {
        return {product, count, {}, outside.what()};
    }
}

class Selector {
public:
    Selector(const loads::RoomLoads& loads, const services::Services& services, const Products& products)
        : loads_{loads},
          services_{services},
          products_{products}
    {
    }

    std::vector<RoomSelection> run()
    {
        for (std::size_t r = 0; r < loads_.rooms.size(); ++r) {
            const loads::RoomLoad& load = loads_.rooms[r];
            if (const auto circuit = services_.rooms[r].heating; circuit && load.heating_W > 0.0)
                select({.room = r,
                        .duty = Duty::heating,
                        .circuit = *circuit,
                        .duty_W = load.heating_W,
                        .entering_C = load.heating_room_C});
            if (const auto circuit = services_.rooms[r].cooling; circuit && load.cooling_W > 0.0)
                select({.room = r,
                        .duty = Duty::cooling,
                        .circuit = *circuit,
                        .duty_W = load.cooling_W,
                        .sensible_duty_W = load.cooling_sensible_peak_W,
                        .entering_C = load.cooling_air_C,
                        .entering_wet_bulb_C = wet_bulb_of(load)});
        }
        return std::move(out_);
    }

private:
    [[nodiscard]] double wet_bulb_of(const loads::RoomLoad& load) const
    {
        return air::wet_bulb(air::MoistAir::from_humidity_ratio(quantity::Temperature::celsius(load.cooling_air_C),
                                                                load.cooling_humidity_ratio,
                                                                quantity::Pressure::pascal(loads_.pressure_Pa)))
            .celsius();
    }

    [[nodiscard]] Rated rate(const RoomSelection& s, const Radiator& product, int count) const
    {
        const Circuit& c = services_.circuits[s.circuit];
        return rate_or_refuse(product.name, count, [&] {
            const double one = radiator_output_W(product, c.supply_C, c.return_C, s.entering_C);
            return std::vector<Share>{{"heating", s.duty_W, count * one}};
        });
    }

    [[nodiscard]] Rated rate(const RoomSelection& s, const FanCoil& product, int count) const
    {
        const Circuit& c = services_.circuits[s.circuit];
        return rate_or_refuse(product.name, count, [&] {
            const FanCoilCapacity one =
                fan_coil_capacity(product, c.supply_C, c.return_C, s.entering_C, s.entering_wet_bulb_C);
            return std::vector<Share>{{"total", s.duty_W, count * one.total_W},
                                      {"sensible", s.sensible_duty_W, count * one.sensible_W}};
        });
    }

    template <class Product>
    void choose_or_keep(RoomSelection& s, const std::vector<Product>& products) const
    {
        if (s.kept) {
            if (s.kept->chosen_for_W && *s.kept->chosen_for_W > 0.0)
                s.duty_moved = s.duty_W / *s.kept->chosen_for_W - 1.0;
            const auto product = std::ranges::find(products, s.kept->product, &Product::name);
            s.kept_unknown = product == products.end();
            if (!s.kept_unknown) s.choice.chosen = rate(s, *product, s.kept->count);
            return;
        }
        s.choice = rating::choose(products.size(), {1, most_units_in_a_room},
                                  [&](std::size_t i, int count) { return rate(s, products[i], count); });
    }

    void select(RoomSelection s)
    {
        s.kind = services_.circuits[s.circuit].unit;
        if (const services::Kept* kept = services_.find_kept(loads_.rooms[s.room].room, s.duty)) s.kept = *kept;
        if (s.kind == UnitKind::radiator)
            choose_or_keep(s, products_.radiators);
        else
            choose_or_keep(s, products_.fan_coils);
        out_.push_back(std::move(s));
    }

    const loads::RoomLoads& loads_;
    const services::Services& services_;
    const Products& products_;
    std::vector<RoomSelection> out_{};
};

} // namespace

std::vector<RoomSelection> select_units(const loads::RoomLoads& loads, const services::Services& services,
                                        const Products& products)
{
    return Selector{loads, services, products}.run();
}

} // namespace venture::terminal
