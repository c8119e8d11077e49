#include <venture/balance/check_model.hpp>

#include <algorithm>

#include <venture/quantity/error.hpp>

namespace venture::balance {

namespace {

using quantity::check_range;
using quantity::Range;

constexpr double most_film_W_per_m2K = 1e4;

class Checker {
public:
    explicit Checker(const ThermalModel& model) : m_{model} {}

    void run() const
    {
        for (const Surface& s : m_.surfaces) check(s);
        check_range("model", "pressure", m_.pressure_Pa, {1e3, 1e6}, "Pa");
        for (const Zone& z : m_.zones) check(z);
        for (const BodyHeat& b : m_.bodies) check(b);
        for (const RadiantLink& link : m_.radiant_links) check(link);
    }

private:
    static void index(const std::string& where, const char* what, std::size_t value, std::size_t count)
    {
        check_range(where, what, static_cast<double>(value), {0.0, static_cast<double>(count) - 1.0}, "");
    }
    void signal(const std::string& where, const char* what, SignalId id) const
    {
        index(where, what, id.index, m_.signals.size());
    }

    void check(const Surface& s) const
    {
        const std::string where = "surface '" + s.id + "'";
        check_range(where, "area", s.area_m2, {1e-9, 1e9}, "m2");
        index(where, "wall", s.wall, m_.walls.size());
        const std::size_t planes = m_.walls[s.wall].planes.size();
        check_range(where, "sources", static_cast<double>(s.sources_W.size()), {0.0, static_cast<double>(planes)}, "");
        if (s.shade_down) signal(where, "share of its shade that is down", *s.shade_down);
        if (s.water) index(where, "plane with water", s.water->plane, planes);
        for (const Face* face : {&s.outside, &s.inside}) {
            if (const auto* z = std::get_if<ZoneFace>(face)) check(where, *z);
            if (const auto* o = std::get_if<OutdoorFace>(face)) check(where, *o);
        }
    }

    void check(const BodyHeat& b) const
    {
        const std::string where = "heat of people";
        index(where, "zone", b.zone, m_.zones.size());
        signal(where, "sensible part", b.sensible);
        signal(where, "latent part", b.latent);
        check_range(where, "temperature above the reference at which none is sensible", b.none_at_C - b.reference_C,
                    {1e-3, 1e3}, "K");
        check_range(where, "latent by sensible part", b.latent_per_sensible, {1e-9, 1e9}, "");
    }

    void check(const RadiantLink& link) const
    {
        check_range("radiant link", "conductance", link.W_per_K, {0.0, 1e9}, "W/K");
        std::size_t zone[2] = {};
        for (std::size_t k = 0; k < 2; ++k) {
            index("radiant link", "surface", link.surface[k], m_.surfaces.size());
            const Surface& s = m_.surfaces[link.surface[k]];
            const auto* face = std::get_if<ZoneFace>(link.inside[k] ? &s.inside : &s.outside);
            check_range("radiant link to surface '" + s.id + "'", "zones that its face looks into",
                        face != nullptr ? 1.0 : 0.0, {1.0, 1.0}, "");
            check_range("radiant link to surface '" + s.id + "'", "radiative film", face->radiative_W_per_m2K,
                        {1e-3, most_film_W_per_m2K}, "W/m2K");
            zone[k] = face->zone;
        }
        check_range("radiant link", "zone of its second face", static_cast<double>(zone[1]),
                    {static_cast<double>(zone[0]), static_cast<double>(zone[0])}, "");
    }

    void check(const std::string& where, const ZoneFace& z) const
    {
        index(where, "zone", z.zone, m_.zones.size());
        check_range(where, "convective film", z.convective_W_per_m2K, {0.0, most_film_W_per_m2K}, "W/m2K");
        check_range(where, "radiative film", z.radiative_W_per_m2K, {0.0, most_film_W_per_m2K}, "W/m2K");
    }

    void check(const std::string& where, const OutdoorFace& o) const
    {
        check_range(where, "outside film", o.film_W_per_m2K, {0.0, most_film_W_per_m2K}, "W/m2K");
        signal(where, "environment temperature", o.environment_C);
        if (o.film_by_step) {
            signal(where, "film by step", *o.film_by_step);
            for (const double film : m_.signals[o.film_by_step->index].start)
                check_range(where, "film by step", film, {0.0, most_film_W_per_m2K}, "W/m2K");
        }
        if (!o.long_wave) return;
        check_range(where, "emissivity", o.long_wave->emissivity, {0.0, 1.0}, "");
        check_range(where, "share of the sky", o.long_wave->sky_share, {0.0, 1.0}, "");
        check_range(where, "share of the ground", o.long_wave->ground_share,
                    {0.0, 1.0 - o.long_wave->sky_share + 1e-12}, "");
        signal(where, "sky temperature", o.long_wave->sky_C);
        signal(where, "ground temperature", o.long_wave->ground_C);
    }

