#include <venture/terminal/selection.hpp>

#include <algorithm>
#include <map>

#include <venture/air/moist_air.hpp>
#include <venture/rating/choosing.hpp>

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
        const std::vector<services::UnitPlace>& places = services_.places.units;
        auto unit = places.begin(); // they stand in the order of the rooms
        for (std::size_t r = 0; r < loads_.rooms.size(); ++r) {
            const loads::RoomLoad& load = loads_.rooms[r];
            for (; unit != places.end() && unit->room == r; ++unit) select(*unit, load);
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

    /// What a circuit asks of the units of a room; nothing where there is no load.
    [[nodiscard]] std::optional<rating::Asked> asked(const services::Server& server, const loads::RoomLoad& load) const
    {
        const Circuit& c = services_.circuits[server.circuit];
        rating::Asked out;
        if (c.carries == Service::heating) {
            out.duty = {.service = c.carries, .W = load.heating_W};
            out.at = air_of(load.heating_room_C);
        } else {
            out.duty = {c.carries, load.cooling_W, load.cooling_sensible_peak_W, latent_asked_W(load)};
            out.at = air_of(load.cooling_air_C).set(At::entering_wet_bulb, wet_bulb_of(load));
        }
        out.duty.W *= server.share;
        if (out.duty.W <= 0.0) return std::nullopt;
        if (out.duty.sensible_W) *out.duty.sensible_W *= server.share;
        if (out.duty.latent_W) *out.duty.latent_W *= server.share;
        out.at.set(At::water_supply, c.supply_C)
            .set(At::water_return, c.return_C)
            .set(At::glycol, c.glycol)
            .set(At::air_pressure, around_.pressure_Pa)
            .set(At::height_above_sea, around_.height_m);
        return out;
    }

    void select(const services::UnitPlace& unit, const loads::RoomLoad& load)
    {
        rating::PerService<std::optional<rating::Asked>> asks;
        for (const Service service : {Service::heating, Service::cooling})
            if (const auto& server = unit.servers[service]) asks[service] = asked(*server, load);
        for (const auto& [service, other] :
             {std::pair{Service::heating, Service::cooling}, {Service::cooling, Service::heating}})
            if (asks[service]) select(unit, *asks[service], asks[other]);
    }

    /// @param also  what the same units do for another service
    void select(const services::UnitPlace& unit, const rating::Asked& asked, const std::optional<rating::Asked>& also)
    {
        const rating::Duty& duty = asked.duty;
        const services::Server& server = *unit.servers[duty.service];
        const Circuit& c = services_.circuits[server.circuit];
        RoomSelection s{.room = unit.room,
                        .circuit = server.circuit,
                        .node = unit.node,
                        .share = server.share,
                        .duty = duty,
                        .at = asked.at};
        if (const services::Kept* kept = services_.find_kept(loads_.rooms[unit.room].room, duty.service))
            s.kept = *kept;
        if (!s.kept) {
            s.choice = rating::choose(stocks_.products(*c.unit), {.counts = {1, most_units_in_a_room}}, asked, also);
        } else {
            if (s.kept->chosen_for_W && *s.kept->chosen_for_W > 0.0)
                s.duty_moved = duty.W / *s.kept->chosen_for_W - 1.0;
            const rating::Product* product = stocks_.find(*c.unit, s.kept->product);
            s.kept_unknown = product == nullptr;
            if (product != nullptr) s.choice.chosen = rating::rated_at(*product, s.kept->count, asked.at, duty);
        }
        out_.push_back(std::move(s));
    }

    const loads::RoomLoads& loads_;
    const services::Services& services_;
    const rating::Stocks& stocks_;
    const Surroundings& around_;
    std::vector<RoomSelection> out_{};
};

/// What the water of units brings or takes while they give a room what it needs: so much of the time, or so far open, that the
/// harder part is met. The heat of their fans helps to heat.
class CoilLoad {
public:
    explicit CoilLoad(const rating::Rated& unit)
        : heats_{unit.duty.service == Service::heating},
          total_W_{unit.all().gives_W[unit.duty.service]},
          sensible_W_{heats_ ? total_W_ : unit.all().sensible_W},
          water_sensible_W_{sensible_W_ + (heats_ ? -1.0 : 1.0) * unit.all().fan_W}
    {
    }
    void take(rating::Demand& demand) const
    {
        if (!heats_) demand.latent_W.resize(demand.hours(), 0.0);
        for (std::size_t h = 0; h < demand.hours(); ++h) {
            const double runs = std::max(sensible_W_ > 0.0 ? demand.sensible_W[h] / sensible_W_ : 0.0,
                                         total_W_ > 0.0 ? demand.total_W(h) / total_W_ : 0.0);
            demand.sensible_W[h] = runs * water_sensible_W_;
            if (!heats_) demand.latent_W[h] = runs * (total_W_ - sensible_W_);
        }
        demand.sum_of_peaks_W = demand.peak_W();
    }

private:
    bool heats_;
    double total_W_, sensible_W_, water_sensible_W_;
};

} // namespace

std::vector<RoomSelection> select_units(const loads::RoomLoads& loads, const services::Services& services,
                                        const rating::Stocks& stocks, const Surroundings& around)
{
    return Selector{loads, services, stocks, around}.run();
}

services::PassOn what_units_take(const std::vector<RoomSelection>& units)
{
    std::map<std::pair<services::NodeId, Service>, CoilLoad> coils;
    for (const RoomSelection& unit : units)
        if (unit.choice.chosen && !unit.choice.chosen->refused)
            coils.emplace(std::pair{unit.node, unit.duty.service}, CoilLoad{*unit.choice.chosen});
    return [coils](services::NodeId node, Service service, rating::Demand& demand) {
        if (const auto coil = coils.find({node, service}); coil != coils.end()) coil->second.take(demand);
    };
}

} // namespace venture::terminal
