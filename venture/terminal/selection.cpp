#include <venture/terminal/selection.hpp>

#include <algorithm>

#include <venture/air/moist_air.hpp>

namespace venture::terminal {

using rating::At;
using rating::Service;
using services::Circuit;

namespace {

class Selector {
public:
    Selector(const loads::RoomLoads& loads, const services::Services& services, const rating::Stocks& stocks,
             const Surroundings& around)
        : loads_{loads},
          services_{services},
          stocks_{stocks},
          around_{around}
    {
    }

    std::vector<RoomSelection> run()
    {
        for (std::size_t r = 0; r < loads_.rooms.size(); ++r) {
            const loads::RoomLoad& load = loads_.rooms[r];
            const services::Link& link = services_.rooms[r];
            if (const auto circuit = link[Service::heating]; circuit && load.heating_W > 0.0)
                select(r, *circuit, {.service = Service::heating, .W = load.heating_W}, air_of(load.heating_room_C));
            if (const auto circuit = link[Service::cooling]; circuit && load.cooling_W > 0.0)
                select(r, *circuit,
                       {Service::cooling, load.cooling_W, load.cooling_sensible_peak_W, latent_asked_W(load)},
                       air_of(load.cooling_air_C).set(At::entering_wet_bulb, wet_bulb_of(load)));
        }
        return std::move(out_);
    }

private:
    /// In the hour of the peak, in whose air products are rated, where somebody limits the humidity or typed how much it is;
    /// elsewhere the room is as humid as the coil leaves it.
    static std::optional<double> latent_asked_W(const loads::RoomLoad& load)
    {
        const bool asked = (load.humidity_held || load.typed) && load.cooling_latent_W > 0.0;
        return asked ? std::optional{load.cooling_latent_W} : std::nullopt;
    }

    static rating::Conditions air_of(double room_C)
    {
        return rating::Conditions{}.set(At::room, room_C).set(At::entering_dry_bulb, room_C);
    }

    [[nodiscard]] double wet_bulb_of(const loads::RoomLoad& load) const
    {
        return air::wet_bulb(air::MoistAir::from_humidity_ratio(quantity::Temperature::celsius(load.cooling_air_C),
                                                                load.cooling_humidity_ratio,
                                                                quantity::Pressure::pascal(around_.pressure_Pa)))
            .celsius();
    }

    void select(std::size_t room, std::size_t circuit, const rating::Duty& duty, rating::Conditions at)
    {
        const Circuit& c = services_.circuits[circuit];
        at.set(At::water_supply, c.supply_C)
            .set(At::water_return, c.return_C)
            .set(At::air_pressure, around_.pressure_Pa)
            .set(At::height_above_sea, around_.height_m);
        RoomSelection s{.room = room, .circuit = circuit, .duty = duty, .at = at};
        if (const services::Kept* kept = services_.find_kept(loads_.rooms[room].room, duty.service)) s.kept = *kept;
        if (!s.kept) {
            s.choice = rating::choose(stocks_.products(*c.unit), {1, most_units_in_a_room}, at, duty);
        } else {
            if (s.kept->chosen_for_W && *s.kept->chosen_for_W > 0.0)
                s.duty_moved = duty.W / *s.kept->chosen_for_W - 1.0;
            const rating::Product* product = stocks_.find(*c.unit, s.kept->product);
            s.kept_unknown = product == nullptr;
            if (product != nullptr) s.choice.chosen = rating::rated_at(*product, s.kept->count, at, duty);
        }
        out_.push_back(std::move(s));
    }

    const loads::RoomLoads& loads_;
    const services::Services& services_;
    const rating::Stocks& stocks_;
    const Surroundings& around_;
    std::vector<RoomSelection> out_{};
};

/// What coils take while they give a room its cooling.
class CoilLoad {
public:
    explicit CoilLoad(const rating::Rated& unit)
        : total_W_{unit.count * unit.one.gives_W[Service::cooling]},
          sensible_W_{unit.count * unit.one.sensible_W},
          fan_W_{unit.count * unit.one.fan_W}
    {
    }
    /// They run so much of the time, or so far open, that the harder part is met.
    void take(double& sensible_W, double& latent_W) const
    {
        const double runs = std::max(sensible_W_ > 0.0 ? sensible_W / sensible_W_ : 0.0,
                                     total_W_ > 0.0 ? (sensible_W + latent_W) / total_W_ : 0.0);
        sensible_W = runs * (sensible_W_ + fan_W_);
        latent_W = runs * (total_W_ - sensible_W_);
    }

private:
    double total_W_, sensible_W_, fan_W_;
};

} // namespace

std::vector<RoomSelection> select_units(const loads::RoomLoads& loads, const services::Services& services,
                                        const rating::Stocks& stocks, const Surroundings& around)
{
    return Selector{loads, services, stocks, around}.run();
}

loads::RoomLoads loads_of_units(const loads::RoomLoads& loads, const std::vector<RoomSelection>& units)
{
    loads::RoomLoads out = loads;
    for (const RoomSelection& unit : units) {
        if (unit.duty.service != Service::cooling || !unit.choice.chosen || unit.choice.chosen->refused) continue;
        const CoilLoad coil{*unit.choice.chosen};
        loads::RoomLoad& load = out.rooms[unit.room];
        for (loads::LoadDay& day : load.cooling_days)
            for (std::size_t h = 0; h < day.sensible_W.size(); ++h) coil.take(day.sensible_W[h], day.latent_W[h]);
        coil.take(load.cooling_sensible_W, load.cooling_latent_W);
        load.cooling_W = load.cooling_sensible_W + load.cooling_latent_W;
    }
    return out;
}

} // namespace venture::terminal