    void check(const Zone& z) const
    {
        const std::string where = "zone '" + z.id + "'";
        check_range(where, "air capacity", z.air_capacity_J_per_K, {0.0, 1e15}, "J/K");
        check_range(where, "moisture buffer", z.moisture_buffer, {0.0, 1e6}, "");
        check_range(where, "thermal bridges", z.thermal_bridges_W_per_K, {0.0, 1e9}, "W/K");
        check_range(where, "radiant weight of control", z.radiant_weight, {0.0, 1.0}, "");
        check_range(where, "convective share", z.convective_share, {0.0, 1.0}, "");
        for (const PlaneShare& to : z.plane_shares) {
            index(where, "surface that takes supply", to.surface, m_.surfaces.size());
            index(where, "plane that takes supply", to.plane, m_.walls[m_.surfaces[to.surface].wall].planes.size());
            check_range(where, "share of a plane", to.share, {0.0, 1.0}, "");
        }
        check_range(where, "radiant share of the supply", z.radiant_share(), {0.0, 1.0}, "");
        if (z.follows) {
            index(where, "zone that it follows", z.follows->zone, m_.zones.size());
            check_range(where, "ratio to that zone's supply", z.follows->ratio, {0.0, 1e6}, "");
        }
        for (const TransferAir& air : z.transfer_air)
            index(where, "zone that air comes from", air.from, m_.zones.size());
        check_range(where, "heating limit by the zone's air", z.most_heating_W_per_K, {-1e9, 0.0}, "W/K");
        check_range(where, "cooling limit by the zone's air", z.most_cooling_W_per_K, {0.0, 1e9}, "W/K");
        const Range share{0.0, 1.0}, capacity{0.0, 1e12};
        check_values(where, "relative humidity above which it is dried", z.dry_above_relative, share, "");
        check_values(where, "relative humidity below which it is wetted", z.wet_below_relative, share, "");
        check_values(where, "limit of cooling with latent heat", z.most_cooling_with_latent_W, capacity, "W");
        check_values(where, "limit of drying", z.most_drying_kg_per_s, capacity, "kg/s");
        check_values(where, "limit of humidifying", z.most_humidifying_kg_per_s, capacity, "kg/s");
        if (z.supply_air) check(where, *z.supply_air);
    }

    void check_values(const std::string& where, const char* what, const std::optional<SignalId>& limit, Range range,
                      const char* unit) const
    {
        if (!limit) return;
        signal(where, what, *limit);
        const Signal& s = m_.signals[limit->index];
        for (const std::vector<double>* values : {&s.start, &s.end})
            for (const double value : *values) check_range(where, what, value, range, unit);
    }

    void check(const std::string& where, const SupplyAir& air) const
    {
        signal(where, "temperature of supply air", air.temperature_C);
        signal(where, "humidity of supply air", air.humidity_ratio);
        check_range(where, "recovery of heat", air.recovers_heat, {0.0, 1.0}, "");
        check_range(where, "recovery of moisture", air.recovers_moisture, {0.0, 1.0}, "");
        if (air.leaves_from) index(where, "zone that air leaves from", *air.leaves_from, m_.zones.size());
        if (air.cooled_further) check_range(where, "share of cooled air", air.cooled_further->share, {0.0, 1.0}, "");
        check_flows(where, air);
    }

    static bool is_never_negative(const Signal& s)
    {
        const auto sound = [](double value) { return value >= 0.0; };
        return std::ranges::all_of(s.start, sound) && std::ranges::all_of(s.end, sound);
    }

    /// Step by step, where a bound may be crossed.
    void check_flows(const std::string& where, const SupplyAir& air) const
    {
        bool moves = false, none_is_negative = true;
        for (const Drives* drives : {&air.least_kg_per_s, air.most_kg_per_s ? &*air.most_kg_per_s : nullptr})
            for (std::size_t i = 0; drives != nullptr && i < drives->size(); ++i) {
                const auto& [id, factor] = (*drives)[i];
                signal(where, "flow of supply air", id);
                moves |= !m_.signals[id.index].is_constant();
                none_is_negative &= factor >= 0.0 && is_never_negative(m_.signals[id.index]);
            }
        if (none_is_negative && !air.most_kg_per_s) return;
        constexpr double rounding = 1.0 + 1e-9;
        for (std::size_t step = 0; step < (moves ? m_.steps : 1); ++step) {
            const double least = m_.value(air.least_kg_per_s, step, 0.5);
            check_range(where, "least supply air", least, {0.0, 1e9}, "kg/s");
            if (air.most_kg_per_s)
                check_range(where, "least supply air, not above the most", least,
                            {0.0, m_.value(*air.most_kg_per_s, step, 0.5) * rounding}, "kg/s");
        }
    }

    const ThermalModel& m_;
};

} // namespace

void check_model(const ThermalModel& model) { Checker{model}.run(); }

} // namespace venture::balance
